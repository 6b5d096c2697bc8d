/**
 * What carries doubt and what a hand does: sigma points, seeded draws, links, tilt and arc, each by
 * its own law.
 */
import { logistic, logit, normalShare } from '../src/numerics/probability.ts';
import { MATERIALS } from '../src/trade/materialClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcOf, tilted } from '../src/coat/unsteadyHand.ts';
import { riskSpread } from '../src/coat/riskIntervals.ts';
import { fanProfile } from '../src/gun/fan.ts';
import { drawnFrom } from '../src/numerics/drawn.ts';
import { momentsOf, sigmaPoints } from '../src/numerics/sigmaPoints.ts';
import {
  blushLogit,
  dryDeviations,
  mottleIndex,
  peelDeviations,
  pinholeLogit,
  runDeviations,
  stripeDeviations,
} from '../src/risk/links.ts';

describe('sigma points', () => {
  it('give a sum of logarithms its own mean and deviation, exactly', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (a, b, slope) => {
          const points = sigmaPoints({ a, b, still: 0 });
          expect(points).toHaveLength(5);
          const { mean, sd } = momentsOf(
            points.map(({ at }) => Math.log(at.a) + slope * Math.log(at.b) + 7),
            points.map(({ weight }) => weight),
          );
          expect(mean).toBeCloseTo(7, 9);
          expect(sd).toBeCloseTo(Math.hypot(a, slope * b), 9);
        },
      ),
      { numRuns: 40 },
    ));
  it('are one point where nothing is unknown', () => {
    const [only, ...others] = sigmaPoints({ a: 0, b: 0 });
    expect(others).toEqual([]);
    expect(only).toEqual({ at: { a: 1, b: 1 }, weight: 1 });
  });
});

describe('a risk with its doubt', () => {
  it('lies within its band, widens with doubt, and is pulled towards a half', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('run', 'pop'),
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (name, link, sd) => {
          const [sure, unsure] = [
            riskSpread(name as 'run', link, 0),
            riskSpread(name as 'run', link, sd),
          ];
          expect(unsure.low).toBeLessThanOrEqual(unsure.value);
          expect(unsure.value).toBeLessThanOrEqual(unsure.high);
          expect(unsure.high - unsure.low).toBeGreaterThanOrEqual(sure.high - sure.low - 1e-12);
          expect(Math.abs(unsure.value - 0.5)).toBeLessThanOrEqual(
            Math.abs(sure.value - 0.5) + 1e-7,
          );
        },
      ),
      { numRuns: 60 },
    ));
});

describe('links', () => {
  const rising = (f: (x: number) => number, from: number, to: number) => {
    const values = Array.from({ length: 9 }, (_, i) => f(from + (i * (to - from)) / 8));
    expect(values).toEqual(values.toSorted((a, b) => a - b));
    expect(values[8]!).toBeGreaterThan(values[0]!);
  };
  it('rise with what is wrong, and fall with what is right', () => {
    rising((mm) => runDeviations(mm, MATERIALS.clearMediumSolids.film.runs), 0.1, 60);
    rising((index) => -peelDeviations(index), 0, 10);
    rising((wetness) => -dryDeviations({ wetness, lapSeconds: 5, openSeconds: 240 }), 0.1, 2);
    rising((lapSeconds) => dryDeviations({ wetness: 2, lapSeconds, openSeconds: 240 }), 20, 600);
    rising((stripe) => stripeDeviations(stripe, 'effectBase'), 0.1, 4);
    rising(
      (film) => pinholeLogit({ filmShare: film, airSpeedMPerS: 0.3, volatileAtNext: 0.2 }),
      0.5,
      2,
    );
    rising((dewC) => blushLogit({ dewC, panelC: 20, evaporation: 1, cures: false }), 5, 20);
    rising((evaporation) => blushLogit({ dewC: 15, panelC: 20, evaporation, cures: true }), 0.3, 3);
  });
  it('tell an effect base that is too wet or too dry, and see stripes sooner than a primer does', () => {
    const at = (filmShare: number) =>
      mottleIndex({
        filmShare,
        skinSeconds: 258,
        lockedIn: 0,
        landedPaS: 0.111,
        reducerShare: 1,
        usual: MATERIALS.solventBase.flake!,
      });
    expect(at(1.6)).toBeGreaterThan(at(1));
    expect(at(0.55)).toBeGreaterThan(at(1));
    expect(stripeDeviations(1.5, 'effectBase')).toBeGreaterThan(stripeDeviations(1.5, 'covered'));
  });
  it('are probabilities, and undo one another', () =>
    fc.assert(
      fc.property(fc.double({ min: -30, max: 30, noNaN: true }), (x) => {
        expect(normalShare(x) + normalShare(-x)).toBeCloseTo(1, 6);
        expect(normalShare(x)).toBeGreaterThanOrEqual(0);
        if (Math.abs(x) < 12) expect(logit(logistic(x))).toBeCloseTo(x, 3);
      }),
    ));
});

describe('a hand', () => {
  const profile = fanProfile({ beta: 2, split: 0 });
  const areaOf = (f: (s: number) => number) => {
    let sum = 0;
    for (let i = 0; i < 4000; i++) sum += f(-4 + (8 * (i + 0.5)) / 4000) * (8 / 4000);
    return sum;
  };
  it('that heels the gun lays the same paint, only elsewhere', () => {
    for (const tiltDeg of [0, 10, 25, 35])
      expect(areaOf(tilted(profile, { tiltDeg, distanceM: 0.15, fanWidthM: 0.2 }))).toBeCloseTo(
        1,
        1,
      );
    const heeled = tilted(profile, { tiltDeg: 25, distanceM: 0.15, fanWidthM: 0.2 });
    expect(heeled(-0.6)).not.toBeCloseTo(heeled(0.6), 2);
  });
  it('that swings thins the ends, the more the wider it swings and the shorter the arm', () => {
    const landed = (m: number) => 1 / m;
    const mean = (swingDeg: number, reachM: number) =>
      arcOf({ reachM, swingDeg }, 0.15, landed).mean;
    expect(mean(0, 0.7)).toBeCloseTo(1, 9);
    expect(mean(60, 0.7)).toBeLessThan(mean(30, 0.7));
    expect(arcOf({ reachM: 0.4, swingDeg: 60 }, 0.15, landed).spread).toBeGreaterThan(0);
    expect(arcOf({ reachM: 0.7, swingDeg: 60 }, 0.15, () => 0)).toEqual({ mean: 1, spread: 0 });
  });
  it('is drawn the same from the same seed, evenly between nought and one', () => {
    const [a, b, other] = [drawnFrom(5), drawnFrom(5), drawnFrom(6)];
    const draws = Array.from({ length: 2000 }, () => a());
    expect(draws).toEqual(Array.from({ length: 2000 }, () => b()));
    expect(draws[0]).not.toBe(other());
    expect(draws.every((x) => x >= 0 && x < 1)).toBe(true);
    expect(draws.reduce((sum, x) => sum + x, 0) / draws.length).toBeCloseTo(0.5, 1);
  });
});
