/**
 * How to put it right: the film that may be taken off, and the first rung of the ladder whose
 * conditions hold.
 */
import type { Observation } from './answers.ts';
import { isBelow } from './layers.ts';
import type { Fault, Knowledge, Layer, Log, Rung, RungWhen } from './knowledge.ts';

/**
 * `lowUm` and `highUm` bound an estimate of dry film from wet coats and solids: a quarter either
 * way.
 */
export type Budget = { valueUm: number; lowUm: number; highUm: number; isMeasured: boolean };
const ESTIMATE_SPREAD = 0.25;

export type Repair = {
  rung: Rung;
  budget?: Budget;
  takesFilm: boolean;
  mustHarden: boolean;
  below?: Layer;
};

/** Verdicts that leave what lies below where it is. */
export const OVER_IT: ReadonlySet<Rung['verdict']> = new Set(['polish', 'recoat', 'leave']);
const TAKES_FILM = new Set(['polish']);

/**
 * Clear now − what must stay − margin, never under 0; absent while nobody knows how much clear
 * there is. An estimate counts with a factor under 1, for it can be a quarter off.
 */
export function budgetOf(
  knowledge: Knowledge,
  log: Log,
  isSingleStage: boolean,
): Budget | undefined {
  const { film } = knowledge;
  const stays =
    (isSingleStage ? film.singleStageLeaveAtLeastUm : film.leaveAtLeastUm) + film.marginUm;
  const over = (clearUm: number) => Math.max(0, clearUm - stays);
  const [measured, estimated] = [log['dft_clear_measured'], log['dft_clear_est']];
  if (typeof measured === 'number') {
    const valueUm = over(measured);
    return {
      valueUm,
      lowUm: over(measured - film.marginUm),
      highUm: over(measured + film.marginUm),
      isMeasured: true,
    };
  }
  if (typeof estimated !== 'number') return undefined;
  const valueUm = over(film.estimateFactor * estimated);
  const lowUm = over((1 - ESTIMATE_SPREAD) * estimated);
  return {
    valueUm,
    lowUm: Math.min(valueUm, lowUm),
    highUm: over((1 + ESTIMATE_SPREAD) * estimated),
    isMeasured: false,
  };
}

export type Found = {
  fault: Fault;
  secondFault?: string | undefined;
  cause?: string | undefined;
  rootLayer?: Layer | undefined;
  seenIn?: Layer | undefined;
  observations: readonly Observation[];
  log: Log;
};

/** Absent for what is no paint fault. */
export function repairOf(knowledge: Knowledge, found: Found): Repair | undefined {
  const budget = budgetOf(knowledge, found.log, found.seenIn === 'singleStage');
  const fits = ({ when }: Rung) => !when || holds(when, found, budget);
  const own = knowledge.rungs[found.fault.id]?.find(fits);
  if (!own) return undefined;
  const { except, rungs } = knowledge.neverOver;
  const isOver = OVER_IT.has(own.verdict) && !except.includes(found.fault.id);
  // A layer below that gives way is not saved by anything done to what lies on it.
  const rung = (isOver ? rungs.find(fits) : undefined) ?? own;
  const answered = (question: string, answer: string) =>
    found.observations.some((given) => given.question === question && given.answer === answer);
  const mustHarden = answered('q_nail', 'prints');
  const below = rung.verdict === 'polish' ? undefined : belowTheClear(found);
  const isSoft = mustHarden && rung.verdict === 'polish';
  return {
    rung: isSoft ? { ...rung, verdict: 'leave' } : rung,
    ...(budget ? { budget } : {}),
    takesFilm: TAKES_FILM.has(rung.verdict) || rung.ladder === 'SPOT_TEST',
    mustHarden,
    ...(below ? { below } : {}),
  };
}

function holds(when: RungWhen, found: Found, budget: Budget | undefined): boolean {
  const { seenIn, rootLayer, cause, secondFault, observations, log } = found;
  const answered = ([question, answer]: readonly [string, string]) =>
    observations.some((given) => given.question === question && given.answer === answer);
  const checks: [unknown, () => boolean][] = [
    [when.layer, () => seenIn !== undefined && when.layer!.includes(seenIn)],
    [when.rootLayer, () => rootLayer !== undefined && when.rootLayer!.includes(rootLayer)],
    [when.answer, () => when.answer!.some(answered)],
    [when.reading, () => when.reading![1].includes(String(log[when.reading![0]]))],
    [when.cause, () => cause !== undefined && when.cause!.includes(cause)],
    [when.withFault, () => secondFault !== undefined && when.withFault!.includes(secondFault)],
    [when.budgetUm, () => budget !== undefined && budget.valueUm >= when.budgetUm!],
    [when.budgetBelowUm, () => budget !== undefined && budget.valueUm < when.budgetBelowUm!],
    [when.budgetKnown, () => budget !== undefined],
    [when.measured, () => budget?.isMeasured === true],
  ];
  return checks.every(([asked, isTrue]) => asked === undefined || isTrue());
}

/**
 * The layer the trouble lies in, when that is under the clear: polishing the clear cannot reach it.
 */
function belowTheClear({ fault, rootLayer, seenIn }: Found): Layer | undefined {
  if (fault.below) return rootLayer && isBelow(rootLayer, 'clear') ? rootLayer : fault.below;
  const rootsBelow = fault.id === 'POP' || fault.id === 'DIEBACK';
  return rootsBelow && rootLayer && seenIn !== rootLayer && isBelow(rootLayer, 'clear')
    ? rootLayer
    : undefined;
}
