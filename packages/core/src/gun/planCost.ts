/**
 * What a setting costs: drops off their best, ripple, fog, solvent lost, an arm out of its ease, and marks for what is
 * not allowed, so that something always comes back.
 *
 *   cost = 4 ln²(D/D*) + 0.6 (cv/limit)² + 0.6 (1−TE) + 0.8 loss + 0.6((v−0.45)/0.3)² + 0.4((z−z0)/0.05)² + …      [cost-1]
 *   v = film(v = 1)/wanted film, held to what an arm can do                                                       [cost-2]
 *
 * Source  judgement, tuned until it chose what able painters set (MODEL 17.2)
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { HumidAir } from '../air/humidAir.ts';
import { clamp } from '../numerics/rounding.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { PSI_KPA } from '../trade/gunFacts.ts';
import type { Paint } from '../mix/paint.ts';
import { fanProfile } from './fan.ts';
import { hornShareOf, type GunModel } from './gunModel.ts';
import { kelvin } from '../compressedAir/freeAir.ts';
import { capFlow, type CapFlow } from './airCap.ts';
import { HAND_M_PER_S } from './technique.ts';
import { rippleOf, type Ripple } from './ripple.ts';
import { dropWindowUm, sprayOf, wetnessOf, type Spray } from './spray.ts';
import type { Gun } from './gun.ts';

/** Pressure in whole psi, as a gauge in the shop shows it. */
export type Candidate = { psi: number; turns: number; fanShare: number; distanceMm: number; overlap: number };
export type PlanBounds = {
  gun: Gun;
  model: GunModel;
  paint: Paint;
  materialClass: MaterialClass;
  /** Needle turns practice gives it, on four turns of travel. */
  needleTurnsOfFour: number;
  roomAir: HumidAir;
  wetFilmUm: number;
  /** Before any limit, psi: where in it a setting lies counts a little. */
  wholeBandPsi: [number, number];
  /** Inlet pressures that this coat may have, psi, by how far the fan is open. */
  bandPsi: (fanShare: number) => [number, number];
  usualDistanceMm: number;
  /** g/min of overspray and L/min of air that may not be passed. */
  mostOversprayGPerMin?: number | undefined;
  mostAirLPerMin?: number | undefined;
};
export type Costed = { place: Candidate; spray: Spray; gunSpeedMPerS: number; ripple: Ripple; wetness: number; cost: number };

export const candidateKey = ({ psi, turns, fanShare, distanceMm, overlap }: Candidate): string =>
  `${psi} ${turns} ${fanShare} ${distanceMm} ${overlap}`;

const SEARCH_POINTS = { points: 24, differences: 48 };

/** Judges settings, and remembers the sprays and ripples it has worked out. */
export function judgeOf(bounds: PlanBounds): (place: Candidate, isFull?: boolean) => Costed {
  const sprays = new Map<string, Spray>();
  const ripples = new Map<string, Ripple>();
  const airs = new Map<string, CapFlow>();
  const airAt = ({ psi, fanShare }: Candidate): CapFlow => {
    const key = `${psi} ${fanShare}`;
    const { model, roomAir: air } = bounds;
    const hornShare = hornShareOf(model, fanShare * model.fullFanTurns);
    const known = airs.get(key) ?? capFlow(model.areas, psi * PSI_KPA, hornShare, kelvin(air.airTemperatureC));
    airs.set(key, known);
    return known;
  };
  const sprayAt = (place: Candidate): Spray => {
    const { psi, turns, fanShare, distanceMm } = place;
    const key = `${psi} ${turns} ${fanShare} ${distanceMm}`;
    const known =
      sprays.get(key) ??
      sprayOf({
        model: bounds.model,
        materialClass: bounds.materialClass,
        paint: bounds.paint,
        roomAir: bounds.roomAir,
        inletKPa: psi * PSI_KPA,
        fluidTurnsOut: turns,
        fanTurnsOut: fanShare * bounds.model.fullFanTurns,
        distanceMm,
        air: airAt(place),
      });
    sprays.set(key, known);
    return known;
  };
  const rippleAt = (spray: Spray, overlap: number, isFull: boolean): Ripple => {
    const { beta, split, fanWidthMm } = spray;
    const key = `${beta} ${split} ${fanWidthMm} ${overlap} ${isFull}`;
    const [fanWidthM, stepM] = [fanWidthMm / 1000, (fanWidthMm / 1000) * (1 - overlap)];
    const known = ripples.get(key) ?? rippleOf(fanProfile(spray), { fanWidthM, stepM, ...(isFull ? {} : SEARCH_POINTS) });
    ripples.set(key, known);
    return known;
  };
  const judged = new Map<string, Costed>();
  return (place, isFull = false) => {
    const key = `${candidateKey(place)} ${isFull}`;
    const known = judged.get(key);
    if (known) return known;
    const spray = sprayAt(place);
    const ripple = rippleAt(spray, place.overlap, isFull);
    const costed = costOf(bounds, place, spray, ripple);
    judged.set(key, costed);
    return costed;
  };
}

