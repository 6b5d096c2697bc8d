/**
 * A job: vehicle, panels, stages pinned to the sheets they were planned with, and what was done
 * coat by coat.
 */
import { CupName, Finish, JobSize, PartKind, StageName, Substrate } from '../shapes/trade.ts';
import { z } from 'zod';
import { Poured } from '../calculations/pourCheck.ts';
import { TouchTests } from '../calculations/recoat.ts';
import {
  contradiction,
  listOf,
  moreThanZero,
  name,
  optional,
  text,
  wanted,
} from '../quantity/fields.ts';
import { Addition, BlendPart, RecipePart } from '../shapes/mixing.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { edited, Id } from './common.ts';
import type { GateRecord } from './gateRecord.ts';
import type { LayerFinding, LayerWork } from './layerWork.ts';

export const Panel = z.strictObject({
  id: Id,
  name: name(),
  ...wanted('areaM2'),
  orientation: z.enum(['upright', 'flat', 'slope']),
  substrate: Substrate,
  scope: z.enum(['full', 'blend', 'spot', 'clearOnly', 'leave']),
});
export type Panel = z.infer<typeof Panel>;

export const StagePlan = z.strictObject({
  id: Id,
  kind: StageName,
  sheetVersionId: Id,
  recipeName: name(),
  finish: Finish.optional(),
  colourName: z.string().max(80),
  colourHex: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .optional(),
  coats: z.int().min(1).max(12),
  gunId: Id.optional(),
  part: PartKind,
  panelIds: z.array(Id).min(1).max(64),
});
export type StagePlan = z.infer<typeof StagePlan>;

const ticketShape = {
  vehicle: z.string().min(1).max(200),
  bodyKind: z.enum(['hatchback', 'saloon', 'wagon', 'coupe', 'van', 'pickup', 'parts']),
  roomId: Id,
  painterId: Id,
  jobSize: JobSize,
  dueOn: z.iso.date().optional(),
  note: text(),
  panels: z.array(Panel).min(1).max(64),
  stages: z.array(StagePlan).min(1).max(16),
};

type TicketLike = { panels: Panel[]; stages: StagePlan[] };
function panelsKnown({ panels, stages }: TicketLike, ctx: z.RefinementCtx): void {
  stages.forEach((stage, i) =>
    stage.panelIds.forEach((id, k) => {
      if (!panels.some((panel) => panel.id === id))
        ctx.addIssue({
          code: 'custom',
          path: ['stages', i, 'panelIds', k],
          message: 'this panel is not on the ticket',
          params: { code: 'contradiction' },
        });
    }),
  );
}

export const TicketCreate = z.strictObject({ id: Id, ...ticketShape }).superRefine(panelsKnown);
export const TicketState = z.enum(['open', 'done', 'cancelled']);
export const TicketEdit = z
  .strictObject({ ...edited, ...ticketShape, state: TicketState })
  .superRefine(panelsKnown);
export type TicketCreate = z.infer<typeof TicketCreate>;
export type TicketEdit = z.infer<typeof TicketEdit>;
export type Ticket = TicketCreate & {
  version: number;
  number: string;
  state: z.infer<typeof TicketState>;
  createdAt: string;
};

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
  z.enum([...settingNames, 'reducer', 'hardener', 'coats', 'potLife', 'stop']),
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
};

/**
 * What a painter asks of a plan before it is taken: another grade, another hardener, another
 * amount, other work.
 */
const planWishes = {
  wantedParts: listOf(BlendPart).optional(),
  hardenerId: name().optional(),
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
export const SprayStart = z.strictObject({
  ...edited,
  painterId: Id,
  mixId: Id,
  unchangedSinceGate: z.literal(true),
  whyOldMix: z.string().min(1).max(200).optional(),
});
export const PanelSprayed = z.strictObject({ panelId: Id, painterId: Id });
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

export const MixCreate = z.strictObject({
  id: Id,
  stageId: Id,
  coatId: Id,
  painterId: Id,
  poured: listOf(Poured, 1),
  cupId: Id.optional(),
  batchNo: z.int().min(1).max(64),
  correctedFromId: Id.optional(),
});
/** Seconds through a cup, and how warm the paint was then. */
export const FlowCup = z.strictObject({
  cup: CupName,
  seconds: moreThanZero('seconds'),
  ...wanted('measuredAtC'),
});
export type FlowCup = z.infer<typeof FlowCup>;
export const MixFlowCup = z.strictObject({ ...edited, painterId: Id, flowCup: FlowCup });
export type Mix = {
  id: string;
  version: number;
  stageId: string;
  recipe: { parts: z.infer<typeof RecipePart>[]; additions?: z.infer<typeof Addition>[] };
  poured: z.infer<typeof Poured>[];
  readyMl: number;
  batchNo: number;
  mixedAt: string;
  materialC?: number;
  potLifeEndsAt?: string;
  correctedFromId?: string;
  flowCup?: FlowCup;
};

export const TimerConfirm = z.strictObject({ ...edited, painterId: Id, tests: TouchTests });
export type Timer = {
  id: string;
  version: number;
  ticketId: string;
  coatId?: string;
  mixId?: string;
  kind: 'flash' | 'potLife';
  startedAt: string;
  dueAt: string;
  latestAt?: string;
  test: string;
  confirmedAt?: string;
  confirmedBy?: string;
};

export type SheetVersion = { id: string; sheet: Sheet };
export type TicketWhole = {
  ticket: Ticket;
  coats: Coat[];
  mixes: Mix[];
  gates: GateRecord[];
  timers: Timer[];
  works: LayerWork[];
  found: LayerFinding[];
  sheets: SheetVersion[];
  serverNow: string;
};
