import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slowFractionOf } from '../src/reducer/blend.ts';
import type { Grade } from '../src/reducer/grade.ts';
import { hardenerFor } from '../src/reducer/hardener.ts';
import type { ReducerInput } from '../src/reducer/asked.ts';
import { reducerOf } from '../src/reducer/reducer.ts';

const GRADES: Grade[] = [
  { name: 'T-10', minC: 13, maxC: 19, speed: 'fast' },
  { name: 'T-20', minC: 18, maxC: 25, speed: 'medium' },
  { name: 'T-30', minC: 24, maxC: 32, speed: 'slow' },
  { name: 'T-40', minC: 30, speed: 'verySlow' },
];
const HARDENERS: Grade[] = [
  { name: 'H-1', minC: 13, maxC: 20 },
  { name: 'H-2', minC: 18, maxC: 27 },
  { name: 'H-3', minC: 25 },
];
const base: ReducerInput = {
  airTemperatureC: 22,
  relativeHumidityPercent: 50,
  panelTemperatureC: 21,
  airMovement: 'downdraft',
  jobSize: 'panel',
  carrier: 'solvent',
  stage: 'base',
  grades: GRADES,
};
const slowness = (input: ReducerInput): number | undefined => {
  const { choice } = reducerOf(input);
  return choice && slowFractionOf(choice.parts, GRADES);
};
const tempC = fc.double({ min: 16, max: 38, noNaN: true });
const air = fc
  .record({
    airTemperatureC: tempC,
    relativeHumidityPercent: fc.double({ min: 20, max: 80, noNaN: true }),
  })
  .map((a) => ({ ...a, panelTemperatureC: a.airTemperatureC }));
const finish = fc.constantFrom('solid', 'metallic', 'silver', 'pearl', 'candy' as const);
const size = fc.constantFrom('spot', 'panel', 'side', 'overall' as const);

describe('the choice of reducer', () => {
  it('never gets faster as it gets hotter', () => {
    fc.assert(
      fc.property(
        air,
        finish,
        size,
        fc.double({ min: 0.2, max: 6, noNaN: true }),
        (a, f, jobSize, more) => {
          const [cool, hot] = [
            slowness({ ...base, ...a, finish: f, jobSize }),
            slowness({
              ...base,
              ...a,
              airTemperatureC: a.airTemperatureC + more,
              panelTemperatureC: a.panelTemperatureC + more,
              finish: f,
              jobSize,
            }),
          ];
          return cool === undefined || hot === undefined || hot >= cool - 1e-12;
        },
      ),
    );
  });

  it('never gets faster as the job gets larger', () => {
    const sizes = ['spot', 'panel', 'side', 'overall'] as const;
    fc.assert(
      fc.property(air, finish, fc.integer({ min: 0, max: 2 }), (a, f, i) => {
        const [small, large] = [
          slowness({ ...base, ...a, finish: f, jobSize: sizes[i]! }),
          slowness({ ...base, ...a, finish: f, jobSize: sizes[i + 1]! }),
        ];
        return small === undefined || large === undefined || large >= small - 1e-12;
      }),
    );
  });

  it('never puts a fast grade under silver, metallic or pearl', () => {
    fc.assert(
      fc.property(
        air,
        size,
        fc.constantFrom('silver', 'metallic', 'pearl' as const),
        (a, jobSize, f) =>
          !reducerOf({ ...base, ...a, jobSize, finish: f }).choice?.parts.some(
            ({ name }) => name === 'T-10',
          ),
      ),
    );
  });

  it('blends neighbours in quarters that make one', () => {
    fc.assert(
      fc.property(air, finish, size, (a, f, jobSize) => {
        const parts = reducerOf({ ...base, ...a, finish: f, jobSize }).choice?.parts ?? [
          { name: '', fraction: 1 },
        ];
        return (
          parts.length <= 2 &&
          parts.reduce((sum, p) => sum + p.fraction, 0) === 1 &&
          parts.every((p) => (p.fraction * 4) % 1 === 0)
        );
      }),
    );
  });

  it('is told what the street does and does not use it', () => {
    fc.assert(
      fc.property(air, fc.double({ min: -30, max: 40, noNaN: true }), (a, outdoorTemperatureC) => {
        const [told, untold] = [
          reducerOf({ ...base, ...a, outdoorTemperatureC }),
          reducerOf({ ...base, ...a }),
        ];
        expect(told.choice).toEqual(untold.choice);
        expect(told.evaporationIndex).toBe(untold.evaporationIndex);
      }),
    );
  });

  it('stops in the cold with every reason, and offers no extra fast grade', () => {
    const answer = reducerOf({
      ...base,
      airTemperatureC: 4,
      panelTemperatureC: 2,
      relativeHumidityPercent: 90,
      grades: GRADES.slice(1),
    });
    expect(answer.choice).toBeUndefined();
    expect(answer.verdicts.map(({ code }) => code)).toEqual(
      expect.arrayContaining([
        'panel-too-cold',
        'panel-below-dew-margin',
        'air-too-humid',
        'no-grade-quick-enough',
      ]),
    );
  });

  it('says nothing on a stop that could be read as advice to go on', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 15, noNaN: true }), finish, (c, f) => {
        const { reasons } = reducerOf({
          ...base,
          airTemperatureC: c,
          panelTemperatureC: c,
          finish: f,
          hardeners: HARDENERS,
        });
        return !reasons.some(
          ({ code }) => code.startsWith('grade-') || code.startsWith('hardener-'),
        );
      }),
    );
  });

  it('gives a clear no reducer unless its sheet lists one', () => {
    const clear = { ...base, stage: 'clear' as const, hardeners: HARDENERS };
    expect(reducerOf(clear).choice).toMatchObject({
      parts: [],
      reductionPercent: 0,
      hardener: 'H-2',
    });
    expect(
      reducerOf({ ...clear, reduction: { sheetPercent: 5, maxPercent: 10, of: 'finalMix' } }).choice
        ?.parts.length,
    ).toBeGreaterThan(0);
    const forced = reducerOf({
      ...clear,
      wanted: { parts: [{ name: 'T-20', fraction: 1 }], reductionPercent: 8 },
    });
    expect(forced.verdicts.map(({ code }) => code)).toContain('reducer-not-on-sheet');
    expect(forced.choice).toBeUndefined();
  });

  it("judges the painter's own pick beside ours", () => {
    const hot = reducerOf({
      ...base,
      airTemperatureC: 33,
      panelTemperatureC: 33,
      wanted: { parts: [{ name: 'T-10', fraction: 1 }] },
    });
    expect(hot.wanted!.evaporationIndex).toBeGreaterThan(1.5);
    expect(hot.verdicts.map(({ code }) => code)).toContain('grade-fast-for-heat');
    expect(hot.choice!.parts[0]!.name).not.toBe('T-10');
  });

  it('never gives waterborne a solvent reducer', () => {
    const answer = reducerOf({
      ...base,
      carrier: 'waterborne',
      wanted: { parts: [{ name: 'T-20', fraction: 1 }] },
    });
    expect(answer.verdicts.map(({ code }) => code)).toContain('wrong-system');
    expect(answer.choice).toBeUndefined();
  });
});

