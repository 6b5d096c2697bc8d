import { PANEL_SHAPES } from '@orthochrom/core/amount/share.ts';
import { quantityOf } from '@orthochrom/core/amount/quantity.ts';
import { SCOPES } from '@orthochrom/core/layers/foundLayer.ts';
import { z } from 'zod';
import {
  contradiction,
  eachOnce,
  listOf,
  moreThanZero,
  name,
  needsField,
  optional,
  quantity as figure,
  wanted,
} from '../quantity/fields.ts';
import { Gun } from '../shapes/gun.ts';
import { Batch, Component, Cup, PotLife, Recipe } from '../shapes/mixing.ts';
import { Chemistry, Finish, MaterialClass, StageName } from '../shapes/trade.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

/** A body of many jobs: what a painter remembers of himself. */
const LONGEST_HISTORY = 1000;

const PaintedPanel = z
  .strictObject({
    name: name(),
    areaM2: moreThanZero('areaM2'),
    ...optional('coats', 'spotM2', 'heightM', 'lengthM'),
    scope: z.enum(SCOPES).optional(),
    shape: z.enum(PANEL_SHAPES).optional(),
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
const OwnFactor = z.strictObject({
  value: figure('painterFactor'),
  low: figure('painterFactor'),
  high: figure('painterFactor'),
});
const UsedJob = z.strictObject({
  plannedMl: moreThanZero('plannedMl'),
  usedMl: moreThanZero('usedMl'),
  counts: z.boolean().optional(),
});
const Named = z.strictObject({ name: z.string(), ml: z.number() });

export const quantityCalculation = defineCalculation('quantity', {
  input: z
    .strictObject({
      panels: listOf(PaintedPanel, 1),
      ...wanted('coats'),
      ...optional(
        'wetFilmUm',
        'dryFilmUm',
        'volumeSolidsPercent',
        'transferEfficiencyPercent',
        'wastePercent',
        'lineAndCupLossMl',
        'reservePercent',
        'fanWidthMm',
        'overlapPercent',
        'stepMm',
        'cupResidueMl',
        'temperatureC',
        'fluidMlPerMin',
        'flashMinutes',
        'strainerUm',
      ),
      stage: StageName.optional(),
      gun: Gun.optional(),
      finish: Finish.optional(),
      class: MaterialClass.optional(),
      painterFactor: OwnFactor.optional(),
      history: z.array(UsedJob).max(LONGEST_HISTORY).optional(),
      recipe: Recipe.optional(),
      hardener: Chemistry.optional(),
      cup: Cup.optional(),
      laps: z.boolean().optional(),
      potLife: PotLife.optional(),
      packSizesMl: z.record(name(), listOf(moreThanZero('sizeMl'))).optional(),
      packPrices: z.record(name(), z.record(z.string(), figure('price'))).optional(),
      pricePerL: z.record(name(), figure('price')).optional(),
      have: listOf(z.strictObject({ name: name(), ml: figure('ml') })).optional(),
    })
    .superRefine((input, ctx) => {
      const { wetFilmUm, dryFilmUm, stage, gun, volumeSolidsPercent } = input;
      const byClass = stage !== undefined && gun !== undefined;
      if (wetFilmUm !== undefined && dryFilmUm !== undefined)
        ctx.addIssue(
          contradiction(['dryFilmUm'], 'wet and dry film are both given; one is wanted'),
        );
      if (wetFilmUm === undefined && dryFilmUm === undefined && !byClass)
        ctx.addIssue(
          needsField(['wetFilmUm'], 'wetFilmUm or dryFilmUm is wanted, or a stage and a gun'),
        );
      if (dryFilmUm !== undefined && !volumeSolidsPercent)
        ctx.addIssue(
          needsField(['volumeSolidsPercent'], 'a dry film says its wet film only with the solids'),
        );
      if (!input.transferEfficiencyPercent && gun === undefined)
        ctx.addIssue(needsField(['transferEfficiencyPercent'], 'a share that lands, or a gun'));
      if (input.painterFactor && input.history)
        ctx.addIssue(
          contradiction(['history'], 'a factor and the jobs to learn it from are both given'),
        );
      if (input.laps && !input.cup)
        ctx.addIssue(needsField(['cup'], 'cups that end with a panel want a cup'));
      const named = input.panels.map((panel) => panel.name);
      eachOnce(named, ctx, (at) => ['panels', at, 'name']);
    }),
  answer: () =>
    z.strictObject({
      readyMl: Spread,
      wetFilmUm: z.number(),
      transferEfficiencyPercent: z.number(),
      byPanel: z.array(
        z.strictObject({ name: z.string(), share: z.number(), edge: z.number(), ml: z.number() }),
      ),
      painterFactor: Spread.extend({ n: z.number() }),
      components: z.array(Component).optional(),
      batches: z
        .array(
          Batch.extend({
            minutes: z.number().optional(),
            covers: z.array(z.strictObject({ coat: z.number(), panel: z.string() })).optional(),
          }),
        )
        .optional(),
      packs: z
        .array(z.strictObject({ name: z.string(), sizeMl: z.number(), count: z.number() }))
        .optional(),
      leftOver: z.array(Named).optional(),
      short: z.array(Named).optional(),
      cost: z.number().optional(),
      costPerReadyL: z.number().optional(),
      spend: z.number().optional(),
      supplies: z.array(z.strictObject({ what: z.string(), count: z.number(), why: z.string() })),
      ...explained,
    }),
  compute: quantityOf,
});
