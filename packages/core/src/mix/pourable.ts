/** An amount that can be poured: to a cup's lines, and in the recipe's parts. */

const POUR_STEP_ML = 25;
/** What a painter with a printed cup can pour to. */
const POURABLE_ML = 5;

/** Rounded up to what a cup can show, ml. */
export const pourableMl = (ml: number): number =>
  Math.ceil(ml / POUR_STEP_ML - 1e-9) * POUR_STEP_ML;

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
