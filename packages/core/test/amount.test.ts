/** How much: balances hold, cups last, tins cover, and a hand is learned without being fooled. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lapsOf, type LapLimits, type Portion } from '../src/amount/laps.ts';
import { painterFactorOf, UNKNOWN_HAND, type UsedJob } from '../src/amount/painterFactor.ts';
import { quantityOf } from '../src/amount/quantity.ts';
import type { QuantityInput } from '../src/amount/quantityInput.ts';
import { edgeFactor, PANEL_SHAPES, shareOf, type PaintedPanel } from '../src/amount/share.ts';
import { tinsFor } from '../src/amount/tins.ts';
import { SCOPES } from '../src/layers/foundLayer.ts';
import { STAGES } from '../src/trade/vocabulary.ts';
import { between } from './figures.ts';

const RUNS = { numRuns: 1000 };
const anyPanel = fc.record(
  {
    areaM2: between(0.05, 6),
    scope: fc.constantFrom(...SCOPES),
    heightM: between(0.08, 2),
    shape: fc.constantFrom(...PANEL_SHAPES),
  },
  { requiredKeys: ['areaM2'] },
) as fc.Arbitrary<Omit<PaintedPanel, 'name'>>;
const anyPanels = fc
  .array(anyPanel, { minLength: 1, maxLength: 8 })
  .map((all) => all.map((panel, i): PaintedPanel => ({ ...panel, name: `panel ${i}` })));
const anyJob = fc.record({
  panels: anyPanels,
  coats: fc.integer({ min: 1, max: 4 }),
  stage: fc.constantFrom(...STAGES),
  wetFilmUm: between(10, 120),
  transferEfficiencyPercent: between(25, 90),
  wastePercent: between(0, 30),
  lineAndCupLossMl: between(0, 60),
}) as fc.Arbitrary<QuantityInput>;

describe('what is needed', () => {
  it('is a band round its value, and falls apart into its panels and its losses', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const { readyMl, byPanel } = quantityOf(job);
        expect(readyMl.low).toBeLessThanOrEqual(readyMl.value);
        expect(readyMl.high).toBeGreaterThanOrEqual(readyMl.value);
        const onPanels = byPanel.reduce((sum, { ml }) => sum + ml, 0);
        expect(onPanels + job.lineAndCupLossMl!).toBeCloseTo(readyMl.value, 6);
      }),
      RUNS,
    );
  });
  it('doubles with the film, all but the losses', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const lossMl = job.lineAndCupLossMl!;
        const [one, two] = [1, 2].map(
          (times) => quantityOf({ ...job, wetFilmUm: job.wetFilmUm! * times }).readyMl.value,
        );
        expect(two! - lossMl).toBeCloseTo(2 * (one! - lossMl), 6);
      }),
      RUNS,
    );
  });
  it('takes no more of a panel than all of it, of a blend no more than of a full one', () => {
    fc.assert(
      fc.property(anyPanel, fc.constantFrom(...STAGES), (given, stage) => {
        const panel = { ...given, name: 'door' };
        expect(shareOf(panel, stage)).toBeLessThanOrEqual(1);
        expect(shareOf({ ...panel, scope: 'blend' }, stage)).toBeLessThanOrEqual(
          shareOf({ ...panel, scope: 'full' }, stage),
        );
        expect(shareOf({ ...panel, scope: 'leave' }, stage)).toBe(0);
      }),
      RUNS,
    );
  });
  it('is more where a panel is lower or shorter: more of it is rim', () => {
    fc.assert(
      fc.property(between(0.08, 1), between(1.01, 3), (heightM, times) => {
        const edge = (height: number, lengthM: number) =>
          edgeFactor({ name: 'sill', areaM2: 1, heightM: height, lengthM }, {});
        expect(edge(heightM, 1)).toBeGreaterThan(edge(heightM * times, 1));
        expect(edge(heightM, 1)).toBeGreaterThan(edge(heightM, times));
        expect(edge(heightM, times)).toBeGreaterThan(1);
      }),
    );
  });
  it.each([
    [0.65, 200, 75, 0.9 / 0.65, 1.155],
    [0.65, 200, 50, 0.9 / 0.65, 1.237],
    [0.08, 100, 66, 1.2, 1.54],
  ])('%f m high, %f mm fan at %f %%', (heightM, fanWidthMm, overlapPercent, lengthM, factor) => {
    const panel = { name: 'p', areaM2: heightM * lengthM, heightM };
    expect(edgeFactor(panel, { fanWidthMm, overlapPercent })).toBeCloseTo(factor, 2);
  });
});

const portions = fc
  .array(fc.array(between(5, 900), { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 4 })
  .map((coats) =>
    coats.flatMap((panels, coat) =>
      panels.map((ml, i): Portion => ({ panel: `panel ${i}`, coat: coat + 1, ml })),
    ),
  );
const limits = fc.record({
  cupMl: between(300, 1000),
  residueMl: between(0, 20),
  lineLossMl: between(0, 40),
  fluidMlPerMin: between(60, 300),
  flashMinutes: between(0, 20),
  potLifeMinutes: between(20, 300),
}) as fc.Arbitrary<LapLimits>;

describe('cups that end with a panel', () => {
  it('hold all of it, none over the cup, none over its time unless one portion alone is', () => {
    fc.assert(
      fc.property(portions, limits, (all, of) => {
        const { laps } = lapsOf(all, of);
        const laid = laps.flatMap((lap) => lap.portions).reduce((sum, { ml }) => sum + ml, 0);
        expect(laid).toBeCloseTo(
          all.reduce((sum, { ml }) => sum + ml, 0),
          6,
        );
        for (const lap of laps) {
          expect(lap.readyMl).toBeLessThanOrEqual(of.cupMl + 1e-6);
          if (lap.isTooLong) expect(lap.portions).toHaveLength(1);
        }
      }),
      RUNS,
    );
  });
  it('are never fewer for a shorter pot life, never more for a bigger cup', () => {
    fc.assert(
      fc.property(portions, limits, between(1, 3), (all, of, times) => {
        const count = (change: Partial<LapLimits>) => lapsOf(all, { ...of, ...change }).laps.length;
        expect(count({ potLifeMinutes: of.potLifeMinutes! / times })).toBeGreaterThanOrEqual(
          count({}),
        );
        // A panel cut for a smaller cup has other pieces: whole ones only.
        const isCut = lapsOf(all, of).cutPanels.length > 0;
        if (!isCut) expect(count({ cupMl: of.cupMl * times })).toBeLessThanOrEqual(count({}));
      }),
      RUNS,
    );
  });
});

describe('tins', () => {
  const sizes = fc.uniqueArray(fc.constantFrom<number>(100, 250, 473, 500, 1000, 2500, 5000), {
    minLength: 1,
    maxLength: 4,
  });
  it('cover what is needed, and no other choice is cheaper', () => {
    fc.assert(
      fc.property(
        between(1, 6000),
        sizes,
        fc.array(between(5, 300), { minLength: 4, maxLength: 4 }),
        (needMl, on, prices) => {
          const priceOf = (size: number) => prices[on.indexOf(size)]!;
          const tins = tinsFor(needMl, on, priceOf);
          const sum = (of: (size: number) => number) =>
            tins.reduce((all, { sizeMl, count }) => all + count * of(sizeMl), 0);
          expect(sum((size) => size)).toBeGreaterThanOrEqual(needMl - 1e-6);
          for (const size of on) {
            const alone = Math.ceil(needMl / size) * priceOf(size);
            expect(sum(priceOf)).toBeLessThanOrEqual(alone + 1e-6);
          }
          // One tin less of any leaves a hole, or it would have been left out.
          for (const { sizeMl } of tins) expect(sum((size) => size) - sizeMl).toBeLessThan(needMl);
        },
      ),
      RUNS,
    );
  });
  it('without a price of one of them least is bought', () => {
    expect(tinsFor(440, [500, 4000])).toEqual([{ sizeMl: 500, count: 1 }]);
    expect(tinsFor(1200, [1000, 250])).toEqual([
      { sizeMl: 1000, count: 1 },
      { sizeMl: 250, count: 1 },
    ]);
    expect(tinsFor(0, [500])).toEqual([]);
  });
  it('covers a warehouse without taking an hour', () => {
    const tins = tinsFor(900_000, [5, 500, 5000]);
    expect(tins.reduce((sum, { sizeMl, count }) => sum + sizeMl * count, 0)).toBe(900_000);
  });
});

describe('a hand', () => {
  const jobs = (n: number, times: number, plannedMl = 600): UsedJob[] =>
    Array.from({ length: n }, () => ({ plannedMl, usedMl: plannedMl * times }));
  it.each([
    [1, 1.166, 1.03, 1.32],
    [3, 1.218, 1.11, 1.34],
    [5, 1.232, 1.13, 1.34],
    [10, 1.243, 1.16, 1.33],
    [40, 1.249, 1.2, 1.3],
  ])('that always takes 1.25, after %i jobs', (n, value, low, high) => {
    const { factor } = painterFactorOf(jobs(n, 1.25));
    expect(factor.value).toBeCloseTo(value, 2);
    expect(factor.low).toBeCloseTo(low, 1);
    expect(factor.high).toBeCloseTo(high, 1);
  });
  it('of which nothing is known is the contract’s', () => {
    expect(painterFactorOf([]).factor).toEqual(UNKNOWN_HAND);
  });
  it('lies between one and its jobs’ extremes, and more used never lowers it', () => {
    const history = fc.array(
      fc.record({
        plannedMl: between(100, 3000),
        times: between(0.6, 1.6),
      }),
      { minLength: 1, maxLength: 30 },
    );
    fc.assert(
      fc.property(history, between(1, 1.3), (given, more) => {
        const all = given.map(({ plannedMl, times }) => ({
          plannedMl,
          usedMl: plannedMl * times,
          counts: true,
        }));
        const { factor } = painterFactorOf(all);
        const times = [1, ...given.map((job) => job.times)];
        expect(factor.value).toBeGreaterThanOrEqual(Math.min(...times) - 1e-9);
        expect(factor.value).toBeLessThanOrEqual(Math.max(...times) + 1e-9);
        // All jobs up together: one alone may be taken for scatter.
        const grown = all.map((job) => ({ ...job, usedMl: job.usedMl * more }));
        expect(painterFactorOf(grown).factor.value).toBeGreaterThanOrEqual(factor.value - 1e-9);
      }),
      RUNS,
    );
  });
  it('narrows with equal jobs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), between(0.85, 1.3), (n, times) => {
        const width = (count: number) => {
          const { low, high } = painterFactorOf(jobs(count, times)).factor;
          return Math.log(high / low);
        };
        expect(width(n + 1)).toBeLessThanOrEqual(width(n) + 1e-9);
      }),
    );
  });
  it('leaves a spilt job out and says which, until it is said to count', () => {
    const history = [...jobs(4, 1.1), { plannedMl: 600, usedMl: 1500 }];
    const { factor, odd } = painterFactorOf(history);
    expect(odd).toEqual([{ at: 4, times: 2.5 }]);
    expect(factor.n).toBe(4);
    const counted = painterFactorOf(history.map((job) => ({ ...job, counts: true })));
    expect(counted.odd).toEqual([]);
    expect(counted.factor.value).toBeGreaterThan(factor.value);
    const aside = painterFactorOf(history.map((job) => ({ ...job, counts: false })));
    expect(aside).toEqual({ factor: UNKNOWN_HAND, odd: [] });
  });
});
