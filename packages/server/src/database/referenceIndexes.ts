/** An index for every reference: what belongs together is found by it, not by reading all. */
import type { EntitySchema } from 'typeorm';

/** Of a shop there is one: an index on it would find everything. */
const ALL_OF_ONE = 'Shop';

/**
 * Adds to a table an index for each reference that no key, index or unique constraint begins with.
 */
export function indexReferences({ options }: EntitySchema): void {
  const columns = Object.entries(options.columns);
  const propertyOf = (name: string): string =>
    columns.find(([property, column]) => (column?.name ?? property) === name)![0];
  const firsts = new Set<string | undefined>([
    columns.find(([, column]) => column?.primary)?.[0],
    ...(options.indices ?? []).map(({ columns: own }) => (own as string[] | undefined)?.[0]),
    ...(options.uniques ?? []).map(({ columns: own }) => (own as string[])[0]),
  ]);
  const wanted = (options.foreignKeys ?? [])
    .filter(({ target }) => target !== ALL_OF_ONE)
    .map(({ columnNames }) => columnNames![0]!)
    .filter((column) => !firsts.has(propertyOf(column)));
  options.indices = [
    ...(options.indices ?? []),
    ...wanted.map((column) => ({
      name: `${options.tableName}_${column}`,
      columns: [propertyOf(column)],
    })),
  ];
}
