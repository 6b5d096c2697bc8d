/**
 * What a setting costs: drops off their best, ripple, fog, solvent lost, an arm out of its ease,
 * and marks for what is not allowed, so that something always comes back. What each part weighs,
 * and why, stands in WEIGHTS and MARKS.
 *
 *   cost = 4 ln²(D/D*) + 0.6 (cv/limit)² + 0.6 (1−TE) + 0.8 loss + 0.6((v−0.45)/0.3)² +
 * 0.4((z−z0)/0.05)² + …
 *                                                                                          [cost-1]
 *   v = film(v = 1)/wanted film, held to what an arm can do                                [cost-2]
 *
 * Source  judgement, tuned until it chose what able painters set (MODEL 17.2)
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { HumidAir } from '../air/humidAir.ts';
import { clamp } from '../numerics/rounding.ts';
import { GUNS } from '../trade/gunClasses.ts';
import type { Paint } from '../mix/paint.ts';
import { fanProfile } from './fan.ts';
import type { GunModel } from './gunModel.ts';
import { HAND_M_PER_S } from './technique.ts';
import type { Ripple } from './ripple.ts';
import { dropWindowUm, wetnessOf, type Spray } from './spray.ts';
import type { Gun } from './gun.ts';

/** Pressure in whole psi, as a gauge in the shop shows it. */
export type Candidate = {
  psi: number;
  turns: number;
  fanShare: number;
  distanceMm: number;
  overlap: number;
};
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
export type Costed = {
  candidate: Candidate;
  spray: Spray;
  gunSpeedMPerS: number;
  ripple: Ripple;
  wetness: number;
  cost: number;
};

/**
 * What each part of a setting weighs beside the others. 1 is about what an able painter would set
 * the gun anew for.
 */
const WEIGHTS = {
  /**
   * Drops first: nothing else on the panel can be better than what leaves the cap. On ln of the
   * size, from the middle of its window.
   */
  drops: 4,
  /** Ripple against what this paint forgives. */
  ripple: 0.6,
  /** Paint in the air: its share where nobody set a limit, against the limit where one is set. */
  fog: 0.6,
  /** Solvent lost on the way: it lands dry and stands up. */
  flightLoss: 0.8,
  /** The arm away from 0.45 m/s, in steps of 0.3. */
  hand: 0.6,
  /** The gun away from where practice holds it, in steps of 50 mm. */
  distance: 0.4,
  /** A fan that splits shows as two stripes. */
  split: 1.5,
  /**
   * Too little paint for the wet edge to last; small guns are used for small things. On ln of the
   * flow.
   */
  wetEdge: 1,
  /** The needle away from where practice has it, in quarters of its travel. */
  needle: 0.25,
  /** Pressure away from the middle of its band: hardly, the band already holds it. */
  pressure: 0.05,
} as const;
/** What is not allowed is marked, and the more the further, so that there is always a least bad. */
const MARKS = {
  dropsOutside: 0.5,
  /** One pass lays four fifths of the whole film: no second chance for a stripe. */
  onePass: { over: 0.8, flat: 0.6 },
  /** No arm moves so. */
  hand: { flat: 0.5, slope: 25 },
  /** It would land dry. */
  dry: { flat: 0.3, slope: 8 },
  /** More air than there is. */
  air: { flat: 0.5, slope: 20 },
  /** More fog than was asked for. */
  fog: { flat: 0.5, slope: 6 },
} as const;
const EASE = { handMPerS: 0.45, handStepMPerS: 0.3, distanceStepM: 0.05 } as const;
/** Landed volume a second that keeps a wet edge, over the wanted film. */
const WET_EDGE_M2_PER_S = 0.02;

/** What one candidate does on the panel, at the hand that lays the wanted film or comes nearest. */
type Laid = {
  spray: Spray;
  ripple: Ripple;
  freeMPerS: number;
  gunSpeedMPerS: number;
  wetness: number;
  peakM: number;
  oversprayGPerMin: number;
};

/** The candidate with its cost; nothing landing costs without end. [cost-1] */
export function costOf(
  bounds: PlanBounds,
  candidate: Candidate,
  spray: Spray,
  ripple: Ripple,
): Costed {
  if (spray.landing.landedM3PerS <= 0)
    return { candidate, spray, gunSpeedMPerS: 0, ripple, wetness: 0, cost: Infinity };
  const laid = laidBy(bounds, candidate, spray, ripple);
  const { gunSpeedMPerS, wetness } = laid;
  return {
    candidate,
    spray,
    gunSpeedMPerS,
    ripple,
    wetness,
    cost: qualityCost(bounds, candidate, laid) + marksOf(bounds, laid),
  };
}

