/** Where on the drawn car a painter stands, which way the passes step, and the way there. */
import { bodyMap, bodyPanel, type Body } from '@orthochrom/core/body/bodyMap.ts';
import {
  MARGIN,
  pointOn,
  unfolded,
  UNITS,
  type Corner,
  type Point,
} from '@orthochrom/core/body/unfolded.ts';
import type { Step } from './routeWords.ts';

/** Beside the car, on the drawing. */
const STAND_UNITS = 22;

/** The face that is stepped over: up an upright, across a flat one or its half. */
const ENDS: Record<'up' | 'left' | 'right' | 'whole', [Corner, Corner]> = {
  up: [
    [0.5, 0.12],
    [0.5, 0.88],
  ],
  left: [
    [0.5, 0.06],
    [0.5, 0.44],
  ],
  right: [
    [0.5, 0.94],
    [0.5, 0.56],
  ],
  whole: [
    [0.5, 0.12],
    [0.5, 0.88],
  ],
};

/** From the first pass to the last; nothing for a part that the map lacks. */
export function arrowOf(body: Body, { panel, side, from }: Step): [Point, Point] | undefined {
  const isUpright = bodyPanel(body, panel)?.orientation === 'upright';
  const ends = ENDS[isUpright ? 'up' : (side ?? 'whole')];
  const [start, end] = ends.map((corner) => pointOn(body, panel, corner));
  if (!start || !end) return undefined;
  // A half begins at its own rim, or at the wet middle.
  const isOut = side !== undefined && from !== side;
  return isOut ? [end, start] : [start, end];
}

/** The middle of a panel or of its half. */
export function middleOf(body: Body, { panel, side }: Pick<Step, 'panel' | 'side'>) {
  const across = side === 'left' ? 0.25 : side === 'right' ? 0.75 : 0.5;
  return pointOn(body, panel, [0.5, across]);
}

/** Corners of the way round the car, nose left, from left front on. */
function roundCar(body: Body): Point[] {
  const { box } = unfolded(body);
  const [left, right] = [box.x + MARGIN - STAND_UNITS, box.x + box.width - MARGIN + STAND_UNITS];
  const [top, bottom] = [box.y + MARGIN - STAND_UNITS, box.y + box.height - MARGIN + STAND_UNITS];
  return [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ];
}

/** Where the painter stands for a step. */
export function standOf(body: Body, { stand }: Step): Point | undefined {
  if (!stand) return undefined;
  const [leftFront, rightRear] = [roundCar(body)[0]!, roundCar(body)[2]!];
  const x = stand.along * bodyMap(body).lengthM * UNITS;
  if (stand.at === 'left') return [x, leftFront[1]];
  if (stand.at === 'right') return [x, rightRear[1]];
  return [stand.at === 'front' ? leftFront[0] : rightRear[0], 0];
}

/** The way from one stand to the next, the shorter way round; to be kept clear. */
export function wayBetween(body: Body, from: Point, to: Point): Point[] {
  const corners = roundCar(body);
  const reach = corners.map((corner, i) => {
    const next = corners[(i + 1) % corners.length]!;
    return Math.hypot(next[0] - corner[0], next[1] - corner[1]);
  });
  const around = reach.reduce((sum, length) => sum + length, 0);
  const at = (point: Point): number => {
    let before = 0;
    for (const [i, corner] of corners.entries()) {
      const next = corners[(i + 1) % corners.length]!;
      const along = Math.hypot(point[0] - corner[0], point[1] - corner[1]);
      const left = Math.hypot(point[0] - next[0], point[1] - next[1]);
      if (Math.abs(along + left - reach[i]!) < 0.5) return before + along;
      before += reach[i]!;
    }
    return 0;
  };
  const [start, end] = [at(from), at(to)];
  const forward = (end - start + around) % around;
  const isForward = forward <= around / 2;
  const passed = corners
    .map((corner, i) => {
      const place = reach.slice(0, i).reduce((sum, length) => sum + length, 0);
      const after = isForward ? place - start : start - place;
      return { corner, after: (after + around) % around };
    })
    .filter(({ after }) => after > 0 && after < (isForward ? forward : around - forward))
    .sort((a, b) => a.after - b.after);
  return [from, ...passed.map(({ corner }) => corner), to];
}
