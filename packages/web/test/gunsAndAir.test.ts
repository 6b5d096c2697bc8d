import { CARE_ITEMS } from '@orthochrom/core/gun/care.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layOutChain } from '../src/compressedAir/chainLayout.ts';
import { layOutTank } from '../src/compressedAir/tankLayout.ts';
import { ITEM, PARTS } from '../src/guns/care/careWords.ts';
import { setsBefore } from '../src/guns/names.ts';
import {
  driftPercent,
  layOutFlowing,
  layOutTests,
  shortfallByWeekday,
} from '../src/guns/historyLayout.ts';
import { whatItDid } from '../src/guns/tests/whatItDid.ts';
import { afterShot, START } from '../src/ticket/gun/byEar.ts';
import { layOutOverlap } from '../src/ticket/gun/overlapLayout.ts';
import { formatFor, secondsText } from '@orthochrom/contract/words/format.ts';
import { readTyped } from '../src/units/typed.ts';

const BOX = { widthPx: 800, heightPx: 300, leftPx: 50, rightPx: 50, topPx: 20, bottomPx: 60 };
const metric = {
  temperature: 'C',
  pressure: 'psi',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
} as const;
const inches = { ...metric, length: 'in', volume: 'flOzUs' } as const;

describe('the chain', () => {
  const stations = [
    { key: 'wall', word: 'wall', restKPa: 230, flowingKPa: 200 },
    { key: 'gun', word: 'gun', flowingKPa: 138 },
    { key: 'cap', word: 'cap', flowingKPa: 66 },
  ];
  it('falls from station to station, inside its box, each loss between the two it lies between', () => {
    const { points, losses, basePx } = layOutChain(stations, BOX);
    expect(points.map(({ yPx }) => yPx)).toEqual(
      [...points.map(({ yPx }) => yPx)].sort((a, b) => a - b),
    );
    expect(points[0]!.restYPx!).toBeLessThan(points[0]!.yPx);
    expect(points[0]!.restYPx!).toBeGreaterThanOrEqual(BOX.topPx);
    expect(basePx).toBe(BOX.heightPx - BOX.bottomPx);
    expect(losses.map(({ lossKPa }) => lossKPa)).toEqual([62, 72]);
  });
  it("has its ticks round in the painter's own unit", () => {
    const psi = 6.894757;
    for (const kPa of layOutChain(stations, BOX, psi).ticksKPa)
      expect(Math.abs(kPa / psi - Math.round(kPa / psi))).toBeLessThan(1e-9);
  });
});

it('the tank is drawn to the end of its curve, with what the wall needs under where the motor stops', () => {
  const trace = [0, 60, 120].map((seconds) => ({ seconds, tankKPa: 800 - seconds * 3 }));
  const { levels, end, ticks } = layOutTank(
    trace,
    { cutInKPa: 600, cutOutKPa: 800, neededKPa: 300, runSeconds: 900 },
    BOX,
  );
  const yOf = (key: string) => levels.find((level) => level.key === key)!.yPx;
  expect(yOf('cutOut')).toBeLessThan(yOf('cutIn'));
  expect(yOf('cutIn')).toBeLessThan(yOf('needed'));
  expect(end.xPx).toBeLessThan(BOX.widthPx / 2);
  expect(ticks.every(({ seconds }) => seconds % 60 === 0)).toBe(true);
});

describe("a gun's past", () => {
  const now = Date.parse('2026-06-30T12:00:00Z');
  const at = (daysAgo: number) => new Date(now - daysAgo * 86_400_000).toISOString();
  const caught = (id: string, daysAgo: number, ml: number) => ({
    id,
    takenAt: at(daysAgo),
    note: '',
    test: {
      kind: 'catch' as const,
      ml,
      seconds: 30,
      inletKPa: 138,
      fluidTurnsOut: 3,
      fanTurnsOut: 2,
    },
  });
  it('lays catches as a curve in time and patterns as marks', () => {
    const pattern = {
      id: 'p',
      takenAt: at(20),
      note: '',
      test: { kind: 'pattern' as const, seen: 'even' as const, distanceMm: 200, settings: {} },
    };
    const { points, patterns } = layOutTests(
      [caught('a', 80, 60), caught('b', 10, 75), pattern],
      now,
      BOX,
    );
    expect(points[0]!.xPx).toBeLessThan(points[1]!.xPx);
    expect(points[0]!.yPx).toBeGreaterThan(points[1]!.yPx);
    expect(patterns).toHaveLength(1);
    expect(layOutTests([pattern], now, BOX).paths).toEqual([]);
  });
  it('breaks its line where a tip was changed, and judges only the tip that is fitted', () => {
    const tests = [
      caught('a', 80, 60),
      caught('b', 60, 75),
      caught('c', 20, 58),
      caught('d', 5, 59),
    ];
    const changedAt = [at(40)];
    const { paths, changes, band, points } = layOutTests(tests, now, BOX, changedAt);
    expect(paths).toHaveLength(2);
    expect(changes[0]!.xPx).toBeGreaterThan(points[1]!.xPx);
    expect(changes[0]!.xPx).toBeLessThan(points[2]!.xPx);
    expect(band!.leftPx).toBe(changes[0]!.xPx);
    expect(driftPercent(tests)).toBeCloseTo(-1.67, 1);
    expect(driftPercent(tests, changedAt)).toBeCloseTo(1.72, 1);
  });
  it('tells no drift between catches at other turns', () => {
    const open = caught('b', 10, 90);
    open.test.fluidTurnsOut = 3.5;
    expect(driftPercent([caught('a', 80, 60), open])).toBe(0);
    expect(driftPercent([])).toBe(0);
  });
  it('a tip comes after those of its size that were retired before it', () => {
    const set = (id: string, nozzleMm: number, fitted: number, retired?: number) => ({
      id,
      nozzleMm,
      fittedSince: at(fitted),
      ...(retired === undefined ? {} : { retiredAt: at(retired) }),
    });
    const sets = [set('new', 1.3, 40), set('old', 1.3, 300, 40), set('big', 1.8, 300, 50)];
    expect(setsBefore(sets, sets[0]!).map(({ id }) => id)).toEqual(['old']);
  });
  it('finds the day of the week on which the air gives out', () => {
    const coat = (day: string, shortKPa: number) => ({
      coatId: day,
      at: day,
      plannedKPa: 160,
      lowestKPa: 160 - shortKPa,
      highestKPa: 160,
      panels: [],
    });
    const coats = [
      coat('2026-06-02T10:00:00', 38),
      coat('2026-06-04T10:00:00', 2),
      coat('2026-06-09T10:00:00', 40),
      coat('2026-06-11T10:00:00', 3),
    ];
    expect(shortfallByWeekday(coats)[0]).toEqual({ weekday: 2, coats: 2, shortKPa: 39 });
    const { bars } = layOutFlowing(coats, BOX);
    expect(bars[0]!.bottomPx - bars[0]!.topPx).toBeGreaterThan(bars[1]!.bottomPx - bars[1]!.topPx);
  });
});

