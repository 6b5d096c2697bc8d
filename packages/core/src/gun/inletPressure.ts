/**
 * Which pressure at the gun, trigger pulled: within the band in force, bound by what is set for the
 * cap, with the fan and the work of this coat (decision 13; MODEL 17.1). Whatever comes out is
 * judged by the rule that judges the painter's own.
 */
import { meantAtCapOf } from '../inForce/capLimitOf.ts';
import type { InForce } from '../inForce/inForce.ts';
import { inletBandOf } from '../inForce/inletBandOf.ts';
import { nozzleBandOf, practiceOf, type CoatOfGun } from '../inForce/nozzleBandOf.ts';
import { clamp } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import { because, stop, type Reason, type Verdict } from '../outcome/verdicts.ts';
import { STAGE_PRACTICE } from '../trade/practice.ts';
import type { Carrier, Stage } from '../trade/vocabulary.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { capKPaAt, inletForCap } from './airCap.ts';
import type { Gun } from './gun.ts';
import { classAreasOf, hornShareOf, type GunModel } from './gunModel.ts';

export type InletInput = {
  gun: Gun;
  model: GunModel;
  /** The fan is set first: closing it raises the cap's pressure at one inlet. */
  fanTurnsOut: number;
  stage: Stage;
  carrier: Carrier;
  isBuild: boolean;
  sheet?: { inletKPa?: Band | undefined; capKPa?: Band | undefined } | undefined;
  capLimitKPa?: number | undefined;
  limitFog?: boolean | undefined;
  /** Small work wants less air. */
  airShare?: number | undefined;
};
export type InletChoice = {
  inletKPa: number;
  bandKPa: Band;
  verdicts: Verdict[];
  reasons: Reason[];
};

/**
 * Where in its band a gun starts: one that breaks paint up less well, or has a very large tip,
 * needs more air.
 */
const USUAL_PLACE = 0.5;
const EAGER_PLACE = 0.75;
const LARGE_TIP = { fromMm: 2, overBand: 1.1 } as const;
const FOG_PLACE = 0.15;

/** The inlet at which this gun's cap has this pressure, its fan as it is set. */
export const inletAtCap = (model: GunModel, capKPa: number, fanTurnsOut: number): number =>
  inletForCap(model.areas, capKPa, hornShareOf(model, fanTurnsOut));

/** Pressure at the cap, gauge kPa, of one at the inlet. */
export const capAtInlet = (model: GunModel, inletKPa: number, fanTurnsOut: number): number =>
  capKPaAt(model.areas, inletKPa, hornShareOf(model, fanTurnsOut));

/** The coat as the practice tables ask for it. */
export const coatOfGun = ({
  gun,
  stage,
  carrier,
  isBuild,
}: Pick<InletInput, 'gun' | 'stage' | 'carrier' | 'isBuild'>): CoatOfGun => ({
  gunClass: gun.class,
  stage,
  carrier,
  isBuild,
});

/** The band in force for this coat on this gun. */
export const inletBandFor = (
  input: Pick<
    InletInput,
    'gun' | 'model' | 'fanTurnsOut' | 'stage' | 'carrier' | 'isBuild' | 'sheet'
  >,
): InForce<Band> =>
  inletBandOf({
    ...coatOfGun(input),
    sheet: input.sheet,
    leafletKPa: input.gun.leafletInletKPa,
    inletAtCap: (capKPa) => inletAtCap(input.model, capKPa, input.fanTurnsOut),
    asOnThisGun: (inletKPa) => asOnThisGun(input, inletKPa),
  });

/**
 * Guns meant for one pressure at the cap are set by that: with a rating or a gauge of its own, what
 * practice has there.
 */
function asOnThisGun({ gun, model }: Pick<InletInput, 'gun' | 'model'>, inletKPa: number): number {
  const isOwn =
    gun.ratedInletKPa !== undefined ||
    gun.capKPaAtRated !== undefined ||
    model.tests.cap !== undefined;
  if (!GUNS[gun.class].isBoundAtCap || !isOwn) return inletKPa;
  return inletForCap(model.areas, capKPaAt(classAreasOf(model.data), inletKPa, 1), 1);
}

type BandAsked = Parameters<typeof inletBandFor>[0] & Pick<InletInput, 'capLimitKPa' | 'airShare'>;
/**
 * The band as it is for this work: less air for small work, and no foot over what the cap may have
 * with the fan as set.
 */
