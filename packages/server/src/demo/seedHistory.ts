/** The demo's past: a job done, coat by coat, in the air of its day, with believable scatter. */
import { contextOf, isMissing } from '@orthochrom/contract/plan/contextOf.ts';
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/version.ts';
import type { StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat, TakenPlan } from '@orthochrom/contract/shop/coat.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { CareTable } from '../gun/careTable.ts';
import { latestSheets } from '../sheet/sheetLedger.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { CoatAirTable } from '../ticket/coatAir.ts';
import { wholeTicket } from '../ticket/ticketReader.ts';
import { TicketTable } from '../ticket/ticketTables.ts';
import { CoatPanelTable, CoatTable } from '../ticket/coatTables.ts';
import { careRow } from './demoGuns.ts';
import type { TicketSketch } from './demoStages.ts';
import { isTuesday } from './demoTuesdays.ts';
import { layGateAndMix, MINUTE_MS } from './pastMix.ts';

const DAY_MS = 86_400_000;

/**
 * A job of the past: every coat planned in the air of its day, sprayed, flashed and looked at, with
 * believable scatter.
 */
export async function seedHistory(
  manager: EntityManager,
  ticketId: string,
  sketch: TicketSketch,
  random: () => number,
): Promise<void> {
  const whole = await wholeTicket(manager, ticketId);
  const setup = await shopSetup(manager);
  const latest = await latestSheets(manager);
  const { ticket } = whole;
  const room = setup.rooms.find(({ id }) => id === ticket.roomId)!;
  const painter = setup.painters.find(({ id }) => id === ticket.painterId)!;
  const [airC, rhPercent, panelC] = sketch.air!;
  const daysAgo = sketch.rushed ? fridayBefore(sketch.daysAgo!) : sketch.daysAgo!;
  let atMs = Math.floor((Date.now() - daysAgo * DAY_MS) / DAY_MS) * DAY_MS + 9.5 * 60 * MINUTE_MS;
  await manager.update(
    TicketTable,
    { id: ticketId },
    { state: 'done', createdAt: new Date(atMs - DAY_MS) },
  );
  for (const stage of ticket.stages) {
    const coats = whole.coats.filter(({ stageId }) => stageId === stage.id);
    const mixId = newId();
    for (const coat of coats) {
      const warmC = airC + (atMs % DAY_MS) / DAY_MS + random() - 0.5;
      const at = new Date(atMs).toISOString();
      const reading = (value: number) => ({ value, at, by: 'probe' as const });
      const air = {
        roomId: room.id,
        air: reading(warmC),
        humidity: reading(rhPercent + random() * 4 - 2),
        panel: reading(panelC + random()),
        material: reading(21 + random()),
      };
      const context = contextOf(
        { whole, setup: { ...setup, knobs: {} }, latest, air },
        coat,
        painter.id,
        {},
      );
      if (isMissing(context))
        throw new Error(`the demo's ${ticket.vehicle} lacks its ${context.missing}`);
      const {
        inputs,
        climate,
        reducer,
        quantity,
        mix,
        setup: settings,
        recoat,
      } = planCoat(context);
      if (coat.ordinal === 1)
        await layGateAndMix(manager, {
          ticket,
          stage,
          room,
          sheet: context.sheet,
          mixId,
          at: new Date(atMs - 15 * MINUTE_MS),
          plan: { inputs, mix },
        });
      const planned: TakenPlan = {
        at,
        calculationVersion: CALCULATION_VERSION,
        sheetVersionIds: [stage.sheetVersionId],
        inputs,
        answers: { climate, reducer, quantity, ...(mix ? { mix } : {}), setup: settings, recoat },
      };
      const endedMs = atMs + (4 + random() * 4) * MINUTE_MS;
      const turned = random() < 0.3 ? 0.25 : 0;
      const wetFilmUm = Math.round(settings.wetFilmUm * (0.9 + random() * 0.25));
      const done: Coat['done'] = {
        ...Object.fromEntries(
          (['nozzleMm', 'inletKPa', 'fanTurnsOut', 'distanceMm', 'overlapPercent'] as const).map(
            (name) => [name, { value: settings[name], source: 'confirmed' as const }],
          ),
        ),
        fluidTurnsOut: {
          value: settings.fluidTurnsOut - turned,
          source: turned ? 'changed' : 'confirmed',
        },
        wetFilmUm: { value: wetFilmUm, source: 'changed' },
      };
      const isStarved =
        setup.guns.find(({ id }) => id === stage.gunId)?.name === 'Bittern' && isTuesday(atMs);
      const flowing = flowingPast(settings.inletKPa, stage.panelIds.length, isStarved, random);
      const outcome = isStarved
        ? STARVED
        : outcomeOf(sketch, stage, coat, wetFilmUm / settings.wetFilmUm, random);
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
        ...flowing.coat,
        airC: air.air.value,
        rhPercent: air.humidity.value,
        panelC: air.panel.value,
        materialC: air.material.value,
      } as never);
      await manager.insert(
        CoatAirTable,
        [atMs, endedMs].map((tapMs) => ({
          id: newId(),
          coatId: coat.id,
          at: new Date(tapMs),
          airC: air.air.value,
          rhPercent: air.humidity.value,
          panelC: air.panel.value,
          materialC: air.material.value,
        })),
      );
      await manager.insert(
        CoatPanelTable,
        stage.panelIds.map((panelId, i) => ({
          coatId: coat.id,
          panelId,
          sprayedAt: new Date(endedMs),
          ...flowing.panels[i]!,
        })),
      );
      if (coat.ordinal === stage.coats && stage.gunId)
        await manager.insert(
          CareTable,
          cleanedAfter(setup.shop.id, ticket, stage, coat, endedMs) as never,
        );
      const isCutShort = sketch.rushed === true && stage.kind === 'clear';
      atMs =
        endedMs +
        (isCutShort
          ? RUSHED_WAIT * recoat.earliestMinutes.value
          : recoat.earliestMinutes.value + 2 + random() * 5) *
          MINUTE_MS;
    }
  }
}

