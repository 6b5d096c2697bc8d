/** The words a painter reads for the contract's names. */
import type { Basis, Chemistry, FinishTarget, Stage } from '@orthochrom/core/trade/vocabulary.ts';
import type { Build } from '@orthochrom/core/heat/panelHeat.ts';
import type { Exposure } from '@orthochrom/core/prep/exposure.ts';
import type { WorkKind } from '@orthochrom/contract/shop/layerWork.ts';
import type { CoatState, SettingName } from '@orthochrom/contract/shop/coat.ts';
import type { Step } from '../ticket/coatSteps.ts';

export const STAGE_NAME: Record<Stage, string> = {
  primer: 'Primer',
  sealer: 'Sealer',
  ground: 'Ground',
  base: 'Base',
  effect: 'Effect',
  clear: 'Clear',
  singleStage: 'Single stage',
};
export const STATE_NAME: Record<CoatState, string> = {
  planned: 'planned',
  taken: 'plan taken',
  spraying: 'spraying',
  sprayed: 'flashing',
  flashed: 'touch-dry',
  looked: 'logged',
};
/** How heavy a panel is: what lags in an oven. */
export const BUILD_NAME: Record<Build, string> = {
  sheetMetal: 'sheet metal',
  plastic: 'plastic skin',
  composite: 'laminate',
  filled: 'filled sheet',
  heavyMetal: 'thick metal, frame',
  casting: 'casting',
};
export const WORK_NAME: Record<WorkKind, string> = {
  sandedDry: 'Sanded dry',
  sandedWet: 'Sanded wet',
  flattened: 'Flattened',
  recoated: 'Coated again',
  left: 'Left as it is',
  warmed: 'Warm air on',
  heated: 'Heat begun',
  polished: 'Polished',
};
export const SETTING_NAME: Record<SettingName, string> = {
  nozzleMm: 'Nozzle',
  inletKPa: 'At the gun, trigger pulled',
  fluidTurnsOut: 'Needle, turns from closed',
  fanTurnsOut: 'Fan, turns from closed',
  distanceMm: 'Distance',
  overlapPercent: 'Overlap',
  wetFilmUm: 'Wet film',
};
export const FINISH_TARGET_NAME: Record<FinishTarget, string> = {
  show: 'show',
  factory: 'as from the factory',
  low: 'low: sills, insides',
};
/** How hard a coat is looked at for the finish that is wanted; peel out of ten, ten is glass. */
export const LOOKED_AT: Record<FinishTarget, string> = {
  show: 'Show: in three lights, booth, side and sun; 9 of 10 or better for peel.',
  factory: 'As from the factory: in two lights, booth and side; 7 of 10 or better for peel.',
  low: 'Low: in one light; 5 of 10 is enough for peel.',
};
/** What a colour gives away, as it is looked at. */
export const EXPOSED: Record<Exposure, string> = {
  1: '',
  2: 'This colour shows more than most: along the light, twice.',
  3: 'This colour gives everything away: once more in the sun, from both sides, before the clear.',
};
export const CHEMISTRY_NAME: Record<Chemistry, string> = {
  isocyanate: 'isocyanate hardener',
  other: 'hardener without isocyanate',
  none: 'no hardener',
  unknown: 'hardener not known',
};
export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
/** What a per cent is of. */
export const BASIS_NAME: Record<Basis, string> = {
  paint: 'the paint',
  mixSoFar: 'the mix so far',
  finalMix: 'the finished mix',
};
export const WETNESS_NAME = {
  light: 'light',
  medium: 'medium, not glassy',
  mediumWet: 'medium wet',
  wet: 'full wet',
} as const;
/** What matters while this coat goes on. */
export const SPRAY_WORDS: Record<Stage, string> = {
  primer: 'Build by coats, not by one heavy one; let each go matt.',
  sealer: 'One closed, even coat, no more: it is not there to fill.',
  ground: 'Even cover; do not chase hiding in one coat.',
  base: 'Do not chase hiding in one coat.',
  effect: 'Every coat counts: the same hand and the same count on every part.',
  clear: 'Wet enough to flow, the same on every panel; look along the light for a closed film.',
  singleStage: 'The first coat sets the texture; gloss comes with the last.',
};
export const UNFILTERED_WORDS =
  'What comes in here is not filtered: let the dust settle before the fan runs, and tack once more.';
export const NO_SIDE_LIGHT_WORDS =
  'No lamps at the sides here: how wet it lies is hard to see. Carry one, and trust the comb.';
/** How a fade is sprayed. */
export const FADE_WORDS =
  'Where it fades: further back, less air, the trigger eased as the arm arcs out, air on to the end.';

/** The steps of a coat, as their tabs say them. */
export const STEP_NAME: Record<Step, string> = {
  prep: 'Prep',
  gate: 'Gate',
  air: 'Air',
  mix: 'Mix',
  gun: 'Gun',
  spray: 'Spray',
  flash: 'Flash',
  look: 'Look',
  clean: 'Clean',
};
