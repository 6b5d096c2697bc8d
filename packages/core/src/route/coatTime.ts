/**
 * About how long one coat takes: every face and rim by the hand that sprays it, and the steps from
 * panel to panel. What `route` puts in order, without its order.
 *
 * Source  route/places.ts [route-1]; steps between panels: ours, rule of thumb
 */
import { faceOf, type Hand } from './places.ts';

/** From where one panel ends to where the next begins. */
const STEP_OVER_SECONDS = 4;

/**
 * Seconds of one coat over these panels, refills aside.
 * @param panels m² that this coat covers, and how high each stands
 */
export const coatSeconds = (
  panels: readonly { areaM2: number; heightM: number }[],
  hand: Pick<Hand, 'gunSpeedMPerS' | 'stepMm'>,
): number =>
  panels.reduce((sum, { areaM2, heightM }) => {
    const { faceSeconds, rimSeconds } = faceOf({ areaM2, heightM, isHalf: false }, hand);
    return sum + faceSeconds + rimSeconds + STEP_OVER_SECONDS;
  }, 0);