/** Of the wait that was planned. */
const RUSHED_WAIT = 0.4;
const FRIDAY = 5;
const fridayBefore = (daysAgo: number): number =>
  daysAgo + ((new Date(Date.now() - daysAgo * DAY_MS).getUTCDay() - FRIDAY + 7) % 7);

const STARVED: Pick<Coat, 'rating' | 'seen' | 'note'> = {
  rating: 'fair',
  seen: ['peel'],
  note: 'Coarser towards the last rack.',
};

/**
 * Flowing pressure panel by panel: steady within a psi, or sinking while somebody else draws on the
 * tank.
 */
function flowingPast(plannedKPa: number, panels: number, isStarved: boolean, random: () => number) {
  const each = Array.from({ length: panels }, (_, i) => {
    const sunkKPa = isStarved ? 7 + 10 * i + random() * 3 : 1 + random() * 2;
    return {
      lowestInletKPa: plannedKPa - sunkKPa,
      highestInletKPa: plannedKPa - (isStarved ? 9 * i : 0) + random(),
    };
  });
  const coat = {
    lowestInletKPa: Math.min(...each.map(({ lowestInletKPa }) => lowestInletKPa)),
    highestInletKPa: Math.max(...each.map(({ highestInletKPa }) => highestInletKPa)),
  };
  return { coat, panels: each };
}

const cleanedAfter = (
  shopId: string,
  ticket: Ticket,
  stage: StagePlan,
  coat: Coat,
  endedMs: number,
) => ({
  ...careRow(shopId, stage.gunId!, ticket.painterId, 'cleaned', 0, {
    ticketId: ticket.id,
    coatId: coat.id,
  }),
  doneAt: new Date(endedMs + 12 * MINUTE_MS),
});

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
    return {
      rating: 'poor',
      seen: ['pops'],
      note: 'Pops found the next morning. Second coat went on early.',
    };
  if (stage.kind === 'clear' && filmShare > 1.1)
    return { rating: 'fair', seen: ['run'], note: 'One run at the lower edge.' };
  return random() < 0.15
    ? { rating: 'fair', seen: ['dust'], note: 'A few nibs.' }
    : { rating: 'good', seen: ['nothing'], note: '' };
}
