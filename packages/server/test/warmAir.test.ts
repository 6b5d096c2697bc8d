/** Warm air over a waterborne coat that flashes: kept with the layer, and the clock goes by it. */
import type { TicketWhole, SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { changeRoom, CoatWalk } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let shop: ShopFixture;
let walk: CoatWalk;
let baseId: string;
beforeAll(async () => {
  shop = await ShopFixture.open();
  walk = await CoatWalk.begin(shop);
  const { body: versions } = await shop.get<SheetVersion[]>('/sheets');
  const version = versions.find(
    ({ sheet }) => sheet.carrier === 'waterborne' && sheet.kind === 'base',
  )!;
  const { id, number: _n, createdAt: _c, ...ticket } = walk.whole.ticket;
  const like = ticket.stages.find(({ kind }) => kind === 'base')!;
  baseId = like.id;
  const stage = {
    ...like,
    sheetVersionId: version.id,
    recipeName: version.sheet.recipes![0]!.name,
    finish: 'solid' as const,
    coats: 2,
  };
  const put = await shop.put<TicketWhole>(`/tickets/${id}`, {
    ...ticket,
    stages: ticket.stages.map((one) => (one.id === like.id ? stage : one)),
  });
  expect(put.status, JSON.stringify(put.body)).toBe(200);
  await walk.read();
});
afterAll(() => shop.close());

const flash = (nth: number) =>
  walk.whole.timers.find(({ kind, coatId }) => kind === 'flash' && coatId === walk.coat(nth).id)!;

it('moves the clock, never under the sheet; a room without heat refuses', async () => {
  const nth = walk.whole.coats.findIndex(({ stageId }) => stageId === baseId);
  for (let i = 0; i < nth; i++) await walk.lay(i);
  await walk.gate(nth);
  for (const step of ['take', 'pour', 'spray'] as const) {
    const reply = await walk[step](nth);
    expect(reply.status, `${step}: ${JSON.stringify(reply.body)}`).toBeLessThan(300);
  }
  expect((await walk.work(nth, 'warmed')).status).toBe(409);
  await walk.on(nth);
  const was = flash(nth);
  await changeRoom(walk, { heated: false });
  expect((await walk.work(nth, 'warmed')).body.error.message).toContain('does not warm its air');
  await changeRoom(walk, { heated: true });
  const warmed = await walk.work(nth, 'warmed', { warmC: 39 });
  expect(warmed.status, JSON.stringify(warmed.body)).toBe(201);
  expect(walk.whole.works).toContainEqual(expect.objectContaining({ kind: 'warmed', warmC: 39 }));
  expect(flash(nth).startedAt).toBe(was.startedAt);
  expect(flash(nth).dueAt).not.toBe(was.dueAt);
  expect(Date.parse(flash(nth).dueAt)).toBeGreaterThan(Date.parse(was.startedAt));
});
