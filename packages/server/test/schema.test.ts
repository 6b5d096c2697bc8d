import { expect, it } from 'vitest';
import { urlOf } from './urlOf.ts';
import { newDataSource } from '../src/database/dataSource.ts';

it('has migrations that make exactly the tables the code describes', async () => {
  const database = newDataSource(urlOf('template_empty'));
  await database.initialize();
  const drift = await database.driver.createSchemaBuilder().log();
  await database.destroy();
  expect(drift.upQueries.map(({ query }) => query)).toEqual([]);
});
