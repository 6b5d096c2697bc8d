import type { AirMovement } from '../trade/vocabulary.ts';

/**
 * Air over the panel. Words stand for speeds; a measured speed beats the word (MODEL 2).
 */

export const AIR_SPEED_M_PER_S: Record<AirMovement, number> = {
  still: 0.05,
  downdraft: 0.3,
  crossdraft: 0.4,
  fan: 1.0,
};

/** The air that sheets are written for: a downdraft booth. */
export const SHEET_AIR_SPEED_M_PER_S = 0.3;

/** Under this, waterborne paint waits for moving air more than for heat. */
export const STILL_FOR_WATERBORNE_M_PER_S = 0.2;

/**
 * Air over the panel, m/s: the speed that was measured, else the one its word stands for, else a
 * sheet's 0.3.
 */
export const airSpeedMPerSOf = (air: {
  airMovement?: AirMovement;
  airSpeedMPerS?: number;
}): number =>
  air.airSpeedMPerS ??
  (air.airMovement ? AIR_SPEED_M_PER_S[air.airMovement] : SHEET_AIR_SPEED_M_PER_S);
