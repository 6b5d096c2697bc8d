/**
 * The one next change for what is seen, and what to try after it: order, goals and bounds of MODEL
 * 17.4, solved on this gun.
 */
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import type { KnownSettings } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import type { PatternSymptom } from './patternSymptoms.ts';
import { EASE_M_PER_S, HAND_M_PER_S } from './technique.ts';
import {
  effectOf,
  MOST,
  solveFor,
  STEP,
  type TuneRig,
  type RigSettings,
  type Effect,
  type Goal,
  type Knob,
} from './steps.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

/**
 * `why` is the thing seen and the move that answers it; `effect` about what the move does to film
 * and drops.
 */
export type TuneStep = {
  knob: Knob;
  from: number;
  to: number;
  why: { seen: PatternSymptom; move: Move };
  effect?: Effect;
};
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

const MOVES: Partial<Record<PatternSymptom, Move[]>> = {
  coarseSpots: ['airUp', 'fluidIn', 'nextTipDown'],
  heavyCentre: ['fanOpen', 'airUp', 'fluidIn'],
  split: ['fluidOut', 'airDown', 'fanIn'],
  pullingApart: ['fluidOut', 'airDown', 'fanIn'],
  stripes: ['closerPasses', 'airDown'],
  dry: ['nearer', 'slower', 'fluidOut'],
  tooWet: ['quicker', 'fluidIn'],
  runs: ['fanWide', 'muchQuicker', 'fluidIn'],
  blowBack: ['airDown'],
  narrow: ['fanOpen'],
};
/** Painters who keep the needle open dose with the hand: the knob is left alone. */
const BY_HAND: Partial<Record<Move, Move>> = { fluidIn: 'quicker', fluidOut: 'slower' };
/** How much lies on the panel answers to the hand; how the gun breaks it up does not. */
const WETNESS_SIGHTS: PatternSymptom[] = ['dry', 'tooWet', 'runs'];
const AGAINST: Partial<Record<Move, Move>> = {
  airUp: 'airDown',
  airDown: 'airUp',
  fluidIn: 'fluidOut',
  fluidOut: 'fluidIn',
  fanOpen: 'fanIn',
  fanIn: 'fanOpen',
  nearer: 'further',
  further: 'nearer',
  slower: 'quicker',
  quicker: 'slower',
  muchQuicker: 'slower',
};
/** A fan this far open is open: then the middle is heavy for another reason. */
const FAN_IS_OPEN = 0.95;
const FAN_RUNS_UNDER = 0.7;

export type Painter = { isNeedleOpen: boolean; ownNozzlesMm: readonly number[] };

export function stepsFor(
  seen: readonly PatternSymptom[],
  settings: KnownSettings,
  bounds: TuneBounds,
  painter: Painter,
): TuneStep[] {
  const scores = new Map<Move, { score: number; seen: PatternSymptom }>();
  for (const sight of seen)
    movesFor(sight, painter, settings, bounds.model).forEach((move, rank) => {
      const known = scores.get(move);
      scores.set(move, { score: (known?.score ?? 0) + 1 / (rank + 1), seen: known?.seen ?? sight });
    });
  return [...scores]
    .filter(
      ([move, { score }]) => !(AGAINST[move] && (scores.get(AGAINST[move])?.score ?? 0) >= score),
    )
    .sort(([, a], [, b]) => b.score - a.score)
    .flatMap(([move, why]) => {
      const change = changeBy(move, why.seen, settings, bounds, painter.ownNozzlesMm);
      if (!change || Math.abs(change.to - change.from) < 1e-9) return [];
      const effect = effectOf(
        bounds.rig,
        rigSettingsOf(settings),
        rigSettingsOf({ ...settings, ...steppedTo(settings, change) }),
      );
      return [{ ...change, why: { seen: why.seen, move }, ...(effect ? { effect } : {}) }];
    });
}

/**
 * What stands far off its usual place is moved first: a gun held too near for runs, a hand too
 * quick for a dry coat.
 */
function orderFor(
  sight: PatternSymptom,
  { distanceMm, gunSpeedMPerS }: KnownSettings,
  { data }: GunModel,
): Move[] {
  const moves = MOVES[sight] ?? [];
  if ((sight === 'runs' || sight === 'tooWet') && distanceMm < data.distanceMm * NEAR_SHARE)
    return ['further', ...moves];
  if (
    sight === 'dry' &&
    gunSpeedMPerS > EASE_M_PER_S.largePanel[1] &&
    distanceMm < data.distanceMm / NEAR_SHARE
  )
    return ['slower', ...moves.filter((move) => move !== 'slower')];
  return moves;
}
const NEAR_SHARE = 0.8;

function movesFor(
  sight: PatternSymptom,
  { isNeedleOpen }: Painter,
  settings: KnownSettings,
  model: GunModel,
): Move[] {
  const moves = orderFor(sight, settings, model);
  if (!isNeedleOpen) return moves;
  const byHand = WETNESS_SIGHTS.includes(sight)
    ? moves.map((move) => BY_HAND[move] ?? move)
    : moves.filter((move) => !BY_HAND[move]);
  return [...new Set(byHand)];
}

type KnobMove = { knob: Knob; from: number; to: number };

/** A painter keeps the step in mm; where only the overlap is known it is the fan's share. */
const rigSettingsOf = (settings: KnownSettings): RigSettings => ({
  ...settings,
  stepMm: stepOf(settings),
});
const stepOf = ({ stepMm, fanWidthMm, overlapPercent }: KnownSettings): number =>
  stepMm ?? (fanWidthMm ?? USUAL_FAN_MM) * (1 - overlapPercent / 100);
const steppedTo = (settings: KnownSettings, { knob, to }: KnobMove): Partial<KnownSettings> =>
  knob === 'overlapPercent'
    ? { stepMm: (stepOf(settings) * (100 - to)) / Math.max(1, 100 - settings.overlapPercent) }
    : { stepMm: stepOf(settings), [knob]: to };
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

function changeBy(
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
function fanIn(
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
function nearer({ distanceMm: from }: KnownSettings, { data }: GunModel): KnobMove | undefined {
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
