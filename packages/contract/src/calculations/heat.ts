import { heatOnCoat } from '@orthochrom/core/heat/heat.ts';
import { HEAT_METHODS } from '@orthochrom/core/heat/heatInput.ts';
import { BUILDS } from '@orthochrom/core/heat/panelHeat.ts';
import { NEXT_STEPS } from '@orthochrom/core/trade/vocabulary.ts';
import { z } from 'zod';
import {
  eachOnce,
  listOf,
  moreThanZero,
  name,
  needsField,
  optional,
  wanted,
} from '../quantity/fields.ts';
import { Climate } from '../shapes/climate.ts';
import { Layer, StepsSlower } from '../shapes/film.ts';
import { Substrate } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const HeatedPanel = z
  .strictObject({
    name: name(),
    substrate: Substrate,
    build: z.enum(BUILDS).optional(),
    ...optional('limitC', 'seenC', 'seenMinute'),
  })
  .superRefine(({ seenC, seenMinute }, ctx) => {
    if (seenC !== undefined && seenMinute === undefined)
      ctx.addIssue(
        needsField(['seenMinute'], 'read on the panel: how many minutes after heat on?'),
      );
  });

export const heatCalculation = defineCalculation('heat', {
  input: z
    .strictObject({
      method: z.enum(HEAT_METHODS),
      layer: Layer,
      climate: Climate,
      ...wanted('minutesSince'),
      ...optional('wetFilmUm', 'maxBakeC', 'vehicleLimitC', 'airSpeedMPerS'),
      rampCPerMin: moreThanZero('rampCPerMin').optional(),
      reducer: StepsSlower.optional(),
      extractionCleared: z.boolean().optional(),
      panels: listOf(HeatedPanel, 1),
      lamp: z.strictObject(wanted('distanceMm')).optional(),
      warm: z
        .strictObject({ ...optional('warmC', 'maxPanelC'), next: z.enum(NEXT_STEPS).optional() })
        .optional(),
    })
    .superRefine(({ panels }, ctx) => {
      const names = panels.map((panel) => panel.name);
      eachOnce(names, ctx, (at) => ['panels', at, 'name']);
    }),
  answer: () =>
    z.strictObject({
      waitMinutes: Spread,
      toC: z.number().optional(),
      airC: z.number().optional(),
      holdMinutes: z.number().optional(),
      holdFromMinute: Spread.optional(),
      endMinute: Spread.optional(),
      openMinute: Spread.optional(),
      panels: z
        .array(
          z.strictObject({
            name: z.string(),
            limitC: z.number(),
            hasItMinute: Spread,
            peakC: z.number(),
          }),
        )
        .optional(),
      slowest: z.string().optional(),
      lampMm: z.number().optional(),
      ...explained,
    }),
  compute: heatOnCoat,
});
