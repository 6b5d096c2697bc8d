/** The list of a ticket as it is answered: held against the list as it stands, written once. */
import { prepList, type PrepList, type PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import type { LateFindCreate, PrepAnswerCreate } from '@orthochrom/contract/shop/prep.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { TERMS } from '@orthochrom/contract/words/termWords.ts';
import { DECIDE_KEY } from '@orthochrom/core/prep/prepSteps.ts';
import type { EntityManager } from 'typeorm';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { keepDecisions } from './decisionLedger.ts';
import { LateFindTable, PrepAnswerTable } from './prepTables.ts';
import { keepSprayCard } from './sprayCardLedger.ts';
import { wholeTicket } from './ticketReader.ts';

/**
 * @throws BadInput for a key that the list has not, OutOfTurn for a step behind a gate that is not
 * passed
 */
export const answerPrep = (
  ledger: Ledger,
  probe: StandInProbe,
  ticketId: string,
  told: PrepAnswerCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { id, painterId, key, answer, reason } = told;
    const whole = await wholeTicket(manager, ticketId);
    const list = await listOf(manager, whole, painterId);
    const step = list?.steps.find((one) => one.key === key);
    if (!list || !step)
      throw BadInput.at(
        ['key'],
        'not-one-of',
        `${key} is not on the list of this ticket as it is.`,
      );
    mustBeReached(list, step);
    const row = {
      id,
      ticketId,
      painterId,
      key,
      answer,
      reason: reason.trim(),
      afterFinds: whole.lateFinds.length,
      at: new Date(),
    };
    await insertNew(manager, PrepAnswerTable, row);
    await keepSprayCard(manager, whole.ticket, step, told);
    if (key === DECIDE_KEY) await keepDecisions(manager, probe, whole, list, row);
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'prep-answered',
      patch: { key, answer, reason: row.reason },
    });
  });

async function listOf(
  manager: EntityManager,
  whole: TicketWhole,
  painterId: string,
): Promise<PrepList | undefined> {
  const { rooms, painters } = await shopSetup(manager);
  const room = rooms.find((one) => one.id === whole.ticket.roomId);
  const painter = painters.find((one) => one.id === painterId);
  if (!painter) throw BadInput.at(['painterId'], 'not-one-of', 'This painter is not in the shop.');
  return room && prepList(whole, { room, painter, nowMs: Date.now() });
}

/** @throws OutOfTurn while a gate before it is not passed */
function mustBeReached({ steps, heldBy }: PrepList, { state }: PrepStep): void {
  if (state !== 'later') return;
  const gate = steps.find(({ key }) => key === heldBy[0]);
  throw new OutOfTurn(
    `Not yet: ${gate ? TERMS[gate.kind] : 'a step'} (${heldBy[0]}) comes first on this list.`,
  );
}

/** @throws BadInput for a panel that is not on the ticket */
export const findLate = (
  ledger: Ledger,
  ticketId: string,
  { id, painterId, panelId, what }: LateFindCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { ticket } = await wholeTicket(manager, ticketId);
    if (!ticket.panels.some((panel) => panel.id === panelId))
      throw BadInput.at(['panelId'], 'not-one-of', 'This panel is not on the ticket.');
    await insertNew(manager, LateFindTable, {
      id,
      ticketId,
      panelId,
      painterId,
      what,
      at: new Date(),
    });
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'found-late',
      patch: { panelId, what },
    });
  });
