/** How much ready mix is left to make, and the cup for it. */
import type { RatioScale } from '@orthochrom/core/mix/cup.ts';
import { readyNeedMl, roundedToParts } from '@orthochrom/core/mix/need.ts';
import type { StoredCup } from '../shop/setup.ts';
import { middle, recipeOf, stageAreaM2, type PlanContext } from './planContext.ts';

/** Ready mix for what is left of this stage, as a place to start from. */
export function readyMlFor(context: PlanContext): number {
  const recipe = recipeOf(context);
  if (context.readyMl !== undefined) return context.readyMl;
  const needMl = readyNeedMl({
    areaM2: stageAreaM2(context),
    coats: context.coatsLeft,
    wetFilmUm: middle(recipe.wetFilmUm),
    gunClass: context.gun.gun.class,
  });
  const parts = recipe.parts.map(({ parts: share }) => share);
  return roundedToParts(needMl, parts, context.cup?.capacityMl, scaleFor(context)?.mlPerPart);
}

/** The cup's printed scale for this recipe, if it has one. */
const scaleFor = (context: PlanContext): RatioScale | undefined => {
  const parts = recipeOf(context).parts.map(({ parts: share }) => share);
  return context.cup?.scales.find(
    ({ ratio }) =>
      ratio.length === parts.length &&
      ratio.every((share, i) => share * parts[0]! === parts[i]! * ratio[0]!),
  );
};

/** The smallest cup that takes it all in one batch; else the largest there is. */
export function cupFor(cups: readonly StoredCup[], context: PlanContext): StoredCup | undefined {
  const bySize = [...cups].sort((a, b) => a.capacityMl - b.capacityMl);
  return bySize.find((cup) => readyMlFor({ ...context, cup }) <= cup.capacityMl) ?? bySize.at(-1);
}
