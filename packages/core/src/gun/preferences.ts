/**
 * What a sheet says about the gun, and how this painter works: both beat what is usual, the sheet
 * first.
 */
import type { Skill, Stage } from '../trade/vocabulary.ts';
import type { Band } from '../outcome/spread.ts';

export type GunSheet = {
  nozzleMm?: Band | undefined;
  inletKPa?: Band | undefined;
  capKPa?: Band | undefined;
  coats?: number | undefined;
  /** Fewest and most coats, and least and most wet film, as the sheet prints them. */
  coatsBand?: Band | undefined;
  wetFilmUm?: number | undefined;
  wetFilmBandUm?: Band | undefined;
  overlapPercent?: number | undefined;
  distanceMm?: number | undefined;
};
/** How this painter works: what each habit can be. */
export const HABITS = {
  needle: ['open', 'metered'],
  gauge: ['atGun', 'atWall', 'byEar'],
  fan: ['open', 'backedOff'],
  distance: ['near', 'middle', 'far'],
  baseCover: ['coats', 'oneAndHalf'],
  primer: ['one', 'stack'],
  clearReduction: ['never', 'sheet'],
  grade: ['temperature', 'gloss', 'speed'],
} as const;
type Habit<K extends keyof typeof HABITS> = (typeof HABITS)[K][number];
/** What goes for a habit that nobody told. */
export const USUAL_HABITS = {
  needle: 'metered',
  gauge: 'atGun',
  fan: 'backedOff',
  distance: 'middle',
  baseCover: 'coats',
  clearReduction: 'never',
  grade: 'temperature',
} as const satisfies Preferences;

export type Preferences = {
  needle?: Habit<'needle'>;
  gauge?: Habit<'gauge'>;
  fan?: Habit<'fan'>;
  fanBackTurns?: number;
  overlapPercent?: number;
  overlapPercentByStage?: Partial<Record<Stage, number>>;
  distance?: Habit<'distance'>;
  distanceMm?: number;
  /** How base covers: coats, or a coat and a half where its sheet has it. */
  baseCover?: Habit<'baseCover'>;
  /** How primer builds: taken and kept as told, nothing goes by it. */
  primer?: Habit<'primer'>;
  clearReduction?: Habit<'clearReduction'>;
  grade?: Habit<'grade'>;
  skill?: Skill;
};
