/** What of the database a shop's file holds, drawn from the tables themselves. */
import type { EntitySchema } from 'typeorm';
import { OF_THIS_MACHINE, tables } from '../database/tables.ts';

export type FileTable = {
  name: string;
  /** As they stand in the database. */
  columns: string[];
  key: string[];
  pictures: string[];
  references: { column: string; target: string }[];
};

const described = ({ options }: EntitySchema): FileTable => {
  const columns = Object.entries(options.columns).map(([property, column]) => ({
    name: column!.name ?? property,
    isKey: column!.primary === true,
    isPicture: column!.type === 'bytea',
  }));
  const tableOf = (target: unknown): string =>
    tables.find((table) => table.options.name === target)!.options.tableName!;
  return {
    name: options.tableName!,
    columns: columns.map(({ name }) => name).sort(),
    key: columns.filter(({ isKey }) => isKey).map(({ name }) => name),
    pictures: columns.filter(({ isPicture }) => isPicture).map(({ name }) => name),
    references: (options.foreignKeys ?? []).map(({ columnNames, target }) => ({
      column: columnNames![0]!,
      target: tableOf(target),
    })),
  };
};

/** Some columns are called like words of SQL. */
export const quoted = (column: string): string => `"${column}"`;
/** Columns of a row, as a list of SQL. */
export const listed = (columns: readonly string[], of?: string): string =>
  columns.map((one) => (of ? `${of}.${quoted(one)}` : quoted(one))).join(', ');

/** In an order in which none refers to a later one. */
export const fileTables: FileTable[] = tables
  .filter((table) => !(OF_THIS_MACHINE as unknown[]).includes(table))
  .map((table) => described(table as EntitySchema));

/** Every column of a kept table that refers to rows of this one. */
export const referringTo = (target: string): { table: string; column: string }[] =>
  fileTables.flatMap(({ name, references }) =>
    references
      .filter((reference) => reference.target === target)
      .map(({ column }) => ({ table: name, column })),
  );
