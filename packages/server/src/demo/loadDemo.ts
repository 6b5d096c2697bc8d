/** Puts the invented shop into an empty database: set-up, sheets, open jobs, and months of jobs done. Fixed seed, dates from today. */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/registry.ts';
import type { Coat, Panel, StagePlan, TakenPlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { Ledger } from '../event/ledger.ts';
import { latestSheets, saveSheet } from '../sheet/sheetLedger.ts';
import { addGun, shopSetup } from '../shop/shopLedger.ts';
import { CupTable, PainterTable, RoomTable, ShopTable } from '../shop/shopTables.ts';
import { createTicket } from '../ticket/ticketLedger.ts';
import { wholeTicket } from '../ticket/ticketReader.ts';
import { CoatPanelTable, CoatTable, GateAnswerTable, MixTable, TicketTable } from '../ticket/ticketTables.ts';
import { readDemoFiles } from './demoFiles.ts';
import { CUPS, PAINTERS, SHOP } from './demoShop.ts';
import { TICKETS, type TicketSketch } from './demoTickets.ts';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const SEED = 20_260_301;

/** Park–Miller, so that every fresh shop has the same past. */
function randomFrom(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

export async function loadDemoIfEmpty(database: DataSource, folder: string): Promise<boolean> {
  if (await database.manager.exists(ShopTable)) return false;
  const ledger = new Ledger(database);
  const files = readDemoFiles(folder);
  const shopId = newId();
  await database.transaction(async (manager) => {
    await manager.insert(ShopTable, { id: shopId, ...SHOP } as never);
    for (const painter of PAINTERS) await manager.insert(PainterTable, { id: newId(), shopId, ...painter } as never);
    for (const room of files.rooms) await manager.insert(RoomTable, { id: newId(), shopId, regionRules: {}, ...room } as never);
    for (const cup of CUPS) await manager.insert(CupTable, { id: newId(), shopId, ...cup } as never);
  });
  const companionsFirst = [...files.sheets].sort((a, b) => Number(Boolean(a.recipes)) - Number(Boolean(b.recipes)));
  for (const sheet of companionsFirst) await saveSheet(ledger, sheet);
  for (const gun of files.guns) await addGun(ledger, { id: newId(), ...gun });
  const random = randomFrom(SEED);
  for (const sketch of [...TICKETS].sort((a, b) => (b.daysAgo ?? 0) - (a.daysAgo ?? 0))) await loadTicket(ledger, sketch, random);
  return true;
}

async function loadTicket(ledger: Ledger, sketch: TicketSketch, random: () => number): Promise<void> {
  const ticket = await ticketFrom(ledger.manager, sketch);
  await createTicket(ledger, ticket);
  if (sketch.daysAgo !== undefined) await ledger.write((manager) => layPast(manager, ticket.id, sketch, random));
}

async function ticketFrom(
  manager: EntityManager,
  { room, painter, panels, stages, vehicle, bodyKind, jobSize, note }: TicketSketch,
) {
  const setup = await shopSetup(manager);
  const sheets = await latestSheets(manager);
  const named = <T extends { name: string }>(list: T[], name: string): T => list.find((item) => item.name === name)!;
  const built = panels.map(([name, areaM2, orientation, scope = 'full', substrate = 'metal']): Panel => ({
    id: newId(),
    name,
    areaM2,
    orientation,
    scope,
    substrate,
  }));
  return {
    id: newId(),
    vehicle,
    bodyKind,
    jobSize,
    note,
    roomId: named(setup.rooms, room).id,
    painterId: named(setup.painters, painter).id,
    panels: built,
    stages: stages.map(({ sheet, gun, colourName = '', part = 'largePanel', only: _only, ...stage }): StagePlan => ({
      ...stage,
      id: newId(),
      sheetVersionId: sheets.find((version) => version.sheet.id === sheet)!.id,
      gunId: named(setup.guns, gun).id,
      colourName,
      part,
      panelIds: built.map(({ id }) => id),
    })),
  };
}

/** A job of the past: every coat planned in the air of its day, sprayed, flashed and looked at, with believable scatter. */
async function layPast(manager: EntityManager, ticketId: string, sketch: TicketSketch, random: () => number): Promise<void> {
  const whole = await wholeTicket(manager, ticketId);
  const setup = await shopSetup(manager);
  const latest = await latestSheets(manager);
  const products = new Map(latest.map(({ sheet }) => [sheet.id, sheet]));
  const { ticket } = whole;
  const room = setup.rooms.find(({ id }) => id === ticket.roomId)!;
  const painter = setup.painters.find(({ id }) => id === ticket.painterId)!;
  const [airC, rhPercent, panelC] = sketch.air!;
  let atMs = Math.floor((Date.now() - sketch.daysAgo! * DAY_MS) / DAY_MS) * DAY_MS + 9.5 * 60 * MINUTE_MS;
  await manager.update(TicketTable, { id: ticketId }, { state: 'done', createdAt: new Date(atMs - DAY_MS) });
  for (const stage of ticket.stages) {
    const coats = whole.coats.filter(({ stageId }) => stageId === stage.id);
    const mixId = newId();
    for (const coat of coats) {
      const warmC = airC + (atMs % DAY_MS) / DAY_MS + random() - 0.5;
      const at = new Date(atMs).toISOString();
      const reading = (value: number) => ({ value, at, by: 'probe' as const });
      const context = {
        ticket,
        stage,
        sheet: whole.sheets.find(({ id }) => id === stage.sheetVersionId)!.sheet,
        products,
        painter,
        room,
        gun: setup.guns.find(({ id }) => id === stage.gunId)!,
        air: {
          roomId: room.id,
          air: reading(warmC),
          humidity: reading(rhPercent + random() * 4 - 2),
          panel: reading(panelC + random()),
          material: reading(21 + random()),
        },
        coatsLeft: stage.coats - coat.ordinal + 1,
        isLastStage: ticket.stages.at(-1)!.id === stage.id,
      };
      const { inputs, climate, reducer, mix, setup: settings, recoat } = planCoat(context);
      if (coat.ordinal === 1)
        await layGateAndMix(manager, { ticket, stage, mixId, at: new Date(atMs - 15 * MINUTE_MS), plan: { inputs, mix } });
      const planned: TakenPlan = {
        at,
        calculationVersion: CALCULATION_VERSION,
        sheetVersionIds: [stage.sheetVersionId],
        inputs,
        answers: { climate, reducer, ...(mix ? { mix } : {}), setup: settings, recoat },
      };
      const endedMs = atMs + (4 + random() * 4) * MINUTE_MS;
      const turned = random() < 0.3 ? 0.25 : 0;
      const wetFilmUm = Math.round(settings.wetFilmUm * (0.9 + random() * 0.25));
      const done: Coat['done'] = {
        ...Object.fromEntries(
          (['nozzleMm', 'inletKPa', 'fanTurnsOut', 'distanceMm', 'overlapPercent'] as const).map((name) => [
            name,
            { value: settings[name], source: 'confirmed' as const },
          ]),
        ),
        fluidTurnsOut: { value: settings.fluidTurnsOut - turned, source: turned ? 'changed' : 'confirmed' },
        wetFilmUm: { value: wetFilmUm, source: 'changed' },
      };
      const outcome = outcomeOf(sketch, stage, coat, wetFilmUm / settings.wetFilmUm, random);
      await manager.update(CoatTable, { id: coat.id }, {
        ...outcome,
        state: 'looked',
        planned,
        done,
        gunId: stage.gunId!,
        nozzleMm: settings.nozzleMm,
        mixId,
        painterId: painter.id,
        roomId: room.id,
        startedAt: new Date(atMs),
        endedAt: new Date(endedMs),
        inletKPaDone: settings.inletKPa,
        fluidTurnsDone: settings.fluidTurnsOut - turned,
        distanceMmDone: settings.distanceMm,
        overlapPercentDone: settings.overlapPercent,
        wetUmDone: wetFilmUm,
        airC: context.air.air.value,
        rhPercent: context.air.humidity.value,
        panelC: context.air.panel.value,
        materialC: context.air.material.value,
      } as never);
      await manager.insert(
        CoatPanelTable,
        stage.panelIds.map((panelId) => ({ coatId: coat.id, panelId, sprayedAt: new Date(endedMs) })),
      );
      atMs = endedMs + (recoat.earliestMinutes.value + 2 + random() * 5) * MINUTE_MS;
    }
  }
}

/** Thick clear in the heat pops, a heavy upright coat runs, most days are good. */
function outcomeOf(
  { air }: TicketSketch,
  stage: StagePlan,
  coat: Coat,
  filmShare: number,
  random: () => number,
): Pick<Coat, 'rating' | 'seen' | 'note'> {
  const isHot = air![0] > 29;
  if (stage.kind === 'clear' && isHot && coat.ordinal === stage.coats)
    return { rating: 'poor', seen: ['pops'], note: 'Pops found the next morning. Second coat went on early.' };
  if (stage.kind === 'clear' && filmShare > 1.1) return { rating: 'fair', seen: ['run'], note: 'One run at the lower edge.' };
  return random() < 0.15
    ? { rating: 'fair', seen: ['dust'], note: 'A few nibs.' }
    : { rating: 'good', seen: ['nothing'], note: '' };
}

type PastMix = {
  ticket: Ticket;
  stage: StagePlan;
  mixId: string;
  at: Date;
  plan: Pick<ReturnType<typeof planCoat>, 'inputs' | 'mix'>;
};

async function layGateAndMix(manager: EntityManager, { ticket, stage, mixId, at, plan }: PastMix): Promise<void> {
  const answers = {
    protection: { breathing: 'airFed', skin: true, eyes: true },
    extraction: 'on',
    ignition: [],
    bystanders: false,
  };
  const ids = { ticketId: ticket.id, stageId: stage.id, roomId: ticket.roomId, painterId: ticket.painterId };
  await manager.insert(GateAnswerTable, {
    id: newId(),
    ...ids,
    step: 'mix',
    passed: true,
    answers,
    verdicts: [],
    gateVersion: 1,
    answeredAt: at,
  } as never);
  const components = plan.mix?.components ?? [];
  await manager.insert(MixTable, {
    id: mixId,
    stageId: stage.id,
    painterId: ticket.painterId,
    recipe: plan.inputs.mix?.recipe ?? { parts: [] },
    asked: components,
    poured: components.map(({ name, ml }) => ({ name, ml: Math.round(ml) })),
    readyMl: plan.mix?.readyMl ?? 0,
    batchNo: 1,
    mixedAt: at,
    potLifeEndsAt: plan.mix?.potLifeMinutes ? new Date(at.getTime() + plan.mix.potLifeMinutes.value * MINUTE_MS) : null,
    materialC: 21,
  } as never);
}
