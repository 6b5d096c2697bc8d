/**
 * A mix of paint, hardener and reducer by volume: its solids, its solvents, its density.
 *
 *   φ = (a φ_P + b φ_H)/(a+b+c)                                                              [mixture-1]
 *   x = [a(1−φ_P) x_own + b(1−φ_H) x_hard + c x_red]/[a(1−φ_P)+b(1−φ_H)+c]                   [mixture-2]
 *   water share of a waterborne = [a(1−φ_P) water + 0.95 c]/[a(1−φ_P)+c], the rest slow      [mixture-3]
 *   ρ = φ ρ_S + (1−φ) Σ f_i ρ_i,   volatile mass share = (1−φ) Σ f_i ρ_i / ρ                 [mixture-4]
 *
 * Source  volume and mass balance; densities of the three stand-in volatiles from MODEL 3
 */
import type { MaterialFacts } from '../trade/materialFacts.ts';

const DENSITY_KG_PER_M3 = { water: 1000, fast: 870, slow: 930 } as const;
const WATER_IN_THINNER = 0.95;
/** The slow share of a grade at its own temperature (MODEL 3). */
export const MEDIUM_REDUCER = 0.35;

export type Mixture = {
  solids: number;
  slowFraction: number;
  volatile: { water: number; fast: number; slow: number };
  densityKgPerM3: number;
  volatileMassFraction: number;
};

/** @param reducer slow shares of reducer and hardener; absent: a medium grade, and the paint's own */
export function mixtureOf(
  material: MaterialFacts,
  mix: MaterialFacts['mix'] = material.mix,
  reducer: { slowFraction?: number; hardenerSlowFraction?: number } = {},
): Mixture {
  const [paint, hardener, thinner] = mix;
  const total = paint + hardener + thinner;
  const solids = (paint * material.solids.paint + hardener * material.solids.hardener) / total;
  const fromPaint = paint * (1 - material.solids.paint);
  const fromHardener = hardener * (1 - material.solids.hardener);
  const { slowFraction: own } = material;
  const slowFraction =
    (fromPaint * own +
      fromHardener * (reducer.hardenerSlowFraction ?? own) +
      thinner * (reducer.slowFraction ?? MEDIUM_REDUCER)) /
    (fromPaint + fromHardener + thinner);
  const water =
    material.waterFraction === undefined
      ? 0
      : (fromPaint * material.waterFraction + WATER_IN_THINNER * thinner) / (fromPaint + thinner);
  const volatile =
    material.waterFraction === undefined
      ? { water: 0, fast: 1 - slowFraction, slow: slowFraction }
      : { water, fast: 0, slow: 1 - water };
  const volatileDensity =
    volatile.water * DENSITY_KG_PER_M3.water + volatile.fast * DENSITY_KG_PER_M3.fast + volatile.slow * DENSITY_KG_PER_M3.slow;
  const densityKgPerM3 = solids * material.solidsDensityKgPerM3 + (1 - solids) * volatileDensity;
  return {
    solids,
    slowFraction,
    volatile,
    densityKgPerM3,
    volatileMassFraction: ((1 - solids) * volatileDensity) / densityKgPerM3,
  };
}
