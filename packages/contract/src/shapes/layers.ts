/** What was found on a panel, and the stages planned over it. */
import {
  FOUND_TEXTURES,
  HISTORIES,
  PATCHES,
  SCOPES,
  SOLVENT_RUBS,
  TAPE_PULLS,
} from '@orthochrom/core/layers/foundLayer.ts';
import { GRAIN_UM, GRITS } from '@orthochrom/core/layers/grit.ts';
import { CLEANERS } from '@orthochrom/core/film/recoat.ts';
import { z } from 'zod';
import { contradiction, listOf, moreThanZero, name, optional } from '../quantity/fields.ts';
import { Carrier, Chemistry, Finish, StageName, Substrate } from './trade.ts';

export const Grit = z.enum(GRITS);
/** Coarse first. */
export const GritBand = z.tuple([Grit, Grit]).superRefine(([from, to], ctx) => {
  if (GRAIN_UM[from] < GRAIN_UM[to])
    ctx.addIssue(contradiction([1], `the grit ends at ${to}, coarser than ${from}`));
});
const History = z.enum(HISTORIES);

export const FoundLayer = z.strictObject({
  history: History,
  ...optional('dryUm'),
  lastGrit: Grit.optional(),
  texture: z.enum(FOUND_TEXTURES).optional(),
  blockedFlat: z.boolean().optional(),
  cutThrough: z.boolean().optional(),
  insideWindow: z.boolean().optional(),
  tests: z
    .strictObject({
      tape: z.enum(TAPE_PULLS).optional(),
      rub: z.enum(SOLVENT_RUBS).optional(),
      patch: z.enum(PATCHES).optional(),
    })
    .optional(),
});
export const TakenIn = z.strictObject({
  name: name(),
  areaM2: moreThanZero('areaM2').optional(),
  scope: z.enum(SCOPES).optional(),
  substrate: Substrate.optional(),
  found: listOf(FoundLayer).optional(),
  foreign: z.boolean().optional(),
  manyLayers: z.boolean().optional(),
});
export const PlannedStage = z.strictObject({
  name: name(),
  stage: StageName,
  carrier: Carrier,
  activated: z.boolean().optional(),
  hardener: Chemistry.optional(),
  build: z.boolean().optional(),
  finish: Finish.optional(),
  panels: listOf(name()).optional(),
  ...optional('dryUm'),
  allowedOver: listOf(z.enum([...HISTORIES, 'cutThrough'])).optional(),
  sheetGrit: GritBand.optional(),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .optional(),
  variant: z.boolean().optional(),
  wipe: z.enum(CLEANERS).optional(),
  sandBelow: z.boolean().optional(),
  wetOnWet: z.boolean().optional(),
});
