/** Every kind of gun the tool knows: one file a class, one line here. */
import type { GunFacts } from './gunFacts.ts';
import { airbrush } from './guns/airbrush.ts';
import { conventional } from './guns/conventional.ts';
import { hvlp } from './guns/hvlp.ts';
import { lvlp } from './guns/lvlp.ts';
import { mini } from './guns/mini.ts';
import { reducedPressure } from './guns/reducedPressure.ts';
import { siphon } from './guns/siphon.ts';

export const GUNS = {
  hvlp,
  lvlp,
  reducedPressure,
  conventional,
  siphon,
  mini,
  airbrush,
} as const satisfies Record<string, GunFacts>;
export type GunClass = keyof typeof GUNS;
export const GUN_CLASSES = Object.keys(GUNS) as [GunClass, ...GunClass[]];

/** What is taken where nobody says which gun it is. */
export const USUAL_GUN_CLASS: GunClass = 'hvlp';
