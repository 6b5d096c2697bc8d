/** How far a knob or the hand goes for one move: solved on this gun, within its bounds. */
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import type { KnownSettings } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import type { PatternSymptom } from './patternSymptoms.ts';
import { HAND_M_PER_S } from './technique.ts';
import {
  MOST,
  solveFor,
  STEP,
  type TuneRig,
  type RigSettings,
  type Goal,
  type Knob,
} from './steps.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

export const FAN_RUNS_UNDER = 0.7;

export type TuneBounds = {
  model: GunModel;
  rig: TuneRig;
  bandKPa: Band;
  leastKPa: number;
  mostKPa: number;
  /** What gun and place allow with the fan elsewhere: closing it raises the cap. */
  mostAtFanKPa: (fanTurnsOut: number) => number;
};

export type Move =
  | 'airUp'
  | 'airDown'
  | 'fluidIn'
  | 'fluidOut'
  | 'fanOpen'
  | 'fanWide'
  | 'fanIn'
  | 'nearer'
  | 'further'
  | 'slower'
  | 'quicker'
  | 'muchQuicker'
  | 'closerPasses'
  | 'nextTipDown';
/** A fan this far open is open: then the middle is heavy for another reason. */
const FAN_IS_OPEN = 0.95;
export const NEAR_SHARE = 0.8;

export type KnobMove = { knob: Knob; from: number; to: number };

/** A painter keeps the step in mm; where only the overlap is known it is the fan's share. */
export const rigSettingsOf = (settings: KnownSettings): RigSettings => ({
  ...settings,
  stepMm: stepOf(settings),
});
/** Step between passes, mm: as it is set, else by fan and overlap. */
export const stepOf = ({ stepMm, fanWidthMm, overlapPercent }: KnownSettings): number =>
  stepMm ?? (fanWidthMm ?? USUAL_FAN_MM) * (1 - overlapPercent / 100);
const USUAL_FAN_MM = 200;

/** What a turn of air or needle is to reach. */
const GOAL: Partial<Record<PatternSymptom, Goal>> = {
  coarseSpots: { of: 'dropsUm', times: 0.85 },
  heavyCentre: { of: 'load', plus: -0.3 },
  split: { of: 'load', plus: 0.4 },
  pullingApart: { of: 'load', plus: 0.2 },
  dry: { of: 'wetness', times: 1.25 },
  tooWet: { of: 'wetness', times: 1 / 1.2 },
  runs: { of: 'wetness', times: 1 / 1.4 },
};

/** What a move does to its knob or hand for the thing seen; nothing where it would lead nowhere. */
export function changeBy(
  move: Move,
  seen: PatternSymptom,
  settings: KnownSettings,
  bounds: TuneBounds,
  ownNozzlesMm: readonly number[],
): KnobMove | undefined {
  const { model } = bounds;
  switch (move) {
    case 'airUp':
      return inletBy(settings, bounds, seen, 1);
    case 'airDown':
      return inletBy(settings, bounds, seen, -1);
    case 'fluidIn':
      return fluidBy(settings, bounds, seen, -1);
    case 'fluidOut':
      return fluidBy(settings, bounds, seen, 1);
    case 'fanOpen': {
      const from = settings.fanTurnsOut;
      if (!model.data.hasFanKnob || from >= FAN_IS_OPEN * model.fullFanTurns) return undefined;
      return { knob: 'fanTurnsOut', from, to: Math.min(from + STEP.fanTurns, model.fullFanTurns) };
    }
    case 'fanWide':
      return model.data.hasFanKnob && settings.fanTurnsOut < FAN_RUNS_UNDER * model.fullFanTurns
        ? { knob: 'fanTurnsOut', from: settings.fanTurnsOut, to: model.fullFanTurns }
        : undefined;
    case 'fanIn':
      return fanIn(settings, bounds);
    case 'nearer':
      return nearer(settings, model);
    case 'further':
      return settings.distanceMm < model.data.distanceMm
        ? { knob: 'distanceMm', from: settings.distanceMm, to: model.data.distanceMm }
        : undefined;
    case 'slower':
      return handBy(settings, STEP.slowerShare);
    case 'quicker':
      return handBy(settings, STEP.quickerShare);
    case 'muchQuicker':
      return handBy(settings, STEP.muchQuickerShare);
    case 'closerPasses':
      return closerPasses(settings);
    case 'nextTipDown': {
      const smaller = ownNozzlesMm.filter((mm) => mm < settings.nozzleMm - 1e-9);
      return smaller.length > 0
        ? { knob: 'nozzleMm', from: settings.nozzleMm, to: Math.max(...smaller) }
        : undefined;
    }
  }
}

