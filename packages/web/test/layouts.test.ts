import fc from 'fast-check';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { climateCalculation } from '@orthochrom/contract/calculations/climate.ts';
import { worstLevel } from '@orthochrom/core/outcome/verdicts.ts';
import { describe, expect, it } from 'vitest';
import { layOutCup } from '../src/ticket/mix/cupLayout.ts';
import { layOutGauge, layOutKnob } from '../src/ticket/gun/instrumentLayout.ts';
import { layOutRibbon, type RibbonBlock } from '../src/ticket/ribbonLayout.ts';
import { layOutFound, layOutStack, spread, type StackLayer } from '../src/ticket/stackLayout.ts';
import { airAt } from '@orthochrom/core/air/forecast.ts';
import { airVerdictsOf } from '@orthochrom/core/inForce/airVerdictsOf.ts';
import { dayWindows, type DayWindow } from '../src/today/dayHours.ts';
import { layOutDay } from '../src/today/dayLayout.ts';

const PLACE = { widthPx: 290, heightPx: 470, leftPx: 40, barPx: 100, topPx: 10, bottomPx: 46 };
const STACK = { ...PLACE, apartPx: 20 };
const layer = fc
  .record({ dryUm: fc.double({ min: 0.5, max: 120, noNaN: true }), isLaid: fc.boolean() })
  .map((l, i = 0): StackLayer => ({
    coatId: String(i),
    name: 'Coat',
    carrier: 'solvent',
    colour: '#888888',
    ...l,
  }));

describe('the film stack', () => {
  it('is to scale: every micrometre is as high as every other', () => {
    fc.assert(
      fc.property(fc.array(layer, { minLength: 1, maxLength: 9 }), (layers) => {
        const { bars } = layOutStack(layers, STACK);
        const perUm = bars.map((bar) => bar.heightPx / bar.dryUm);
        return perUm.every((px) => Math.abs(px / perUm[0]! - 1) < 1e-6);
      }),
    );
  });
  it('stands on its substrate without gaps and stays in its box', () => {
    fc.assert(
      fc.property(fc.array(layer, { minLength: 1, maxLength: 9 }), (layers) => {
        const { bars, floorPx } = layOutStack(layers, STACK);
        return bars.every(
          (bar, i) =>
            Math.abs(bar.yPx + bar.heightPx - (i === 0 ? floorPx : bars[i - 1]!.yPx)) < 1e-6 &&
            bar.yPx >= STACK.topPx - 1e-6,
        );
      }),
    );
  });
  it('counts as laid only what is laid', () => {
    const layers: StackLayer[] = [
      {
        coatId: 'a',
        name: 'Sealer',
        dryUm: 12,
        isLaid: true,
        carrier: 'solvent',
        colour: '#888888',
      },
      { coatId: 'b', name: 'Base', dryUm: 5, isLaid: false, carrier: 'solvent', colour: '#888888' },
    ];
    expect(layOutStack(layers, STACK)).toMatchObject({ laidUm: 12, totalUm: 17 });
  });
  it('has what was found below in the scale of what is planned, and all of it in the box', () => {
    const found = fc.array(
      fc.record({ dryUm: fc.double({ min: 40, max: 200, noNaN: true }) }, { requiredKeys: [] }),
      { maxLength: 4 },
    );
    fc.assert(
      fc.property(fc.array(layer, { minLength: 1, maxLength: 6 }), found, (layers, below) => {
        const { heightsPx, box } = layOutFound(below, layers, STACK);
        const { bars, floorPx } = layOutStack(layers, box);
        const pxPerUm = bars[0]!.heightPx / layers[0]!.dryUm;
        below.forEach(({ dryUm }, i) => {
          if (dryUm !== undefined && heightsPx[i]! > 18)
            expect(heightsPx[i]! / dryUm).toBeCloseTo(pxPerUm, 6);
        });
        const wholePx = heightsPx.reduce((sum, px) => sum + px, 0);
        if (wholePx < STACK.heightPx / 2)
          expect(floorPx + wholePx).toBeLessThanOrEqual(STACK.heightPx - STACK.bottomPx + 1e-6);
      }),
    );
  });
  it('keeps its labels apart and in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 400, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (heights) => {
          const wanted = [...heights].sort((a, b) => b - a);
          const places = spread(wanted, 20, 0, 430);
          return places.every((px, i) => i === 0 || places[i - 1]! - px >= 20 - 1e-6);
        },
      ),
    );
  });
});

it('the cup fills to the level after each pour', () => {
  const layout = layOutCup(
    { capacityMl: 600, marksMl: [100, 200, 300] },
    [
      { name: 'A', ml: 300, cumulativeMl: 300 },
      { name: 'B', ml: 100, cumulativeMl: 400 },
    ],
    { widthPx: 190, heightPx: 230, topPx: 8, bottomPx: 10, leftPx: 46, cupPx: 96 },
  );
  expect(layout.layers[1]!.yPx).toBeLessThan(layout.layers[0]!.yPx);
  expect(layout.layers[0]!.heightPx / layout.layers[1]!.heightPx).toBeCloseTo(3, 6);
  expect(layout.layers[0]!.yPx).toBeCloseTo(layout.marks[2]!.yPx, 6);
});

describe('instruments', () => {
  it('the needle turns clockwise with the pressure and stops at the pin', () => {
    const needle = (value: number) =>
      layOutGauge({ value, band: [10, 20], full: 60, stepEvery: 10 }, 80).needle;
    expect(needle(10).xPx).toBeLessThan(needle(30).xPx);
    expect(needle(30).xPx).toBeLessThan(needle(50).xPx);
    expect(needle(90)).toEqual(needle(60));
  });
  it('a knob has a ring for each turn of its travel', () => {
    expect(layOutKnob(2.75, 4, 50)).toHaveLength(4);
    expect(layOutKnob(1, 2.5, 50)).toHaveLength(3);
  });
});

