/**
 * Faults as a surface seen close, with how bad they are; heights and sizes as a lamp shows them on
 * real panels. The pictures that a painter tells faults apart by.
 *
 *   relief and tone by family, κ from 0 (hardly) to 1 (as bad as it gets):
 *     peel, a run's bead, pops, pinholes, fisheyes, dry spray, stripes, mottle, nibs, folds,
 *     cracks, flakes, scratches, a repair's edge, a finger's print, drops, shade           [look-1]
 *
 * Source  ours, judgement: sizes by which the trade tells them apart
 */
import { drawnFrom } from '../numerics/drawn.ts';
import {
  addContour,
  addCracks,
  addFingerprint,
  addFlakes,
  addFolds,
  addScratches,
} from './broken.ts';
import { addDropMarks, addFisheyes, addNibs, addPits, addRun, sizeMm } from './marks.ts';
import { addEdgeSpots, addRepairedSpot, addTwoPanels } from './shade.ts';
import { addWaves, flatSurface, type Surface } from './surface.ts';

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
  'wrinkle',
  'crack',
  'flake',
  'scratch',
  'contour',
  'print',
  'drops',
  'twoPanels',
  'repaired',
  'edges',
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
  fisheye: addFisheyes,
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
  dust: addNibs,
  blush: (surface, severity, seed) => {
    surface.wetness.fill(1.1 - 0.16 * severity);
    surface.tone.fill(0.05 + 0.5 * severity);
    addWaves(surface, 'tone', { count: 10, lengthsMm: [20, 70], high: 0.07 * severity, seed });
  },
  wrinkle: addFolds,
  crack: addCracks,
  flake: addFlakes,
  scratch: addScratches,
  contour: addContour,
  print: addFingerprint,
  drops: addDropMarks,
  twoPanels: addTwoPanels,
  repaired: addRepairedSpot,
  edges: addEdgeSpots,
};

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
