/** What stages took against their plan, as the contract shows it. */
import type { Usage } from '@orthochrom/contract/shop/usage.ts';
import type { EntityManager } from 'typeorm';
import { present } from '../database/present.ts';
import { UsageTable } from './usageTable.ts';

/** So many jobs say what a hand takes; older ones say it of another hand. */
const NEWEST = 600;

/** What stages took, oldest first: of a ticket, or the newest of the shop. */
export async function usagesOf(manager: EntityManager, ticketId?: string): Promise<Usage[]> {
  const rows = await manager.find(UsageTable, {
    ...(ticketId === undefined ? {} : { where: { ticketId } }),
    order: { at: 'DESC', id: 'DESC' },
    take: NEWEST,
  });
  return rows.reverse().map(({ at, ...row }) => present({ ...row, at: at.toISOString() }) as Usage);
}
