/**
 * Everything that the plan of one coat is worked out from; the same on the server and in the
 * browser.
 */
import { shareOf } from '@orthochrom/core/amount/share.ts';
import type { Basis } from '@orthochrom/core/trade/vocabulary.ts';
import type { AirNow } from '../shop/air.ts';
import type { AirLine } from '../shop/compressedAir.ts';
import type { KnobsLeft, Painter, Room, StoredCup, StoredGun } from '../shop/setup.ts';
import type { FlowCup, StagePlan, Ticket } from '../shop/ticket.ts';
import type { Usage } from '../shop/usage.ts';
import type { Sheet, SheetRecipe } from '../sheet/sheet.ts';
import type { AnswerOf } from '../registry.ts';
import type { SetNow } from './settingsNow.ts';

export type CoatsPlanned = AnswerOf<'coatPlan'>;
export type CoatPlanned = CoatsPlanned['coats'][number];

export type Products = ReadonlyMap<string, Sheet>;
export type PlanContext = {
  ticket: Pick<Ticket, 'jobSize' | 'panels'>;
  stage: StagePlan;
  sheet: Sheet;
  products: Products;
  painter: Painter;
  room: Room;
  air: AirNow;
  gun: StoredGun;
  coatsLeft: number;
  /** Which coat of its stage. */
  ordinal: number;
  /** Nothing goes over this stage any more: what follows its last coat is heat, or nothing. */
  isLastStage: boolean;
  /** What is sprayed over this stage next: its sheet rules the air then. */
  over?: Pick<Sheet, 'carrier' | 'limits'>;
  cup?: StoredCup;
  /** From the wall to the gun in this room. */
  airLine?: AirLine;
  /**
   * Other work than the stage's, for this coat alone: a jamb, a spot; and whether it is a mist
   * coat.
   */
  part?: StagePlan['part'];
  mist?: boolean;
  /** Of the mix in hand, through a flow cup. */
  flowCup?: FlowCup;
  /** How the last coat left this gun's knobs. */
  knobsLeft?: KnobsLeft;
  readyMl?: number;
  /** The painter's own pick of grades, held beside ours. */
  wantedParts?: { name: string; fraction: number }[];
  hardenerId?: string;
  /** Per cents of the painter's own, in place of ours. */
  doses?: { product: string; percent: number; of: Basis }[];
  /** A plan of its own for every coat of the stage. */
  coatPlan?: CoatsPlanned;
  /** What the shop pays, by product and size of tin in ml. */
  prices?: ReadonlyMap<string, Record<string, number>>;
  /** The grades that an earlier cup of this stage was mixed with. */
  mixedNow?: { name: string; fraction: number }[];
  /** Wet film of the coat that flashes, read off the comb: the waits go by it. */
  combedUm?: number;
  /** What this hand took against its plan, in stages of this kind. */
  usages?: Usage[];
  /** Settings of a plan that was taken, with the painter's own in them. */
  own?: SetNow;
};

/** @throws Error when the pinned sheet has no such recipe: a broken ticket, not bad input */
export function recipeOf({
  sheet,
  stage,
}: {
  sheet: Sheet;
  stage: Pick<StagePlan, 'recipeName'>;
}): SheetRecipe {
  const recipe = sheet.recipes?.find(({ name }) => name === stage.recipeName) ?? sheet.recipes?.[0];
  if (!recipe) throw new Error(`${sheet.id} has no recipe`);
  return recipe;
}

/** Thinned to melt edges: it is never counted as film. */
export const isBlendOnly = (sheet: Sheet, stage: Pick<StagePlan, 'recipeName'>): boolean =>
  recipeOf({ sheet, stage }).blendOnly === true;

/** The plan of this very coat, where its stage has one. */
export const coatPlanned = ({
  coatPlan,
  ordinal,
}: Pick<PlanContext, 'coatPlan' | 'ordinal'>): CoatPlanned | undefined =>
  coatPlan?.coats[ordinal - 1];

export const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2;

/** What painters call a product: its grade, or its name without the line's. */
export function shortName(sheet: Sheet): string {
  return (
    sheet.grade?.name ??
    (sheet.name.startsWith(`${sheet.line} `) ? sheet.name.slice(sheet.line.length + 1) : sheet.name)
  );
}

/** Area that a coat of this stage is sprayed on, m²: of a blend or a spot its share. */
export const stageAreaM2 = ({ ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>): number =>
  ticket.panels
    .filter(({ id }) => stage.panelIds.includes(id))
    .reduce((sum, panel) => sum + panel.areaM2 * shareOf(panel, stage.kind), 0);
