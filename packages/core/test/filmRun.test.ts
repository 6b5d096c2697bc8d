/** The film over time: the card's vectors, its laws over random coats, and what the mesh does. */
import { MATERIALS, type MaterialClass } from '../src/trade/materialClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { splitArrival } from '../src/film/arrival.ts';
import { AS_THE_CARD, COARSE, FINE, runFilm, type Mesh } from '../src/film/filmRun.ts';
import { type FilmRun } from '../src/film/filmNotes.ts';
import { landingAmplitudeM, peelIndex, steepnessOf } from '../src/film/levelling.ts';
import { mixtureOf } from '../src/material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../src/evaporation/solvents.ts';

type Job = {
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
function film(job: Job, mesh: Mesh = FINE): Film {
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
const near = (value: number | undefined, wanted: number, share: number) =>
  expect(Math.abs(value! / wanted - 1), `${value} against ${wanted}`).toBeLessThanOrEqual(share);

describe("the card's reference vectors", () => {
  it('35: what a landing leaves, and how flat that is', () => {
    near(
      landingAmplitudeM(5e-3, { dropM: 30e-6, wetFilmM: 55e-6, viscosityPaS: 0.2 }),
      3.615e-7,
      0.005,
    );
    near(peelIndex(steepnessOf([0, 0.1e-6, 0.5e-6])), 6.408, 0.005);
  });
  it('36: a loss falls mostly on the quick solvent', () => {
    const still = splitArrival(mixtureOf(MATERIALS.clearMediumSolids), 0.78);
    near(still.fast, 0.5549, 0.005);
    near(still.middle, 0.8621, 0.005);
    near(still.slow, 0.9635, 0.005);
  });
  // Peel of a base is no risk of its own; the card's figure for it could not be found again from
  // its text (docs/MODEL.md).
  it.each([
    [
      '37',
      {
        material: 'clearMediumSolids',
        films: [55],
        arrived: 0.78,
        dropUm: 29,
        airC: 21,
        seconds: 3600,
      },
      [626.9, 3.865, 2.634, 8.465, 27.38, 3.328],
      0.01,
    ],
    [
      '38',
      {
        material: 'clearMediumSolids',
        films: [55, 55],
        arrived: 0.78,
        dropUm: 29,
        airC: 21,
        seconds: 7200,
      },
      [1066, 6.555, 2.634, 8.227, 54.75, 8.89],
      0.01,
    ],
    [
      '39',
      {
        material: 'clearHighSolids',
        films: [70],
        arrived: 0.76,
        dropUm: 31,
        airC: 21,
        seconds: 3600,
      },
      [1395, 8.758, 3.888, 9.686, 44.27, 6.456],
      0.01,
    ],
    [
      '40',
      {
        material: 'solventBase',
        films: [34],
        arrived: 0.82,
        dropUm: 28,
        airC: 22,
        grade: 0.484,
        seconds: 3600,
      },
      [684.9, 0.2766, 0.2566, 7.414, 6.237, 0.2808],
      0.02,
    ],
    [
      '41',
      {
        material: 'waterborneBase',
        films: [30],
        arrived: 0.98,
        dropUm: 28,
        airC: 21,
        speed: 2.5,
        seconds: 3600,
      },
      [356.1, 0.0387, NaN, 5.609, 5.447, 0.2546],
      0.08,
    ],
    [
      '42',
      {
        material: 'epoxyPrimer',
        films: [55, 55],
        arrived: 0.84,
        dropUm: 42,
        airC: 15,
        seconds: 7200,
      },
      [1185, 0.3133, 0.1916, 4.831, 48.67, 7.281],
      0.01,
    ],
  ] as [string, Job, number[], number][])(
    '%s',
    (_, job, [ready, flowed, longest, peel, dry, volatile], peelShare) => {
      const run = film(job);
      near(run.readySeconds.at(-1), ready!, 0.01);
      near(run.flowedMm, flowed!, 0.01);
      if (!Number.isNaN(longest)) near(run.runMm, longest!, 0.01);
      near(run.peel, peel!, peelShare);
      near(run.dryUm, dry!, 0.01);
      near(run.volatileUm, volatile!, 0.01);
      expect(run.massError).toBeLessThan(1e-6);
    },
  );
  it('a coarser mesh and longer steps move times by under a tenth where solvent rules, sag by 3 %', () => {
    for (const [material, um] of [
      ['clearMediumSolids', 55],
      ['singleStage', 50],
      ['epoxyPrimer', 55],
    ] as const) {
      const job: Job = { material, films: [um], arrived: 0.8, dropUm: 30, airC: 21, seconds: 3600 };
      const [fine, coarse] = [film(job), film(job, COARSE)];
      near(coarse.readySeconds[0], fine.readySeconds[0]!, 0.1);
      near(coarse.runMm, fine.runMm, 0.03);
    }
  });
  it('halving mesh and step moves the answer by little: readiness 6 %, sag 3 %', () => {
    const job: Job = {
      material: 'clearMediumSolids',
      films: [55],
      arrived: 0.78,
      dropUm: 29,
      airC: 21,
      seconds: 3600,
    };
    const halved = film(job, { cellsPerCoat: 16, tolerance: 0.01, longestSeconds: 10 });
    near(halved.readySeconds[0], film(job).readySeconds[0]!, 0.06);
    near(halved.runMm, film(job).runMm, 0.03);
  });
});

const solventClass = fc.constantFrom<MaterialClass>(
  'solventBase',
  'clearMediumSolids',
  'clearHighSolids',
  'singleStage',
  'solventSealer',
  'epoxyPrimer',
  'buildPrimer',
);
const jobs = fc.record({
  material: solventClass,
  um: fc.double({ min: 25, max: 70, noNaN: true }),
  coats: fc.constantFrom(1, 2),
  airC: fc.double({ min: 15, max: 33, noNaN: true }),
  humidity: fc.double({ min: 20, max: 70, noNaN: true }),
  speed: fc.double({ min: 0.15, max: 1, noNaN: true }),
  arrived: fc.double({ min: 0.6, max: 0.88, noNaN: true }),
  dropUm: fc.double({ min: 22, max: 45, noNaN: true }),
});
type Random = {
  material: MaterialClass;
  um: number;
  coats: number;
  airC: number;
  humidity: number;
  speed: number;
  arrived: number;
  dropUm: number;
};
const of = ({ um, coats, ...rest }: Random, more: Partial<Job> & { um?: number } = {}): Job => ({
  ...rest,
  films: Array.from({ length: coats }, () => more.um ?? um),
  seconds: 5400,
  ...more,
});
const law = (check: (job: Random) => void) => fc.assert(fc.property(jobs, check), { numRuns: 25 });
/**
 * Readiness is read between two steps of up to 20 s, of some 1500: that much of it is the steps'
 * own.
 */
const READ_BETWEEN_STEPS = 1.01;
const readyOf = ({ readySeconds }: FilmRun) => readySeconds.at(-1) ?? Infinity;

describe('laws of the film', () => {
  it('a wetter coat runs more, dries thicker, holds more solvent and is ready no sooner', () =>
    law((job) => {
      const [thin, thick] = [film(of(job)), film(of(job, { um: job.um * 1.15 }))];
      expect(thick.runMm).toBeGreaterThanOrEqual(thin.runMm);
      expect(thick.dryUm).toBeGreaterThan(thin.dryUm);
      expect(thick.volatileUm).toBeGreaterThan(thin.volatileUm);
      expect(readyOf(thick)).toBeGreaterThanOrEqual(readyOf(thin) * 0.98);
    }));
  it('a single wetter coat lies flatter', () =>
    law((job) => {
      const one = { ...job, coats: 1 };
      expect(film(of(one, { um: job.um * 1.15 })).peel).toBeGreaterThanOrEqual(
        film(of(one)).peel - 1e-9,
      );
    }));
  it('a slower grade keeps more solvent in, runs no less and lies no rougher', () =>
    law((job) => {
      const [quick, slow] = [film(of(job, { grade: 0.3 })), film(of(job, { grade: 0.5 }))];
      expect(slow.volatileUm).toBeGreaterThanOrEqual(quick.volatileUm * (1 - 1e-9));
      expect(slow.runMm).toBeGreaterThanOrEqual(quick.runMm * 0.99);
      expect(slow.peel).toBeGreaterThanOrEqual(quick.peel - 0.03);
    }));
  it('more air dries sooner and leaves less', () =>
    law((job) => {
      const [calm, brisk] = [film(of(job)), film(of(job, { speed: job.speed * 1.5 }))];
      expect(readyOf(brisk)).toBeLessThanOrEqual(readyOf(calm) * READ_BETWEEN_STEPS);
      // In the cold, over a film that lands half dry, a brisk air closes the skin sooner and shuts
      // a trace in: 0.12 % at the most found.
      expect(brisk.volatileUm).toBeLessThanOrEqual(calm.volatileUm * 1.003);
    }));
  it('warmth dries sooner and leaves less', () =>
    law((job) => {
      const [cool, warm] = [film(of(job)), film(of(job, { airC: job.airC + 4 }))];
      expect(readyOf(warm)).toBeLessThanOrEqual(readyOf(cool) * READ_BETWEEN_STEPS);
      expect(warm.volatileUm).toBeLessThan(cool.volatileUm);
    }));
  it('what arrives wetter runs more and dries thinner', () =>
    law((job) => {
      const [dry, wet] = [film(of(job)), film(of(job, { arrived: job.arrived + 0.08 }))];
      expect(wet.runMm).toBeGreaterThanOrEqual(dry.runMm);
      expect(wet.dryUm).toBeLessThan(dry.dryUm);
    }));
  it('steeper runs more, lying flat not at all; bigger drops and a rougher ground are never flatter', () =>
    law((job) => {
      const upright = film(of(job));
      expect(film(of(job, { slopeDeg: 40 })).runMm).toBeLessThanOrEqual(upright.runMm);
      expect(film(of(job, { slopeDeg: 0 })).runMm).toBe(0);
      expect(film(of(job, { dropUm: job.dropUm * 1.2 })).peel).toBeLessThanOrEqual(
        upright.peel + 1e-9,
      );
      expect(film(of(job, { groundM: [0, 5e-7, 2e-6] })).peel).toBeLessThanOrEqual(
        upright.peel + 1e-9,
      );
    }));
  it('nothing is lost: what landed is there or gone', () =>
    law((job) => {
      expect(film(of(job)).massError).toBeLessThan(1e-6);
    }));
  it('waterborne is later in damp air and sooner in moving air', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 22, max: 32, noNaN: true }),
        fc.double({ min: 20, max: 60, noNaN: true }),
        (um, humidity) => {
          const job: Job = {
            material: 'waterborneBase',
            films: [um],
            arrived: 0.98,
            dropUm: 28,
            airC: 22,
            humidity,
            seconds: 7200,
          };
          expect(readyOf(film({ ...job, humidity: humidity + 15 }))).toBeGreaterThan(
            readyOf(film(job)),
          );
          expect(readyOf(film({ ...job, speed: 1 }))).toBeLessThan(readyOf(film(job)));
        },
      ),
      { numRuns: 12 },
    ));
});
