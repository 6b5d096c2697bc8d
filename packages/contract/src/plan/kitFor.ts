/**
 * A product with its hardener and reducer as they are bought: a kit, and what a ready litre costs.
 */
import { ask } from '../calculations/ask.ts';
import { kitCalculation } from '../calculations/kit.ts';
import type { AnswerOf } from '../registry.ts';
import type { Sheet, SheetRecipe } from '../sheet/sheet.ts';
import { pricePerL } from './howMuch.ts';
import { shortName, type Products } from './planContext.ts';
import { REDUCER } from './reduction.ts';

export type KitPart = { name: string; product: Sheet; share: string };

/** The product that stands for a part of a recipe: of several grades the middle one. */
function productFor(sheet: Sheet, product: string, products: Products): Sheet | undefined {
  if (product === 'self') return sheet;
  const ids =
    product === REDUCER ? sheet.grades : product === 'hardener' ? sheet.hardeners : [product];
  return products.get(ids?.[Math.floor((ids.length - 1) / 2)] ?? '');
}

/** What is bought for a recipe; undefined where the shop lacks a part of it. */
export function kitParts(
  sheet: Sheet,
  { parts, additions = [] }: SheetRecipe,
  products: Products,
): KitPart[] | undefined {
  const named = [
    ...parts.map((part) => ({ product: part.product, share: String(part.parts) })),
    ...additions.map((part) => ({ product: part.product, share: `${part.percent} %` })),
  ].map(({ product, share }) => ({ share, product: productFor(sheet, product, products) }));
  return named.every((one) => one.product)
    ? named.map(({ share, product }) => ({ name: shortName(product!), product: product!, share }))
    : undefined;
}

/** What is chosen, else the smallest tin that goes with a whole tin of the first part. */
export function sizesOfKit(
  parts: readonly KitPart[],
  recipe: SheetRecipe,
  chosen: Record<string, number>,
): number[] {
  const smallest = ({ packSizesMl = [] }: Sheet): number => Math.min(...packSizesMl);
  const [first] = parts;
  const firstMl = first ? (chosen[first.product.id] ?? smallest(first.product)) : 0;
  return parts.map(({ product }, i) => {
    const share = (recipe.parts[i]?.parts ?? 0) / recipe.parts[0]!.parts;
    const enough = (product.packSizesMl ?? []).filter((sizeMl) => sizeMl >= firstMl * share);
    return chosen[product.id] ?? (enough.length > 0 ? Math.min(...enough) : smallest(product));
  });
}

type Prices = ReadonlyMap<string, Record<string, number>>;
/** A tin of each, in the sizes that are chosen; without a choice the first in its smallest. */
export function kitOfTins(
  sheet: Sheet,
  recipe: SheetRecipe,
  {
    products,
    prices,
    sizes,
  }: { products: Products; prices: Prices; sizes: Record<string, number> },
): AnswerOf<'kit'> | undefined {
  const parts = kitParts(sheet, recipe, products);
  if (!parts) return undefined;
  const tins = sizesOfKit(parts, recipe, sizes);
  const packs = parts.map(({ name, product }, i) => {
    const sizeMl = tins[i]!;
    const price = prices.get(product.id)?.[String(sizeMl)];
    return { name, ml: sizeMl, ...(price === undefined ? {} : { price }) };
  });
  if (packs.some(({ ml }) => !Number.isFinite(ml))) return undefined;
  const nameAt = (i: number) => parts[i]!.name;
  return ask(kitCalculation, {
    packs,
    recipe: {
      parts: recipe.parts.map((part, i) => ({
        name: nameAt(i),
        parts: part.parts,
        role: part.role,
      })),
      additions: (recipe.additions ?? []).map(({ percent, of, role }, i) => ({
        name: nameAt(recipe.parts.length + i),
        percent,
        of,
        role,
      })),
    },
  });
}

/** What a ready litre of a recipe costs by its tins; undefined where one of them has no price. */
export function readyPricePerL(
  sheet: Sheet,
  recipe: SheetRecipe,
  { products, prices }: { products: Products; prices: Prices },
): number | undefined {
  const parts = kitParts(sheet, recipe, products);
  if (!parts) return undefined;
  const each = recipe.parts.map((part, i) => ({
    share: part.parts,
    perL: pricePerL(prices.get(parts[i]!.product.id)),
  }));
  const whole = each.reduce((sum, { share }) => sum + share, 0);
  return each.every(({ perL }) => perL !== undefined)
    ? each.reduce((sum, { share, perL }) => sum + (share * perL!) / whole, 0)
    : undefined;
}
