import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heatOnCoat } from '../src/heat/heat.ts';
import type { HeatInput, HeatedPanel } from '../src/heat/heatInput.ts';
import { WARM_AIR } from '../src/heat/warmBooth.ts';
import { BUILDS, hasItAfter, lagMinutes, panelAfter } from '../src/heat/panelHeat.ts';
import { heatTransferWPerM2K } from '../src/evaporation/heatTransfer.ts';
import { recoatTime } from '../src/film/recoatTimes.ts';
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

describe('a warm booth between coats of waterborne', () => {
  const base: HeatInput = {
    method: 'warmBooth',
    layer: { stage: 'base', carrier: 'waterborne', activated: false },
    climate: { airTemperatureC: 20, relativeHumidityPercent: 60, airSpeedMPerS: 0.3 },
    minutesSince: 1,
    panels: [{ name: 'door', substrate: 'metal' }],
  };
  const air = fc.record({
    airTemperatureC: fc.double({ min: 15, max: 28, noNaN: true }),
    relativeHumidityPercent: fc.double({ min: 25, max: 85, noNaN: true }),
    airSpeedMPerS: fc.double({ min: 0.1, max: 0.5, noNaN: true }),
  });
  it('dries no later than the room does, and no sooner than its floor', () => {
    fc.assert(
      fc.property(air, fc.double({ min: 0, max: 30, noNaN: true }), (climate, minutesSince) => {
        const input = { ...base, climate, minutesSince };
        const { endMinute, openMinute } = heatOnCoat(input);
        const room = recoatTime('coat', base.layer, { climate });
        const left = Math.max(0, room.earliestMinutes.value - minutesSince);
        // Worked out in quarter minutes.
        expect(endMinute!.value).toBeLessThanOrEqual(left + 0.5);
        expect(minutesSince + endMinute!.value).toBeGreaterThanOrEqual(
          Math.min(room.floorMinutes, minutesSince) - 1e-9,
        );
        expect(openMinute!.value).toBeGreaterThanOrEqual(endMinute!.value);
      }),
    );
  });
  it('warmer is never later to dry; over the most it is held there and told', () => {
    fc.assert(
      fc.property(air, fc.double({ min: 30, max: 39, noNaN: true }), (climate, warmC) => {
        const dry = (asked: number) => heatOnCoat({ ...base, climate, warm: { warmC: asked } });
        const [low, high] = [dry(warmC), dry(warmC + 1)];
        expect(high.endMinute!.value).toBeLessThanOrEqual(low.endMinute!.value + 1e-9);
        const over = dry(WARM_AIR.mostC + 5);
        expect(over.airC).toBe(WARM_AIR.mostC);
        expect(over.verdicts).toContainEqual(expect.objectContaining({ code: 'booth-warm-over' }));
      }),
    );
  });
  it('has no place on solvent paint, or where hardener is in it', () => {
    for (const layer of [
      { ...base.layer, carrier: 'solvent' as const },
      { ...base.layer, activated: true },
    ]) {
      const { verdicts, openMinute } = heatOnCoat({ ...base, layer });
      expect(verdicts[0]).toMatchObject({ code: 'warm-air-not-here', level: 'stop' });
      expect(openMinute).toBeUndefined();
    }
  });
});
