/** A coat of a ticket: planned, taken, sprayed, flashed, looked at; what each tap brings. */
import { HALVES } from '@orthochrom/core/route/routeInput.ts';
import { Basis, PartKind } from '../shapes/trade.ts';
import { z } from 'zod';
import {
  contradiction,
  listOf,
  moreThanZero,
  name,
  optional,
  text,
  wanted,
} from '../quantity/fields.ts';
import { BlendPart } from '../shapes/mixing.ts';
import { edited, Id } from './common.ts';

export const CoatState = z.enum(['planned', 'taken', 'spraying', 'sprayed', 'flashed', 'looked']);
export type CoatState = z.infer<typeof CoatState>;

/** Fields a painter can set otherwise than recommended, or log as done. */
export const settingNames = [
  'nozzleMm',
  'inletKPa',
  'fluidTurnsOut',
  'fanTurnsOut',
  'distanceMm',
  'overlapPercent',
  'wetFilmUm',
] as const;
export type SettingName = (typeof settingNames)[number];
export const DoneSettings = z.strictObject(optional(...settingNames, 'fanWidthMm'));
const Override = z.strictObject({
  recommended: z.union([z.number(), z.string()]),
  chosen: z.union([z.number(), z.string()]),
  why: z.string().min(1).max(200),
});
export const Overrides = z.partialRecord(
  z.enum([...settingNames, 'reducer', 'hardener', 'dose', 'coats', 'potLife', 'stop']),
  Override,
);
export type Overrides = z.infer<typeof Overrides>;

export type Done = Partial<
  Record<string, { value: number; source: 'confirmed' | 'changed' | 'instrument' }>
>;

export const Rating = z.enum(['good', 'fair', 'poor']);
export type Rating = z.infer<typeof Rating>;
export const Seen = z.enum([
  'nothing',
  'peel',
  'run',
  'dust',
  'drySpray',
  'stripes',
  'pops',
  'fisheyes',
  'other',
]);
export type Seen = z.infer<typeof Seen>;

export type PanelDone = {
  panelId: string;
  sprayedAt: string;
  lowestInletKPa?: number;
  highestInletKPa?: number;
};

/** Sprayed before the car, or left out with a word why; it holds for this gun and this tip. */
export type TestPanel = {
  at: string;
  painterId: string;
  gunId: string;
  nozzleMm?: number;
  /** Where the needle stood when the film lay wet. */
  fluidTurnsOut?: number;
  skippedBecause?: string;
};

export type HalfDone = { panelId: string; half: (typeof HALVES)[number]; sprayedAt: string };

/** The plan frozen when the painter takes it; the answers are the server's own. */
export type TakenPlan = {
  at: string;
  calculationVersion: number;
  sheetVersionIds: string[];
  inputs: Record<string, unknown>;
  answers: Record<string, unknown>;
  wishes?: PlanWishes;
};
export type Coat = {
  id: string;
  version: number;
  ticketId: string;
  stageId: string;
  ordinal: number;
  state: CoatState;
  planned?: TakenPlan;
  overrides: Overrides;
  done: Done;
  seen: Seen[];
  rating?: z.infer<typeof Rating>;
  note: string;
  gunId?: string;
  nozzleMm?: number;
  mixId?: string;
  painterId?: string;
  roomId?: string;
  startedAt?: string;
  endedAt?: string;
  /** Flowing at the gun over the coat, trigger pulled. */
  lowestInletKPa?: number;
  highestInletKPa?: number;
  panelsSprayed: PanelDone[];
  halvesSprayed: HalfDone[];
  testPanel?: TestPanel;
};

/**
 * What a painter asks of a plan before it is taken: another grade, another hardener, another
 * amount, other work.
 */
const planWishes = {
  wantedParts: listOf(BlendPart).optional(),
  hardenerId: name().optional(),
  doses: listOf(z.strictObject({ product: name(), ...wanted('percent'), of: Basis })).optional(),
  readyMl: moreThanZero('readyMl').optional(),
  part: PartKind.optional(),
  mist: z.boolean().optional(),
};
export const TakePlan = z.strictObject({
  ...edited,
  painterId: Id,
  gunId: Id,
  overrides: Overrides,
  ...planWishes,
  cupId: Id.optional(),
});
export type PlanWishes = Pick<z.infer<typeof TakePlan>, keyof typeof planWishes>;
export const OverridePlan = z.strictObject({ ...edited, painterId: Id, overrides: Overrides });
/** Good on the test panel, with the turns that were found there; or left out, and why. */
export const TestPanelDone = z
  .strictObject({
    ...edited,
    painterId: Id,
    ...optional('fluidTurnsOut'),
    skippedBecause: z.string().min(1).max(200).optional(),
  })
  .superRefine(({ fluidTurnsOut, skippedBecause }, ctx) => {
    if (fluidTurnsOut !== undefined && skippedBecause !== undefined)
      ctx.addIssue(
        contradiction(['skippedBecause'], 'left out, it found no turns: one of the two'),
      );
  });
export const SprayStart = z.strictObject({
  ...edited,
  painterId: Id,
  mixId: Id,
  unchangedSinceGate: z.literal(true),
  whyOldMix: z.string().min(1).max(200).optional(),
});
export const PanelSprayed = z.strictObject({
  panelId: Id,
  painterId: Id,
  /** Of a panel sprayed from both sides of the car; it is on when both are. */
  half: z.enum(HALVES).optional(),
});
/** Touched by mistake. */
export const PanelTakenBack = z.strictObject({ panelId: Id, painterId: Id });
/**
 * Lowest and highest as the painter read them; left out, the gauge's own. `stoppedBecause`: a stop
 * came up, and what is on stays on; panels neither tapped nor named in `panelsOn` were not sprayed.
 */
export const SprayEnd = z
  .strictObject({
    ...edited,
    painterId: Id,
    ...optional('lowestInletKPa', 'highestInletKPa'),
    stoppedBecause: z.string().min(1).max(200).optional(),
    panelsOn: z.array(Id).max(64).optional(),
  })
  .superRefine(({ lowestInletKPa, highestInletKPa }, ctx) => {
    if (
      lowestInletKPa !== undefined &&
      highestInletKPa !== undefined &&
      lowestInletKPa > highestInletKPa
    )
      ctx.addIssue(
        contradiction(
          ['highestInletKPa'],
          `the highest, ${highestInletKPa} kPa, lies under the lowest, ${lowestInletKPa} kPa`,
        ),
      );
  });
/** Read off the comb before the film is touch-dry. */
export const WetFilmRead = z.strictObject({ ...edited, painterId: Id, ...wanted('wetFilmUm') });
export const Look = z.strictObject({
  ...edited,
  painterId: Id,
  done: DoneSettings,
  seen: z.array(Seen).min(1),
  rating: Rating,
  note: text(),
});
