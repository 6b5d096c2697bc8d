/**
 * One gun with this paint in this air, as its own tests have it: what a coat at given settings lays
 * down.
 */
import { stepMmOf } from '../gun/overlap.ts';
import type { GunAndPaint } from '../gun/testedModel.ts';
import { fanProfile } from '../gun/fan.ts';
import { testsOf, type GunTest, type KnownSettings } from '../gun/gun.ts';
import type { GunModel } from '../gun/gunModel.ts';
import { handWanderM, rippleOf } from '../gun/ripple.ts';
import { sprayOf, stripeIndexOf, wetnessOf, type Spray } from '../gun/spray.ts';
import { arcOf, tilted, type UnsteadyHand } from './unsteadyHand.ts';

/** What nobody measured, as multipliers: 1 as the card or the gun's own tests have it. */
export type GunFactors = { viscosity: number; evaporation: number; film: number };
export const MEASURED: GunFactors = { viscosity: 1, evaporation: 1, film: 1 };

export type CoatRig = GunAndPaint & { technique?: UnsteadyHand | undefined };
export type Sprayed = {
  spray: Spray;
  /** Mean film of the coat, m, and its highest place over that. */
  filmM: number;
  localShare: number;
  wetness: number;
  ripple: { passes: number; hand: number; total: number };
  stripeIndex: number;
  stepMm: number;
  fanWidthMm: number;
  transferFraction: number;
  profile: (s: number) => number;
};

/** Spread of hand-drawn lines about their step, m. */
export function drawnWanderM(tests: readonly GunTest[]): number | undefined {
  const lines = tests.findLast((test) => test.kind === 'lines');
  if (lines?.kind !== 'lines' || lines.measuredMm.length < 3) return undefined;
  const squares = lines.measuredMm.reduce((sum, mm) => sum + (mm - lines.stepMm) ** 2, 0);
  // Two lines wander apart: a step is as uncertain as both.
  return Math.sqrt(squares / lines.measuredMm.length / 2) / 1000;
}

/** The gun's spray from a distance, mm, with what nobody measured taken in. */
const sprayFrom =
  ({ paint, roomAir }: CoatRig, model: GunModel, settings: KnownSettings, factors: GunFactors) =>
  (distanceMm: number): Spray =>
    sprayOf({
      ...settings,
      distanceMm,
      model,
      materialClass: paint.materialClass,
      paint:
        factors.viscosity === 1
          ? paint
          : { ...paint, viscosityPaS: paint.viscosityPaS * factors.viscosity },
      roomAir,
      evaporation: factors.evaporation,
    });

/** How uneven passes, a wandering and an unsteady hand leave the film. */
function unevenFilm(
  { gun, technique }: CoatRig,
  settings: KnownSettings,
  { spray, stepMm, uneven }: { spray: Spray; stepMm: number; uneven: number },
): Pick<Sprayed, 'profile' | 'ripple'> {
  const fanWidthM = spray.fanWidthMm / 1000;
  const profile = tilted(fanProfile(spray), {
    tiltDeg: technique?.tiltDeg ?? 0,
    distanceM: settings.distanceMm / 1000,
    fanWidthM,
  });
  const wanderM = drawnWanderM(testsOf(gun, settings.nozzleMm)) ?? handWanderM(fanWidthM);
  const passes = rippleOf(profile, { fanWidthM, stepM: stepMm / 1000, wanderM });
  return { profile, ripple: { ...passes, total: Math.hypot(passes.total, uneven) } };
}

/**
 * A coat at these settings. @param heldFilmM where an eye holds the film there, whatever is unknown
 * about gun and paint
 */
export function sprayedBy(
  rig: CoatRig,
  model: GunModel,
  settings: KnownSettings,
  factors: GunFactors = MEASURED,
  heldFilmM?: number,
): Sprayed {
  const { paint, technique } = rig;
  const at = sprayFrom(rig, model, settings, factors);
  const spray = at(settings.distanceMm);
  const stepMm = stepMmOf(settings, spray.fanWidthMm);
  const arc = technique?.arc
    ? arcOf(technique.arc, settings.distanceMm / 1000, (m) => {
        const there = at(m * 1000);
        return there.landing.landedM3PerS / Math.max(1e-9, there.fanWidthMm);
      })
    : { mean: 1, spread: 0 };
  const laidM =
    (arc.mean * spray.landing.landedM3PerS) / (settings.gunSpeedMPerS * (stepMm / 1000));
  const filmM = factors.film * (heldFilmM ?? laidM);
  const uneven = Math.hypot((technique?.speedWobblePercent ?? 0) / 100, arc.spread);
  const { profile, ripple } = unevenFilm(rig, settings, { spray, stepMm, uneven });
  const wetness = wetnessOf(spray, paint.materialClass, filmM);
  return {
    spray,
    filmM,
    localShare: 1 + 1.3 * uneven,
    wetness,
    ripple,
    stripeIndex: stripeIndexOf(paint.materialClass, {
      ripple: ripple.total,
      wetness,
      loss: spray.landing.loss,
    }),
    stepMm,
    fanWidthMm: spray.fanWidthMm,
    transferFraction: Math.min(0.98, spray.landing.transferFraction),
    profile,
  };
}
