import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CURE_DATES, cureOf, type CureInput } from '../src/cure/cure.ts';
import { SPEEDS } from '../src/trade/vocabulary.ts';

const layer = fc
  .record({
    tapeMinutes: fc.integer({ min: 60, max: 1500 }),
    sandMinutes: fc.integer({ min: 60, max: 3000 }),
    polishMinutes: fc.integer({ min: 60, max: 3000 }),
    cureMinutes: fc.integer({ min: 5000, max: 60_000 }),
  })
  .map((sheet) => ({
    stage: 'clear' as const,
    carrier: 'solvent' as const,
    class: 'clearMediumSolids' as const,
    activated: true,
    sheet: { atC: 20, ...sheet },
  }));
const roomC = fc.double({ min: 12, max: 38, noNaN: true });
const at = (airTemperatureC: number) => ({
  climate: { airTemperatureC, relativeHumidityPercent: 50 },
});
const valuesOf = (input: CureInput) => {
  const answer = cureOf(input);
  return CURE_DATES.map((date) => answer[date]!.value);
};
const BAKE = { toC: 60, holdMinutes: 30, endMinute: 45, openMinute: 60 };

describe('after the last coat', () => {
  it('is never before the sheet’s own minutes, low end too', () => {
    fc.assert(
      fc.property(layer, roomC, fc.constantFrom(...SPEEDS), (of, airC, hardenerSpeed) => {
        const { tapeMinute, polishMinute, waxMinute } = cureOf({
          layer: of,
          ...at(airC),
          hardenerSpeed,
        });
        expect(tapeMinute!.low).toBeGreaterThanOrEqual(of.sheet.tapeMinutes);
        expect(polishMinute!.low).toBeGreaterThanOrEqual(of.sheet.polishMinutes);
        expect(waxMinute!.low).toBeGreaterThanOrEqual(of.sheet.cureMinutes);
      }),
    );
  });
  it('is never later in a warmer room, never sooner with a slower hardener', () => {
    fc.assert(
      fc.property(layer, roomC, roomC, (of, one, other) => {
        const [cold, warm] = [Math.min(one, other), Math.max(one, other)];
        const [later, sooner] = [cold, warm].map((airC) => valuesOf({ layer: of, ...at(airC) }));
        later!.forEach((minute, i) => expect(minute).toBeGreaterThanOrEqual(sooner![i]! - 1e-9));
        const slow = valuesOf({ layer: of, ...at(cold), hardenerSpeed: 'slow' });
        slow.forEach((minute, i) => expect(minute).toBeGreaterThanOrEqual(later![i]! - 1e-9));
      }),
    );
  });
  it('comes sooner out of the heat, and never before it is open', () => {
    fc.assert(
      fc.property(layer, roomC, (of, airC) => {
        const baked = cureOf({ layer: of, ...at(airC), bake: BAKE });
        for (const date of CURE_DATES) {
          expect(baked[date]!.low).toBeGreaterThanOrEqual(BAKE.openMinute - 1e-9);
          expect(baked[date]!.low).toBeLessThanOrEqual(baked[date]!.value + 1e-9);
        }
        const dry = cureOf({ layer: of, ...at(airC) });
        expect(baked.waxMinute!.value).toBeLessThan(dry.waxMinute!.value);
        expect(baked.polishMinute!.value).toBeGreaterThanOrEqual(BAKE.openMinute + 30 - 1e-9);
      }),
    );
  });
  it('promises nothing where a two-pack hardly links, and something of paint without hardener', () => {
    fc.assert(
      fc.property(layer, fc.double({ min: -5, max: 11.9, noNaN: true }), (of, airC) => {
        const cold = cureOf({ layer: of, ...at(airC) });
        expect(CURE_DATES.every((date) => cold[date] === undefined)).toBe(true);
        expect(cold.verdicts.map(({ code }) => code)).toEqual(['hardly-cures']);
        expect(
          cureOf({ layer: { ...of, activated: false }, ...at(airC) }).tapeMinute,
        ).toBeDefined();
      }),
    );
  });
  it('washes before it waxes, and looks again before the keys', () => {
    fc.assert(
      fc.property(layer, roomC, (of, airC) => {
        const { handWashMinute, machineWashMinute, waxMinute, handOverMinute, look } = cureOf({
          layer: of,
          ...at(airC),
        });
        expect(handWashMinute!.value).toBeLessThanOrEqual(machineWashMinute!.value);
        expect(machineWashMinute!.value).toBeLessThanOrEqual(waxMinute!.value);
        expect(handOverMinute!.low).toBeGreaterThanOrEqual(look.fromMinute);
      }),
    );
  });
});
