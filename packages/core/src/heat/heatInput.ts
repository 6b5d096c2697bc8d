/** What heat on a coat is asked with, and answers: an oven, a lamp, a warm booth between coats. */
import type { Climate } from '../air/climate.ts';
import type { Layer } from '../inForce/timesOf.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { NextStep, Substrate } from '../trade/vocabulary.ts';
import type { Build } from './panelHeat.ts';

export const HEAT_METHODS = ['booth', 'lamp', 'warmBooth'] as const;
export type HeatedPanel = {
  name: string;
  substrate: Substrate;
  build?: Build | undefined;
  limitC?: number | undefined;
  seenC?: number | undefined;
  /** Minutes after the heat came on. */
  seenMinute?: number | undefined;
};
export type HeatInput = {
  method: (typeof HEAT_METHODS)[number];
  layer: Layer;
  climate: Climate;
  minutesSince: number;
  wetFilmUm?: number | undefined;
  reducer?: { stepsSlower: number } | undefined;
  extractionCleared?: boolean | undefined;
  panels: HeatedPanel[];
  maxBakeC?: number | undefined;
  vehicleLimitC?: number | undefined;
  rampCPerMin?: number | undefined;
  airSpeedMPerS?: number | undefined;
  lamp?: { distanceMm: number } | undefined;
  /** Of a warm booth between coats: the air wanted, what follows, and the panel it bears. */
  warm?: { warmC?: number; next?: NextStep; maxPanelC?: number } | undefined;
};
export type HeatAnswer = Explained & {
  waitMinutes: Spread;
  toC?: number;
  airC?: number;
  holdMinutes?: number;
  /** Minutes from the heat on. */
  holdFromMinute?: Spread;
  endMinute?: Spread;
  openMinute?: Spread;
  panels?: { name: string; limitC: number; hasItMinute: Spread; peakC: number }[];
  slowest?: string;
  lampMm?: number;
};
