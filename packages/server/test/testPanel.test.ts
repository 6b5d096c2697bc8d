/** The test panel before the car: held at the trigger by the server, for this gun and this tip. */
import { v7 as newId } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { codesOf, CoatWalk } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let shop: ShopFixture;
let walk: CoatWalk;
beforeEach(async () => {
  shop = await ShopFixture.open();
  walk = await CoatWalk.begin(shop);
});
afterEach(() => shop.close());

const firstOf = (kind: string): number =>
  walk.whole.coats.findIndex(({ stageId }) =>
    walk.whole.ticket.stages.some((stage) => stage.id === stageId && stage.kind === kind),
  );
/** All that lies under it laid, this one taken and poured. */
async function poured(kind: string): Promise<number> {
  const nth = firstOf(kind);
  for (let i = 0; i < nth; i++) await walk.lay(i);
  await walk.gate(nth);
  await walk.take(nth);
  await walk.pour(nth);
  return nth;
}

describe('a coat that asks for a test panel', () => {
  it('is held at the trigger until one was sprayed, and the turns found there are set', async () => {
    const nth = await poured('clear');
    const held = await walk.trigger(nth);
    expect(held.status).toBe(409);
    expect(codesOf(held)).toContain('test-panel-wanted');
    const planned = walk.coat(nth).planned!.answers['setup'] as { fluidTurnsOut: number };
    const found = planned.fluidTurnsOut - 0.25;
    expect((await walk.test(nth, { fluidTurnsOut: found })).status).toBe(200);
    expect(walk.coat(nth).testPanel).toMatchObject({ fluidTurnsOut: found });
    expect(walk.coat(nth).overrides.fluidTurnsOut).toMatchObject({
      recommended: planned.fluidTurnsOut,
      chosen: found,
    });
    expect((await walk.trigger(nth)).status).toBe(200);
  });

  it('goes without one on a word why, which is told at the trigger and stays with the coat', async () => {
    const nth = await poured('clear');
    const empty = await walk.test(nth, { skippedBecause: '' });
    expect(empty.status).toBe(422);
    const both = await walk.test(nth, { skippedBecause: 'no sheet left', fluidTurnsOut: 2 });
    expect(both.status).toBe(422);
    await walk.test(nth, { skippedBecause: 'no sheet left' });
    expect(walk.coat(nth).overrides).toEqual({});
    expect((await walk.trigger(nth)).status).toBe(200);
    expect((await walk.read()).coats[nth]!.testPanel).toMatchObject({
      skippedBecause: 'no sheet left',
    });
  });

  it('asks once a gun and stage: the second coat goes on', async () => {
    const nth = await poured('clear');
    await walk.test(nth);
    for (const step of ['trigger', 'on', 'flash'] as const) await walk[step](nth);
    await walk.look(nth, ['nothing']);
    await walk.take(nth + 1);
    expect((await walk.trigger(nth + 1)).status).toBe(200);
  });
});

it('paint in the air: before the plan is taken, and behind a stop, there is no test panel', async () => {
  expect((await walk.test(0)).status).toBe(409);
  await walk.gate(0);
  await walk.take(0);
  shop.probe.steer({ minute: 440 });
  const held = await walk.test(0);
  expect(held.status).toBe(409);
  expect(codesOf(held)).toContain('panel-too-cold');
});

it('a product nobody sprayed here yet is told with the ticket, until a coat of it is on', async () => {
  const [first] = walk.whole.ticket.stages;
  const { sheet: like } = walk.whole.sheets.find(({ id }) => id === first!.sheetVersionId)!;
  const id = `new-${newId()}`;
  const sheet = { ...like, id, name: `${like.name} anew` };
  const made = await shop.post<{ id: string }>('/sheets', sheet);
  expect(made.status).toBe(201);
  const { id: ticketId, number: _n, createdAt: _c, ...ticket } = walk.whole.ticket;
  const stages = ticket.stages.map((stage, i) =>
    i === 0 ? { ...stage, sheetVersionId: made.body.id } : stage,
  );
  const reply = await shop.put(`/tickets/${ticketId}`, { ...ticket, stages });
  expect(reply.status, JSON.stringify(reply.body)).toBe(200);
  expect((await walk.read()).newProducts).toEqual([id]);
  await walk.lay(0);
  expect((await walk.read()).newProducts).toEqual([]);
});
