/**
 * Guns and air at the API: what was measured stays where it belongs, for good, and the plan goes by
 * it.
 */
import type { GunStory } from '@orthochrom/contract/shop/care.ts';
import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { CARE_ITEMS } from '@orthochrom/core/gun/care.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let painterId: string;
beforeAll(async () => {
  shop = await ShopFixture.open();
  painterId = (await shop.setup()).painters[0]!.id;
});
afterAll(() => shop.close());

const gunNamed = async (name: string): Promise<StoredGun> =>
  (await shop.setup()).guns.find((gun) => gun.name === name)!;
/** As the form sends it: described, without its tests. */
function described(
  { id: _i, sets: _s, gun, ...rest }: StoredGun,
  changes: Partial<StoredGun['gun']> = {},
) {
  const nozzleSets = (gun.nozzleSets ?? []).map(({ tests: _, ...set }) => set);
  return { ...rest, gun: { ...gun, nozzleSets, ...changes } };
}
const story = async (gunId: string): Promise<GunStory> =>
  (await shop.get<GunStory>(`/guns/${gunId}/story`)).body;
const caught = {
  kind: 'catch',
  ml: 61,
  seconds: 30,
  inletKPa: 138,
  fluidTurnsOut: 3,
  fanTurnsOut: 2,
} as const;

describe('a gun', () => {
  it('keeps the tests of a set that stays, and retires with its tests one that goes', async () => {
    const heron = await gunNamed('Heron');
    const [kept] = heron.gun.nozzleSets!;
    const { tests: _, ...bare } = kept!;
    const body = described(heron, {
      nozzlesMm: [1.3, 1.6],
      nozzleSets: [bare, { nozzleMm: 1.6, needle: '1.6 H' }],
    });
    const reply = await shop.put<ShopSetup>(`/guns/${heron.id}`, body);
    const now = reply.body.guns.find(({ id }) => id === heron.id)!;
    expect(now.gun.nozzlesMm).toEqual([1.3, 1.6]);
    expect(now.gun.nozzleSets![0]!.tests).toEqual(kept!.tests);
    expect(now.gun.nozzleSets![1]!.tests).toEqual([]);
    const gone = now.sets.find(({ nozzleMm }) => nozzleMm === 1.4)!;
    expect(gone.retiredAt).toBeDefined();
    const gate = await shop.testGate();
    const refused = await shop.post<Fault>('/tests', {
      id: newId(),
      painterId,
      nozzleSetId: gone.id,
      test: caught,
      note: '',
      gate,
    });
    expect(refused.status).toBe(422);
    expect(refused.body.error.message).toContain('retired');
  });
  it.each([
    [
      'a nozzle nobody makes',
      { nozzlesMm: [5], nozzleSets: [{ nozzleMm: 5 }] },
      ['gun', 'nozzlesMm', 0],
    ],
    [
      'a rating over what it may have',
      { ratedInletKPa: 300, maxInletKPa: 250 },
      ['gun', 'maxInletKPa'],
    ],
    [
      'a cap pressure over its inlet',
      { ratedInletKPa: 100, capKPaAtRated: 138 },
      ['gun', 'capKPaAtRated'],
    ],
  ])('with %s is refused where it stands', async (_, changes, path) => {
    const heron = await gunNamed('Heron');
    const reply = await shop.put<Fault>(`/guns/${heron.id}`, described(heron, changes));
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toEqual(path);
  });
  it('does not take tests by being edited', async () => {
    const heron = await gunNamed('Heron');
    const reply = await shop.put<Fault>(
      `/guns/${heron.id}`,
      described(heron, { nozzlesMm: [1.3], nozzleSets: [{ nozzleMm: 1.3, tests: [caught] }] }),
    );
    expect(reply.body.error).toMatchObject({
      code: 'unknown-field',
      path: ['gun', 'nozzleSets', 0, 'tests'],
    });
  });
});

describe('a test', () => {
  it('is kept once, belongs to its set, and the newest rules', async () => {
    const curlew = await gunNamed('Curlew');
    const set = curlew.sets.find(({ nozzleMm }) => nozzleMm === 1.3)!;
    const before = (await story(curlew.id)).tests.length;
    const body = {
      id: newId(),
      painterId,
      nozzleSetId: set.id,
      test: { ...caught, fanTurnsOut: 1.5 },
      note: 'after the new filter',
      gate: await shop.testGate(),
    };
    await shop.post('/tests', body);
    const again = await shop.post<ShopSetup>('/tests', body);
    expect((await story(curlew.id)).tests).toHaveLength(before + 1);
    const now = again.body.guns.find(({ id }) => id === curlew.id)!;
    expect(now.gun.nozzleSets!.find(({ nozzleMm }) => nozzleMm === 1.3)!.tests).toContainEqual(
      body.test,
    );
    expect(now.gun.nozzleSets!.find(({ nozzleMm }) => nozzleMm === 1.2)!.tests).not.toContainEqual(
      body.test,
    );
  });
  it.each([
    ['without its set', { test: caught }, ['nozzleSetId']],
    [
      'of a line given to a set',
      { nozzleSetId: newId(), airLineId: newId(), test: caught },
      ['airLineId'],
    ],
    [
      'with more at the gun than at the wall',
      {
        airLineId: newId(),
        test: {
          kind: 'twoGauges',
          wallKPa: 100,
          inletKPa: 140,
          gunId: newId(),
          airFlowLPerMin: 300,
        },
      },
      ['test', 'inletKPa'],
    ],
    [
      'pumped up backwards',
      {
        compressorId: newId(),
        test: { kind: 'pumpUp', fromKPa: 800, toKPa: 600, seconds: 60, freeAirLPerMin: 100 },
      },
      ['test', 'toKPa'],
    ],
  ])('%s is refused where it stands', async (_, given, path) => {
    const gate = await shop.testGate();
    const reply = await shop.post<Fault>('/tests', {
      id: newId(),
      painterId,
      note: '',
      gate,
      ...given,
    });
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toEqual(path);
  });
});

