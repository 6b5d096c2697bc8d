/**
 * What the film's thickness and viscosity do at one moment: how freely it levels, how fast it runs,
 * how near it is to ready.
 *
 *   M = ∫ (h−z)²/η dz;  flow = ∫ max(0, ρ g (h−z) − τ*)/η dz,  τ* = τ_y (φ/φ_v)² (1−e^(−t/t_rec))
 *                                                                                     [mechanics-1]
 *   η at rest = η [1 + S (1−e^(−t/t_rec))]                                            [mechanics-2]
 *   v* = (V_top + 0.1 V_below)/(h_top + 0.1 h_below)                                  [mechanics-3]
 *
 * Source  lubrication flow of a film with a yield stress (bingham-1922); structure and the tenth
 *         are fitted (MODEL 12)
 */
import { MATERIALS } from '../trade/materialClasses.ts';
import { coldness, filmPaS } from './filmLaws.ts';
import type { Stack } from './stack.ts';
import { kelvin } from '../units/physical.ts';

export type Mechanics = {
  /** ∫ (h−z)²/η dz, m³/(Pa s). */
  mobility: number;
  /** Speed of the surface down the panel, m/s. */
  flowMPerS: number;
  surfacePaS: number;
  /** Volatile that counts for readiness, share of volume. */
  nearVolatile: number;
};

/** What lower coats hold counts for little at the surface. */
const BELOW_COUNTS = 0.1;

/**
 * How the stack flows now: levelling mobility, flow down the panel m³ a metre and second, surface
 * viscosity Pa s. [mechanics-1, mechanics-2, mechanics-3]
 */
export function mechanicsOf(
  stack: Stack,
  temperatureC: number,
  nowSeconds: number,
  /** g sin θ, m/s². */
  gravity: number,
  viscosityFactor: number,
): Mechanics {
  const { coats, solids: shares, solidsM, cure, surface } = stack;
  const cold = coldness(kelvin(temperatureC));
  let [mobility, flowMPerS, over, weight] = [0, 0, 0, 0];
  let [topM, topVolatile, belowM, belowVolatile] = [0, 0, 0, 0];
  for (let c = coats.length - 1; c >= 0; c--) {
    const { from, to, constants, data, coat } = coats[c]!;
    const material = MATERIALS[coat.materialClass];
    const rested = 1 - Math.exp(-(nowSeconds - coat.landsAtSeconds) / data.recoverySeconds);
    const stiffer = (1 + data.structure * rested) * coat.viscosityFactor * viscosityFactor;
    const pull = coat.mixture.densityKgPerM3 * gravity;
    let [coatM, coatVolatile] = [0, 0];
    for (let i = to - 1; i >= from; i--) {
      const solids = shares[i]!;
      const thick = solidsM[i]! / solids;
      const paS = filmPaS(constants, solids, cold, cure[i]!) * stiffer;
      // (h−z)² and the weight above, each as its mean over the cell.
      const mean2 = over * over + over * thick + (thick * thick) / 3;
      mobility += (mean2 * thick) / paS;
      const stress = weight + 0.5 * pull * thick;
      const holds = data.yieldPa * (solids / material.standardSolids) ** 2 * rested;
      if (stress > holds) flowMPerS += ((stress - holds) * thick) / paS;
      over += thick;
      weight += pull * thick;
      coatM += thick;
      coatVolatile += thick - solidsM[i]!;
    }
    if (c === coats.length - 1) [topM, topVolatile] = [coatM, coatVolatile];
    else [belowM, belowVolatile] = [belowM + coatM, belowVolatile + coatVolatile];
  }
  const top = coats.at(-1)!;
  const rested = 1 - Math.exp(-(nowSeconds - top.coat.landsAtSeconds) / top.data.recoverySeconds);
  const atSurface = 1 / surface.reduce((sum, held) => sum + held, 1);
  return {
    mobility,
    flowMPerS,
    surfacePaS:
      filmPaS(top.constants, atSurface, cold, cure[top.to - 1]!) *
      (1 + top.data.structure * rested) *
      top.coat.viscosityFactor *
      viscosityFactor,
    nearVolatile: (topVolatile + BELOW_COUNTS * belowVolatile) / (topM + BELOW_COUNTS * belowM),
  };
}
