/** Who may come in, as whom, and what he may then: asked as strangers, apprentices, leads would. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { Pin, type WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Express } from 'express';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../src/app.ts';
import { ACCESS, roleFor } from '../src/signIn/access.ts';
import { makeCode } from '../src/signIn/signInLedger.ts';
import { Tablet } from './tablet.ts';
import { IN_ORDER, ShopFixture } from './shopFixture.ts';

const PIN = { lead: '704913', painter: '518206', apprentice: '930715' };
const NETWORK = { names: ['shop.lan'], behindProxy: false };

let shop: ShopFixture;
let setup: ShopSetup;
let lead: Tablet;
/** The demo's painters, each with a role of his own. */
const ids = { lead: '', painter: '', apprentice: '' };
type Who = keyof typeof ids;

beforeAll(async () => {
  shop = await ShopFixture.open('template_demo', NETWORK);
  const painters = (await shop.rows(
    'select id, name from painter order by created_at, id limit 3',
  )) as { id: string; name: string }[];
  [ids.lead, ids.painter, ids.apprentice] = painters.map(({ id }) => id) as [
    string,
    string,
    string,
  ];
  await shop.rows(`update painter set role = 'apprentice' where id = $1`, [ids.apprentice]);
  lead = new Tablet(shop);
  const code = await makeCode(shop.database.manager);
  const begun = await lead.post('/sign-in/begin', {
    code: `${code.slice(0, 5)}-${code.slice(5).toLowerCase()}`,
    name: painters[0]!.name.toUpperCase(),
    pin: PIN.lead,
    deviceName: 'Mixing bench',
  });
  expect(begun.status).toBe(201);
  setup = (await lead.get<ShopSetup>('/setup')).body;
  for (const who of ['painter', 'apprentice'] as const)
    expect((await lead.put(`/painters/${ids[who]}/pin`, { pin: PIN[who] })).status).toBe(200);
});
afterAll(() => shop.close());

/** On a tablet of their own that the lead has trusted. */
async function tabletOf(who: Who): Promise<Tablet> {
  const tablet = new Tablet(shop);
  const name = setup.painters.find(({ id }) => id === ids.lead)!.name;
  await tablet.post('/sign-in/trust', { name, pin: PIN.lead, deviceName: `Booth of ${who}` });
  const came = await tablet.post('/sign-in', { painterId: ids[who], pin: PIN[who] });
  expect(came.status).toBe(201);
  return tablet;
}

/** Every route there is, from the app itself. */
type Layer = {
  route?: { path: string; methods: Record<string, boolean> };
  handle: { stack?: Layer[] };
};
const routesIn = (layers: Layer[]): [method: string, path: string][] =>
  layers.flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method): [string, string] => [
          method.toUpperCase(),
          route.path,
        ])
      : routesIn(handle.stack ?? []),
  );
async function allRoutes(): Promise<[string, string][]> {
  const app: Express = await createApp(shop.database, { calculator: {} as never });
  return routesIn((app as unknown as { router: { stack: Layer[] } }).router.stack);
}
const concrete = (path: string): string => path.replaceAll(/:[a-zA-Z]+/g, newId());

