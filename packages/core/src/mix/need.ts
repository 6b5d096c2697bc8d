/**
 * How much ready paint a stage wants, as a place to start from.
 *
 *   ready = area · coats · wet film ÷ transfer · (1 + waste) + cup and line        [need-1]
 *
 * Source  volume balance; transfer shares are practice on large flat panels (MODEL 16.1), edges and
 *         wheels lose more
 */
import { type GunClass, GUNS } from '../trade/gunClasses.ts';

const WASTE = 0.1;
const CUP_AND_LINE_ML = 30;
const POUR_STEP_ML = 25;
/** What a painter with a printed cup can pour to. */
const POURABLE_ML = 5;

export type Need = { areaM2: number; coats: number; wetFilmUm: number; gunClass: GunClass };

/** Ready millilitres, rounded up to what a cup can show. 1 µm on 1 m² is 1 ml. [need-1] */
export function readyNeedMl({ areaM2, coats, wetFilmUm, gunClass }: Need): number {
  const landedMl = areaM2 * coats * wetFilmUm;
  return (
    Math.ceil(
      ((landedMl / GUNS[gunClass].transferFraction) * (1 + WASTE) + CUP_AND_LINE_ML) / POUR_STEP_ML,
    ) * POUR_STEP_ML
  );
}

/**
 * Rounds an amount up so that every part of every equal cup is a multiple of what can be poured to
 * a mark.
 * @param parts the recipe's parts by volume, e.g. 4, 1, 1
 * @param mlPerPart what the smallest part is a multiple of: a printed scale's line, or what can be
 *   poured to a mark
 */
export function roundedToParts(
  readyMl: number,
  parts: readonly number[],
  cupMl = Infinity,
  mlPerPart = POURABLE_ML,
): number {
  const unit = Math.min(...parts);
  const quantumMl = mlPerPart * parts.reduce((sum, part) => sum + part / unit, 0);
  for (let cups = Math.max(1, Math.ceil(readyMl / cupMl)); ; cups++) {
    const perCupMl = Math.ceil(readyMl / cups / quantumMl - 1e-9) * quantumMl;
    if (perCupMl <= cupMl || quantumMl > cupMl) return perCupMl * cups;
  }
}
