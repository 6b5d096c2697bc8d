import { setupOf } from '@orthochrom/core/gun/setup.ts';
import { z } from 'zod';
import { optional, wanted } from '../quantity/fields.ts';
import { Carrier, Chemistry, Finish, PartKind, Place, StageName } from '../shapes/climate.ts';
import { Gun, GunSheet, Line, beyondTravel, Way } from '../shapes/gun.ts';
import { Ask, explained, Spread } from '../shapes/told.ts';
import { defineCalculation } from './define.ts';

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
  compute: setupOf,
});
