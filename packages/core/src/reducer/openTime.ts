/** How long an edge stays open to be joined (MODEL 3.2). */
import { logNormalSpread, type Spread } from '../outcome/spread.ts';

/** Prior log-deviation of the evaporation rate on an unknown shop (MODEL 15). */
const EVAPORATION_LOG_SD = 0.3;
const WET_EDGE_SECONDS = 240;

/** Wet-edge time, minutes, of a film that evaporates at this rate. */
export const openTimeMinutes = (evaporation: number): Spread =>
  logNormalSpread(WET_EDGE_SECONDS / 60 / Math.max(evaporation, 0.02), EVAPORATION_LOG_SD);
