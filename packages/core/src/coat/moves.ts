/**
 * The moves a painter would try, one lever at a time. A lever that stands far from where practice
 * or the sheet has it goes there at once; one that stands about right goes a small step. The step
 * between passes is kept in mm, as a painter does; nearer to the panel the fan is narrower, and
 * there the overlap is kept.
 */
import type { KnownSettings } from '../gun/gun.ts';
import { HAND_M_PER_S } from '../gun/technique.ts';
import { usualOverlapPercent } from '../gun/overlap.ts';
import { clamp } from '../numerics/rounding.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { sprayedBy } from './sprayedCoat.ts';
import type { CoatPlan } from './coatPlan.ts';
import { timeMoves, gradeMoves, airMoves } from './paintMoves.ts';
import type { ChangeKnob, Move, ChangeBounds } from './move.ts';

const PSI_3_KPA = 20.7;
const HALF_TURN = 0.5;
const DISTANCE_STEP_MM = 30;
const HAND_STEP = 1.15;
/** No painter changes his hand by more at once. */
const MOST_HAND_STEP = 1.3;
const STEP_SHARE = 0.85;

/**
 * Every lever moved once, as far as practice, sheet, gun and place allow: air, needle, fan, hand,
 * waits, heat and grades.
 */
export const movesOf = (plan: CoatPlan, bounds: ChangeBounds): Move[] => [
  ...gunMoves(plan, bounds),
  ...timeMoves(plan),
  ...gradeMoves(plan, bounds),
  ...airMoves(plan),
];

/** A knob, where to, and the least and most that it goes. */
type Wanted = [ChangeKnob & keyof KnownSettings, number, number, number];

function gunMoves(plan: CoatPlan, bounds: ChangeBounds): Move[] {
  const { settings: now, model } = plan.coats[0]!;
  const { filmM, fanWidthMm, stepMm: laidStepMm } = sprayedBy(plan.rig, model, now);
  const stepMm = now.stepMm ?? laidStepMm;
  const [footKPa, topKPa] = bounds.bandKPa;
  const highestKPa = Math.max(now.inletKPa, bounds.mostKPa);
  // The hand that lays the wanted film: the film falls as it speeds up.
  const handM =
    now.gunSpeedMPerS * clamp(filmM / plan.sheet.wetFilmM, 1 / MOST_HAND_STEP, MOST_HAND_STEP);
  const wanted: Wanted[] = [
    ['inletKPa', Math.max(now.inletKPa + PSI_3_KPA, footKPa), 34, highestKPa],
    ['inletKPa', Math.min(now.inletKPa - PSI_3_KPA, topKPa), 34, highestKPa],
    ['fluidTurnsOut', now.fluidTurnsOut - HALF_TURN, HALF_TURN / 2, model.fullFluidTurns],
    ['fluidTurnsOut', now.fluidTurnsOut + HALF_TURN, HALF_TURN / 2, model.fullFluidTurns],
    ['distanceMm', Math.min(now.distanceMm - DISTANCE_STEP_MM, bounds.usualDistanceMm), 60, 400],
    ['distanceMm', Math.max(now.distanceMm + DISTANCE_STEP_MM, bounds.usualDistanceMm), 60, 400],
    ['gunSpeedMPerS', Math.max(now.gunSpeedMPerS * HAND_STEP, handM), 0.1, HAND_M_PER_S.quickest],
    ['gunSpeedMPerS', Math.min(now.gunSpeedMPerS / HAND_STEP, handM), HAND_M_PER_S.slowest, 2],
  ];
  if (model.data.hasFanKnob)
    wanted.push(['fanTurnsOut', model.fullFanTurns, 0, model.fullFanTurns]);
  const closer = closerPasses(plan, {
    stepMm,
    closerMm: Math.min(stepMm * STEP_SHARE, fanWidthMm * (1 - usualOverlap(plan))),
    filmM,
  });
  return [...wanted.flatMap((one) => turned(plan, one, { stepMm, fanWidthMm })), closer];
}

/** One knob turned, where that is a move at all; nearer, the passes close up with the fan. */
function turned(
  plan: CoatPlan,
  [knob, target, least, most]: Wanted,
  { stepMm, fanWidthMm }: { stepMm: number; fanWidthMm: number },
): Move[] {
  const { settings: now, model } = plan.coats[0]!;
  const from = now[knob] ?? 0;
  const to = Number(clamp(target, least, most).toFixed(knob === 'gunSpeedMPerS' ? 3 : 2));
  if (Math.abs(to - from) < 0.02 * Math.max(Math.abs(from), 0.1)) return [];
  const isNearer = knob === 'distanceMm' && to < from;
  const along = {
    stepMm: isNearer
      ? (stepMm * sprayedBy(plan.rig, model, { ...now, distanceMm: to }).fanWidthMm) / fanWidthMm
      : stepMm,
  };
  return [{ knob, from, to, along, plan: withSettings(plan, { ...along, [knob]: to }) }];
}

/**
 * Passes closer together; where the film is full already the hand goes quicker with them and keeps
 * it.
 */
function closerPasses(
  plan: CoatPlan,
  { stepMm, closerMm, filmM }: { stepMm: number; closerMm: number; filmM: number },
): Move {
  const { gunSpeedMPerS } = plan.coats[0]!.settings;
  const keeping = Math.min(HAND_M_PER_S.quickest, (gunSpeedMPerS * stepMm) / closerMm);
  const keepsFilm = filmM >= plan.sheet.wetFilmM * FULL && keeping > gunSpeedMPerS;
  const along = keepsFilm ? { gunSpeedMPerS: keeping } : {};
  return {
    knob: 'stepMm',
    from: stepMm,
    to: closerMm,
    along,
    plan: withSettings(plan, { ...along, stepMm: closerMm }),
  };
}

const withSettings = (plan: CoatPlan, changed: Partial<KnownSettings>): CoatPlan => ({
  ...plan,
  coats: plan.coats.map((coat) => ({ ...coat, settings: { ...coat.settings, ...changed } })),
});
/** Near enough to the wanted film to be kept. */
const FULL = 0.85;

/** Overlap that practice gives this coat, as a share. */
function usualOverlap({ rig: { paint }, isEffect }: CoatPlan): number {
  const { stage } = MATERIALS[paint.materialClass];
  return usualOverlapPercent(stage, isEffect ? 'metallic' : 'solid') / 100;
}
