/**
 * HVLP guns come in two kinds: 10 psi at the cap from about 20 psi at the inlet, or from about 29.
 * Which one a gun is, its rating, its leaflet or a cap gauge tells; until then its cap is told as
 * one of the two.
 *
 *   P(high kind) = σ((inlet − 169 kPa)/12 kPa): who sets so much has the one that wants it
 *                                                                                          [kind-1]
 *
 * Source  judgement (MODEL 7)
 */
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { caution, type Ask, type Verdict } from '../outcome/verdicts.ts';
import { logistic } from '../numerics/probability.ts';
import { MEANT_AT_CAP_KPA } from '../inForce/capLimitOf.ts';
import { GUNS } from '../trade/gunClasses.ts';
import type { GunFacts } from '../trade/gunFacts.ts';
import { HVLP_KINDS } from '../trade/guns/hvlp.ts';
import { areasFromRating, capKPaAt, type CapAreas } from './airCap.ts';
import { m3PerS } from '../compressedAir/freeAir.ts';
import { testsOf, type Gun } from './gun.ts';

const { low: LOW, high: HIGH } = HVLP_KINDS;
const BETWEEN_KPA = (LOW.inletKPa + HIGH.inletKPa) / 2;
const WIDTH_KPA = 12;

const kindsOf = ({ class: gunClass }: Pick<Gun, 'class'>): GunFacts['kinds'] =>
  (GUNS[gunClass] as GunFacts).kinds;

/** A full-size HVLP gun that nobody rated and nobody put a gauge to. */
export const isKindUnknown = (gun: Gun, nozzleMm: number): boolean =>
  kindsOf(gun) !== undefined &&
  gun.ratedInletKPa === undefined &&
  gun.capKPaAtRated === undefined &&
  gun.leafletInletKPa === undefined &&
  !testsOf(gun, nozzleMm).some(({ kind }) => kind === 'cap');

/** The inlets of either kind: which of them stands in the leaflet. */
export const HVLP_KINDS_KPA = [LOW.inletKPa, HIGH.inletKPa] as const;
export const HVLP_KIND_ASK: Ask = {
  field: 'gun.ratedInletKPa',
  code: 'which-hvlp-kind',
  options: HVLP_KINDS_KPA.map(String),
};
/** Says that an HVLP gun of unknown rating may be either of two kinds. */
export const kindUnknown = (): Verdict =>
  caution('hvlp-kind-unknown', {
    meantKPa: MEANT_AT_CAP_KPA,
    lowKindKPa: LOW.inletKPa,
    highKindKPa: HIGH.inletKPa,
  });

/**
 * Air that a gun of two kinds draws at its rating, L/min, where its maker prints none; undefined:
 * its class tells.
 */
export function ratedAirOfKind({
  class: gunClass,
  ratedInletKPa,
}: Pick<Gun, 'class' | 'ratedInletKPa'>): number | undefined {
  if (!kindsOf({ class: gunClass }) || ratedInletKPa === undefined) return undefined;
  const perKPa = (HIGH.airFlowLPerMin - LOW.airFlowLPerMin) / (HIGH.inletKPa - LOW.inletKPa);
  return LOW.airFlowLPerMin + perKPa * (ratedInletKPa - LOW.inletKPa);
}

let highKind: CapAreas | undefined;
const highKindAreas = (): CapAreas =>
  (highKind ??= areasFromRating({
    ringShare: GUNS.hvlp.ringShare,
    inletKPa: HIGH.inletKPa,
    capKPa: MEANT_AT_CAP_KPA,
    airFlowM3PerS: m3PerS(HIGH.airFlowLPerMin),
  }));

/**
 * Either kind's cap at this inlet, the likelier weighing more; from the one's least to the other's
 * most.
 * @param lowKindKPa what the class has there, which stands for the low kind in all that is worked
 *   out [kind-1]
 */
export function eitherKind(
  lowKindKPa: number,
  inletKPa: number,
  hornShare: number,
  logSd: number,
): Spread {
  const [low, high] = [lowKindKPa, capKPaAt(highKindAreas(), inletKPa, hornShare)].map((kPa) =>
    Math.max(kPa, 1e-6),
  ) as [number, number];
  const isHigh = logistic((inletKPa - BETWEEN_KPA) / WIDTH_KPA);
  return {
    value: low ** (1 - isHigh) * high ** isHigh,
    low: logNormalSpread(high, logSd).low,
    high: logNormalSpread(low, logSd).high,
  };
}