function costOf(bounds: PlanBounds, place: Candidate, spray: Spray, ripple: Ripple): Costed {
  const { materialClass, gun, model } = bounds;
  const material = MATERIALS[materialClass];
  const [least, most] = dropWindowUm(materialClass, gun.class);
  const { landing, sauterUm, fanWidthMm } = spray;
  if (landing.landedM3PerS <= 0) return { place, spray, gunSpeedMPerS: 0, ripple, wetness: 0, cost: Infinity };
  const stepM = (fanWidthMm / 1000) * (1 - place.overlap);
  const wanted = bounds.wetFilmUm * 1e-6;
  const free = landing.landedM3PerS / (wanted * stepM);
  const speed = clamp(free, HAND_M_PER_S.slowest, HAND_M_PER_S.quickest);
  const film = landing.landedM3PerS / (speed * stepM);
  const wetness = wetnessOf(spray, materialClass, film);
  const z = place.distanceMm / 1000;
  const overspray = (spray.fluidMlPerMin * bounds.paint.densityKgPerM3 * (1 - landing.transferFraction)) / 1000;
  const profile = fanProfile(spray);
  const peak = (landing.landedM3PerS * Math.max(profile(0), profile(0.5)) * 2) / ((fanWidthMm / 1000) * speed);
  const [foot, top] = bounds.wholeBandPsi;
  const usualTurns = (bounds.needleTurnsOfFour * model.fullFluidTurns) / 4;
  const aboutFog = bounds.mostOversprayGPerMin;
  let cost =
    4 * Math.log(sauterUm / Math.sqrt(least * most)) ** 2 +
    0.6 * (ripple.total / material.spray.rippleLimit) ** 2 +
    (aboutFog === undefined ? 0.6 * (1 - landing.transferFraction) : 0.6 * (overspray / aboutFog) ** 2) +
    0.8 * landing.loss +
    0.6 * ((speed - 0.45) / 0.3) ** 2 +
    0.4 * ((z - bounds.usualDistanceMm / 1000) / 0.05) ** 2 +
    1.5 * spray.split +
    (GUNS[gun.class].isSmall ? 0 : Math.max(0, Math.log((0.02 * wanted) / landing.landedM3PerS)) ** 2) +
    0.25 * (((place.turns - usualTurns) * 4) / model.fullFluidTurns) ** 2 +
    0.05 * ((place.psi - (foot + top) / 2) / Math.max(0.5, (top - foot) / 2)) ** 2;
  if (sauterUm < least || sauterUm > most) cost += 0.5;
  if (peak > 0.8 * wanted) cost += 0.6;
  if (Math.abs(free - speed) > 1e-9) cost += 0.5 + 25 * Math.log(free / speed) ** 2;
  if (wetness < 1) cost += 0.3 + 8 * (1 - wetness) ** 2;
  if (bounds.mostAirLPerMin !== undefined && spray.airFlowLPerMin > bounds.mostAirLPerMin)
    cost += 0.5 + 20 * Math.log(spray.airFlowLPerMin / bounds.mostAirLPerMin) ** 2;
  if (aboutFog !== undefined && overspray > aboutFog) cost += 0.5 + 6 * Math.log(overspray / aboutFog) ** 2;
  return { place, spray, gunSpeedMPerS: speed, ripple, wetness, cost };
}
