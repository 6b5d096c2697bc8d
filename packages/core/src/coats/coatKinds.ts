/**
 * The kinds of coat: how thick each lies against the stage's own, and what the gun does for it.
 *
 * Source  rule of thumb of the trade
 */
import type { CoatKind, CoatPreset, CoatRule } from './coatPlanInput.ts';

const NONE: CoatPreset = { fluidFactor: 1, fanFactor: 1, distanceFactor: 1, inletFactor: 1 };
const PRESET: Record<CoatKind, CoatPreset> = {
  mist: { ...NONE, fluidFactor: 0.5, distanceFactor: 1.2 },
  light: { ...NONE, fluidFactor: 0.85 },
  drop: { ...NONE, fluidFactor: 0.75 },
  medium: NONE,
  mediumWet: NONE,
  wet: NONE,
};
/** Shares of the stage's own film. */
export const FILM_FACTOR = { light: 0.7, half: 0.5, drop: 0.5, fadeOut: 0.5 } as const;
/** Further back than the coats before, where the sheet does not say. */
const DROP_BACK_MM = 50;
/** Flake is thrown from far, by a quick hand. */
const FLAKE_FROM_MM = 200;

/** A coat that is the stage's own film keeps the set-up, whatever its kind. */
export function presetOf(kind: CoatKind, filmFactor: number, rule: CoatRule = {}): CoatPreset {
  if (kind === 'mist' && filmFactor === 1) return { ...NONE, distanceMm: FLAKE_FROM_MM };
  if (kind === 'light' && filmFactor === 1) return NONE;
  if (kind !== 'drop') return PRESET[kind];
  return { ...PRESET.drop, distanceDeltaMm: rule.lastCoat?.distanceDeltaMm ?? DROP_BACK_MM };
}
