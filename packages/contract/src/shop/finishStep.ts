/** A step of cutting and polishing as it was done, with the film that was read after it. */
import { FINISH_SEEN, NAIL, PEEL_GRADES } from '@orthochrom/core/finish/finish.ts';
import { z } from 'zod';
import { name, needsField, optional } from '../quantity/fields.ts';
import { Id } from './common.ts';

const toldShape = {
  seen: z.enum(FINISH_SEEN),
  grade: z.enum(PEEL_GRADES).optional(),
  nail: z.enum(NAIL),
  likeNeighbour: z.boolean().optional(),
  bubbles: z.boolean().optional(),
  /** By a gauge, before the first step. */
  ...optional('measuredUm'),
};
/** What is told of the finish before it is cut. */
export type FinishTold = z.infer<z.ZodObject<typeof toldShape>>;
export const FinishStepCreate = z
  .strictObject({ id: Id, painterId: Id, ...toldShape, step: name(), ...optional('leftUm') })
  .superRefine(({ seen, grade }, ctx) => {
    if (seen === 'peel' && !grade)
      ctx.addIssue(needsField(['grade'], 'peel is cut by how coarse it is'));
  });
export type FinishStepCreate = z.infer<typeof FinishStepCreate>;
export type FinishStepDone = FinishStepCreate & { coatId: string; at: string };
