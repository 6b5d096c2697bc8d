/**
 * How much ready paint a stage wants, as a place to start from.
 *
 *   ready = area · coats · wet film ÷ transfer · (1 + waste) + cup and line        [need-1]
 *
 * Source  volume balance; transfer shares are practice on large flat panels (MODEL 16.1), edges and wheels lose more
 */
import type { GunClass } from '../gun/gun.ts';

/** Share of the paint that lands, by gun. */
const TRANSFER: Record<GunClass, number> = { hvlp: 0.68, reducedPressure: 0.65, lvlp: 0.7, conventional: 0.35, siphon: 0.4, mini: 0.65, airbrush: 0.6 };
const WASTE = 0.1;
const CUP_AND_LINE_ML = 30;
const POUR_STEP_ML = 25;

export type Need = { areaM2: number; coats: number; wetFilmUm: number; gunClass: GunClass };

/** Ready millilitres, rounded up to what a cup can show. 1 µm on 1 m² is 1 ml. [need-1] */
export function readyNeedMl({ areaM2, coats, wetFilmUm, gunClass }: Need): number {
  const landedMl = areaM2 * coats * wetFilmUm;
  return Math.ceil(((landedMl / TRANSFER[gunClass]) * (1 + WASTE) + CUP_AND_LINE_ML) / POUR_STEP_ML) * POUR_STEP_ML;
}