/** [cost-2] */
function laidBy(bounds: PlanBounds, candidate: Candidate, spray: Spray, ripple: Ripple): Laid {
  const { landing } = spray;
  const fanWidthM = spray.fanWidthMm / 1000;
  const stepM = fanWidthM * (1 - candidate.overlap);
  const freeMPerS = landing.landedM3PerS / (bounds.wetFilmUm * 1e-6 * stepM);
  const gunSpeedMPerS = clamp(freeMPerS, HAND_M_PER_S.slowest, HAND_M_PER_S.quickest);
  const profile = fanProfile(spray);
  return {
    spray,
    ripple,
    freeMPerS,
    gunSpeedMPerS,
    wetness: wetnessOf(spray, bounds.materialClass, landing.landedM3PerS / (gunSpeedMPerS * stepM)),
    peakM:
      (landing.landedM3PerS * Math.max(profile(0), profile(0.5)) * 2) / (fanWidthM * gunSpeedMPerS),
    oversprayGPerMin:
      (spray.fluidMlPerMin * bounds.paint.densityKgPerM3 * (1 - landing.transferFraction)) / 1000,
  };
}

function qualityCost(
  bounds: PlanBounds,
  candidate: Candidate,
  { spray, ripple, gunSpeedMPerS, oversprayGPerMin }: Laid,
): number {
  const { materialClass, gun, model, mostOversprayGPerMin } = bounds;
  const { landing, sauterUm } = spray;
  const [least, most] = dropWindowUm(materialClass, gun.class);
  const [foot, top] = bounds.wholeBandPsi;
  const usualTurns = (bounds.needleTurnsOfFour * model.fullFluidTurns) / 4;
  const fog =
    mostOversprayGPerMin === undefined
      ? 1 - landing.transferFraction
      : (oversprayGPerMin / mostOversprayGPerMin) ** 2;
  const wetEdge = Math.max(
    0,
    Math.log((WET_EDGE_M2_PER_S * bounds.wetFilmUm * 1e-6) / landing.landedM3PerS),
  );
  return (
    WEIGHTS.drops * Math.log(sauterUm / Math.sqrt(least * most)) ** 2 +
    WEIGHTS.ripple * (ripple.total / MATERIALS[materialClass].spray.rippleLimit) ** 2 +
    WEIGHTS.fog * fog +
    WEIGHTS.flightLoss * landing.loss +
    WEIGHTS.hand * ((gunSpeedMPerS - EASE.handMPerS) / EASE.handStepMPerS) ** 2 +
    WEIGHTS.distance *
      ((candidate.distanceMm / 1000 - bounds.usualDistanceMm / 1000) / EASE.distanceStepM) ** 2 +
    WEIGHTS.split * spray.split +
    (GUNS[gun.class].isSmall ? 0 : WEIGHTS.wetEdge * wetEdge ** 2) +
    WEIGHTS.needle * (((candidate.turns - usualTurns) * 4) / model.fullFluidTurns) ** 2 +
    WEIGHTS.pressure * ((candidate.psi - (foot + top) / 2) / Math.max(0.5, (top - foot) / 2)) ** 2
  );
}

function marksOf(
  bounds: PlanBounds,
  { spray, freeMPerS, gunSpeedMPerS, wetness, peakM, oversprayGPerMin }: Laid,
): number {
  const [least, most] = dropWindowUm(bounds.materialClass, bounds.gun.class);
  const { mostAirLPerMin, mostOversprayGPerMin } = bounds;
  const over = (share: number, { flat, slope }: { flat: number; slope: number }) =>
    flat + slope * Math.log(share) ** 2;
  let cost = 0;
  if (spray.sauterUm < least || spray.sauterUm > most) cost += MARKS.dropsOutside;
  if (peakM > MARKS.onePass.over * bounds.wetFilmUm * 1e-6) cost += MARKS.onePass.flat;
  if (Math.abs(freeMPerS - gunSpeedMPerS) > 1e-9)
    cost += over(freeMPerS / gunSpeedMPerS, MARKS.hand);
  if (wetness < 1) cost += MARKS.dry.flat + MARKS.dry.slope * (1 - wetness) ** 2;
  if (mostAirLPerMin !== undefined && spray.airFlowLPerMin > mostAirLPerMin)
    cost += over(spray.airFlowLPerMin / mostAirLPerMin, MARKS.air);
  if (mostOversprayGPerMin !== undefined && oversprayGPerMin > mostOversprayGPerMin)
    cost += over(oversprayGPerMin / mostOversprayGPerMin, MARKS.fog);
  return cost;
}
