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

const perMinute = ({ test }: StoredTest): number | undefined =>
  test.kind === 'catch' ? (test.ml / test.seconds) * 60 : undefined;

/** Paint a minute by the catch tests; pattern tests as a row of marks under it. */
export function layOutTests(tests: readonly StoredTest[], nowMs: number, box: HistoryBox) {
  const times = tests.map(({ takenAt }) => Date.parse(takenAt));
  const x = scaleTime(
    [new Date(Math.min(nowMs - 90 * 86_400_000, ...times)), new Date(nowMs)],
    [box.leftPx, box.widthPx - box.rightPx],
  );
  const caught = tests.flatMap((test) => {
    const ml = perMinute(test);
    return ml === undefined ? [] : [{ id: test.id, atMs: Date.parse(test.takenAt), ml }];
  });
  const [low, high] =
    caught.length > 0
      ? [Math.min(...caught.map(({ ml }) => ml)), Math.max(...caught.map(({ ml }) => ml))]
      : [0, 1];
  const first = caught[0]?.ml;
  const least = Math.min(low, (first ?? low) * (1 - BAND));
  const most = Math.max(high, (first ?? high) * (1 + BAND));
  const y = scaleLinear([least * 0.96, most * 1.04], [box.heightPx - box.bottomPx, box.topPx]).nice(
    4,
  );
  const points = caught.map((point) => ({ ...point, xPx: x(point.atMs), yPx: y(point.ml) }));
  const draw = line<(typeof points)[number]>()
    .x(({ xPx }) => xPx)
    .y(({ yPx }) => yPx);
  const band =
    first === undefined
      ? {}
      : { band: { topPx: y(first * (1 + BAND)), bottomPx: y(first * (1 - BAND)) } };
  return {
    points,
    ...band,
    path: draw(points) ?? '',
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
