import { BODIES } from '@orthochrom/core/body/bodyMap.ts';
import { routeOf } from '@orthochrom/core/route/route.ts';
import { AIDS, CAR_ENDS, FACE_EDGES, HALVES, STANDS } from '@orthochrom/core/route/routeInput.ts';
import { AIRFLOWS } from '@orthochrom/core/trade/vocabulary.ts';
import { z } from 'zod';
import {
  contradiction,
  eachOnce,
  listOf,
  moreThanZero,
  name,
  needsField,
  optional,
} from '../quantity/fields.ts';
import { Carrier } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const half = z.enum(HALVES).optional();
const timed = { startSeconds: z.number(), endSeconds: z.number() };

export const routeCalculation = defineCalculation('route', {
  input: z
    .strictObject({
      body: z.enum(BODIES),
      panels: listOf(name(), 1),
      airflow: z.enum(AIRFLOWS),
      openTimeMinutes: moreThanZero('openTimeMinutes'),
      gunSpeedMPerS: moreThanZero('gunSpeedMPerS'),
      stepMm: moreThanZero('stepMm'),
      carrier: Carrier.optional(),
      areasM2: z.record(name(), moreThanZero('areaM2')).optional(),
      cupMl: moreThanZero('cupMl').optional(),
      wetFilmUm: moreThanZero('wetFilmUm').optional(),
      transferEfficiencyPercent: moreThanZero('transferEfficiencyPercent').optional(),
      mostM2: moreThanZero('mostM2').optional(),
      ...optional('coats', 'flashMinutes', 'wastePercent', 'refillSeconds'),
      doorAt: z.enum(CAR_ENDS).optional(),
      hoseAt: z.enum(CAR_ENDS).optional(),
    })
    .superRefine((input, ctx) => {
      const { panels, areasM2 = {}, airflow, doorAt, coats = 1, flashMinutes } = input;
      eachOnce(panels, ctx, (at) => ['panels', at]);
      for (const panel of Object.keys(areasM2))
        if (!panels.includes(panel))
          ctx.addIssue(contradiction(['areasM2', panel], `${panel} is not among the panels`));
      if (doorAt && airflow !== 'fanAtDoor')
        ctx.addIssue(contradiction(['doorAt'], `there is no fan at a door where it is ${airflow}`));
      if (coats > 1 && flashMinutes === undefined)
        ctx.addIssue(needsField(['flashMinutes'], 'with more coats than one: how long each waits'));
      if (input.cupMl !== undefined)
        for (const field of ['wetFilmUm', 'transferEfficiencyPercent'] as const)
          if (input[field] === undefined)
            ctx.addIssue(needsField([field], 'what a cup lasts wants film and transfer'));
    }),
  answer: () =>
    z.strictObject({
      order: z.array(
        z.strictObject({
          panel: z.string(),
          side: half,
          from: z.enum(FACE_EDGES),
          to: z.enum(FACE_EDGES),
          ...timed,
          stand: z.strictObject({ at: z.enum(STANDS), along: z.number() }).optional(),
        }),
      ),
      wetEdges: z.array(
        z.strictObject({
          between: z.tuple([z.string(), z.string()]),
          ageSeconds: z.number(),
          limitSeconds: z.number(),
          at: z.literal('middle').optional(),
        }),
      ),
      worstWetEdgeSeconds: z.number(),
      leastWorstSeconds: Spread.optional(),
      walkM: z.number().optional(),
      sections: z.array(z.array(z.string())).optional(),
      aids: z.array(z.strictObject({ what: z.enum(AIDS), panel: z.string() })).optional(),
      rims: z.array(z.strictObject({ panel: z.string(), side: half, ...timed })).optional(),
      refills: z
        .array(
          z.strictObject({ before: z.string(), side: half, atSeconds: z.number(), ml: z.number() }),
        )
        .optional(),
      coats: z
        .array(z.strictObject({ coat: z.number(), ...timed, waitSeconds: z.number() }))
        .optional(),
      ...explained,
    }),
  compute: routeOf,
});
