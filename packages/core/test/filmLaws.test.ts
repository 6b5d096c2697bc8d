/** Laws of the film over random coats, in air and warmth as shops have them. */
import type { MaterialClass } from '../src/trade/materialClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FilmRun } from '../src/film/filmNotes.ts';
import { film, type Job } from './filmJob.ts';

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
