/**
 * Rows of several tables in one question to the database: a ticket hangs together from twenty of
 * them, and twenty questions take longer than their answers.
 */
import type { EntityManager, EntitySchema, EntitySchemaColumnOptions } from 'typeorm';
import { prepared } from './prepared.ts';

/** `where` speaks of the columns as the database has them, of the values as $1 and on. */
export type Wanted = {
  table: { options: { tableName?: string; columns: object } };
  where: string;
  order?: string;
  without?: readonly string[];
};
type RowsOf<T> = {
  [K in keyof T]: T[K] extends { table: EntitySchema<infer Row> } ? Row[] : never;
};

const columnsOf = ({ table }: Wanted): [name: string, column: EntitySchemaColumnOptions][] =>
  Object.entries(table.options.columns as Record<string, EntitySchemaColumnOptions>);

function jsonOf(wanted: Wanted): string {
  const { table, where, order = 'id', without = [] } = wanted;
  const columns = columnsOf(wanted)
    .filter(([name, column]) => column.select !== false && !without.includes(name))
    .map(([name, column]) => `"${column.name ?? name}" as "${name}"`);
  return `(select coalesce(json_agg(r), '[]') from (
    select ${columns.join(', ')} from ${table.options.tableName} where ${where} order by ${order}) r)`;
}

/** In a JSON answer a moment is text. */
function withMoments(wanted: Wanted, rows: Record<string, unknown>[]): object[] {
  const moments = columnsOf(wanted)
    .filter(([, { type }]) => type === 'timestamptz')
    .map(([name]) => name);
  for (const row of rows)
    for (const name of moments) if (typeof row[name] === 'string') row[name] = new Date(row[name]);
  return rows;
}

/** What is asked for, each under its name, in the order that it asks for. */
export async function readTogether<T extends Record<string, Wanted>>(
  manager: EntityManager,
  wanted: T,
  values: readonly unknown[],
): Promise<RowsOf<T>> {
  const names = Object.keys(wanted);
  const [answer] = await prepared<Record<string, Record<string, unknown>[]>>(
    manager,
    `select ${names.map((name) => `${jsonOf(wanted[name]!)} as "${name}"`).join(', ')}`,
    values,
  );
  return Object.fromEntries(
    names.map((name) => [name, withMoments(wanted[name]!, answer![name]!)]),
  ) as RowsOf<T>;
}
