import { cureOf } from '@orthochrom/core/cure/cure.ts';
import { LIGHTS, LOOKED_FOR } from '@orthochrom/core/cure/lookAgain.ts';
import { z } from 'zod';
import { contradiction, moreThanZero, wanted } from '../quantity/fields.ts';
import { Climate } from '../shapes/climate.ts';
import { Layer } from '../shapes/film.ts';
import { Finish, FinishTarget, Speed } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

/** Of the panel, in minutes from the end of the last coat. */
const Heated = z
  .strictObject({
    ...wanted('toC', 'endMinute', 'openMinute'),
    holdMinutes: moreThanZero('holdMinutes'),
  })
  .superRefine(({ endMinute, openMinute }, ctx) => {
    if (openMinute < endMinute)
      ctx.addIssue(
        contradiction(
          ['openMinute'],
          `open at ${openMinute}, before the heat ends at ${endMinute}`,
        ),
      );
  });

const date = Spread.optional();
export const cureCalculation = defineCalculation('cure', {
  input: z.strictObject({
    layer: Layer,
    climate: Climate.optional(),
    hardenerSpeed: Speed.optional(),
    bake: Heated.optional(),
    target: FinishTarget.optional(),
    finish: Finish.optional(),
  }),
  answer: () =>
    z.strictObject({
      tapeMinute: date,
      sandMinute: date,
      polishMinute: date,
      handOverMinute: date,
      handWashMinute: date,
      machineWashMinute: date,
      waxMinute: date,
      doseMinutes: z.number(),
      look: z.strictObject({
        fromMinute: z.number(),
        toMinute: z.number(),
        lights: z.array(z.enum(LIGHTS)),
        lookFor: z.array(z.enum(LOOKED_FOR)),
      }),
      ...explained,
    }),
  compute: cureOf,
});
