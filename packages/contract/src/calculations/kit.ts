import { kitOf } from '@orthochrom/core/mix/kit.ts';
import { namesOf } from '@orthochrom/core/mix/recipe.ts';
import { z } from 'zod';
import { listOf, moreThanZero, name, notInRecipe, optional } from '../quantity/fields.ts';
import { Recipe } from '../shapes/mixing.ts';
import { verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const kitCalculation = defineCalculation('kit', {
  input: z
    .strictObject({
      packs: listOf(
        z.strictObject({ name: name(), ml: moreThanZero('ml'), ...optional('price') }),
        1,
      ),
      recipe: Recipe,
    })
    .superRefine(({ packs, recipe }, ctx) => {
      const names = namesOf(recipe);
      packs.forEach((pack, i) => {
        if (!names.includes(pack.name))
          ctx.addIssue(
            notInRecipe(
              ['packs', i, 'name'],
              `${pack.name} is not in the recipe; it has ${names.join(', ')}`,
            ),
          );
      });
    }),
  answer: () =>
    z.strictObject({
      readyMl: z.number(),
      limitedBy: z.string().optional(),
      leftOver: z.array(z.strictObject({ name: z.string(), ml: z.number() })),
      pricePerReadyL: z.number().optional(),
      pricePerL: z.array(z.strictObject({ name: z.string(), value: z.number() })),
      ...verdictsShape,
    }),
  compute: kitOf,
});
