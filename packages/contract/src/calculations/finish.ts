import { FINISH_SEEN, finishOf, NAIL, PEEL_GRADES } from '@orthochrom/core/finish/finish.ts';
import { z } from 'zod';
import { theKnowledge } from '../knowledge/knowledge.ts';
import {
  exactlyOneOfIssue,
  listOf,
  name,
  needsField,
  optional,
  wanted,
} from '../quantity/fields.ts';
import { FinishTarget, RepairVerdict } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const span = z.tuple([z.number(), z.number()]);

export const finishCalculation = defineCalculation('finish', {
  input: z
    .strictObject({
      seen: z.enum(FINISH_SEEN),
      grade: z.enum(PEEL_GRADES).optional(),
      stage: z.enum(['clear', 'singleStage']),
      ...optional('measuredUm', 'estimatedUm', 'nearEdgeMm'),
      target: FinishTarget,
      likeNeighbour: z.boolean().optional(),
      nail: z.enum(NAIL),
      ...wanted('minutesSince', 'polishMinute'),
      bubbles: z.boolean().optional(),
      done: listOf(z.strictObject({ step: name(), ...optional('leftUm') })).optional(),
    })
    .superRefine(({ seen, grade, measuredUm, estimatedUm }, ctx) => {
      if (seen === 'peel' && grade === undefined)
        ctx.addIssue(needsField(['grade'], 'peel is cut by how coarse it is'));
      if (measuredUm !== undefined && estimatedUm !== undefined)
        ctx.addIssue(exactlyOneOfIssue(['estimatedUm'], 'the film is measured or estimated'));
    }),
  answer: () =>
    z.strictObject({
      verdict: RepairVerdict,
      budgetUm: Spread.optional(),
      steps: z.array(
        z.strictObject({
          step: z.string(),
          grit: z.string().optional(),
          removesUm: span,
          leftUm: span,
          condition: z.string(),
        }),
      ),
      takesUm: span.optional(),
      keepOffMm: z.number(),
      ...explained,
    }),
  compute: (input) => finishOf(input, theKnowledge().files.repairs),
});
