import { Basis, Carrier, Role, Speed } from './trade.ts';
import {
  finalMixFraction,
  namesOf,
  type Recipe as CoreRecipe,
} from '@orthochrom/core/mix/recipe.ts';
import { z } from 'zod';
import {
  contradiction,
  listOf,
  moreThanZero,
  name,
  optional,
  quantity,
  wanted,
} from '../quantity/fields.ts';

export const Grade = z
  .strictObject({
    name: name(),
    ...optional('minC', 'maxC'),
    speed: Speed.optional(),
    carrier: Carrier.optional(),
  })
  .superRefine(({ minC, maxC }, ctx) => {
    if (minC === undefined && maxC === undefined)
      ctx.addIssue({
        code: 'custom',
        path: ['minC'],
        message: 'minC or maxC is needed: a grade has at least one end',
        params: { code: 'needs-field' },
      });
    if (minC !== undefined && maxC !== undefined && minC > maxC)
      ctx.addIssue(contradiction(['maxC'], `maxC ${maxC} lies under minC ${minC}`));
  });
export const Reduction = z
  .strictObject({ ...wanted('sheetPercent', 'maxPercent'), of: Basis })
  .superRefine(({ sheetPercent, maxPercent }, ctx) => {
    if (sheetPercent > maxPercent)
      ctx.addIssue(
        contradiction(
          ['maxPercent'],
          `maxPercent ${maxPercent} lies under sheetPercent ${sheetPercent}`,
        ),
      );
  });
export const AdjusterPoint = z.strictObject({
  ...wanted('airTemperatureC', 'relativeHumidityPercent', 'percentOfPaint'),
  name: name().optional(),
});
export const BlendPart = z.strictObject({ name: name(), fraction: quantity('fraction') });

export const RecipePart = z.strictObject({
  name: name(),
  parts: moreThanZero('parts'),
  role: Role.optional(),
});
export const Addition = z.strictObject({
  name: name(),
  percent: quantity('percent'),
  of: Basis,
  role: Role.optional(),
});

function checkRecipe(recipe: CoreRecipe, ctx: z.RefinementCtx): void {
  const names = namesOf(recipe);
  const partCount = names.length - (recipe.additions?.length ?? 0);
  names.forEach((part, i) => {
    if (names.indexOf(part) === i) return;
    const path = i < partCount ? ['parts', i, 'name'] : ['additions', i - partCount, 'name'];
    ctx.addIssue(contradiction(path, `${part} stands in the recipe twice`));
  });
  const last = (recipe.additions ?? []).findLastIndex((addition) => addition.of === 'finalMix');
  if (finalMixFraction(recipe) >= 1)
    ctx.addIssue(
      contradiction(
        ['additions', last, 'percent'],
        'the per cents of the final mix leave no paint',
      ),
    );
}

export const Recipe = z
  .union([
    z.strictObject({ parts: listOf(RecipePart, 1), additions: listOf(Addition).optional() }),
    z.strictObject({ paint: name(), additions: listOf(Addition) }),
  ])
  .superRefine(checkRecipe);

export const MixSheet = z.strictObject({
  parts: listOf(z.strictObject({ name: name(), parts: moreThanZero('parts'), role: Role }), 1),
  reduction: Reduction.optional(),
  ...optional('tolerancePercent'),
});
export const PotLife = z.strictObject({ minutes: moreThanZero('minutes'), ...wanted('atC') });

export const Cup = z.strictObject({
  capacityMl: moreThanZero('capacityMl'),
  ...optional('strainerUm'),
  marksMl: listOf(quantity('atMl')).optional(),
  columns: listOf(
    z.strictObject({
      component: name(),
      marks: listOf(z.strictObject({ label: z.string().min(1).max(20), atMl: quantity('atMl') })),
    }),
  ).optional(),
});
export const Component = z.strictObject({
  name: z.string(),
  role: Role.optional(),
  ml: z.number(),
  grams: z.number().optional(),
  percentOfMix: z.number(),
  percentOfPaint: z.number(),
  percentOfSoFar: z.number().optional(),
  cumulativeMl: z.number(),
  cumulativeGrams: z.number().optional(),
  mark: z.strictObject({ column: z.string(), label: z.string() }).optional(),
  leftOverMl: z.number().optional(),
});
export const Batch = z.strictObject({
  components: z.array(Component),
  readyMl: z.number(),
  fillToMl: z.array(z.number()),
});
export const Densities = z.record(name(), quantity('densityGPerMl'));
export const VocByName = z.record(name(), quantity('vocGPerL'));
