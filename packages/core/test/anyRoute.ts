/** Jobs as they come: a body, some of its panels, a hand, an air. */
import fc from 'fast-check';
import { BODIES, bodyMap } from '../src/body/bodyMap.ts';
import type { RouteInput } from '../src/route/routeInput.ts';
import { AIRFLOWS } from '../src/trade/vocabulary.ts';

const CARS = BODIES.filter((body) => body !== 'parts');

/** Jobs of up to so many panels. */
export const anyJob = (most: number): fc.Arbitrary<RouteInput> =>
  fc
    .record({
      body: fc.constantFrom(...CARS),
      airflow: fc.constantFrom(...AIRFLOWS),
      openTimeMinutes: fc.constantFrom(1, 2, 4, 9, 14),
      gunSpeedMPerS: fc.double({ min: 0.3, max: 0.8, noNaN: true }),
      stepMm: fc.integer({ min: 40, max: 110 }),
      carrier: fc.constantFrom('solvent' as const, 'waterborne' as const),
    })
    .chain((job) =>
      fc
        .shuffledSubarray(
          bodyMap(job.body).panels.map(({ id }) => id),
          { minLength: 1, maxLength: most },
        )
        .map((panels) => ({ ...job, panels })),
    );
