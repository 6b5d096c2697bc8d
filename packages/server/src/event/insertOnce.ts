/** Rows under ids that the client made. */
import type { EntityManager, EntitySchema, FindOptionsWhere, ObjectLiteral } from 'typeorm';
import { VersionClash } from '../http/faults.ts';

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

/**
 * Inserts a thing that is made now. A request that comes again was answered before it got here: an
 * id that stands already is another thing (older, or taken in from a file).
 * @throws VersionClash with both; nothing is changed then
 */
export async function insertNew<Row extends ObjectLiteral & { id: string }>(
  manager: EntityManager,
  table: EntitySchema<Row>,
  row: Row,
): Promise<void> {
  if (await insertOnce(manager, table, row)) return;
  const where = { id: row.id } as FindOptionsWhere<Row>;
  throw new VersionClash('What stands under this id', row, await manager.findOneBy(table, where));
}
