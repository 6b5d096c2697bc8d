/** The gun: the card's vectors; laws of its cap, its paint and its fan. */
import { GUNS } from '../src/trade/gunClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capFlow, capKPaAt, hornOpening, inletForCap } from '../src/gun/airCap.ts';
import { fanProfile, fanShape, fanWidthM } from '../src/gun/fan.ts';
import { fluidM3PerS } from '../src/gun/fluidFlow.ts';
import type { Gun, GunTest } from '../src/gun/gun.ts';
import { gunModelOf } from '../src/gun/gunModel.ts';
import { rippleOf } from '../src/gun/ripple.ts';
import { between, within } from './figures.ts';
import { PSI, anyClass, areasOf, base, hvlpFlow } from './cardGuns.ts';

describe("the card's reference vectors", () => {
  it.each([
    ['hvlp', 137.895, 1, [65.5, 0.005663, 0.003751, 279.7, 1.907]],
    ['hvlp', 137.895, 0.5, [79.94, 0.005303, 0.004124, 300.3, 1.918]],
    ['lvlp', 186.158, 1, [99.25, 0.001884, 0.001588, 323.1, 0.7329]],
    ['mini', 124.106, 1, [57.24, 0.001991, 0.001438, 266, 0.6376]],
  ] as const)(
    '21–24: the cap of %s at %f kPa, fan %f',
    (kind, inletKPa, fan, [capKPa, flow, ring, jet, thrust]) => {
      const at = capFlow(areasOf(kind), inletKPa, hornOpening(fan, 1));
      within(at.capKPa, capKPa);
      within(at.airFlowM3PerS, flow);
      within(at.ringKgPerS, ring);
      within(at.jetMPerS, jet);
      within(at.thrustN, thrust);
    },
  );
  it('25: the inlet that keeps ten psi at the cap', () => {
    within(inletForCap(areasOf('hvlp'), 68.948, hornOpening(0.85, 1)), 140.2);
    within(inletForCap(areasOf('hvlp'), 68.948, 1), 143.5);
  });
  it('26: base through a 1.3 at four turns and at one and a half', () => {
    within(fluidM3PerS(hvlpFlow), 0.000002482);
    within(fluidM3PerS({ ...hvlpFlow, fluidTurnsOut: 1.5 }), 0.000001465);
  });
  it('27: ripple of passes and hand', () => {
    const ripple = (beta: number, split: number, stepM: number) =>
      rippleOf(fanProfile({ beta, split }), { fanWidthM: 0.22, stepM, wanderM: 0.004 });
    within(ripple(2, 0, 0.11).passes, 0.04092);
    within(ripple(2, 0, 0.11).hand, 0.05323);
    within(ripple(2, 0, 0.055).passes, 0.002557);
    within(ripple(2, 0, 0.055).total, 0.03773);
    within(ripple(1.5, 0.2, 0.11).passes, 0.1976);
  });
  it('50: what catch, fan and cap tests make of a gun', () => {
    const paper: Gun = {
      class: 'hvlp',
      nozzlesMm: [1.3],
      ratedInletKPa: 26 * PSI,
      ratedAirFlowLPerMin: 339.8,
      capKPaAtRated: 10 * PSI,
    };
    within(capKPaAt(gunModelOf(paper, 1.3, base).areas, 137.895, 1), 48.64);
    const tested = (test: GunTest) =>
      gunModelOf({ class: 'hvlp', nozzlesMm: [1.3], calibration: [test] }, 1.3, base);
    within(
      tested({
        kind: 'catch',
        ml: 68,
        seconds: 30,
        inletKPa: 137.895,
        fluidTurnsOut: 4,
        fanTurnsOut: 2.5,
      }).flowFactor,
      0.9133,
    );
    within(
      tested({ kind: 'fan', fanWidthMm: 200, distanceMm: 150, inletKPa: 137.895, fanTurnsOut: 2.5 })
        .fanTangent,
      0.5833,
    );
  });
});

