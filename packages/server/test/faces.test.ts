/** Parts off the car on a ticket: kept with their face, and not turned before tape bears. */
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { codesOf, CoatWalk } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let shop: ShopFixture;
let walk: CoatWalk;
beforeAll(async () => {
  shop = await ShopFixture.open();
  walk = await CoatWalk.begin(shop);
});
afterAll(() => shop.close());

it('the outside waits until the inside bears tape; face and session come back with the ticket', async () => {
  const { id, number: _n, createdAt: _c, ...ticket } = walk.whole.ticket;
  const [like] = ticket.panels;
  const sealer = ticket.stages.find(({ kind }) => kind === 'sealer')!;
  const [inside, outside] = (['inside', 'outside'] as const).map((face) => ({
    ...like!,
    id: newId(),
    name: 'hatch',
    face,
  }));
  const stages = [
    { ...sealer, id: newId(), coats: 1, face: 'inside', panelIds: [inside!.id] },
    { ...sealer, coats: 1, panelIds: [outside!.id] },
  ];
  const body = { ...ticket, panels: [inside, outside], stages };
  const put = await shop.put<TicketWhole>(`/tickets/${id}`, body);
  expect(put.status, JSON.stringify(put.body)).toBe(200);
  await walk.read();
  expect(walk.whole.ticket.panels.map(({ face }) => face)).toEqual(['inside', 'outside']);
  expect(walk.whole.ticket.stages.map(({ face }) => face)).toEqual(['inside', undefined]);
  await walk.lay(0);
  await walk.gate(1);
  const held = await walk.take(1);
  expect(held.status).toBe(409);
  expect(codesOf(held)).toEqual(expect.arrayContaining(['too-early', 'second-session']));
  await shop.database.query(`update coat set ended_at = ended_at - interval '3 days'`);
  expect((await walk.take(1)).status).toBe(200);
});
