/** Every kind of paint the tool knows: one file a class, one line here. */
import type { MaterialFacts } from './materialFacts.ts';
import { buildPrimer } from './materials/buildPrimer.ts';
import { clearHighSolids } from './materials/clearHighSolids.ts';
import { clearMediumSolids } from './materials/clearMediumSolids.ts';
import { epoxyPrimer } from './materials/epoxyPrimer.ts';
import { singleStage } from './materials/singleStage.ts';
import { solventBase } from './materials/solventBase.ts';
import { solventSealer } from './materials/solventSealer.ts';
import { waterborneBase } from './materials/waterborneBase.ts';
import { waterborneSealer } from './materials/waterborneSealer.ts';

export const MATERIALS = {
  solventBase,
  waterborneBase,
  clearMediumSolids,
  clearHighSolids,
  singleStage,
  solventSealer,
  waterborneSealer,
  epoxyPrimer,
  buildPrimer,
} as const satisfies Record<string, MaterialFacts>;
export type MaterialClass = keyof typeof MATERIALS;
export const MATERIAL_CLASSES = Object.keys(MATERIALS) as [MaterialClass, ...MaterialClass[]];
