/**
 * What a pattern or a film tells, what a change of one knob does about it, and the faults that no
 * knob mends.
 */
import { plainText } from './termWords.ts';
import type { PatternSymptom } from '@orthochrom/core/gun/patternSymptoms.ts';
import type { Effect } from '@orthochrom/core/gun/steps.ts';
import type { GunFault } from '@orthochrom/core/gun/tune.ts';
import type { Params } from '@orthochrom/core/outcome/verdicts.ts';
import type { Move } from '@orthochrom/core/gun/tuneKnobs.ts';

export const SEEN_WORDS: Partial<Record<PatternSymptom, string>> = {
  coarseSpots: 'Coarse spots: the drops are too big for the air behind them.',
  heavyCentre: 'Heavy in the middle: more paint than the fan’s air can spread.',
  split: 'Heavy at both ends: more air than paint.',
  pullingApart: 'Pulling apart: too thin, too much air, or something on the panel.',
  stripes: 'Stripes: passes too far apart for this fan.',
  dry: 'Dry: too little lands wet.',
  tooWet: 'Too wet: more lands than can lie.',
  runs: 'Runs: too much in one place.',
  blowBack: 'The mist bounces back: too much air.',
  narrow: 'The fan is narrow: all the paint on a small strip.',
};

export const MOVE_WORDS: Record<Move, string> = {
  airUp: 'More air breaks it finer.',
  airDown: 'Less air: less fog, and the ends fill less.',
  fluidIn: 'Needle in: less paint for the same air.',
  fluidOut: 'Needle out: more paint for the same air.',
  fanOpen: 'Fan open: the paint spreads wider.',
  fanWide: 'Fan fully open first: a choked fan floods.',
  fanIn: 'Fan in a little: less air pulls the middle apart.',
  nearer: 'Nearer: more lands, and it lands wetter.',
  further: 'Further off, where such a gun is held: it lands thinner and more evenly.',
  slower: 'A slower hand lays more.',
  quicker: 'A quicker hand lays less.',
  muchQuicker: 'A much quicker hand, until it only just flows.',
  closerPasses: 'Closer passes even it out.',
  nextTipDown: 'The next smaller tip, with its own needle and cap.',
};

export const tuneWhy = ({ seen, move }: { seen: PatternSymptom; move: Move }): string =>
  [SEEN_WORDS[seen], MOVE_WORDS[move]].filter(Boolean).join(' ');

/** Under this it is not worth telling. */
const TOLD_FROM_PERCENT = 1;

export function effectText({ filmPercent, dropsPercent }: Effect): string {
  const part = (name: string, percent: number, less: string, more: string) =>
    Math.abs(percent) < TOLD_FROM_PERCENT
      ? []
      : [`${name} about ${Math.abs(percent).toFixed(0)} % ${percent < 0 ? less : more}`];
  const parts = [
    ...part('film', filmPercent, 'thinner', 'thicker'),
    ...part('drops', dropsPercent, 'finer', 'coarser'),
  ];
  return parts.length > 0 ? parts.join(', ') : 'film and drops about as before';
}

export const GUN_FAULTS: Record<GunFault, { name: string; check: string }> = {
  cap_blocked: {
    name: 'a hole of the air cap is blocked or the cap is dirty',
    check:
      'Turn the cap half a turn and shoot again: the fault turns with it = cap, soak it and clear the holes with wood or a soft bristle, never wire; it stays = tip or needle; neither = the gun is not held square.',
  },
  tip_worn: {
    name: 'the tip, needle and cap set is worn, bent or not square',
    check:
      'Turn the cap half a turn and shoot again: if the pattern does not turn with it, take out tip and needle and look for wear; change tip, needle and cap as one set.',
  },
  air_in_fluid: {
    name: 'air is drawn into the paint',
    check:
      'Fill the cup, hold the gun upright, shoot again. Still fluttering: snug the tip, a drop of silicone-free gun lubricant on the packing, tighten until the needle still returns.',
  },
  vent_blocked: {
    name: 'the cup draws a vacuum, or a strainer or the tip is choked',
    check:
      'Trigger shut, away from the car, crack the lid: if the flow comes back, clean the vent with a wooden pick. If not, look at the strainer, then the tip.',
  },
};

const KNOB_WORDS: Record<string, string> = {
  inletKPa: 'air at the gun',
  fluidTurnsOut: 'needle',
  fanTurnsOut: 'fan',
  distanceMm: 'distance',
  overlapPercent: 'overlap',
  gunSpeedMPerS: 'hand',
  nozzleMm: 'nozzle',
};

/** The fields of a list of settings as a painter calls them. */
export const knobWords = (params?: Params): string =>
  plainText(params, 'settings')
    .split(', ')
    .map((knob) => KNOB_WORDS[knob] ?? knob)
    .join(', ');
