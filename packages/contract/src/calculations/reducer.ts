import {
  AirMovement,
  Basis,
  Carrier,
  Finish,
  JobSize,
  MaterialClass,
  StageName,
  Substrate,
  Surface,
} from '../shapes/trade.ts';
import { FINISH_AIMS } from '@orthochrom/core/evaporation/evaporationIndex.ts';
import { reducerWithRisks } from '@orthochrom/core/coat/gradeRisks.ts';
import { reducerOf } from '@orthochrom/core/reducer/reducer.ts';
import { z } from 'zod';
import {
  contradiction,
  listOf,
  name,
  needsField,
  notInRecipe,
  optional,
  wanted,
} from '../quantity/fields.ts';
import { Limits } from '../shapes/climate.ts';
import { AdjusterPoint, BlendPart, Grade, Reduction } from '../shapes/mixing.ts';
import { Risks } from '../shapes/risks.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const Judged = { evaporationIndex: z.number(), openTimeMinutes: Spread, risks: Risks.optional() };

export const reducerCalculation = defineCalculation('reducer', {
  input: z
    .strictObject({
      ...wanted('airTemperatureC', 'relativeHumidityPercent'),
      ...optional('panelTemperatureC', 'outdoorTemperatureC'),
      airMovement: AirMovement,
      ...optional('airSpeedMPerS'),
      jobSize: JobSize,
      carrier: Carrier,
      stage: StageName,
      class: MaterialClass.optional(),
      finish: Finish.optional(),
      grades: listOf(Grade).optional(),
      hardeners: listOf(Grade).optional(),
      reduction: Reduction.optional(),
      adjusterGrid: listOf(AdjusterPoint).optional(),
      substrate: Substrate.optional(),
      surface: Surface.optional(),
      now: listOf(BlendPart).optional(),
      preference: z.enum(FINISH_AIMS).optional(),
      limits: Limits.optional(),
      wanted: z
        .strictObject({
          parts: listOf(BlendPart),
          ...optional('reductionPercent'),
          hardener: name().optional(),
        })
        .optional(),
      risks: z.boolean().optional(),
    })
    .superRefine(({ carrier, grades, hardeners, wanted: pick, now }, ctx) => {
      if (carrier === 'solvent' && !grades)
        ctx.addIssue(
          needsField(['grades'], 'grades are needed with solvent: which reducers are at hand?'),
        );
      for (const [field, list] of Object.entries({ grades, hardeners }))
        list?.forEach((grade, i) => {
          if (list.findIndex((other) => other.name === grade.name) !== i)
            ctx.addIssue(contradiction([field, i, 'name'], `${grade.name} stands there twice`));
        });
      now?.forEach((part, i) => {
        if (grades && !grades.some((grade) => grade.name === part.name))
          ctx.addIssue(
            notInRecipe(['now', i, 'name'], `${part.name} is not among the grades at hand`),
          );
      });
      for (const [path, parts] of [
        [['now'], now],
        [['wanted', 'parts'], pick?.parts],
      ] as const) {
        const sum = parts?.reduce((total, { fraction }) => total + fraction, 0) ?? 1;
        if (parts && parts.length > 0 && Math.abs(sum - 1) > 0.005)
          ctx.addIssue(
            contradiction([...path], `the fractions add up to ${sum.toFixed(2)}; they must make 1`),
          );
      }
    }),
  answer: () =>
    z.strictObject({
      choice: z
        .strictObject({
          parts: z.array(BlendPart),
          hardener: z.string().optional(),
          reductionPercent: z.number().optional(),
          of: Basis.optional(),
          adjusterPercentOfPaint: z.number().optional(),
          adjuster: z.string().optional(),
        })
        .optional(),
      evaporationIndex: z.number().optional(),
      openTimeMinutes: Spread.optional(),
      risks: Risks.optional(),
      alternatives: z.array(z.strictObject({ parts: z.array(BlendPart), ...Judged })),
      wanted: z.strictObject({ ...Judged, stepsSlower: z.number() }).optional(),
      ...explained,
    }),
  // Risks cost runs of the film for every grade; a plan of a whole ticket asks without.
  compute: ({ risks = true, ...input }) => (risks ? reducerWithRisks(input) : reducerOf(input)),
});
