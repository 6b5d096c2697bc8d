/**
 * What a kind of paint is like where nobody measured it: solids, standard mix, flow. One judgement, all of it (MODEL 5);
 * the sheet and the cup replace it.
 */
import type { Carrier } from '../air/climate.ts';
import type { Stage } from '../gun/gun.ts';

export type MaterialClass =
  | 'solventBase'
  | 'waterborneBase'
  | 'clearMediumSolids'
  | 'clearHighSolids'
  | 'singleStage'
  | 'solventSealer'
  | 'waterborneSealer'
  | 'epoxyPrimer'
  | 'buildPrimer';

export type MaterialData = {
  /** Solids by volume of paint and hardener. */
  solids: { paint: number; hardener: number };
  /** Parts by volume: paint, hardener, reducer. */
  mix: [paint: number, hardener: number, reducer: number];
  /** Slow share of the paint's own solvent; for waterborne its water share. */
  slowFraction: number;
  waterFraction?: number;
  solidsDensityKgPerM3: number;
  /** Solids of the standard mix and what it shows at 20 °C, and as dry film. */
  standardSolids: number;
  standardPaS: number;
  dryPaS: number;
  flowEnergyJPerMol: { solvent: number; solids: number };
  /** Viscosity left at the shear of a nozzle (1e4 1/s). */
  shearAtGun: number;
  spray: SprayData;
};
/** How it breaks up, joins and shows unevenness. */
export type SprayData = {
  /** Against a fresh surface, N/m. */
  surfaceTensionNPerM: number;
  /** Wet film at which drops of 35 µm just join, m. */
  joinFilmM: number;
  /** Spread of the film that an eye starts to see. */
  rippleLimit: number;
  /** Drops that suit it, µm. */
  dropWindowUm: [number, number];
};

const data = (
  solids: [number, number],
  mix: [number, number, number],
  slowFraction: number,
  solidsDensityKgPerM3: number,
  [standardSolids, standardPaS, dryPaS]: [number, number, number],
  [solvent, solid]: [number, number],
  shearAtGun: number,
  [surfaceTensionNPerM, joinFilmUm, rippleLimit, dropWindowUm]: [number, number, number, [number, number]],
): MaterialData => ({
  solids: { paint: solids[0], hardener: solids[1] },
  mix,
  slowFraction,
  solidsDensityKgPerM3,
  standardSolids,
  standardPaS,
  dryPaS,
  flowEnergyJPerMol: { solvent: solvent * 1000, solids: solid * 1000 },
  shearAtGun,
  spray: { surfaceTensionNPerM, joinFilmM: joinFilmUm * 1e-6, rippleLimit, dropWindowUm },
});

export const MATERIALS: Record<MaterialClass, MaterialData> = {
  solventBase: data([0.28, 0], [1, 0, 0.8], 0.4, 1340, [0.1556, 0.055, 3e9], [10, 65], 0.7, [0.028, 19, 0.07, [22, 40]]),
  waterborneBase: {
    ...data([0.2, 0], [1, 0, 0.12], 1, 1300, [0.1786, 0.1, 3e8], [14, 40], 0.33, [0.034, 21, 0.07, [20, 38]]),
    waterFraction: 0.86,
  },
  clearMediumSolids: data([0.44, 0.42], [4, 1, 0], 0.42, 1120, [0.436, 0.057, 1e6], [10, 60], 0.85, [0.028, 25, 0.12, [25, 45]]),
  clearHighSolids: data([0.56, 0.58], [2, 1, 0], 0.45, 1110, [0.5667, 0.075, 6e4], [10, 60], 0.85, [0.028, 27, 0.12, [25, 45]]),
  singleStage: data([0.46, 0.42], [4, 1, 0.6], 0.42, 1370, [0.4036, 0.065, 3e6], [10, 60], 0.75, [0.028, 25, 0.1, [25, 45]]),
  solventSealer: data([0.44, 0.42], [4, 1, 1.2], 0.38, 1750, [0.3516, 0.055, 3e7], [10, 60], 0.65, [0.028, 15, 0.12, [26, 48]]),
  waterborneSealer: {
    ...data([0.36, 0], [1, 0, 0.1], 1, 1650, [0.3273, 0.15, 3e8], [14, 40], 0.35, [0.034, 17, 0.12, [26, 48]]),
    waterFraction: 0.9,
  },
  epoxyPrimer: data([0.5, 0.4], [2, 1, 0.5], 0.4, 1880, [0.4, 0.13, 1e9], [10, 60], 0.5, [0.028, 26, 0.15, [28, 60]]),
  buildPrimer: data([0.52, 0.42], [4, 1, 0.5], 0.36, 2020, [0.4545, 0.18, 1e9], [10, 60], 0.45, [0.028, 32, 0.15, [32, 75]]),
};

/** The kind that a coat is most likely of, where only its stage is known; ground and effect coats take their base's. */
export function materialClassOf(
  stage: Stage,
  carrier: Carrier,
  { build = false, highSolids = false }: { build?: boolean | undefined; highSolids?: boolean | undefined } = {},
): MaterialClass {
  const isWaterborne = carrier === 'waterborne';
  if (stage === 'clear') return highSolids ? 'clearHighSolids' : 'clearMediumSolids';
  if (stage === 'singleStage') return 'singleStage';
  if (stage === 'sealer') return isWaterborne ? 'waterborneSealer' : 'solventSealer';
  if (stage === 'primer') return build ? 'buildPrimer' : 'epoxyPrimer';
  return isWaterborne ? 'waterborneBase' : 'solventBase';
}
