/** What was read on a panel while heat was on. */
import type { HeatRead } from '@orthochrom/contract/shop/heatRead.ts';
import { EntitySchema } from 'typeorm';
import { doubles, ids, instants, key, refersTo } from '../database/columns.ts';

/** Append-only: the last of a panel counts. */
export type HeatReadRow = Omit<HeatRead, 'at'> & { ticketId: string; at: Date };
export const HeatReadTable = new EntitySchema<HeatReadRow>({
  name: 'HeatRead',
  tableName: 'heat_read',
  columns: {
    ...key('heat_read'),
    ...ids('ticketId', 'coatId', 'panelId', 'painterId'),
    ...doubles('seenC'),
    ...instants('at'),
  },
  indices: [{ name: 'heat_read_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('heat_read', 'ticketId', 'Ticket'),
    refersTo('heat_read', 'coatId', 'Coat'),
    refersTo('heat_read', 'panelId', 'Panel'),
    refersTo('heat_read', 'painterId', 'Painter'),
  ],
});

export const heatReadOf = ({ ticketId: _, at, ...row }: HeatReadRow): HeatRead => ({
  ...row,
  at: at.toISOString(),
});
