/** What stages took against their plan, as the contract shows it. */
import type { Usage } from '@orthochrom/contract/shop/usage.ts';
import type { EntityManager } from 'typeorm';
import { present } from '../database/present.ts';
import { UsageTable, type UsageRow } from './usageTable.ts';

/** So many jobs say what a hand takes; older ones say it of another hand. */
const NEWEST = 600;

export const usageOf = ({ at, ...row }: UsageRow): Usage =>
  present({ ...row, at: at.toISOString() }) as Usage;

/** What stages took, the newest of the shop, oldest first. */
export async function newestUsages(manager: EntityManager): Promise<Usage[]> {
  const rows = await manager.find(UsageTable, { order: { at: 'DESC', id: 'DESC' }, take: NEWEST });
  return rows.reverse().map(usageOf);
}
