/**
 * Popping as deviations from the sheet: the card's vectors and every law its terms are built for.
 */
import { logistic, normalShare } from '../src/numerics/probability.ts';
import { MATERIALS, type MaterialClass } from '../src/trade/materialClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { eachVolatile } from '../src/evaporation/solvents.ts';
import { FINE } from '../src/film/filmRun.ts';
import type { Job, JobCoat } from '../src/film/job.ts';
import { mixtureOf } from '../src/material/mixture.ts';
import {
  closedDeviations,
  mottleIndex,
  mottleLogit,
  peelDeviations,
  runDeviations,
  dryDeviations,
  stripeDeviations,
} from '../src/risk/links.ts';
import { popLogit } from '../src/risk/pop.ts';
import { popOfJob, retainedOf } from '../src/risk/popOfJob.ts';

type Stack = {
  layers: { material: MaterialClass; share: number; minutes: number; isTop: boolean }[];
  airC?: number;
  speed?: number;
  humidity?: number;
  ramp?: number;
  toC?: number;
  grade?: number;
  hardener?: number;
};
function pop(stack: Stack): number {
  const { layers, airC = 21, speed = 0.3, grade = 0.35, hardener = 1 } = stack;
  const coats = layers.map(({ material, share, minutes, isTop }, i): JobCoat => {
    const { flash, last } = MATERIALS[material].usualMinutes;
    const isLastOfMaterial = layers[i + 1]?.material !== material;
    const sheetFilm = MATERIALS[material].film.wetFilmUm * 1e-6;
    return {
      materialClass: material,
      mixture: mixtureOf(MATERIALS[material]),
      wetFilmM: sheetFilm * share,
      arrived: eachVolatile(() => 1),
      dropM: 30e-6,
      hardenerSpeed: hardener,
      viscosityFactor: 1,
      flashMinutes: minutes,
      isTopMaterial: isTop,
      gradeSlowFraction: grade,
      sheet: {
        wetFilmM: sheetFilm,
        waitMinutes: isLastOfMaterial ? last : flash,
        atC: 21,
        atHumidityPercent: 50,
      },
    };
  });
  const job: Job = {
    coats,
    roomAir: { airTemperatureC: airC, relativeHumidityPercent: stack.humidity ?? 50 },
    panelC: airC,
    airSpeedMPerS: speed,
    substrate: 'metal',
    slopeDeg: 90,
    heat: { toC: stack.toC ?? 60, rampCPerMin: stack.ramp ?? 4, holdMinutes: 30 },
  };
  return popLogit(popOfJob({ ...job, hardenerSpeed: hardener }, retainedOf(job, FINE)), true);
}
const clears = (um: number, flash: number, wait: number): Stack['layers'] => [
  { material: 'clearMediumSolids', share: um / 55, minutes: flash, isTop: true },
  { material: 'clearMediumSolids', share: um / 55, minutes: wait, isTop: true },
];

describe("the card's reference vectors", () => {
  it.each([
    [{ layers: clears(55, 12, 10) }, 0.03],
    [{ layers: clears(55, 3, 10) }, 0.1863],
    [{ layers: clears(75, 12, 10) }, 0.4661],
    [{ layers: clears(75, 3, 10) }, 0.9829],
    [{ layers: clears(55, 12, 2) }, 0.1555],
    [{ layers: clears(55, 12, 10), ramp: 12 }, 0.08491],
    [{ layers: clears(55, 12, 10), speed: 1 }, 0.05345],
    [{ layers: clears(55, 12, 10), airC: 33, grade: 0.218, hardener: 2 }, 0.2762],
    [{ layers: clears(55, 12, 10), airC: 33, grade: 0.601, hardener: 0.6 }, 0.0334],
  ] as [Stack, number][])('44: %j', (stack, wanted) =>
    expect(Math.abs(logistic(pop(stack)) / wanted - 1)).toBeLessThan(0.01),
  );

  it('46: the links', () => {
    expect(normalShare(peelDeviations(6.5))).toBeCloseTo(0.1333, 4);
    const run = (material: MaterialClass, mm: number) =>
      runDeviations(mm, MATERIALS[material].film.runs);
    expect(run('clearMediumSolids', 9)).toBeCloseTo(-0.491, 3);
    expect(run('clearMediumSolids', 5.313)).toBeCloseTo(-2.203, 2);
    expect(run('clearHighSolids', 9)).toBeCloseTo(0.7655, 3);
    expect(run('singleStage', 4)).toBeCloseTo(-1.311, 3);
    expect(
      normalShare(dryDeviations({ wetness: 0.9, lapSeconds: 1, openSeconds: 240 })),
    ).toBeCloseTo(0.2329, 3);
    expect([0.5, 1, 1.5].map((share) => closedDeviations(share, 1))).toEqual([
      expect.closeTo(-1.98, 3),
      0,
      expect.closeTo(1.158, 3),
    ]);
    expect(normalShare(stripeDeviations(1, 'effectBase'))).toBeCloseTo(0.1909, 3);
    const asIs = mottleIndex({
      filmShare: 1,
      landedPaS: 0.111,
      skinSeconds: 258,
      lockedIn: 0,
      reducerShare: 1,
      usual: MATERIALS.solventBase.flake!,
    });
    expect(logistic(mottleLogit(asIs))).toBeCloseTo(0.06661, 4);
  });
});