describe('the hardener', () => {
  it('never gets faster as it gets hotter', () => {
    const place = (c: number) =>
      HARDENERS.findIndex(({ name }) => name === hardenerFor(HARDENERS, c).hardener.name);
    fc.assert(
      fc.property(
        tempC,
        fc.double({ min: 0, max: 10, noNaN: true }),
        (c, more) => place(c + more) >= place(c),
      ),
    );
  });
  it('says when none reaches the temperature', () => {
    expect(hardenerFor(HARDENERS, 8)).toMatchObject({
      hardener: { name: 'H-1' },
      verdicts: [{ code: 'hardener-speed-off' }],
    });
  });
});

describe("the adjuster's grid", () => {
  const grid = [
    { airTemperatureC: 15, relativeHumidityPercent: 50, percentOfPaint: 5 },
    { airTemperatureC: 22, relativeHumidityPercent: 50, percentOfPaint: 10 },
    { airTemperatureC: 30, relativeHumidityPercent: 50, percentOfPaint: 20 },
    { airTemperatureC: 22, relativeHumidityPercent: 75, percentOfPaint: 6 },
  ];
  const percent = (airTemperatureC: number, relativeHumidityPercent: number) =>
    reducerOf({
      ...base,
      carrier: 'waterborne',
      airTemperatureC,
      panelTemperatureC: airTemperatureC,
      relativeHumidityPercent,
      adjusterGrid: grid,
    });
  it('is met at its points and kept at its edge, with a caution beyond', () => {
    expect(percent(22, 50).choice?.adjusterPercentOfPaint).toBe(10);
    expect(percent(35, 50).choice?.adjusterPercentOfPaint).toBe(20);
    expect(percent(35, 50).verdicts.map(({ code }) => code)).toContain('adjuster-beyond-grid');
  });
  it('stays inside what the sheet names anywhere', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 16, max: 39, noNaN: true }),
        fc.double({ min: 10, max: 84, noNaN: true }),
        (c, rh) => {
          const dose = percent(c, rh).choice?.adjusterPercentOfPaint ?? 10;
          return dose >= 5 && dose <= 20;
        },
      ),
    );
  });
});
