/**
 * What the air does to a coat beside drying it: flake that floats or locks, pinholes over water,
 * damp that settles.
 */
import { dewPointC } from '../air/humidAir.ts';
import { solventEvaporation, waterEvaporation } from '../evaporation/evaporationIndex.ts';
import { coldness, filmConstants, filmPaS } from '../film/filmLaws.ts';
import type { FilmRun } from '../film/filmNotes.ts';
import { dryFilmM, effectiveCOf, landedSolids, type Job } from '../film/job.ts';
import { blushLogit, mottleIndex, pinholeLogit } from '../risk/links.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { CoatPlan } from './coatPlan.ts';
import { kelvin } from '../units/physical.ts';

/** Absent where it cannot come: no flake, no water, no solvent. */
export type EffectRisks = {
  mottle?: number | undefined;
  pinholeLogit?: number | undefined;
  blushLogit?: number | undefined;
};

export type AirOverPanel = { evaporation: number; isWaterborne: boolean };
/** How quickly the air over this panel dries this paint: E, or E_wb where water carries it. */
export function airOverPanel(
  { rig: { paint, roomAir }, airSpeedMPerS }: CoatPlan,
  job: Job,
): AirOverPanel {
  const isWaterborne = MATERIALS[paint.materialClass].waterFraction !== undefined;
  return {
    isWaterborne,
    evaporation: isWaterborne
      ? waterEvaporation(roomAir, airSpeedMPerS)
      : solventEvaporation({
          slowFraction: paint.gradeSlowFraction,
          effectiveC: effectiveCOf(job),
          airSpeedMPerS,
        }),
  };
}

/** The film that its class is usually laid at, m. */
export const usualFilmM = ({ rig: { paint } }: CoatPlan): number =>
  MATERIALS[paint.materialClass].film.wetFilmUm * 1e-6;

/** @param viscosity of what is not known about it, as a multiplier */
export function effectRisksOf(
  plan: CoatPlan,
  job: Job,
  run: FilmRun,
  { viscosity, air }: { viscosity: number; air: AirOverPanel },
): EffectRisks {
  const { paint, roomAir } = plan.rig;
  const last = job.coats.at(-1)!;
  const material = MATERIALS[paint.materialClass];
  const { isWaterborne, evaporation } = air;
  const filmShare = last.wetFilmM / usualFilmM(plan);
  const constants = filmConstants(material, material.film);
  const coldPaS = filmPaS(constants, landedSolids(last), coldness(kelvin(plan.panelC)), 0);
  const landedPaS = coldPaS * paint.viscosityFactor * viscosity;
  const volatile = (job.heat ? run.topVolatileAtHeatM : run.volatileM.at(-1)) ?? 0;
  const mottle = (usual: NonNullable<typeof material.flake>): number =>
    mottleIndex({
      filmShare,
      skinSeconds: run.skinSeconds.at(-1) ?? wetSecondsOf(job, usual.skinSeconds, filmShare, air),
      lockedIn: Math.max(
        0,
        Math.log(evaporation / FLAKE_FOLLOWS[isWaterborne ? 'water' : 'solvent']),
      ),
      landedPaS,
      reducerShare: paint.reducerShare,
      usual,
    });
  const ofCarrier = isWaterborne
    ? {
        pinholeLogit: pinholeLogit({
          filmShare,
          airSpeedMPerS: plan.airSpeedMPerS,
          volatileAtNext: volatile / Math.max(1e-12, volatile + dryFilmM(last)),
        }),
      }
    : {
        blushLogit: blushLogit({
          dewC: dewPointC(roomAir),
          panelC: plan.panelC,
          evaporation,
          cures: material.film.curePerHour > 0,
        }),
      };
  return {
    ...(material.flake && plan.isEffect ? { mottle: mottle(material.flake) } : {}),
    ...ofCarrier,
  };
}

/** Air that dries quicker than this locks the flake in as it lies. */
const FLAKE_FOLLOWS = { water: 1.5, solvent: 1.6 } as const;

/**
 * A coat that had no skin when it was last looked at stayed wet for at least as long, and longer in
 * damp air and where it is thick.
 */
function wetSecondsOf(
  job: Job,
  usualSeconds: number,
  filmShare: number,
  { isWaterborne, evaporation }: AirOverPanel,
): number {
  const { heat, lookMinutes = 0 } = job;
  const after = heat
    ? heat.holdMinutes + Math.max(0, heat.toC - job.panelC) / heat.rampCPerMin
    : lookMinutes;
  const seenSeconds = (job.coats.at(-1)!.flashMinutes + after) * 60;
  const drying = isWaterborne ? Math.max(evaporation, LEAST_DRYING) ** WET_TIME_POWER : 1;
  return Math.max(seenSeconds, (usualSeconds / drying) * filmShare);
}
const LEAST_DRYING = 0.02;
const WET_TIME_POWER = 0.9;
