/**
 * Coats as they are sprayed one after another in one place: what each is, when it lands, and what
 * its sheet wants.
 */
import { VOLATILES } from '../evaporation/solvents.ts';
import type { Substrate } from '../trade/vocabulary.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import type { HumidAir } from '../air/humidAir.ts';
import type { LaidCoat } from './stack.ts';
import { runFilm, type FilmFactors, type Mesh } from './filmRun.ts';
import type { FilmRun } from './filmNotes.ts';

export type JobCoat = Omit<LaidCoat, 'landsAtSeconds'> & {
  /** Until the next coat lands; of the last one until heat, or until it is looked at. */
  flashMinutes: number;
  /** False for what was there before: its popping counts less. */
  isTopMaterial: boolean;
  sheet: { wetFilmM: number; waitMinutes: number; atC: number; atHumidityPercent: number };
};
export type Job = {
  /** Lowest first. */
  coats: readonly JobCoat[];
  roomAir: HumidAir;
  panelC: number;
  airSpeedMPerS: number;
  substrate: Substrate;
  slopeDeg: number;
  heat?: { toC: number; rampCPerMin: number; holdMinutes: number } | undefined;
  /** After the last wait where there is no heat; how long it is looked at. */
  lookMinutes?: number | undefined;
  /** Stops where the last coat is ready. */
  untilReady?: boolean | undefined;
  keepTrace?: boolean | undefined;
  /** Ripple of the ground at the three wavelengths, m. */
  groundM?: readonly number[] | undefined;
};

/** The temperature the film works at, °C. */
export const effectiveCOf = ({
  roomAir,
  panelC,
  substrate,
}: Pick<Job, 'roomAir' | 'panelC' | 'substrate'>): number =>
  effectiveTemperatureC({
    airTemperatureC: roomAir.airTemperatureC,
    panelTemperatureC: panelC,
    substrate,
  });

/** Start of each coat on a clock that begins with the first, s. */
export function landingSeconds(coats: readonly { flashMinutes: number }[]): number[] {
  let at = 0;
  return coats.map(({ flashMinutes }) => {
    const lands = at;
    at += flashMinutes * 60;
    return lands;
  });
}

/** The film of a job over time. */
export function runJob(job: Job, factors?: FilmFactors, mesh?: Mesh): FilmRun {
  const lands = landingSeconds(job.coats);
  const waitedSeconds = (lands.at(-1) ?? 0) + (job.coats.at(-1)?.flashMinutes ?? 0) * 60;
  const { heat } = job;
  const rampMinutes = heat ? Math.max(0, heat.toC - job.panelC) / heat.rampCPerMin : 0;
  return runFilm(
    {
      coats: job.coats.map((coat, i) => ({ ...coat, landsAtSeconds: lands[i]! })),
      around: { roomAir: job.roomAir, airSpeedMPerS: job.airSpeedMPerS, substrate: job.substrate },
      panelC: job.panelC,
      slopeDeg: job.slopeDeg,
      endSeconds:
        waitedSeconds +
        (heat ? (rampMinutes + heat.holdMinutes) * 60 : (job.lookMinutes ?? 0) * 60),
      ...(heat
        ? { heat: { onAtSeconds: waitedSeconds, toC: heat.toC, rampKPerMin: heat.rampCPerMin } }
        : {}),
      ...(job.keepTrace ? { keepTrace: true } : {}),
      ...(job.untilReady ? { untilReady: true } : {}),
      ...(job.groundM ? { groundM: job.groundM } : {}),
    },
    factors,
    mesh,
  );
}

/** Solids share of a coat as it landed. */
export const landedSolids = ({ mixture, arrived }: JobCoat): number => {
  const still = VOLATILES.reduce((sum, name) => sum + mixture.volatile[name] * arrived[name], 0);
  return mixture.solids / (mixture.solids + (1 - mixture.solids) * still);
};
/** What is left of it when all has gone that will, m. */
export const dryFilmM = (coat: JobCoat): number => coat.wetFilmM * landedSolids(coat);
