/**
 * A body folded open: roof and bonnet in the middle, the sides laid out beside them, front and rear
 * before and behind; sills lie outermost, neighbours touch.
 *
 *   flat → (x, (v − ½)·across);  upright left → (x, −(W/2 + G + H − z)), right mirrored
 *   front → (−(G + h₁ − z), (u − ½)·across);  rear → (L + G + h₁ − z, …)              [body-1]
 *
 * x = along the car, z over the floor, both out of an outline's (u, v); L, W length and width, H
 * the highest edge of a side, G the gap between views.
 * Source  ours
 */
import { bodyMap, type Body, type BodyMap, type BodyPanel } from './bodyMap.ts';

export type Point = [x: number, y: number];
export type Drawn = { id: string; corners: Point[]; middle: Point };
export type Unfolded = {
  panels: Drawn[];
  box: { x: number; y: number; width: number; height: number };
};

/** Drawing units in a metre. */
export const UNITS = 100;
const GAP_M = 0.15;
/** Round the drawing. */
export const MARGIN = 10;

export type Corner = [u: number, v: number];
const between = ([from, to]: readonly [number, number], share: number): number =>
  from + share * (to - from);

function placed(map: BodyMap, panel: BodyPanel, sideM: number): (corner: Corner) => Point {
  const { lengthM, widthM } = map;
  const { side, orientation, along, heightsM, acrossM = widthM } = panel;
  if (orientation !== 'upright')
    return ([u, v]) => [between(along, u) * lengthM, (v - 0.5) * acrossM];
  if (side !== 'middle') {
    const out = side === 'left' ? -1 : 1;
    return ([u, v]) => [
      between(along, u) * lengthM,
      out * (widthM / 2 + GAP_M + sideM - between(heightsM, v)),
    ];
  }
  const wideM = Math.min(acrossM, widthM);
  const top = heightsM[1];
  if (between(along, 0.5) < 0.5)
    return ([u, v]) => [-(GAP_M + top - between(heightsM, v)), (u - 0.5) * wideM];
  // Behind a tailgate the bumper stands by its height.
  const gate = map.panels.find(({ id }) => id === 'tailgate');
  const behindM = gate && panel !== gate ? gate.heightsM[1] - gate.heightsM[0] + 0.05 : 0;
  return ([u, v]) => [lengthM + GAP_M + behindM + top - between(heightsM, v), (u - 0.5) * wideM];
}

const sideHighM = ({ panels }: BodyMap): number =>
  Math.max(0, ...panels.filter(({ side }) => side !== 'middle').map(({ heightsM }) => heightsM[1]));

/** A point of a panel's face on the drawing, by its share along and up; none for a strange name. */
export function pointOn(body: Body, id: string, corner: Corner): Point | undefined {
  const map = bodyMap(body);
  const panel = map.panels.find((one) => one.id === id);
  if (!panel) return undefined;
  const [x, y] = placed(map, panel, sideHighM(map))(corner);
  return [x * UNITS, y * UNITS];
}

/** Every panel as corners on one plane, mirrors last. [body-1] */
export function unfolded(body: Body): Unfolded {
  const map = bodyMap(body);
  const sideM = sideHighM(map);
  const drawn = map.panels.map((panel): Drawn => {
    const at = placed(map, panel, sideM);
    const corners = map.outlines[panel.outline]!.map((corner): Point => {
      const [x, y] = at(corner);
      return [x * UNITS, y * UNITS];
    });
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
    const middle: Point = [
      (Math.min(...xs) + Math.max(...xs)) / 2,
      (Math.min(...ys) + Math.max(...ys)) / 2,
    ];
    return { id: panel.id, corners, middle };
  });
  const [xs, ys] = [0, 1].map((axis) =>
    drawn.flatMap(({ corners }) => corners.map((c) => c[axis]!)),
  );
  const [x, y] = [Math.min(...xs!) - MARGIN, Math.min(...ys!) - MARGIN];
  const isMirror = ({ id }: Drawn): boolean => id.endsWith('Mirror');
  return {
    panels: [...drawn.filter((one) => !isMirror(one)), ...drawn.filter(isMirror)],
    box: {
      x,
      y,
      width: Math.max(...xs!) + MARGIN - x,
      height: Math.max(...ys!) + MARGIN - y,
    },
  };
}
