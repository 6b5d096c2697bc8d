/** Corners into a path with rounded ones: a panel's edge is never sharp. */
import type { Point } from '@orthochrom/core/body/unfolded.ts';

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
