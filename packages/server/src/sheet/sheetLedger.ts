/**
 * Data sheets: a product keeps its identity, each save is a new version, and a ticket keeps the one
 * it was planned with.
 */
import { sheetFaults } from '@orthochrom/contract/sheet/sheetChecks.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { In, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { readTogether } from '../database/readTogether.ts';
import type { Ledger, Trace } from '../event/ledger.ts';
import { BadInput } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import {
  ProductTable,
  SheetVersionTable,
  type ProductRow,
  type SheetVersionRow,
} from './sheetTables.ts';

export const versionOf = ({ id, body }: SheetVersionRow): SheetVersion => ({ id, sheet: body });

const LATEST = `id in (select distinct on (product_id) id from sheet_version
  order by product_id, number desc)`;
/** The newest version of every product. */
export async function latestSheets(manager: EntityManager): Promise<SheetVersion[]> {
  const wanted = { latest: { table: SheetVersionTable, where: LATEST } };
  const { latest } = await readTogether(manager, wanted, []);
  return latest.map(versionOf).sort((a, b) => a.sheet.name.localeCompare(b.sheet.name));
}

/** Every issue of a product's sheet, the newest first. */
export async function issuesOf(manager: EntityManager, code: string): Promise<SheetVersion[]> {
  const product = await manager.findOneBy(ProductTable, { code });
  if (!product) return [];
  const where = { productId: product.id };
  const rows = await manager.find(SheetVersionTable, { where, order: { number: 'DESC' } });
  return rows.map(versionOf);
}

export const sheetVersions = async (
  manager: EntityManager,
  ids: string[],
): Promise<SheetVersion[]> =>
  ids.length === 0
    ? []
    : (await manager.find(SheetVersionTable, { where: { id: In(ids) } })).map(versionOf);

/**
 * Saves a new version; the number follows the product's last one unless the very same version is
 * sent again.
 */
export const saveSheet = (
  ledger: Ledger,
  sheet: Sheet,
  versionId = newId(),
): Promise<SheetVersion> =>
  ledger.write((manager, trace) => saveIn(manager, trace, sheet, versionId));

/** All of a file's sheets, or none: the first that is refused takes the others back with it. */
export const saveSheets = (ledger: Ledger, sheets: readonly Sheet[]): Promise<void> =>
  ledger.write(async (manager, trace) => {
    for (const sheet of sheets) await saveIn(manager, trace, sheet, newId());
  });

async function saveIn(
  manager: EntityManager,
  trace: (of: Trace) => Promise<void>,
  sheet: Sheet,
  versionId: string,
): Promise<SheetVersion> {
  const shopId = await shopIdOf(manager);
  const known = new Map((await latestSheets(manager)).map(({ sheet: other }) => [other.id, other]));
  const [first, ...more] = sheetFaults(sheet, new Map(known).set(sheet.id, sheet));
  if (first) throw new BadInput({ ...first, ...(more.length > 0 ? { more } : {}) });
  const product = await productFor(manager, shopId, sheet);
  const last = await manager.findOne(SheetVersionTable, {
    where: { productId: product.id },
    order: { number: 'DESC' },
  });
  if (
    last &&
    last.number === sheet.number &&
    JSON.stringify(sorted(last.body)) === JSON.stringify(sorted(sheet))
  )
    return versionOf(last);
  if (last && sheet.number <= last.number)
    throw BadInput.at(
      ['number'],
      'contradiction',
      `Version ${last.number} of ${sheet.id} is already kept and never changes; save this as ${last.number + 1}.`,
    );
  const row = {
    id: versionId,
    productId: product.id,
    number: sheet.number,
    issuedOn: sheet.issuedOn,
    source: sheet.source,
    body: sheet,
  } as SheetVersionRow;
  await manager.insert(SheetVersionTable, row as never);
  await trace({
    shopId,
    aggregateType: 'sheet',
    aggregateId: row.id,
    aggregateVersion: sheet.number,
    kind: 'issued',
    patch: { id: sheet.id, number: sheet.number },
  });
  return versionOf(row);
}

/** Keys in one order, for comparing what jsonb gives back. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([k, v]) => [k, sorted(v)]),
  );
}

async function productFor(
  manager: EntityManager,
  shopId: string,
  { id: code, name, kind, carrier }: Sheet,
): Promise<ProductRow> {
  const found = await manager.findOneBy(ProductTable, { shopId, code });
  if (found) {
    if (found.kind !== kind)
      throw BadInput.at(
        ['kind'],
        'contradiction',
        `${code} is a ${found.kind}; a product keeps its kind.`,
      );
    return found;
  }
  const row = { id: newId(), shopId, code, name, kind, carrier } as ProductRow;
  await manager.insert(ProductTable, row as never);
  return row;
}
