/** The air line: the card's vectors; laws of hose, coupler and a loss that was measured. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airlineOf, flowAtInlet, type AirlineInput } from '../src/compressedAir/airline.ts';
import {
  compressorOf,
  deliveryLPerMin,
  Tank,
  type CompressorInput,
} from '../src/compressedAir/compressor.ts';
import { COUPLERS, restrictionFlow, restrictionInletPa } from '../src/compressedAir/coupler.ts';
import { inletFromRest } from '../src/compressedAir/flowingAtGun.ts';
import { frictionFactor, hoseInletPa } from '../src/compressedAir/hose.ts';
import { airFlowOf, gunModelOf } from '../src/gun/gunModel.ts';
import { between, within } from './figures.ts';

const hose = fc.record({ innerDiameterMm: between(5, 13), lengthM: between(1, 40) });
const flow = between(60, 450);
const inlet = between(60, 400);
const lossOf = (input: AirlineInput) => airlineOf(input).lossKPa;

describe("the card's reference vectors", () => {
  it('17: friction and hose', () => {
    within(frictionFactor(5e4, 1e-3), 0.02419);
    within(hoseInletPa({ innerDiameterMm: 6.35, lengthM: 7.62 }, 239_221, 5.663e-3), 430_500);
    within(hoseInletPa({ innerDiameterMm: 9.525, lengthM: 7.62 }, 239_221, 5.663e-3), 271_900);
  });
  it('18: the wall for an hvlp gun', () => {
    const answer = airlineOf({
      wantedInletKPa: 137.895,
      airFlowLPerMin: 339.8,
      hose: { innerDiameterMm: 9.525, lengthM: 7.62 },
      couplers: [{ kind: 'highFlow', count: 2 }],
      regulator: 'large',
    });
    within(answer.regulatorFlowingKPa, 177.4);
    within(answer.regulatorStaticKPa, 199.2);
    within(answer.lossPercent, 22.26);
  });
  it('19: what the gun gets from a regulator at rest', () => {
    const gun = gunModelOf({ class: 'hvlp', nozzlesMm: [1.3] }, 1.3, {
      densityKgPerM3: 962,
      viscosityPaS: 0.04,
    });
    const line = {
      hose: { innerDiameterMm: 6.35, lengthM: 7.62 },
      couplers: [{ kind: 'standard' as const, count: 2 }],
      regulator: 'small' as const,
    };
    within(
      inletFromRest(line, 275.79, (kPa) => airFlowOf(gun, kPa, 2.5)),
      76.02,
    );
  });
  it('20: a tank that falls short', () => {
    const input: CompressorInput = {
      tankL: 100,
      freeAirLPerMin: 184.062,
      freeAirAtKPa: 620.528,
      cutInKPa: 655.002,
      cutOutKPa: 861.845,
      gunAirFlowLPerMin: 339.6,
      neededKPa: 310.264,
      triggerOnSeconds: 5,
      triggerOffSeconds: 1,
      runMinutes: 5,
    };
    within(deliveryLPerMin(184.062, 620.528, 310.264) / 60_000, 0.003483);
    within(compressorOf(input).secondsUntilShort!, 274.5, 0.02);
    const tank = new Tank({ ...input, freeAirAtKPa: 620.528 });
    let motorSeconds = 0;
    for (let i = 0; i < 3000; i++) motorSeconds += tank.pass((i * 0.1) % 6 < 5 - 1e-9 ? 339.6 : 0);
    within(tank.tankKPa, 283.1);
    within(motorSeconds / 300, 0.8563);
  });
});

describe('a hose', () => {
  it('loses more when it is longer, narrower, or carries more, or at a lower pressure', () => {
    fc.assert(
      fc.property(
        hose,
        flow,
        inlet,
        between(1.02, 1.5),
        (pipe, airFlowLPerMin, wantedInletKPa, more) => {
          const base = { wantedInletKPa, airFlowLPerMin };
          const loss = lossOf({ ...base, hose: pipe });
          expect(
            lossOf({ ...base, hose: { ...pipe, lengthM: pipe.lengthM * more } }),
          ).toBeGreaterThan(loss);
          expect(
            lossOf({ ...base, hose: { ...pipe, innerDiameterMm: pipe.innerDiameterMm * more } }),
          ).toBeLessThan(loss);
          expect(
            lossOf({ ...base, airFlowLPerMin: airFlowLPerMin * more, hose: pipe }),
          ).toBeGreaterThan(loss);
          expect(
            lossOf({ wantedInletKPa: wantedInletKPa * more, airFlowLPerMin, hose: pipe }),
          ).toBeLessThan(loss);
        },
      ),
      { numRuns: 150 },
    );
  });
  it('of nothing loses nothing, and the wall is never below the gun', () => {
    fc.assert(
      fc.property(
        fc.option(hose, { nil: undefined }),
        fc.integer({ min: 0, max: 6 }),
        flow,
        inlet,
        (pipe, count, airFlowLPerMin, wantedInletKPa) => {
          const answer = airlineOf({
            wantedInletKPa,
            airFlowLPerMin,
            hose: pipe,
            couplers: [{ kind: 'standard', count }],
          });
          if (!pipe && count === 0)
            expect(answer.regulatorFlowingKPa).toBeCloseTo(wantedInletKPa, 9);
          expect(answer.regulatorFlowingKPa).toBeGreaterThanOrEqual(wantedInletKPa - 1e-9);
          expect(answer.regulatorStaticKPa).toBeGreaterThan(answer.regulatorFlowingKPa);
          const pieces = answer.segments.reduce((sum, segment) => sum + segment.lossKPa, 0);
          expect(Math.abs(pieces - answer.lossKPa)).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

describe('a coupler', () => {
  it('gives back the pressure it was asked from, choked or not', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('standard', 'highFlow' as const),
        between(1.02e5, 8e5),
        between(1e-4, 2e-2),
        (kind, afterPa, q) => {
          const before = restrictionInletPa(COUPLERS[kind], afterPa, q);
          expect(Math.abs(restrictionFlow(COUPLERS[kind], before, afterPa) / q - 1)).toBeLessThan(
            1e-5,
          );
        },
      ),
    );
  });
  it('once choked passes by absolute pressure alone', () => {
    const { standard } = COUPLERS;
    expect(restrictionFlow(standard, 6e5, 1e5)).toBe(restrictionFlow(standard, 6e5, 1.9e5));
    expect(restrictionFlow(standard, 6e5, 1e5) / restrictionFlow(standard, 3e5, 1e5)).toBeCloseTo(
      2,
      9,
    );
  });
});

describe('a measured loss', () => {
  it('is divided, not added', () => {
    expect(
      airlineOf({ wantedInletKPa: 40, airFlowLPerMin: 300, measuredLossPercent: 18 })
        .regulatorFlowingKPa,
    ).toBeCloseTo(48.78, 2);
  });
  it('is never carried to another gun as a share: it goes with the square of the flow', () => {
    fc.assert(
      fc.property(
        inlet,
        between(5, 50),
        flow,
        between(0.2, 0.9),
        (wantedInletKPa, measuredLossPercent, airFlowLPerMin, less) => {
          const measured = {
            measuredLossPercent,
            measuredAtInletKPa: wantedInletKPa,
            measuredAtAirFlowLPerMin: airFlowLPerMin,
          };
          const own = airlineOf({ ...measured, wantedInletKPa, airFlowLPerMin });
          const other = airlineOf({
            ...measured,
            wantedInletKPa,
            airFlowLPerMin: airFlowLPerMin * less,
          });
          expect(own.lossPercent).toBeCloseTo(measuredLossPercent, 6);
          expect(other.lossPercent).toBeLessThan(own.lossPercent);
          expect(own.verdicts.map(({ code }) => code)).not.toContain('loss-measured-elsewhere');
          if (less < 0.94)
            expect(other.verdicts.map(({ code }) => code)).toContain('loss-measured-elsewhere');
        },
      ),
    );
  });
  it('keeps its pieces in the shares that the physics gives them', () => {
    const line = {
      wantedInletKPa: 140,
      airFlowLPerMin: 340,
      hose: { innerDiameterMm: 9.5, lengthM: 12 },
      couplers: [{ kind: 'standard' as const, count: 2 }],
    };
    const [by, measured] = [airlineOf(line), airlineOf({ ...line, measuredLossPercent: 30 })];
    expect(measured.segments[1]!.lossKPa / measured.lossKPa).toBeCloseTo(
      by.segments[1]!.lossKPa / by.lossKPa,
      9,
    );
    expect(measured.lossPercent).toBeCloseTo(30, 9);
  });
});

it('air drawn goes with absolute inlet pressure', () => {
  expect(flowAtInlet(300, 100, 100)).toBeCloseTo(300, 9);
  expect(flowAtInlet(300, 0, 101.325)).toBeCloseTo(600, 6);
});
