/** The air now: four readings, each with where it comes from and when it was taken. */
import { z } from 'zod';
import { optional, quantity } from '../quantity/fields.ts';
import type { Forecast } from '../shapes/climate.ts';

export type Reading = { value: number; at: string; by: 'probe' | 'hand' };
export type AirNow = {
  roomId: string;
  air: Reading;
  humidity: Reading;
  panel?: Reading;
  material?: Reading;
  outdoor?: Reading;
  /** Where the stand-in is in its day; absent with a real probe. */
  standIn?: { day: string; minute: number; shiftC: number; playing: boolean };
};
/** The air at one tap of a coat's own minutes. */
export type CoatAirPoint = {
  at: string;
  airC: number;
  rhPercent: number;
  panelC?: number;
  materialC?: number;
};
export type DayAhead = {
  roomId: string;
  name: string;
  sunriseMinute: number;
  forecast: z.infer<typeof Forecast>;
};

/**
 * Steers the stand-in: where in the day it stands, how quickly it plays, and how much warmer than
 * its script it is.
 */
export const ProbeSteer = z.strictObject({
  ...optional('minute'),
  minutesPerSecond: z.number().min(0).max(60).optional(),
  shiftC: z.number().min(-15).max(15).optional(),
});
export type ProbeSteer = z.infer<typeof ProbeSteer>;
export const AirTemperature = quantity('airTemperatureC');

/**
 * Steers the gauge's stand-in: another user on the same tank, and how many of its seconds pass in
 * one.
 */
export const GaugeSteer = z.strictObject({
  otherDrawLPerMin: z.number().min(0).max(3000).optional(),
  secondsPerSecond: z.number().min(0).max(120).optional(),
});
export type GaugeSteer = z.infer<typeof GaugeSteer>;
export type FlowingNow = {
  flowing: { nowKPa: number; lowestKPa: number; highestKPa: number; tankKPa?: number } | null;
};
