import { compressorOf } from '@orthochrom/core/compressedAir/compressor.ts';
import { z } from 'zod';
import { contradiction, moreThanZero, optional, wanted } from '../quantity/fields.ts';
import { verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const compressorCalculation = defineCalculation('compressor', {
  input: z
    .strictObject({
      ...wanted('tankL', 'freeAirLPerMin'),
      ...optional('freeAirAtKPa'),
      ...wanted(
        'cutInKPa',
        'cutOutKPa',
        'gunAirFlowLPerMin',
        'neededKPa',
        'triggerOnSeconds',
        'triggerOffSeconds',
      ),
      runMinutes: moreThanZero('runMinutes'),
    })
    .superRefine(({ cutInKPa, cutOutKPa }, ctx) => {
      if (cutOutKPa <= cutInKPa)
        ctx.addIssue(
          contradiction(['cutOutKPa'], `cutOutKPa ${cutOutKPa} is not over cutInKPa ${cutInKPa}`),
        );
    }),
  answer: () =>
    z.strictObject({
      sustains: z.boolean(),
      secondsUntilShort: z.number().optional(),
      restSeconds: z.number().optional(),
      dutyPercent: z.number(),
      trace: z.array(z.strictObject({ seconds: z.number(), tankKPa: z.number() })),
      ...verdictsShape,
    }),
  compute: compressorOf,
});
