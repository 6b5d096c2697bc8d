/**
 * From what is seen on the finish to what is done: the steps that the film allows, and what is left
 * of it after each. Ladders and what a step removes are the fault base's, given as data.
 *
 *   budget = film − what must stay − margin; an estimate counts for less          [finish-1]
 *
 * Source  fault base (repairs): rule of thumb; nobody measured a panel
 */
import type { RepairVerdict } from '../diagnosis/knowledge.ts';
import type { Band } from '../outcome/spread.ts';
import { caution, stop, type Explained, type Verdict } from '../outcome/verdicts.ts';
import type { FinishTarget } from '../trade/vocabulary.ts';

export const FINISH_SEEN = ['nib', 'dust', 'run', 'peel'] as const;
export const PEEL_GRADES = ['fine', 'medium', 'heavy'] as const;
export const NAIL = ['none', 'prints', 'notTried'] as const;

export type FinishInput = {
  seen: (typeof FINISH_SEEN)[number];
  grade?: (typeof PEEL_GRADES)[number] | undefined;
  stage: 'clear' | 'singleStage';
  measuredUm?: number | undefined;
  estimatedUm?: number | undefined;
  target: FinishTarget;
  likeNeighbour?: boolean | undefined;
  nail: (typeof NAIL)[number];
  minutesSince: number;
  polishMinute: number;
  bubbles?: boolean | undefined;
  nearEdgeMm?: number | undefined;
  /** Steps that are done, in their order, each with what was read after it. */
  done?: { step: string; leftUm?: number | undefined }[] | undefined;
};
export type FinishStep = {
  step: string;
  grit?: string;
  removesUm: Band;
  leftUm: Band;
  condition: string;
};
export type FinishAnswer = Explained & {
  verdict: RepairVerdict;
  budgetUm?: { value: number; low: number; high: number };
  steps: FinishStep[];
  takesUm?: Band;
  keepOffMm: number;
};

type Rung = {
  step: string;
  grit?: string | undefined;
  removes?: string | undefined;
  condition: string;
};
/** The part of the fault base that finishing goes by. */
export type FinishKnowledge = {
  film: {
    leaveAtLeastUm: number;
    singleStageLeaveAtLeastUm: number;
    marginUm: number;
    estimateFactor: number;
    removalUm: Record<string, Band>;
  };
  ladders: Record<string, { steps: Rung[] }>;
};

const KEEP_OFF_MM = 10;
const ESTIMATE_SPREAD = 0.25;
const LADDER_OF = { fine: 'PEEL_FINE', medium: 'PEEL_MED', heavy: 'PEEL_HEAVY' } as const;

/** What is wanted decides how far it is cut: matching the neighbour beats a mirror. */
function ladderOf({ seen, grade, target, likeNeighbour }: FinishInput): string | undefined {
  if (seen === 'run') return 'RUN';
  if (target === 'low') return undefined;
  if (seen !== 'peel') return 'NIB';
  if (target === 'show') return LADDER_OF[grade!];
  if (likeNeighbour || grade === 'fine') return undefined;
  return grade === 'heavy' ? LADDER_OF.medium : LADDER_OF.fine;
}

type Film = { countsUm: number; lowUm: number; highUm: number };

/** Film that a cut may count on: what was read, else less than what was reckoned. */
function filmOf(input: FinishInput, { film }: FinishKnowledge): Film | undefined {
  const read = input.done?.findLast(({ leftUm }) => leftUm !== undefined)?.leftUm;
  const measured = read ?? input.measuredUm;
  if (measured !== undefined) return { countsUm: measured, lowUm: measured, highUm: measured };
  const { estimatedUm } = input;
  if (estimatedUm === undefined) return undefined;
  return {
    countsUm: film.estimateFactor * estimatedUm,
    lowUm: (1 - ESTIMATE_SPREAD) * estimatedUm,
    highUm: (1 + ESTIMATE_SPREAD) * estimatedUm,
  };
}

const removalOf = ({ film }: FinishKnowledge, { removes }: Rung): Band =>
  (removes && film.removalUm[removes]) || [0, 0];

/** Steps, what each takes and leaves, and what stands against them. [finish-1] */
export function finishOf(input: FinishInput, knowledge: FinishKnowledge): FinishAnswer {
  const { stage, nail, minutesSince, polishMinute, bubbles, nearEdgeMm, done = [] } = input;
  const { film } = knowledge;
  const stayUm =
    (stage === 'clear' ? film.leaveAtLeastUm : film.singleStageLeaveAtLeastUm) + film.marginUm;
  const left = filmOf(input, knowledge);
  const over = (um: number): number => Math.max(0, um - stayUm);
  // A reading after a step stands for all that was taken before it.
  const readAt = done.findLastIndex(({ leftUm }) => leftUm !== undefined);
  const base = {
    steps: [],
    keepOffMm: KEEP_OFF_MM,
    reasons: [],
    ...(left
      ? { budgetUm: { value: over(left.countsUm), low: over(left.lowUm), high: over(left.highUm) } }
      : {}),
  };
  const edge: Verdict[] =
    nearEdgeMm !== undefined && nearEdgeMm < KEEP_OFF_MM
      ? [caution('keep-off-edges', { nearEdgeMm, keepOffMm: KEEP_OFF_MM })]
      : [];
  const answer = (verdict: RepairVerdict, verdicts: Verdict[]): FinishAnswer => ({
    ...base,
    verdict,
    verdicts,
  });
  if (bubbles) return answer('respray', []);
  const ladder = ladderOf(input);
  if (!ladder) return answer('leave', []);
  if (nail === 'prints' || minutesSince < polishMinute)
    return answer('leave', [
      stop('no-cut-yet', { remainingMinutes: Math.max(0, polishMinute - minutesSince) }),
    ]);
  if (!left) return answer('leave', [caution('film-left-unknown'), ...edge]);
  const all = knowledge.ladders[ladder]!.steps;
  const isDone = ({ step }: Rung): boolean => done.some((one) => one.step === step);
  const takenSince = all.filter(({ step }) => done.findIndex((one) => one.step === step) > readAt);
  const taken = takenSince.filter(isDone).map((rung) => removalOf(knowledge, rung));
  const sum = (bands: readonly Band[], end: 0 | 1): number =>
    bands.reduce((total, band) => total + band[end], 0);
  let [lowUm, highUm] = [left.countsUm - sum(taken, 1), left.countsUm - sum(taken, 0)];
  const steps = all
    .filter((rung) => !isDone(rung))
    .map((rung): FinishStep => {
      const removesUm = removalOf(knowledge, rung);
      lowUm -= removesUm[1];
      highUm -= removesUm[0];
      const { step, grit, condition } = rung;
      return { step, ...(grit ? { grit } : {}), removesUm, leftUm: [lowUm, highUm], condition };
    });
  const through = steps.find(({ leftUm }) => leftUm[0] < stayUm - SLACK_UM);
  if (through)
    return answer('recoat', [
      stop('cut-would-go-through', { step: through.step, leftUm: through.leftUm[0], stayUm }),
    ]);
  const removals = steps.map(({ removesUm }) => removesUm);
  return {
    ...base,
    verdict: 'polish',
    steps,
    takesUm: [sum(removals, 0), sum(removals, 1)],
    verdicts: edge,
  };
}
/** Sums of tenths. */
const SLACK_UM = 1e-6;
