/**
 * Which pressure at the gun, trigger pulled. A stop comes before a legal limit, that before the sheet, then the
 * gun maker, then the practice band (design ruling 1; MODEL 17.1).
 */
import type { Carrier } from '../air/climate.ts';
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, stop, type Reason, type Verdict } from '../outcome/told.ts';
import { capKPaAt, inletForCap } from './airCap.ts';
import type { Gun, GunClass, Stage } from './gun.ts';
import { hornShareOf, type GunModel } from './gunModel.ts';
import { inletBandKPa } from './practiceBands.ts';

export type InletInput = {
  gun: Gun;
  model: GunModel;
  /** The fan is set first: closing it raises the cap's pressure at one inlet. */
  fanTurnsOut: number;
  stage: Stage;
  carrier: Carrier;
  sheet?: { inletKPa?: Band | undefined; capKPa?: Band | undefined } | undefined;
  capLimitKPa?: number | undefined;
  limitFog?: boolean | undefined;
};
export type InletChoice = { inletKPa: number; bandKPa: Band; verdicts: Verdict[]; reasons: Reason[] };

/** 10 psi at the cap: what this kind of gun is meant to have. */
export const HVLP_CAP_KPA = 69;
/** Where in its band a gun starts: one that breaks paint up finely needs less air. */
const ABILITY_PLACE = { basic: 0.75, good: 0.5, fine: 0.5 } as const;
const FOG_PLACE = 0.15;

/** Kinds that a limit at the cap is meant for. */
export const isCapBound = (kind: GunClass): boolean => kind === 'hvlp' || kind === 'mini';

/** The inlet at which this gun's cap has this pressure, its fan as it is set. */
export const inletAtCap = (model: GunModel, capKPa: number, fanTurnsOut: number): number =>
  inletForCap(model.areas, capKPa, hornShareOf(model, fanTurnsOut));

export const capAtInlet = (model: GunModel, inletKPa: number, fanTurnsOut: number): number =>
  capKPaAt(model.areas, inletKPa, hornShareOf(model, fanTurnsOut));

/** Where this coat's pressure may lie, before any limit: the sheet's word, else the leaflet within the practice band, else that. */
export function inletBandFor({ gun, model, fanTurnsOut, stage, carrier, sheet }: InletInput): { bandKPa: Band; reason: Reason } {
  if (sheet?.inletKPa) return { bandKPa: sheet.inletKPa, reason: because('inlet-from-sheet', 'dataSheet', ends(sheet.inletKPa)) };
  if (sheet?.capKPa) {
    const [low, high] = sheet.capKPa;
    const band: Band = [inletAtCap(model, low, fanTurnsOut), inletAtCap(model, high, fanTurnsOut)];
    return {
      bandKPa: band,
      reason: because('inlet-from-sheet-cap', 'dataSheet', { ...ends(band), capLowKPa: low, capHighKPa: high }),
    };
  }
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
  const { gun, model, fanTurnsOut, capLimitKPa } = input;
  const { bandKPa, reason } = inletBandFor(input);
  const [low, high] = bandKPa;
  const reasons = [reason];
  const verdicts: Verdict[] = [];
  const place = input.limitFog ? FOG_PLACE : ABILITY_PLACE[gun.ability ?? 'good'];
  let inletKPa = low + place * (high - low);
  if (input.limitFog) reasons.push(because('less-air-for-fog', 'rule'));
  const ownMostKPa = isCapBound(gun.class) ? Math.max(low, inletAtCap(model, HVLP_CAP_KPA, fanTurnsOut)) : Infinity;
  const mostKPa = Math.min(ownMostKPa, capLimitKPa === undefined ? Infinity : inletAtCap(model, capLimitKPa, fanTurnsOut));
  if (inletKPa > mostKPa) {
    inletKPa = mostKPa;
    reasons.push(because('cap-bounds-inlet', 'rule', { capKPa: capLimitKPa ?? HVLP_CAP_KPA }));
  }
  if (gun.maxInletKPa !== undefined && low > gun.maxInletKPa)
    verdicts.push(stop('inlet-over-gun', { inletKPa: low, maxKPa: gun.maxInletKPa }));
  inletKPa = Math.floor(Math.min(inletKPa, gun.maxInletKPa ?? Infinity));
  if (inletKPa < Math.floor(low)) verdicts.push(caution('inlet-outside-band', { inletKPa, lowKPa: low, highKPa: high }));
  const capKPa = capAtInlet(model, inletKPa, fanTurnsOut);
  if (isCapBound(gun.class) && capLimitKPa === undefined && capKPa > HVLP_CAP_KPA)
    verdicts.push(caution('cap-over-hvlp', { capKPa }));
  return { inletKPa, bandKPa, verdicts, reasons };
}
