/**
 * One gun at work on a panel: air, paint, drops, fan and landing joined; the film of parallel
 * passes.
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import { GUNS, type GunClass } from '../trade/gunClasses.ts';
import type { GunFacts } from '../trade/gunFacts.ts';
import type { HumidAir } from '../air/humidAir.ts';
import { FREE_AIR_KG_PER_M3, litresPerMinute, m3PerS } from '../compressedAir/freeAir.ts';
import { kelvin } from '../units/physical.ts';
import type { Mixture } from '../material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../evaporation/solvents.ts';
import { areasFromRating, capFlow, type CapFlow } from './airCap.ts';
import { eachVolatile, paceOfGrade } from '../evaporation/solvents.ts';
import { coarseShareOf, sauterM, workJPerKg } from './drops.ts';
import { fanHeightM, fanProfile, fanShape } from './fan.ts';
import { flowOf, hornShareOf, widthOf, type GunModel, type PaintAtTip } from './gunModel.ts';
import { landingOf, type Landing } from './landing.ts';
import { rippleOf } from './ripple.ts';

export type SprayInput = {
  model: GunModel;
  materialClass: MaterialClass;
  /** Without a grade of its own: a medium one. */
  paint: PaintAtTip & { mixture: Mixture; gradeSlowFraction?: number | undefined };
  inletKPa: number;
  fluidTurnsOut: number;
  fanTurnsOut: number;
  distanceMm: number;
  roomAir: HumidAir;
  /** Where the caller has worked the air out already, at this inlet, fan and temperature. */
  air?: CapFlow | undefined;
  /** Of what is not known: evaporation in flight. */
  evaporation?: number | undefined;
};
export type Spray = {
  air: CapFlow;
  airFlowLPerMin: number;
  fluidMlPerMin: number;
  sauterUm: number;
  /** Share of the paint in drops too big to flow out. */
  coarseShare: number;
  fanWidthMm: number;
  /** ln of the paint against what the horns spread evenly: over nought the middle is heavy. */
  load: number;
  /** Shape of the fan across itself. */
  beta: number;
  split: number;
  landing: Landing;
};

/** Nothing at the tip, nothing on the panel. */
const NOTHING: Landing = {
  arrivalMPerS: 0,
  transferFraction: 0,
  loss: 0,
  lossOf: eachVolatile(() => 0),
  landedM3PerS: 0,
};

/** Paint over horn air at which this class's open fan is even, from its design point. */
function evenLoad(data: GunFacts): number {
  const known = evenLoads.get(data);
  if (known !== undefined) return known;
  const { ringShare, evenKgPerS, ...rating } = data;
  const { airFlowM3PerS, jetMPerS } = capFlow(
    areasFromRating({ ...rating, ringShare, airFlowM3PerS: m3PerS(rating.airFlowLPerMin) }),
    rating.inletKPa,
    1,
  );
  const even = evenKgPerS / (airFlowM3PerS * FREE_AIR_KG_PER_M3 * (1 - ringShare) * jetMPerS);
  evenLoads.set(data, even);
  return even;
}
const evenLoads = new WeakMap<GunFacts, number>();

