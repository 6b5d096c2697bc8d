/** The air and the panel where the paint is: a heated booth's own air, never the weather's. */
import type { AirMovement } from '../trade/vocabulary.ts';
import { dewPointC } from './humidAir.ts';

export type Climate = {
  airTemperatureC: number;
  relativeHumidityPercent: number;
  panelTemperatureC?: number;
  materialTemperatureC?: number;
  airMovement?: AirMovement;
  airSpeedMPerS?: number;
};

/** Panel temperature over the dew point, °C apart; unknown without a panel reading. */
export const panelMarginCOf = (climate: Climate): number | undefined =>
  climate.panelTemperatureC === undefined
    ? undefined
    : climate.panelTemperatureC - dewPointC(climate);
