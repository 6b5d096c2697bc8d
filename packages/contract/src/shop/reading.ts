/** One reading by hand of a room's air, panel or paint: it goes before the probe. */
import { z } from 'zod';
import { quantity } from '../quantity/fields.ts';
import { Id } from './common.ts';

const ReadingQuantity = z.enum(['airC', 'rhPercent', 'panelC', 'materialC']);
const READING_FIELD = {
  airC: 'airTemperatureC',
  rhPercent: 'relativeHumidityPercent',
  panelC: 'panelTemperatureC',
  materialC: 'materialTemperatureC',
} as const;
export const ReadingCreate = z
  .strictObject({
    id: Id,
    roomId: Id,
    quantity: ReadingQuantity,
    valueCanonical: z.number(),
    enteredValue: z.number(),
    enteredUnit: z.enum(['C', 'F', 'K', 'percent']),
    painterId: Id,
  })
  .superRefine(({ quantity: which, valueCanonical }, ctx) => {
    const parsed = quantity(READING_FIELD[which]).safeParse(valueCanonical);
    if (!parsed.success)
      ctx.addIssue({
        code: 'custom',
        path: ['valueCanonical'],
        message: `${valueCanonical} is outside what ${READING_FIELD[which]} can be`,
        params: { code: 'out-of-range' },
      });
  });