/** Never so far that the cap would have more than it may. */
export function fanIn(
  { fanTurnsOut: from, inletKPa }: KnownSettings,
  { model, mostAtFanKPa }: TuneBounds,
): KnobMove | undefined {
  const to = Math.max(0.5, from - STEP.fanTurns);
  return model.data.hasFanKnob && inletKPa <= mostAtFanKPa(to)
    ? { knob: 'fanTurnsOut', from, to }
    : undefined;
}

/**
 * Air for the goal, a fifth at most, within what this coat, this gun and this place allow; a psi at
 * least. Outside its band it goes to the band's near end at once: nobody creeps up on a gun set for
 * half its air.
 */
function inletBy(
  settings: KnownSettings,
  { rig, bandKPa: [footKPa, topKPa], leastKPa, mostKPa }: TuneBounds,
  seen: PatternSymptom,
  sign: 1 | -1,
): KnobMove | undefined {
  const { inletKPa: from } = settings;
  const nearEndKPa = sign > 0 ? Math.min(footKPa, mostKPa) : topKPa;
  if ((nearEndKPa - from) * sign >= LEAST_KPA)
    return { knob: 'inletKPa', from, to: Math.round(nearEndKPa) };
  const furthest =
    sign > 0
      ? Math.min(from * (1 + MOST.inletShare), mostKPa)
      : Math.max(from * (1 - MOST.inletShare), leastKPa);
  if ((furthest - from) * sign < LEAST_KPA) return undefined;
  const goal = GOAL[seen];
  const bounds: [number, number] = sign > 0 ? [from, furthest] : [furthest, from];
  const solved = goal
    ? solveFor(rig, rigSettingsOf(settings), 'inletKPa', goal, bounds)
    : from * (sign > 0 ? 1.15 : BOUNCE_SHARE);
  const to = clamp(sign * Math.max((solved - from) * sign, LEAST_KPA) + from, ...bounds);
  return { knob: 'inletKPa', from, to: Math.round(to) };
}
/** One psi: what a gauge in the shop can show. */
const LEAST_KPA = 7;
const BOUNCE_SHARE = 0.85;

/** The needle for the goal, three quarters of a turn at most, in quarters. */
function fluidBy(
  settings: KnownSettings,
  { rig, model }: TuneBounds,
  seen: PatternSymptom,
  sign: 1 | -1,
): KnobMove | undefined {
  const { fluidTurnsOut: from } = settings;
  const [least, most] = [Math.min(from, 0.5), model.fullFluidTurns];
  const bounds: [number, number] =
    sign > 0
      ? [from, Math.min(from + MOST.fluidTurns, most)]
      : [Math.max(from - MOST.fluidTurns, least), from];
  if (bounds[1] - bounds[0] < KNOB_STEP_TURNS - 1e-9) return undefined;
  const solved = solveFor(
    rig,
    rigSettingsOf(settings),
    'fluidTurnsOut',
    GOAL[seen] ?? { of: 'wetness', times: sign > 0 ? 1.25 : 0.8 },
    bounds,
  );
  const quarters = Math.max(1, Math.round(Math.abs(solved - from) / KNOB_STEP_TURNS));
  return {
    knob: 'fluidTurnsOut',
    from,
    to: clamp(from + sign * quarters * KNOB_STEP_TURNS, ...bounds),
  };
}

/** Not under the nearest that this kind of gun is held. */
export function nearer(
  { distanceMm: from }: KnownSettings,
  { data }: GunModel,
): KnobMove | undefined {
  const to = Math.max(data.nearestMm, from - STEP.nearerMm);
  return to < from ? { knob: 'distanceMm', from, to } : undefined;
}

function handBy({ gunSpeedMPerS: from }: KnownSettings, share: number): KnobMove {
  const to = clamp(
    from * share,
    Math.min(from, HAND_M_PER_S.slowest),
    Math.max(from, HAND_M_PER_S.quickest),
  );
  return { knob: 'gunSpeedMPerS', from, to: Number(to.toFixed(3)) };
}

/** Closer passes: in mm where the step is known, else as overlap. */
function closerPasses({ stepMm, overlapPercent }: KnownSettings): KnobMove {
  if (stepMm !== undefined)
    return { knob: 'stepMm', from: stepMm, to: Math.round(stepMm * STEP.stepShare) };
  return {
    knob: 'overlapPercent',
    from: overlapPercent,
    to: Math.round(100 - (100 - overlapPercent) * STEP.stepShare),
  };
}
