/** Corners into a path with rounded ones: a panel's edge is never sharp. */
import type { Drawn, Point } from '@orthochrom/core/body/unfolded.ts';

/** A nose up where the screen is upright: the whole drawing turned by a quarter. */
export const turned = ([x, y]: Point): Point => [y, x];

const towards = ([x, y]: Point, [toX, toY]: Point, by: number): Point => {
  const length = Math.hypot(toX - x, toY - y);
  const share = length === 0 ? 0 : Math.min(by, length / 2) / length;
  return [x + (toX - x) * share, y + (toY - y) * share];
};
const written = ([x, y]: Point): string => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** A closed path through all corners, each rounded by so much. */
export function roundedPath(corners: readonly Point[], by: number): string {
  const parts = corners.map((corner, i) => {
    const before = corners.at(i - 1)!;
    const after = corners[(i + 1) % corners.length]!;
    return `${written(towards(corner, before, by))} Q ${written(corner)} ${written(towards(corner, after, by))}`;
  });
  return `M ${parts.join(' L ')} Z`;
}

/** A touch area round a panel, no smaller than a gloved finger. */
export function touchBox(corners: readonly Point[], least: number) {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const grown = (from: number, to: number) => {
    const missing = Math.max(0, least - (to - from)) / 2;
    return [from - missing, to + missing] as const;
  };
  const [left, right] = grown(Math.min(...xs), Math.max(...xs));
  const [top, bottom] = grown(Math.min(...ys), Math.max(...ys));
  return { x: left, y: top, width: right - left, height: bottom - top };
}

const TOWARDS: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The nearest panel the way an arrow key points, as drawn; nothing for another key. */
export function neighbourTowards(
  key: string,
  from: Drawn,
  panels: readonly Drawn[],
  turn: (point: Point) => Point,
): Drawn | undefined {
  const way = TOWARDS[key];
  if (!way) return undefined;
  const [x, y] = turn(from.middle);
  const apart = panels
    .filter(({ id }) => id !== from.id)
    .map((panel) => {
      const [toX, toY] = turn(panel.middle);
      const [alongX, alongY] = [toX - x, toY - y];
      const ahead = alongX * way[0] + alongY * way[1];
      // What lies aside counts twice: an arrow goes on straight where it can.
      return { panel, ahead, far: ahead + 2 * Math.abs(alongX * way[1] - alongY * way[0]) };
    })
    .filter(({ ahead }) => ahead > 1);
  return apart.sort((a, b) => a.far - b.far)[0]?.panel;
}

/** Room round what is drawn near. */
const BESIDE = 24;
/** Less of a car than this is not known for one; a part is a picture by itself. */
const LEAST = 260;
const LEAST_OF_WHOLE = 1.3;

/** The part of the drawing that holds these panels and points, with room beside them. */
export function boxAround(
  panels: readonly Drawn[],
  names: readonly string[],
  beside: readonly Point[] = [],
) {
  const points = panels.filter(({ id }) => names.includes(id)).flatMap(({ corners }) => corners);
  const all = points.length > 0 ? points : panels.flatMap(({ corners }) => corners);
  const whole = panels.flatMap(({ corners }) => corners.map(([x]) => x));
  const least = Math.min(LEAST, LEAST_OF_WHOLE * (Math.max(...whole) - Math.min(...whole)));
  const span = (axis: 0 | 1): [number, number] => {
    const stood = beside.map((point) => point[axis]);
    const from = Math.min(...all.map((point) => point[axis]), ...stood);
    const to = Math.max(...all.map((point) => point[axis]), ...stood);
    const missing = Math.max(0, least - (to - from)) / 2;
    return [from - missing - BESIDE, to + missing + BESIDE];
  };
  const [[left, right], [top, bottom]] = [span(0), span(1)];
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** One half of a panel that lies across the middle line of the car. */
export function halfOf(corners: readonly Point[], side: 'left' | 'right'): Point[] {
  const isIn = ([, y]: Point): boolean => (side === 'left' ? y <= 0 : y >= 0);
  return corners.flatMap((corner, i): Point[] => {
    const next = corners[(i + 1) % corners.length]!;
    const kept: Point[] = isIn(corner) ? [corner] : [];
    if (isIn(corner) === isIn(next)) return kept;
    const share = corner[1] / (corner[1] - next[1]);
    return [...kept, [corner[0] + share * (next[0] - corner[0]), 0]];
  });
}
