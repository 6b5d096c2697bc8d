/** A shop on its network: the demo's painters with a role and a PIN each, and their tablets. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { Express } from 'express';
import { v7 as newId } from 'uuid';
import { expect } from 'vitest';
import { createApp } from '../src/app.ts';
import { makeCode } from '../src/signIn/signInLedger.ts';
import { ShopFixture } from './shopFixture.ts';
import { Tablet } from './tablet.ts';
import { DEMO } from './templates.ts';

export const PIN = { lead: '704913', painter: '518206', apprentice: '930715' };
export type Who = keyof typeof PIN;

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

/** A route's path with an id nobody has in every place of one. */
export const concrete = (path: string): string => path.replaceAll(/:[a-zA-Z]+/g, newId());

export class NetworkFixture {
  private constructor(
    readonly shop: ShopFixture,
    /** On the tablet that began the shop's signing in. */
    readonly lead: Tablet,
    readonly setup: ShopSetup,
    readonly ids: Record<Who, string>,
  ) {}

  static async open(): Promise<NetworkFixture> {
    const shop = await ShopFixture.open(DEMO, {
      names: ['shop.lan'],
      behindProxy: false,
    });
    const painters = (await shop.rows(
      'select id, name from painter order by created_at, id limit 3',
    )) as { id: string; name: string }[];
    const [one, two, three] = painters.map(({ id }) => id);
    const ids = { lead: one!, painter: two!, apprentice: three! };
    await shop.rows(`update painter set role = 'apprentice' where id = $1`, [ids.apprentice]);
    const lead = new Tablet(shop);
    const code = await makeCode(shop.database.manager);
    const begun = await lead.post('/sign-in/begin', {
      code: `${code.slice(0, 5)}-${code.slice(5).toLowerCase()}`,
      name: painters[0]!.name.toUpperCase(),
      pin: PIN.lead,
      deviceName: 'Mixing bench',
    });
    expect(begun.status).toBe(201);
    const setup = (await lead.get<ShopSetup>('/setup')).body;
    for (const who of ['painter', 'apprentice'] as const)
      expect((await lead.put(`/painters/${ids[who]}/pin`, { pin: PIN[who] })).status).toBe(200);
    return new NetworkFixture(shop, lead, setup, ids);
  }

  /** A tablet of their own that the lead has trusted, with them signed in. */
  async tabletOf(who: Who): Promise<Tablet> {
    const tablet = new Tablet(this.shop);
    const name = this.setup.painters.find(({ id }) => id === this.ids.lead)!.name;
    await tablet.post('/sign-in/trust', { name, pin: PIN.lead, deviceName: `Booth of ${who}` });
    const came = await tablet.post('/sign-in', { painterId: this.ids[who], pin: PIN[who] });
    expect(came.status).toBe(201);
    return tablet;
  }

  /** Every route there is, from the app itself. */
  async allRoutes(): Promise<[method: string, path: string][]> {
    const app: Express = await createApp(this.shop.database, { calculator: {} as never });
    return routesIn((app as unknown as { router: { stack: Layer[] } }).router.stack);
  }
}
