/**
 * Settings that go together: fan and fluid are one pair by the work and by the paint, never one
 * alone. A spot wants all three down; a jamb a narrower fan still; a mist
 * coat a wide fan and little paint.
 */
import type { CoatPreset } from '../coats/coatPlanInput.ts';
import type { PartKind } from '../trade/vocabulary.ts';

export type Preset = { fluid: number; fan: number; distance: number; air: number; film: number };

const PART: Record<PartKind, Preset> = {
  largePanel: { fluid: 1, fan: 1, distance: 1, air: 1, film: 1 },
  smallPart: { fluid: 0.8, fan: 0.7, distance: 0.95, air: 1, film: 1 },
  jamb: { fluid: 0.4, fan: 0.3, distance: 0.8, air: 0.9, film: 1 },
  spot: { fluid: 0.45, fan: 0.45, distance: 0.85, air: 0.85, film: 1 },
};
const MIST: Preset = { fluid: 0.5, fan: 1, distance: 1.2, air: 1, film: 0.4 };

/**
 * A mist coat is laid wide and thin on a large panel; on small work the small work rules the fan.
 * What
 * its own coat is planned with moves the rest.
 */
export function presetFor(part: PartKind, mist = false, coat?: CoatPreset): Preset {
  if (mist && part === 'largePanel') return MIST;
  if (mist)
    return { ...PART[part], fluid: Math.min(PART[part].fluid, MIST.fluid), film: MIST.film };
  const { fluid, fan, distance, air, film } = PART[part];
  const { fluidFactor = 1, fanFactor = 1, distanceFactor = 1, inletFactor = 1 } = coat ?? {};
  return {
    fluid: fluid * fluidFactor,
    fan: fan * fanFactor,
    distance: distance * distanceFactor,
    air: air * inletFactor,
    film,
  };
}
