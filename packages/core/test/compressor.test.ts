/** The compressor and its tank over a job, the air that runs short, and the piece worth buying. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  compressorOf,
  deliveryFromPumpUp,
  type CompressorInput,
} from '../src/compressedAir/compressor.ts';
import { restHeldByTank } from '../src/compressedAir/flowingAtGun.ts';
import { gainsOf } from '../src/compressedAir/gains.ts';
import { starvationOver } from '../src/compressedAir/starvation.ts';
import { between } from './figures.ts';

describe('a compressor', () => {
  const job: CompressorInput = {
    tankL: 50,
    freeAirLPerMin: 125,
    cutInKPa: 600,
    cutOutKPa: 800,
    gunAirFlowLPerMin: 340,
    neededKPa: 300,
    triggerOnSeconds: 8,
    triggerOffSeconds: 2,
    runMinutes: 15,
  };
  const shortAt = (change: Partial<CompressorInput>) =>
    compressorOf({ ...job, ...change }).secondsUntilShort ?? Infinity;
  it('lasts longer with a larger tank, more delivery, a thriftier gun or more rests', () => {
    fc.assert(
      fc.property(between(1.1, 3), (more) => {
        const now = shortAt({});
        expect(shortAt({ tankL: job.tankL * more })).toBeGreaterThan(now);
        expect(shortAt({ freeAirLPerMin: job.freeAirLPerMin * more })).toBeGreaterThanOrEqual(now);
        expect(shortAt({ gunAirFlowLPerMin: job.gunAirFlowLPerMin / more })).toBeGreaterThan(now);
        expect(shortAt({ triggerOffSeconds: job.triggerOffSeconds * more })).toBeGreaterThanOrEqual(
          now,
        );
        expect(shortAt({ neededKPa: job.neededKPa / more })).toBeGreaterThanOrEqual(now);
      }),
      { numRuns: 40 },
    );
  });
  it('starts full with the motor off and ends its curve where it falls short', () => {
    const { trace, secondsUntilShort, sustains } = compressorOf(job);
    expect(sustains).toBe(false);
    expect(trace[0]).toEqual({ seconds: 0, tankKPa: 800 });
    expect(trace.at(-1)!.seconds).toBeCloseTo(secondsUntilShort!, 6);
    expect(trace.at(-1)!.tankKPa).toBeLessThan(300);
    expect(trace.every(({ tankKPa }) => tankKPa <= 800 + 1)).toBe(true);
  });
  it('keeps its tank while nobody sprays', () => {
    expect(compressorOf({ ...job, triggerOnSeconds: 0 })).toMatchObject({
      sustains: true,
      dutyPercent: 0,
    });
  });
  it('is rated by its own pump-up: the air that went in over the time it took', () => {
    expect(deliveryFromPumpUp(101.325, 0, 100, 60)).toBeCloseTo(100, 9);
  });
});

it('a regulator sags with the tank once its margin is gone', () => {
  expect(restHeldByTank(200, 600)).toBe(200);
  expect(restHeldByTank(200, 239)).toBe(170);
  expect(restHeldByTank(200, 30)).toBe(0);
});

describe('starvation', () => {
  it('is seen as a trend from panel to panel, not in one reading', () => {
    const steady = (lowestKPa: number) => ({ lowestKPa, highestKPa: lowestKPa + 4 });
    expect(starvationOver([steady(128)]).isStarving).toBe(false);
    expect(starvationOver([138, 136, 139, 137].map(steady)).isStarving).toBe(false);
    expect(starvationOver([138, 133, 128, 123].map(steady))).toMatchObject({ isStarving: true });
    expect(starvationOver([138, 133, 128].map(steady)).slopeKPaPerPanel).toBeCloseTo(-5, 9);
  });
  it('is a swing of more than three psi in one pass as well', () => {
    expect(starvationOver([{ lowestKPa: 110, highestKPa: 138 }]).isStarving).toBe(true);
  });
});

describe('one better piece', () => {
  const line = {
    wantedInletKPa: 138,
    airFlowLPerMin: 340,
    hose: { innerDiameterMm: 6.35, lengthM: 7.62 },
    couplers: [{ kind: 'standard' as const, count: 2 }],
    regulator: 'small' as const,
  };
  it('never costs, and the best comes first', () => {
    const gains = gainsOf(line);
    expect(gains[0]!.piece).toBe('hose');
    for (const { flowing, atRest } of gains) {
      expect(flowing.toKPa).toBeLessThanOrEqual(flowing.fromKPa + 1e-9);
      expect(atRest.toKPa).toBeLessThan(atRest.fromKPa);
      expect(flowing.toKPa).toBeGreaterThan(138);
    }
    const saved = gains.map(({ atRest }) => atRest.fromKPa - atRest.toKPa);
    expect(saved[0]).toBe(Math.max(...saved));
  });
  it('starts from the loss that was measured, not from the one computed', () => {
    const measured = gainsOf({ ...line, measuredLossPercent: 50 });
    expect(measured[0]!.flowing.fromKPa).toBeCloseTo(276, 6);
  });
  it('is not offered where the line is as good as it gets', () => {
    expect(
      gainsOf({
        wantedInletKPa: 138,
        airFlowLPerMin: 110,
        hose: { innerDiameterMm: 12.7, lengthM: 5 },
        couplers: [{ kind: 'highFlow', count: 2 }],
        regulator: 'large',
      }),
    ).toEqual([]);
  });
});
