import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heatOnCoat, type HeatInput, type HeatedPanel } from '../src/heat/heat.ts';
import { BUILDS, hasItAfter, lagMinutes, panelAfter } from '../src/heat/panelHeat.ts';
import { heatTransferWPerM2K } from '../src/evaporation/heatTransfer.ts';
import { SUBSTRATES } from '../src/trade/vocabulary.ts';

const panel: fc.Arbitrary<HeatedPanel> = fc.record(
  {
    name: fc.constant(''),
    substrate: fc.constantFrom(...SUBSTRATES),
    build: fc.constantFrom(...BUILDS),
    limitC: fc.double({ min: 35, max: 120, noNaN: true }),
  },
  { requiredKeys: ['name', 'substrate'] },
);
const input: fc.Arbitrary<HeatInput> = fc
  .record({
    panels: fc.array(panel, { minLength: 1, maxLength: 5 }),
    bakeC: fc.double({ min: 45, max: 90, noNaN: true }),
    bakeMinutes: fc.integer({ min: 5, max: 60 }),
    roomC: fc.double({ min: 8, max: 34, noNaN: true }),
    vehicleLimitC: fc.option(fc.double({ min: 40, max: 100, noNaN: true }), { nil: undefined }),
  })
  .map(({ panels, bakeC, bakeMinutes, roomC, vehicleLimitC }) => ({
    method: 'booth' as const,
    layer: {
      stage: 'clear' as const,
      carrier: 'solvent' as const,
      class: 'clearMediumSolids' as const,
      activated: true,
      sheet: { atC: 20, flashMinutes: 5, beforeBakeMinutes: 10, bakeC, bakeMinutes },
    },
    climate: { airTemperatureC: roomC, relativeHumidityPercent: 50 },
    minutesSince: 5000,
    extractionCleared: true,
    vehicleLimitC,
    panels: panels.map((one, i) => ({ ...one, name: `p${i}` })),
  }));
const law = (holds: (asked: HeatInput) => void) =>
  fc.assert(fc.property(input, holds), { numRuns: 600 });

describe('heat on a coat', () => {
  it('takes no panel over what it bears', () =>
    law((asked) => {
      for (const { peakC, limitC } of heatOnCoat(asked).panels!)
        expect(peakC).toBeLessThanOrEqual(limitC + 1e-6);
    }));
  it('starts the clock with the slowest, and a panel more never starts it sooner', () =>
    law((asked) => {
      const all = heatOnCoat(asked);
      expect(all.holdFromMinute!.value).toBeCloseTo(
        Math.max(...all.panels!.map(({ hasItMinute }) => hasItMinute.value)),
        6,
      );
      const same = { ...asked, vehicleLimitC: 40 };
      const one = heatOnCoat({ ...same, panels: asked.panels.slice(0, 1) });
      expect(heatOnCoat(same).holdFromMinute!.value).toBeGreaterThanOrEqual(
        one.toC === heatOnCoat(same).toC ? one.holdFromMinute!.value - 1e-6 : 0,
      );
    }));
  it('never holds shorter than its sheet, and longer where it is cooler', () =>
    law((asked) => {
      const { holdMinutes, toC, airC } = heatOnCoat(asked);
      expect(holdMinutes!).toBeGreaterThanOrEqual(asked.layer.sheet!.bakeMinutes! - 1e-9);
      const cooler = heatOnCoat({ ...asked, vehicleLimitC: Math.max(35, toC! - 5) });
      expect(cooler.holdMinutes!).toBeGreaterThanOrEqual(holdMinutes! - 1e-9);
      expect(airC!).toBeGreaterThanOrEqual(toC! - 1e-9);
    }));
  it('gives no minute of it before flash and vapour are answered', () =>
    law((asked) => {
      for (const early of [{ minutesSince: 1 }, { extractionCleared: false }]) {
        const answer = heatOnCoat({ ...asked, ...early });
        expect(answer.verdicts.some(({ level }) => level === 'stop')).toBe(true);
        expect(answer.holdFromMinute).toBeUndefined();
        expect(answer.toC).toBeUndefined();
      }
    }));
});

describe('a panel that warms', () => {
  const oven = { roomC: 20, airC: 70, rampCPerMin: 5, startC: 20 };
  it('as in closed form, so in small steps', () => {
    const lag = lagMinutes('filled', heatTransferWPerM2K(0.4));
    let panelC = oven.startC;
    const step = 0.005;
    for (let t = 0; t < 40; t += step) {
      const airC = Math.min(oven.airC, oven.roomC + oven.rampCPerMin * (t + step / 2));
      panelC += ((airC - panelC) * step) / lag;
    }
    expect(panelAfter(40, lag, oven)).toBeCloseTo(panelC, 1);
  });
  it('is never sooner the heavier it is, never later in more air', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 66, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (wantC, airMPerS) => {
          const has = BUILDS.map((build) =>
            hasItAfter(wantC, lagMinutes(build, heatTransferWPerM2K(airMPerS)), oven),
          );
          const more = BUILDS.map((build) =>
            hasItAfter(wantC, lagMinutes(build, heatTransferWPerM2K(airMPerS * 1.5)), oven),
          );
          has
            .slice(1)
            .forEach((minute, i) => expect(minute).toBeGreaterThanOrEqual(has[i]! - 1e-6));
          more.forEach((minute, i) => expect(minute).toBeLessThanOrEqual(has[i]! + 1e-6));
        },
      ),
    );
  });
});
