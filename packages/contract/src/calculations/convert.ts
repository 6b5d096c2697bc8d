import {
  areAlike,
  convert as convertUnits,
  leastValue,
  UNITS,
  type UnitName,
} from '@orthochrom/core/units/convert.ts';
import { z } from 'zod';
import { outOfRange, unlikeUnits } from '../quantity/fields.ts';
import { verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const Unit = z.enum(Object.keys(UNITS) as [UnitName, ...UnitName[]]);

export const convertCalculation = defineCalculation('convert', {
  input: z
    .strictObject({ value: z.number(), from: Unit, to: Unit })
    .superRefine(({ value, from, to }, ctx) => {
      if (value < leastValue(from) - 1e-9)
        ctx.addIssue(
          outOfRange(
            ['value'],
            `value is ${value} ${from}; ${Number(leastValue(from).toFixed(2))} ${from} is the least there is`,
          ),
        );
      if (!areAlike(from, to))
        ctx.addIssue(unlikeUnits(['to'], `${from} and ${to} are different kinds of quantity`));
    }),
  answer: () => z.strictObject({ value: z.number(), ...verdictsShape }),
  compute: ({ value, from, to }) => ({ value: convertUnits(value, from, to), verdicts: [] }),
});
