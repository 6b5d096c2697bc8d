/** Who may come in and how he goes out: asked as strangers and thieves of a PIN would. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { Pin, type WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeCode } from '../src/signIn/signInLedger.ts';
import { Tablet } from './tablet.ts';
import { ShopFixture } from './shopFixture.ts';
import { concrete, NetworkFixture, PIN, type Who } from './networkFixture.ts';
import { DEMO } from './templates.ts';

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

describe('a stranger', () => {
  it('is shown nothing and may do nothing, on any route there is', async () => {
    const stranger = new Tablet(shop);
    const routes = await network.allRoutes();
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
    const tablet = await network.tabletOf('painter');
    const tryIt = (pin: string) => tablet.post('/sign-in', { painterId: ids.painter, pin });
    for (let i = 0; i < 5; i++) expect((await tryIt('000001')).status).toBe(401);
    const held = await tryIt(PIN.painter);
    expect([held.status, held.body.error.code]).toEqual([429, 'too-many-tries']);
    await lead.put(`/painters/${ids.painter}/pin`, { pin: PIN.painter });
    expect((await tryIt(PIN.painter)).status).toBe(201);
  });
  it('and the cookies it opens are nowhere kept as they are', async () => {
    const tablet = await network.tabletOf('painter');
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
    const [here, elsewhere] = [
      await network.tabletOf('painter'),
      await network.tabletOf('painter'),
    ];
    const path = `/painters/${ids.painter}/pin`;
    expect((await here.put(path, { pin: '827364', current: '000002' })).status).toBe(401);
    expect((await here.put(path, { pin: '827364', current: PIN.painter })).status).toBe(200);
    expect((await here.get('/setup')).status).toBe(200);
    expect((await elsewhere.get('/setup')).status).toBe(401);
    await lead.put(path, { pin: PIN.painter });
  });
});

describe('going out', () => {
  it('out here, out everywhere, and a tablet no longer trusted', async () => {
    const [one, two] = [await network.tabletOf('painter'), await network.tabletOf('painter')];
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
    const tablet = await network.tabletOf('painter');
    await shop.rows(
      `update session set last_seen_at = now() - interval '13 hours' where painter_id = $1`,
      [ids.painter],
    );
    expect((await tablet.get('/setup')).status).toBe(401);
    const other = await network.tabletOf('apprentice');
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
  const proxied = await ShopFixture.open(DEMO, {
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
