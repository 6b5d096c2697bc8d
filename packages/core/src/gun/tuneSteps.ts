/**
 * The one next change for what is seen, and what to try after it: order, goals and bounds of MODEL
 * 17.4, solved on this gun.
 */
import type { KnownSettings } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import type { PatternSymptom } from './patternSymptoms.ts';
import { EASE_M_PER_S } from './technique.ts';
import { effectOf, type Effect, type Knob } from './steps.ts';
import {
  type TuneBounds,
  type Move,
  NEAR_SHARE,
  type KnobMove,
  rigSettingsOf,
  stepOf,
  changeBy,
} from './tuneKnobs.ts';

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

export type Painter = { isNeedleOpen: boolean; ownNozzlesMm: readonly number[] };

/**
 * What answers the things seen, in their order, sized on this gun; nothing for what no knob
 * answers.
 */
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
const steppedTo = (settings: KnownSettings, { knob, to }: KnobMove): Partial<KnownSettings> =>
  knob === 'overlapPercent'
    ? { stepMm: (stepOf(settings) * (100 - to)) / Math.max(1, 100 - settings.overlapPercent) }
    : { stepMm: stepOf(settings), [knob]: to };
