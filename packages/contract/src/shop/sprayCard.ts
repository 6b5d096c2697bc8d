/** A spray-out card as a record: what is on it, and what was seen beside the car. */
import { z } from 'zod';
import { optional, quantity } from '../quantity/fields.ts';
import { Id } from './common.ts';

export const CARD_SEEN = ['matches', 'differs'] as const;

export const SprayCardTold = z.strictObject({
  id: Id,
  coats: quantity('coats'),
  /** What it was sprayed over, in words. */
  groundText: z.string().max(80),
  /** One coat of it, read off the comb. */
  ...optional('wetFilmUm'),
});
export type SprayCard = z.infer<typeof SprayCardTold> & {
  stageId: string;
  painterId: string;
  seen: (typeof CARD_SEEN)[number];
  word: string;
  hasPhoto: boolean;
  at: string;
};
