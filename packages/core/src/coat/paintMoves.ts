/** Levers of time, grade, hardener and air, each moved once. */
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import type { Paint } from '../mix/paint.ts';
import { clamp } from '../numerics/rounding.ts';
import { DESIGN_OF_SPEED_C } from '../reducer/grade.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { SPEEDS, type Speed } from '../trade/vocabulary.ts';
import type { CoatPlan } from './coatPlan.ts';
import type { Move, ChangeBounds } from './move.ts';

const MINUTES = 5;
const GRADE_STEP_C = 6;
/** A fan or a blower from a metre, over a base that air dries. */
const BLOWN_M_PER_S = 1;
const USUAL_RAMP_C_PER_MIN = 4;

/** Waits brought to the sheet's and heat that comes later and gentler. */
export function timeMoves(plan: CoatPlan): Move[] {
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
export function gradeMoves(
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
export function airMoves(plan: CoatPlan): Move[] {
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