describe('a stranger', () => {
  it('is shown nothing and may do nothing, on any route there is', async () => {
    const stranger = new Tablet(shop);
    const routes = await allRoutes();
    expect(routes.length).toBeGreaterThan(60);
    for (const [method, path] of routes) {
      if (/^\/(api\/)?(health|sign-in)/.test(path) || path.includes('*')) continue;
      const reply = await stranger.call(method, concrete(path), method === 'GET' ? undefined : {});
      const isOpening = method === 'POST' && path === '/shop';
      expect([method, path, reply.status]).toEqual([method, path, isOpening ? 422 : 401]);
    }
  });
  it('is told no name on a device that nobody trusts, and cannot come in on it with a right PIN', async () => {
    const stranger = new Tablet(shop);
    const who = (await stranger.get<WhoIsHere>('/sign-in')).body;
    expect(who).toEqual({ isAsked: true, wantsCode: false, isEmpty: false, painters: [] });
    const tried = await stranger.post('/sign-in', { painterId: ids.painter, pin: PIN.painter });
    expect(tried.status).toBe(401);
    const { name } = setup.painters.find(({ id }) => id === ids.painter)!;
    const trust = await stranger.post('/sign-in/trust', {
      name,
      pin: PIN.painter,
      deviceName: 'x',
    });
    expect(trust.status).toBe(401);
  });
  it('hears the same of a name that is nobody’s as of a wrong PIN', async () => {
    const stranger = new Tablet(shop);
    const [wrong, nobody] = [
      await stranger.post('/sign-in/trust', {
        name: setup.painters[0]!.name,
        pin: '111112',
        deviceName: 'x',
      }),
      await stranger.post('/sign-in/trust', { name: 'Nobody', pin: '111112', deviceName: 'x' }),
    ];
    expect(wrong).toEqual(nobody);
    await shop.rows('update credential set wrong_tries = 0');
  });
  it('opens no shop where there is one, and uses no code twice', async () => {
    const code = await makeCode(shop.database.manager);
    const begin = (pin: string) =>
      new Tablet(shop).post('/sign-in/begin', {
        code,
        name: setup.painters[0]!.name,
        pin,
        deviceName: 'x',
      });
    const both = await Promise.all([begin(PIN.lead), begin(PIN.lead)]);
    expect(both.map(({ status }) => status).sort()).toEqual([201, 401]);
  });
});

describe('a PIN', () => {
  it.each(['12345', '111111', '123456', '987654', 'abcdef', ''])('is refused: %s', (pin) => {
    expect(Pin.safeParse(pin).success).toBe(false);
  });
  it('wrong five times makes wait, right ones too, until a lead gives a new one', async () => {
    const tablet = await tabletOf('painter');
    const tryIt = (pin: string) => tablet.post('/sign-in', { painterId: ids.painter, pin });
    for (let i = 0; i < 5; i++) expect((await tryIt('000001')).status).toBe(401);
    const held = await tryIt(PIN.painter);
    expect([held.status, held.body.error.code]).toEqual([429, 'too-many-tries']);
    await lead.put(`/painters/${ids.painter}/pin`, { pin: PIN.painter });
    expect((await tryIt(PIN.painter)).status).toBe(201);
  });
  it('and the cookies it opens are nowhere kept as they are', async () => {
    const tablet = await tabletOf('painter');
    const kept = JSON.stringify([
      await shop.rows('select * from request'),
      await shop.rows('select * from event'),
      await shop.rows('select * from credential'),
      await shop.rows('select * from session'),
      await shop.rows('select * from device'),
      await shop.rows('select * from sign_in_try'),
    ]);
    for (const secret of [...Object.values(PIN), ...tablet.cookies.values()])
      expect(kept).not.toContain(secret);
    for (const cookie of tablet.setCookies) expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
  });
  it('of one’s own is changed with the one until now, which ends the sessions elsewhere', async () => {
    const [here, elsewhere] = [await tabletOf('painter'), await tabletOf('painter')];
    const path = `/painters/${ids.painter}/pin`;
    expect((await here.put(path, { pin: '827364', current: '000002' })).status).toBe(401);
    expect((await here.put(path, { pin: '827364', current: PIN.painter })).status).toBe(200);
    expect((await here.get('/setup')).status).toBe(200);
    expect((await elsewhere.get('/setup')).status).toBe(401);
    await lead.put(path, { pin: PIN.painter });
  });
});

