/** What a sheet says about the gun, and how this painter works: both beat what is usual, the sheet first. */
import type { Band } from '../outcome/spread.ts';
import type { Stage } from './gun.ts';

export type GunSheet = {
  nozzleMm?: Band | undefined;
  inletKPa?: Band | undefined;
  capKPa?: Band | undefined;
  coats?: number | undefined;
  wetFilmUm?: number | undefined;
  overlapPercent?: number | undefined;
  distanceMm?: number | undefined;
};
export type Way = {
  needle?: 'open' | 'metered';
  gauge?: 'atGun' | 'atWall' | 'byEar';
  fan?: 'open' | 'backedOff';
  fanBackTurns?: number;
  overlapPercent?: number;
  overlapPercentByStage?: Partial<Record<Stage, number>>;
  distance?: 'near' | 'middle' | 'far';
  distanceMm?: number;
  baseCover?: 'coats' | 'oneAndHalf';
  primer?: 'one' | 'stack';
  clearReduction?: 'never' | 'sheet';
  grade?: 'temperature' | 'gloss' | 'speed';
  skill?: 'learner' | 'able' | 'expert';
};
