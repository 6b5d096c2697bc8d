/**
 * What is done at night, by the database's own queue: however many processes serve the shop, each
 * is done once.
 */
import { dateIn } from '@orthochrom/contract/plan/shopHours.ts';
import PgBoss from 'pg-boss';
import type { DataSource } from 'typeorm';
import type { Changes } from '../event/changes.ts';
import { forgetOldRequests } from '../event/oncePerRequest.ts';
import { forgetOldTries } from '../signIn/tries.ts';
import { ShopTable } from '../shop/shopTables.ts';
import { dropAllAside } from '../shopFile/shopFileLedger.ts';
import { keepCopy } from './copies.ts';

export const NIGHTLY = 'nightly';
/** Minute and hour of the shop's own clock. */
const AT = '30 2 * * *';
const ANYWHERE = 'UTC';

/** @returns the queue, to be stopped with the server */
export async function startJobs(
  database: DataSource,
  changes: Changes,
  { url, copiesFolder }: { url: string; copiesFolder: string | undefined },
): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: url, max: 2 });
  // A database that falls is said by every read: the queue comes back with it.
  boss.on('error', () => undefined);
  await boss.start();
  await boss.createQueue(NIGHTLY, { name: NIGHTLY, policy: 'singleton', retryLimit: 3 });
  await boss.work(NIGHTLY, () => night(database, copiesFolder));
  const plan = async () => boss.schedule(NIGHTLY, AT, undefined, { tz: await zoneOf(database) });
  await plan();
  // A shop that moves its clock moves its night.
  changes.on(({ type }) => {
    if (type === 'shop') void plan().catch(() => undefined);
  });
  return boss;
}

const zoneOf = async (database: DataSource): Promise<string> => {
  const [shop] = await database.manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  return shop?.timeZone ?? ANYWHERE;
};

export async function night(database: DataSource, copiesFolder: string | undefined): Promise<void> {
  await forgetOldRequests(database.manager);
  await forgetOldTries(database.manager);
  await dropAllAside(database.manager);
  if (copiesFolder && (await database.manager.exists(ShopTable)))
    await keepCopy(database, copiesFolder, dateIn(await zoneOf(database), Date.now()));
}
