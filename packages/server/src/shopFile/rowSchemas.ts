/** What a row of a table may be, as the database of that day has it: published, and asked for. */
import { z } from 'zod';
import type { EntityManager } from 'typeorm';

type Column = { column_name: string; data_type: string; is_nullable: 'YES' | 'NO' };

const Instant = z
  .string()
  .regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)$/, 'this is no moment');

/** PostgreSQL 15, chapter 8: the types that the tables use. */
const TYPES: Record<string, z.ZodType> = {
  uuid: z.uuid(),
  text: z.string(),
  'character varying': z.string(),
  date: z.iso.date(),
  'timestamp with time zone': Instant,
  integer: z.int().min(-2_147_483_648).max(2_147_483_647),
  'double precision': z.number(),
  boolean: z.boolean(),
  jsonb: z.json(),
  // The path of the picture within the file.
  bytea: z.string().max(200),
};

export type RowSchema = z.ZodType<Record<string, unknown>>;

const ofColumn = ({ column_name, data_type, is_nullable }: Column): [string, z.ZodType] => {
  const type = TYPES[data_type];
  if (!type) throw new Error(`A column is of type ${data_type}, which no file has a word for.`);
  return [column_name, is_nullable === 'YES' ? type.nullable() : type];
};

/** A row of this table in this schema of the database; nothing but its columns. */
export async function rowSchemaOf(
  manager: EntityManager,
  schema: string,
  table: string,
): Promise<RowSchema> {
  const columns: Column[] = await manager.query(
    `select column_name, data_type, is_nullable from information_schema.columns
     where table_schema = $1 and table_name = $2 order by column_name`,
    [schema, table],
  );
  return z.strictObject(Object.fromEntries(columns.map(ofColumn))) as unknown as RowSchema;
}