/** The spray at one setting: air, paint, drops, fan, and what lands. */
export function sprayOf(input: SprayInput): Spray {
  const { model, paint, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, roomAir } = input;
  const hornShare = hornShareOf(model, fanTurnsOut);
  const air =
    input.air ?? capFlow(model.areas, inletKPa, hornShare, kelvin(roomAir.airTemperatureC));
  const fluidM3PerS = flowOf(model, paint, { fluidTurnsOut, capKPa: air.capKPa });
  const fanWidthMm = widthOf(model, { distanceMm, capKPa: air.capKPa, hornShare });
  const shared = {
    air,
    airFlowLPerMin: litresPerMinute(air.airFlowM3PerS),
    fluidMlPerMin: fluidM3PerS * 6e7,
    fanWidthMm,
  };
  if (fluidM3PerS <= 0 || air.jetMPerS <= 0)
    return { ...shared, ...fanShape(0), load: 0, sauterUm: 0, coarseShare: 0, landing: NOTHING };
  const sauter = sauterM({
    air,
    airC: roomAir.airTemperatureC,
    ringM2: model.areas.ring,
    fluidM3PerS,
    ...paint,
    surfaceTensionNPerM: MATERIALS[input.materialClass].spray.surfaceTensionNPerM,
    dropFactor: model.dropFactor,
  });
  const load = Math.log(
    (fluidM3PerS * paint.densityKgPerM3) / (air.hornKgPerS * air.jetMPerS) / evenLoad(model.data),
  );
  const landing = landingOf({
    air,
    fluidM3PerS,
    mixture: paint.mixture,
    sauterM: sauter,
    distanceM: distanceMm / 1000,
    fanWidthM: fanWidthMm / 1000,
    fanHeightM: fanHeightM(model.data, { distanceM: distanceMm / 1000, hornShare }),
    landingFactor: model.landingFactor,
    roomAir,
    evaporation: input.evaporation,
    gradePace: paceOfGrade(
      paint.gradeSlowFraction ?? MEDIUM_SLOW_FRACTION,
      MATERIALS[input.materialClass].film.gradeBite,
    ),
  });
  const coarseShare = coarseShareOf({
    sauter,
    workJPerKg: workJPerKg(air, fluidM3PerS * paint.densityKgPerM3),
  });
  return { ...shared, ...fanShape(load), load, sauterUm: sauter * 1e6, coarseShare, landing };
}

/** Drops that suit this paint from this kind of gun: small guns are used small and fine. */
export function dropWindowUm(materialClass: MaterialClass, gunClass: GunClass): [number, number] {
  const share = GUNS[gunClass].dropWindowShare;
  const [low, high] = MATERIALS[materialClass].spray.dropWindowUm;
  return [low * share, high * share];
}

/**
 * 1 and over wets out, under 0.7 is dry: film against what its drops need to join, less what flew
 * off. MODEL 11, judgement.
 */
export function wetnessOf(
  { landing, sauterUm }: Spray,
  materialClass: MaterialClass,
  filmM: number,
): number {
  const { waterFraction, spray } = MATERIALS[materialClass];
  const keeps = (1 - landing.loss) ** (waterFraction === undefined ? 1.5 : 1);
  return sauterUm <= 0 ? 0 : (filmM * keeps) / (spray.joinFilmM * Math.sqrt(sauterUm / 35));
}

/**
 * How striped it lies: ripple against what an eye sees, worse where it is dry. MODEL 11, judgement.
 */
export const stripeIndexOf = (
  materialClass: MaterialClass,
  { ripple, wetness, loss }: { ripple: number; wetness: number; loss: number },
): number =>
  (ripple / MATERIALS[materialClass].spray.rippleLimit) *
  (1 + 1.5 * Math.max(0, 1 - wetness)) *
  (1 + 0.5 * loss);

export type Passes = { filmUm: number; wetness: number; ripple: number; stripeIndex: number };

/** Film of parallel passes, how well it joins, and how striped it lies. */
export function passesOf(
  spray: Spray,
  materialClass: MaterialClass,
  { stepMm, gunSpeedMPerS }: { stepMm: number; gunSpeedMPerS: number },
): Passes {
  const filmM = spray.landing.landedM3PerS / (gunSpeedMPerS * (stepMm / 1000));
  const wetness = wetnessOf(spray, materialClass, filmM);
  const ripple = rippleOf(fanProfile(spray), {
    fanWidthM: spray.fanWidthMm / 1000,
    stepM: stepMm / 1000,
  }).total;
  return {
    filmUm: filmM * 1e6,
    wetness,
    ripple,
    stripeIndex: stripeIndexOf(materialClass, { ripple, wetness, loss: spray.landing.loss }),
  };
}
