/**
 * A data sheet as it is written in, imported and exported: one object per product version; a saved
 * one never changes.
 */
import {
  Basis,
  Carrier,
  Chemistry,
  CupName,
  Finish,
  GunClass,
  MaterialClass,
  Role,
  StageName,
} from '../shapes/trade.ts';
import { HISTORIES } from '@orthochrom/core/layers/foundLayer.ts';
import { CLEANERS } from '@orthochrom/core/film/recoat.ts';
import { z } from 'zod';
import {
  band,
  listOf,
  moreThanZero,
  name,
  optional,
  quantity,
  text,
  wanted,
} from '../quantity/fields.ts';
import { CoatRule } from '../shapes/coatRule.ts';
import { Limits } from '../shapes/climate.ts';
import { SheetTimes } from '../shapes/film.ts';
import { GunSheet } from '../shapes/gun.ts';
import { AdjusterPoint, Grade, PotLife, Reduction } from '../shapes/mixing.ts';

export const ProductKind = z.enum([
  'primer',
  'sealer',
  'base',
  'effect',
  'clear',
  'singleStage',
  'reducer',
  'hardener',
  'adjuster',
  'additive',
  'cleaner',
]);
const secondsBand = z.tuple([moreThanZero('seconds'), moreThanZero('seconds')]);

export const SheetRecipe = z.strictObject({
  name: name(),
  use: z.string().max(200),
  parts: listOf(z.strictObject({ role: Role, product: name(), parts: moreThanZero('parts') }), 1),
  /** `byGrid`: the sheet's grid rules the per cent of this air; the figure is that of usual air. */
  additions: listOf(
    z.strictObject({
      role: Role,
      product: name(),
      percent: quantity('percent'),
      of: Basis,
      byGrid: z.boolean().optional(),
    }),
  ).optional(),
  ...wanted('densityGPerMl', 'volumeSolidsPercent', 'vocGPerL'),
  ...optional('vocLessWaterGPerL'),
  viscosity: z.strictObject({ cup: CupName, seconds: secondsBand, ...wanted('atC') }).optional(),
  potLife: PotLife.optional(),
  /** It stands so long once it is stirred, before it is sprayed. */
  ...optional('standMinutes'),
  /** Thinned for melting edges: it is never counted as film. */
  blendOnly: z.boolean().optional(),
  coats: band('coats'),
  /** Its coats one by one: the last lighter, a half coat, a bed under a fade. */
  coatRule: CoatRule.optional(),
  wetFilmUm: band('wetFilmUm'),
  dryFilmUm: band('dryFilmUm'),
  nozzleMm: band('nozzleMm'),
  times: SheetTimes,
});

export const Sheet = z.strictObject({
  id: name(),
  name: name(),
  line: name(),
  kind: ProductKind,
  number: z.int().min(1).max(100_000),
  issuedOn: z.iso.date(),
  source: z.enum(['sheet', 'shopHabit', 'default']),
  carrier: Carrier,
  hardenerChemistry: Chemistry,
  stages: listOf(StageName).optional(),
  materialClass: MaterialClass.optional(),
  finishes: listOf(Finish).optional(),
  ...wanted('densityGPerMl'),
  ...optional('volumeSolidsPercent', 'vocGPerL', 'vocLessWaterGPerL'),
  packSizesMl: listOf(moreThanZero('sizeMl')).optional(),
  shades: listOf(
    z.strictObject({ name: name(), colour: z.string().regex(/^#[0-9a-f]{6}$/i) }),
  ).optional(),
  grade: Grade.optional(),
  recipes: listOf(SheetRecipe).optional(),
  grades: listOf(name()).optional(),
  hardeners: listOf(name()).optional(),
  adjusterGrid: listOf(AdjusterPoint).optional(),
  reduction: Reduction.optional(),
  limits: Limits.optional(),
  gunSheet: z.partialRecord(GunClass, GunSheet).optional(),
  overWhat: listOf(
    z.strictObject({
      layer: z.string().max(200),
      grit: z.string().max(80),
      /** What this layer counts as, where the sheet names it. */
      history: z.enum([...HISTORIES, 'cutThrough']).optional(),
    }),
  ).optional(),
  strainerUm: quantity('strainerUm').optional(),
  wipe: z.enum(CLEANERS).optional(),
  blowerOk: z.boolean().optional(),
  additives: listOf(
    z.strictObject({ id: name(), percent: quantity('percent'), of: Basis, use: text() }),
  ).optional(),
  ...optional('maxBakeC'),
  /** Dry film over a black-and-white card at which its halves are one. */
  hidingUm: moreThanZero('hidingUm').optional(),
  /** What may be mixed into it for its colour. */
  tint: z.strictObject({ with: listOf(name()), sealerPartsToOne: band('parts') }).optional(),
  notes: listOf(text()).optional(),
});
export type Sheet = z.infer<typeof Sheet>;
export type SheetRecipe = z.infer<typeof SheetRecipe>;

/** Longer than any shop's shelf. */
const MOST_SHEETS = 1000;
/** A file of sheets: all of it is kept, or nothing. */
export const SheetFile = z.strictObject({ sheets: z.array(Sheet).min(1).max(MOST_SHEETS) });
