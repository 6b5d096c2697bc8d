/** A shop's file as it comes in: laid aside, looked at, taken in whole or dropped. */
import type { ShopFilePreview, ShopFileTake } from '@orthochrom/contract/shop/shopFile.ts';
import type { DataSource, EntityManager } from 'typeorm';
import { tellOf } from '../event/changes.ts';
import type { Ledger } from '../event/ledger.ts';
import { NotFound } from '../http/faults.ts';
import { alignAside } from './alignAside.ts';
import { asideOf, dropAside, layAside } from './asideSchema.ts';
import { compareAside, countOn, mergeAside } from './mergeAside.ts';
import { OpenShopFile } from './readShopFile.ts';

const ASIDE_PATTERN = 'aside\\_%';

/**
 * Lays a file aside under this id; the shop itself is not touched.
 * @throws BadInput where it is no whole file of a shop
 */
export async function layFileAside(
  database: DataSource,
  id: string,
  path: string,
): Promise<ShopFilePreview> {
  await dropAllAside(database.manager);
  const file = await OpenShopFile.open(path);
  try {
    await layAside(database, file, id);
  } finally {
    file.close();
  }
  try {
    return await database.transaction((manager) => previewOf(manager, id));
  } catch (fault) {
    await dropAside(database.manager, id);
    throw fault;
  }
}

async function previewOf(manager: EntityManager, id: string): Promise<ShopFilePreview> {
  const aside = asideOf(id);
  const [theirs]: { id: string; name: string }[] = await manager.query(
    `select id, name from ${aside}.shop order by created_at limit 1`,
  );
  const [ours]: { id: string }[] = await manager.query(
    'select id from public.shop order by created_at limit 1',
  );
  const renamed = await alignAside(manager, aside);
  return {
    id,
    shopName: theirs!.name,
    opensEmpty: !ours,
    isThisShop: ours?.id === theirs!.id,
    tables: await compareAside(manager, aside),
    renamed,
  };
}

/** In one transaction, compared anew: what was written since the preview is not lost either. */
export const takeFileIn = (ledger: Ledger, id: string, { changedInBoth }: ShopFileTake) =>
  ledger.write(async (manager, trace) => {
    const aside = asideOf(id);
    if (!(await isAside(manager, id)))
      throw new NotFound('This file does not lie here any more: give it once more.');
    const { opensEmpty, shopName, tables } = await previewOf(manager, id);
    await mergeAside(manager, aside, changedInBoth);
    if (!opensEmpty) {
      await countOn(manager);
      const [shop]: { id: string }[] = await manager.query('select id from public.shop limit 1');
      await trace({
        shopId: shop!.id,
        aggregateType: 'wholeShop',
        aggregateId: shop!.id,
        kind: 'file-taken-in',
        // What was overwritten stands here with what was put over it.
        patch: { shopName, changedInBoth, tables: tables.filter(hasMoved) },
      });
    }
    await tellOf(manager, { type: 'wholeShop', id });
    await dropAside(manager, id);
  });

const hasMoved = ({ added, newerThere, changedInBoth }: ShopFilePreview['tables'][number]) =>
  added + newerThere + changedInBoth > 0;

const isAside = async (manager: EntityManager, id: string): Promise<boolean> => {
  const found: unknown[] = await manager.query(
    'select from information_schema.schemata where schema_name = $1',
    [asideOf(id)],
  );
  return found.length > 0;
};

/** One file at a time lies aside; an older one is given again if it is wanted. */
export async function dropAllAside(manager: EntityManager): Promise<void> {
  const old: { schema_name: string }[] = await manager.query(
    'select schema_name from information_schema.schemata where schema_name like $1',
    [ASIDE_PATTERN],
  );
  for (const { schema_name } of old) await manager.query(`drop schema ${schema_name} cascade`);
}
