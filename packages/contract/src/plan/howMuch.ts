/** A stage's paint as it is mixed and bought: in cups that end with a panel, in tins, as a list. */
import { ask, type AnswerOf, type InputOf } from '../registry.ts';
import { quantityInput } from './amounts.ts';
import type { CoatPlan } from './planCoat.ts';
import { recipeOf, shortName, type PlanContext } from './planContext.ts';
import type { PrepList } from './prepList.ts';
import type { MixParts } from './takenRecipe.ts';

export type HowMuch = AnswerOf<'quantity'>;

/** Stays on the walls of a cup. */
const RESIDUE_ML = 15;

/** With the recipe that is poured, the cup at hand, and the time the mix is good for. */
export function howMuchInput(context: PlanContext, plan: CoatPlan): InputOf<'quantity'> {
  const { potLife } = recipeOf(context);
  const recipe = plan.parts?.recipe ?? asPrinted(context);
  const names = [...recipe.parts, ...(recipe.additions ?? [])].map(({ name }) => name);
  const { materialTemperatureC, airTemperatureC } = plan.inputs.recoat.climate;
  const sizes = names.flatMap((name) => {
    const product = [...context.products.values()].find((sheet) => shortName(sheet) === name);
    return product?.packSizesMl ? [[name, product.packSizesMl] as const] : [];
  });
  return {
    ...quantityInput(context),
    recipe,
    hardener: context.sheet.hardenerChemistry,
    ...(context.cup
      ? { cup: { capacityMl: context.cup.capacityMl }, laps: true, cupResidueMl: RESIDUE_ML }
      : {}),
    ...(potLife ? { potLife, temperatureC: materialTemperatureC ?? airTemperatureC } : {}),
    fluidMlPerMin: (plan.setup.own ?? plan.setup).fluidMlPerMin,
    flashMinutes: plan.recoat.earliestMinutes.value,
    ...(sizes.length > 0 ? { packSizesMl: Object.fromEntries(sizes) } : {}),
  };
}
/** No grade fits this air: the recipe as its sheet prints it, bought for a better day. */
function asPrinted(context: PlanContext): MixParts['recipe'] {
  return {
    parts: recipeOf(context).parts.map(({ product, parts, role }) => {
      const own = product === 'self' ? context.sheet : context.products.get(product);
      return { name: own ? shortName(own) : ROLE_WORD[role], parts, role };
    }),
  };
}
const ROLE_WORD: Record<MixParts['recipe']['parts'][number]['role'], string> = {
  paint: 'Paint',
  hardener: 'Hardener of the day',
  reducer: 'Reducer of the day',
  adjuster: 'Adjuster of the day',
  additive: 'Additive',
};

export const howMuch = (context: PlanContext, plan: CoatPlan): HowMuch =>
  ask('quantity', howMuchInput(context, plan));

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
