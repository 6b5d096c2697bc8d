import { Carrier, MaterialClass, StageName } from './trade.ts';
import { z } from 'zod';
import { contradiction, optional, wanted } from '../quantity/fields.ts';

const ASCENDING = ['minFlashMinutes', 'flashMinutes', 'toNextMinutes', 'maxRecoatMinutes'] as const;

/** The grade in the cup, in steps slower than the one that suits. */
export const StepsSlower = z.strictObject({ stepsSlower: z.number().min(-10).max(10) });

/** As printed: at atC, atHumidityPercent (default 50) and wetFilmUm, in booth air. */
export const SheetTimes = z
  .strictObject({
    ...wanted('atC'),
    ...optional(
      'atHumidityPercent',
      'wetFilmUm',
      'flashMinutes',
      'minFlashMinutes',
      'toNextMinutes',
      'maxRecoatMinutes',
      'beforeBakeMinutes',
      'bakeC',
      'bakeMinutes',
      'tapeMinutes',
      'sandMinutes',
      'wetSandMinutes',
      'wipeMinutes',
      'polishMinutes',
      'cureMinutes',
      'shrinkMinutes',
    ),
  })
  .superRefine((times, ctx) => {
    const given = ASCENDING.filter((key) => times[key] !== undefined);
    given.forEach((key, i) => {
      const before = given[i - 1];
      if (before && times[before]! > times[key]!)
        ctx.addIssue(
          contradiction([key], `${key} ${times[key]} lies under ${before} ${times[before]}`),
        );
    });
  });
export const Layer = z.strictObject({
  stage: StageName,
  carrier: Carrier,
  class: MaterialClass.optional(),
  activated: z.boolean().optional(),
  sheet: SheetTimes.optional(),
});
/** From the last coat's end; the panel's own temperature. */
export const Bake = z.strictObject(wanted('afterMinutes', 'toC', 'rampCPerMin', 'holdMinutes'));
