import type { WorkKind } from '@orthochrom/contract/shop/layerWork.ts';
import { EntitySchema } from 'typeorm';
import { ids, instants, key, refersTo, structures, texts } from '../database/columns.ts';

/** What was done to a layer after it was sprayed. Append-only. */
export type LayerWorkRow = {
  id: string;
  ticketId: string;
  coatId: string;
  painterId: string;
  kind: WorkKind;
  why: string;
  settles: string[];
  answers: Record<string, unknown>;
  at: Date;
};
export const LayerWorkTable = new EntitySchema<LayerWorkRow>({
  name: 'LayerWork',
  tableName: 'layer_work',
  columns: {
    ...key('layer_work'),
    ...ids('ticketId', 'coatId', 'painterId'),
    ...texts('kind', 'why'),
    ...structures('settles', 'answers'),
    ...instants('at'),
  },
  indices: [{ name: 'layer_work_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('layer_work', 'ticketId', 'Ticket'),
    refersTo('layer_work', 'coatId', 'Coat'),
    refersTo('layer_work', 'painterId', 'Painter'),
  ],
});
