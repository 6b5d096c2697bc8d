/** Panels touched while spraying: halves, a second touch, a touch by mistake. */
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { CoatWalk } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let shop: ShopFixture;
let walk: CoatWalk;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  shop = await ShopFixture.open();
  opened.push(shop);
  walk = await CoatWalk.begin(shop);
  await walk.gate();
  for (const tap of ['take', 'pour', 'spray'] as const) await walk[tap]();
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});
const takenBack = (): Promise<Record<string, unknown>[]> =>
  shop.rows(`select patch from event where kind = 'panel-taken-back'`);
const onOf = (coat: { panelsSprayed: { panelId: string }[] }) =>
  coat.panelsSprayed.map(({ panelId }) => panelId);

describe('a panel in halves', () => {
  it('is on when both are, each half with its own time, a second touch changing nothing', async () => {
    await walk.panel(0, 0, 'left');
    expect(walk.coat().panelsSprayed).toEqual([]);
    const [left] = walk.coat().halvesSprayed;
    expect(left).toMatchObject({ half: 'left' });
    await walk.panel(0, 0, 'left');
    expect(walk.coat().halvesSprayed).toEqual([left]);
    await walk.panel(0, 0, 'right');
    expect(walk.coat().panelsSprayed).toHaveLength(1);
    expect(walk.coat().halvesSprayed).toHaveLength(2);
  });

  it('refuses a half that no panel has', async () => {
    const reply = await walk.panel(0, 0, 'middle' as 'left');
    expect(reply.status).toBe(422);
    expect(walk.coat().halvesSprayed).toEqual([]);
  });
});

describe('a panel touched by mistake', () => {
  it('is off again with its halves, and others stay on', async () => {
    await walk.panel(0, 0, 'left');
    await walk.panel(0, 0, 'right');
    await walk.panel(0, 1);
    const [first, second] = onOf(walk.coat());
    expect((await walk.panelBack(0, 0)).status).toBe(200);
    expect(onOf(walk.coat())).toEqual([second]);
    expect(walk.coat().halvesSprayed).toEqual([]);
    await walk.panel(0, 0);
    expect(new Set(onOf(walk.coat()))).toEqual(new Set([first, second]));
  });

  it('stays in the trail with the time it was touched at', async () => {
    await walk.panel(0, 0);
    const [on] = walk.coat().panelsSprayed;
    await walk.panelBack(0, 0);
    const trail = await takenBack();
    expect(trail).toHaveLength(1);
    expect(trail[0]!['patch']).toMatchObject({ panelId: on!.panelId, sprayedAt: on!.sprayedAt });
    await walk.panelBack(0, 0);
    expect(await takenBack()).toHaveLength(1);
  });

  it('is no longer taken back once the coat is on', async () => {
    await walk.panel(0, 0);
    await walk.on();
    expect((await walk.panelBack(0, 0)).status).toBe(409);
    expect(walk.coat().panelsSprayed.length).toBeGreaterThan(0);
  });
});
