/** What a set of packs makes and costs; the first to run out decides. */
import type { WithVerdicts } from '../outcome/verdicts.ts';
import { sharesOf, type Recipe } from './recipe.ts';

export type KitInput = { packs: { name: string; ml: number; price?: number }[]; recipe: Recipe };
export type KitAnswer = WithVerdicts & {
  readyMl: number;
  limitedBy: string;
  leftOver: { name: string; ml: number }[];
  pricePerReadyL?: number;
  pricePerL: { name: string; value: number }[];
};

/**
 * What a set of packs makes by this recipe, ml, which runs out first, and what it costs a litre.
 */
export function kitOf({ packs, recipe }: KitInput): KitAnswer {
  const shares = sharesOf(recipe);
  const shareOf = (name: string) => shares.find((share) => share.name === name)!.share;
  const tins = [...new Set(packs.map(({ name }) => name))].map((name) => ({
    name,
    ml: packs.filter((pack) => pack.name === name).reduce((sum, { ml }) => sum + ml, 0),
  }));
  const makes = tins.map(({ name, ml }) => ({ name, readyMl: ml / shareOf(name) }));
  const least = makes.reduce((a, b) => (b.readyMl < a.readyMl ? b : a));
  const readyMl = least.readyMl;
  const priced = packs.filter((pack) => pack.price !== undefined);
  const spent = priced.reduce((sum, { price }) => sum + price!, 0);
  return {
    readyMl,
    limitedBy: least.name,
    leftOver: tins.map(({ name, ml }) => ({ name, ml: Math.max(0, ml - readyMl * shareOf(name)) })),
    // With one pack's price missing the sum would be told too small.
    ...(priced.length === packs.length ? { pricePerReadyL: spent / (readyMl / 1000) } : {}),
    pricePerL: tins.flatMap(({ name, ml }) => {
      const own = packs.filter((pack) => pack.name === name);
      if (own.some(({ price }) => price === undefined)) return [];
      return [{ name, value: own.reduce((sum, { price }) => sum + price!, 0) / (ml / 1000) }];
    }),
    verdicts: [],
  };
}