export function bandOfWork(input: BandAsked): InForce<Band> {
  const band = inletBandFor(input);
  const [low, high] = band.value;
  const { gun, model, fanTurnsOut, capLimitKPa = Infinity, airShare = 1 } = input;
  const capKPa = Math.min(capLimitKPa, meantAtCapOf(gun.class)?.value ?? Infinity);
  const atCap =
    Number.isFinite(capKPa) && band.source !== 'sheet'
      ? Math.floor(inletAtCap(model, capKPa, fanTurnsOut))
      : Infinity;
  return { ...band, value: [Math.min(low * airShare, atCap), high] };
}

/**
 * The most this gun may have here: its own limit, and what a law leaves of it with the fan as set.
 */
export const mostInletKPa = ({
  gun,
  model,
  fanTurnsOut,
  capLimitKPa,
}: Pick<InletInput, 'gun' | 'model' | 'fanTurnsOut' | 'capLimitKPa'>): number =>
  Math.min(
    gun.maxInletKPa ?? Infinity,
    capLimitKPa === undefined ? Infinity : inletAtCap(model, capLimitKPa, fanTurnsOut),
  );

/**
 * The pressure to set at the gun for this coat, the band it lies in, and why; gauge kPa, whole psi.
 */
export function inletPressureFor(input: InletInput): InletChoice {
  const free = inletWithoutClear(input);
  if (!STAGE_PRACTICE[input.stage].isColour) return free;
  const clear = inletWithoutClear({
    ...input,
    stage: 'clear',
    carrier: 'solvent',
    isBuild: false,
    sheet: {},
  });
  if (free.inletKPa <= clear.inletKPa) return free;
  const reason = because('base-never-above-clear', 'rule', { clearKPa: clear.inletKPa });
  return { ...free, inletKPa: clear.inletKPa, reasons: [...free.reasons, reason] };
}

/**
 * Where no limit is tighter, we start within what the kind of gun is meant for, as far as the band
 * goes down to it.
 */
function asMeant(
  { gun, model, fanTurnsOut, capLimitKPa }: InletInput,
  wantedKPa: number,
  lowKPa: number,
): number {
  const meant = meantAtCapOf(gun.class);
  return meant && meant.value < (capLimitKPa ?? Infinity)
    ? Math.min(wantedKPa, Math.max(lowKPa, inletAtCap(model, meant.value, fanTurnsOut)))
    : wantedKPa;
}

/**
 * Breaks paint up less well, or has more of it to break up, on a whole panel: then nothing but a
 * law holds its air down.
 */
function needsMoreAir(input: InletInput): boolean {
  if ((input.airShare ?? 1) < 1) return false;
  if (input.gun.ability === 'basic') return true;
  const { nozzleMm } = input.model;
  const [lowMm, topMm] = nozzleBandOf(coatOfGun(input)).value;
  const isLargeForIt = nozzleMm >= LARGE_TIP.fromMm && nozzleMm > (lowMm + topMm) / 2;
  return isLargeForIt || nozzleMm > topMm * LARGE_TIP.overBand;
}

function inletWithoutClear(input: InletInput): InletChoice {
  const { gun, airShare = 1 } = input;
  const band = bandOfWork(input);
  const [low, high] = band.value;
  const reasons = [band.reason];
  const verdicts: Verdict[] = [];
  // A leaflet says what the gun may have, not what this coat wants: practice begins within it.
  const [from, to] =
    band.source === 'leaflet'
      ? practiceOf(coatOfGun(input)).inletKPa.map((kPa) => asOnThisGun(input, kPa))
      : inletBandFor(input).value;
  const isEager = needsMoreAir(input);
  const place = input.limitFog ? FOG_PLACE : isEager ? EAGER_PLACE : USUAL_PLACE;
  if (input.limitFog) reasons.push(because('less-air-for-fog', 'rule'));
  else if (isEager)
    reasons.push(because('more-air-to-break-up', 'rule', { nozzleMm: input.model.nozzleMm }));
  const usual = clamp((from! + place * (to! - from!)) * airShare, low, high);
  const wanted = isEager && !input.limitFog ? usual : asMeant(input, usual, low);
  if (wanted < usual && wanted > low) reasons.push(meantAtCapOf(gun.class)!.reason);
  const most = mostInletKPa(input);
  if (input.capLimitKPa !== undefined && wanted > most && most < (gun.maxInletKPa ?? Infinity))
    reasons.push(because('cap-bounds-inlet', 'rule', { capKPa: input.capLimitKPa }));
  if (gun.maxInletKPa !== undefined && low > gun.maxInletKPa)
    verdicts.push(stop('inlet-over-gun', { inletKPa: low, maxKPa: gun.maxInletKPa }));
  return {
    inletKPa: Math.floor(Math.min(wanted, most) + 1e-6),
    bandKPa: band.value,
    verdicts,
    reasons,
  };
}
