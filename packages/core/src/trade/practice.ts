/**
 * Rows of the practice tables: what able painters set, by coat (MODEL 17.1).
 */
import type { Band } from '../outcome/spread.ts';
import type { Carrier, Stage, Wetness } from './vocabulary.ts';

export const PRACTICE_ROWS = [
  'primer',
  'buildPrimer',
  'sealer',
  'waterborneSealer',
  'base',
  'waterborneBase',
  'clear',
  'singleStage',
] as const;
export type PracticeRow = (typeof PRACTICE_ROWS)[number];

/**
 * What a kind of gun is set to for a kind of coat: inlet with the trigger pulled, tips that suit,
 * needle on four turns of travel.
 */
export type PracticeOfRow = { inletKPa: Band; nozzleMm: Band; needleTurnsOfFour: number };

/** Ground and effect coats take their base's row; a filling primer is one of its own. */
export function practiceRowOf(stage: Stage, carrier: Carrier, isBuild: boolean): PracticeRow {
  const isWaterborne = carrier === 'waterborne';
  if (stage === 'clear' || stage === 'singleStage') return stage;
  if (stage === 'primer') return isBuild ? 'buildPrimer' : 'primer';
  if (stage === 'sealer') return isWaterborne ? 'waterborneSealer' : 'sealer';
  return isWaterborne ? 'waterborneBase' : 'base';
}

type StagePractice = { overlapPercent: number; coats: number; wetness: Wetness; isColour: boolean };
/** By stage, whatever the gun: overlap, coats, how wet. */
export const STAGE_PRACTICE: Record<Stage, StagePractice> = {
  primer: { overlapPercent: 50, coats: 2, wetness: 'mediumWet', isColour: false },
  sealer: { overlapPercent: 60, coats: 1, wetness: 'mediumWet', isColour: false },
  ground: { overlapPercent: 66, coats: 2, wetness: 'medium', isColour: true },
  base: { overlapPercent: 66, coats: 2, wetness: 'medium', isColour: true },
  effect: { overlapPercent: 75, coats: 3, wetness: 'light', isColour: true },
  clear: { overlapPercent: 75, coats: 2, wetness: 'wet', isColour: false },
  singleStage: { overlapPercent: 75, coats: 3, wetness: 'wet', isColour: false },
};
