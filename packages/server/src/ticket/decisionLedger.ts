/** What the customer was told and decided, panel by panel, with what both ways take: all stay. */
import { bothStacks } from '@orthochrom/contract/plan/bothStacks.ts';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { adviceToDecide, DECIDED_ON, type PrepList } from '@orthochrom/contract/plan/prepList.ts';
import type { CustomerDecision } from '@orthochrom/contract/shop/prep.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { latestSheets } from '../sheet/sheetLedger.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { CustomerDecisionTable, type CustomerDecisionRow } from './prepTables.ts';

type Answered = { painterId: string; answer: string; reason: string; at: Date };

/** Keeps one row for every advice of the list that the answer speaks to. */
export async function keepDecisions(
  manager: EntityManager,
  probe: StandInProbe,
  whole: TicketWhole,
  list: PrepList,
  { painterId, answer, reason, at }: Answered,
): Promise<void> {
  const { ticket } = whole;
  const worth = await worthOf(manager, probe, whole, list, painterId);
  const rows = adviceToDecide(list).map(({ code, message, params }): CustomerDecisionRow => {
    const panel = ticket.panels.find((one) => panelSaid(ticket.panels, one) === params?.['panel']);
    const topic = DECIDED_ON[code as keyof typeof DECIDED_ON];
    return {
      id: newId(),
      ticketId: ticket.id,
      panelId: panel?.id ?? null,
      painterId,
      topic,
      adviceText: message,
      decision: answer === 'declined' ? 'declines' : 'follows',
      word: reason,
      worth: topic === 'strip' ? (worth ?? null) : null,
      at,
    };
  });
  if (rows.length > 0) await manager.insert(CustomerDecisionTable, rows);
}

async function worthOf(
  manager: EntityManager,
  probe: StandInProbe,
  whole: TicketWhole,
  list: PrepList,
  painterId: string,
): Promise<CustomerDecision['worth']> {
  const setup = await shopSetup(manager);
  const latest = await latestSheets(manager);
  const air = await airNow(manager, probe, whole.ticket.roomId);
  const both = bothStacks({ whole, setup, latest, air }, painterId, list);
  const { currency } = setup.shop;
  return both && { ...both, ...(currency ? { currency } : {}) };
}
