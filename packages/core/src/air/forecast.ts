/**
 * The air over a day: straight lines between its points, flat beyond its ends; and air that was
 * warmed or cooled.
 */
import type { Climate } from './climate.ts';
import { saturationPressurePa } from './humidAir.ts';
import { clamp } from '../numerics/rounding.ts';
import { between } from '../numerics/interpolation.ts';

export type DayAir = Climate & { outdoorTemperatureC?: number };
export type ForecastPoint = DayAir & { minute: number };

/** The air at a minute of the day. */
export function airAt(forecast: readonly ForecastPoint[], minute: number): DayAir {
  const after = forecast.findIndex((point) => point.minute >= minute);
  const next = forecast[after === -1 ? forecast.length - 1 : after]!;
  const before = forecast[after === -1 ? forecast.length - 1 : Math.max(0, after - 1)]!;
  const share =
    next.minute === before.minute
      ? 0
      : clamp((minute - before.minute) / (next.minute - before.minute), 0, 1);
  const reached = (a?: number, b?: number) =>
    a === undefined || b === undefined ? (b ?? a) : between(a, b, share);
  const reading = (
    key: 'panelTemperatureC' | 'materialTemperatureC' | 'outdoorTemperatureC' | 'airSpeedMPerS',
  ) => {
    const value = reached(before[key], next[key]);
    return value === undefined ? {} : { [key]: value };
  };
  return {
    airTemperatureC: reached(before.airTemperatureC, next.airTemperatureC)!,
    relativeHumidityPercent: reached(before.relativeHumidityPercent, next.relativeHumidityPercent)!,
    ...reading('panelTemperatureC'),
    ...reading('materialTemperatureC'),
    ...reading('outdoorTemperatureC'),
    ...reading('airSpeedMPerS'),
    ...(before.airMovement ? { airMovement: before.airMovement } : {}),
  };
}

/**
 * The same air made warmer (or cooler) without adding or taking water; panel and paint follow it,
 * the street does not.
 */
export function warmedAir<A extends DayAir>(air: A, deltaC: number): A {
  const warmC = air.airTemperatureC + deltaC;
  const humidity =
    (air.relativeHumidityPercent * saturationPressurePa(air.airTemperatureC)) /
    saturationPressurePa(warmC);
  return {
    ...air,
    airTemperatureC: warmC,
    relativeHumidityPercent: clamp(humidity, 1, 100),
    ...(air.panelTemperatureC === undefined
      ? {}
      : { panelTemperatureC: air.panelTemperatureC + deltaC }),
    ...(air.materialTemperatureC === undefined
      ? {}
      : { materialTemperatureC: air.materialTemperatureC + deltaC }),
  };
}
