/** A gun's tests and its air over time, as points. Pure. */
import { line, scaleLinear, scaleTime } from 'd3';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import type { FlowingCoat } from '@orthochrom/contract/shop/care.ts';

export type HistoryBox = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  rightPx: number;
  topPx: number;
  bottomPx: number;
};

/** A tenth more or less than at first is the hand and the clock, not the gun. */
const BAND = 0.1;

/** Turns that a hand sets alike. */
const SAME_TURNS = 0.06;

type Caught = { id: string; atMs: number; ml: number; turnsOut: number };
const caughtOf = ({ id, takenAt, test }: StoredTest): Caught[] =>
  test.kind === 'catch'
    ? [
        {
          id,
          atMs: Date.parse(takenAt),
          ml: (test.ml / test.seconds) * 60,
          turnsOut: test.fluidTurnsOut,
        },
      ]
    : [];

/** The catches of one tip, from one change to the next. */
const byTip = (caught: readonly Caught[], changesMs: readonly number[]): Caught[][] =>
  [...changesMs, Infinity].map((until, i) =>
    caught.filter(({ atMs }) => atMs < until && atMs >= (changesMs[i - 1] ?? -Infinity)),
  );

/**
 * More or less paint than the tip that is fitted gave at first at the same turns, %; nought where
 * there is nothing to hold it against.
 */
export function driftPercent(tests: readonly StoredTest[], changedAt: readonly string[] = []) {
  const now = byTip(tests.flatMap(caughtOf), changedAt.map(Date.parse)).at(-1)!;
  const last = now.at(-1);
  const first = now.find(({ turnsOut }) => last && Math.abs(turnsOut - last.turnsOut) < SAME_TURNS);
  return first && last && first !== last ? (last.ml / first.ml - 1) * 100 : 0;
}

/**
 * Paint a minute by the catch tests, a line for each tip, broken where one was changed; pattern
 * tests as a row of marks under it. The band lies round the first catch of the tip that is fitted.
 */
export function layOutTests(
  tests: readonly StoredTest[],
  nowMs: number,
  box: HistoryBox,
  changedAt: readonly string[] = [],
) {
  const times = tests.map(({ takenAt }) => Date.parse(takenAt));
  const changesMs = changedAt.map((at) => Date.parse(at));
  const x = scaleTime(
    [new Date(Math.min(nowMs - 90 * 86_400_000, ...times, ...changesMs)), new Date(nowMs)],
    [box.leftPx, box.widthPx - box.rightPx],
  );
  const caught = tests.flatMap(caughtOf);
  const tips = byTip(caught, changesMs);
  const first = (tips.at(-1)![0] ?? caught[0])?.ml;
  const all = [
    ...caught.map(({ ml }) => ml),
    ...(first ? [first * (1 - BAND), first * (1 + BAND)] : []),
  ];
  const y = scaleLinear(
    [Math.min(...all, Infinity) * 0.96, Math.max(...all, 0) * 1.04],
    [box.heightPx - box.bottomPx, box.topPx],
  ).nice(4);
  const draw = line<Caught>()
    .x(({ atMs }) => x(atMs))
    .y(({ ml }) => y(ml));
  const bandLeftPx = changesMs.length > 0 ? x(changesMs.at(-1)!) : box.leftPx;
  return {
    points: caught.map((point) => ({ ...point, xPx: x(point.atMs), yPx: y(point.ml) })),
    ...(first === undefined
      ? {}
      : {
          band: {
            leftPx: bandLeftPx,
            topPx: y(first * (1 + BAND)),
            bottomPx: y(first * (1 - BAND)),
          },
        }),
    paths: tips.flatMap((tip) => draw(tip) ?? []),
    changes: changesMs.map((at) => ({ at, xPx: x(at) })),
    ticks: caught.length > 0 ? y.ticks(4).map((ml) => ({ ml, yPx: y(ml) })) : [],
    months: x.ticks(6).map((at) => ({ at, xPx: x(at) })),
    patterns: tests.flatMap(({ id, takenAt, test }) =>
      test.kind === 'pattern'
        ? [{ id, seen: test.seen, takenAt, xPx: x(Date.parse(takenAt)) }]
        : [],
    ),
  };
}

/**
 * Each coat as a bar from its lowest to its highest, with a tick at what was planned; evenly
 * spaced, oldest first.
 */
export function layOutFlowing(coats: readonly FlowingCoat[], box: HistoryBox, kPaPerUnit = 1) {
  const all = coats.flatMap(({ lowestKPa, highestKPa, plannedKPa }) => [
    lowestKPa,
    highestKPa,
    plannedKPa,
  ]);
  const y = scaleLinear(
    [Math.min(...all) * 0.94, Math.max(...all) * 1.04],
    [box.heightPx - box.bottomPx, box.topPx],
  );
  const stepPx = (box.widthPx - box.leftPx - box.rightPx) / Math.max(1, coats.length);
  return {
    bars: coats.map((coat, i) => ({
      ...coat,
      xPx: box.leftPx + stepPx * (i + 0.5),
      topPx: y(coat.highestKPa),
      bottomPx: y(coat.lowestKPa),
      plannedPx: y(coat.plannedKPa),
    })),
    widthPx: Math.min(26, stepPx * 0.6),
    ticks: scaleLinear(
      y.domain().map((kPa) => kPa / kPaPerUnit),
      [0, 1],
    )
      .ticks(4)
      .map((own) => ({ kPa: own * kPaPerUnit, yPx: y(own * kPaPerUnit) })),
  };
}

export type WeekdayLow = { weekday: number; coats: number; shortKPa: number };

/** How far under plan the pressure fell, by day of the week; the worst first. */
export function shortfallByWeekday(coats: readonly FlowingCoat[]): WeekdayLow[] {
  const byDay = new Map<number, number[]>();
  for (const { at, plannedKPa, lowestKPa } of coats) {
    const weekday = new Date(at).getDay();
    byDay.set(weekday, [...(byDay.get(weekday) ?? []), plannedKPa - lowestKPa]);
  }
  return [...byDay]
    .map(([weekday, shorts]) => ({
      weekday,
      coats: shorts.length,
      shortKPa: shorts.reduce((sum, kPa) => sum + kPa, 0) / shorts.length,
    }))
    .sort((a, b) => b.shortKPa - a.shortKPa);
}
