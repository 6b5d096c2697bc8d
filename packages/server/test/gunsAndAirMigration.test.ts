import { v7 as newId } from 'uuid';
import { expect, it } from 'vitest';
import { FirstPath1795400000000 } from '../src/migrations/firstPath.ts';
import { GunsAndAir1795450000000 } from '../src/migrations/gunsAndAir.ts';
import { emptyDatabase } from './emptyDatabase.ts';

const caught = {
  kind: 'catch',
  ml: 61,
  seconds: 30,
  inletKPa: 138,
  fluidTurnsOut: 3,
  fanTurnsOut: 2,
} as const;

it('tests that stood inside the nozzle set before become rows of their own', async () => {
  const old = await emptyDatabase();
  const runner = old.createQueryRunner();
  await new FirstPath1795400000000().up(runner);
  const [shopId, gunId, setId] = [newId(), newId(), newId()];
  await runner.query(
    `insert into shop (id, name, time_zone, ticket_prefix, next_ticket_no) values ($1, 'S', 'UTC', 'S', 1)`,
    [shopId],
  );
  await runner.query(
    `insert into gun (id, shop_id, name, class, gauge_trust, note, used_for, body) values ($1, $2, 'G', 'hvlp', 'good', '', '[]', '{}')`,
    [gunId, shopId],
  );
  await runner.query(
    `insert into nozzle_set (id, gun_id, ordinal, nozzle_mm, tests) values ($1, $2, 0, 1.3, $3)`,
    [
      setId,
      gunId,
      JSON.stringify([
        caught,
        { kind: 'fan', fanWidthMm: 200, distanceMm: 150, inletKPa: 138, fanTurnsOut: 2 },
      ]),
    ],
  );
  await new GunsAndAir1795450000000().up(runner);
  const rows = (await runner.query(
    `select kind, input from calibration where nozzle_set_id = $1 order by taken_at`,
    [setId],
  )) as { kind: string; input: unknown }[];
  expect(rows.map(({ kind }) => kind)).toEqual(['catch', 'fan']);
  expect(rows[0]!.input).toEqual(caught);
  await new GunsAndAir1795450000000().down(runner);
  const [back] = (await runner.query(`select tests from nozzle_set where id = $1`, [setId])) as {
    tests: unknown[];
  }[];
  expect(back!.tests[0]).toEqual(caught);
  await runner.release();
  await old.destroy();
});
