/**
 * HVLP guns come in two kinds: 10 psi at the cap from about 20 psi at the inlet, or from about 29. Which one a gun is, its
 * rating, its leaflet or a cap gauge tells; until then its cap is told as one of the two.
 *
 *   P(high kind) = σ((inlet − 169 kPa)/12 kPa): who sets so much has the one that wants it                     [kind-1]
 *
 * Source  judgement (MODEL-2, 7)
 */
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { caution, type Ask, type Verdict } from '../outcome/told.ts';
import { logistic } from '../numerics/probability.ts';
import { MEANT_AT_CAP_KPA } from '../inForce/capLimitOf.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { areasFromRating, capKPaAt, type CapAreas } from './airCap.ts';
import { m3PerS } from '../compressedAir/freeAir.ts';
import { testsOf, type Gun } from './gun.ts';

const LOW_KIND_KPA = 138;
const HIGH_KIND_KPA = 200;
const BETWEEN_KPA = 169;
const WIDTH_KPA = 12;

/** A full-size HVLP gun that nobody rated and nobody put a gauge to. */
export const isKindUnknown = (gun: Gun, nozzleMm: number): boolean =>
  gun.class === 'hvlp' &&
  gun.ratedInletKPa === undefined &&
  gun.capKPaAtRated === undefined &&
  gun.leafletInletKPa === undefined &&
  !testsOf(gun, nozzleMm).some(({ kind }) => kind === 'cap');

/** The inlets of either kind: which of them stands in the leaflet. */
export const HVLP_KINDS_KPA = [LOW_KIND_KPA, HIGH_KIND_KPA] as const;
export const HVLP_KIND_ASK: Ask = { field: 'gun.ratedInletKPa', code: 'which-hvlp-kind', options: HVLP_KINDS_KPA.map(String) };

export const kindUnknown = (): Verdict =>
  caution('hvlp-kind-unknown', { meantKPa: MEANT_AT_CAP_KPA, lowKindKPa: LOW_KIND_KPA, highKindKPa: HIGH_KIND_KPA });

/** Air that a full-size HVLP gun draws at its rating, L/min, where its maker prints none. */
export const usualAirFlowLPerMin = (ratedInletKPa: number): number =>
  340 + (90 * (ratedInletKPa - LOW_KIND_KPA)) / (HIGH_KIND_KPA - LOW_KIND_KPA);

let highKind: CapAreas | undefined;
const highKindAreas = (): CapAreas =>
  (highKind ??= areasFromRating({
    ringShare: GUNS.hvlp.ringShare,
    inletKPa: HIGH_KIND_KPA,
    capKPa: MEANT_AT_CAP_KPA,
    airFlowM3PerS: m3PerS(usualAirFlowLPerMin(HIGH_KIND_KPA)),
  }));

/**
 * Either kind's cap at this inlet, the likelier weighing more; from the one's least to the other's most.
 * @param lowKindKPa what the class has there, which stands for the low kind in all that is worked out [kind-1]
 */
export function eitherKind(lowKindKPa: number, inletKPa: number, hornShare: number, logSd: number): Spread {
  const [low, high] = [lowKindKPa, capKPaAt(highKindAreas(), inletKPa, hornShare)].map((kPa) => Math.max(kPa, 1e-6)) as [
    number,
    number,
  ];
  const isHigh = logistic((inletKPa - BETWEEN_KPA) / WIDTH_KPA);
  return {
    value: low ** (1 - isHigh) * high ** isHigh,
    low: logNormalSpread(high, logSd).low,
    high: logNormalSpread(low, logSd).high,
  };
}
