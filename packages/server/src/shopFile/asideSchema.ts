/**
 * A place aside, in the same database: the tables as the file knew them are built there, filled,
 * and brought up to date by the same migrations that a shop of that age would go through.
 */
import { migrations } from '../migrations/list.ts';
import { DataSource, type DataSourceOptions, type EntityManager } from 'typeorm';
import { checkAside } from './checkAside.ts';
import { fileTables } from './fileTables.ts';
import { jsonIn, notAShop, type Line, type OpenShopFile } from './readShopFile.ts';
import { rowSchemaOf, type RowSchema } from './rowSchemas.ts';

const BATCH_CHARACTERS = 2_000_000;
const PREFIX = 'aside_';

export const asideOf = (id: string): string => `${PREFIX}${id.replaceAll('-', '')}`;

/** A connection whose tables are those of the place aside. */
function openAside(database: DataSource, schema: string, upTo: number): Promise<DataSource> {
  const own = database.options as Extract<DataSourceOptions, { type: 'postgres' }>;
  return new DataSource({
    ...own,
    migrations: migrations.slice(0, upTo + 1),
    extra: {
      ...(own.extra as object),
      max: 2,
      options: `-c timezone=UTC -c search_path=${schema}`,
    },
  }).initialize();
}

/** @throws BadInput where the file comes from a later Orthochrom, or does not hold what it says */
export async function layAside(
  database: DataSource,
  file: OpenShopFile,
  id: string,
): Promise<void> {
  const at = migrations.findIndex(({ name }) => name === file.manifest.migration);
  if (at < 0)
    throw notAShop('It comes from a later Orthochrom than this one: bring this one up to date.');
  const strange = file.manifest.tables.find(
    ({ name }) => !fileTables.some((own) => own.name === name),
  );
  if (strange) throw notAShop(`No shop has a table ${strange.name}.`);
  const schema = asideOf(id);
  await database.query(`create schema ${schema}`);
  try {
    await withMigrated(database, schema, at, (then) =>
      then.transaction(async (manager) => {
        for (const { name } of file.manifest.tables) await fill(manager, schema, file, name);
      }),
    );
    await withMigrated(database, schema, migrations.length - 1, ({ manager }) =>
      checkAside(manager),
    );
  } catch (fault) {
    await dropAside(database.manager, id);
    throw fault;
  }
}

async function withMigrated(
  database: DataSource,
  schema: string,
  upTo: number,
  work: (then: DataSource) => Promise<unknown>,
): Promise<void> {
  const then = await openAside(database, schema, upTo);
  try {
    await then.runMigrations();
    await work(then);
  } finally {
    await then.destroy();
  }
}

export const dropAside = (manager: EntityManager, id: string): Promise<unknown> =>
  manager.query(`drop schema if exists ${asideOf(id)} cascade`);

async function fill(
  manager: EntityManager,
  schema: string,
  file: OpenShopFile,
  table: string,
): Promise<void> {
  const rowSchema = await rowSchemaOf(manager, schema, table);
  const pictures = fileTables.find(({ name }) => name === table)?.pictures ?? [];
  const said = file.manifest.tables.find(({ name }) => name === table)!.rows;
  let batch: string[] = [];
  let [held, count] = [0, 0];
  const put = async () => {
    const rows = `[${batch.join(',')}]`;
    [batch, held] = [[], 0];
    await manager
      .query(`insert into ${table} select * from json_populate_recordset(null::${table}, $1)`, [
        rows,
      ])
      .catch((fault: unknown) => {
        throw refusedBy(table, fault);
      });
  };
  for await (const line of file.lines(table)) {
    const text = await rowText(file, rowSchema, table, pictures, line);
    batch.push(text);
    held += text.length;
    count += 1;
    if (held > BATCH_CHARACTERS) await put();
  }
  await put();
  if (count !== said) throw notAShop(`${table} says ${said} rows and has ${count}.`);
}

/** What PostgreSQL refuses of it: a row twice, or one that refers to nothing. */
function refusedBy(table: string, fault: unknown): unknown {
  const { code } = ((fault as { driverError?: unknown }).driverError ?? {}) as { code?: string };
  if (code === '23505') return notAShop(`${table} holds a row twice.`);
  if (code === '23503') return notAShop(`A row of ${table} refers to one that is not in it.`);
  if (code?.startsWith('22') || code?.startsWith('23'))
    return notAShop(`${table} holds what cannot be kept.`);
  return fault;
}

/** A line as it came, held against its table; its pictures fetched. */
async function rowText(
  file: OpenShopFile,
  schema: RowSchema,
  table: string,
  pictures: readonly string[],
  { text, number }: Line,
): Promise<string> {
  const row = schema.safeParse(jsonIn(text));
  if (!row.success) {
    const { path, message } = row.error.issues[0]!;
    throw notAShop(`Line ${number} of ${table}, ${path.join('.') || 'the row'}: ${message}.`);
  }
  if (pictures.length === 0) return text;
  const held: Record<string, unknown> = { ...row.data };
  for (const column of pictures)
    if (typeof held[column] === 'string')
      held[column] = `\\x${(await file.picture(held[column])).toString('hex')}`;
  return JSON.stringify(held);
}
