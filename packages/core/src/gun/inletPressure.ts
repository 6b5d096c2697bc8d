/**
 * Which pressure at the gun, trigger pulled. A stop comes before a legal limit, that before the sheet, then the
 * gun maker, then the practice band (design ruling 1; MODEL 17.1).
 */
import type { Carrier } from '../air/climate.ts';
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, stop, type Reason, type Verdict } from '../outcome/told.ts';
import type { Gun, Stage } from './gun.ts';
import { inletBandKPa } from './practiceBands.ts';

export type InletInput = {
  gun: Gun;
  stage: Stage;
  carrier: Carrier;
  sheet?: { inletKPa?: Band };
  capLimitKPa?: number;
  limitFog?: boolean;
};
export type InletChoice = { inletKPa: number; bandKPa: Band; verdicts: Verdict[]; reasons: Reason[] };

/** 10 psi at the cap: what this kind of gun is meant to have. */
export const HVLP_CAP_KPA = 69;
/** About what a typical gun of this kind has at its inlet then (20 psi). */
const TYPICAL_INLET_AT_CAP_LIMIT_KPA = 138;
/** A fan that is not fully open raises the cap's pressure at the same inlet: keep this much under the straight line. */
const FAN_ALLOWANCE = 0.97;
/** Where in its band a gun starts: one that breaks paint up finely needs less air. */
const ABILITY_PLACE = { basic: 0.75, good: 0.5, fine: 0.5 } as const;
const FOG_PLACE = 0.15;

/** Inlet at which the cap has this pressure, by the gun's own rating; cap pressure taken as proportional. */
export function inletForCapKPa(gun: Gun, capKPa: number): number {
  const rated = gun.capKPaAtRated && gun.ratedInletKPa ? (gun.ratedInletKPa * capKPa) / gun.capKPaAtRated : undefined;
  return (rated ?? (TYPICAL_INLET_AT_CAP_LIMIT_KPA * capKPa) / HVLP_CAP_KPA) * FAN_ALLOWANCE;
}

function bandFor({ gun, stage, carrier, sheet }: InletInput): { bandKPa: Band; reason: Reason } {
  if (sheet?.inletKPa) return { bandKPa: sheet.inletKPa, reason: because('inlet-from-sheet', 'dataSheet', ends(sheet.inletKPa)) };
  const practice = inletBandKPa(gun.class, stage, carrier);
  if (!gun.leafletInletKPa) return { bandKPa: practice, reason: because('inlet-from-practice', 'rule', ends(practice)) };
  const [low, high] = gun.leafletInletKPa;
  const both: Band = [clamp(practice[0], low, high), clamp(practice[1], low, high)];
  return { bandKPa: both, reason: because('inlet-from-leaflet', 'rule', ends(both)) };
}

const ends = ([lowKPa, highKPa]: Band) => ({ lowKPa, highKPa });

export function inletPressureFor(input: InletInput): InletChoice {
  const free = inletWithoutClear(input);
  if (input.stage !== 'base' && input.stage !== 'ground' && input.stage !== 'effect') return free;
  const clearKPa = inletWithoutClear({ ...input, stage: 'clear', carrier: 'solvent', sheet: {} }).inletKPa;
  if (free.inletKPa <= clearKPa) return free;
  return { ...free, inletKPa: clearKPa, reasons: [...free.reasons, because('base-never-above-clear', 'rule', { clearKPa })] };
}

function inletWithoutClear(input: InletInput): InletChoice {
  const { gun } = input;
  const { bandKPa, reason } = bandFor(input);
  const [low, high] = bandKPa;
  const reasons = [reason];
  const verdicts: Verdict[] = [];
  const place = input.limitFog ? FOG_PLACE : ABILITY_PLACE[gun.ability ?? 'good'];
  let inletKPa = low + place * (high - low);
  if (input.limitFog) reasons.push(because('less-air-for-fog', 'rule'));
  const isCapBound = gun.class === 'hvlp' || gun.class === 'mini';
  const ownMostKPa = isCapBound ? Math.max(low, inletForCapKPa(gun, HVLP_CAP_KPA)) : Infinity;
  const mostKPa = Math.min(ownMostKPa, input.capLimitKPa === undefined ? Infinity : inletForCapKPa(gun, input.capLimitKPa));
  if (inletKPa > mostKPa) {
    inletKPa = mostKPa;
    reasons.push(because('cap-bounds-inlet', 'rule', { capKPa: input.capLimitKPa ?? HVLP_CAP_KPA }));
  }
  if (gun.maxInletKPa !== undefined && low > gun.maxInletKPa)
    verdicts.push(stop('inlet-over-gun', { inletKPa: low, maxKPa: gun.maxInletKPa }));
  inletKPa = Math.floor(Math.min(inletKPa, gun.maxInletKPa ?? Infinity));
  if (inletKPa < Math.floor(low)) verdicts.push(caution('inlet-outside-band', { inletKPa, lowKPa: low, highKPa: high }));
  if (isCapBound && input.capLimitKPa === undefined && inletKPa > Math.ceil(inletForCapKPa(gun, HVLP_CAP_KPA)))
    verdicts.push(caution('cap-over-hvlp', { capKPa: (HVLP_CAP_KPA * inletKPa) / inletForCapKPa(gun, HVLP_CAP_KPA) }));
  return { inletKPa, bandKPa, verdicts, reasons };
}
