/** Making ready as the contract shows it. */
import type { CustomerDecision, LateFind, PrepAnswer } from '@orthochrom/contract/shop/prep.ts';
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { present } from '../database/present.ts';
import {
  CustomerDecisionTable,
  LateFindTable,
  PrepAnswerTable,
  SprayCardTable,
  type CustomerDecisionRow,
  type LateFindRow,
  type PrepAnswerRow,
  type SprayCardRow,
} from './prepTables.ts';

/** Of a ticket, oldest first: the list as answered, late finds, cards, the customer's decisions. */
const OF_TICKET = { where: 'ticket_id = $1', order: 'at, id' } as const;
export const PREP_ROWS = {
  prepAnswers: { table: PrepAnswerTable, ...OF_TICKET },
  lateFinds: { table: LateFindTable, ...OF_TICKET },
  sprayCards: { table: SprayCardTable, ...OF_TICKET },
  decisions: { table: CustomerDecisionTable, ...OF_TICKET },
};

type PrepRows = {
  prepAnswers: PrepAnswerRow[];
  lateFinds: LateFindRow[];
  sprayCards: SprayCardRow[];
  decisions: CustomerDecisionRow[];
};

export function prepOf({
  prepAnswers,
  lateFinds,
  sprayCards,
  decisions,
}: PrepRows): Pick<TicketWhole, 'prepAnswers' | 'lateFinds' | 'decisions' | 'sprayCards'> {
  const shown = <Row extends { ticketId: string; at: Date }>({ ticketId: _, at, ...row }: Row) =>
    present({ ...row, at: at.toISOString() });
  return {
    prepAnswers: prepAnswers.map(shown) as PrepAnswer[],
    lateFinds: lateFinds.map(shown) as LateFind[],
    sprayCards: sprayCards.map(sprayCardOf),
    decisions: decisions.map(shown) as CustomerDecision[],
  };
}

const sprayCardOf = ({ ticketId: _, mime, at, ...row }: SprayCardRow): SprayCard =>
  present({ ...row, hasPhoto: mime !== null, at: at.toISOString() }) as SprayCard;
