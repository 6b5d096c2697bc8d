/** What stages took against their plan, as the contract shows it. */
import type { Usage } from '@orthochrom/contract/shop/usage.ts';
import type { EntityManager } from 'typeorm';
import { readTogether } from '../database/readTogether.ts';
import { present } from '../database/present.ts';
import { UsageTable, type UsageRow } from './usageTable.ts';

/** So many jobs say what a hand takes; older ones say it of another hand. */
const NEWEST = 600;

export const usageOf = ({ at, ...row }: UsageRow): Usage =>
  present({ ...row, at: at.toISOString() }) as Usage;

const NEWEST_USAGES = {
  usages: { table: UsageTable, where: 'true', order: `at desc, id desc limit ${NEWEST}` },
};
/** What stages took, the newest of the shop, oldest first. */
export async function newestUsages(manager: EntityManager): Promise<Usage[]> {
  const { usages } = await readTogether(manager, NEWEST_USAGES, []);
  return usages.reverse().map(usageOf);
}
