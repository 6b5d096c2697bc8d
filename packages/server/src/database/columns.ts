/**
 * Columns as every table here spells them: snake case in PostgreSQL, physical numbers as doubles,
 * structures as jsonb.
 */
import type { EntitySchemaColumnOptions } from 'typeorm';

const snake = (name: string): string =>
  name
    .replaceAll('KPa', 'Kpa')
    .replace(/([A-Z])([A-Z][a-z])/g, '$1_$2')
    .replace(/([a-z0-9])([A-Z])/g, '$1_$2')
    .toLowerCase();
type Column = EntitySchemaColumnOptions;
type Columns<K extends string> = Record<K, Column>;

const all = <K extends string>(names: readonly K[], column: Column): Columns<K> =>
  Object.fromEntries(names.map((name) => [name, { ...column, name: snake(name) }])) as Columns<K>;

export const texts = <K extends string>(...names: K[]) => all(names, { type: 'text' });
export const optionalTexts = <K extends string>(...names: K[]) =>
  all(names, { type: 'text', nullable: true });
export const doubles = <K extends string>(...names: K[]) =>
  all(names, { type: 'double precision' });
export const optionalDoubles = <K extends string>(...names: K[]) =>
  all(names, { type: 'double precision', nullable: true });
export const integers = <K extends string>(...names: K[]) => all(names, { type: 'integer' });
export const booleans = <K extends string>(...names: K[]) => all(names, { type: 'boolean' });
export const optionalBooleans = <K extends string>(...names: K[]) =>
  all(names, { type: 'boolean', nullable: true });
export const structures = <K extends string>(...names: K[]) => all(names, { type: 'jsonb' });
export const optionalStructures = <K extends string>(...names: K[]) =>
  all(names, { type: 'jsonb', nullable: true });
export const instants = <K extends string>(...names: K[]) => all(names, { type: 'timestamptz' });
export const optionalInstants = <K extends string>(...names: K[]) =>
  all(names, { type: 'timestamptz', nullable: true });
export const ids = <K extends string>(...names: K[]) => all(names, { type: 'uuid' });
export const optionalIds = <K extends string>(...names: K[]) =>
  all(names, { type: 'uuid', nullable: true });

/** The key: made by the client, so that a retried request makes no second row. */
export const key = (table: string): { id: Column } => ({
  id: { type: 'uuid', primary: true, primaryKeyConstraintName: `${table}_pkey` },
});

/** What every thing that can be edited has. */
export const edited = {
  version: { type: 'integer', version: true, default: 1 },
  createdAt: { type: 'timestamptz', name: 'created_at', default: () => 'now()' },
  updatedAt: { type: 'timestamptz', name: 'updated_at', default: () => 'now()', updateDate: true },
  archivedAt: { type: 'timestamptz', name: 'archived_at', nullable: true },
} as const satisfies Record<string, Column>;

export type EditedRow = {
  id: string;
  version: number;
  createdAt: Date;
  updatedAt: Date;
  archivedAt: Date | null;
};

/** A foreign key without a relation object: rows stay plain. */
export const refersTo = (table: string, column: string, target: string) => ({
  name: `${table}_${column}_fkey`,
  target,
  columnNames: [snake(column)],
  referencedColumnNames: ['id'],
});

/** What may be absent on the wire is null in its column. */
export type Nullable<T> = {
  [K in keyof T]-?: undefined extends T[K] ? Exclude<T[K], undefined> | null : T[K];
};
