/** Rows under ids that the client made. */
import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';

/**
 * Inserts a row under the client's id; a request that comes again leaves the first row as it is and
 * returns false.
 */
export async function insertOnce<Row extends ObjectLiteral>(
  manager: EntityManager,
  table: EntitySchema<Row>,
  row: Row,
): Promise<boolean> {
  const result = await manager
    .createQueryBuilder()
    .insert()
    .into(table)
    .values(row as never)
    .orIgnore()
    .returning('id')
    .execute();
  return (result.raw as unknown[]).length > 0;
}
