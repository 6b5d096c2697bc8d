/** What the trade calls a class of paint or gun: a new class does not compile without its name. */
import type { GunClass } from '@orthochrom/core/trade/gunClasses.ts';
import type { MaterialClass } from '@orthochrom/core/trade/materialClasses.ts';

export const MATERIAL_NAME: Record<MaterialClass, string> = {
  buildPrimer: 'Filling primer',
  waterborneBase: 'Base, waterborne',
  singleStage: 'Single stage',
  clearHighSolids: 'Clear, high solids',
  waterborneSealer: 'Sealer, waterborne',
  solventBase: 'Base, solvent',
  epoxyPrimer: 'Epoxy primer',
  clearMediumSolids: 'Clear, medium solids',
  solventSealer: 'Sealer, solvent',
};
export const GUN_NAME: Record<GunClass, string> = {
  mini: 'mini',
  reducedPressure: 'reduced pressure',
  conventional: 'conventional',
  hvlp: 'HVLP',
  airbrush: 'airbrush',
  lvlp: 'LVLP, low air',
  siphon: 'siphon',
};
