import { pourCheckOf } from '@orthochrom/core/mix/pourCheck.ts';
import { namesOf } from '@orthochrom/core/mix/recipe.ts';
import { z } from 'zod';
import {
  listOf,
  moreThanZero,
  name,
  needsField,
  notInRecipe,
  optional,
  wanted,
} from '../quantity/fields.ts';
import { Cup, Densities, MixSheet, Recipe } from '../shapes/mixing.ts';
import { Reason, verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const Poured = z.union([
  z.strictObject({ name: name(), ...wanted('ml') }),
  z.strictObject({ name: name(), ...wanted('grams') }),
]);

export const pourCheckCalculation = defineCalculation('pourCheck', {
  input: z
    .strictObject({
      recipe: Recipe,
      poured: listOf(Poured, 1),
      densitiesGPerMl: Densities.optional(),
      ...optional('tolerancePercent'),
      cup: Cup.optional(),
      pots: listOf(
        z.strictObject({ name: name(), capacityMl: moreThanZero('capacityMl') }),
      ).optional(),
      sheet: MixSheet.optional(),
    })
    .superRefine(({ recipe, poured, densitiesGPerMl }, ctx) => {
      const names = namesOf(recipe);
      poured.forEach((part, i) => {
        if (!names.includes(part.name))
          ctx.addIssue(
            notInRecipe(
              ['poured', i, 'name'],
              `${part.name} is not in the recipe; it has ${names.join(', ')}`,
            ),
          );
        if ('grams' in part && densitiesGPerMl?.[part.name] === undefined)
          ctx.addIssue(
            needsField(
              ['densitiesGPerMl', part.name],
              `the density of ${part.name} is needed to weigh it`,
            ),
          );
      });
    }),
  answer: () =>
    z.strictObject({
      ratio: z.array(
        z.strictObject({
          name: z.string(),
          wantedParts: z.number(),
          pouredParts: z.number(),
          errorPercent: z.number(),
        }),
      ),
      correct: z
        .array(
          z.strictObject({ name: z.string(), addMl: z.number(), addGrams: z.number().optional() }),
        )
        .optional(),
      moveTo: z.string().optional(),
      pouredMl: z.number(),
      readyMl: z.number(),
      effects: z.array(Reason),
      ...verdictsShape,
    }),
  compute: pourCheckOf,
});