describe('what a test did', () => {
  const gun = {
    class: 'hvlp' as const,
    nozzlesMm: [1.3],
    nozzleSets: [{ nozzleMm: 1.3, tests: [] }],
    ratedInletKPa: 138,
    capKPaAtRated: 65.5,
    fullFanTurns: 2.5,
  };
  it('is told for what it moved and narrowed, and for nothing else', () => {
    const did = whatItDid({ gun, usedFor: ['clear'] }, 1.3, {
      kind: 'catch',
      ml: 45,
      seconds: 30,
      inletKPa: 140,
      fluidTurnsOut: 2.75,
      fanTurnsOut: 2.25,
    });
    expect(did.map(({ name }) => name)).toEqual(['fluidMlPerMin', 'wetUm']);
    expect(did[0]!.after.high - did[0]!.after.low).toBeLessThan(
      did[0]!.before.high - did[0]!.before.low,
    );
  });
});

describe('by ear', () => {
  it('goes up while there are spots, stops when they are gone, and goes back when it bounces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), (ups) => {
        const up = Array.from({ length: ups }).reduce<typeof START>(
          (now) => afterShot(now, 'spots'),
          START,
        );
        expect(up).toEqual({ ups, state: 'looking' });
        expect(afterShot(up, 'fine')).toEqual({ ups, state: 'found' });
        expect(afterShot(up, 'bounces')).toEqual({ ups: Math.max(0, ups - 1), state: 'noRoom' });
      }),
    );
  });
});

it('closer passes are drawn calmer', () => {
  expect(layOutOverlap(75, 200, 60).ripplePercent).toBeLessThan(
    layOutOverlap(50, 200, 60).ripplePercent,
  );
  expect(layOutOverlap(66, 200, 60).humps).toHaveLength(5);
});

it('every item of care has words, about parts that are drawn', () => {
  const keys = Object.values(CARE_ITEMS).flat();
  expect(keys.filter((key) => !ITEM[key])).toEqual([]);
  expect(Object.keys(ITEM).filter((key) => !keys.includes(key))).toEqual([]);
  expect(
    Object.values(ITEM).flatMap(({ parts }) =>
      (parts ?? []).filter((part) => !PARTS.includes(part)),
    ),
  ).toEqual([]);
});

describe('a hose and its air', () => {
  it('are read and shown as they are sold', () => {
    const typed = readTyped('3/8 in', 'bore', metric);
    expect(typed.kind === 'figure' && typed.canonical).toBeCloseTo(9.525, 9);
    expect(readTyped('8', 'bore', metric)).toMatchObject({ kind: 'figure', canonical: 8 });
    expect(readTyped('25 ft', 'metres', metric)).toMatchObject({
      kind: 'figure',
      enteredUnit: 'ft',
    });
    expect(readTyped('12', 'airFlow', inches)).toMatchObject({ enteredUnit: 'cfm' });
    expect(formatFor(inches).bore(9.525)).toEqual({ text: '3/8', unit: 'in' });
    expect(formatFor(inches).bore(31.75)).toEqual({ text: '1 1/4', unit: 'in' });
    expect(formatFor(inches).bore(12.7)).toEqual({ text: '1/2', unit: 'in' });
    expect(formatFor(metric).airFlow(339.8)).toEqual({ text: '340', unit: 'L/min' });
  });
  it('take a tank’s pressure without a question that a gun’s would get', () => {
    expect(readTyped('120', 'supplyPressure', metric)).toMatchObject({ kind: 'figure' });
    expect(readTyped('120', 'pressure', metric)).toMatchObject({ kind: 'doubtful' });
  });
  it('are told in minutes when seconds grow long', () => {
    expect(secondsText(45)).toBe('45 s');
    expect(secondsText(130)).toBe('2 min 10 s');
    expect(secondsText(900)).toBe('15 min');
  });
});
