/**
 * The air cap: passages in the gun before it, a ring around the tip and two horns behind it. All of
 * it from one design point.
 *
 *   m = A p0/√(R T) Ψ(r),  Ψ = √(7 (r^(2/γ) − r^((γ+1)/γ))),  r floored at 0.528 (choked)   [cap-1]
 *   p_cap solves m(A_pass, p_in, p_cap) = m(A_ring + A_horn φ, p_cap, p_a),  φ = 1 − (1−u)^1.6
 *                                                                                           [cap-2]
 *   U = √(2 c_p T (1 − (p_a/p_cap)^((γ−1)/γ)))                                              [cap-3]
 *
 * Source  isentropic nozzle flow (saint-venant-1839); areas fitted to a rating (MODEL 7)
 * Ignores wear, and that closing the fan raises the cap's pressure a little less at the shut end
 *         than here
 */
import {
  absolutePa,
  AIR_GAS_CONSTANT_J_PER_KG_K,
  FREE_AIR_KG_PER_M3,
} from '../compressedAir/freeAir.ts';
import { STANDARD_ATMOSPHERE_PA, REFERENCE_K } from '../units/physical.ts';
import { bisect } from '../numerics/bisect.ts';
import { clamp } from '../numerics/rounding.ts';

const GAMMA = 1.4;
const CRITICAL_RATIO = 0.5282818;
const HEAT_J_PER_KG_K = 1004.7;
const FAN_KNOB_EXPONENT = 1.6;
/** Down to a millionth of a pascal. */
const BISECTIONS = 44;

/** Effective areas, m². */
export type CapAreas = { pass: number; ring: number; horn: number };
export type CapFlow = {
  capKPa: number;
  airFlowM3PerS: number;
  ringKgPerS: number;
  hornKgPerS: number;
  jetMPerS: number;
  /** Momentum of all the air, N. */
  thrustN: number;
};
/**
 * Where a cap's areas come from: its pressure at one inlet with the horns open by a share (all of
 * them, unless told), the share of its ring, and the air it draws with all open, there or at
 * another inlet.
 */
export type CapRating = {
  inletKPa: number;
  capKPa: number;
  hornShare?: number;
  airFlowM3PerS: number;
  ringShare: number;
  flowAtInletKPa?: number;
};

const flowFunction = (ratio: number): number => {
  if (ratio >= 1) return 0;
  const r = Math.max(ratio, CRITICAL_RATIO);
  return Math.sqrt(7 * (r ** (2 / GAMMA) - r ** ((GAMMA + 1) / GAMMA)));
};

/** Mass flow through an area between two absolute pressures, kg/s. [cap-1] */
export const orificeKgPerS = (
  areaM2: number,
  beforePa: number,
  afterPa: number,
  temperatureK = REFERENCE_K,
): number =>
  ((areaM2 * beforePa) / Math.sqrt(AIR_GAS_CONSTANT_J_PER_KG_K * temperatureK)) *
  flowFunction(afterPa / beforePa);

/** Share of the horns that a fan knob opens: most of it in the first half. */
export const hornOpening = (fanTurnsOut: number, fullFanTurns: number): number =>
  1 - (1 - clamp(fanTurnsOut / fullFanTurns, 0, 1)) ** FAN_KNOB_EXPONENT;

const outletArea = ({ ring, horn }: CapAreas, hornShare: number): number => ring + horn * hornShare;

/** Areas that reproduce a rating. [cap-1, cap-2] */
export function areasFromRating(rating: CapRating): CapAreas {
  const {
    inletKPa,
    capKPa,
    hornShare = 1,
    airFlowM3PerS,
    ringShare,
    flowAtInletKPa = inletKPa,
  } = rating;
  const [inletPa, capPa] = [absolutePa(inletKPa), absolutePa(capKPa)];
  const pass = 1 / orificeKgPerS(1, inletPa, capPa);
  const out =
    1 / orificeKgPerS(1, capPa, STANDARD_ATMOSPHERE_PA) / (ringShare + (1 - ringShare) * hornShare);
  const unit: CapAreas = { pass, ring: out * ringShare, horn: out * (1 - ringShare) };
  const scale = (airFlowM3PerS * FREE_AIR_KG_PER_M3) / massAt(unit, flowAtInletKPa, 1);
  return { pass: unit.pass * scale, ring: unit.ring * scale, horn: unit.horn * scale };
}

/** Cap pressure, gauge kPa, at an inlet with the horns open by a share. [cap-2] */
export function capKPaAt(areas: CapAreas, inletKPa: number, hornShare: number): number {
  const inletPa = absolutePa(inletKPa);
  const out = outletArea(areas, hornShare);
  const capPa = bisect(
    (pa) => orificeKgPerS(areas.pass, inletPa, pa) - orificeKgPerS(out, pa, STANDARD_ATMOSPHERE_PA),
    STANDARD_ATMOSPHERE_PA,
    inletPa,
    BISECTIONS,
  );
  return (capPa - STANDARD_ATMOSPHERE_PA) / 1000;
}

const massAt = (areas: CapAreas, inletKPa: number, hornShare: number): number =>
  orificeKgPerS(
    outletArea(areas, hornShare),
    absolutePa(capKPaAt(areas, inletKPa, hornShare)),
    STANDARD_ATMOSPHERE_PA,
  );

/** The inlet at which the cap has this pressure. */
export function inletForCap(areas: CapAreas, capKPa: number, hornShare: number): number {
  const capPa = absolutePa(capKPa);
  const wanted = orificeKgPerS(outletArea(areas, hornShare), capPa, STANDARD_ATMOSPHERE_PA);
  const inletPa = bisect(
    (pa) => orificeKgPerS(areas.pass, pa, capPa) - wanted,
    capPa,
    capPa * 20,
    BISECTIONS,
  );
  return (inletPa - STANDARD_ATMOSPHERE_PA) / 1000;
}

/** Everything the air does at this inlet and temperature. [cap-2, cap-3] */
export function capFlow(
  areas: CapAreas,
  inletKPa: number,
  hornShare: number,
  temperatureK = REFERENCE_K,
): CapFlow {
  const capKPa = capKPaAt(areas, inletKPa, hornShare);
  const capPa = absolutePa(capKPa);
  const out = outletArea(areas, hornShare);
  const mass = orificeKgPerS(out, capPa, STANDARD_ATMOSPHERE_PA, temperatureK);
  const ringKgPerS = (mass * areas.ring) / out;
  const jetMPerS = Math.sqrt(
    2 *
      HEAT_J_PER_KG_K *
      temperatureK *
      (1 - (STANDARD_ATMOSPHERE_PA / capPa) ** ((GAMMA - 1) / GAMMA)),
  );
  return {
    capKPa,
    airFlowM3PerS: mass / FREE_AIR_KG_PER_M3,
    ringKgPerS,
    hornKgPerS: mass - ringKgPerS,
    jetMPerS,
    thrustN: mass * jetMPerS,
  };
}
