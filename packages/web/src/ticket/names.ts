/** The words a painter reads for the contract's names. */
import type { Chemistry, Stage } from '@orthochrom/core/trade/vocabulary.ts';
import type { CoatState, Seen, SettingName } from '@orthochrom/contract/shop/ticket.ts';

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
export const SEEN_NAME: Record<Seen, string> = {
  nothing: 'Nothing wrong',
  peel: 'Orange peel',
  run: 'Run',
  dust: 'Dust',
  drySpray: 'Dry spray',
  stripes: 'Stripes',
  pops: 'Pops',
  fisheyes: 'Fisheyes',
  other: 'Something else',
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
export const CHEMISTRY_NAME: Record<Chemistry, string> = {
  isocyanate: 'isocyanate hardener',
  other: 'hardener without isocyanate',
  none: 'no hardener',
  unknown: 'hardener not known',
};
const PANEL_WORDS: Record<string, string> = {
  hood: 'bonnet',
  roof: 'roof',
  trunk: 'boot lid',
  tailgate: 'tailgate',
  frontBumper: 'front bumper',
  rearBumper: 'rear bumper',
  tank: 'tank',
};

/** "leftFrontDoor" → "left front door"; free names stay as they are. */
export const panelName = (name: string): string => PANEL_WORDS[name] ?? name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
export const WETNESS_NAME = { light: 'light', medium: 'medium, not glassy', mediumWet: 'medium wet', wet: 'full wet' } as const;