describe('the ribbon', () => {
  const block = (fromMs: number, toMs: number): RibbonBlock => ({
    key: `${fromMs}`,
    name: 'flash 9',
    kind: 'flash',
    stage: 'base',
    isDone: false,
    fromMs,
    toMs,
  });
  it('keeps the time all was dry, long past or to come, as it was', () => {
    for (const nowMs of [500, 9_000_000])
      expect(
        layOutRibbon([block(0, 1000), block(1000, 4000)], nowMs, { widthPx: 900, padPx: 12 }).dryMs,
      ).toBe(4000);
  });
  it('holds every block and now', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 1e7 }), fc.integer({ min: 1, max: 1e6 })), {
          minLength: 1,
          maxLength: 12,
        }),
        fc.integer({ min: 0, max: 1e7 }),
        (spans, nowMs) => {
          const layout = layOutRibbon(
            spans.map(([from, length]) => block(from, from + length)),
            nowMs,
            { widthPx: 900, padPx: 12 },
          );
          return [
            ...layout.blocks.flatMap((b) => [b.xPx, b.xPx + b.widthPx - 2]),
            layout.nowPx,
          ].every((px) => px >= 11 && px <= 889);
        },
      ),
    );
  });
});

describe('the day', () => {
  const forecast = [
    { minute: 360, airTemperatureC: 9, relativeHumidityPercent: 88, panelTemperatureC: 6 },
    { minute: 540, airTemperatureC: 21, relativeHumidityPercent: 52, panelTemperatureC: 19 },
    { minute: 900, airTemperatureC: 34, relativeHumidityPercent: 40, panelTemperatureC: 34 },
  ];
  const codes = (window: DayWindow | undefined) => window!.why.map(({ code }) => code);
  it('stops a hot panel in mild air, and tells of a dawn where nothing is heated', () => {
    const hot = [300, 900].map((minute) => ({
      minute,
      airTemperatureC: 24,
      relativeHumidityPercent: 40,
      panelTemperatureC: 45,
    }));
    expect(codes(dayWindows(hot)[0])).toEqual(['too-hot-to-spray']);
    const mild = hot.map((point) => ({ ...point, panelTemperatureC: 24 }));
    const day = (heated: boolean) =>
      dayWindows(mild, undefined, 300, { sunriseMinute: 360, heated });
    expect(day(true).map(({ level }) => level)).toEqual(['go']);
    expect(codes(day(false)[0])).toEqual(['dawn-dew']);
  });
  it('judges every minute as the climate calculation does', () => {
    const anyAir = fc.record({
      airC: fc.double({ min: 5, max: 45, noNaN: true }),
      rh: fc.double({ min: 15, max: 95, noNaN: true }),
    });
    fc.assert(
      fc.property(anyAir, fc.double({ min: -9, max: 12, noNaN: true }), ({ airC, rh }, offC) => {
        const air = {
          airTemperatureC: airC,
          relativeHumidityPercent: rh,
          panelTemperatureC: airC + offC,
        };
        const [window] = dayWindows([600, 900].map((minute) => ({ minute, ...air })));
        const { verdicts } = ask(climateCalculation, air);
        const level = worstLevel(verdicts);
        expect(window!.level).toBe(level);
        if (level !== 'go')
          expect(codes(window).sort()).toEqual(
            verdicts
              .filter((said) => said.level === level)
              .map(({ code }) => code)
              .sort(),
          );
      }),
    );
  });
  it('says of now what the air is now, not what it was at the full ten minutes', () => {
    fc.assert(
      fc.property(fc.double({ min: 360, max: 899, noNaN: true }), (nowMinute) => {
        const [window] = dayWindows(forecast, undefined, nowMinute);
        const now = airVerdictsOf(airAt(forecast, nowMinute));
        expect(window!.fromMinute).toBe(nowMinute);
        for (const said of window!.why.filter(({ code }) => now.some((v) => v.code === code)))
          expect(now).toContainEqual(said);
      }),
    );
  });
  it('is cut into stretches that meet and say why', () => {
    const windows = dayWindows(forecast);
    expect(windows[0]).toMatchObject({ level: 'stop', fromMinute: 360 });
    expect(codes(windows[0])).toEqual(
      expect.arrayContaining(['panel-too-cold', 'panel-below-dew-margin']),
    );
    expect(
      windows.every((window, i) => i === 0 || window.fromMinute === windows[i - 1]!.toMinute),
    ).toBe(true);
    expect(windows.at(-1)).toMatchObject({ toMinute: 900, level: 'caution' });
    expect(codes(windows.at(-1))).toEqual(['air-warm']);
  });
  it('tells of the reasons that lie ahead, not of those that are over', () => {
    expect(codes(dayWindows(forecast, undefined, 500)[0])).not.toContain('air-too-humid');
  });
  it('names slower grades as it warms', () => {
    const grades = dayWindows(forecast).map(({ grade }) =>
      ['fast', 'medium', 'slow', 'very slow'].indexOf(grade),
    );
    expect(grades).toEqual([...grades].sort((a, b) => a - b));
  });
  it('lies within its box', () => {
    const layout = layOutDay(forecast, {
      widthPx: 860,
      heightPx: 380,
      leftPx: 52,
      rightPx: 24,
      topPx: 12,
      bottomPx: 30,
    });
    expect(layout.x(360)).toBe(52);
    expect(layout.x(900)).toBe(836);
    expect(layout.airPath).toMatch(/^M52/);
  });
});
