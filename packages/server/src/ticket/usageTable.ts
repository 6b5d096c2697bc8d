import type { Usage } from '@orthochrom/contract/shop/usage.ts';
import { EntitySchema } from 'typeorm';
import {
  doubles,
  ids,
  instants,
  key,
  optionalBooleans,
  refersTo,
  texts,
  type Nullable,
} from '../database/columns.ts';

/** What a stage took against its plan. Append-only but for whether it is learned from. */
export type UsageRow = Omit<Nullable<Usage>, 'at'> & { at: Date };
export const UsageTable = new EntitySchema<UsageRow>({
  name: 'Usage',
  tableName: 'usage',
  columns: {
    ...key('usage'),
    ...ids('ticketId', 'stageId', 'painterId'),
    ...texts('group'),
    ...doubles('leftMl', 'plannedMl', 'usedMl'),
    ...optionalBooleans('counts'),
    ...instants('at'),
  },
  indices: [
    { name: 'usage_painter', columns: ['painterId'] },
    { name: 'usage_at', columns: ['at', 'id'] },
  ],
  foreignKeys: [
    refersTo('usage', 'ticketId', 'Ticket'),
    refersTo('usage', 'stageId', 'Stage'),
    refersTo('usage', 'painterId', 'Painter'),
  ],
});
