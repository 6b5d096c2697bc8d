/** What stands on a panel is kept as it was told, and stops the first coat that would lift it. */
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { CoatWalk, codesOf } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let walk: CoatWalk;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  const shop = await ShopFixture.open();
  opened.push(shop);
  walk = await CoatWalk.begin(shop);
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

const tell = (found: unknown) => walk.tellPanels({ found });
const AEROSOL: FoundLayer = { history: 'aerosol1k', lastGrit: 'P400', dryUm: 60 };
const TAPS = ['take', 'pour', 'spray'] as const;

describe('what stands on a panel', () => {
  it('is kept whole, and taken back', async () => {
    const layers: FoundLayer[] = [
      { history: 'bareMetal', cutThrough: true },
      { ...AEROSOL, texture: 'peel', tests: { tape: 'edge', rub: 'tacky', patch: 'lifted' } },
    ];
    expect((await tell(layers)).status).toBe(200);
    expect(walk.whole.ticket.panels.map(({ found }) => found)).toEqual(
      walk.whole.ticket.panels.map(() => layers),
    );
    await tell(undefined);
    expect(walk.whole.ticket.panels.some((panel) => 'found' in panel)).toBe(false);
  });

  it.each([
    [[{ history: 'rust' }], 'history'],
    [[{ ...AEROSOL, lastGrit: 'P90' }], 'lastGrit'],
    [[{ ...AEROSOL, dryUm: 9000 }], 'dryUm'],
    [[{ ...AEROSOL, colour: 'red' }], 'colour'],
  ])('%j is refused at its field, and nothing moved', async (found, field) => {
    const { version } = walk.whole.ticket;
    const reply = await tell(found);
    expect(reply.status).toBe(422);
    expect(JSON.stringify(reply.body.error)).toContain(field);
    expect(walk.whole.ticket.version).toBe(version);
  });

  it.each(TAPS)(
    'stops the tap %s where the coat would lift it, until a patch held',
    async (tap) => {
      await walk.gate();
      for (const step of TAPS.slice(0, TAPS.indexOf(tap))) await walk[step]();
      await tell([AEROSOL]);
      const reply = await walk[tap]();
      expect(reply.status).toBe(409);
      expect(codesOf(reply)).toContain('layer-lifts');
      await tell([{ ...AEROSOL, tests: { patch: 'held' } }]);
      await walk.prep();
      expect((await walk[tap]()).status).toBeLessThan(300);
    },
  );

  it('holds nothing against a panel that nobody was asked about; told late it stops as all does', async () => {
    await walk.gate();
    for (const step of TAPS) expect((await walk[step]()).status).toBeLessThan(300);
    await tell([AEROSOL]);
    // What is wet was made ready, or not, before: the list holds the next coat.
    expect(codesOf(await walk.on())).not.toContain('prep-open');
    expect(codesOf(await walk.on())).toEqual(
      expect.arrayContaining(['layer-lifts', 'wet-panel-stopped']),
    );
    await tell(undefined);
    expect((await walk.on()).status).toBeLessThan(300);
  });
});
