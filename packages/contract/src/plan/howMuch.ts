/** A stage's paint as it is mixed and bought: in cups that end with a panel, in tins, as a list. */
import { ask } from '../calculations/ask.ts';
import { quantityCalculation } from '../calculations/quantity.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import { quantityInput } from './amounts.ts';
import { recipeOf, shortName, type PlanContext } from './planContext.ts';
import type { PrepList } from './prepList.ts';
import type { MixParts } from './takenRecipe.ts';
import { tintedParts } from './tint.ts';

export type HowMuch = AnswerOf<'quantity'>;
/** What a plan knows of the paint and how it is sprayed. */
export type Sprayed = {
  parts: MixParts | undefined;
  climate: InputOf<'recoat'>['climate'];
  fluidMlPerMin: number;
  flashMinutes: number;
};

/** Stays on the walls of a cup. */
const RESIDUE_ML = 15;
const ML_PER_L = 1000;

/** With the recipe that is poured, the cup at hand, and the time the mix is good for. */
export function howMuchInput(context: PlanContext, sprayed: Sprayed): InputOf<'quantity'> {
  const { potLife } = recipeOf(context);
  const { recipe, products } = sprayed.parts ?? asPrinted(context);
  const { materialTemperatureC, airTemperatureC } = sprayed.climate;
  return {
    ...quantityInput(context),
    recipe,
    hardener: context.sheet.hardenerChemistry,
    ...(context.cup
      ? { cup: { capacityMl: context.cup.capacityMl }, laps: true, cupResidueMl: RESIDUE_ML }
      : {}),
    ...(potLife ? { potLife, temperatureC: materialTemperatureC ?? airTemperatureC } : {}),
    fluidMlPerMin: sprayed.fluidMlPerMin,
    flashMinutes: sprayed.flashMinutes,
    ...tinsAndPrices(context, products),
  };
}

/** The tins a product comes in, and what the shop pays for them, under the name it is poured by. */
function tinsAndPrices(
  { products: known, prices }: Pick<PlanContext, 'products' | 'prices'>,
  poured: MixParts['products'],
): Pick<InputOf<'quantity'>, 'packSizesMl' | 'packPrices' | 'pricePerL'> {
  const whole = Object.entries(poured).flatMap(([name, [first, ...others]]) =>
    first && others.length === 0 ? [{ name, product: first.product }] : [],
  );
  const sizes = whole.flatMap(({ name, product }) => {
    const packSizesMl = known.get(product)?.packSizesMl;
    return packSizesMl ? [[name, packSizesMl] as const] : [];
  });
  const paid = whole.flatMap(({ name, product }) => {
    const own = prices?.get(product);
    return own && Object.keys(own).length > 0 ? [[name, own] as const] : [];
  });
  const perL = Object.entries(poured).flatMap(([name, members]) => {
    const each = members.map(({ product, fraction }) => {
      const price = pricePerL(prices?.get(product));
      return price === undefined ? undefined : price * fraction;
    });
    return each.every((one) => one !== undefined)
      ? [[name, each.reduce<number>((sum, one) => sum + one, 0)] as const]
      : [];
  });
  return {
    ...(sizes.length > 0 ? { packSizesMl: Object.fromEntries(sizes) } : {}),
    ...(paid.length > 0 ? { packPrices: Object.fromEntries(paid) } : {}),
    ...(perL.length > 0 ? { pricePerL: Object.fromEntries(perL) } : {}),
  };
}

/** What a litre costs of the tin that is cheapest by the litre; undefined where none is priced. */
export function pricePerL(prices: Record<string, number> | undefined): number | undefined {
  const each = Object.entries(prices ?? {}).map(([size, price]) => (price * ML_PER_L) / +size);
  return each.length > 0 ? Math.min(...each) : undefined;
}

/** No grade fits this air: the recipe as its sheet prints it, bought for a better day. */
function asPrinted(context: PlanContext): Pick<MixParts, 'recipe' | 'products'> {
  const parts = tintedParts(recipeOf(context).parts, context.stage).map(
    ({ product, parts: share, role, name }) => {
      const own =
        product === 'self' || product === context.sheet.id
          ? context.sheet
          : context.products.get(product);
      return { name: name ?? (own ? shortName(own) : ROLE_WORD[role]), parts: share, role, own };
    },
  );
  return {
    recipe: { parts: parts.map(({ own: _, ...part }) => part) },
    products: Object.fromEntries(
      parts.flatMap(({ name, own }) =>
        own ? [[name, [{ product: own.id, fraction: 1 }]] as const] : [],
      ),
    ),
  };
}
const ROLE_WORD: Record<MixParts['recipe']['parts'][number]['role'], string> = {
  paint: 'Paint',
  hardener: 'Hardener of the day',
  reducer: 'Reducer of the day',
  adjuster: 'Adjuster of the day',
  additive: 'Additive',
};

export const howMuch = (context: PlanContext, sprayed: Sprayed): HowMuch =>
  ask(quantityCalculation, howMuchInput(context, sprayed));

export type ToGet = { what: string; count: string };
const DISC = /^P\d+$/;
/** What a stage takes, as it is asked for over the counter. */
const supplyWord = (what: string, { cup }: Pick<PlanContext, 'cup'>): string => {
  if (what === 'cups') return cup ? cup.name : 'cup';
  return what === 'sticks' ? 'stirring stick' : `strainer, ${what.replace('strainer', '')} µm`;
};

/** All that a job wants beside its paint: cups, strainers by mesh, discs by grit, cloths. */
export function suppliesOf(
  stages: readonly { context: PlanContext; quantity: HowMuch }[],
  prep: PrepList | undefined,
): ToGet[] {
  const counted = new Map<string, number>();
  const add = (what: string, count: number) => counted.set(what, (counted.get(what) ?? 0) + count);
  for (const { context, quantity } of stages)
    for (const { what, count } of quantity.supplies) add(supplyWord(what, context), count);
  for (const { what, count } of prep?.supplies ?? [])
    add(
      DISC.test(what)
        ? `disc or sheet, ${what}`
        : what === 'tackCloths'
          ? 'tack cloth'
          : 'wiping cloth',
      count,
    );
  return [...counted].map(([what, count]) => ({ what, count: String(count) }));
}
