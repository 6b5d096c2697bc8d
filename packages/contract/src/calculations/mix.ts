import { Chemistry, Finish, MaterialClass } from '../shapes/trade.ts';
import { mixOf } from '@orthochrom/core/mix/mix.ts';
import { namesOf } from '@orthochrom/core/mix/recipe.ts';
import { z } from 'zod';
import {
  contradiction,
  exactlyOneOf,
  listOf,
  moreThanZero,
  name,
  needsField,
  notInRecipe,
  optional,
} from '../quantity/fields.ts';
import {
  Batch,
  Component,
  Cup,
  Densities,
  MixSheet,
  PotLife,
  Recipe,
  VocByName,
} from '../shapes/mixing.ts';
import { Advice, explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const Have = z.strictObject({ name: name(), ml: moreThanZero('ml') });

/** Two amounts are one within this share. */
const SAME_AMOUNT = 1e-6;

/** Cups that are told one by one hold the whole of it, and none more than a cup does. */
function cupsMakeAll(
  {
    readyMl,
    batchMl,
    batchesMl,
    cup,
  }: {
    readyMl?: number | undefined;
    batchMl?: number | undefined;
    batchesMl?: number[] | undefined;
    cup?: z.infer<typeof Cup> | undefined;
  },
  ctx: z.RefinementCtx,
): void {
  if (!batchesMl) return;
  if (batchMl !== undefined)
    ctx.addIssue(contradiction(['batchesMl'], 'one batch and a list of batches are both given'));
  if (readyMl === undefined)
    ctx.addIssue(needsField(['readyMl'], 'cups told one by one want the amount they make'));
  const inCupsMl = batchesMl.reduce((sum, ml) => sum + ml, 0);
  if (readyMl !== undefined && Math.abs(inCupsMl - readyMl) > SAME_AMOUNT * readyMl)
    ctx.addIssue(
      contradiction(
        ['batchesMl'],
        `the cups make ${inCupsMl} ml together, ${readyMl} ml is wanted`,
      ),
    );
  batchesMl.forEach((ml, i) => {
    if (cup && ml > cup.capacityMl * (1 + SAME_AMOUNT))
      ctx.addIssue(
        contradiction(['batchesMl', i], `${ml} ml is over the ${cup.capacityMl} ml that it holds`),
      );
  });
}

export const mixCalculation = defineCalculation('mix', {
  input: z
    .strictObject({
      recipe: Recipe,
      readyMl: moreThanZero('readyMl').optional(),
      have: z.union([Have, listOf(Have, 1)]).optional(),
      cup: Cup.optional(),
      batchMl: moreThanZero('batchMl').optional(),
      batchesMl: listOf(moreThanZero('batchMl'), 1).optional(),
      densitiesGPerMl: Densities.optional(),
      vocGPerL: VocByName.optional(),
      ...optional('vocLimitGPerL'),
      potLife: PotLife.optional(),
      ...optional('temperatureC', 'sprayMinutes'),
      sheet: MixSheet.optional(),
      hardener: Chemistry.optional(),
      hardenerSpeedFactor: z.number().min(0.1).max(10).optional(),
      class: MaterialClass.optional(),
      finish: Finish.optional(),
      ...optional('strainerUm'),
      blendOnly: z.boolean().optional(),
    })
    .superRefine(exactlyOneOf('readyMl', 'have'))
    .superRefine(cupsMakeAll)
    .superRefine(({ recipe, have }, ctx) => {
      const names = namesOf(recipe);
      const tins = have === undefined ? [] : Array.isArray(have) ? have : [have];
      tins.forEach((tin, i) => {
        const path = Array.isArray(have) ? ['have', i, 'name'] : ['have', 'name'];
        if (!names.includes(tin.name))
          ctx.addIssue(
            notInRecipe(path, `${tin.name} is not in the recipe; it has ${names.join(', ')}`),
          );
        else if (tins.findIndex((other) => other.name === tin.name) !== i)
          ctx.addIssue(contradiction(path, `${tin.name} stands there twice`));
      });
    }),
  answer: () =>
    z.strictObject({
      components: z.array(Component).optional(),
      readyMl: z.number().optional(),
      readyGrams: z.number().optional(),
      limitedBy: z.string().optional(),
      batches: z.array(Batch).optional(),
      potLifeMinutes: Spread.optional(),
      vocGPerL: z.number().optional(),
      notes: z.array(Advice).optional(),
      ...explained,
    }),
  compute: mixOf,
});
