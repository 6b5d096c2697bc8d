/**
 * One figure, three pours: a per cent of the paint, of all that is in the cup, or of the finished
 * mix; and the same for a ratio, nine parts to one. What is meant is the painter's to say.
 */
import { BASES, type Basis } from '../trade/vocabulary.ts';
import { sharesOf, type Recipe } from './recipe.ts';

/** A figure as it was typed: `10 %`, or `9:1`. */
export type Dosed = { percent: number } | { partsToOne: number };
export type PercentReading = { of: Basis; percent: number; ml: number };

const PERCENT = 100;

/**
 * Nine parts of paint to one is 11.1 % of the paint; nine and one in the cup is 10 % of the mix.
 */
function percentOf(dosed: Dosed, of: Basis): number {
  if ('percent' in dosed) return dosed.percent;
  return PERCENT / (of === 'finalMix' ? dosed.partsToOne + 1 : dosed.partsToOne);
}

/**
 * What a figure pours under each of its readings, into so much of a recipe.
 * @param inCupMl ml of the recipe as it stands in the cup, without what is added
 * @returns by basis; a reading that leaves no paint is left out
 */
export function percentReadings(recipe: Recipe, dosed: Dosed, inCupMl: number): PercentReading[] {
  return BASES.map((of) => ({ of, percent: percentOf(dosed, of) }))
    .filter(({ of, percent }) => of !== 'finalMix' || percent < PERCENT)
    .map(({ of, percent }) => {
      const added = sharesOf(withAddition(recipe, { name: ADDED, percent, of })).at(-1)!.share;
      return { of, percent, ml: (added / (1 - added)) * inCupMl };
    });
}

const ADDED = 'added';
const withAddition = (recipe: Recipe, addition: NonNullable<Recipe['additions']>[number]): Recipe =>
  'parts' in recipe
    ? { ...recipe, additions: [...(recipe.additions ?? []), addition] }
    : { ...recipe, additions: [...recipe.additions, addition] };
