import { Limits } from '../shapes/climate.ts';
import { Carrier, Finish, JobSize, MaterialClass, StageName } from '../shapes/trade.ts';
import { STEP_KINDS, type ScheduleInput } from '@orthochrom/core/schedule/job.ts';
import { scheduleInWords } from '../words/scheduleWords.ts';
import { scheduleOf } from '@orthochrom/core/schedule/schedule.ts';
import { z } from 'zod';
import { exactlyOneOf, listOf, moreThanZero, name, optional, wanted } from '../quantity/fields.ts';
import { Climate, Forecast } from '../shapes/climate.ts';
import { SheetTimes } from '../shapes/film.ts';
import { BlendPart, Grade, PotLife } from '../shapes/mixing.ts';
import { explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

/** What a stage is to a clock: its sheet, its coats, its waits. */
export const scheduleStageShape = {
  name: name(),
  stage: StageName,
  carrier: Carrier,
  class: MaterialClass.optional(),
  limits: Limits.optional(),
  ...wanted('coats'),
  sheet: SheetTimes,
  activated: z.boolean().optional(),
  ...optional('prepMinutes'),
  bake: z.boolean().optional(),
  ...optional('mixes'),
  potLife: PotLife.optional(),
};
const ScheduleStage = z.strictObject(scheduleStageShape);

/** What the air of a mix's hour wants. */
export const MixChoice = z.strictObject({
  parts: z.array(BlendPart),
  hardener: z.string().optional(),
  reductionPercent: z.number().optional(),
  of: z.string().optional(),
  adjusterPercentOfPaint: z.number().optional(),
  adjuster: z.string().optional(),
});

export const scheduleCalculation = defineCalculation('schedule', {
  input: z
    .strictObject({
      stages: listOf(ScheduleStage, 1),
      climate: Climate.optional(),
      forecast: Forecast.optional(),
      ...optional('startMinute'),
      panels: listOf(z.strictObject({ name: name(), ...optional('areaM2') }), 1),
      spraySeconds: moreThanZero('spraySeconds'),
      grades: listOf(Grade).optional(),
      finish: Finish.optional(),
      jobSize: JobSize.optional(),
      ...optional('deadlineMinute', 'sunriseMinute'),
      heated: z.boolean().optional(),
    })
    .superRefine(exactlyOneOf('climate', 'forecast')),
  answer: () =>
    z.strictObject({
      steps: z.array(
        z.strictObject({
          name: z.string(),
          stage: z.string().optional(),
          coat: z.number().optional(),
          startMinute: z.number(),
          endMinute: z.number(),
          kind: z.enum(STEP_KINDS),
          readyTest: z.string().optional(),
        }),
      ),
      potLifeEnds: z.array(
        z.strictObject({ stage: z.string(), mix: z.number(), minute: z.number() }),
      ),
      recoatWindows: z.array(
        z.strictObject({
          stage: z.string(),
          opensMinute: z.number(),
          closesMinute: z.number().optional(),
        }),
      ),
      mixes: z.array(
        z.strictObject({
          stage: z.string(),
          startMinute: z.number(),
          airTemperatureC: z.number(),
          choice: MixChoice.optional(),
        }),
      ),
      endMinute: z.number(),
      bestStart: z.strictObject({ startMinute: z.number(), why: z.string() }).optional(),
      ...explained,
    }),
  compute: (input: ScheduleInput) => scheduleInWords(scheduleOf(input)),
});
