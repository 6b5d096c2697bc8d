/**
 * A panel in an oven that warms: one lump of heat, and air that rises steadily and then stays.
 *
 *   C dT/dt = h (T_air − T),  τ = C ÷ h
 *   rising:  T = T_a + r (t − τ (1 − e)) + (T_0 − T_a) e,  e = exp(−t/τ)
 *   then:    T = T_s − (T_s − T_1) exp(−(t − t_1)/τ)                                     [heat-1]
 *
 * Source  lumped capacity, incropera-2007 ch. 5; heat a square metre holds: rule of thumb
 */
import { bisect } from '../numerics/bisect.ts';
import type { Substrate } from '../trade/vocabulary.ts';

export const BUILDS = [
  'sheetMetal',
  'plastic',
  'composite',
  'filled',
  'heavyMetal',
  'casting',
] as const;
export type Build = (typeof BUILDS)[number];
const HOLDS_J_PER_M2_K: Record<Build, number> = {
  sheetMetal: 2900,
  plastic: 5100,
  composite: 7200,
  filled: 8000,
  heavyMetal: 12_000,
  casting: 25_000,
};
/** How heavy a panel is taken to be where nobody says. */
export const usualBuild = (substrate: Substrate): Build =>
  substrate === 'metal' ? 'sheetMetal' : substrate;

/** Minutes that a panel lags its air. */
export const lagMinutes = (build: Build, heatWPerM2K: number): number =>
  HOLDS_J_PER_M2_K[build] / heatWPerM2K / 60;

export type Oven = {
  roomC: number;
  airC: number;
  rampCPerMin: number;
  /** Of the panel as it comes in. */
  startC: number;
};

/** How warm a panel is, °C, so many minutes after the heat came on. [heat-1] */
export function panelAfter(minute: number, lag: number, oven: Oven): number {
  const { roomC, airC, rampCPerMin, startC } = oven;
  const risesFor = Math.max(0, airC - roomC) / rampCPerMin;
  const rising = (t: number): number => {
    const e = Math.exp(-t / lag);
    return roomC + rampCPerMin * (t - lag * (1 - e)) + (startC - roomC) * e;
  };
  if (minute <= risesFor) return rising(minute);
  return airC - (airC - rising(risesFor)) * Math.exp(-(minute - risesFor) / lag);
}

const LONGEST_MINUTES = 2000;
/** The minute at which it has a temperature; the longest where it never quite gets there. */
export const hasItAfter = (wantC: number, lag: number, oven: Oven): number =>
  panelAfter(0, lag, oven) >= wantC
    ? 0
    : bisect((minute) => panelAfter(minute, lag, oven) - wantC, 0, LONGEST_MINUTES, 60);

/** The lag that a reading tells. */
export const lagOfReading = (seenC: number, minute: number, oven: Oven): number =>
  bisect((lag) => seenC - panelAfter(minute, lag, oven), 0.05, 400, 60);

/** An oven's air rises so fast where nobody measured it. */
export const USUAL_RAMP_C_PER_MIN = 5;
/** Near enough to a temperature to count as having it. */
export const NEARLY_C = 2;
/** A panel that may be worked on again. */
const COOL_C = 30;

/** Minutes in the room's air until a panel is cool, or as warm as the room leaves it. */
export function coolsFor(
  peakC: number,
  lag: number,
  { roomC }: Pick<Oven, 'roomC'>,
  mostC: number = Infinity,
): number {
  const coolC = Math.min(mostC, Math.max(COOL_C, roomC + NEARLY_C));
  return peakC <= coolC || coolC <= roomC ? 0 : lag * Math.log((peakC - roomC) / (coolC - roomC));
}
