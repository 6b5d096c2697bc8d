/**
 * How long a film stays open: an edge to be joined, and overspray to melt in.
 *
 *   open = 240 s/E · √(h/h_ref);   waterborne 240 s/E_wb^1.5 · √(h/h_ref)                  [open-1]
 *
 * Source  ours (MODEL 3.2). The power 1.5: a surface that the film below feeds starves
 *         in a time as flux^−2
 */
import { logNormalSpread, type Spread } from '../outcome/spread.ts';

/** Prior log-deviation of the evaporation rate on an unknown shop (MODEL 15). */
export const EVAPORATION_LOG_SD = 0.3;
const WET_EDGE_SECONDS = 240;
const WATER_POWER = 1.5;
const LEAST = 0.02;

/**
 * @param evaporation E, or E_wb of a waterborne. @param filmShare film over the class's own.
 * [open-1]
 */
export const openSeconds = (at: {
  evaporation: number;
  isWaterborne: boolean;
  filmShare?: number;
}): number =>
  (WET_EDGE_SECONDS / Math.max(at.evaporation, LEAST) ** (at.isWaterborne ? WATER_POWER : 1)) *
  Math.sqrt(at.filmShare ?? 1);

/** How far it may be off, on its logarithm. */
export const openLogSd = (isWaterborne: boolean): number =>
  EVAPORATION_LOG_SD * (isWaterborne ? WATER_POWER : 1);

/** Wet-edge time, minutes, of a usual film that evaporates at this rate. */
export const openTimeMinutes = (evaporation: number, isWaterborne = false): Spread =>
  logNormalSpread(openSeconds({ evaporation, isWaterborne }) / 60, openLogSd(isWaterborne));
