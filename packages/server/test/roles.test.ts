/** What a role may do, on every route there is, and what an apprentice wants a lead for. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ACCESS, roleFor } from '../src/signIn/access.ts';
import { Tablet } from './tablet.ts';
import { IN_ORDER } from './inOrder.ts';
import { ShopFixture } from './shopFixture.ts';
import { concrete, NetworkFixture, PIN, type Who } from './networkFixture.ts';

let network: NetworkFixture;
let shop: ShopFixture;
let setup: ShopSetup;
let lead: Tablet;
let ids: Record<Who, string>;
beforeAll(async () => {
  network = await NetworkFixture.open();
  ({ shop, setup, lead, ids } = network);
});
afterAll(() => network.shop.close());

describe('roles', () => {
  it('each rule of the list is about a route there is', async () => {
    const routes = await network.allRoutes();
    for (const { methods, path } of ACCESS)
      expect(
        routes.some(([method, at]) => methods.includes(method) && path.test(concrete(at))),
        String(path),
      ).toBe(true);
  });
  it.each(['apprentice', 'painter'] as const)('%s is refused whatever wants more', async (who) => {
    const tablet = await network.tabletOf(who);
    for (const [method, path] of await network.allRoutes()) {
      const wanted = roleFor(method, concrete(path));
      const isMore = wanted === 'lead' || (wanted === 'painter' && who === 'apprentice');
      if (!isMore) continue;
      const reply = await tablet.call(method, concrete(path), method === 'GET' ? undefined : {});
      if (method === 'POST' && path === '/shop') continue;
      expect([method, path, reply.status]).toEqual([method, path, 403]);
    }
  });
  it('nobody makes himself a lead, nor changes another’s ways', async () => {
    const tablet = await network.tabletOf('painter');
    const { painters } = (await tablet.get<ShopSetup>('/setup')).body;
    const { id, ...own } = painters.find((one) => one.id === ids.painter)!;
    expect((await tablet.put(`/painters/${id}`, { ...own, role: 'lead' })).status).toBe(403);
    expect((await tablet.put(`/painters/${id}`, own)).status).toBe(200);
    const { id: otherId, ...other } = painters.find((one) => one.id === ids.lead)!;
    expect((await tablet.put(`/painters/${otherId}`, other)).status).toBe(403);
  });
  it('nobody says of another that he did it; the trail knows who was signed in', async () => {
    const tablet = await network.tabletOf('painter');
    const room = setup.rooms[0]!;
    const reading = (painterId: string) => ({
      id: newId(),
      roomId: room.id,
      quantity: 'airC',
      valueCanonical: 21,
      enteredValue: 21,
      enteredUnit: 'C',
      painterId,
    });
    expect((await tablet.post('/readings', reading(ids.lead))).status).toBe(403);
    const own = reading(ids.painter);
    expect((await tablet.post('/readings', own)).status).toBe(201);
    const [event] = await shop.rows('select signed_in_id from event where aggregate_id = $1', [
      own.id,
    ]);
    expect(event).toEqual({ signed_in_id: ids.painter });
  });
});

describe('an apprentice’s word against the advice', () => {
  it('wants a lead’s hand where the shop wants it, once for each; gate and stops are as for all', async () => {
    const { id: _, ...own } = (await lead.get<ShopSetup>('/setup')).body.shop;
    await lead.put('/shop', { ...own, apprenticeAsks: true });
    const tablet = await network.tabletOf('apprentice');
    const { tickets } = (
      await tablet.get<{ tickets: { id: string; vehicle: string }[] }>('/tickets')
    ).body;
    const { id } = tickets.find(({ vehicle }) => vehicle === 'Linnet hatchback, left side')!;
    const { ticket, coats } = (await tablet.get<TicketWhole>(`/tickets/${id}`)).body;
    const coat = coats[0]!;
    const take = (headers?: Record<string, string>) =>
      tablet.post(
        `/coats/${coat.id}/take`,
        {
          version: coat.version,
          painterId: ids.apprentice,
          gunId: ticket.stages[0]!.gunId,
          overrides: { inletKPa: { recommended: 200, chosen: 190, why: 'softer' } },
        },
        headers,
      );
    const asked = await take();
    expect([asked.status, asked.body.error.code]).toEqual([403, 'lead-asked']);
    const touch = async (leadId: string, pin: string) =>
      tablet.post<{ id: string }>('/sign-in/touch', { leadId, pin });
    expect((await touch(ids.painter, PIN.painter)).status).toBe(403);
    expect((await touch(ids.lead, '000003')).status).toBe(401);
    const touched = (await touch(ids.lead, PIN.lead)).body.id;
    // Past the lead stands the gate, for an apprentice as for everybody.
    const atGate = await take({ 'lead-touch': touched });
    expect([atGate.status, atGate.body.error.code]).toEqual([409, 'gate-open']);
    expect((await take({ 'lead-touch': touched })).body.error.code).toBe('lead-asked');
    const passed = await tablet.post(`/tickets/${id}/gate-answers`, {
      id: newId(),
      stageId: ticket.stages[0]!.id,
      step: 'mix',
      painterId: ids.apprentice,
      ...IN_ORDER,
    });
    expect(passed.status).toBe(201);
    const again = await touch(ids.lead, PIN.lead);
    expect((await take({ 'lead-touch': again.body.id })).status).toBe(200);
    const [event] = await shop.rows(
      'select signed_in_id, touched_by_id from event where touched_by_id is not null',
    );
    expect(event).toEqual({ signed_in_id: ids.apprentice, touched_by_id: ids.lead });
    const { hands } = (await tablet.get<RecordRow>(`/records/${coat.id}`)).body;
    const nameOf = (who: Who) => setup.painters.find((one) => one.id === ids[who])!.name;
    expect(hands?.at(-1)).toMatchObject({ signedIn: nameOf('apprentice'), lead: nameOf('lead') });
  });
});
