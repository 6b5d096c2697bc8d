/**
 * Films that folded, broke, came off or show what lies below: lines, cells and edges.
 *
 * Source  cells by their two nearest points: worley-1996; sizes ours, judgement
 */
import { drawnFrom } from '../numerics/drawn.ts';
import { sizeMm } from './marks.ts';
import { addWaves, flatSurface, type Surface } from './surface.ts';

type Place = { xMm: number; yMm: number };

/** Calls for every cell with its index and its middle. */
function eachCell(surface: Surface, mark: (at: number, place: Place) => void): void {
  const { columns, rows, cellMm } = surface;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      mark(row * columns + column, {
        xMm: (column + 0.5) * cellMm,
        yMm: (row + 0.5) * cellMm,
      });
}

/** Narrow folds that wander: ridges where a field of waves crosses nought. */
export function addFolds(surface: Surface, severity: number, seed: number): void {
  const field = flatSurface(surface.columns, surface.rows, surface.cellMm);
  addWaves(field, 'heightUm', { count: 9, lengthsMm: [7, 13], high: 1, seed });
  surface.heightUm.forEach((_, at) => {
    const off = field.heightUm[at]!;
    const fold = Math.exp(-((off / 0.45) ** 2));
    surface.heightUm[at]! += (4 + 22 * severity) * fold;
    surface.tone[at]! -= (0.05 + 0.25 * severity) * Math.exp(-(((Math.abs(off) - 0.9) / 0.4) ** 2));
  });
}

/** Cells about points strewn on a grid: how far to the edge, mm, and a number of the cell's own. */
function cellsOf(surface: Surface, apartMm: number, seed: number) {
  const [wide, high] = sizeMm(surface);
  const [across, down] = [Math.ceil(wide / apartMm) + 2, Math.ceil(high / apartMm) + 2];
  const drawn = drawnFrom(seed);
  const points = Array.from({ length: across * down }, (_, i) => ({
    xMm: ((i % across) - 1 + drawn()) * apartMm,
    yMm: (Math.floor(i / across) - 1 + drawn()) * apartMm,
    own: drawn(),
  }));
  return ({ xMm, yMm }: Place): { edgeMm: number; own: number } => {
    const [column, row] = [Math.floor(xMm / apartMm) + 1, Math.floor(yMm / apartMm) + 1];
    let [nearest, second, own] = [Infinity, Infinity, 0];
    for (let y = Math.max(0, row - 1); y <= Math.min(down - 1, row + 1); y++)
      for (let x = Math.max(0, column - 1); x <= Math.min(across - 1, column + 1); x++) {
        const point = points[y * across + x]!;
        const far = Math.hypot(point.xMm - xMm, point.yMm - yMm);
        if (far < nearest) [nearest, second, own] = [far, nearest, point.own];
        else if (far < second) second = far;
      }
    return { edgeMm: second - nearest, own };
  };
}

/** Cracks: narrow, dark, branching, closer together as it gets worse. */
export function addCracks(surface: Surface, severity: number, seed: number): void {
  const cellAt = cellsOf(surface, 26 - 14 * severity, seed);
  const wideMm = Math.max(surface.cellMm * 0.9, 0.5 + 0.5 * severity);
  eachCell(surface, (at, place) => {
    const crack = Math.exp(-((cellAt(place).edgeMm / wideMm) ** 2));
    surface.heightUm[at]! -= (8 + 20 * severity) * crack;
    surface.tone[at]! -= (0.5 + 0.35 * severity) * crack;
  });
}

/** Plates that came off: the ground is seen, and the edge of what stays stands up. */
export function addFlakes(surface: Surface, severity: number, seed: number): void {
  const cellAt = cellsOf(surface, 17, seed);
  const gone = 0.1 + 0.4 * severity;
  eachCell(surface, (at, place) => {
    const { edgeMm, own } = cellAt(place);
    if (own < gone) {
      const inside = Math.min(1, edgeMm / 1.2);
      surface.heightUm[at]! -= 60 * inside;
      surface.tone[at]! += 0.5 * inside;
      surface.wetness[at] = 1.1 - 0.5 * inside;
    } else {
      const lip = Math.exp(-((edgeMm / 0.9) ** 2));
      surface.heightUm[at]! += 14 * lip;
      surface.tone[at]! -= 0.35 * lip;
    }
  });
}

