/** The shop made one's own: rooms and cups added, changed and put away; a hand that is learned. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { CoatWalk } from './coatWalk.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  shop = await ShopFixture.open();
  opened.push(shop);
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

const ROOM = {
  name: 'Lean-to',
  place: 'openGarage',
  heated: false,
  airMovement: 'fan',
  airflow: 'fanAtDoor',
  extraction: 'ratedFan',
  region: '',
  regionRules: {},
  siliconeLastOn: '2026-03-01',
  wetsFloor: true,
  note: '',
};
const CUP = { name: 'Cup 300', capacityMl: 300, marksMl: [50, 100], scales: [], strainerUm: 190 };
type Answer = ShopSetup & Fault;

describe('rooms and cups', () => {
  it('are added whole, changed with their version, and put away with their past', async () => {
    const [roomId, cupId] = [newId(), newId()];
    await shop.post<Answer>('/rooms', { id: roomId, ...ROOM });
    const added = await shop.post<Answer>('/cups', { id: cupId, ...CUP });
    expect(added.status).toBe(201);
    const find = ({ rooms, cups }: ShopSetup) => ({
      room: rooms.find(({ id }) => id === roomId),
      cup: cups.find(({ id }) => id === cupId),
    });
    expect(find(added.body)).toMatchObject({ room: ROOM, cup: CUP });
    const { strainerUm: _, ...meshless } = CUP;
    const changed = await shop.put<Answer>(`/cups/${cupId}`, { ...meshless, version: 1 });
    expect(find(changed.body).cup).not.toHaveProperty('strainerUm');
    expect((await shop.put<Answer>(`/cups/${cupId}`, { ...CUP, version: 1 })).status).toBe(409);
    for (const shelf of [`rooms/${roomId}`, `cups/${cupId}`]) {
      const { body } = await shop.get<ShopSetup>('/setup');
      const { room, cup } = find(body);
      const { version } = (shelf.startsWith('rooms') ? room : cup)!;
      const away = await shop.post<Answer>(`/${shelf}/archive`, { version });
      expect(away.status).toBe(200);
    }
    expect(find((await shop.get<ShopSetup>('/setup')).body)).toEqual({});
  });

  it.each([
    [{ ...CUP, scales: [{ ratio: [4, 1, 1], mlPerPart: 60 }] }, 'mlPerPart'],
    [{ ...CUP, marksMl: [100, 50] }, 'marksMl'],
    [{ ...CUP, marksMl: [400] }, 'marksMl'],
    [{ ...CUP, capacityMl: 0 }, 'capacityMl'],
  ])('a cup that cannot be is refused at its field: %#', async (cup, field) => {
    const reply = await shop.post<Answer>('/cups', { id: newId(), ...cup });
    expect(reply.status).toBe(422);
    expect(JSON.stringify(reply.body.error.path)).toContain(field);
  });

  it('a room that an open ticket is worked in stays', async () => {
    const { whole } = await CoatWalk.begin(shop);
    const { rooms } = await shop.setup();
    const { id, version } = rooms.find((room) => room.id === whole.ticket.roomId)!;
    const reply = await shop.post<Answer>(`/rooms/${id}/archive`, { version });
    expect(reply.status).toBe(409);
    expect(reply.body.error.message).toContain(whole.ticket.number);
  });
});

describe('what was left in the cup', () => {
  it('is learned from: what went through the gun against what was planned', async () => {
    const walk = await CoatWalk.begin(shop);
    const { id } = walk.whole.ticket;
    const stageId = walk.coat(0).stageId;
    const say = (leftMl: number) =>
      shop.post<Answer>(`/tickets/${id}/usages`, {
        id: newId(),
        stageId,
        painterId: walk.painterId,
        leftMl,
      });
    expect((await say(10)).status).toBe(409);
    await walk.lay(0);
    const poured = walk.whole.mixes.reduce((sum, { readyMl }) => sum + readyMl, 0);
    expect((await say(poured + 1)).status).toBe(409);
    expect((await say(20)).status).toBe(201);
    const { usages } = await walk.read();
    expect(usages).toHaveLength(1);
    expect(usages[0]).toMatchObject({ stageId, leftMl: 20, usedMl: poured - 20 });
    const setup = (await shop.get<ShopSetup>('/setup')).body;
    expect(setup.usages.map((usage) => usage.id)).toContain(usages[0]!.id);
    const aside = { painterId: walk.painterId, counts: false };
    expect((await shop.put<Answer>(`/usages/${usages[0]!.id}`, aside)).status).toBe(200);
    expect((await walk.read()).usages[0]).toMatchObject({ counts: false });
  });
});

describe('the shop itself, and what its tins cost', () => {
  it('changes its name, clock and money with a version', async () => {
    const { id: _, ...own } = (await shop.setup()).shop;
    const told = { ...own, name: 'Lee Shore Paint', currency: 'kr' };
    const changed = await shop.put<Answer>('/shop', told);
    expect(changed.body.shop).toMatchObject({ name: 'Lee Shore Paint', currency: 'kr' });
    expect((await shop.put<Answer>('/shop', told)).status).toBe(409);
    const { id: _id, currency: _c, ...rest } = changed.body.shop;
    expect((await shop.put<Answer>('/shop', rest)).body.shop).not.toHaveProperty('currency');
  });
  it.each([
    [{ timeZone: 'Nowhere/Land' }, 'timeZone'],
    [{ ticketPrefix: 'a b' }, 'ticketPrefix'],
    [{ name: '' }, 'name'],
  ])('refuses what no shop has: %o', async (changes, field) => {
    const { id: _, ...own } = (await shop.setup()).shop;
    const reply = await shop.put<Answer>('/shop', { ...own, ...changes });
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toEqual([field]);
  });
  it('keeps prices by tin: first told, then changed over the version, never a tin it has not', async () => {
    const { body: sheets } =
      await shop.get<{ sheet: { id: string; packSizesMl?: number[] } }[]>('/sheets');
    const { sheet } = sheets.find((one) => (one.sheet.packSizesMl?.length ?? 0) > 1)!;
    const size = String(sheet.packSizesMl![0]);
    const kept = (await shop.setup()).prices.find(({ productId }) => productId === sheet.id);
    const say = (version: number, prices: Record<string, number>) =>
      shop.put<Answer>(`/products/${sheet.id}/prices`, {
        id: kept?.id ?? newId(),
        version,
        prices,
      });
    const version = kept?.version ?? 0;
    const first = await say(version, { [size]: 12.5 });
    expect(first.status).toBe(200);
    expect(first.body.prices.find(({ productId }) => productId === sheet.id)).toMatchObject({
      prices: { [size]: 12.5 },
      version: version + 1,
    });
    expect((await say(version, { [size]: 9 })).status).toBe(409);
    expect((await say(version + 1, { '7': 9 })).status).toBe(422);
    expect((await say(version + 1, { [size]: -1 })).status).toBe(422);
    const strange = await shop.put<Answer>('/products/nothing/prices', {
      id: newId(),
      version: 0,
      prices: {},
    });
    expect(strange.status).toBe(422);
  });
});
