/** Gathers from the rows what the plan of one coat is worked out from; the working out itself is the contract's. */
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { Coat, FlowCup } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { BadInput, NotFound } from '../http/faults.ts';
import { latestSheets, sheetVersions } from '../sheet/sheetLedger.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { ticketById } from './ticketReader.ts';
import { CoatTable, MixTable, type CoatRow } from './ticketTables.ts';

export async function coatRow(manager: EntityManager, coatId: string): Promise<CoatRow> {
  const row = await manager.findOneBy(CoatTable, { id: coatId });
  if (!row) throw new NotFound(`There is no coat ${coatId}.`);
  return row;
}

type Wishes = Pick<PlanContext, 'wantedParts' | 'hardenerId' | 'readyMl' | 'part' | 'mist'> & {
  painterId: string;
  gunId: string;
  cupId?: string;
};

/** @throws BadInput for a painter, gun or cup that the shop does not have */
export async function planContextOf(
  manager: EntityManager,
  probe: StandInProbe,
  coat: Pick<Coat, 'ticketId' | 'stageId' | 'ordinal'>,
  wishes: Wishes,
): Promise<PlanContext & { sheetVersionIds: string[] }> {
  const ticket = await ticketById(manager, coat.ticketId);
  const setup = await shopSetup(manager);
  const latest = await latestSheets(manager);
  const stage = ticket.stages.find(({ id }) => id === coat.stageId);
  if (!stage) throw new NotFound('The stage of this coat is no longer on the ticket.');
  const [pinned] = await sheetVersions(manager, [stage.sheetVersionId]);
  const room = setup.rooms.find(({ id }) => id === ticket.roomId);
  if (!pinned || !room) throw new NotFound('The sheet or the room of this ticket is missing.');
  const known = <T extends { id: string }>(list: T[], id: string, field: string): T => {
    const found = list.find((item) => item.id === id);
    if (!found) throw BadInput.at([field], 'not-one-of', `The shop has no such ${field.replace('Id', '')}.`);
    return found;
  };
  const products = new Map(latest.map(({ sheet }) => [sheet.id, sheet]));
  const airLine = setup.airLines.find(({ roomId }) => roomId === room.id);
  const flowCup = await newestFlowCup(manager, stage.id);
  const companions = [...(pinned.sheet.grades ?? []), ...(pinned.sheet.hardeners ?? [])];
  return {
    ticket,
    stage,
    sheet: pinned.sheet,
    products,
    painter: known(setup.painters, wishes.painterId, 'painterId'),
    room,
    air: await airNow(manager, probe, room.id),
    gun: known(setup.guns, wishes.gunId, 'gunId'),
    ...(setup.knobs[wishes.gunId] ? { knobsLeft: setup.knobs[wishes.gunId]! } : {}),
    ...(airLine ? { airLine } : {}),
    ...(flowCup ? { flowCup } : {}),
    ...(wishes.part ? { part: wishes.part } : {}),
    ...(wishes.mist ? { mist: true } : {}),
    coatsLeft: Math.max(1, stage.coats - coat.ordinal + 1),
    isLastStage: ticket.stages.at(-1)?.id === stage.id,
    ...(wishes.cupId ? { cup: known(setup.cups, wishes.cupId, 'cupId') } : {}),
    ...(wishes.readyMl === undefined ? {} : { readyMl: wishes.readyMl }),
    ...(wishes.wantedParts ? { wantedParts: wishes.wantedParts } : {}),
    ...(wishes.hardenerId ? { hardenerId: wishes.hardenerId } : {}),
    sheetVersionIds: [pinned.id, ...latest.filter(({ sheet }) => companions.includes(sheet.id)).map(({ id }) => id)],
  };
}

/** Of the mix in hand, if somebody timed it. */
async function newestFlowCup(manager: EntityManager, stageId: string): Promise<FlowCup | undefined> {
  const [mix] = await manager.find(MixTable, { where: { stageId }, order: { mixedAt: 'DESC' }, take: 1 });
  return mix?.flowCup ?? undefined;
}
