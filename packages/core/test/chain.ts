/** The card's chain, and a coat of it with something else about it. */
import type { CoatAnswer } from '../src/coat/coatAnswer.ts';
import type { CoatInput } from '../src/coat/coatInput.ts';
import { coatOf } from '../src/coat/coat.ts';

export const CHAIN: CoatInput = {
  climate: {
    airTemperatureC: 21,
    relativeHumidityPercent: 50,
    panelTemperatureC: 21,
    materialTemperatureC: 21,
    airSpeedMPerS: 0.3,
  },
  material: { class: 'clearMediumSolids' },
  gun: { class: 'hvlp', nozzlesMm: [1.3] },
  settings: {
    nozzleMm: 1.3,
    inletKPa: 137.895,
    fluidTurnsOut: 3,
    fanTurnsOut: 0.85 * 2.5,
    distanceMm: 152.4,
    overlapPercent: 75,
    gunSpeedMPerS: 0.46,
  },
  panel: { slopeDeg: 90 },
  coats: [{ flashMinutes: 12 }, { flashMinutes: 10 }],
  bake: { afterMinutes: 10, toC: 60, rampCPerMin: 4, holdMinutes: 30 },
  spread: false,
};
export const coat = (more: Partial<CoatInput> = {}): CoatAnswer => coatOf({ ...CHAIN, ...more });
export const settings = (more: CoatInput['settings']): CoatAnswer =>
  coat({ settings: { ...CHAIN.settings, ...more } });
export const air = (more: Partial<CoatInput['climate']>, rest: Partial<CoatInput> = {}) =>
  coat({ climate: { ...CHAIN.climate, ...more }, ...rest });
