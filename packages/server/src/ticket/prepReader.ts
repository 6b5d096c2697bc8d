/** Making ready as the contract shows it. */
import type { CustomerDecision, LateFind, PrepAnswer } from '@orthochrom/contract/shop/prep.ts';
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { present } from '../database/present.ts';
import {
  CustomerDecisionTable,
  LateFindTable,
  PrepAnswerTable,
  SprayCardTable,
  type SprayCardRow,
} from './prepTables.ts';

/** The list as it was answered, what was found late and what the customer decided, oldest first. */
export async function prepOf(
  manager: EntityManager,
  ticketId: string,
): Promise<Pick<TicketWhole, 'prepAnswers' | 'lateFinds' | 'decisions' | 'sprayCards'>> {
  const of = { where: { ticketId }, order: { at: 'ASC', id: 'ASC' } } as const;
  const shown = <Row extends { ticketId: string; at: Date }>({ ticketId: _, at, ...row }: Row) =>
    present({ ...row, at: at.toISOString() });
  return {
    prepAnswers: (await manager.find(PrepAnswerTable, of)).map(shown) as PrepAnswer[],
    lateFinds: (await manager.find(LateFindTable, of)).map(shown) as LateFind[],
    sprayCards: (await manager.find(SprayCardTable, of)).map(sprayCardOf),
    decisions: (await manager.find(CustomerDecisionTable, of)).map(shown) as CustomerDecision[],
  };
}

const sprayCardOf = ({ ticketId: _, mime, at, ...row }: SprayCardRow): SprayCard =>
  present({ ...row, hasPhoto: mime !== null, at: at.toISOString() }) as SprayCard;