describe('an air cap', () => {
  it('gets back its inlet from its cap pressure, at every fan', () => {
    fc.assert(
      fc.property(anyClass, between(30, 500), between(0.05, 1), (kind, inletKPa, horn) => {
        const areas = areasOf(kind);
        const capKPa = capKPaAt(areas, inletKPa, horn);
        expect(capKPa).toBeLessThan(inletKPa);
        expect(Math.abs(inletForCap(areas, capKPa, horn) / inletKPa - 1)).toBeLessThan(1e-5);
      }),
    );
  });
  it('with more pressure draws more air, quicker; with the fan closed has more pressure and draws less', () => {
    fc.assert(
      fc.property(
        anyClass,
        between(60, 400),
        between(1.02, 1.5),
        between(0.1, 0.9),
        (kind, inletKPa, more, horn) => {
          const areas = areasOf(kind);
          const [low, high] = [capFlow(areas, inletKPa, 1), capFlow(areas, inletKPa * more, 1)];
          expect(high.capKPa).toBeGreaterThan(low.capKPa);
          expect(high.airFlowM3PerS).toBeGreaterThan(low.airFlowM3PerS);
          expect(high.jetMPerS).toBeGreaterThan(low.jetMPerS);
          const closed = capFlow(areas, inletKPa, horn);
          expect(closed.capKPa).toBeGreaterThan(low.capKPa);
          expect(closed.airFlowM3PerS).toBeLessThanOrEqual(low.airFlowM3PerS * (1 + 1e-9));
        },
      ),
    );
  });
});

describe('the paint', () => {
  const turns = between(0.3, 4);
  it('comes more with needle, nozzle and suction, and less when it is thick', () => {
    fc.assert(
      fc.property(
        turns,
        between(0.8, 2.2),
        between(30, 120),
        between(1.02, 1.6),
        (fluidTurnsOut, nozzleMm, capKPa, more) => {
          const at = { ...hvlpFlow, fluidTurnsOut, nozzleMm, capKPa };
          const flow = fluidM3PerS(at);
          // At the end of the travel it stays as it is, to the last rounding.
          expect(
            fluidM3PerS({ ...at, fluidTurnsOut: fluidTurnsOut * more }),
          ).toBeGreaterThanOrEqual(flow * (1 - 1e-12));
          expect(fluidM3PerS({ ...at, nozzleMm: nozzleMm * more })).toBeGreaterThan(flow);
          expect(fluidM3PerS({ ...at, capKPa: capKPa * more })).toBeGreaterThan(flow);
          expect(fluidM3PerS({ ...at, viscosityPaS: at.viscosityPaS * more })).toBeLessThan(flow);
        },
      ),
    );
  });
  it('does not come where nothing drives it or the needle is shut, nor beyond the travel', () => {
    expect(fluidM3PerS({ ...hvlpFlow, fluidTurnsOut: 0 })).toBe(0);
    expect(fluidM3PerS({ ...hvlpFlow, cupPa: -20_000 })).toBe(0);
    expect(fluidM3PerS({ ...hvlpFlow, headM: -0.13, capKPa: 0 })).toBe(0);
    expect(fluidM3PerS({ ...hvlpFlow, fluidTurnsOut: 9 })).toBe(fluidM3PerS(hvlpFlow));
  });
});

describe('the fan', () => {
  it('widens with distance, pressure and its knob', () => {
    fc.assert(
      fc.property(
        anyClass,
        between(0.08, 0.25),
        between(20, 120),
        between(0.1, 0.9),
        between(1.02, 1.5),
        (kind, distanceM, capKPa, hornShare, more) => {
          const data = GUNS[kind];
          const at = { distanceM, capKPa, hornShare, fanTangent: data.fanTangent };
          const width = fanWidthM(data, at);
          expect(fanWidthM(data, { ...at, distanceM: distanceM * more })).toBeGreaterThan(width);
          expect(fanWidthM(data, { ...at, capKPa: capKPa * more })).toBeGreaterThanOrEqual(width);
          expect(
            fanWidthM(data, { ...at, hornShare: Math.min(1, hornShare * more) }),
          ).toBeGreaterThanOrEqual(width);
        },
      ),
    );
  });
  it('lays all its paint across itself, whatever the load', () => {
    fc.assert(
      fc.property(between(-2.5, 2), (load) => {
        const profile = fanProfile(fanShape(load));
        const n = 4000;
        let area = 0;
        for (let i = 0; i < n; i++) area += (profile(-1 + (2 * (i + 0.5)) / n) * 2) / n;
        expect(Math.abs(area - 1)).toBeLessThan(2e-3);
        expect(profile(1.01)).toBe(0);
      }),
      { numRuns: 40 },
    );
  });
  it('with closer passes lies calmer at three quarters than at half', () => {
    fc.assert(
      fc.property(between(0.1, 0.3), (fanWidthM_) => {
        const at = (overlap: number) =>
          rippleOf(fanProfile(fanShape(0)), {
            fanWidthM: fanWidthM_,
            stepM: fanWidthM_ * (1 - overlap),
          }).total;
        expect(at(0.75)).toBeLessThan(at(0.5));
      }),
    );
  });
});
