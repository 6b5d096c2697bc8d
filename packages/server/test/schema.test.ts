import { expect, it } from 'vitest';
import { copyOf, EMPTY } from './templates.ts';
import { newDataSource } from '../src/database/dataSource.ts';

it('has migrations that make exactly the tables the code describes', async () => {
  const database = await newDataSource(await copyOf(EMPTY)).initialize();
  const drift = await database.driver.createSchemaBuilder().log();
  await database.destroy();
  expect(drift.upQueries.map(({ query }) => query)).toEqual([]);
});

it('finds what belongs together by an index: every reference but the shop’s has one', async () => {
  const database = await newDataSource(await copyOf(EMPTY)).initialize();
  const rows: { at: string }[] = await database.query(`
    select c.conrelid::regclass || '.' || a.attname as at
    from pg_constraint c
    join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
    where c.contype = 'f' and c.confrelid <> 'shop'::regclass and not exists (
      select 1 from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1]
    )
    order by 1`);
  await database.destroy();
  expect(rows.map(({ at }) => at)).toEqual([]);
});
