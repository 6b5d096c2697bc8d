/**
 * Pot life runs from mixing and shortens with heat and a quicker hardener:  t = t_sheet / (Q10^((T − T_sheet)/10) · max(1, speed))   [pot-1]
 *
 * A slower hardener is not taken to lengthen what the sheet prints.
 * Source  inForce/cure.ts
 */
import { cureFactor, HARDENER_SPEED } from '../inForce/cure.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import type { Speed } from '../trade/vocabulary.ts';

export type PotLife = { minutes: number; atC: number };
const POT_LIFE_LOG_SD = 0.25;

export const potLifeMinutes = ({ minutes, atC }: PotLife, temperatureC: number, hardenerSpeed: Speed = 'medium'): Spread =>
  logNormalSpread(minutes / (cureFactor(temperatureC, atC) * Math.max(1, HARDENER_SPEED[hardenerSpeed])), POT_LIFE_LOG_SD);
