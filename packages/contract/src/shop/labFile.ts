/**
 * A set-up of the spray lab as an open file: one or two inputs of `coat`, so that `ask coat` reads
 * them too.
 */
import { z } from 'zod';
import { CoatInput } from '../calculations/coat.ts';

export const LAB_FORMAT = 'orthochrom-lab';
export const LabFile = z.strictObject({
  format: z.literal(LAB_FORMAT),
  version: z.literal(1),
  a: CoatInput,
  b: CoatInput.optional(),
});
export type LabFile = z.infer<typeof LabFile>;
