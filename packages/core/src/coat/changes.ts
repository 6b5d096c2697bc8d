/** Which one change helps most: each lever moved a little by itself, the whole chain run again, and the moves ranked. */
import type { KnownSettings } from '../gun/gun.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import { COARSE } from '../film/filmRun.ts';
import { HAND_M_PER_S } from '../gun/hand.ts';
import { mixtureOf } from '../material/mixture.ts';
import type { CoatPlan, Unknowns } from './foresee.ts';
import { foresee } from './foresee.ts';
import { linkedRisks, riskSpread, RISKS, type RiskName, type Sds } from './spreads.ts';

export type ChangeKnob =
  | 'inletKPa'
  | 'fluidTurnsOut'
  | 'fanTurnsOut'
  | 'distanceMm'
  | 'gunSpeedMPerS'
  | 'stepMm'
  | 'flashMinutes'
  | 'afterMinutes'
  | 'rampCPerMin'
  | 'gradeC';
/** `helps` is the risk that falls most by it; probabilities as the answer tells them, averaged over what is unknown where that was asked for. */
export type Change = { knob: ChangeKnob; from: number; to: number; helps: RiskName; before: number; after: number; gain: number };

const PSI_3_KPA = 20.7;
const QUARTER = 0.25;
const LEAST_GAIN = 0.01;
/** A tenth of what it mends is not worth what it spoils. */
const MOST = 6;

/** `mostKPa`: the top of the band in force, and what gun and place allow. */
export type ChangeRoom = { mostKPa: number; designC: number | undefined };

export function changesFor(plan: CoatPlan, unknowns: Unknowns, room: ChangeRoom, sds?: Sds): Change[] {
  const before = probabilities(plan, unknowns, sds);
  const trouble = troubleOf(before);
  return movesOf(plan, room)
    .map(({ knob, from, to, plan: moved }): Change => {
      const after = probabilities(moved, unknowns, sds);
      const helps = RISKS.reduce(
        (best, name) => (fall(before, after, name) > fall(before, after, best) ? name : best),
        'run' as RiskName,
      );
      return { knob, from, to, helps, before: before[helps] ?? 0, after: after[helps] ?? 0, gain: trouble - troubleOf(after) };
    })
    .filter(({ gain, before: was, after }) => gain > LEAST_GAIN && after < was)
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST);
}

type Probabilities = Partial<Record<RiskName, number>>;
const fall = (before: Probabilities, after: Probabilities, name: RiskName): number => (before[name] ?? 0) - (after[name] ?? 0);

function probabilities(plan: CoatPlan, unknowns: Unknowns, sds: Sds | undefined): Probabilities {
  const links = linkedRisks(foresee(plan, unknowns, { mesh: COARSE, firstReadyOnly: true }), plan);
  return Object.fromEntries(
    Object.entries(links).map(([name, link]) => [
      name,
      riskSpread(name as RiskName, link, sds?.risks[name as RiskName] ?? 0).value,
    ]),
  );
}

/** −ln of the chance that nothing wants mending. */
const troubleOf = (risks: Probabilities): number =>
  Object.values(risks).reduce((sum, p) => sum - Math.log(Math.max(1e-3, 1 - p)), 0);

type Move = { knob: ChangeKnob; from: number; to: number; plan: CoatPlan };

function movesOf(plan: CoatPlan, room: ChangeRoom): Move[] {
  return [...gunMoves(plan, room), ...timeMoves(plan), ...gradeMoves(plan, room)];
}

