/**
 * Nobody goes before a stop, at whichever tap of a coat: air gone bad, a room changed, a gate of
 * yesterday. One shop a tap; each test leaves it as it found it.
 */
import { TAPS } from '@orthochrom/contract/plan/standing.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changeRoom, codesOf, CoatWalk, expectNothingMoved } from './coatWalk.ts';
import { ShopFixture, TEN_O_CLOCK } from './shopFixture.ts';

const COLD = 440;
const CHANGED: [how: string, changes: Partial<Room>, said: RegExp][] = [
  ['turned into a closed garage', { place: 'closedGarage' }, /what the room is/],
  ['left without its extraction', { extraction: 'off' }, /extraction/],
  [
    'where two-pack was found to be prohibited',
    { regionRules: { twoPackAtHome: 'prohibited' } },
    /rule on two-pack/,
  ],
];

describe.each(TAPS)('at the tap %s', (tap) => {
  let shop: ShopFixture;
  let walk: CoatWalk;
  beforeAll(async () => {
    shop = await ShopFixture.open();
    walk = await CoatWalk.begin(shop);
    await walk.goBefore(tap);
  });
  afterAll(() => shop.close());
  const isRefused = (code: string) => expectNothingMoved(walk, () => walk[tap](), code);

  it.each(CHANGED)('a room %s closes the gate', async (_, changes, said) => {
    const was = await changeRoom(walk, changes);
    expect((await isRefused('gate-open')).body.error.message).toMatch(said);
    await changeRoom(walk, was);
  });

  it('a gate of yesterday, or of a clock that was put back since, does not count', async () => {
    const answeredAt = (sql: string) =>
      shop.database.query(`update gate_answer set answered_at = ${sql}`);
    await answeredAt(`answered_at - interval '1 day'`);
    await isRefused('gate-open');
    await answeredAt(`now() + interval '20 minutes'`);
    await isRefused('gate-open');
    await answeredAt('now()');
  });

  it('air gone bad stops it, with every reason, what would follow and what to do instead', async () => {
    shop.probe.steer({ minute: COLD });
    const reply = await isRefused('stopped');
    expect(codesOf(reply)).toEqual(
      expect.arrayContaining(['panel-too-cold', 'panel-below-dew-margin', 'material-too-cold']),
    );
    for (const { follows, instead } of reply.body.error.verdicts!)
      expect(follows?.text && instead?.text).toBeTruthy();
    shop.probe.steer({ minute: TEN_O_CLOCK });
    expect((await walk[tap]()).status).toBeLessThan(300);
  });
});
