/**
 * Two-pack chemistry by temperature and hardener:  rate(T)/rate(T_0) = Q10^((T − T_0)/10) · speed
 * [cure-1]
 *
 * Source  arrhenius-1889 in its Q10 form; 2.1 and the speeds are the card's values for two-pack
 *         films (MODEL 4, 5)
 */
import type { Speed } from '../trade/vocabulary.ts';

export const CURE_Q10 = 2.1;

/** How much quicker it cures at a temperature than at another; under 1 is slower. [cure-1] */
export const cureFactor = (temperatureC: number, atC: number): number =>
  CURE_Q10 ** ((temperatureC - atC) / 10);

/** Of a hardener over a medium one. */
export const HARDENER_SPEED: Record<Speed, number> = {
  fast: 2,
  medium: 1,
  slow: 0.6,
  verySlow: 0.4,
};
