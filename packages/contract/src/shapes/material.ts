import { Limits } from './climate.ts';
import { Finish, MaterialClass, Speed } from './trade.ts';
import { z } from 'zod';
import { listOf, moreThanZero, optional, wanted } from '../quantity/fields.ts';
import { SheetTimes } from './film.ts';
import { GunSheet } from './gun.ts';
import { Grade, Recipe } from './mixing.ts';

/**
 * What the shop saw of this product: the wait until touch-dry, and the comb reading at which it
 * ran.
 */
export const FilmTest = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('touch'),
    minutes: moreThanZero('minutes'),
    ...wanted('wetUm', 'airTemperatureC', 'relativeHumidityPercent'),
    ...optional('airSpeedMPerS'),
  }),
  z.strictObject({ kind: z.literal('ran'), ...wanted('combUm'), ...optional('slopeDeg') }),
]);
export const Material = z.strictObject({
  class: MaterialClass,
  recipe: Recipe.optional(),
  grade: Grade.optional(),
  hardenerSpeed: Speed.optional(),
  ...optional('viscosityMm2PerS', 'densityGPerMl', 'volumeSolidsPercent'),
  finish: Finish.optional(),
  sheet: z
    .strictObject({ times: SheetTimes, gun: GunSheet.optional(), limits: Limits.optional() })
    .optional(),
  tests: listOf(FilmTest).optional(),
});
