/** What a pressure may never be, and what it had better not be: the limit set for the place, the gun's own, the usual band. */
import type { Band } from '../outcome/spread.ts';
import { caution, stop, type Verdict } from '../outcome/told.ts';
import type { Gun } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import { HVLP_CAP_KPA, inletAtCap, isCapBound } from './inletPressure.ts';

/** Within this of an end it is at the end: nobody sets finer. */
const HAIR_KPA = 0.5;

export type SetPressure = { inletKPa: number; capKPa: number; fanTurnsOut: number };
type Limits = { capLimitKPa?: number | undefined; bandKPa?: Band | undefined };

export function limitVerdicts(
  gun: Gun,
  model: GunModel,
  { inletKPa, capKPa, fanTurnsOut }: SetPressure,
  { capLimitKPa, bandKPa }: Limits,
): Verdict[] {
  const verdicts: Verdict[] = [];
  if (capLimitKPa !== undefined && capKPa > capLimitKPa + 1e-6)
    verdicts.push(
      stop('cap-over-legal-limit', {
        capKPa,
        limitKPa: capLimitKPa,
        inletKPa: Math.floor(inletAtCap(model, capLimitKPa, fanTurnsOut)),
      }),
    );
  if (capLimitKPa === undefined && isCapBound(gun.class) && capKPa > HVLP_CAP_KPA)
    verdicts.push(caution('cap-over-hvlp', { capKPa }));
  if (gun.maxInletKPa !== undefined && inletKPa > gun.maxInletKPa)
    verdicts.push(stop('inlet-over-gun', { inletKPa, maxKPa: gun.maxInletKPa }));
  if (bandKPa && (inletKPa < bandKPa[0] - HAIR_KPA || inletKPa > bandKPa[1] + HAIR_KPA))
    verdicts.push(caution('inlet-outside-band', { inletKPa, lowKPa: bandKPa[0], highKPa: bandKPa[1] }));
  return verdicts;
}
