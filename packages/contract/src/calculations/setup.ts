import { Grade, Recipe } from '../shapes/mixing.ts';
import { SheetTimes, StepsSlower } from '../shapes/film.ts';
import { Climate } from '../shapes/climate.ts';
import {
  Carrier,
  Chemistry,
  Finish,
  MaterialClass,
  PartKind,
  Place,
  Speed,
  StageName,
  Wetness,
} from '../shapes/trade.ts';
import { setupWithRisks, type SetupWithRisks } from '@orthochrom/core/coat/setupWithRisks.ts';
import { setupOf } from '@orthochrom/core/gun/setup.ts';
import { z } from 'zod';
import { contradiction, optional, quantity, wanted } from '../quantity/fields.ts';
import { CoatPreset } from '../shapes/coatRule.ts';
import { Gun, GunSheet, Line, beyondTravel, Settings, Preferences } from '../shapes/gun.ts';
import { Risks } from '../shapes/risks.ts';
import { Ask, explained, Spread } from '../shapes/verdicts.ts';
import { riskText, tradeText } from '../words/coatWords.ts';
import { worded } from '../words/worded.ts';
import { defineCalculation } from './define.ts';

/** Plans and risks cost a search; a plan of a whole ticket asks without. */
const inWords = ({ plans, own, verdicts, ...answer }: SetupWithRisks) => ({
  ...answer,
  ...(own ? { own: worded(own) } : {}),
  verdicts: verdicts.map((verdict) =>
    verdict.code === 'risk-high' ? { ...verdict, params: riskText(verdict.params) } : verdict,
  ),
  ...(plans
    ? { plans: plans.map(({ trade, ...plan }) => ({ ...plan, trades: tradeText(trade) })) }
    : {}),
});

/** The painter's own, to be judged beside ours. */
const OwnSettings = z.strictObject(
  optional(
    'nozzleMm',
    'inletKPa',
    'fluidTurnsOut',
    'fanTurnsOut',
    'distanceMm',
    'overlapPercent',
    'wetFilmUm',
  ),
);
const knobs = {
  nozzleMm: z.number(),
  inletKPa: z.number(),
  fluidTurnsOut: z.number(),
  fanTurnsOut: z.number(),
  distanceMm: z.number(),
  overlapPercent: z.number(),
  wetFilmUm: z.number(),
};
const figures = {
  fanWidthMm: z.number(),
  stepMm: z.number(),
  capKPa: z.number(),
  fluidMlPerMin: z.number(),
  gunSpeedMPerS: z.number(),
  secondsPerPass: z.number().optional(),
  airFlowLPerMin: z.number(),
  dropletUm: Spread.optional(),
  transferEfficiencyPercent: Spread.optional(),
  regulatorFlowingKPa: z.number().optional(),
  regulatorStaticKPa: z.number().optional(),
  ranges: z.strictObject({
    capKPa: Spread,
    fluidMlPerMin: Spread,
    fanWidthMm: Spread,
    regulatorFlowingKPa: Spread.optional(),
  }),
};

export const setupCalculation = defineCalculation('setup', {
  input: z
    .strictObject({
      gun: Gun,
      stage: StageName,
      carrier: Carrier,
      finish: Finish.optional(),
      class: MaterialClass.optional(),
      build: z.boolean().optional(),
      material: z
        .strictObject({
          recipe: Recipe.optional(),
          grade: Grade.optional(),
          hardenerSpeed: Speed.optional(),
          ...optional('densityGPerMl', 'volumeSolidsPercent'),
        })
        .optional(),
      climate: Climate.optional(),
      times: SheetTimes.optional(),
      own: OwnSettings.optional(),
      coatsWanted: quantity('coats').optional(),
      ...optional('viscosityMm2PerS', 'airTemperatureC', 'materialTemperatureC'),
      place: Place,
      part: PartKind,
      mist: z.boolean().optional(),
      preset: CoatPreset.optional(),
      sheet: GunSheet.optional(),
      way: Preferences.optional(),
      airline: Line.optional(),
      ...optional('capLimitKPa'),
      hardener: Chemistry.optional(),
      highSolids: z.boolean().optional(),
      limitFog: z.boolean().optional(),
      ...optional('panelLengthM', 'panelHeightM', 'slopeDeg', 'lapSeconds'),
      reducer: StepsSlower.optional(),
      plans: z.boolean().optional(),
      knobsNow: z
        .strictObject({
          ...wanted('fanTurnsOut', 'fluidTurnsOut'),
          part: PartKind.optional(),
          mist: z.boolean().optional(),
        })
        .optional(),
    })
    .superRefine(({ gun, knobsNow, own, climate, ...told }, ctx) => {
      for (const field of ['airTemperatureC', 'materialTemperatureC'] as const) {
        const [here, there] = [told[field], climate?.[field]];
        if (here !== undefined && there !== undefined && here !== there)
          ctx.addIssue(
            contradiction(
              [field],
              `${here} °C here and ${there} °C in climate: leave one of them out`,
            ),
          );
      }
      if (own)
        beyondTravel(gun, own, (knob) => ['own', knob]).forEach((issue) => ctx.addIssue(issue));
      if (knobsNow)
        beyondTravel(gun, knobsNow, (knob) => ['knobsNow', knob]).forEach((issue) =>
          ctx.addIssue(issue),
        );
    }),
  answer: () =>
    z.strictObject({
      class: MaterialClass,
      ...knobs,
      ...figures,
      nozzleWantedMm: z.tuple([z.number(), z.number()]),
      inletBandKPa: z.tuple([z.number(), z.number()]),
      mostWetFilmUm: z.number(),
      coats: z.number(),
      wetness: Wetness,
      asks: z.array(Ask),
      own: z.strictObject({ ...knobs, ...figures, ...explained }).optional(),
      risks: Risks.optional(),
      plans: z
        .array(z.strictObject({ settings: Settings, trades: z.string(), risks: Risks }))
        .optional(),
      better: z.number().optional(),
      ...explained,
    }),
  compute: ({ plans = true, ...input }) => inWords(plans ? setupWithRisks(input) : setupOf(input)),
});
