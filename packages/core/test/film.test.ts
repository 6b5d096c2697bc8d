import { quickExp } from '../src/numerics/quickExp.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recoatOf, type RecoatInput } from '../src/film/recoat.ts';

const clear: RecoatInput = {
  layer: {
    stage: 'clear',
    carrier: 'solvent',
    activated: true,
    sheet: {
      atC: 20,
      wetFilmUm: 55,
      flashMinutes: 12,
      minFlashMinutes: 8,
      toNextMinutes: 20,
      beforeBakeMinutes: 10,
      tapeMinutes: 960,
      polishMinutes: 1440,
      maxRecoatMinutes: 1440,
    },
  },
  climate: {
    airTemperatureC: 21,
    relativeHumidityPercent: 50,
    panelTemperatureC: 21,
    airMovement: 'downdraft',
  },
  minutesSince: 30,
  next: 'coat',
};
const codes = (changes: Partial<RecoatInput>) =>
  recoatOf({ ...clear, ...changes }).verdicts.map(({ code }) => code);
const tempC = fc.double({ min: 16, max: 38, noNaN: true });
const at = (c: number): RecoatInput['climate'] => ({
  ...clear.climate,
  airTemperatureC: c,
  panelTemperatureC: c,
});

describe('the wait', () => {
  it("is never under the sheet's floor, however warm it is and however much air moves", () => {
    fc.assert(
      fc.property(tempC, fc.double({ min: 0.05, max: 4, noNaN: true }), (c, airSpeedMPerS) => {
        const { earliestMinutes } = recoatOf({ ...clear, climate: { ...at(c), airSpeedMPerS } });
        return (
          earliestMinutes.low >= 8 - 1e-9 &&
          earliestMinutes.low <= earliestMinutes.value &&
          earliestMinutes.value <= earliestMinutes.high
        );
      }),
    );
  });
  it('for heat, tape and polish is never under the sheet at all', () => {
    fc.assert(
      fc.property(
        tempC,
        fc.constantFrom(['bake', 10], ['tape', 960], ['polish', 1440] as const),
        (c, [next, minutes]) =>
          recoatOf({ ...clear, climate: at(c), next }).earliestMinutes.value >= minutes,
      ),
    );
  });
  it('only ever runs down', () => {
    fc.assert(
      fc.property(
        tempC,
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (c, since, more) =>
          recoatOf({ ...clear, climate: at(c), minutesSince: since + more }).remainingMinutes
            .value <=
          recoatOf({ ...clear, climate: at(c), minutesSince: since }).remainingMinutes.value,
      ),
    );
  });
  it('is longer in the cold', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 16, max: 30, noNaN: true }),
        (c) =>
          recoatOf({ ...clear, climate: at(c) }).earliestMinutes.value >=
          recoatOf({ ...clear, climate: at(c + 3) }).earliestMinutes.value,
      ),
    );
  });
});

describe('ready and confirmed', () => {
  it('are two things: a timer alone never confirms', () => {
    expect(recoatOf(clear)).toMatchObject({ ready: true, confirmed: false });
    expect(codes({})).toContain('touch-first');
  });
  it('need the edges too', () => {
    expect(recoatOf({ ...clear, tests: { touch: 'dry' } }).confirmed).toBe(false);
    expect(recoatOf({ ...clear, tests: { touch: 'dry', edge: 'dry' } }).confirmed).toBe(true);
    expect(codes({ tests: { touch: 'dry', edge: 'marks' } })).toContain('still-wet');
  });
  it('do not come from a matt look', () => {
    expect(recoatOf({ ...clear, tests: { look: 'matt' } }).confirmed).toBe(false);
  });
  it('do not come before the time, however dry it feels', () => {
    expect(
      recoatOf({ ...clear, minutesSince: 3, tests: { touch: 'dry', edge: 'dry' } }),
    ).toMatchObject({
      ready: false,
      confirmed: false,
    });
  });
});

describe('what is not allowed on a layer', () => {
  it('a blower near, hard or straight on; or on an activated base', () => {
    const blower = { inletKPa: 150, distanceMm: 1200, angled: true };
    expect(codes({ blower })).not.toContain('blower-too-hard');
    for (const worse of [
      { ...blower, distanceMm: 400 },
      { ...blower, inletKPa: 260 },
      { ...blower, angled: false },
    ])
      expect(codes({ blower: worse })).toContain('blower-too-hard');
    expect(codes({ layer: { ...clear.layer, stage: 'base' }, blower })).toContain(
      'blower-on-activated',
    );
  });
  it('water on a waterborne sealer, by cloth or by paper', () => {
    const layer = { stage: 'sealer', carrier: 'waterborne' } as const;
    expect(codes({ layer, next: 'wipe', cleaner: 'water' })).toContain('water-on-sealer');
    expect(codes({ layer, next: 'sandWet' })).toContain('water-on-sealer');
    expect(codes({ layer, next: 'wipe', cleaner: 'solvent' })).not.toContain('water-on-sealer');
  });
  it('another coat once the window is over; it closes sooner in the warmth, never later than the sheet', () => {
    expect(codes({ minutesSince: 1500 })).toContain('window-over');
    fc.assert(
      fc.property(tempC, (c) => recoatOf({ ...clear, climate: at(c) }).latestMinutes! <= 1440),
    );
  });
});

it('takes usual figures without a sheet, and says so', () => {
  expect(codes({ layer: { stage: 'base', carrier: 'solvent' } })).toContain('no-sheet');
});

describe('the quick exponential', () => {
  it('is Math.exp to 1e-13, everywhere', () =>
    fc.assert(
      fc.property(fc.double({ min: -120, max: 40, noNaN: true }), (x) => {
        expect(Math.abs(quickExp(x) / Math.exp(x) - 1)).toBeLessThan(1e-13);
      }),
      { numRuns: 2000 },
    ));
  it('is as good at its edges, at nought and where there is no number', () => {
    for (const x of [-100, -99.999, 0, 19.999, 20, 700])
      expect(quickExp(x) / Math.exp(x)).toBeCloseTo(1, 12);
    expect(quickExp(-Infinity)).toBe(0);
    expect(quickExp(NaN)).toBeNaN();
  });
});
