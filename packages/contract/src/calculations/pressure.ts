import { GunSheet } from '../shapes/gun.ts';
import { Carrier, MaterialClass, StageName, Trust } from '../shapes/trade.ts';
import { pressureOf } from '@orthochrom/core/gun/pressure.ts';
import { PRESSURE_UNITS, READ_AT, FLOWING } from '@orthochrom/core/gun/reading.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { z } from 'zod';
import { contradiction, optional, outOfRange } from '../quantity/fields.ts';
import { rangeOf } from '../quantity/ranges.ts';
import { Gun, Line, beyondTravel } from '../shapes/gun.ts';
import { Ask, explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const { from, to } = rangeOf('valueKPa');

export const pressureCalculation = defineCalculation('pressure', {
  input: z
    .strictObject({
      value: z.number(),
      unit: z.enum(PRESSURE_UNITS),
      at: z.enum(READ_AT),
      flowing: z.enum(FLOWING),
      gun: Gun,
      stage: StageName.optional(),
      carrier: Carrier.optional(),
      class: MaterialClass.optional(),
      sheet: GunSheet.optional(),
      airline: Line.optional(),
      gaugeTrust: Trust.optional(),
      ...optional('fanTurnsOut', 'nozzleMm'),
      restValue: z.number().optional(),
      ...optional('wantedInletKPa', 'capLimitKPa'),
    })
    .superRefine((input, ctx) => {
      for (const field of ['value', 'restValue'] as const) {
        const given = input[field];
        if (given === undefined) continue;
        const kPa = convert(given, input.unit, 'kPa');
        if (!(kPa >= from && kPa <= to))
          ctx.addIssue(
            outOfRange(
              [field],
              `${field} is ${given} ${input.unit}; ${from} to ${to} kPa is possible`,
            ),
          );
      }
      if (input.flowing === 'yes' && input.restValue !== undefined && input.restValue < input.value)
        ctx.addIssue(
          contradiction(
            ['restValue'],
            `restValue ${input.restValue} lies under the flowing ${input.value}; it falls when the trigger is pulled`,
          ),
        );
      beyondTravel(input.gun, { fanTurnsOut: input.fanTurnsOut }, (knob) => [knob]).forEach(
        (issue) => ctx.addIssue(issue),
      );
    }),
  answer: () =>
    z.strictObject({
      inletKPa: Spread.optional(),
      capKPa: Spread.optional(),
      wallKPa: Spread.optional(),
      usable: z.boolean(),
      dropKPa: z.number().optional(),
      changeKPa: z.number().optional(),
      asks: z.array(Ask),
      ...explained,
    }),
  compute: pressureOf,
});
