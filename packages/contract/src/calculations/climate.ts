import { climateOf } from '@orthochrom/core/air/climate.ts';
import { z } from 'zod';
import { Carrier, climateShape, Limits, StageName } from '../shapes/climate.ts';
import { told } from '../shapes/told.ts';
import { defineCalculation } from './define.ts';

export const climate = defineCalculation('climate', {
  input: z.strictObject({
    ...climateShape,
    limits: Limits.optional(),
    next: z.strictObject({ carrier: Carrier, stage: StageName.optional() }).optional(),
    wettingFloor: z.boolean().optional(),
  }),
  answer: z.strictObject({
    dewPointC: z.number(),
    wetBulbC: z.number(),
    humidityRatioGPerKg: z.number(),
    panelMarginC: z.number().optional(),
    ...told,
  }),
  compute: climateOf,
});
