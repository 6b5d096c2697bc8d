import { turnsOf, COUNTED_FROM } from '@orthochrom/core/gun/turns.ts';
import { z } from 'zod';
import { contradiction, moreThanZero, optional } from '../quantity/fields.ts';
import { rangeOf } from '../quantity/ranges.ts';
import { Ask, verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const turnsRange = rangeOf('fullTurns');

export const turnsCalculation = defineCalculation('turns', {
  input: z
    .strictObject({
      value: z.number().min(turnsRange.from).max(turnsRange.to),
      countedFrom: z.enum(COUNTED_FROM),
      fullTurns: moreThanZero('fullTurns'),
      forGun: z.strictObject(optional('fullTurns')).optional(),
    })
    .superRefine(({ value, fullTurns }, ctx) => {
      if (value > fullTurns)
        ctx.addIssue(
          contradiction(
            ['fullTurns'],
            `fullTurns is ${fullTurns}, yet ${value} turns were counted`,
          ),
        );
    }),
  answer: () =>
    z.strictObject({
      turnsOut: z.number().optional(),
      asks: z.array(Ask),
      start: z.number().optional(),
      ...verdictsShape,
    }),
  compute: turnsOf,
});
