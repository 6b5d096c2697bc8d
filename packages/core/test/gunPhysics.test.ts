import { type GunClass, GUNS } from '../src/trade/gunClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { m3PerS } from '../src/compressedAir/freeAir.ts';
import { dueOf } from '../src/gun/care.ts';
import { implausibleFigures } from '../src/gun/plausibility.ts';
import { areasFromRating, capFlow, capKPaAt, hornOpening, inletForCap } from '../src/gun/airCap.ts';
import { fanProfile, fanShape, fanWidthM } from '../src/gun/fan.ts';
import { fluidM3PerS, type FluidInput } from '../src/gun/fluidFlow.ts';
import type { Gun, GunTest } from '../src/gun/gun.ts';
import { flowOf, gunModelOf, widthOf } from '../src/gun/gunModel.ts';
import { rippleOf } from '../src/gun/ripple.ts';

const PSI = 6.894757;
const CLASSES = Object.keys(GUNS) as GunClass[];
const areasOf = (kind: GunClass) =>
  areasFromRating({ ...GUNS[kind], airFlowM3PerS: m3PerS(GUNS[kind].airFlowLPerMin) });
const within = (value: number, wanted: number, share = 0.005) =>
  expect(Math.abs(value / wanted - 1)).toBeLessThanOrEqual(share);
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyClass = fc.constantFrom(...CLASSES);
const base = { densityKgPerM3: 962, viscosityPaS: 0.03846 };
const hvlpFlow: FluidInput = {
  ...base,
  nozzleMm: 1.3,
  fluidTurnsOut: 4,
  fullFluidTurns: 4,
  headM: 0.09,
  suctionPa: 7500,
  capKPa: 65.5,
  designCapKPa: 65.5,
};

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

describe('a test of the gun', () => {
  const gun: Gun = {
    class: 'hvlp',
    nozzlesMm: [1.3, 1.4],
    fullFanTurns: 2.5,
    ratedInletKPa: 138,
    capKPaAtRated: 65.5,
    ratedAirFlowLPerMin: 340,
  };
  const withTests = (tests: GunTest[]): Gun => ({
    ...gun,
    nozzleSets: [{ nozzleMm: 1.3, tests }, { nozzleMm: 1.4 }],
  });
  it('is told back by the gun at the same setting', () => {
    fc.assert(
      fc.property(
        between(40, 110),
        between(130, 260),
        between(40, 90),
        between(1.2, 2.5),
        (ml, fanWidthMm, capKPa, fanTurnsOut) => {
          const model = gunModelOf(
            withTests([
              { kind: 'cap', capKPa, inletKPa: 138, fanTurnsOut },
              { kind: 'catch', ml, seconds: 30, inletKPa: 138, fluidTurnsOut: 3, fanTurnsOut },
              { kind: 'fan', fanWidthMm, distanceMm: 150, inletKPa: 138, fanTurnsOut },
            ]),
            1.3,
            base,
          );
          const hornShare = hornOpening(fanTurnsOut, 2.5);
          expect(Math.abs(capKPaAt(model.areas, 138, hornShare) / capKPa - 1)).toBeLessThan(1e-5);
          expect(
            flowOf(model, base, {
              fluidTurnsOut: 3,
              capKPa: capKPaAt(model.areas, 138, hornShare),
            }) * 6e7,
          ).toBeCloseTo(ml * 2, 4);
          expect(
            widthOf(model, {
              distanceMm: 150,
              capKPa: capKPaAt(model.areas, 138, hornShare),
              hornShare,
            }),
          ).toBeCloseTo(fanWidthMm, 2);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('belongs to its nozzle set, and the newest of a kind rules', () => {
    const caught = (ml: number): GunTest => ({
      kind: 'catch',
      ml,
      seconds: 30,
      inletKPa: 138,
      fluidTurnsOut: 3,
      fanTurnsOut: 2.5,
    });
    const tested = withTests([caught(90), caught(60)]);
    expect(gunModelOf(tested, 1.4, base).flowFactor).toBe(1);
    expect(gunModelOf(tested, 1.3, base).flowFactor).toBeCloseTo(
      gunModelOf(withTests([caught(60)]), 1.3, base).flowFactor,
      12,
    );
  });
  it('of the air leaves what it draws at its rating as rated', () => {
    const { areas } = gunModelOf(
      withTests([{ kind: 'cap', capKPa: 58, inletKPa: 138, fanTurnsOut: 2.5 }]),
      1.3,
      base,
    );
    expect(capFlow(areas, 138, 1).airFlowM3PerS * 60_000).toBeCloseTo(340, 4);
  });
});

describe('care', () => {
  const interval = { days: 7, coats: 12 };
  it('is due by days of use or by coats, whichever comes first, and at once where it never was done', () => {
    expect(dueOf('pattern', { days: 8, coats: 1 }, interval, 30).isDue).toBe(true);
    expect(dueOf('pattern', { days: 2, coats: 12 }, interval, 30).isDue).toBe(true);
    expect(dueOf('pattern', { days: 2, coats: 3 }, interval, 30)).toMatchObject({
      isDue: false,
      daysLeft: 5,
      coatsLeft: 9,
    });
    expect(dueOf('service', undefined, interval, 1).isDue).toBe(true);
  });
  it('wears nothing on the wall: an idle or new gun is not due', () => {
    expect(dueOf('pattern', { days: 90, coats: 0 }, interval, 30).isDue).toBe(false);
    expect(dueOf('service', undefined, interval, 0).isDue).toBe(false);
  });
});

describe('a doubt about a gun', () => {
  const codes = (gun: Gun) => implausibleFigures(gun).map(({ code }) => code);
  it('asks about what is unlike its kind, and is silent about its own rating', () => {
    fc.assert(
      fc.property(anyClass, (kind) => {
        const { inletKPa, capKPa, airFlowLPerMin } = GUNS[kind];
        const nozzlesMm = [kind === 'airbrush' ? 0.5 : kind === 'mini' ? 1 : 1.4];
        expect(
          codes({
            class: kind,
            nozzlesMm,
            ratedInletKPa: inletKPa,
            capKPaAtRated: capKPa,
            ratedAirFlowLPerMin: airFlowLPerMin,
          }),
        ).toEqual([]);
      }),
    );
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], ratedInletKPa: 448 })).toEqual([
      'rated-inlet-high',
    ]);
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], ratedInletKPa: 65 })).toEqual([
      'rated-inlet-like-cap',
    ]);
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], capKPaAtRated: 138 })).toEqual([
      'rated-cap-high',
    ]);
    expect(codes({ class: 'mini', nozzlesMm: [2.2] })).toEqual(['nozzle-unlike']);
  });
});
