import { inject, expect, it } from 'vitest';
import { newDataSource } from '../src/database/dataSource.ts';

it('has migrations that make exactly the tables the code describes', async () => {
  const database = newDataSource(`${inject('clusterUrl')}template_empty`);
  await database.initialize();
  const drift = await database.driver.createSchemaBuilder().log();
  await database.destroy();
  expect(drift.upQueries.map(({ query }) => query)).toEqual([]);
});
