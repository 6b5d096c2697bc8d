/**
 * The moves a painter would try, one lever at a time. A lever that stands far from where practice
 * or the sheet has it goes there at once; one that stands about right goes a small step. The step
 * between passes is kept in mm, as a painter does; nearer to the panel the fan is narrower, and
 * there the overlap is kept.
 */
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import type { KnownSettings } from '../gun/gun.ts';
import { HAND_M_PER_S } from '../gun/technique.ts';
import { usualOverlapPercent } from '../gun/overlap.ts';
import type { Paint } from '../mix/paint.ts';
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import { DESIGN_OF_SPEED_C } from '../reducer/grade.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { SPEEDS, type Speed } from '../trade/vocabulary.ts';
import { sprayedBy } from './sprayedCoat.ts';
import type { CoatPlan } from './coatPlan.ts';

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
  | 'gradeC'
  | 'hardenerC'
  | 'airSpeedMPerS';
/** What goes with a move: the step that is kept, or the hand that keeps the film. */
export type Along = { stepMm?: number; gunSpeedMPerS?: number };
export type Move = { knob: ChangeKnob; from: number; to: number; plan: CoatPlan; along?: Along };

/** What practice and sheet have, and how the mix is made anew. */
export type ChangeBounds = {
  bandKPa: Band;
  /** The top of the band in force, and what gun and place allow. */
  mostKPa: number;
  usualDistanceMm: number;
  designC: number | undefined;
  hardenerSpeed: Speed | undefined;
  withGrade: (designC: number) => Paint;
  withHardener: (speed: Speed) => Paint;
};

const PSI_3_KPA = 20.7;
const HALF_TURN = 0.5;
const DISTANCE_STEP_MM = 30;
const HAND_STEP = 1.15;
/** No painter changes his hand by more at once. */
const MOST_HAND_STEP = 1.3;
const STEP_SHARE = 0.85;
const MINUTES = 5;
const GRADE_STEP_C = 6;
/** A fan or a blower from a metre, over a base that air dries. */
const BLOWN_M_PER_S = 1;
const USUAL_RAMP_C_PER_MIN = 4;

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

function timeMoves(plan: CoatPlan): Move[] {
  const last = plan.coats.length - 1;
  const moves: Move[] = [];
  const waiting = (change: (flashMinutes: number, isLast: boolean) => number) =>
    plan.coats.map((coat, i) => ({ ...coat, flashMinutes: change(coat.flashMinutes, i === last) }));
  if (last > 0) {
    const from = plan.coats[0]!.flashMinutes;
    const to = Math.max(from + MINUTES, plan.sheet.flashMinutes);
    const coats = waiting((minutes, isLast) => (isLast ? minutes : Math.max(minutes, to)));
    moves.push({ knob: 'flashMinutes', from, to, plan: { ...plan, coats } });
  }
  if (plan.heat) {
    const { rampCPerMin } = plan.heat;
    const from = plan.coats[last]!.flashMinutes;
    const to = Math.max(from + MINUTES, plan.sheet.lastMinutes);
    moves.push({
      knob: 'afterMinutes',
      from,
      to,
      plan: { ...plan, coats: waiting((minutes, isLast) => (isLast ? to : minutes)) },
    });
    if (rampCPerMin > USUAL_RAMP_C_PER_MIN / 2) {
      const gentler = Math.min(rampCPerMin / 2, USUAL_RAMP_C_PER_MIN);
      const heat = { ...plan.heat, rampCPerMin: gentler };
      moves.push({ knob: 'rampCPerMin', from: rampCPerMin, to: gentler, plan: { ...plan, heat } });
    }
  }
  return moves;
}

/**
 * A grade slower and quicker, the one for this warmth where it is far off; where nothing is
 * reduced, the hardener's.
 */
function gradeMoves(
  plan: CoatPlan,
  { designC, hardenerSpeed, withGrade, withHardener }: ChangeBounds,
): Move[] {
  const { materialClass, mixture } = plan.rig.paint;
  if (MATERIALS[materialClass].waterFraction !== undefined) return [];
  const withPaint = (paint: Paint): CoatPlan => ({ ...plan, rig: { ...plan.rig, paint } });
  const effectiveC = effectiveTemperatureC({
    airTemperatureC: plan.rig.roomAir.airTemperatureC,
    panelTemperatureC: plan.panelC,
    substrate: plan.substrate,
  });
  const isGraded =
    designC !== undefined &&
    isMoved(mixture.slowFraction, withGrade(designC + GRADE_STEP_C).mixture.slowFraction);
  const graded = !isGraded
    ? []
    : [
        Math.max(designC + GRADE_STEP_C, effectiveC),
        Math.min(designC - GRADE_STEP_C, effectiveC),
      ].map((to): Move => {
        const toC = Math.round(clamp(to, COLDEST_GRADE_C, HOTTEST_GRADE_C));
        return { knob: 'gradeC', from: designC, to: toC, plan: withPaint(withGrade(toC)) };
      });
  const hardened = speedsBeside(hardenerSpeed).map(({ from, to }): Move => ({
    knob: 'hardenerC',
    from: DESIGN_OF_SPEED_C[from],
    to: DESIGN_OF_SPEED_C[to],
    plan: withPaint(withHardener(to)),
  }));
  return [
    ...graded.filter(({ from, to }) =>
      isMoved(slowFractionForDesign(from), slowFractionForDesign(to)),
    ),
    ...hardened,
  ];
}

/** The next quicker and slower hardener, where there is one. */
const speedsBeside = (from: Speed | undefined): { from: Speed; to: Speed }[] =>
  from === undefined
    ? []
    : [-1, 1].flatMap((step) => {
        const to = SPEEDS[SPEEDS.indexOf(from) + step];
        return to === undefined ? [] : [{ from, to }];
      });
/** What such grades are made for, °C. */
const COLDEST_GRADE_C = 13;
const HOTTEST_GRADE_C = 40;
const isMoved = (from: number, to: number): boolean => Math.abs(to - from) > 1e-6;

/** Water goes with the air: still or quiet air set moving. */
function airMoves(plan: CoatPlan): Move[] {
  const { materialClass } = plan.rig.paint;
  const from = plan.airSpeedMPerS;
  if (MATERIALS[materialClass].waterFraction === undefined || from >= BLOWN_M_PER_S) return [];
  return [
    {
      knob: 'airSpeedMPerS',
      from,
      to: BLOWN_M_PER_S,
      plan: { ...plan, airSpeedMPerS: BLOWN_M_PER_S },
    },
  ];
}
