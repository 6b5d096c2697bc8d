/** The whole shop out, in one file: the same shop gives the same bytes. */
import { once } from 'node:events';
import { Readable } from 'node:stream';
import {
  FILE_PATHS,
  SHOP_FILE_FORMAT,
  SHOP_FILE_VERSION,
  type ShopFileManifest,
} from '@orthochrom/contract/shop/shopFile.ts';
import type { DataSource, EntityManager } from 'typeorm';
import yazl from 'yazl';
import { z } from 'zod';
import { migrations } from '../migrations/list.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { fileTables, quoted, type FileTable } from './fileTables.ts';
import { rowSchemaOf } from './rowSchemas.ts';

const ROWS_AT_ONCE = 500;
/** When it was written stands in its name: within it, it would make two files of one shop. */
const NO_DAY = { mtime: new Date(2000, 0, 1), forceDosTimestamp: true };

/**
 * Streams the shop as it is at this moment: what is written meanwhile is not in it, and what is
 * half written neither.
 * @throws NotFound where there is no shop yet
 */
export async function writeShopFile(
  database: DataSource,
  into: NodeJS.WritableStream,
): Promise<void> {
  await database.transaction('REPEATABLE READ', async (manager) => {
    await shopIdOf(manager);
    const zip = new yazl.ZipFile();
    const manifest = await manifestOf(manager);
    zip.addBuffer(asText(manifest), FILE_PATHS.manifest, NO_DAY);
    for (const table of fileTables) {
      const schema = z.toJSONSchema(await rowSchemaOf(manager, 'public', table.name));
      zip.addBuffer(asText(schema), FILE_PATHS.schema(table.name), NO_DAY);
    }
    for (const table of fileTables)
      zip.addReadStreamLazy(FILE_PATHS.rows(table.name), NO_DAY, (given) =>
        given(null, heard(zip, Readable.from(linesOf(manager, table)))),
      );
    for (const table of fileTables) await addPictures(zip, manager, table);
    zip.end();
    // Who goes away in the middle ends it: the transaction is not held for nobody.
    const isGone = once(into, 'close');
    zip.outputStream.pipe(into);
    await Promise.race([
      isGone,
      once(zip, 'error').then(([fault]) => Promise.reject(fault as Error)),
    ]);
  });
}

/** A stream that breaks breaks the file: nothing passes for a whole one. */
const heard = (zip: yazl.ZipFile, stream: Readable): Readable =>
  stream.on('error', (fault) => zip.emit('error', fault));

const asText = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);

async function manifestOf(manager: EntityManager): Promise<ShopFileManifest> {
  const tables: ShopFileManifest['tables'] = [];
  for (const { name, pictures } of fileTables) {
    const held = pictures.map((column) => `count(${column})`).join(' + ') || '0';
    const [counted]: { rows: string; pictures: string }[] = await manager.query(
      `select count(*) as rows, ${held} as pictures from ${name}`,
    );
    tables.push({ name, rows: Number(counted!.rows), pictures: Number(counted!.pictures) });
  }
  return {
    format: SHOP_FILE_FORMAT,
    version: SHOP_FILE_VERSION,
    migration: migrations.at(-1)!.name,
    tables,
  };
}

/** A picture lies beside the rows; the row says where. */
const shown = ({ name, key, pictures }: FileTable, column: string): string =>
  pictures.includes(column)
    ? `case when ${column} is not null then 'pictures/${name}/' || ${key[0]!} || '.${column}' end as ${column}`
    : quoted(column);

/** One row a line, by key: PostgreSQL writes every number and moment whole. */
async function* linesOf(manager: EntityManager, table: FileTable): AsyncGenerator<string> {
  const { name, columns, key } = table;
  const list = columns.map((column) => shown(table, column)).join(', ');
  let after: string[] | undefined;
  for (;;) {
    const from = after
      ? `where (${key.join(', ')}) > (${key.map((_, i) => `$${i + 1}`).join(', ')})`
      : '';
    const rows: { line: string; at: string[] }[] = await manager.query(
      `select row_to_json(t)::text as line, array[${key.map((one) => `t.${one}::text`).join(', ')}] as at
       from (select ${list} from ${name} ${from} order by ${key.join(', ')} limit ${ROWS_AT_ONCE}) t`,
      after ?? [],
    );
    if (rows.length > 0) yield rows.map(({ line }) => `${line}\n`).join('');
    if (rows.length < ROWS_AT_ONCE) return;
    after = rows.at(-1)!.at;
  }
}

/** Pictures are packed already. */
async function addPictures(
  zip: yazl.ZipFile,
  manager: EntityManager,
  { name, pictures }: FileTable,
): Promise<void> {
  for (const column of pictures) {
    const held: { id: string }[] = await manager.query(
      `select id from ${name} where ${column} is not null order by id`,
    );
    for (const { id } of held)
      zip.addReadStreamLazy(
        FILE_PATHS.picture(name, id, column),
        { ...NO_DAY, compress: false },
        (given) => {
          manager
            .query<{ bytes: Buffer }[]>(`select ${column} as bytes from ${name} where id = $1`, [
              id,
            ])
            .then(([row]) => given(null, Readable.from([row!.bytes])))
            .catch((fault: unknown) => zip.emit('error', fault));
        },
      );
  }
}
