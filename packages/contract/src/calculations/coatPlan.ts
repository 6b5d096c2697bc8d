import { coatPlanOf } from '@orthochrom/core/coats/coatPlan.ts';
import {
  COAT_KINDS,
  COAT_ROLES,
  COAT_WAITS,
  STOP_RULES,
} from '@orthochrom/core/coats/coatPlanInput.ts';
import { HISTORIES, SCOPES } from '@orthochrom/core/layers/foundLayer.ts';
import { STAGES } from '@orthochrom/core/trade/vocabulary.ts';
import { z } from 'zod';
import {
  band,
  contradiction,
  eachOnce,
  listOf,
  moreThanZero,
  name,
  optional,
  text,
  wanted,
} from '../quantity/fields.ts';
import { CoatRule } from '../shapes/coatRule.ts';
import { SheetTimes } from '../shapes/film.ts';
import { Preferences } from '../shapes/gun.ts';
import { Carrier, Finish, FinishTarget, MaterialClass, StageName } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

const Over = z.enum([...HISTORIES, 'cutThrough', 'fresh']);
const CoatPanel = z
  .strictObject({
    name: name(),
    areaM2: moreThanZero('areaM2'),
    scope: z.enum(SCOPES),
    over: Over.optional(),
    ...optional('lengthM', 'spotM2'),
    joints: z.literal([1, 2]).optional(),
  })
  .superRefine(({ areaM2, spotM2 }, ctx) => {
    if (spotM2 !== undefined && spotM2 > areaM2)
      ctx.addIssue(
        contradiction(
          ['spotM2'],
          `the spot of ${spotM2} m² is larger than its panel, ${areaM2} m²`,
        ),
      );
  });

export const coatPlanCalculation = defineCalculation('coatPlan', {
  input: z
    .strictObject({
      stage: StageName,
      carrier: Carrier,
      finish: Finish.optional(),
      class: MaterialClass.optional(),
      sheet: z
        .strictObject({
          recipe: name().optional(),
          coats: band('coats').optional(),
          wetFilmUm: band('wetFilmUm').optional(),
          volumeSolidsPercent: moreThanZero('volumeSolidsPercent').optional(),
          times: SheetTimes.optional(),
          coatRule: CoatRule.optional(),
        })
        .optional(),
      panels: listOf(CoatPanel, 1),
      over: Over.optional(),
      ground: z
        .strictObject({
          name: name(),
          coatsToHide: Spread,
          dryUmPerCoat: moreThanZero('dryUmPerCoat'),
        })
        .optional(),
      card: z.strictObject(wanted('coats')).optional(),
      target: FinishTarget.optional(),
      ...optional('coats'),
      why: text().optional(),
      way: Preferences.optional(),
      isLastStage: z.boolean().optional(),
    })
    .superRefine(({ panels }, ctx) => {
      const names = panels.map((panel) => panel.name);
      eachOnce(names, ctx, (at) => ['panels', at, 'name']);
    }),
  answer: () =>
    z.strictObject({
      least: z.number(),
      most: z.number(),
      coats: z.array(
        z.strictObject({
          coat: z.number(),
          kind: z.enum(COAT_KINDS),
          role: z.enum([...STAGES, ...COAT_ROLES]),
          wetFilmUm: z.number(),
          filmFactor: z.number(),
          dryUm: z.number(),
          landedMl: z.number(),
          recipe: z.string().optional(),
          preset: z.strictObject({
            fluidFactor: z.number(),
            fanFactor: z.number(),
            distanceFactor: z.number(),
            inletFactor: z.number(),
            distanceDeltaMm: z.number().optional(),
            distanceMm: z.number().optional(),
          }),
          panels: z.array(
            z.strictObject({
              name: z.string(),
              scope: z.enum(SCOPES),
              areaFactor: z.number(),
              reachM: z.number().optional(),
              move: z
                .strictObject({
                  distanceDeltaMm: z.number(),
                  inletFactor: z.number(),
                  trigger: z.literal('eased'),
                })
                .optional(),
            }),
          ),
          wait: z.strictObject({
            next: z.enum(COAT_WAITS),
            minutes: z.tuple([z.number(), z.number()]).optional(),
            matt: z.boolean().optional(),
          }),
        }),
      ),
      dryUm: z.number(),
      landedMl: z.number(),
      edges: z.enum(['first', 'last']),
      stop: z.strictObject({
        rule: z.enum(STOP_RULES),
        fromCoat: z.number(),
        most: z.number(),
        coatsToHide: Spread.optional(),
      }),
      ...explained,
    }),
  compute: coatPlanOf,
});
