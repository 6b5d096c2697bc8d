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
import type { EntityManager } from 'typeorm';
import { present } from '../database/present.ts';
import { readTogether } from '../database/readTogether.ts';
import { FindingTable, type FindingRow } from '../finding/findingTables.ts';
import { NotFound } from '../http/faults.ts';
import { versionOf } from '../sheet/sheetLedger.ts';
import { SheetVersionTable } from '../sheet/sheetTables.ts';
import { finishStepOf, FinishStepTable } from './finishTable.ts';
import { heatReadOf, HeatReadTable } from './heatTable.ts';
import { newProductsOf } from './newProducts.ts';
import { usageOf } from './usageReader.ts';
import { UsageTable } from './usageTable.ts';
import { LayerWorkTable, type LayerWorkRow } from './layerWorkTable.ts';
import { PREP_ROWS, prepOf } from './prepReader.ts';
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
import { coatOf } from './coatReader.ts';
import { CoatHalfTable, CoatPanelTable, CoatTable } from './coatTables.ts';

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

const PARTS_LIVE = 'ticket_id = any($1) and archived_at is null';
const PARTS = {
  panels: { table: PanelTable, where: PARTS_LIVE, order: 'ordinal' },
  stages: { table: StageTable, where: PARTS_LIVE, order: 'ordinal' },
  links: {
    table: StagePanelTable,
    where: `stage_id in (select id from stage where ${PARTS_LIVE})`,
    order: 'stage_id, panel_id',
  },
};
export const partsOf = (manager: EntityManager, ticketIds: string[]): Promise<Parts> =>
  readTogether(manager, PARTS, [ticketIds]);

export async function ticketById(manager: EntityManager, id: string): Promise<Ticket> {
  const row = await manager.findOneBy(TicketTable, { id });
  if (!row) throw new NotFound(`There is no ticket ${id}.`);
  const { panels, stages, links } = await partsOf(manager, [id]);
  return ticketOf(row, panels, stages, links);
}

const workOf = ({
  ticketId: _t,
  answers: { warmC, vehicleLimitC },
  at,
  ...work
}: LayerWorkRow): LayerWork => ({
  ...work,
  ...(typeof warmC === 'number' ? { warmC } : {}),
  ...(typeof vehicleLimitC === 'number' ? { vehicleLimitC } : {}),
  at: at.toISOString(),
});

/** By what it turned out to be, else by what leads. */
const foundOf = ({ id, coatId, confirmedFault, result, seenAt }: FindingRow): LayerFinding => ({
  id,
  coatId: coatId!,
  fault: confirmedFault ?? result.faults[0]?.id ?? '',
  seenAt: seenAt.toISOString(),
});

const STAGES = 'select id from stage where ticket_id = $1 and archived_at is null';
const COATS = `select id from coat where stage_id in (${STAGES})`;
const LIVE = 'ticket_id = $1 and archived_at is null';
/** All that hangs together in a ticket, each in its order. */
const WHOLE = {
  tickets: { table: TicketTable, where: 'id = $1' },
  panels: { table: PanelTable, where: LIVE, order: 'ordinal' },
  stages: { table: StageTable, where: LIVE, order: 'ordinal' },
  links: { table: StagePanelTable, where: `stage_id in (${STAGES})`, order: 'stage_id, panel_id' },
  coats: {
    table: CoatTable,
    where: `stage_id in (${STAGES}) and archived_at is null`,
    order: 'ordinal',
  },
  panelsOn: { table: CoatPanelTable, where: `coat_id in (${COATS})`, order: 'sprayed_at' },
  halvesOn: { table: CoatHalfTable, where: `coat_id in (${COATS})`, order: 'sprayed_at' },
  mixes: { table: MixTable, where: `stage_id in (${STAGES})`, order: 'mixed_at' },
  gates: { table: GateAnswerTable, where: 'ticket_id = $1', order: 'answered_at' },
  timers: { table: TimerTable, where: LIVE, order: 'started_at' },
  works: { table: LayerWorkTable, where: 'ticket_id = $1', order: 'at' },
  findings: {
    table: FindingTable,
    where: 'ticket_id = $1 and coat_id is not null',
    order: 'seen_at',
  },
  ...PREP_ROWS,
  usages: { table: UsageTable, where: 'ticket_id = $1', order: 'at, id' },
  finishSteps: { table: FinishStepTable, where: 'ticket_id = $1', order: 'at, id' },
  heatReads: { table: HeatReadTable, where: 'ticket_id = $1', order: 'at, id' },
  sheets: {
    table: SheetVersionTable,
    where: `id in (select sheet_version_id from stage where ${LIVE})`,
  },
};

/** One ticket with everything that was planned and done on it. */
export async function wholeTicket(manager: EntityManager, id: string): Promise<TicketWhole> {
  const all = await readTogether(manager, WHOLE, [id]);
  const [row] = all.tickets;
  if (!row) throw new NotFound(`There is no ticket ${id}.`);
  const ticket = ticketOf(row, all.panels, all.stages, all.links);
  const sprayed = { panels: all.panelsOn, halves: all.halvesOn };
  const sheets = all.sheets.map(versionOf);
  return {
    ticket,
    coats: all.coats.sort(coatOrder(ticket.stages)).map((coat) => coatOf(coat, sprayed)),
    mixes: all.mixes.map(mixOf),
    gates: all.gates.map(gateOf),
    timers: all.timers.map(timerOf),
    works: all.works.map(workOf),
    found: all.findings.map(foundOf),
    ...prepOf(all),
    usages: all.usages.map(usageOf),
    finishSteps: all.finishSteps.map(finishStepOf),
    heatReads: all.heatReads.map(heatReadOf),
    sheets,
    newProducts: await newProductsOf(manager, sheets),
    serverNow: new Date().toISOString(),
  };
}
