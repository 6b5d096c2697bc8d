/**
 * What the shop measures moves what is foreseen: a comb reading kept with a gun, a lab set-up kept
 * as a baseline, at the API.
 */
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let setup: ShopSetup;
beforeAll(async () => {
  shop = await ShopFixture.open();
  setup = await shop.setup();
});
afterAll(() => shop.close());

const settings = {
  nozzleMm: 1.3,
  inletKPa: 138,
  fluidTurnsOut: 3,
  fanTurnsOut: 2,
  distanceMm: 155,
  overlapPercent: 75,
  gunSpeedMPerS: 0.45,
};
const inputWith = (gun: InputOf<'coat'>['gun']): InputOf<'coat'> => ({
  climate: { airTemperatureC: 21, relativeHumidityPercent: 50, airSpeedMPerS: 0.3 },
  material: { class: 'clearMediumSolids' },
  gun,
  settings,
  panel: { slopeDeg: 90 },
  coats: [{ flashMinutes: 12 }],
});
const foreseen = async (gun: InputOf<'coat'>['gun']) => {
  const { status, body } = await shop.post<AnswerOf<'coat'>>('/calculations/coat', inputWith(gun));
  expect(status).toBe(200);
  return body.film.wetUm;
};
const width = ({ low, high, value }: { low: number; high: number; value: number }) =>
  (high - low) / value;

describe('a comb reading', () => {
  it('kept with its set goes with the gun, moves the film to itself and narrows it', async () => {
    const heron = setup.guns.find(({ name }) => name === 'Heron')!;
    const set = heron.sets.find(({ nozzleMm, retiredAt }) => nozzleMm === 1.3 && !retiredAt)!;
    const before = await foreseen(heron.gun);
    const reading = Number((before.value * 0.8).toFixed(1));
    const { status, body } = await shop.post<ShopSetup>('/tests', {
      id: newId(),
      painterId: setup.painters[0]!.id,
      nozzleSetId: set.id,
      test: { kind: 'comb', wetUm: reading, settings },
      note: '',
      gate: await shop.testGate(),
    });
    expect(status).toBe(201);
    const after = await foreseen(body.guns.find(({ id }) => id === heron.id)!.gun);
    expect(Math.abs(after.value / reading - 1)).toBeLessThan(0.03);
    expect(width(after)).toBeLessThan(width(before));
  });
  it('of nothing, or by a needle beyond its travel, is refused and changes nothing', async () => {
    const heron = setup.guns.find(({ name }) => name === 'Heron')!;
    const set = heron.sets.find(({ nozzleMm, retiredAt }) => nozzleMm === 1.3 && !retiredAt)!;
    const count = (await shop.get<StoredTest[]>('/tests')).body.length;
    for (const wetUm of [0, 5000]) {
      const reply = await shop.post<Fault>('/tests', {
        id: newId(),
        painterId: setup.painters[0]!.id,
        nozzleSetId: set.id,
        test: { kind: 'comb', wetUm, settings },
        note: '',
        gate: await shop.testGate(),
      });
      expect(reply.status).toBe(422);
      expect(reply.body.error.path).toEqual(['test', 'wetUm']);
    }
    expect((await shop.get<StoredTest[]>('/tests')).body).toHaveLength(count);
  });
});

it('a lab set-up is kept with its set as a baseline of the kind of paint', async () => {
  const gun = setup.guns.find(({ name }) => name === 'Heron')!;
  const set = gun.sets.find(({ retiredAt }) => !retiredAt)!;
  const test = {
    kind: 'baseline',
    stage: 'clear',
    product: 'Clear, medium solids',
    byEar: false,
    settings,
  };
  const id = newId();
  const reply = await shop.post('/tests', {
    id,
    painterId: setup.painters[0]!.id,
    nozzleSetId: set.id,
    test,
    note: 'from the spray lab',
  });
  expect(reply.status).toBe(201);
  const kept = (await shop.get<StoredTest[]>('/tests')).body.find((stored) => stored.id === id);
  expect(kept).toMatchObject({ nozzleSetId: set.id, test, note: 'from the spray lab' });
});