describe('an air line', () => {
  const loft = async (): Promise<AirLine> =>
    (await shop.setup()).airLines.find(({ name }) => name === 'Loft drop')!;
  const bare = ({ id: _, twoGauges: _t, ...line }: AirLine) => line;
  it('keeps its measured loss while its pieces stay, and loses it with a new hose', async () => {
    const line = await loft();
    expect(line.twoGauges?.test).toMatchObject({ kind: 'twoGauges', inletKPa: 138 });
    await shop.put(`/air-lines/${line.id}`, { ...bare(line), note: 'Under the roof.' });
    expect((await loft()).twoGauges).toBeDefined();
    const before = await loft();
    await shop.put(`/air-lines/${line.id}`, {
      ...bare(before),
      line: { ...before.line, hose: { innerDiameterMm: 12, lengthM: 15 } },
    });
    expect((await loft()).twoGauges).toBeUndefined();
    const kept = (await shop.get<StoredTest[]>('/tests')).body.filter(
      ({ airLineId }) => airLineId === line.id,
    );
    expect(kept.length).toBeGreaterThan(1);
  });
  it('edited from an older version is a clash, shown and not overwritten', async () => {
    const line = await loft();
    const reply = await shop.put<Fault>(`/air-lines/${line.id}`, {
      ...bare(line),
      version: line.version - 1,
      note: 'mine',
    });
    expect(reply.status).toBe(409);
    expect(reply.body.error.theirs).toMatchObject({ version: line.version });
    expect((await loft()).note).toBe('Under the roof.');
  });
  it('takes no loss that was only described, and no hose without a bore', async () => {
    const line = bare(await loft());
    const described = await shop.put<Fault>(`/air-lines/${newId()}`, {
      ...line,
      line: { measuredLossPercent: 20 },
    });
    expect(described.body.error.path).toEqual(['line', 'measuredLossPercent']);
    const boreless = await shop.put<Fault>(`/air-lines/${newId()}`, {
      ...line,
      line: { hose: { innerDiameterMm: 0, lengthM: 10 } },
    });
    expect(boreless.body.error).toMatchObject({
      code: 'out-of-range',
      path: ['line', 'hose', 'innerDiameterMm'],
    });
  });
});

it('a compressor is rated by its newest pump-up until its figures change', async () => {
  const puffin = async (): Promise<Compressor> =>
    (await shop.setup()).compressors.find(({ name }) => name === 'Puffin')!;
  const { id, pumpUp, ...body } = await puffin();
  expect(pumpUp?.test.kind).toBe('pumpUp');
  await shop.put(`/compressors/${id}`, { ...body, tankL: 90 });
  expect((await puffin()).pumpUp).toBeUndefined();
});

describe('care', () => {
  const round = (items: { key: string; answer: string; reason?: string }[], gunId: string) => ({
    id: newId(),
    gunId,
    painterId,
    kind: 'cleaned',
    items,
    note: '',
  });
  it('wants every item done, or skipped with a word why', async () => {
    const { id } = await gunNamed('Wren');
    const all = CARE_ITEMS.cleaned.map((key) => ({ key, answer: 'done' }));
    expect((await shop.post<Fault>('/care', round(all.slice(1), id))).body.error.message).toContain(
      'empty-cup',
    );
    expect(
      (
        await shop.post<Fault>(
          '/care',
          round(
            all.map((item) => ({ ...item, answer: 'skipped' })),
            id,
          ),
        )
      ).status,
    ).toBe(422);
    const reply = await shop.post(
      '/care',
      round(
        all.map((item, i) =>
          i === 3 ? { ...item, answer: 'skipped', reason: 'head cleaned at noon' } : item,
        ),
        id,
      ),
    );
    expect(reply.status).toBe(201);
    expect((await story(id)).rounds[0]).toMatchObject({ kind: 'cleaned' });
  });
  it('knows what is due: a pattern long not shot, a service long past', async () => {
    const bittern = await story((await gunNamed('Bittern')).id);
    expect(bittern.care.due.find(({ what }) => what === 'service')).toMatchObject({ isDue: true });
    expect(bittern.cards[0]).toMatchObject({ stage: 'primer', nozzleMm: 1.8 });
  });
});
