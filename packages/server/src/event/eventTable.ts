import { EntitySchema } from 'typeorm';
import {
  ids,
  instants,
  integers,
  key,
  optionalIds,
  refersTo,
  structures,
  texts,
} from '../database/columns.ts';

/** Every write leaves its trace in the same transaction. Append-only. */
export type EventRow = {
  id: string;
  shopId: string;
  at: Date;
  painterId: string | null;
  aggregateType: string;
  aggregateId: string;
  aggregateVersion: number;
  kind: string;
  patch: unknown;
  /** Who was signed in then, and which lead put a hand to it; null where no PIN is asked. */
  signedInId: string | null;
  touchedById: string | null;
};
export const EventTable = new EntitySchema<EventRow>({
  name: 'Event',
  tableName: 'event',
  columns: {
    ...key('event'),
    ...ids('shopId', 'aggregateId'),
    ...instants('at'),
    ...optionalIds('painterId', 'signedInId', 'touchedById'),
    ...texts('aggregateType', 'kind'),
    ...integers('aggregateVersion'),
    ...structures('patch'),
  },
  indices: [{ name: 'event_aggregate', columns: ['aggregateType', 'aggregateId', 'at'] }],
  foreignKeys: [refersTo('event', 'shopId', 'Shop')],
});
