import { CupName, MaterialClass } from '../shapes/trade.ts';
import { viscosityOf } from '@orthochrom/core/material/viscosity.ts';
import { z } from 'zod';
import { exactlyOneOf, moreThanZero, needsField, optional } from '../quantity/fields.ts';
import { Spread, verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const perCup = <S extends z.ZodType>(value: S) => z.partialRecord(CupName, value);

export const viscosityCalculation = defineCalculation('viscosity', {
  input: z
    .strictObject({
      cup: CupName.optional(),
      seconds: moreThanZero('seconds').optional(),
      ...optional('kinematicMm2PerS', 'densityGPerMl', 'measuredAtC', 'wantedAtC'),
      wantedSeconds: moreThanZero('wantedSeconds').optional(),
      class: MaterialClass.optional(),
    })
    .superRefine(exactlyOneOf('seconds', 'kinematicMm2PerS'))
    .superRefine(({ cup, seconds, wantedSeconds, measuredAtC, wantedAtC }, ctx) => {
      if (cup === undefined && (seconds !== undefined || wantedSeconds !== undefined))
        ctx.addIssue(needsField(['cup'], 'cup is needed: seconds through which cup?'));
      if (wantedAtC !== undefined && measuredAtC === undefined)
        ctx.addIssue(
          needsField(['measuredAtC'], 'measuredAtC is needed: warmed or cooled from what?'),
        );
    }),
  answer: () =>
    z.strictObject({
      kinematicMm2PerS: z.number(),
      dynamicMPaS: z.number().optional(),
      seconds: perCup(z.number()),
      inRange: perCup(z.boolean()),
      atWantedC: z.strictObject({ kinematicMm2PerS: Spread, seconds: perCup(Spread) }).optional(),
      addReducerPercentOfPaint: Spread.optional(),
      ...verdictsShape,
    }),
  compute: viscosityOf,
});
