import { AFTER_KINDS, BLOCK_KINDS } from '@orthochrom/core/schedule/dayJob.ts';
import { dayOf } from '@orthochrom/core/schedule/day.ts';
import { z } from 'zod';
import {
  band,
  contradiction,
  eachOnce,
  listOf,
  moreThanZero,
  name,
  needsField,
  optional,
  wanted,
} from '../quantity/fields.ts';
import { Forecast } from '../shapes/climate.ts';
import { Grade } from '../shapes/mixing.ts';
import { Finish, JobSize } from '../shapes/trade.ts';
import { explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';
import { MixChoice, scheduleStageShape } from './schedule.ts';

const DayStage = z.strictObject({
  ...scheduleStageShape,
  gun: name().optional(),
  spraySeconds: moreThanZero('spraySeconds'),
  coatsOn: z.int().min(0).max(50).optional(),
  finish: Finish.optional(),
});
const DayJob = z.strictObject({
  name: name(),
  room: name(),
  painter: name(),
  stages: listOf(DayStage, 1),
  panels: listOf(z.strictObject({ name: name(), ...optional('areaM2') }), 1),
  /** May lie before this day. */
  coatedMinute: z.number().min(-20_000).max(2880).optional(),
  ...optional('readyMinute', 'deadlineMinute'),
  jobSize: JobSize.optional(),
  after: listOf(
    z.strictObject({
      kind: z.enum(AFTER_KINDS),
      minutes: moreThanZero('prepMinutes'),
      fromMinute: z.number().min(-20_000).max(2880),
    }),
  ).optional(),
});
const timed = { startMinute: z.number(), endMinute: z.number() };

export const dayCalculation = defineCalculation('day', {
  input: z
    .strictObject({
      jobs: listOf(DayJob),
      forecasts: z.record(name(), Forecast),
      ...wanted('startMinute', 'closesMinute'),
      breaks: listOf(band('startMinute')).optional(),
      grades: listOf(Grade).optional(),
      ...optional('sunriseMinute'),
      heatedRooms: listOf(name()).optional(),
    })
    .superRefine(({ jobs, forecasts, startMinute, closesMinute }, ctx) => {
      if (closesMinute < startMinute)
        ctx.addIssue(
          contradiction(
            ['closesMinute'],
            `the day closes at ${closesMinute}, before it begins at ${startMinute}`,
          ),
        );
      const names = jobs.map((job) => job.name);
      eachOnce(names, ctx, (at) => ['jobs', at, 'name']);
      jobs.forEach(({ room }) => {
        if (!forecasts[room])
          ctx.addIssue(needsField(['forecasts', room], `the air of ${room} over this day`));
      });
    }),
  answer: () =>
    z.strictObject({
      blocks: z.array(
        z.strictObject({
          job: z.string(),
          room: z.string(),
          painter: z.string(),
          gun: z.string().optional(),
          stage: z.string(),
          coat: z.number().optional(),
          kind: z.enum(BLOCK_KINDS),
          ...timed,
        }),
      ),
      mixes: z.array(
        z.strictObject({
          job: z.string(),
          stage: z.string(),
          startMinute: z.number(),
          airTemperatureC: z.number(),
          choice: MixChoice.optional(),
          potLifeEndsMinute: z.number().optional(),
        }),
      ),
      windows: z.array(
        z.strictObject({
          job: z.string(),
          stage: z.string(),
          opensMinute: z.number(),
          closesMinute: z.number(),
        }),
      ),
      jobs: z.array(
        z.strictObject({
          job: z.string(),
          startMinute: z.number().optional(),
          endMinute: z.number().optional(),
          lateByMinutes: z.number().optional(),
        }),
      ),
      endMinute: z.number(),
      bestStart: z
        .strictObject({
          startMinute: z.number(),
          why: z.enum(['nothingStops', 'lessAgainst', 'soonerOut']),
        })
        .optional(),
      ...explained,
    }),
  compute: dayOf,
});
