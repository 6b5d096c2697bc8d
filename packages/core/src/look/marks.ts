/** Marks on a surface, each in a place or here and there: holes, saucers, nibs, tongues. */
import { drawnFrom } from '../numerics/drawn.ts';
import { addAround, type Surface } from './surface.ts';

/** How many radii from the middle. */
export const around = (radius: number) => (dx: number, dy: number) => Math.hypot(dx, dy) / radius;
/** A dip with a rim that stands up round it: both in µm, by the radius of the dip. */
const pit = (depthUm: number, rimUm: number, radiusMm: number) => {
  const r = around(radiusMm);
  return (dx: number, dy: number) =>
    -depthUm * Math.exp(-(r(dx, dy) ** 4)) + rimUm * Math.exp(-(((r(dx, dy) - 1.35) / 0.35) ** 2));
};

type Pits = {
  /** In a close-up of 200 × 100 mm. */
  count: number;
  radiiMm: readonly [number, number];
  depthUm: number;
  rimShare: number;
};
/** How wide and high a surface is, mm. */
export const sizeMm = ({ columns, rows, cellMm }: Surface): [wide: number, high: number] => [
  columns * cellMm,
  rows * cellMm,
];

export type Marked = (place: { xMm: number; yMm: number }, drawn: () => number) => void;
/** Marks here and there: so many in a close-up of 200 × 100 mm, in a smaller one by its share. */
export function scatter(
  surface: Surface,
  count: number,
  seed: number,
  mark: Marked,
  least = 1,
): void {
  const drawn = drawnFrom(seed);
  const [wide, high] = sizeMm(surface);
  const here = Math.max(least, Math.round((count * wide * high) / 20_000));
  for (let i = 0; i < here; i++) mark({ xMm: drawn() * wide, yMm: drawn() * high }, drawn);
}
/** Under a cell a mark would not be drawn at all. */
const seenMm = ({ cellMm }: Surface, radiusMm: number): number => Math.max(radiusMm, cellMm * 0.9);

/** Holes here and there; dark in their depth. */
export function addPits(
  surface: Surface,
  { count, radiiMm: [least, most], depthUm, rimShare }: Pits,
  seed: number,
): void {
  scatter(surface, count, seed, (at, drawn) => {
    const radiusMm = seenMm(surface, least + drawn() * (most - least));
    const place = { ...at, reachMm: radiusMm * 2.4 };
    addAround(surface, 'heightUm', place, pit(depthUm, depthUm * rimShare, radiusMm));
    const r = around(radiusMm);
    addAround(surface, 'tone', place, (dx, dy) => -0.75 * Math.exp(-(r(dx, dy) ** 4)));
  });
}

/** A tongue that slid, with its bead at the foot. */
export function addRun(
  surface: Surface,
  {
    xMm,
    topMm,
    longMm,
    wideMm,
    beadUm,
  }: Record<'xMm' | 'topMm' | 'longMm' | 'wideMm' | 'beadUm', number>,
): void {
  const foot = { xMm, yMm: topMm + longMm, reachMm: wideMm * 2.2 };
  const bead = around(wideMm * 0.85);
  addAround(surface, 'heightUm', foot, (dx, dy) => beadUm * Math.exp(-(bead(dx, dy) ** 2)));
  const middle = { xMm, yMm: topMm + longMm / 2, reachMm: longMm };
  addAround(surface, 'heightUm', middle, (dx, dy) =>
    Math.abs(dy) > longMm / 2
      ? 0
      : 0.45 * beadUm * Math.exp(-((dx / (wideMm * 0.6)) ** 2)) * (0.3 + 0.7 * (dy / longMm + 0.5)),
  );
}

/** Bare saucers with a smooth rim, and what is in the middle of them. */
export function addFisheyes(surface: Surface, severity: number, seed: number): void {
  const mark: Marked = (at, drawn) => {
    const radiusMm = 2 + (1 + 2 * severity) * drawn();
    const place = { ...at, reachMm: radiusMm * 2.4 };
    addAround(surface, 'heightUm', place, pit(10 + 26 * severity, 4 + 9 * severity, radiusMm));
    const r = around(radiusMm);
    const depth = 0.15 + 0.4 * severity;
    addAround(surface, 'tone', place, (dx, dy) => depth * Math.exp(-(r(dx, dy) ** 6)));
  };
  scatter(surface, 3 + 14 * severity, seed, mark, 2);
}

/** Nibs that stand up out of the film. */
export function addNibs(surface: Surface, severity: number, seed: number): void {
  scatter(surface, 6 + 40 * severity, seed, (at, drawn) => {
    const radiusMm = seenMm(surface, 0.5 + 0.6 * drawn());
    const r = around(radiusMm);
    const place = { ...at, reachMm: radiusMm * 3 };
    addAround(surface, 'heightUm', place, (dx, dy) => 40 * Math.exp(-(r(dx, dy) ** 2)));
    addAround(surface, 'tone', place, (dx, dy) => 0.7 * Math.exp(-(r(dx, dy) ** 4)));
  });
}

/** Rings where drops dried: a low rim, dull and a little pale inside. */
export function addDropMarks(surface: Surface, severity: number, seed: number): void {
  const mark: Marked = (at, drawn) => {
    const radiusMm = 4 + 5 * drawn();
    const r = around(radiusMm);
    const place = { ...at, reachMm: radiusMm * 1.8 };
    const rim = (dx: number, dy: number) => Math.exp(-(((r(dx, dy) - 1) / 0.16) ** 2));
    addAround(surface, 'heightUm', place, (dx, dy) => (4 + 12 * severity) * rim(dx, dy));
    addAround(
      surface,
      'tone',
      place,
      (dx, dy) => (0.1 + 0.3 * severity) * (rim(dx, dy) + 0.4 * Math.exp(-(r(dx, dy) ** 8))),
    );
    const dull = (dx: number, dy: number) => -0.35 * severity * Math.exp(-(r(dx, dy) ** 8));
    addAround(surface, 'wetness', place, dull);
  };
  scatter(surface, 10 + 20 * severity, seed, mark, 4);
  surface.wetness.forEach((w, at) => (surface.wetness[at] = Math.max(0.2, w)));
}