const stacks = fc.record({
  top: fc.constantFrom<MaterialClass>('clearMediumSolids', 'clearHighSolids', 'singleStage'),
  tops: fc.integer({ min: 1, max: 3 }),
  below: fc.constantFrom<MaterialClass>('solventBase', 'waterborneBase'),
  belows: fc.integer({ min: 0, max: 3 }),
  share: fc.double({ min: 0.6, max: 1.5, noNaN: true }),
  minutes: fc.double({ min: 0.5, max: 25, noNaN: true }),
  airC: fc.double({ min: 14, max: 36, noNaN: true }),
  speed: fc.double({ min: 0.05, max: 2, noNaN: true }),
  ramp: fc.double({ min: 1, max: 18, noNaN: true }),
});
type Random = {
  top: MaterialClass;
  tops: number;
  below: MaterialClass;
  belows: number;
  share: number;
  minutes: number;
  airC: number;
  speed: number;
  ramp: number;
};
const stackOf = ({
  top,
  tops,
  below,
  belows,
  share,
  minutes,
  airC,
  speed,
  ramp,
}: Random): Stack => ({
  layers: [
    ...Array.from({ length: belows }, () => ({ material: below, share: 1, minutes, isTop: false })),
    ...Array.from({ length: tops }, () => ({ material: top, share, minutes, isTop: true })),
  ],
  airC,
  speed,
  ramp,
});
const eachLayer = (
  stack: Stack,
  change: (layer: Stack['layers'][number]) => Stack['layers'][number],
): Stack => ({
  ...stack,
  layers: stack.layers.map(change),
});
const neverLower = (worse: (stack: Stack, random: Random) => Stack | undefined) =>
  fc.assert(
    fc.property(stacks, (random) => {
      const stack = stackOf(random);
      const moved = worse(stack, random);
      if (moved) expect(pop(moved)).toBeGreaterThanOrEqual(pop(stack) - 1e-6);
    }),
    { numRuns: 25 },
  );

describe('popping is never lower', () => {
  it('with shorter flashes and a shorter wait', () =>
    neverLower((stack) => eachLayer(stack, (l) => ({ ...l, minutes: l.minutes * 0.7 }))));
  it('with heavier coats on top or below', () => {
    neverLower((stack) => eachLayer(stack, (l) => (l.isTop ? { ...l, share: l.share * 1.2 } : l)));
    neverLower((stack) => eachLayer(stack, (l) => (l.isTop ? l : { ...l, share: l.share * 1.2 })));
  });
  it('with steeper or hotter heat', () => {
    neverLower((stack) => ({ ...stack, ramp: stack.ramp! * 1.3 }));
    neverLower((stack) => ({ ...stack, toC: 70 }));
  });
  it('with a faster grade in the warmth, or a faster hardener', () => {
    neverLower((stack) => (stack.airC! < 26 ? undefined : { ...stack, grade: 0.22 }));
    neverLower((stack) => ({ ...stack, hardener: 2 }));
  });
  it('with a brisker room over a solvent stack, or damper air over waterborne', () => {
    neverLower((stack, { below, belows }) =>
      belows > 0 && below === 'waterborneBase'
        ? undefined
        : { ...stack, speed: stack.speed! * 1.5 },
    );
    neverLower((stack, { below, belows }) =>
      belows > 0 && below === 'waterborneBase' ? { ...stack, humidity: 75 } : undefined,
    );
  });
  it('and is about 3 % on the sheet’s own way, whatever the clear and however many coats', () => {
    for (const material of ['clearMediumSolids', 'clearHighSolids', 'singleStage'] as const)
      for (const coats of [1, 2, 3]) {
        const { flash, last } = MATERIALS[material].usualMinutes;
        const layers = Array.from({ length: coats }, (_, i) => ({
          material,
          share: 1,
          minutes: i === coats - 1 ? last : flash,
          isTop: true,
        }));
        expect(Math.abs(logistic(pop({ layers })) - 0.03)).toBeLessThan(0.003);
      }
  });
});
