/**
 * Faults as a surface seen close, with how bad they are; heights and sizes as a lamp shows them on
 * real panels. The pictures that a painter tells faults apart by.
 *
 *   relief and tone by family, κ from 0 (hardly) to 1 (as bad as it gets):
 *     peel, a run's bead, pops, pinholes, fisheyes, dry spray, stripes, mottle, nibs      [look-1]
 *
 * Source  ours, judgement: sizes by which the trade tells them apart
 */
import { drawnFrom } from '../numerics/drawn.ts';
import { addAround, addWaves, flatSurface, type Surface } from './surface.ts';

export const CLOSE_UPS = [
  'sound',
  'peel',
  'run',
  'curtain',
  'pop',
  'pinhole',
  'fisheye',
  'drySpray',
  'stripe',
  'mottle',
  'dust',
  'blush',
] as const;
export type CloseUp = (typeof CLOSE_UPS)[number];

export type CloseUpInput = {
  closeUp: CloseUp;
  /** How bad it is, 0 to 1. */
  severity: number;
  columns: number;
  rows: number;
  cellMm: number;
  seed: number;
};

type Marking = (surface: Surface, severity: number, seed: number) => void;

const around = (radius: number) => (dx: number, dy: number) => Math.hypot(dx, dy) / radius;
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
const sizeMm = ({ columns, rows, cellMm }: Surface): [wide: number, high: number] => [
  columns * cellMm,
  rows * cellMm,
];

type Marked = (place: { xMm: number; yMm: number }, drawn: () => number) => void;
/** Marks here and there: so many in a close-up of 200 × 100 mm, in a smaller one by its share. */
function scatter(surface: Surface, count: number, seed: number, mark: Marked, least = 1): void {
  const drawn = drawnFrom(seed);
  const [wide, high] = sizeMm(surface);
  const here = Math.max(least, Math.round((count * wide * high) / 20_000));
  for (let i = 0; i < here; i++) mark({ xMm: drawn() * wide, yMm: drawn() * high }, drawn);
}
/** Under a cell a mark would not be drawn at all. */
const seenMm = ({ cellMm }: Surface, radiusMm: number): number => Math.max(radiusMm, cellMm * 0.9);

/** Holes here and there; dark in their depth. */
function addPits(
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
function addRun(
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

const MARKS: Record<CloseUp, Marking> = {
  sound: () => undefined,
  peel: (surface, severity, seed) =>
    addWaves(surface, 'heightUm', {
      count: 24,
      lengthsMm: [2, 6],
      high: 1 + 5 * severity,
      seed,
    }),
  run: (surface, severity, seed) => {
    const drawn = drawnFrom(seed);
    const [wide, high] = sizeMm(surface);
    for (const share of [0.27, 0.66])
      addRun(surface, {
        xMm: wide * (share + 0.12 * drawn()),
        topMm: high * 0.08 * drawn(),
        longMm: high * (0.3 + (0.2 + 0.25 * drawn()) * severity),
        wideMm: 3 + 1.5 * drawn(),
        beadUm: 25 + 60 * severity,
      });
  },
  curtain: (surface, severity, seed) => {
    const drawn = drawnFrom(seed);
    const [wide, high] = sizeMm(surface);
    const tongues = 9;
    for (let i = 0; i < tongues; i++)
      addRun(surface, {
        xMm: (wide * (i + 0.3 + 0.4 * drawn())) / tongues,
        topMm: high * 0.1,
        longMm: high * (0.3 + 0.14 * Math.sin(i * 1.3) + 0.12 * severity),
        wideMm: wide / tongues / 1.7,
        beadUm: 18 + 50 * severity,
      });
  },
  pop: (surface, severity, seed) =>
    addPits(
      surface,
      { count: 30 + 220 * severity, radiiMm: [0.3, 0.6], depthUm: 14, rimShare: 0.45 },
      seed,
    ),
  pinhole: (surface, severity, seed) =>
    addPits(
      surface,
      { count: 20 + 120 * severity, radiiMm: [0.2, 0.35], depthUm: 20, rimShare: 0 },
      seed,
    ),
  fisheye: (surface, severity, seed) => addFisheyes(surface, severity, seed),
  drySpray: (surface, severity, seed) => {
    surface.wetness.fill(1.1 * (1 - 0.85 * severity));
    addWaves(surface, 'heightUm', { count: 30, lengthsMm: [0.8, 1.8], high: 0.8 * severity, seed });
  },
  stripe: (surface, severity, seed) => {
    const lengthMm = 28 + 12 * drawnFrom(seed)();
    const { columns, rows, cellMm } = surface;
    for (let row = 0; row < rows; row++) {
      const wave = Math.sin((2 * Math.PI * row * cellMm) / lengthMm + seed);
      for (let column = 0; column < columns; column++) {
        surface.heightUm[row * columns + column]! += 6 * severity * wave;
        surface.tone[row * columns + column]! += (0.06 + 0.24 * severity) * wave;
      }
    }
  },
  mottle: (surface, severity, seed) =>
    addWaves(surface, 'tone', {
      count: 14,
      lengthsMm: [18, 60],
      high: 0.05 + 0.17 * severity,
      seed,
    }),
  dust: (surface, severity, seed) =>
    scatter(surface, 6 + 40 * severity, seed, (at, drawn) => {
      const radiusMm = seenMm(surface, 0.5 + 0.6 * drawn());
      const r = around(radiusMm);
      const place = { ...at, reachMm: radiusMm * 3 };
      addAround(surface, 'heightUm', place, (dx, dy) => 40 * Math.exp(-(r(dx, dy) ** 2)));
      addAround(surface, 'tone', place, (dx, dy) => 0.7 * Math.exp(-(r(dx, dy) ** 4)));
    }),
  blush: (surface, severity, seed) => {
    surface.wetness.fill(1.1 - 0.16 * severity);
    surface.tone.fill(0.05 + 0.5 * severity);
    addWaves(surface, 'tone', { count: 10, lengthsMm: [20, 70], high: 0.07 * severity, seed });
  },
};

/** Bare saucers with a smooth rim, and what is in the middle of them. */
function addFisheyes(surface: Surface, severity: number, seed: number): void {
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

/**
 * The surface of a fault, as a lamp would find it. [look-1]
 * @throws RangeError where the severity is not from 0 to 1, or there are no cells
 */
export function closeUpOf({
  closeUp,
  severity,
  columns,
  rows,
  cellMm,
  seed,
}: CloseUpInput): Surface {
  if (!(severity >= 0 && severity <= 1))
    throw new RangeError(`How bad it is goes from 0 to 1; ${severity} was given.`);
  const surface = flatSurface(columns, rows, cellMm);
  MARKS[closeUp](surface, severity, seed);
  return surface;
}