describe('roles', () => {
  it('each rule of the list is about a route there is', async () => {
    const routes = await allRoutes();
    for (const { methods, path } of ACCESS)
      expect(
        routes.some(([method, at]) => methods.includes(method) && path.test(concrete(at))),
        String(path),
      ).toBe(true);
  });
  it.each(['apprentice', 'painter'] as const)('%s is refused whatever wants more', async (who) => {
    const tablet = await tabletOf(who);
    for (const [method, path] of await allRoutes()) {
      const wanted = roleFor(method, concrete(path));
      const isMore = wanted === 'lead' || (wanted === 'painter' && who === 'apprentice');
      if (!isMore) continue;
      const reply = await tablet.call(method, concrete(path), method === 'GET' ? undefined : {});
      if (method === 'POST' && path === '/shop') continue;
      expect([method, path, reply.status]).toEqual([method, path, 403]);
    }
  });
  it('nobody makes himself a lead, nor changes another’s ways', async () => {
    const tablet = await tabletOf('painter');
    const { painters } = (await tablet.get<ShopSetup>('/setup')).body;
    const { id, ...own } = painters.find((one) => one.id === ids.painter)!;
    expect((await tablet.put(`/painters/${id}`, { ...own, role: 'lead' })).status).toBe(403);
    expect((await tablet.put(`/painters/${id}`, own)).status).toBe(200);
    const { id: otherId, ...other } = painters.find((one) => one.id === ids.lead)!;
    expect((await tablet.put(`/painters/${otherId}`, other)).status).toBe(403);
  });
  it('nobody says of another that he did it; the trail knows who was signed in', async () => {
    const tablet = await tabletOf('painter');
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
    const tablet = await tabletOf('apprentice');
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

describe('going out', () => {
  it('out here, out everywhere, and a tablet no longer trusted', async () => {
    const [one, two] = [await tabletOf('painter'), await tabletOf('painter')];
    await one.post('/sign-in/out', {});
    expect((await one.get('/setup')).status).toBe(401);
    expect((await two.get('/setup')).status).toBe(200);
    expect((await two.post('/sessions/end-all', { of: ids.lead })).status).toBe(403);
    expect((await lead.post('/sessions/end-all', { of: ids.painter })).status).toBe(200);
    expect((await two.get('/setup')).status).toBe(401);
    const devices = (await lead.get<{ id: string; name: string }[]>('/devices')).body;
    const { id } = devices.find(({ name }) => name === 'Booth of painter')!;
    expect((await lead.post(`/devices/${id}/distrust`, {})).status).toBe(200);
    expect((await lead.post(`/devices/${id}/distrust`, {})).status).toBe(404);
  });
  it('a session that nobody touched for long is over, and so is one of a painter put away', async () => {
    const tablet = await tabletOf('painter');
    await shop.rows(
      `update session set last_seen_at = now() - interval '13 hours' where painter_id = $1`,
      [ids.painter],
    );
    expect((await tablet.get('/setup')).status).toBe(401);
    const other = await tabletOf('apprentice');
    await shop.rows('update painter set archived_at = now() where id = $1', [ids.apprentice]);
    expect((await other.get('/setup')).status).toBe(401);
    await shop.rows('update painter set archived_at = null where id = $1', [ids.apprentice]);
  });
});

it('without a network nothing is asked, and this machine’s own name is the only one', async () => {
  const own = await ShopFixture.open();
  expect((await own.get<WhoIsHere>('/sign-in')).body).toMatchObject({ isAsked: false });
  expect((await own.get('/setup')).status).toBe(200);
  expect(await own.statusFor('shop.lan')).toBe(404);
  expect(await shop.statusFor('shop.lan:4300')).toBe(401);
  expect(await shop.statusFor('elsewhere.lan')).toBe(404);
  await own.close();
});

it('behind a proxy its word of TLS binds the cookies, and its name is answered', async () => {
  const proxied = await ShopFixture.open('template_demo', {
    names: ['shop.example'],
    behindProxy: true,
  });
  const tablet = new Tablet(proxied);
  const code = await makeCode(proxied.database.manager);
  const [{ name }] = (await proxied.rows(
    'select name from painter order by created_at, id limit 1',
  )) as [{ name: string }];
  const told = { code, name, pin: PIN.lead, deviceName: 'x' };
  const begun = await tablet.post('/sign-in/begin', told, { 'x-forwarded-proto': 'https' });
  expect(begun.status).toBe(201);
  for (const cookie of tablet.setCookies) {
    expect(cookie).toMatch(/^__Host-orthochrom-/);
    expect(cookie).toMatch(/; Secure/);
  }
  expect(await proxied.statusFor('shop.example')).toBe(401);
  await proxied.close();
});
