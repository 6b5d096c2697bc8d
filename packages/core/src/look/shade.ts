/** Where a colour is off: a panel beside its neighbour, a spot that was repaired, the edges. */
import { sizeMm } from './marks.ts';
import { addWaves, flatSurface, type Surface } from './surface.ts';

/** Adds to the tone what `of` gives at each place, mm from the upper left. */
function addTone(surface: Surface, of: (xMm: number, yMm: number, at: number) => number): void {
  const { columns, rows, cellMm } = surface;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column;
      surface.tone[at]! += of((column + 0.5) * cellMm, (row + 0.5) * cellMm, at);
    }
}

/** Two panels and the gap between them: the right one is another shade. */
export function addTwoPanels(surface: Surface, severity: number): void {
  const [wide] = sizeMm(surface);
  const gapMm = wide / 60;
  addTone(surface, (xMm) => {
    const off = xMm - wide / 2;
    if (Math.abs(off) < gapMm) return -0.95;
    return off > 0 ? -(0.06 + 0.36 * severity) : 0;
  });
}

/** A spot of another shade, melted in at its edge. */
export function addRepairedSpot(surface: Surface, severity: number): void {
  const [wide, high] = sizeMm(surface);
  addTone(surface, (xMm, yMm) => {
    const r = Math.hypot((xMm / wide - 0.5) / 0.32, (yMm / high - 0.5) / 0.36);
    return -(0.06 + 0.36 * severity) * Math.exp(-(r ** 4));
  });
}

/** Darker along the edges, in spots: there the paint came twice. */
export function addEdgeSpots(surface: Surface, severity: number, seed: number): void {
  const [wide, high] = sizeMm(surface);
  const field = flatSurface(surface.columns, surface.rows, surface.cellMm);
  addWaves(field, 'tone', { count: 9, lengthsMm: [wide / 9, wide / 4], high: 0.4, seed });
  addTone(surface, (xMm, yMm, at) => {
    const edge = Math.min(xMm, wide - xMm, yMm, high - yMm) / (high * 0.16);
    return -(0.08 + 0.4 * severity) * Math.exp(-(edge ** 2)) * (1 + field.tone[at]!);
  });
}
