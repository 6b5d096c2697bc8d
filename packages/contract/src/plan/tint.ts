/**
 * A shade made for its colour stands in the paint's place; hardener and reducer stay as printed.
 */
import type { StagePlan } from '../shop/ticket.ts';
import type { SheetRecipe } from '../sheet/sheet.ts';

type Part = SheetRecipe['parts'][number];

/** The recipe's parts by volume, its paint parted as the shade is mixed; sums as before. */
export function tintedParts(
  parts: readonly Part[],
  { tint = [] }: Pick<StagePlan, 'tint'>,
): (Part & { name?: string })[] {
  if (tint.length === 0) return [...parts];
  const whole = tint.reduce((sum, own) => sum + own.parts, 0);
  return parts.flatMap((part) =>
    part.role === 'paint'
      ? tint.map(({ name, product, parts: share }) => ({
          ...part,
          name,
          product,
          parts: (part.parts * share) / whole,
        }))
      : [part],
  );
}
