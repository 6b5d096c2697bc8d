/**
 * Where the pressure at the gun may lie, trigger pulled, before any limit: the sheet's word at the
 * inlet or at the cap, else the gun maker's leaflet, else the practice band (decision 13; MODEL
 * 17.1). The gauge's green band is this one and no other.
 */
import type { Band } from '../outcome/spread.ts';
import { because } from '../outcome/verdicts.ts';
import type { InForce } from './inForce.ts';
import { practiceOf, type CoatOfGun } from './nozzleBandOf.ts';

export type InletAsked = CoatOfGun & {
  sheet?: { inletKPa?: Band | undefined; capKPa?: Band | undefined } | undefined;
  leafletKPa?: Band | undefined;
  /** The inlet at which this gun's cap has a pressure, its fan as it is set. */
  inletAtCap: (capKPa: number) => number;
  /** Practice set its bands on the kind of gun: what such an inlet is on this one. */
  asOnThisGun: (inletKPa: number) => number;
};

/** The band of pressures in force at the gun, gauge kPa, and whose word it is. */
export function inletBandOf(asked: InletAsked): InForce<Band> {
  const { sheet, leafletKPa } = asked;
  if (sheet?.inletKPa)
    return {
      value: sheet.inletKPa,
      source: 'sheet',
      reason: because('inlet-from-sheet', 'dataSheet', ends(sheet.inletKPa)),
    };
  if (sheet?.capKPa) {
    const [capLowKPa, capHighKPa] = sheet.capKPa;
    const value: Band = [asked.inletAtCap(capLowKPa), asked.inletAtCap(capHighKPa)];
    const reason = because('inlet-from-sheet-cap', 'dataSheet', {
      ...ends(value),
      capLowKPa,
      capHighKPa,
    });
    return { value, source: 'sheet', reason };
  }
  if (leafletKPa)
    return {
      value: leafletKPa,
      source: 'leaflet',
      reason: because('inlet-from-leaflet', 'rule', ends(leafletKPa)),
    };
  const [lowKPa, highKPa] = practiceOf(asked).inletKPa;
  const value: Band = [asked.asOnThisGun(lowKPa), asked.asOnThisGun(highKPa)];
  return { value, source: 'practice', reason: because('inlet-from-practice', 'rule', ends(value)) };
}

const ends = ([lowKPa, highKPa]: Band) => ({ lowKPa, highKPa });
