/**
 * Pot life runs from mixing and shortens with heat and a quicker hardener:  t = t_sheet / (Q10^((T
 * − T_sheet)/10) · max(1, f))   [pot-1]
 *
 * f: how many times quicker this hardener cures than the one the sheet has for this temperature. A
 * slower one is not taken to lengthen what the sheet prints.
 * Source  arrhenius-1889, as in inForce/cure.ts
 */
import { cureFactor } from '../inForce/cure.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';

export type PotLife = { minutes: number; atC: number };
/** Of its pot life a mix is sprayed in the first part: after that it thickens. */
export const USABLE_POT_LIFE_SHARE = 0.8;
const POT_LIFE_LOG_SD = 0.25;

/** Pot life at a temperature, minutes. [pot-1] */
export const potLifeMinutes = (
  { minutes, atC }: PotLife,
  temperatureC: number,
  hardenerSpeedFactor = 1,
): Spread =>
  logNormalSpread(
    minutes / (cureFactor(temperatureC, atC) * Math.max(1, hardenerSpeedFactor)),
    POT_LIFE_LOG_SD,
  );
