/**
 * The list of a ticket: from its panels, stages and answers to `prep`, for card, judge and record
 * alike. It holds once somebody said what stands on a panel, or began it.
 */
import { stepsBefore } from '@orthochrom/core/prep/prepSteps.ts';
import { isGate } from '@orthochrom/core/prep/stepKinds.ts';
import { caution, stop, term, type Term } from '@orthochrom/core/outcome/verdicts.ts';
import { ask } from '../calculations/ask.ts';
import { prepCalculation } from '../calculations/prep.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Painter, Room } from '../shop/setup.ts';
import type { SheetVersion, TicketWhole } from '../shop/ticket.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { panelSaid, plannedStages, stageSaid, takenIn } from './layersFound.ts';

export type OnPrep = Pick<TicketWhole, 'ticket' | 'prepAnswers' | 'lateFinds'> & {
  sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[];
};
type Where = {
  room: Pick<Room, 'place' | 'extraction' | 'siliconeLastOn' | 'wetsFloor'>;
  painter: Pick<Painter, 'prepWay'>;
  /** What the panel is over the dew point, and how damp the air is, where that is known. */
  air?: { marginC?: number | undefined; relativeHumidityPercent?: number | undefined };
  nowMs: number;
};
export type PrepList = AnswerOf<'prep'>;
export type PrepStep = PrepList['steps'][number];

const MONTH_MS = (365.25 / 12) * 86_400_000;

/** Undefined where a sheet is missing, or nothing is planned. */
export function prepInput(
  { ticket, sheets, prepAnswers, lateFinds }: OnPrep,
  { room, painter, air, nowMs }: Where,
): InputOf<'prep'> | undefined {
  const stages = plannedStages(ticket, sheets, ticket.panels);
  if (stages.length === 0 || ticket.panels.length === 0) return undefined;
  const { lastCleaner, tack } = painter.prepWay ?? {};
  return {
    panels: ticket.panels.map((panel) => takenIn(ticket.panels, panel)),
    stages,
    ...(tack ? { way: { tack } } : {}),
    ...(lastCleaner ? { cleaner: lastCleaner } : {}),
    room: {
      place: room.place,
      extraction: room.extraction,
      ...air,
      ...(room.wetsFloor ? { wetFloor: true } : {}),
      ...(room.siliconeLastOn
        ? {
            siliconeMonths: Math.max(
              0,
              Math.floor((nowMs - Date.parse(room.siliconeLastOn)) / MONTH_MS),
            ),
          }
        : {}),
    },
    done: prepAnswers.map(({ key, answer, reason, afterFinds }) => ({
      key,
      answer,
      reason,
      afterFinds,
    })),
    lateFound: lateFinds.flatMap(({ panelId, what }) => {
      const panel = ticket.panels.find(({ id }) => id === panelId);
      return panel ? [{ panel: panelSaid(ticket.panels, panel), what }] : [];
    }),
  };
}

/** The list as it stands. */
export function prepList(on: OnPrep, where: Where): PrepList | undefined {
  const input = prepInput(on, where);
  return input && ask(prepCalculation, input);
}

/** A ticket that was taken in, or whose list was begun, is held by it; an older one is not. */
export const isPrepHeld = ({
  ticket,
  prepAnswers,
  lateFinds,
}: Pick<OnPrep, 'ticket' | 'prepAnswers' | 'lateFinds'>): boolean =>
  prepAnswers.length > 0 || lateFinds.length > 0 || ticket.panels.some(({ found }) => found);

export const isOpen = ({ state }: Pick<PrepStep, 'state'>): boolean =>
  state !== 'done' && state !== 'skipped';

/** The steps that stand before the first coat of a stage, and are not done. */
export function openBefore(on: OnPrep, list: PrepList, stageId: string): PrepStep[] {
  const { stages } = on.ticket;
  const stage = stages.find(({ id }) => id === stageId);
  return stage ? stepsBefore(list.steps, stageSaid(stages, stage)).filter(isOpen) : [];
}

/** What making ready has against a coat of a stage: gates stop it, other open steps are told. */
export function prepStanding(on: OnPrep, stageId: string, where: Where): WordedVerdict[] {
  const list = isPrepHeld(on) ? prepList(on, where) : undefined;
  if (!list) return [];
  const open = openBefore(on, list, stageId);
  const gates = open.filter(({ kind }) => isGate(kind));
  const others = open.filter(({ kind }) => !isGate(kind));
  return [
    ...(gates.length > 0 ? [wordVerdict(stop('prep-open', { steps: termsOf(gates) }))] : []),
    ...(others.length > 0
      ? [wordVerdict(caution('prep-unticked', { steps: termsOf(others) }))]
      : []),
  ];
}
const termsOf = (steps: readonly PrepStep[]): Term[] =>
  [...new Set(steps.map(({ kind }) => kind))].map((kind) => term(kind));

/** Advice that a customer may decline, with the panel that it is about. */
export const DECIDED_ON = {
  'strip-advised': 'strip',
  'foreign-bodywork': 'foreign',
  'layer-lifts': 'strip',
  'bleeds-through': 'strip',
  'isolate-first': 'testPatch',
} as const;
export const adviceToDecide = ({ verdicts }: PrepList): WordedVerdict[] =>
  verdicts.filter(({ code }) => code in DECIDED_ON);