/** Straight scratches of one sanding, all nearly one way, showing through. */
export function addScratches(surface: Surface, severity: number, seed: number): void {
  const drawn = drawnFrom(seed);
  const [wide, high] = sizeMm(surface);
  const { columns, rows, cellMm } = surface;
  const lines = Math.round((wide / 80) * (14 + 40 * severity));
  for (let line = 0; line < lines; line++) {
    const [start, lean, depth] = [drawn() * wide * 1.4, 0.5 + 0.12 * drawn(), 0.4 + 0.6 * drawn()];
    const [from, to] = [drawn() * 0.5 * high, high * (0.6 + 0.4 * drawn())];
    for (let row = 0; row < rows; row++) {
      const yMm = (row + 0.5) * cellMm;
      if (yMm < from || yMm > to) continue;
      const xMm = start - lean * yMm;
      const middle = Math.round(xMm / cellMm);
      for (let column = Math.max(0, middle - 2); column < Math.min(columns, middle + 3); column++) {
        const groove = Math.exp(-((((column + 0.5) * cellMm - xMm) / (0.7 * cellMm)) ** 2));
        const at = row * columns + column;
        surface.heightUm[at]! -= (1.5 + 5 * severity) * depth * groove;
        surface.tone[at]! -= 0.12 * severity * depth * groove;
      }
    }
  }
}

/** One closed line, the edge of what lies below, raised; within it the film sank a little. */
export function addContour(surface: Surface, severity: number, seed: number): void {
  const drawn = drawnFrom(seed);
  const [wide, high] = sizeMm(surface);
  const [turnA, turnB] = [drawn() * 6, drawn() * 6];
  const middle = { xMm: wide * (0.44 + 0.12 * drawn()), yMm: high * (0.44 + 0.12 * drawn()) };
  const widthMm = 1.2;
  eachCell(surface, (at, { xMm, yMm }) => {
    const [dx, dy] = [xMm - middle.xMm, yMm - middle.yMm];
    const turn = Math.atan2(dy, dx);
    const ringMm =
      high * 0.34 * (1 + 0.16 * Math.sin(2 * turn + turnA) + 0.07 * Math.sin(3 * turn + turnB));
    const offMm = Math.hypot(dx * 0.72, dy) - ringMm;
    surface.heightUm[at]! +=
      (3 + 14 * severity) * Math.exp(-((offMm / widthMm) ** 2)) - (offMm < 0 ? 2 * severity : 0);
    surface.tone[at]! += (0.04 + 0.12 * severity) * Math.exp(-((offMm / widthMm) ** 2));
  });
}

/** A finger's print in a film still soft: close lines in an oval that was pressed in. */
export function addFingerprint(surface: Surface, severity: number, seed: number): void {
  const drawn = drawnFrom(seed);
  const [wide, high] = sizeMm(surface);
  const middle = { xMm: wide * (0.4 + 0.2 * drawn()), yMm: high * (0.46 + 0.08 * drawn()) };
  const apartMm = high / 24;
  const [longMm, wideMm] = [high * 0.42, high * 0.31];
  eachCell(surface, (at, { xMm, yMm }) => {
    const [x, y] = [(xMm - middle.xMm) / wideMm, (yMm - middle.yMm) / longMm];
    const pressed = Math.exp(-(Math.hypot(x, y) ** 6));
    const loop = Math.hypot(x * wideMm, (yMm - middle.yMm - 0.2 * longMm) * 0.7);
    const line = Math.sin((2 * Math.PI * (loop + 0.6 * Math.sin(3 * x + 2 * y))) / apartMm);
    surface.heightUm[at]! += pressed * ((1.5 + 5 * severity) * line - 3 * severity);
    surface.tone[at]! += pressed * (0.02 + 0.1 * severity) * line;
    surface.wetness[at]! -= 0.25 * severity * pressed;
  });
}
