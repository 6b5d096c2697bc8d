/**
 * A mix of paint, hardener and reducer by volume: its solids, its solvents, its density.
 *
 *   φ = (a φ_P + b φ_H)/(a+b+c)                                                         [mixture-1]
 *   x = [a(1−φ_P) x_own + b(1−φ_H) x_hard + c x_red]/[a(1−φ_P)+b(1−φ_H)+c]              [mixture-2]
 *   water share of a waterborne = [a(1−φ_P) water + 0.95 c]/[a(1−φ_P)+c], the rest slow
 *                                                                                       [mixture-3]
 *   ρ = φ ρ_S + (1−φ) Σ f_i ρ_i,   volatile mass share = (1−φ) Σ f_i ρ_i / ρ            [mixture-4]
 *
 * Source  volume and mass balance; densities of the stand-in volatiles from MODEL 3
 */
import {
  cutOfGrade,
  cutOfPaint,
  eachVolatile,
  IN_FILM,
  MEDIUM_SLOW_FRACTION,
  VOLATILES,
  type Cut,
  type Volatile,
} from '../evaporation/solvents.ts';
import type { MaterialFacts } from '../trade/materialFacts.ts';

const WATER_IN_THINNER = 0.95;
/** The slow share of a grade at its own temperature (MODEL 3). */

export type Mixture = {
  solids: number;
  slowFraction: number;
  /** Shares by volume of all that leaves. */
  volatile: Record<Volatile, number>;
  densityKgPerM3: number;
  volatileMassFraction: number;
};

/**
 * @param reducer slow shares of reducer and hardener; absent: a medium grade, and the paint's own
 */
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
      thinner * (reducer.slowFraction ?? MEDIUM_SLOW_FRACTION)) /
    (fromPaint + fromHardener + thinner);
  const water =
    material.waterFraction === undefined
      ? 0
      : (fromPaint * material.waterFraction + WATER_IN_THINNER * thinner) / (fromPaint + thinner);
  const { hardenerSlowFraction } = reducer;
  const volatile =
    material.waterFraction === undefined
      ? blended([
          [fromPaint, cutOfPaint(own)],
          [
            fromHardener,
            hardenerSlowFraction === undefined ? cutOfPaint(own) : cutOfGrade(hardenerSlowFraction),
          ],
          [thinner, cutOfGrade(reducer.slowFraction ?? MEDIUM_SLOW_FRACTION)],
        ])
      : { water, fast: 0, middle: 0, slow: 1 - water };
  const volatileDensity = VOLATILES.reduce(
    (sum, name) => sum + volatile[name] * IN_FILM[name].densityKgPerM3,
    0,
  );
  const densityKgPerM3 = solids * material.solidsDensityKgPerM3 + (1 - solids) * volatileDensity;
  return {
    solids,
    slowFraction,
    volatile,
    densityKgPerM3,
    volatileMassFraction: ((1 - solids) * volatileDensity) / densityKgPerM3,
  };
}

/** Solvents of several parts together, without water. */
function blended(parts: readonly [volume: number, cut: Cut][]): Mixture['volatile'] {
  const total = parts.reduce((sum, [volume]) => sum + volume, 0);
  return eachVolatile((name) =>
    name === 'water'
      ? 0
      : parts.reduce((sum, [volume, cut]) => sum + volume * cut[name], 0) / total,
  );
}
