/** What was read on a panel while heat was on. */
import type { HeatRead } from '@orthochrom/contract/shop/heatRead.ts';
import { EntitySchema, type EntityManager } from 'typeorm';
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

/** The readings of a ticket, oldest first. */
export async function heatReadsOf(manager: EntityManager, ticketId: string): Promise<HeatRead[]> {
  const of = { where: { ticketId }, order: { at: 'ASC', id: 'ASC' } } as const;
  return (await manager.find(HeatReadTable, of)).map(({ ticketId: _, at, ...row }) => ({
    ...row,
    at: at.toISOString(),
  }));
}
