/**
 * From a ticket, the shop and the air to the context of one coat: assembled here for server,
 * browser and demo alike.
 */
import type { AirNow } from '../shop/air.ts';
import type { ShopSetup } from '../shop/setup.ts';
import { jobsOf, usageGroupOf } from '../shop/usage.ts';
import type { SheetVersion, TicketWhole } from '../shop/ticket.ts';
import type { Coat, PlanWishes } from '../shop/coat.ts';
import { cupFor } from './amounts.ts';
import { coatsPlanned } from './coatByCoat.ts';
import type { PlanContext } from './planContext.ts';
import { ownSettings } from './settingsNow.ts';
import { takenReducer, takenWishes } from './takenPlan.ts';

export type Sources = {
  whole: Pick<TicketWhole, 'ticket' | 'coats' | 'mixes' | 'sheets'>;
  setup: Omit<ShopSetup, 'shop' | 'compressors'>;
  /** The newest issue of every sheet: what the products at hand are like. */
  latest: readonly SheetVersion[];
  air: AirNow;
};
/** Of a coat: what it is, and what was taken for it. */
export type CoatAsked = Pick<Coat, 'stageId' | 'ordinal' | 'state' | 'overrides'> &
  Partial<Pick<Coat, 'planned' | 'gunId' | 'done'>>;
export type Wishes = PlanWishes & { gunId?: string; cupId?: string };
export const MISSING = ['stage', 'sheet', 'room', 'painterId', 'gunId', 'cupId'] as const;
/** What the ticket or the wish names and the shop does not have. */
export type Missing = { missing: (typeof MISSING)[number] };

export const isMissing = (found: PlanContext | Missing): found is Missing => 'missing' in found;

export function contextOf(
  sources: Sources,
  coat: CoatAsked,
  painterId: string,
  wished: Wishes,
): PlanContext | Missing {
  const { whole, setup, latest, air } = sources;
  const { ticket } = whole;
  // A plan that was taken keeps the wishes it was taken with.
  const wishes: Wishes =
    coat.state === 'planned'
      ? wished
      : { ...takenWishes(coat), ...(wished.cupId ? { cupId: wished.cupId } : {}) };
  const place = ticket.stages.findIndex(({ id }) => id === coat.stageId);
  const stage = ticket.stages[place];
  if (!stage) return { missing: 'stage' };
  const sheetOf = (versionId: string) => whole.sheets.find(({ id }) => id === versionId)?.sheet;
  const sheet = sheetOf(stage.sheetVersionId);
  if (!sheet) return { missing: 'sheet' };
  const room = setup.rooms.find(({ id }) => id === ticket.roomId);
  if (!room) return { missing: 'room' };
  const painter = setup.painters.find(({ id }) => id === painterId);
  if (!painter) return { missing: 'painterId' };
  const gunId = (coat.state === 'planned' ? wished.gunId : undefined) ?? coat.gunId ?? stage.gunId;
  const gun = gunId === undefined ? setup.guns[0] : setup.guns.find(({ id }) => id === gunId);
  if (!gun) return { missing: 'gunId' };
  const next = ticket.stages[place + 1];
  const over = next && sheetOf(next.sheetVersionId);
  const airLine = setup.airLines.find(({ roomId }) => roomId === room.id);
  const flowCup = whole.mixes.findLast(({ stageId }) => stageId === stage.id)?.flowCup;
  const own = ownSettings(coat);
  const combed = coat.done?.['wetFilmUm'];
  const coatPlan = coatsPlanned({ ticket, sheets: whole.sheets }, stage, painter);
  const { wantedParts, hardenerId, doses, readyMl, part, mist } = wishes;
  const context: PlanContext = {
    ticket,
    stage,
    sheet,
    products: new Map(latest.map((version) => [version.sheet.id, version.sheet])),
    painter,
    room,
    air,
    gun,
    ...(setup.knobs[gun.id] ? { knobsLeft: setup.knobs[gun.id]! } : {}),
    ...(airLine ? { airLine } : {}),
    ...(flowCup ? { flowCup } : {}),
    ...(part ? { part } : {}),
    ...(mist ? { mist } : {}),
    usages: jobsOf(setup.usages, painterId, usageGroupOf(stage.kind)),
    coatsLeft: Math.max(1, stage.coats - coat.ordinal + 1),
    ordinal: coat.ordinal,
    isLastStage: !next,
    ...(coatPlan ? { coatPlan } : {}),
    ...(over ? { over } : {}),
    ...(wantedParts ? { wantedParts } : {}),
    ...(hardenerId ? { hardenerId } : {}),
    ...(doses && doses.length > 0 ? { doses } : {}),
    prices: new Map(setup.prices.map(({ productId, prices }) => [productId, prices])),
    ...mixedBefore(whole, stage.id, sheet, latest),
    ...(readyMl === undefined ? {} : { readyMl }),
    ...(own ? { own } : {}),
    ...(combed?.source === 'instrument' ? { combedUm: combed.value } : {}),
  };
  const cup =
    wishes.cupId === undefined
      ? cupFor(setup.cups, context)
      : setup.cups.find(({ id }) => id === wishes.cupId);
  if (wishes.cupId !== undefined && !cup) return { missing: 'cupId' };
  return cup ? { ...context, cup } : context;
}

/**
 * What the last cup of this stage was mixed with, as far as the product still takes those grades.
 */
function mixedBefore(
  { coats, mixes }: Pick<TicketWhole, 'coats' | 'mixes'>,
  stageId: string,
  sheet: SheetVersion['sheet'],
  latest: readonly SheetVersion[],
): Pick<PlanContext, 'mixedNow'> {
  if (!mixes.some((mix) => mix.stageId === stageId)) return {};
  const mixed = coats.findLast(
    (coat) => coat.stageId === stageId && takenReducer(coat)?.choice !== undefined,
  );
  const wished = mixed && takenWishes(mixed).wantedParts;
  const parts = wished && wished.length > 0 ? wished : mixed && takenReducer(mixed)!.choice!.parts;
  const names = latest
    .filter((version) => sheet.grades?.includes(version.sheet.id))
    .map((version) => version.sheet.grade?.name);
  return parts && parts.length > 0 && parts.every(({ name }) => names.includes(name))
    ? { mixedNow: parts }
    : {};
}
