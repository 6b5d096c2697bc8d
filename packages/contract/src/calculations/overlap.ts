import { Finish, StageName } from '../shapes/trade.ts';
import { overlapOf } from '@orthochrom/core/gun/overlap.ts';
import { z } from 'zod';
import { contradiction, exactlyOneOf, optional, wanted } from '../quantity/fields.ts';
import { verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const overlapCalculation = defineCalculation('overlap', {
  input: z
    .strictObject({
      ...wanted('fanWidthMm'),
      ...optional(
        'overlapPercent',
        'stepMm',
        'overlapMm',
        'heightMm',
        'areaM2',
        'gunSpeedMPerS',
        'fluidMlPerMin',
        'transferEfficiencyPercent',
      ),
      stage: StageName.optional(),
      finish: Finish.optional(),
    })
    .superRefine(exactlyOneOf('overlapPercent', 'stepMm', 'overlapMm'))
    .superRefine(({ fanWidthMm, stepMm, overlapMm }, ctx) => {
      if (stepMm !== undefined && stepMm > fanWidthMm)
        ctx.addIssue(
          contradiction(['stepMm'], `stepMm ${stepMm} is wider than the fan, ${fanWidthMm} mm`),
        );
      if (overlapMm !== undefined && overlapMm >= fanWidthMm)
        ctx.addIssue(
          contradiction(
            ['overlapMm'],
            `overlapMm ${overlapMm} leaves no step on a fan of ${fanWidthMm} mm`,
          ),
        );
    }),
  answer: () =>
    z.strictObject({
      overlapPercent: z.number(),
      stepMm: z.number(),
      passes: z.number().optional(),
      spraySeconds: z.number().optional(),
      filmFactor: z.number(),
      keepFilm: z.strictObject({ speedFactor: z.number(), fluidFactor: z.number() }),
      wetFilmUm: z.number().optional(),
      ...verdictsShape,
    }),
  compute: overlapOf,
});
