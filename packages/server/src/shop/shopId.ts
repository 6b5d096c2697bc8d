import type { EntityManager } from 'typeorm';
import { NotFound } from '../http/faults.ts';
import { ShopTable } from './shopTables.ts';

/** One shop, one database, for now. */
export async function shopIdOf(manager: EntityManager): Promise<string> {
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop) throw new NotFound('There is no shop yet.');
  return shop.id;
}
