/**
 * Waterborne takes its own adjuster, in per cent of the paint, by temperature and humidity.
 */
import { along } from '../numerics/interpolation.ts';

export type AdjusterPoint = {
  airTemperatureC: number;
  relativeHumidityPercent: number;
  percentOfPaint: number;
  name?: string;
};
export type AdjusterDose = { percentOfPaint: number; name?: string; beyondGrid: boolean };
type Air = { airTemperatureC: number; relativeHumidityPercent: number };

/**
 * The sheet's grid at this air: straight lines between its points, its edge beyond them. A grid
 * need not be complete: each temperature's own humidities are used first, then the neighbouring
 * temperatures.
 */
export function adjusterDose(grid: readonly AdjusterPoint[], air: Air): AdjusterDose {
  const rows = [...new Set(grid.map((point) => point.airTemperatureC))].map((temperatureC) => ({
    temperatureC,
    percent: along(
      grid
        .filter((p) => p.airTemperatureC === temperatureC)
        .map((p) => [p.relativeHumidityPercent, p.percentOfPaint]),
      air.relativeHumidityPercent,
    ),
  }));
  const name = nearest(grid, air).name;
  return {
    percentOfPaint: along(
      rows.map((row) => [row.temperatureC, row.percent]),
      air.airTemperatureC,
    ),
    ...(name ? { name } : {}),
    beyondGrid:
      isOutside(grid, (p) => p.airTemperatureC, air.airTemperatureC) ||
      isOutside(grid, (p) => p.relativeHumidityPercent, air.relativeHumidityPercent),
  };
}

/** A point of the grid is on it, whatever a reading's last digits say. */
const HAIR = 1e-6;

/** A grid with a single humidity (or temperature) says nothing against others. */
function isOutside(
  grid: readonly AdjusterPoint[],
  of: (p: AdjusterPoint) => number,
  at: number,
): boolean {
  const values = grid.map(of);
  const low = Math.min(...values);
  const high = Math.max(...values);
  return low !== high && (at < low - HAIR || at > high + HAIR);
}

/**
 * Nearest point, with 1 °C weighing as much as 3 % humidity: which adjuster the sheet means here.
 */
const nearest = (grid: readonly AdjusterPoint[], air: Air): AdjusterPoint =>
  grid.reduce((best, point) => (distance(point, air) < distance(best, air) ? point : best));

const distance = (point: Air, air: Air): number =>
  Math.hypot(
    point.airTemperatureC - air.airTemperatureC,
    (point.relativeHumidityPercent - air.relativeHumidityPercent) / 3,
  );
