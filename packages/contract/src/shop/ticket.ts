/**
 * A job: vehicle, panels, stages pinned to the sheets they were planned with, and what was done
 * coat by coat.
 */
import { MOST_WHOLE } from './mostWhole.ts';
import { BODIES } from '@orthochrom/core/body/bodyMap.ts';
import { BUILDS } from '@orthochrom/core/heat/panelHeat.ts';
import { SCOPES } from '@orthochrom/core/layers/foundLayer.ts';
import { FoundLayer } from '../shapes/layers.ts';
import {
  CupName,
  Finish,
  FinishTarget,
  JobSize,
  PartKind,
  StageName,
  Substrate,
  Timing,
} from '../shapes/trade.ts';
import { z } from 'zod';
import { Poured } from '../calculations/pourCheck.ts';
import { TouchTests } from '../calculations/recoat.ts';
import { listOf, moreThanZero, name, optional, text, wanted } from '../quantity/fields.ts';
import { Addition, RecipePart } from '../shapes/mixing.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { edited, Id } from './common.ts';
import type { GateRecord } from './gateRecord.ts';
import type { LayerFinding, LayerWork } from './layerWork.ts';
import { Seen, type Coat } from './coat.ts';
import type { FinishStepDone } from './finishStep.ts';
import type { HeatRead } from './heatRead.ts';
import type { Usage } from './usage.ts';
import type { CustomerDecision, LateFind, PrepAnswer } from './prep.ts';
import type { SprayCard } from './sprayCard.ts';

/** A part off the car has two: what is hidden once it hangs is sprayed first. */
export const FACES = ['inside', 'outside'] as const;

export const Panel = z.strictObject({
  id: Id,
  name: name(),
  ...wanted('areaM2'),
  orientation: z.enum(['upright', 'flat', 'slope']),
  substrate: Substrate,
  scope: z.enum(SCOPES),
  /** What stands on it, lowest first; absent where nobody was asked. */
  found: listOf(FoundLayer).optional(),
  /** Somebody else's bodywork is under it. */
  foreign: z.boolean().optional(),
  /** Painted over more than once already. */
  manyLayers: z.boolean().optional(),
  ...optional('spotM2', 'heightM', 'lengthM'),
  /** How heavy it is: what lags in an oven. Without a word, as its stuff usually is. */
  build: z.enum(BUILDS).optional(),
  face: z.enum(FACES).optional(),
  /** Without a word: as from the factory. */
  finishTarget: FinishTarget.optional(),
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
  /** Which of several shades that bear one code. */
  variant: z.string().max(80).optional(),
  /** What stands in place of the paint in its recipe, by volume: a shade made for this colour. */
  tint: listOf(
    z.strictObject({ name: name(), parts: moreThanZero('parts'), product: name() }),
    2,
  ).optional(),
  coats: z.int().min(1).max(12),
  gunId: Id.optional(),
  part: PartKind,
  /** Of the first session, over hidden faces alone. */
  face: z.literal('inside').optional(),
  panelIds: z.array(Id).min(1).max(64),
});
export type StagePlan = z.infer<typeof StagePlan>;

const ticketShape = {
  vehicle: z.string().min(1).max(200),
  bodyKind: z.enum(BODIES),
  roomId: Id,
  painterId: Id,
  jobSize: JobSize,
  dueOn: z.iso.date().optional(),
  timing: Timing.optional(),
  /** It stands in strong sun: a ground of another hue would show once the colour bleaches. */
  strongSun: z.boolean().optional(),
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
  .strictObject({
    ...edited,
    ...ticketShape,
    state: TicketState,
    /** Why it is closed before it was looked at again. */
    closedBecause: z.string().min(1).max(200).optional(),
  })
  .superRefine(panelsKnown);
export type TicketCreate = z.infer<typeof TicketCreate>;
export type TicketEdit = z.infer<typeof TicketEdit>;
export type Ticket = TicketCreate & {
  version: number;
  number: string;
  state: z.infer<typeof TicketState>;
  createdAt: string;
};

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

/** Looked at again on the next day; what is seen stands with the coat. */
export const LookedAgain = z.strictObject({
  ...edited,
  painterId: Id,
  seen: listOf(Seen, 1),
  note: text(),
});
export const TimerConfirm = z.strictObject({ ...edited, painterId: Id, tests: TouchTests });
export type Timer = {
  id: string;
  version: number;
  ticketId: string;
  coatId?: string;
  mixId?: string;
  /** `look`: the look of the next day, in the light the job is wanted for. */
  kind: 'flash' | 'potLife' | 'look';
  startedAt: string;
  dueAt: string;
  latestAt?: string;
  test: string;
  confirmedAt?: string;
  confirmedBy?: string;
  /** Why the ticket was closed before it was looked at again. */
  why?: string;
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
  prepAnswers: PrepAnswer[];
  lateFinds: LateFind[];
  decisions: CustomerDecision[];
  usages: Usage[];
  finishSteps: FinishStepDone[];
  heatReads: HeatRead[];
  sprayCards: SprayCard[];
  sheets: SheetVersion[];
  /** Of the products on it, by sheet: those nobody sprayed in this shop yet. */
  newProducts: string[];
  serverNow: string;
};

/** Done tickets behind this one. */
export const TicketQuery = z.strictObject({ after: Id.optional() });
export type TicketQuery = z.infer<typeof TicketQuery>;

/** Several at once, tickets or issues of sheets: their ids with commas between them. */
export const IdsQuery = z.strictObject({
  ids: z
    .string()
    .transform((text) => text.split(','))
    .pipe(z.array(Id).min(1).max(MOST_WHOLE)),
});