/** The step in mm is kept: that is what a painter does. */
function gunMoves(plan: CoatPlan, { mostKPa }: ChangeRoom): Move[] {
  const first = plan.coats[0]!;
  const { settings: now, model } = first;
  const stepMm = now.stepMm ?? stepFor(plan);
  const highestKPa = Math.max(now.inletKPa, mostKPa);
  const wanted: [ChangeKnob & keyof KnownSettings, number, number, number][] = [
    ['inletKPa', now.inletKPa + PSI_3_KPA, 34, highestKPa],
    ['inletKPa', now.inletKPa - PSI_3_KPA, 34, highestKPa],
    ['fluidTurnsOut', now.fluidTurnsOut - 2 * QUARTER, QUARTER, model.fullFluidTurns],
    ['fluidTurnsOut', now.fluidTurnsOut + 2 * QUARTER, QUARTER, model.fullFluidTurns],
    ['distanceMm', now.distanceMm - 30, 60, 400],
    ['distanceMm', now.distanceMm + 30, 60, 400],
    ['gunSpeedMPerS', now.gunSpeedMPerS * 1.15, 0.1, HAND_M_PER_S.quickest],
    ['gunSpeedMPerS', now.gunSpeedMPerS / 1.15, HAND_M_PER_S.slowest, 2],
    ['stepMm', stepMm * 0.85, 5, 600],
    ...(model.data.hasFanKnob
      ? ([['fanTurnsOut', model.fullFanTurns, 0, model.fullFanTurns]] as ['fanTurnsOut', number, number, number][])
      : []),
  ];
  return wanted.flatMap(([knob, target, least, most]) => {
    const from = knob === 'stepMm' ? stepMm : (now[knob] ?? 0);
    const to = Number(Math.min(most, Math.max(least, target)).toFixed(knob === 'gunSpeedMPerS' ? 3 : 2));
    if (Math.abs(to - from) < 0.02 * Math.max(Math.abs(from), 0.1)) return [];
    const moved = (settings: KnownSettings): KnownSettings => ({ ...settings, stepMm, [knob]: to });
    return [
      { knob, from, to, plan: { ...plan, coats: plan.coats.map((coat) => ({ ...coat, settings: moved(coat.settings) })) } },
    ];
  });
}

/** The step of the first coat as it is set, mm. */
function stepFor(plan: CoatPlan): number {
  const { sprayed } = foresee({ ...plan, coats: plan.coats.slice(0, 1), heat: undefined, below: [] }, undefined, {
    mesh: COARSE,
    firstReadyOnly: true,
  });
  return sprayed[0]!.stepMm;
}

function timeMoves(plan: CoatPlan): Move[] {
  const last = plan.coats.length - 1;
  const moves: Move[] = [];
  const with5 = (i: number) => plan.coats.map((coat, at) => (at === i ? { ...coat, flashMinutes: coat.flashMinutes + 5 } : coat));
  if (last > 0) {
    const from = plan.coats[0]!.flashMinutes;
    const coats = plan.coats.map((coat, i) => (i < last ? { ...coat, flashMinutes: coat.flashMinutes + 5 } : coat));
    moves.push({ knob: 'flashMinutes', from, to: from + 5, plan: { ...plan, coats } });
  }
  if (plan.heat) {
    const { rampCPerMin } = plan.heat;
    const from = plan.coats[last]!.flashMinutes;
    moves.push({ knob: 'afterMinutes', from, to: from + 5, plan: { ...plan, coats: with5(last) } });
    if (rampCPerMin > 2)
      moves.push({
        knob: 'rampCPerMin',
        from: rampCPerMin,
        to: rampCPerMin / 2,
        plan: { ...plan, heat: { ...plan.heat, rampCPerMin: rampCPerMin / 2 } },
      });
  }
  return moves;
}

/** A grade six degrees slower or quicker, where the mix has one at all. */
function gradeMoves(plan: CoatPlan, { designC }: ChangeRoom): Move[] {
  const { paint } = plan.bench;
  const material = MATERIALS[paint.materialClass];
  if (designC === undefined || material.waterFraction !== undefined) return [];
  return [6, -6].map((step) => {
    const slowFraction = slowFractionForDesign(designC + step);
    // Only where the reducer is a share of the mix does its grade change the mix.
    const share = material.mix[2] > 0 ? mixtureOf(material, material.mix, { slowFraction }).volatile : paint.mixture.volatile;
    const moved = { ...paint, gradeSlowFraction: slowFraction, mixture: { ...paint.mixture, volatile: share } };
    return {
      knob: 'gradeC' as const,
      from: designC,
      to: designC + step,
      plan: { ...plan, bench: { ...plan.bench, paint: moved } },
    };
  });
}
