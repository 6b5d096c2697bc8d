/**
 * Making ready as it was answered: every step's answer, what was found late, and what the customer
 * decided. Append-only.
 */
import { z } from 'zod';
import { LateFound, PrepAnswered } from '../calculations/prep.ts';
import { contradiction, needsField } from '../quantity/fields.ts';
import { Id } from './common.ts';
import { CARD_SEEN, SprayCardTold } from './sprayCard.ts';

/** `reason`: why a step was left out, or the customer's own word. */
export const PrepAnswerCreate = z
  .strictObject({
    id: Id,
    painterId: Id,
    key: PrepAnswered.shape.key,
    answer: PrepAnswered.shape.answer,
    reason: z.string().max(200),
    /** What was on the card, where the step is one. */
    card: SprayCardTold.optional(),
  })
  .superRefine(({ key, answer, reason, card }, ctx) => {
    const parsed = PrepAnswered.safeParse({ key, answer, reason });
    for (const issue of parsed.error?.issues ?? []) ctx.addIssue(issue as never);
    if (card && !CARD_SEEN.some((seen) => seen === answer))
      ctx.addIssue(
        contradiction(['card'], `a card matches or differs; this step was answered ${answer}`),
      );
    if (answer === 'declined' && reason.trim() === '')
      ctx.addIssue(needsField(['reason'], 'what is declined is kept in the customer’s own words'));
  });
export type PrepAnswerCreate = z.infer<typeof PrepAnswerCreate>;
export type PrepAnswer = {
  id: string;
  painterId: string;
  key: string;
  answer: string;
  reason: string;
  /** How many late finds there were then: what was answered before one is asked again. */
  afterFinds: number;
  at: string;
};

export const LateFindCreate = z.strictObject({
  id: Id,
  painterId: Id,
  panelId: Id,
  what: LateFound.shape.what,
});
export type LateFindCreate = z.infer<typeof LateFindCreate>;
export type LateFind = LateFindCreate & { at: string };

export type StackWorth = { readyMl: number; cost?: number };
/** What the job takes as planned, and with the old paint off and this primer first. */
export type BothStacks = { planned: StackWorth; advised: StackWorth; primer: string };

export const DECISIONS = ['follows', 'declines'] as const;
/** The advice as it was said, and what the customer decided: both stay. */
export type CustomerDecision = {
  id: string;
  panelId?: string;
  painterId: string;
  topic: string;
  adviceText: string;
  decision: (typeof DECISIONS)[number];
  word: string;
  /** What stood before the customer's eyes, where old paint should come off. */
  worth?: BothStacks & { currency?: string };
  at: string;
};
