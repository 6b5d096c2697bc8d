/**
 * The wet film an able painter would lay at given settings, and how sure that is: what a catch or a
 * comb reading narrows.
 */
import { testedModelOf } from '../gun/testedModel.ts';
import { paintOf } from '../mix/paint.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import { completed } from '../gun/completed.ts';
import type { Gun, Settings } from '../gun/gun.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { sprayedBy } from './sprayedCoat.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { filmLogSd, heldLogSd } from './uncertainty.ts';
import { USUAL_ROOM_AIR } from '../gun/paintInCup.ts';

/** µm wet; undefined where nothing flows. */
export function filmExpected(
  gun: Gun,
  materialClass: MaterialClass,
  given: Settings,
): Spread | undefined {
  const { stage, carrier } = MATERIALS[materialClass];
  const { settings } = completed({ stage, carrier, class: materialClass, settings: given }, gun);
  const paint = paintOf({ class: materialClass }, USUAL_ROOM_AIR.airTemperatureC);
  const rig = { gun, paint, roomAir: USUAL_ROOM_AIR };
  const model = testedModelOf(rig, settings.nozzleMm);
  const { filmM } = sprayedBy(rig, model, settings);
  return filmM > 0
    ? logNormalSpread(filmM * 1e6, heldLogSd(filmLogSd(gun, model, settings), 'able'))
    : undefined;
}
