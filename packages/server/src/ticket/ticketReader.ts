/** Tickets as the contract shows them. */
import { coatOrder } from '@orthochrom/contract/plan/coatOrder.ts';
import type {
  Mix,
  Panel,
  StagePlan,
  Ticket,
  TicketWhole,
  Timer,
} from '@orthochrom/contract/shop/ticket.ts';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import type { LayerFinding, LayerWork } from '@orthochrom/contract/shop/layerWork.ts';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { present } from '../database/present.ts';
import { FindingTable } from '../finding/findingTables.ts';
import { NotFound } from '../http/faults.ts';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { finishStepsOf } from './finishTable.ts';
import { heatReadsOf } from './heatTable.ts';
import { newProductsOf } from './newProducts.ts';
import { usagesOf } from './usageReader.ts';
import { LayerWorkTable } from './layerWorkTable.ts';
import { prepOf } from './prepReader.ts';
import {
  GateAnswerTable,
  MixTable,
  PanelTable,
  StagePanelTable,
  StageTable,
  TicketTable,
  TimerTable,
  type GateAnswerRow,
  type MixRow,
  type PanelRow,
  type StagePanelRow,
  type StageRow,
  type TicketRow,
  type TimerRow,
} from './ticketTables.ts';
import { coatOf, sprayedOn } from './coatReader.ts';
import { CoatTable } from './coatTables.ts';

const iso = (at: Date | null): string | null => at?.toISOString() ?? null;

const panelOf = ({ ticketId: _t, ordinal: _o, archivedAt: _a, ...panel }: PanelRow): Panel =>
  present(panel) as Panel;
const stageOf = (
  { ticketId: _t, ordinal: _o, archivedAt: _a, ...stage }: StageRow,
  panels: StagePanelRow[],
): StagePlan =>
  present({
    ...stage,
    panelIds: panels.filter(({ stageId }) => stageId === stage.id).map(({ panelId }) => panelId),
  }) as StagePlan;

export const ticketOf = (
  row: TicketRow,
  panels: PanelRow[],
  stages: StageRow[],
  links: StagePanelRow[],
): Ticket => {
  const { shopId: _s, updatedAt: _u, archivedAt: _a, createdAt, ...ticket } = row;
  return present({
    ...ticket,
    createdAt: createdAt.toISOString(),
    panels: panels.filter(({ ticketId }) => ticketId === row.id).map(panelOf),
    stages: stages
      .filter(({ ticketId }) => ticketId === row.id)
      .map((stage) => stageOf(stage, links)),
  }) as Ticket;
};

export const mixOf = ({
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  painterId: _p,
  asked: _asked,
  ...mix
}: MixRow): Mix =>
  present({
    ...mix,
    mixedAt: mix.mixedAt.toISOString(),
    potLifeEndsAt: iso(mix.potLifeEndsAt),
  }) as Mix;

const gateOf = ({ ticketId: _t, answeredAt, ...gate }: GateAnswerRow): GateRecord =>
  ({ ...gate, answeredAt: answeredAt.toISOString() }) as GateRecord;

/** Every answer the gate was given on a ticket, the newest last. */
export const gatesOf = async (manager: EntityManager, ticketId: string): Promise<GateRecord[]> =>
  (await manager.find(GateAnswerTable, { where: { ticketId }, order: { answeredAt: 'ASC' } })).map(
    gateOf,
  );

export const timerOf = ({
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  tests,
  ...timer
}: TimerRow): Timer =>
  present({
    ...timer,
    startedAt: iso(timer.startedAt),
    dueAt: iso(timer.dueAt),
    latestAt: iso(timer.latestAt),
    confirmedAt: iso(timer.confirmedAt),
    why: (tests as { why?: string } | null)?.why ?? null,
  }) as Timer;

export type Parts = { panels: PanelRow[]; stages: StageRow[]; links: StagePanelRow[] };

export async function partsOf(manager: EntityManager, ticketIds: string[]): Promise<Parts> {
  const where = { ticketId: In(ticketIds), archivedAt: IsNull() };
  const panels = await manager.find(PanelTable, { where, order: { ordinal: 'ASC' } });
  const stages = await manager.find(StageTable, { where, order: { ordinal: 'ASC' } });
  const links =
    stages.length === 0
      ? []
      : await manager.find(StagePanelTable, { where: { stageId: In(stages.map(({ id }) => id)) } });
  return { panels, stages, links };
}

export async function ticketById(manager: EntityManager, id: string): Promise<Ticket> {
  const row = await manager.findOneBy(TicketTable, { id });
  if (!row) throw new NotFound(`There is no ticket ${id}.`);
  const { panels, stages, links } = await partsOf(manager, [id]);
  return ticketOf(row, panels, stages, links);
}

/** What was done to the layers of a ticket, the newest last. */
async function worksOf(manager: EntityManager, ticketId: string): Promise<LayerWork[]> {
  const rows = await manager.find(LayerWorkTable, { where: { ticketId }, order: { at: 'ASC' } });
  return rows.map(({ ticketId: _t, answers: { warmC, vehicleLimitC }, at, ...work }) => ({
    ...work,
    ...(typeof warmC === 'number' ? { warmC } : {}),
    ...(typeof vehicleLimitC === 'number' ? { vehicleLimitC } : {}),
    at: at.toISOString(),
  }));
}

/**
 * What the bench was asked about coats of a ticket: by what it turned out to be, else by what
 * leads.
 */
async function foundOn(manager: EntityManager, ticketId: string): Promise<LayerFinding[]> {
  const rows = await manager.find(FindingTable, {
    where: { ticketId, coatId: Not(IsNull()) },
    order: { seenAt: 'ASC' },
  });
  return rows.map(({ id, coatId, confirmedFault, result, seenAt }) => ({
    id,
    coatId: coatId!,
    fault: confirmedFault ?? result.faults[0]?.id ?? '',
    seenAt: seenAt.toISOString(),
  }));
}

/** One ticket with everything that was planned and done on it. */
export async function wholeTicket(manager: EntityManager, id: string): Promise<TicketWhole> {
  const ticket = await ticketById(manager, id);
  const stageIds = ticket.stages.map((stage) => stage.id);
  const coats = await manager.find(CoatTable, {
    where: { stageId: In(stageIds), archivedAt: IsNull() },
    order: { ordinal: 'ASC' },
  });
  const mixes = await manager.find(MixTable, {
    where: { stageId: In(stageIds) },
    order: { mixedAt: 'ASC' },
  });
  const gates = await gatesOf(manager, id);
  const timers = await manager.find(TimerTable, {
    where: { ticketId: id, archivedAt: IsNull() },
    order: { startedAt: 'ASC' },
  });
  const sheets = await sheetVersions(
    manager,
    ticket.stages.map(({ sheetVersionId }) => sheetVersionId),
  );
  const sprayed = await sprayedOn(
    manager,
    coats.map((coat) => coat.id),
  );
  return {
    ticket,
    coats: coats.sort(coatOrder(ticket.stages)).map((coat) => coatOf(coat, sprayed)),
    mixes: mixes.map(mixOf),
    gates,
    timers: timers.map(timerOf),
    works: await worksOf(manager, id),
    found: await foundOn(manager, id),
    ...(await prepOf(manager, id)),
    usages: await usagesOf(manager, id),
    finishSteps: await finishStepsOf(manager, id),
    heatReads: await heatReadsOf(manager, id),
    sheets,
    newProducts: await newProductsOf(manager, sheets),
    serverNow: new Date().toISOString(),
  };
}
