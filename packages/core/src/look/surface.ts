/** A surface as a grid: its ups and downs, how deep its colour is, how wet it lies. */
import { drawnFrom } from '../numerics/drawn.ts';

export type Surface = {
  columns: number;
  rows: number;
  /** Side of a cell, mm. */
  cellMm: number;
  /** Height of the film's top over its mean, µm. */
  heightUm: Float32Array;
  /** Depth of the colour: 0 as it is, negative darker, positive lighter, −1 to 1. */
  tone: Float32Array;
  /** Film over the film that lies wet: 1 is gloss, under 0.7 is dust. */
  wetness: Float32Array;
};

/**
 * A flat, wet surface of so many cells, to be marked.
 * @throws RangeError where there are no cells, or they have no size
 */
export function flatSurface(columns: number, rows: number, cellMm: number): Surface {
  if (!(columns >= 1 && rows >= 1 && cellMm > 0))
    throw new RangeError(
      `A surface of ${columns} × ${rows} cells of ${cellMm} mm cannot be drawn.`,
    );
  const cells = columns * rows;
  return {
    columns,
    rows,
    cellMm,
    heightUm: new Float32Array(cells),
    tone: new Float32Array(cells),
    wetness: new Float32Array(cells).fill(1.1),
  };
}

/** Adds what `of` gives at each place, mm from the upper left, within a box round a centre. */
export function addAround(
  surface: Surface,
  field: 'heightUm' | 'tone' | 'wetness',
  { xMm, yMm, reachMm }: { xMm: number; yMm: number; reachMm: number },
  of: (dxMm: number, dyMm: number) => number,
): void {
  const { columns, rows, cellMm } = surface;
  const values = surface[field];
  const cell = (mm: number, most: number) => Math.min(most, Math.max(0, Math.round(mm / cellMm)));
  const [left, right] = [cell(xMm - reachMm, columns), cell(xMm + reachMm, columns)];
  const [top, bottom] = [cell(yMm - reachMm, rows), cell(yMm + reachMm, rows)];
  for (let row = top; row < bottom; row++)
    for (let column = left; column < right; column++)
      values[row * columns + column]! += of(
        (column + 0.5) * cellMm - xMm,
        (row + 0.5) * cellMm - yMm,
      );
}

type Waves = { count: number; lengthsMm: readonly [number, number]; high: number; seed: number };

/** Adds waves of every direction, of these lengths; `high` is the root of their mean square. */
export function addWaves(
  surface: Surface,
  field: 'heightUm' | 'tone',
  { count, lengthsMm: [least, most], high, seed }: Waves,
): void {
  const drawn = drawnFrom(seed);
  const { columns, rows, cellMm } = surface;
  const each = high * Math.sqrt(2 / count);
  const values = surface[field];
  for (let wave = 0; wave < count; wave++) {
    const number = (2 * Math.PI) / (least + drawn() * (most - least));
    const turn = drawn() * Math.PI;
    const [kx, ky] = [number * Math.cos(turn) * cellMm, number * Math.sin(turn) * cellMm];
    const phase = drawn() * 2 * Math.PI;
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++)
        values[row * columns + column]! += each * Math.sin(kx * column + ky * row + phase);
  }
}
