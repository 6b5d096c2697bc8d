/**
 * The one judge of every tap that goes on: what stands against it in the air and at the clock of
 * this moment. The server asks it before anything moves, the browser before it offers the button;
 * an answer with a stop in it goes nowhere (decision 14).
 */
import { caution, stop } from '@orthochrom/core/outcome/verdicts.ts';
import { prepStanding, type OnPrep } from './prepList.ts';
import { ask } from '../calculations/ask.ts';
import { recoatCalculation } from '../calculations/recoat.ts';
import type { InputOf } from '../registry.ts';
import type { SheetVersion } from '../shop/ticket.ts';
import type { Coat } from '../shop/coat.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { insideUnder, secondSession } from './faces.ts';
import { isStageBegun } from './coatOrder.ts';
import { gateProduct } from './gateProduct.ts';
import { newerIssueKept } from './newerIssue.ts';
import { layersStanding } from './layersFound.ts';
import {
  coatsUnder,
  holdsAgainst,
  isSanded,
  layerSaid,
  leftOf,
  namesOf,
  unsettledOf,
  type Laid,
} from './layersUnder.ts';
import { planCoat, stopsOf, type CoatPlan } from './planCoat.ts';
import type { PlanContext } from './planContext.ts';
import { recoatInput } from './recoatInputs.ts';
import { shrinkingBelow } from './shrinking.ts';
import { testPanelStanding } from './testPanel.ts';

/** Taps that put paint on, in their order, and work on a layer that is on. */
export const TAPS = ['take', 'pour', 'test', 'spray', 'panel', 'on'] as const;
export type Tap = (typeof TAPS)[number];
export type OnTicket = Laid &
  OnPrep & { sheets: readonly SheetVersion[]; newProducts: readonly string[] };

const MINUTE_MS = 60_000;

/**
 * Everything to be told before this coat goes on: stops of plan, place and what lies below, and
 * what was left below.
 */
export function standingFor(
  tap: Tap,
  whole: OnTicket,
  coat: Coat,
  context: PlanContext,
  nowMs: number,
  plan: CoatPlan = planCoat(context),
): WordedVerdict[] {
  const isRunning = tap === 'panel' || tap === 'on';
  // What is wet was begun within the window; the minutes of the coat itself do not close it.
  const atMs = isRunning && coat.startedAt ? Date.parse(coat.startedAt) : nowMs;
  const standing = [
    ...stopsOf(plan),
    ...solventStop(plan, context),
    ...windowStop(whole, coat, context, atMs),
    ...faultsBelow(whole, coat),
    ...(isRunning
      ? []
      : [
          ...shrinkingBelow(whole, coat, nowMs),
          ...tapeStop(whole, coat, context, nowMs),
          ...secondSession(whole, coat),
        ]),
    ...layersStanding(whole, coat),
    // A stage that was begun goes on by its issue: there is nothing to choose any more.
    ...(tap === 'take' && !isStageBegun(coat.stageId, whole.coats) ? newerIssueKept(context) : []),
    ...(tap === 'spray' ? testPanelStanding(context, whole, coat) : []),
    ...(isRunning ? [] : prepStanding(whole, coat.stageId, prepWhere(context, plan, nowMs))),
  ];
  return isRunning && standing.some(({ level }) => level === 'stop')
    ? [...standing, wordVerdict(caution('wet-panel-stopped'))]
    : standing;
}

/** Where the list is worked through: room, painter, and the air as it is. */
export const prepWhere = (
  { room, painter, air }: Pick<PlanContext, 'room' | 'painter' | 'air'>,
  { climate }: Pick<CoatPlan, 'climate'>,
  nowMs: number,
) => ({
  room,
  painter,
  air: {
    relativeHumidityPercent: air.humidity.value,
    ...(climate.panelMarginC === undefined ? {} : { marginC: climate.panelMarginC }),
  },
  nowMs,
});

export const stopsIn = (verdicts: readonly WordedVerdict[]): WordedVerdict[] =>
  verdicts.filter(({ level }) => level === 'stop');

/**
 * A limit of the region that was entered for the room is a law: over it nothing is poured.
 */
function solventStop({ mix }: CoatPlan, { room, sheet, stage }: PlanContext): WordedVerdict[] {
  const limitGPerL = room.regionRules.vocLimitGPerL;
  // As its sheet prints the recipe, less water; else as the mix is worked out.
  const vocGPerL = gateProduct(sheet, stage.recipeName).vocGPerL ?? mix?.vocGPerL;
  if (limitGPerL === undefined || vocGPerL === undefined || vocGPerL <= limitGPerL) return [];
  return [wordVerdict(stop('voc-over-legal-limit', { vocGPerL, limitGPerL }))];
}

/**
 * The layer directly below keeps its window open only so long; past it, sanding is recorded first.
 */
function windowStop(
  whole: OnTicket,
  coat: Pick<Coat, 'stageId' | 'ordinal'>,
  context: PlanContext,
  nowMs: number,
): WordedVerdict[] {
  const [below] = coatsUnder(whole, coat);
  if (!below?.endedAt || isSanded(whole, below)) return [];
  const asked = recoatOver(
    whole,
    below,
    coat,
    context,
    (nowMs - Date.parse(below.endedAt)) / MINUTE_MS,
  );
  return asked
    ? ask(recoatCalculation, asked).verdicts.filter(({ code }) => code === 'window-over')
    : [];
}

/**
 * The wait of the layer below, as it stands before this coat. Undefined: its stage or sheet is no
 * longer on the ticket.
 */
function recoatOver(
  whole: OnTicket,
  below: Coat,
  coat: Pick<Coat, 'stageId'>,
  context: PlanContext,
  minutesSince: number,
): InputOf<'recoat'> | undefined {
  const stage = whole.ticket.stages.find(({ id }) => id === below.stageId);
  const sheet = whole.sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  if (!stage || !sheet) return undefined;
  const { mist: _, ...rest } = context;
  const coatsLeft = below.stageId === coat.stageId ? 2 : 1;
  return recoatInput(
    { ...rest, stage, sheet, over: context.sheet, coatsLeft, isLastStage: false },
    { minutesSince: Math.max(0, minutesSince) },
  );
}

/** A hidden face bears tape and a hook before its part is turned. */
function tapeStop(
  whole: OnTicket,
  coat: Coat,
  context: PlanContext,
  nowMs: number,
): WordedVerdict[] {
  const inside = insideUnder(whole, coat);
  if (!inside?.endedAt) return [];
  const minutesSince = (nowMs - Date.parse(inside.endedAt)) / MINUTE_MS;
  const asked = recoatOver(whole, inside, coat, context, minutesSince);
  if (!asked) return [];
  const { verdicts } = ask(recoatCalculation, { ...asked, next: 'tape' });
  return verdicts.filter(({ code }) => code === 'too-early');
}

function faultsBelow(whole: OnTicket, coat: Pick<Coat, 'stageId' | 'ordinal'>): WordedVerdict[] {
  return coatsUnder(whole, coat).flatMap((below) => {
    const where = layerSaid(whole, below);
    const open = unsettledOf(whole, below).filter((fault) => holdsAgainst(below, coat, fault));
    return [
      ...(open.length > 0
        ? [wordVerdict(stop('fault-unsettled', { what: namesOf(open), where }))]
        : []),
      ...leftOf(whole, below).map(({ name, why }) =>
        wordVerdict(caution('fault-left-below', { what: name, where, why })),
      ),
    ];
  });
}
