/**
 * The popping risk of a job: its coats against their sheets, and what two runs of the film say the
 * stack still holds (MODEL 14).
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import { SHEET_AIR_SPEED_M_PER_S } from '../air/airMovement.ts';
import { solventEvaporation, waterEvaporation } from '../evaporation/evaporationIndex.ts';
import { splitArrival, usualLoss } from '../film/arrival.ts';
import { AS_THE_CARD, runFilm, type Mesh, COARSE } from '../film/filmRun.ts';
import { effectiveCOf, landingSeconds, type Job, type JobCoat } from '../film/job.ts';
import { mixtureOf } from '../material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../evaporation/solvents.ts';
import { climateNeed, popTerms, type PopCoat, type PopInput, type PopTerm } from './pop.ts';

/** The air of the runs that are compared: the sheet's, so that only films and times differ. */
const SHEET_ROOM = { airTemperatureC: 21, relativeHumidityPercent: 50 };

export type PopJob = Job & { hardenerSpeed?: number | undefined; sheetCoats?: number | undefined };

/** A coat of a job as popping asks for it. */
export function popCoatOf(coat: JobCoat, job: Job): PopCoat {
  const { flashFit: fit, carrier } = MATERIALS[coat.materialClass];
  const evaporation = (slowFraction: number, effectiveC: number) =>
    solventEvaporation({ slowFraction, effectiveC, airSpeedMPerS: SHEET_AIR_SPEED_M_PER_S });
  const sheetAir = {
    airTemperatureC: coat.sheet.atC,
    relativeHumidityPercent: coat.sheet.atHumidityPercent,
  };
  return {
    isTopMaterial: coat.isTopMaterial,
    isWaterborne: carrier === 'waterborne',
    filmShare: coat.wetFilmM / coat.sheet.wetFilmM,
    sheetFilm: coat.sheet.wetFilmM,
    flashMinutes: coat.flashMinutes,
    sheetMinutes: coat.sheet.waitMinutes,
    exponents: { evaporation: fit.evaporation, film: fit.film },
    relativeEvaporation:
      evaporation(coat.gradeSlowFraction, effectiveCOf(job)) /
      evaporation(MEDIUM_SLOW_FRACTION, coat.sheet.atC),
    waterEvaporation:
      waterEvaporation(job.roomAir, job.airSpeedMPerS) /
      waterEvaporation(sheetAir, SHEET_AIR_SPEED_M_PER_S),
    airSpeedMPerS: job.airSpeedMPerS,
    airFromMinute: 0,
  };
}

/**
 * What the stack still holds at heat over what the sheet's own would. @param mesh of the two runs
 * that are compared
 */
export function retainedOf(job: Job, mesh: Mesh = COARSE): number {
  const coats = job.coats.map((coat) => popCoatOf(coat, job));
  const effectiveC = effectiveCOf(job);
  const films = job.coats.map(({ wetFilmM }) => wetFilmM);
  const gaps = coats.map((coat) => coat.flashMinutes / climateNeed(coat, effectiveC));
  const sheets = sheetsOwn(job.coats, mesh);
  return sheets > 0 ? Math.max(leftOf(job.coats, films, gaps, mesh), 1e-12) / sheets : 1;
}

/** Terms of the log-odds. */
export function popOfJob(job: PopJob, retained: number = retainedOf(job)): Record<PopTerm, number> {
  const coats = job.coats.map((coat) => popCoatOf(coat, job));
  const effectiveC = effectiveCOf(job);
  const input: PopInput = {
    coats,
    effectiveC,
    roomSpeedMPerS: job.airSpeedMPerS,
    ...(job.hardenerSpeed === undefined ? {} : { hardenerSpeed: job.hardenerSpeed }),
    ...(job.heat ? { heat: job.heat } : {}),
    ...(job.sheetCoats === undefined ? {} : { sheetCoats: job.sheetCoats }),
    retained,
  };
  return popTerms(input);
}

type Named = { materialClass: MaterialClass };

/** Volatile left, m, when heat would come on. */
function leftOf(
  coats: readonly Named[],
  filmsM: readonly number[],
  gapsMinutes: readonly number[],
  mesh: Mesh,
): number {
  const lands = landingSeconds(gapsMinutes.map((flashMinutes) => ({ flashMinutes })));
  const run = runFilm(
    {
      coats: coats.map(({ materialClass }, i) => {
        const mixture = mixtureOf(MATERIALS[materialClass], undefined, {
          slowFraction: MEDIUM_SLOW_FRACTION,
        });
        const loss = usualLoss(materialClass, mixture, {
          effectiveC: SHEET_ROOM.airTemperatureC,
          airSpeedMPerS: SHEET_AIR_SPEED_M_PER_S,
        });
        return {
          materialClass,
          mixture,
          wetFilmM: filmsM[i]!,
          arrived: splitArrival(mixture, 1 - loss),
          dropM: 30e-6,
          landsAtSeconds: lands[i]!,
          gradeSlowFraction: MEDIUM_SLOW_FRACTION,
          hardenerSpeed: 1,
          viscosityFactor: 1,
        };
      }),
      around: { roomAir: SHEET_ROOM, airSpeedMPerS: SHEET_AIR_SPEED_M_PER_S, substrate: 'metal' },
      panelC: SHEET_ROOM.airTemperatureC,
      slopeDeg: 0,
      dryingOnly: true,
      endSeconds: (lands.at(-1) ?? 0) + (gapsMinutes.at(-1) ?? 0) * 60,
    },
    AS_THE_CARD,
    mesh,
  );
  return run.volatileM.reduce((sum, m) => sum + m, 0);
}

/** What the sheet's own stack holds never changes: kept for the stacks met last. */
const kept = new Map<string, number>();
const MOST_KEPT = 200;
function sheetsOwn(coats: readonly JobCoat[], mesh: Mesh): number {
  const key = JSON.stringify([
    mesh,
    coats.map(({ materialClass, sheet }) => [materialClass, sheet.wetFilmM, sheet.waitMinutes]),
  ]);
  const known = kept.get(key);
  if (known !== undefined) return known;
  const left = leftOf(
    coats,
    coats.map(({ sheet }) => sheet.wetFilmM),
    coats.map(({ sheet }) => sheet.waitMinutes),
    mesh,
  );
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(key, left);
  return left;
}
