/**
 * What able painters set, by gun class and coat: inlet pressure with the trigger pulled, nozzle, distance, film.
 * Rule of thumb, all of it (MODEL 5.1 and 17.1; WORK C003, C111–C113, C146, S01–S04); sheet and gun maker replace it.
 */
import type { Carrier } from '../air/climate.ts';
import type { Band } from '../outcome/spread.ts';
import type { GunClass, Stage } from './gun.ts';

type CoatRow = 'primer' | 'sealer' | 'base' | 'waterborneBase' | 'clear' | 'singleStage';

const INLET_KPA: Record<CoatRow, Record<GunClass, Band>> = {
  primer: bands([138, 193], [152, 207], [138, 193], [241, 345], [276, 379], [124, 179], [207, 276]),
  sealer: bands([124, 179], [138, 193], [124, 179], [221, 331], [262, 345], [110, 165], [172, 262]),
  base: bands([103, 152], [124, 179], [103, 138], [207, 310], [241, 331], [97, 138], [138, 241]),
  waterborneBase: bands([110, 179], [138, 200], [103, 152], [207, 290], [241, 310], [97, 152], [138, 241]),
  clear: bands([138, 193], [179, 221], [172, 207], [262, 379], [290, 379], [124, 179], [193, 276]),
  singleStage: bands([131, 186], [165, 214], [159, 200], [248, 359], [276, 359], [117, 172], [193, 276]),
};

function bands(hvlp: Band, reducedPressure: Band, lvlp: Band, conventional: Band, siphon: Band, mini: Band, airbrush: Band) {
  return { hvlp, reducedPressure, lvlp, conventional, siphon, mini, airbrush };
}

/** Ground and effect coats take their base's row. */
function rowOf(stage: Stage, carrier: Carrier): CoatRow {
  if (stage === 'base' || stage === 'ground' || stage === 'effect') return carrier === 'waterborne' ? 'waterborneBase' : 'base';
  return stage;
}

export const inletBandKPa = (gunClass: GunClass, stage: Stage, carrier: Carrier): Band =>
  INLET_KPA[rowOf(stage, carrier)][gunClass];

/** Nozzles that suit the coat, mm. Small guns have a scale of their own. */
export function nozzleBandMm(gunClass: GunClass, stage: Stage, carrier: Carrier, build = false): Band {
  const row = rowOf(stage, carrier);
  if (gunClass === 'airbrush') return row === 'primer' ? [0.5, 0.8] : [0.3, 0.8];
  if (gunClass === 'mini') return row === 'primer' ? [1.2, 1.4] : row === 'sealer' ? [1.0, 1.2] : [0.8, 1.2];
  if (row === 'primer') return build ? [1.8, 2.2] : [1.4, 1.8];
  if (row === 'sealer') return carrier === 'waterborne' ? [1.3, 1.4] : [1.2, 1.4];
  return row === 'waterborneBase' ? [1.2, 1.3] : row === 'singleStage' ? [1.3, 1.4] : [1.2, 1.4];
}

/** Needle turns from closed on a needle with four turns of travel (MODEL 17.2, t0). */
export function needleTurnsOfFour(gunClass: GunClass, stage: Stage): number {
  if (stage === 'primer') return 3.5;
  if (gunClass === 'lvlp') return stage === 'clear' ? 2.25 : 3;
  return 2.75;
}

/** Gun to panel, mm: six inches for most caps, nearer for low-air and small ones. */
export const DISTANCE_MM: Record<GunClass, number> = {
  hvlp: 150,
  reducedPressure: 150,
  lvlp: 115,
  conventional: 200,
  siphon: 200,
  mini: 110,
  airbrush: 80,
};

export const OVERLAP_PERCENT: Record<Stage, number> = {
  primer: 50,
  sealer: 60,
  ground: 66,
  base: 66,
  effect: 75,
  clear: 75,
  singleStage: 75,
};
export const COATS: Record<Stage, number> = { primer: 2, sealer: 1, ground: 2, base: 2, effect: 3, clear: 2, singleStage: 3 };

/** Wet film per coat as landed, µm: the one table (MODEL 5.1). */
export function wetFilmUm(stage: Stage, carrier: Carrier, options: { build?: boolean; highSolids?: boolean } = {}): number {
  const isWaterborne = carrier === 'waterborne';
  if (stage === 'clear') return options.highSolids ? 50 : 55;
  if (stage === 'singleStage') return 50;
  if (stage === 'sealer') return isWaterborne ? 35 : 32;
  if (stage === 'primer') return options.build ? 85 : 55;
  return isWaterborne ? 30 : 34;
}

export type Wetness = 'light' | 'medium' | 'mediumWet' | 'wet';
export const WETNESS: Record<Stage, Wetness> = {
  primer: 'mediumWet',
  sealer: 'mediumWet',
  ground: 'medium',
  base: 'medium',
  effect: 'light',
  clear: 'wet',
  singleStage: 'wet',
};
