import { setupForeseen, type SetupForeseen } from '@orthochrom/core/coat/setupForeseen.ts';
import { setupOf } from '@orthochrom/core/gun/setup.ts';
import { z } from 'zod';
import { optional, wanted } from '../quantity/fields.ts';
import { Carrier, Chemistry, Finish, PartKind, Place, StageName } from '../shapes/climate.ts';
import { Gun, GunSheet, Line, beyondTravel, Settings, Way } from '../shapes/gun.ts';
import { Risks } from '../shapes/risks.ts';
import { Ask, explained, Spread } from '../shapes/told.ts';
import { riskText, tradeText } from '../words/coatWords.ts';
import { defineCalculation } from './define.ts';

/** Plans and risks cost a search; a plan of a whole ticket asks without. */
const inWords = ({ plans, verdicts, ...answer }: SetupForeseen) => ({
  ...answer,
  verdicts: verdicts.map((verdict) =>
    verdict.code === 'risk-high' ? { ...verdict, params: riskText(verdict.params) } : verdict,
  ),
  ...(plans ? { plans: plans.map(({ trade, ...plan }) => ({ ...plan, trades: tradeText(trade) })) } : {}),
});

export const setup = defineCalculation('setup', {
  input: z
    .strictObject({
      gun: Gun,
      stage: StageName,
      carrier: Carrier,
      finish: Finish.optional(),
      build: z.boolean().optional(),
      ...optional('viscosityMm2PerS', 'airTemperatureC', 'materialTemperatureC'),
      place: Place,
      part: PartKind,
      mist: z.boolean().optional(),
      sheet: GunSheet.optional(),
      way: Way.optional(),
      airline: Line.optional(),
      ...optional('capLimitKPa'),
      hardener: Chemistry.optional(),
      highSolids: z.boolean().optional(),
      limitFog: z.boolean().optional(),
      ...optional('panelLengthM'),
      plans: z.boolean().optional(),
      knobsNow: z
        .strictObject({ ...wanted('fanTurnsOut', 'fluidTurnsOut'), part: PartKind.optional(), mist: z.boolean().optional() })
        .optional(),
    })
    .superRefine(({ gun, knobsNow }, ctx) => {
      if (knobsNow) beyondTravel(gun, knobsNow, (knob) => ['knobsNow', knob]).forEach((issue) => ctx.addIssue(issue));
    }),
  answer: z.strictObject({
    nozzleMm: z.number(),
    nozzleWantedMm: z.tuple([z.number(), z.number()]),
    inletKPa: z.number(),
    fluidTurnsOut: z.number(),
    fanTurnsOut: z.number(),
    distanceMm: z.number(),
    overlapPercent: z.number(),
    coats: z.number(),
    wetFilmUm: z.number(),
    wetness: z.enum(['light', 'medium', 'mediumWet', 'wet']),
    asks: z.array(Ask),
    fanWidthMm: z.number(),
    stepMm: z.number(),
    capKPa: z.number(),
    fluidMlPerMin: z.number(),
    gunSpeedMPerS: z.number(),
    secondsPerPass: z.number().optional(),
    airFlowLPerMin: z.number(),
    dropletUm: Spread.optional(),
    transferEfficiencyPercent: Spread.optional(),
    risks: Risks.optional(),
    plans: z.array(z.strictObject({ settings: Settings, trades: z.string(), risks: Risks })).optional(),
    regulatorFlowingKPa: z.number().optional(),
    regulatorStaticKPa: z.number().optional(),
    ranges: z.strictObject({
      capKPa: Spread,
      fluidMlPerMin: Spread,
      fanWidthMm: Spread,
      regulatorFlowingKPa: Spread.optional(),
    }),
    ...explained,
  }),
  compute: ({ plans = true, ...input }) => inWords(plans ? setupForeseen(input) : setupOf(input)),
  heavy: true,
});
