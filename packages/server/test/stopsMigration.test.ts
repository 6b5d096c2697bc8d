import { v7 as newId } from 'uuid';
import { expect, it } from 'vitest';
import { FaultBench1795470000000 } from '../src/migrations/faultBench.ts';
import { FirstPath1795400000000 } from '../src/migrations/firstPath.ts';
import { GunsAndAir1795450000000 } from '../src/migrations/gunsAndAir.ts';
import { StopsThatHold1795500000000 } from '../src/migrations/stopsThatHold.ts';
import { emptyDatabase } from './emptyDatabase.ts';

it('the shop of before is taken along and can be given back: nothing of it is lost on the way', async () => {
  const old = await emptyDatabase();
  const runner = old.createQueryRunner();
  for (const before of [
    new FirstPath1795400000000(),
    new GunsAndAir1795450000000(),
    new FaultBench1795470000000(),
  ])
    await before.up(runner);
  // A gate of before says nothing of what it was about; keys of other tables do not matter here.
  await runner.query(`alter table gate_answer disable trigger all`);
  const id = newId();
  await runner.query(
    `insert into gate_answer (id, ticket_id, stage_id, room_id, painter_id, step, passed, answers, verdicts, gate_version, answered_at)
     values ($1, $2, $2, $2, $2, 'mix', true, '{"extraction": "on"}', '[]', 1, now())`,
    [id, newId()],
  );
  const columns = async () =>
    (await runner.query(
      `select table_name, column_name from information_schema.columns where table_schema = 'public' order by 1, 2`,
    )) as unknown[];
  const was = await columns();
  const stops = new StopsThatHold1795500000000();
  await stops.up(runner);
  const [gate] = (await runner.query(
    `select about, answers, gate_version from gate_answer where id = $1`,
    [id],
  )) as object[];
  expect(gate).toEqual({ about: {}, answers: { extraction: 'on' }, gate_version: 1 });
  await stops.down(runner);
  expect(await columns()).toEqual(was);
  await runner.release();
  await old.destroy();
});
