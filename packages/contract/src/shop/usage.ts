/** What a stage took against what was planned: said at cleaning, learned from for the next job. */
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { z } from 'zod';
import { quantity } from '../quantity/fields.ts';
import { Id } from './common.ts';

/** A hand takes its own share of each kind of paint. */
export const USAGE_GROUPS = ['primer', 'colour', 'clear'] as const;
export type UsageGroup = (typeof USAGE_GROUPS)[number];
export const usageGroupOf = (stage: Stage): UsageGroup => {
  if (stage === 'clear') return 'clear';
  return stage === 'primer' || stage === 'sealer' ? 'primer' : 'colour';
};

export const UsageCreate = z.strictObject({
  id: Id,
  stageId: Id,
  painterId: Id,
  leftMl: quantity('leftMl'),
});
export type UsageCreate = z.infer<typeof UsageCreate>;
/** Whether a job that lies far from the others is learned from. */
export const UsageCounts = z.strictObject({ painterId: Id, counts: z.boolean() });

export type Usage = {
  id: string;
  ticketId: string;
  stageId: string;
  painterId: string;
  group: UsageGroup;
  leftMl: number;
  /** Without anybody's factor in it. */
  plannedMl: number;
  /** Poured less what was left. */
  usedMl: number;
  counts?: boolean;
  at: string;
};

/** The jobs of a hand and a kind of paint, oldest first; of one stage the last word counts. */
export const jobsOf = (usages: readonly Usage[], painterId: string, group: UsageGroup): Usage[] => {
  const own = usages.filter((usage) => usage.painterId === painterId && usage.group === group);
  return own.filter(
    ({ stageId }, i) => own.findLastIndex((other) => other.stageId === stageId) === i,
  );
};
