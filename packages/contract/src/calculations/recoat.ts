import { Limits } from '../shapes/climate.ts';
import { Carrier } from '../shapes/trade.ts';
import { NEXT_STEPS } from '@orthochrom/core/trade/vocabulary.ts';
import { recoatOf, TOUCHES, LOOKS, CLEANERS, READY_TESTS } from '@orthochrom/core/film/recoat.ts';
import { z } from 'zod';
import { optional, wanted } from '../quantity/fields.ts';
import { Climate } from '../shapes/climate.ts';
import { Layer, StepsSlower } from '../shapes/film.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const Touch = z.enum(TOUCHES);

export const TouchTests = z.strictObject({
  touch: Touch.optional(),
  edge: Touch.optional(),
  look: z.enum(LOOKS).optional(),
});

export const recoatCalculation = defineCalculation('recoat', {
  input: z.strictObject({
    layer: Layer,
    climate: Climate,
    ...wanted('minutesSince'),
    ...optional('wetFilmUm'),
    reducer: StepsSlower.optional(),
    next: z.enum(NEXT_STEPS),
    mistCoat: z.boolean().optional(),
    tests: TouchTests.optional(),
    blower: z.strictObject({ ...wanted('inletKPa', 'distanceMm'), angled: z.boolean() }).optional(),
    cleaner: z.enum(CLEANERS).optional(),
    over: z.strictObject({ carrier: Carrier, limits: Limits.optional() }).optional(),
    limits: Limits.optional(),
  }),
  answer: () =>
    z.strictObject({
      ready: z.boolean(),
      confirmed: z.boolean(),
      remainingMinutes: Spread,
      earliestMinutes: Spread,
      sheetMinutes: z.number(),
      floorMinutes: z.number(),
      latestMinutes: z.number().optional(),
      test: z.strictObject({
        what: z.enum(READY_TESTS),
        where: z.array(z.string()),
        text: z.string(),
      }),
      ...explained,
    }),
  compute: recoatOf,
});
