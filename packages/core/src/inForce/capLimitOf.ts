/**
 * What the cap may have: the limit that is set for the work; without one, what this kind of gun is
 * meant for, as a caution only.
 */
import { because } from '../outcome/verdicts.ts';
import { GUNS, type GunClass } from '../trade/gunClasses.ts';
import type { InForce } from './inForce.ts';

/** 10 psi. */
export const MEANT_AT_CAP_KPA = 69;

/**
 * Whose word it is tells whether it binds: the law does, what a gun is meant for is only said.
 * Undefined: no limit at all.
 */
export function capLimitOf(
  gunClass: GunClass,
  limitKPa: number | undefined,
): InForce<number> | undefined {
  if (limitKPa !== undefined)
    return {
      value: limitKPa,
      source: 'law',
      reason: because('cap-bounds-inlet', 'rule', { capKPa: limitKPa }),
    };
  return meantAtCapOf(gunClass);
}

/** What a kind of gun is meant for, whatever limit is set. */
export function meantAtCapOf(gunClass: GunClass): InForce<number> | undefined {
  if (!GUNS[gunClass].isBoundAtCap) return undefined;
  return {
    value: MEANT_AT_CAP_KPA,
    source: 'practice',
    reason: because('cap-as-meant', 'rule', { capKPa: MEANT_AT_CAP_KPA }),
  };
}

/** A place's limit, for the kinds of gun that such limits are made for. */
export const placeLimitFor = (
  gunClass: GunClass,
  placeKPa: number | undefined,
): number | undefined => (GUNS[gunClass].isBoundAtCap ? placeKPa : undefined);
