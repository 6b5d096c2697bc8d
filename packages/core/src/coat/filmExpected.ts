/** The wet film this gun would lay at given settings, and how sure that is: what a catch or a comb reading narrows. */
import { completed } from '../gun/completed.ts';
import type { Gun, Settings } from '../gun/gun.ts';
import type { MaterialClass } from '../material/classes.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { benchModel, sprayedBy } from './bench.ts';
import { paintOf, stageOfClass } from './material.ts';
import { filmLogSd } from './sureness.ts';

const USUAL_C = 20;

/** µm wet; undefined where nothing flows. */
export function filmExpected(gun: Gun, materialClass: MaterialClass, given: Settings): Spread | undefined {
  const { settings } = completed({ ...stageOfClass(materialClass), settings: given }, gun);
  const paint = paintOf({ class: materialClass }, USUAL_C);
  const bench = { gun, paint, room: { airTemperatureC: USUAL_C, relativeHumidityPercent: 50 } };
  const model = benchModel(bench, settings.nozzleMm);
  const { filmM } = sprayedBy(bench, model, settings);
  return filmM > 0 ? logNormalSpread(filmM * 1e6, filmLogSd(gun, model, settings)) : undefined;
}
