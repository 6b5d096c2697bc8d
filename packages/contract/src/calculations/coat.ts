import { Skill, Substrate } from '../shapes/trade.ts';
import type { CoatAnswer } from '@orthochrom/core/coat/coatAnswer.ts';
import { coatOf } from '@orthochrom/core/coat/coat.ts';
import { z } from 'zod';
import { listOf, optional, quantity, wanted } from '../quantity/fields.ts';
import { Climate } from '../shapes/climate.ts';
import { Bake, Layer } from '../shapes/film.ts';
import { Gun, Settings, beyondTravel } from '../shapes/gun.ts';
import { Material } from '../shapes/material.ts';
import { RiskName, Risks } from '../shapes/risks.ts';
import { explained, Spread } from '../shapes/verdicts.ts';
import { changeText, popTermText, riskText } from '../words/coatWords.ts';
import { knobWords } from '../words/tuneWords.ts';
import { defineCalculation } from './define.ts';

export const CoatInput = z
  .strictObject({
    climate: Climate,
    material: Material,
    gun: Gun,
    settings: Settings,
    panel: z.strictObject({
      ...wanted('slopeDeg'),
      ...optional('lengthM', 'heightM', 'lapSeconds'),
      substrate: Substrate.optional(),
    }),
    coats: listOf(
      z.strictObject({
        flashMinutes: quantity('simulatedMinutes'),
        settings: Settings.optional(),
      }),
      1,
    ),
    bake: Bake.optional(),
    below: listOf(Layer).optional(),
    technique: z
      .strictObject({
        skill: Skill.optional(),
        speedWobblePercent: z.number().min(0).max(100).meta({ unit: '%' }).optional(),
        ...optional('tiltDeg'),
        arc: z.strictObject(wanted('reachM', 'swingDeg')).optional(),
      })
      .optional(),
    ...optional('capLimitKPa'),
    spread: z.boolean().optional(),
    rankChanges: z.boolean().optional(),
  })
  .superRefine(({ gun, settings, coats }, ctx) => {
    beyondTravel(gun, settings, (knob) => ['settings', knob]).forEach((issue) =>
      ctx.addIssue(issue),
    );
    coats.forEach((coat, i) =>
      beyondTravel(gun, coat.settings ?? {}, (knob) => ['coats', i, 'settings', knob]).forEach(
        (issue) => ctx.addIssue(issue),
      ),
    );
  });

export const CoatChange = z.strictObject({
  knob: z.string(),
  from: z.number(),
  to: z.number(),
  helps: RiskName,
  before: z.number(),
  after: z.number(),
  gain: z.number(),
  /** What goes with it: the step that is kept, the hand that keeps the film. */
  along: z
    .strictObject({ stepMm: z.number().optional(), gunSpeedMPerS: z.number().optional() })
    .optional(),
  text: z.string(),
});

const inWords = ({ changes, verdicts, reasons, ...answer }: CoatAnswer) => ({
  ...answer,
  ...(changes
    ? { changes: changes.map((change) => ({ ...change, text: changeText(change) })) }
    : {}),
  reasons: reasons.map((reason) => {
    if (reason.code === 'settings-defaulted')
      return { ...reason, params: { settings: knobWords(reason.params) } };
    return reason.code === 'pop-driven-by'
      ? { ...reason, params: { what: popTermText(reason.params) } }
      : reason;
  }),
  verdicts: verdicts.map((verdict) =>
    verdict.code === 'risk-high' ? { ...verdict, params: riskText(verdict.params) } : verdict,
  ),
});

export const coatCalculation = defineCalculation('coat', {
  input: CoatInput,
  answer: () =>
    z.strictObject({
      film: z.strictObject({
        wetUm: Spread,
        dryUm: Spread,
        profileUm: z.array(z.number()),
        ripplePercent: Spread,
      }),
      dropletUm: Spread,
      fanWidthMm: Spread,
      transferEfficiencyPercent: Spread,
      oversprayGPerMin: Spread,
      fluidMlPerMin: z.number(),
      airFlowLPerMin: z.number(),
      capKPa: z.number(),
      stepMm: z.number(),
      dropWindowUm: z.tuple([z.number(), z.number()]),
      pass: z.strictObject({
        beta: z.number(),
        split: z.number(),
        landedMlPerMin: z.number(),
        fanHeightMm: z.number(),
        wanderMm: z.number(),
      }),
      wetness: Spread,
      peelIndex: Spread,
      sagMm: Spread,
      runsFromUm: Spread.optional(),
      openTimeSeconds: Spread,
      lapSeconds: z.number(),
      drySprayIndex: Spread,
      mottleIndex: Spread,
      risks: Risks,
      flashReadyMinutes: z.array(Spread),
      solventLeft: z.array(z.strictObject({ minutes: z.number(), byCoat: z.array(z.number()) })),
      trace: z.array(
        z.strictObject({
          minutes: z.number(),
          surfacePaS: z.number(),
          sagMm: z.number(),
          panelC: z.number(),
          peelIndex: z.number(),
        }),
      ),
      popLayer: z.strictObject({ coat: z.number() }).optional(),
      changes: z.array(CoatChange).optional(),
      settings: z.record(z.string(), z.number()),
      ...explained,
    }),
  compute: (input) => inWords(coatOf(input)),
});
