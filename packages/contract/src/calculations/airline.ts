import { TERMS } from '../words/termWords.ts';
import { airlineOf, type AirlineInput } from '@orthochrom/core/compressedAir/airline.ts';
import { z } from 'zod';
import { optional, wanted } from '../quantity/fields.ts';
import { lineShape, lossGiven } from '../shapes/gun.ts';
import { explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const airlineCalculation = defineCalculation('airline', {
  input: z
    .strictObject({
      ...lineShape,
      ...wanted('wantedInletKPa', 'airFlowLPerMin'),
      ...optional('ratedInletKPa', 'airTemperatureC'),
    })
    .superRefine(lossGiven),
  answer: () =>
    z.strictObject({
      regulatorFlowingKPa: z.number(),
      regulatorStaticKPa: z.number(),
      lossKPa: z.number(),
      lossPercent: z.number(),
      airFlowLPerMin: z.number(),
      segments: z.array(z.strictObject({ name: z.string(), lossKPa: z.number() })),
      ...explained,
    }),
  compute: (input: AirlineInput) => {
    const { segments, ...answer } = airlineOf(input);
    return { ...answer, segments: segments.map((one) => ({ ...one, name: TERMS[one.name] })) };
  },
});
