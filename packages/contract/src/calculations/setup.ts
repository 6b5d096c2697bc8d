import { setupOf } from '@orthochrom/core/gun/setup.ts';
import { z } from 'zod';
import { contradiction, optional, wanted } from '../quantity/fields.ts';
import { Carrier, Chemistry, Finish, PartKind, Place, StageName } from '../shapes/climate.ts';
import { Gun, GunSheet, Line, Way } from '../shapes/gun.ts';
import { Ask, explained } from '../shapes/told.ts';
import { defineCalculation } from './define.ts';

export const setup = defineCalculation('setup', {
  input: z
    .strictObject({
      gun: Gun,
      stage: StageName,
      carrier: Carrier,
      finish: Finish.optional(),
      build: z.boolean().optional(),
      ...optional('viscosityMm2PerS', 'airTemperatureC'),
      place: Place,
      part: PartKind,
      sheet: GunSheet.optional(),
      way: Way.optional(),
      airline: Line.optional(),
      ...optional('capLimitKPa'),
      hardener: Chemistry.optional(),
      highSolids: z.boolean().optional(),
      limitFog: z.boolean().optional(),
      ...optional('panelLengthM'),
      knobsNow: z.strictObject({ ...wanted('fanTurnsOut', 'fluidTurnsOut'), part: PartKind.optional() }).optional(),
    })
    .superRefine(({ gun, knobsNow }, ctx) => {
      if (knobsNow && gun.fullFluidTurns !== undefined && knobsNow.fluidTurnsOut > gun.fullFluidTurns)
        ctx.addIssue(
          contradiction(
            ['knobsNow', 'fluidTurnsOut'],
            `fluidTurnsOut ${knobsNow.fluidTurnsOut} is beyond the needle's ${gun.fullFluidTurns} turns`,
          ),
        );
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
    ...explained,
  }),
  compute: setupOf,
});
