/** Looking after a gun: what was done, item by item; what was skipped says why. Append-only. */
import type { StageName } from '../shapes/trade.ts';
import { CARE_ITEMS, type CareKind, type Due } from '@orthochrom/core/gun/care.ts';
import { z } from 'zod';
import { needsField, text } from '../quantity/fields.ts';
import { Id } from './common.ts';
import type { Settings } from '../shapes/gun.ts';
import type { StoredTest } from './test.ts';

export const CareKindName = z.enum(Object.keys(CARE_ITEMS) as [CareKind, ...CareKind[]]);
const Item = z.strictObject({
  key: z.string().max(40),
  answer: z.enum(['done', 'skipped']),
  reason: z.string().max(200).optional(),
});

export const CareCreate = z
  .strictObject({
    id: Id,
    gunId: Id,
    painterId: Id,
    kind: CareKindName,
    items: z.array(Item).max(40),
    coatId: Id.optional(),
    ticketId: Id.optional(),
    note: text(),
  })
  .superRefine(({ kind, items }, ctx) => {
    const wanted = CARE_ITEMS[kind];
    wanted.forEach((key) => {
      if (!items.some((item) => item.key === key))
        ctx.addIssue(needsField(['items'], `${key} is neither done nor skipped`));
    });
    items.forEach((item, i) => {
      if (!wanted.includes(item.key))
        ctx.addIssue({
          code: 'custom',
          path: ['items', i, 'key'],
          message: `${item.key} is not an item of this round`,
          params: { code: 'not-one-of' },
        });
      if (item.answer === 'skipped' && !item.reason?.trim())
        ctx.addIssue(needsField(['items', i, 'reason'], 'a skipped item needs a word why'));
    });
  });
export type CareCreate = z.infer<typeof CareCreate>;
export type StoredCare = Omit<CareCreate, 'items'> & { items: z.infer<typeof Item>[]; at: string };

/** What was set on this gun for a product, the newest that went well. */
export type SetupCard = {
  product: string;
  stage: z.infer<typeof StageName>;
  nozzleMm: number;
  settings: z.infer<typeof Settings>;
  airC?: number;
  rating: 'good' | 'fair' | 'poor';
  at: string;
  painter: string;
  coats: number;
  coatId: string;
};
/** Lowest and highest flowing pressure at the gun over one coat. */
export type FlowingCoat = {
  coatId: string;
  at: string;
  plannedKPa: number;
  lowestKPa: number;
  highestKPa: number;
  panels: { lowestKPa: number; highestKPa: number }[];
};
export type GunCareNow = {
  gunId: string;
  due: Due[];
  /** A coat was sprayed since it was last cleaned; by when its mix sets. */
  dirty?: { since: string; cleanBy?: string; ticketId: string };
  lastCleanedAt?: string;
};
export type GunStory = {
  care: GunCareNow;
  tests: StoredTest[];
  rounds: StoredCare[];
  cards: SetupCard[];
  flowing: FlowingCoat[];
};
