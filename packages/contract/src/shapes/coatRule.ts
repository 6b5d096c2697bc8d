/** What a sheet says of its coats one by one, and what a gun does for one of them. */
import { z } from 'zod';
import { band, moreThanZero, name, optional, quantity, wanted } from '../quantity/fields.ts';

const BlendCoat = z.strictObject({ recipe: name(), ...optional('filmFactor') });
export const CoatRule = z.strictObject({
  /** One full coat, and half a coat into it at once. */
  oneAndHalf: z.boolean().optional(),
  halfAfterMinutes: band('minutes').optional(),
  lastCoat: z
    .strictObject({
      kind: z.enum(['drop', 'mist']),
      filmFactor: moreThanZero('filmFactor'),
      ...wanted('distanceDeltaMm'),
      onMatt: z.boolean(),
    })
    .optional(),
  blend: z.strictObject({ bed: BlendCoat.optional(), last: BlendCoat.optional() }).optional(),
  extraToCut: quantity('coats').optional(),
});

/** Over the set-up of the stage; 1 leaves it as it is. */
export const CoatPreset = z.strictObject({
  ...wanted('fluidFactor', 'fanFactor', 'distanceFactor', 'inletFactor'),
  ...optional('distanceDeltaMm', 'distanceMm'),
});
