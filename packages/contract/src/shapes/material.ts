import { z } from 'zod';
import { listOf, moreThanZero, optional, wanted } from '../quantity/fields.ts';
import { Finish } from './climate.ts';
import { SheetTimes } from './film.ts';
import { GunSheet } from './gun.ts';
import { Grade, Recipe } from './mixing.ts';

export const CupName = z.enum(['din4', 'ford4', 'zahn2', 'iso4']);
export const MaterialClass = z.enum([
  'solventBase',
  'waterborneBase',
  'clearMediumSolids',
  'clearHighSolids',
  'singleStage',
  'solventSealer',
  'waterborneSealer',
  'epoxyPrimer',
  'buildPrimer',
]);

/** What the shop saw of this product: the wait until touch-dry, and the comb reading at which it ran. */
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
  hardenerSpeed: z.enum(['fast', 'medium', 'slow', 'verySlow']).optional(),
  ...optional('viscosityMm2PerS', 'densityGPerMl', 'volumeSolidsPercent'),
  finish: Finish.optional(),
  sheet: z.strictObject({ times: SheetTimes, gun: GunSheet.optional() }).optional(),
  tests: listOf(FilmTest).optional(),
});
