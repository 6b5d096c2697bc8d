import { recoatOf } from '@orthochrom/core/film/recoat.ts';
import { z } from 'zod';
import { optional, wanted } from '../quantity/fields.ts';
import { Climate } from '../shapes/climate.ts';
import { Layer } from '../shapes/film.ts';
import { explained, Spread } from '../shapes/told.ts';
import { defineCalculation } from './define.ts';

const Touch = z.enum(['dry', 'tacky', 'marks']);

export const TouchTests = z.strictObject({
  touch: Touch.optional(),
  edge: Touch.optional(),
  look: z.enum(['matt', 'gloss']).optional(),
});

export const recoat = defineCalculation('recoat', {
  input: z.strictObject({
    layer: Layer,
    climate: Climate,
    ...wanted('minutesSince'),
    ...optional('wetFilmUm'),
    reducer: z.strictObject({ stepsSlower: z.number().min(-10).max(10) }).optional(),
    next: z.enum(['coat', 'clear', 'tape', 'sandDry', 'sandWet', 'wipe', 'bake', 'polish']),
    mistCoat: z.boolean().optional(),
    tests: TouchTests.optional(),
    blower: z.strictObject({ ...wanted('inletKPa', 'distanceMm'), angled: z.boolean() }).optional(),
    cleaner: z.enum(['solvent', 'water']).optional(),
  }),
  answer: z.strictObject({
    ready: z.boolean(),
    confirmed: z.boolean(),
    remainingMinutes: Spread,
    earliestMinutes: Spread,
    latestMinutes: z.number().optional(),
    test: z.strictObject({ what: z.enum(['touch', 'thumbTwist', 'tape', 'nail']), where: z.array(z.string()), text: z.string() }),
    ...explained,
  }),
  compute: recoatOf,
});
