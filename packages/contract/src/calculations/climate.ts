import { LimitsInForce } from '../shapes/climate.ts';
import { Carrier, MaterialClass, StageName } from '../shapes/trade.ts';
import { climateOf } from '@orthochrom/core/inForce/climate.ts';
import { z } from 'zod';
import { climateShape, Limits } from '../shapes/climate.ts';
import { verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const climateCalculation = defineCalculation('climate', {
  input: z.strictObject({
    ...climateShape,
    limits: Limits.optional(),
    next: z
      .strictObject({
        carrier: Carrier,
        stage: StageName.optional(),
        class: MaterialClass.optional(),
      })
      .optional(),
    wettingFloor: z.boolean().optional(),
  }),
  answer: () =>
    z.strictObject({
      dewPointC: z.number(),
      wetBulbC: z.number(),
      humidityRatioGPerKg: z.number(),
      panelMarginC: z.number().optional(),
      limits: LimitsInForce,
      ...verdictsShape,
    }),
  compute: climateOf,
});
