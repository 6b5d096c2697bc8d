import type { StoredCare } from '@orthochrom/contract/shop/care.ts';
import { EntitySchema } from 'typeorm';
import {
  ids,
  instants,
  key,
  optionalIds,
  refersTo,
  structures,
  texts,
} from '../database/columns.ts';

/** A round of care, item by item; append-only. */
export type CareRow = {
  id: string;
  shopId: string;
  gunId: string;
  painterId: string;
  ticketId: string | null;
  coatId: string | null;
  kind: StoredCare['kind'];
  items: StoredCare['items'];
  note: string;
  doneAt: Date;
};
export const CareTable = new EntitySchema<CareRow>({
  name: 'CareRound',
  tableName: 'care_round',
  columns: {
    ...key('care_round'),
    ...ids('shopId', 'gunId', 'painterId'),
    ...optionalIds('ticketId', 'coatId'),
    ...texts('kind', 'note'),
    ...structures('items'),
    ...instants('doneAt'),
  },
  indices: [{ name: 'care_round_gun_done_at', columns: ['gunId', 'doneAt'] }],
  foreignKeys: [
    refersTo('care_round', 'shopId', 'Shop'),
    refersTo('care_round', 'gunId', 'Gun'),
    refersTo('care_round', 'painterId', 'Painter'),
    refersTo('care_round', 'ticketId', 'Ticket'),
    refersTo('care_round', 'coatId', 'Coat'),
  ],
});
