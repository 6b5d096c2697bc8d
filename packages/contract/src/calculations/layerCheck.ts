import { HISTORIES } from '@orthochrom/core/layers/foundLayer.ts';
import {
  DEMAND_WHYS,
  DEMANDED,
  layerCheckOf,
  LIFT_RISKS,
} from '@orthochrom/core/layers/layerCheck.ts';
import { PAIR_OUTCOMES } from '@orthochrom/core/layers/layerPairs.ts';
import { PAIR_WHYS } from '@orthochrom/core/layers/layerWalk.ts';
import { z } from 'zod';
import { GritBand } from '../shapes/layers.ts';
import { Ask, explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';
import { namesFit, panelsAndStages } from './panelsAndStages.ts';

export const layerCheckCalculation = defineCalculation('layerCheck', {
  input: z.strictObject(panelsAndStages).superRefine(namesFit),
  answer: () =>
    z.strictObject({
      pairs: z.array(
        z.strictObject({
          panel: z.string(),
          below: z.enum([...HISTORIES, 'unasked']),
          above: z.string(),
          outcome: z.enum(PAIR_OUTCOMES),
          why: z.enum(PAIR_WHYS),
          grit: GritBand.optional(),
        }),
      ),
      liftRisk: z.enum(LIFT_RISKS),
      demands: z.array(
        z.strictObject({
          panel: z.string(),
          anyOf: z.array(z.enum(DEMANDED)),
          all: z.boolean().optional(),
          why: z.enum(DEMAND_WHYS),
        }),
      ),
      totalDryUm: z.record(z.string(), z.number()),
      asks: z.array(Ask),
      ...explained,
    }),
  compute: layerCheckOf,
});
