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
import { contradiction, listOf } from '../quantity/fields.ts';
import { GritBand, PlannedStage, TakenIn } from '../shapes/layers.ts';
import { Ask, explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const layerCheck = defineCalculation('layerCheck', {
  input: z
    .strictObject({ panels: listOf(TakenIn, 1), stages: listOf(PlannedStage, 1) })
    .superRefine(({ panels, stages }, ctx) => {
      const named = panels.map(({ name }) => name);
      named.forEach((name, i) => {
        if (named.indexOf(name) < i)
          ctx.addIssue(contradiction(['panels', i, 'name'], `${name} is taken in twice`));
      });
      const stageNames = stages.map(({ name }) => name);
      stages.forEach(({ name, panels: own = [] }, i) => {
        if (stageNames.indexOf(name) < i)
          ctx.addIssue(contradiction(['stages', i, 'name'], `${name} is planned twice`));
        own.forEach((panel, j) => {
          if (!named.includes(panel))
            ctx.addIssue(
              contradiction(
                ['stages', i, 'panels', j],
                `${panel} is not among the panels taken in`,
              ),
            );
        });
      });
    }),
  answer: z.strictObject({
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
