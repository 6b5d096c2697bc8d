/** Where the lab's pictures put their marks: profile, drops, film over time, wave, run. Pure. */
import { area, line, scaleLinear, scaleLog } from 'd3';

export type Box = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  rightPx: number;
  topPx: number;
  bottomPx: number;
};
export const BOX: Box = {
  widthPx: 460,
  heightPx: 210,
  leftPx: 44,
  rightPx: 14,
  topPx: 14,
  bottomPx: 30,
};

const inside = ({ widthPx, heightPx, leftPx, rightPx, topPx, bottomPx }: Box) => ({
  x: [leftPx, widthPx - rightPx] as [number, number],
  y: [heightPx - bottomPx, topPx] as [number, number],
});

export type Tick = { label: string; atPx: number };

/** Film across one fan: each set-up's own, on one scale. */
export function layOutProfile(
  profiles: { um: number[]; fanMm: number }[],
  writeMm: (mm: number) => string,
  box = BOX,
) {
  const widest = Math.max(...profiles.map(({ fanMm }) => fanMm), 1);
  const most = Math.max(1, ...profiles.flatMap(({ um }) => um)) * 1.15;
  const { x: xs, y: ys } = inside(box);
  const x = scaleLinear([-widest / 2, widest / 2], xs);
  const y = scaleLinear([0, most], ys);
  return {
    curves: profiles.map(({ um, fanMm }) => {
      const points = um.map(
        (film, i) => [x(-fanMm / 2 + (i * fanMm) / (um.length - 1)), y(film)] as [number, number],
      );
      return {
        path: line()(points) ?? '',
        fill: area<[number, number]>().y0(ys[0])(points) ?? '',
        meanPx: y(um.reduce((sum, film) => sum + film, 0) / um.length),
      };
    }),
    films: y.ticks(4).map((film) => ({ label: film.toFixed(0), atPx: y(film) })),
    widths: x.ticks(5).map((mm) => ({ label: writeMm(mm), atPx: x(mm) })),
    basePx: ys[0],
  };
}

/** Drop size on a line with its window. */
export function layOutDrops(
  drops: { value: number; low: number; high: number }[],
  window: [number, number],
  box = BOX,
) {
  const { x: xs } = inside(box);
  const x = scaleLinear(
    [
      Math.min(10, window[0] * 0.6),
      Math.max(window[1] * 1.5, ...drops.map(({ high }) => Math.min(high, 140))),
    ],
    xs,
  ).clamp(true);
  return {
    window: { fromPx: x(window[0]), toPx: x(window[1]) },
    drops: drops.map(({ value, low, high }) => ({
      atPx: x(value),
      fromPx: x(low),
      toPx: x(high),
      radiusPx: Math.max(5, Math.min(30, value * 0.42)),
    })),
    ticks: x.ticks(6).map((um) => ({ label: um.toFixed(0), atPx: x(um) })),
  };
}

export type History = {
  left: { minutes: number; byCoat: number[] }[];
  readyMinutes: number[];
  startsMinutes: number[];
  bakeMinutes?: number | undefined;
};
/** Solvent left by coat, when each is ready, and when the heat comes. */
export function layOutTime(histories: History[], box = BOX) {
  const end = Math.max(1, ...histories.map(({ left }) => left.at(-1)?.minutes ?? 0));
  const { x: xs, y: ys } = inside(box);
  const x = scaleLinear([0, end], xs);
  const y = scaleLinear([0, 100], ys);
  return {
    histories: histories.map(({ left, readyMinutes, startsMinutes, bakeMinutes }) => ({
      coats: (left[0]?.byCoat ?? []).map((_, coat) => {
        const points = left
          .filter(
            ({ byCoat, minutes }) =>
              byCoat[coat]! > 0 && minutes >= (startsMinutes[coat] ?? 0) - 0.01,
          )
          .map(({ minutes, byCoat }) => [x(minutes), y(byCoat[coat]! * 100)] as [number, number]);
        return { path: line()(points) ?? '', startPx: x(startsMinutes[coat] ?? 0) };
      }),
      ready: readyMinutes.map((minutes, coat) => ({
        atPx: x(Math.min(end, (startsMinutes[coat] ?? 0) + minutes)),
        isBeyond: (startsMinutes[coat] ?? 0) + minutes > end,
      })),
      bakePx: bakeMinutes === undefined ? undefined : x(bakeMinutes),
    })),
    shares: [0, 50, 100].map((percent) => ({ label: `${percent}`, atPx: y(percent) })),
    minutes: x.ticks(6).map((minutes) => ({ label: minutes.toFixed(0), atPx: x(minutes) })),
    basePx: ys[0],
    topPx: ys[1],
  };
}

/**
 * How the surface lies: a wave whose height is what is left of the ripple; many times exaggerated.
 */
export function wavePath(peelIndex: number, box: Box, phase = 0): string {
  const height = ((10 - peelIndex) / 10) ** 1.6 * (box.heightPx * 0.3);
  const middle = box.heightPx / 2;
  const points = Array.from({ length: 121 }, (_, i) => {
    const x = (i / 120) * box.widthPx;
    const wave =
      Math.sin(i * 0.33 + phase) +
      0.55 * Math.sin(i * 0.71 + 2 * phase + 1) +
      0.3 * Math.sin(i * 1.43 + 0.4);
    return [x, middle - (wave / 1.85) * height] as [number, number];
  });
  return line()(points) ?? '';
}

/** A run down an upright panel, on a scale that shows millimetres and a hand's length alike. */
export function layOutRun(sags: { value: number; low: number; high: number }[], box: Box) {
  const y = scaleLog([0.3, 100], [box.topPx, box.heightPx - box.bottomPx]).clamp(true);
  return {
    startsPx: y(12),
    runs: sags.map(({ value, low, high }) => ({
      endPx: y(Math.max(0.3, value)),
      lowPx: y(Math.max(0.3, low)),
      highPx: y(Math.max(0.3, high)),
    })),
    ticks: [1, 3, 12, 40].map((mm) => ({ label: `${mm}`, atPx: y(mm) })),
  };
}
