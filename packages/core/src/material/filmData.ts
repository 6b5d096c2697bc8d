/**
 * What becomes of a kind of paint on the panel: how solvent moves through it, how it stiffens, cures and is called ready.
 * One judgement, all of it (MODEL 5, 5.1); the sheet and the shop's own times replace it.
 */
import type { MaterialClass } from './classes.ts';

export type FilmData = {
  /** Wet film per coat as landed, m, and the band that practice keeps to. */
  wetFilmM: number;
  wetFilmBandM: [number, number];
  /** Diffusivity of the quick solvent at 20 °C in the dry and in the wet film, m²/s, and the bend between. */
  dryDiffusivityM2PerS: number;
  wetDiffusivityM2PerS: number;
  diffusionBend: number;
  surfaceTensionNPerM: number;
  /** Structure built up at rest: share of viscosity, s to recover, and the stress under which nothing moves, Pa. */
  structure: number;
  recoverySeconds: number;
  yieldPa: number;
  /** Two-pack cure of the dry film at 20 °C, 1/h, and its factor per 10 K; nought: dries only. */
  curePerHour: number;
  cureQ10: number;
  /** Ready to be coated: the surface this thick, Pa s, and so little volatile near it. */
  readyPaS: number;
  readyVolatile: number;
  /** Share of volatile gone in flight in the standard coat, where no gun is given. */
  usualLoss: number;
};

const film = (
  [wetFilmUm, lowUm, highUm]: [number, number, number],
  [dry, wet, diffusionBend]: [number, number, number],
  surfaceTensionNPerM: number,
  [structure, recoverySeconds, yieldPa]: [number, number, number],
  [curePerHour, cureQ10]: [number, number],
  [readyPaS, readyVolatile]: [number, number],
  usualLoss: number,
): FilmData => ({
  wetFilmM: wetFilmUm * 1e-6,
  wetFilmBandM: [lowUm * 1e-6, highUm * 1e-6],
  dryDiffusivityM2PerS: dry,
  wetDiffusivityM2PerS: wet,
  diffusionBend,
  surfaceTensionNPerM,
  structure,
  recoverySeconds,
  yieldPa,
  curePerHour,
  cureQ10,
  readyPaS,
  readyVolatile,
  usualLoss,
});

export const FILM_DATA: Record<MaterialClass, FilmData> = {
  solventBase: film([34, 30, 40], [1e-15, 4e-10, 0.24], 0.027, [2, 20, 0.15], [0, 2], [3000, 0.13], 0.18),
  waterborneBase: film([30, 25, 36], [1e-14, 6e-10, 0.2], 0.029, [9, 10, 0.5], [0, 2], [1000, 0.2], 0.02),
  clearMediumSolids: film([55, 45, 62], [2e-15, 4e-10, 0.24], 0.028, [0.8, 30, 0], [0.42, 2.1], [30, 0.2], 0.22),
  clearHighSolids: film([50, 42, 58], [4e-15, 4e-10, 0.24], 0.028, [1.2, 25, 0.03], [0.55, 2.1], [15, 0.17], 0.24),
  singleStage: film([50, 42, 58], [2e-15, 4e-10, 0.24], 0.028, [1.2, 25, 0.05], [0.35, 2.1], [30, 0.2], 0.21),
  solventSealer: film([32, 26, 38], [2e-15, 4e-10, 0.24], 0.029, [2, 20, 0.15], [0.3, 2.1], [200, 0.2], 0.22),
  waterborneSealer: film([35, 28, 42], [1e-14, 6e-10, 0.2], 0.031, [5, 10, 0.5], [0, 2], [1000, 0.2], 0.02),
  epoxyPrimer: film([55, 40, 65], [4e-15, 4e-10, 0.24], 0.03, [4, 15, 0.4], [0.12, 2], [1000, 0.2], 0.15),
  buildPrimer: film([85, 70, 105], [8e-15, 5e-10, 0.26], 0.03, [5, 12, 0.8], [0.35, 2.1], [1000, 0.2], 0.13),
};
