/**
 * Tips that suit a coat: the sheet's, else what able painters fit. Small guns have a
 * scale of their own.
 */
import type { Band } from '../outcome/spread.ts';
import { because } from '../outcome/verdicts.ts';
import { GUNS, type GunClass } from '../trade/gunClasses.ts';
import { practiceRowOf } from '../trade/practice.ts';
import type { Carrier, Stage } from '../trade/vocabulary.ts';
import type { InForce } from './inForce.ts';

export type CoatOfGun = { gunClass: GunClass; stage: Stage; carrier: Carrier; isBuild: boolean };

/** The row of the practice table for this gun and coat. */
export const practiceOf = ({ gunClass, stage, carrier, isBuild }: CoatOfGun) =>
  GUNS[gunClass].practice[practiceRowOf(stage, carrier, isBuild)];

/** Tips that suit the coat, mm: the sheet's, else practice's. */
export function nozzleBandOf(coat: CoatOfGun, sheetMm?: Band): InForce<Band> {
  if (sheetMm)
    return {
      value: sheetMm,
      source: 'sheet',
      reason: because('nozzle-from-sheet', 'dataSheet', ends(sheetMm)),
    };
  const value = practiceOf(coat).nozzleMm;
  return {
    value,
    source: 'practice',
    reason: because('nozzle-from-practice', 'rule', ends(value)),
  };
}

const ends = ([lowMm, highMm]: Band) => ({ lowMm, highMm });
