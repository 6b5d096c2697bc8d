/** What is asked about a reading, and why it is worth what it is. */
import type { Stage } from '../trade/vocabulary.ts';
import { because, type Ask, type Reason } from '../outcome/verdicts.ts';
import { classOf } from '../inForce/classOf.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { HVLP_KIND_ASK, isKindUnknown } from './hvlpKind.ts';
import { bandOfWork, capAtInlet } from './inletPressure.ts';
import type { PressureAtGun } from './reading.ts';

/** Three psi more from rest to trigger than this line should show. */
const DROP_TOO_MUCH_KPA = 21;
/**
 * Without a line to hold it against: up to 5 psi is healthy, from 10 psi the gun starves, wherever
 * it was read.
 */
const HEALTHY_DROP_KPA = 35;

/** Does the figure look like another of the five? Asked, never assumed. */
export function asksOf(placed: PressureAtGun, readKPa: number): Ask[] {
  const { at, model, fanTurnsOut, stage = 'clear' } = placed;
  const [low, high] = bandOf({ ...placed, stage });
  const options = ['wall', 'inlet', 'cap'];
  if (at === 'inlet' && readKPa < low * 0.65 && readKPa <= capAtInlet(model, high, fanTurnsOut))
    return [{ field: 'at', code: 'is-it-the-cap', options }];
  if (at === 'inlet' && isKindUnknown(placed.gun, model.nozzleMm)) return [HVLP_KIND_ASK];
  if (at === 'inlet' && readKPa > high * 1.6)
    return [{ field: 'at', code: 'is-it-the-wall', options }];
  return [];
}

/** Where practice sets this gun for this stage, gauge kPa at the inlet. */
export const bandOf = ({ carrier = 'solvent', ...placed }: PressureAtGun & { stage: Stage }) =>
  bandOfWork({
    ...placed,
    carrier,
    isBuild: MATERIALS[classOf({ ...placed, carrier }).value].isBuild,
  }).value;

/** What the reading's place makes it worth. */
export function reasonsOf({ at, gun, airline }: PressureAtGun): Reason[] {
  if (at === 'inlet') return [because('read-at-the-gun', 'record')];
  if (at === 'cap')
    return [
      gun.capKPaAtRated === undefined
        ? because('cap-by-class', 'model')
        : because('cap-by-rating', 'model'),
    ];
  return [
    airline?.measuredLossPercent === undefined
      ? because('wall-by-line', 'model')
      : because('wall-by-measured-loss', 'record', {
          measuredLossPercent: airline.measuredLossPercent,
        }),
  ];
}

/**
 * Rest to trigger, against what this line's own regulator should show; without it, by what is
 * healthy anywhere.
 */
export function dropReasons(
  predictedKPa: number | undefined,
  dropKPa: number | undefined,
): Reason[] {
  if (dropKPa === undefined) return [];
  if (predictedKPa === undefined)
    return dropKPa <= HEALTHY_DROP_KPA ? [because('drop-healthy', 'rule', { dropKPa })] : [];
  const params = { dropKPa, predictedKPa };
  const isTooMuch = dropKPa - predictedKPa > DROP_TOO_MUCH_KPA;
  return [
    isTooMuch
      ? because('drop-too-much', 'model', params)
      : because('drop-as-it-should', 'model', params),
  ];
}
