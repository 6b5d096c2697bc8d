/** A film laid and dried by one job: what the vectors and the laws are asked of. */
import { MATERIALS, type MaterialClass } from '../src/trade/materialClasses.ts';
import { splitArrival } from '../src/film/arrival.ts';
import { AS_THE_CARD, FINE, runFilm, type Mesh } from '../src/film/filmRun.ts';
import type { FilmRun } from '../src/film/filmNotes.ts';
import { peelIndex, steepnessOf } from '../src/film/levelling.ts';
import { mixtureOf } from '../src/material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../src/evaporation/solvents.ts';

export type Job = {
  material: MaterialClass;
  films: number[];
  arrived: number;
  dropUm: number;
  airC: number;
  humidity?: number;
  speed?: number;
  seconds: number;
  gap?: number;
  grade?: number;
  /** Grade that sets the pace, where it is not a medium one. */
  paceOf?: number;
  slopeDeg?: number;
  groundM?: number[];
};
type Film = FilmRun & {
  peel: number;
  runMm: number;
  flowedMm: number;
  volatileUm: number;
  dryUm: number;
};
export function film(job: Job, mesh: Mesh = FINE): Film {
  const mixture = mixtureOf(MATERIALS[job.material], undefined, {
    slowFraction: job.grade ?? MEDIUM_SLOW_FRACTION,
  });
  const run = runFilm(
    {
      coats: job.films.map((um, i) => ({
        materialClass: job.material,
        mixture,
        wetFilmM: um * 1e-6,
        arrived: splitArrival(mixture, job.arrived),
        dropM: job.dropUm * 1e-6,
        landsAtSeconds: i * (job.gap ?? 900),
        gradeSlowFraction: job.paceOf ?? MEDIUM_SLOW_FRACTION,
        hardenerSpeed: 1,
        viscosityFactor: 1,
      })),
      around: {
        roomAir: { airTemperatureC: job.airC, relativeHumidityPercent: job.humidity ?? 50 },
        airSpeedMPerS: job.speed ?? 0.3,
        substrate: 'metal',
      },
      panelC: job.airC,
      slopeDeg: job.slopeDeg ?? 90,
      endSeconds: job.seconds,
      ...(job.groundM ? { groundM: job.groundM } : {}),
    },
    AS_THE_CARD,
    mesh,
  );
  return {
    ...run,
    peel: peelIndex(steepnessOf(run.amplitudesM)),
    runMm: run.runM * 1000,
    flowedMm: run.flowedM * 1000,
    volatileUm: run.volatileM.reduce((sum, m) => sum + m, 0) * 1e6,
    dryUm: run.solidsM * 1e6,
  };
}
