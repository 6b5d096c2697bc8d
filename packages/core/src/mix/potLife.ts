/**
 * Pot life runs from mixing and shortens with heat:  t(T) = t_sheet / Q10^((T − T_sheet)/10)      [pot-1]
 *
 * Source  Arrhenius 1889 in its Q10 form; 2.1 is the card's value for two-pack films (MODEL 5)
 */
import { logNormalSpread, type Spread } from '../outcome/spread.ts';

export type PotLife = { minutes: number; atC: number };
export const CURE_Q10 = 2.1;
const POT_LIFE_LOG_SD = 0.25;

export const potLifeMinutes = ({ minutes, atC }: PotLife, temperatureC: number): Spread =>
  logNormalSpread(minutes / CURE_Q10 ** ((temperatureC - atC) / 10), POT_LIFE_LOG_SD);
