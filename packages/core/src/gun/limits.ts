/**
 * What a pressure may never be, and what it had better not be: the limit set for the place, the
 * gun's own, the band in force.
 */
import { capLimitOf } from '../inForce/capLimitOf.ts';
import type { Band } from '../outcome/spread.ts';
import { caution, stop, type Verdict } from '../outcome/verdicts.ts';
import { PSI_KPA } from '../units/physical.ts';
import type { Gun } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import { inletAtCap } from './inletPressure.ts';

/** Within this of an end it is at the end: no gauge on a gun is set finer than a psi. */
export const GAUGE_STEP_KPA = PSI_KPA;
/** A knob is turned by quarters. */
export const KNOB_STEP_TURNS = 0.25;
/** Less over a limit than rounding makes. */
const HAIR_KPA = 0.05;

export type SetPressure = { inletKPa: number; capKPa: number; fanTurnsOut: number };
type Limits = { capLimitKPa?: number | undefined; bandKPa?: Band | undefined };

/**
 * What stands against a pressure: the gun's own limit, the law at the cap, what the kind is meant
 * for, the band.
 */
export function limitVerdicts(
  gun: Gun,
  model: GunModel,
  { inletKPa, capKPa, fanTurnsOut }: SetPressure,
  { capLimitKPa, bandKPa }: Limits,
): Verdict[] {
  const verdicts: Verdict[] = [];
  const limit = capLimitOf(gun.class, capLimitKPa);
  if (limit && capKPa > limit.value + HAIR_KPA)
    verdicts.push(
      limit.source === 'law'
        ? stop('cap-over-legal-limit', {
            capKPa,
            limitKPa: limit.value,
            inletKPa: Math.floor(inletAtCap(model, limit.value, fanTurnsOut)),
          })
        : caution('cap-over-hvlp', { capKPa, meantKPa: limit.value }),
    );
  if (gun.maxInletKPa !== undefined && inletKPa > gun.maxInletKPa)
    verdicts.push(stop('inlet-over-gun', { inletKPa, maxKPa: gun.maxInletKPa }));
  if (
    bandKPa &&
    (inletKPa <= bandKPa[0] - GAUGE_STEP_KPA || inletKPa >= bandKPa[1] + GAUGE_STEP_KPA)
  )
    verdicts.push(
      caution('inlet-outside-band', {
        inletKPa,
        lowKPa: bandKPa[0],
        highKPa: bandKPa[1],
        side: inletKPa < bandKPa[0] ? 'low' : 'high',
      }),
    );
  return verdicts;
}
