/**
 * What was done to a layer after it was sprayed: sanded, heated, polished, and how a fault in it
 * was settled. Append-only.
 */
import { z } from 'zod';
import { gateAnswersShape } from '../calculations/gate.ts';
import { listOf, optional } from '../quantity/fields.ts';
import { Id } from './common.ts';

export const WorkKind = z.enum([
  'sandedDry',
  'sandedWet',
  'flattened',
  'recoated',
  'left',
  'warmed',
  'heated',
  'polished',
]);
export type WorkKind = z.infer<typeof WorkKind>;

/**
 * `settles`: the faults of the layer that this puts right, by key. Leaving one as it is wants a
 * word why.
 */
export const LayerWorkCreate = z
  .strictObject({
    id: Id,
    painterId: Id,
    kind: WorkKind,
    settles: listOf(z.string().min(1).max(60)).optional(),
    why: z.string().max(200),
    /** Of the air that was warmed, between two coats. */
    ...optional('warmC'),
    /** What battery and trim of the car bear, where heat is begun. */
    ...optional('vehicleLimitC'),
    ...gateAnswersShape,
  })
  .superRefine(({ kind, why }, ctx) => {
    if (kind === 'left' && why.trim() === '')
      ctx.addIssue({
        code: 'custom',
        path: ['why'],
        message: 'a fault is left as it is only with a word why',
        params: { code: 'needs-field' },
      });
  });
export type LayerWorkCreate = z.infer<typeof LayerWorkCreate>;

export type LayerWork = {
  id: string;
  coatId: string;
  painterId: string;
  kind: WorkKind;
  settles: string[];
  why: string;
  warmC?: number;
  vehicleLimitC?: number;
  at: string;
};

/**
 * A fault that the bench was asked about on a coat: by what it turned out to be, else by what
 * leads.
 */
export type LayerFinding = { id: string; coatId: string; fault: string; seenAt: string };
