import type { CustomerDecision, LateFind, PrepAnswer } from '@orthochrom/contract/shop/prep.ts';
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import { EntitySchema } from 'typeorm';
import {
  ids,
  instants,
  integers,
  key,
  optionalDoubles,
  optionalIds,
  optionalStructures,
  optionalTexts,
  refersTo,
  texts,
  type Nullable,
} from '../database/columns.ts';

type OnTicket<T> = Omit<Nullable<T>, 'at'> & { ticketId: string; at: Date };

/** How a step of the list was answered. Append-only: the last of a key counts. */
export type PrepAnswerRow = OnTicket<PrepAnswer>;
export const PrepAnswerTable = new EntitySchema<PrepAnswerRow>({
  name: 'PrepAnswer',
  tableName: 'prep_answer',
  columns: {
    ...key('prep_answer'),
    ...ids('ticketId', 'painterId'),
    ...texts('key', 'answer', 'reason'),
    ...integers('afterFinds'),
    ...instants('at'),
  },
  indices: [{ name: 'prep_answer_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('prep_answer', 'ticketId', 'Ticket'),
    refersTo('prep_answer', 'painterId', 'Painter'),
  ],
});

/** What was found on a panel after its steps were done. Append-only. */
export type LateFindRow = OnTicket<LateFind>;
export const LateFindTable = new EntitySchema<LateFindRow>({
  name: 'LateFind',
  tableName: 'late_find',
  columns: {
    ...key('late_find'),
    ...ids('ticketId', 'panelId', 'painterId'),
    ...texts('what'),
    ...instants('at'),
  },
  indices: [{ name: 'late_find_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('late_find', 'ticketId', 'Ticket'),
    refersTo('late_find', 'panelId', 'Panel'),
    refersTo('late_find', 'painterId', 'Painter'),
  ],
});

/** Advice as it was said, and what the customer decided. Append-only. */
export type CustomerDecisionRow = OnTicket<CustomerDecision>;
export const CustomerDecisionTable = new EntitySchema<CustomerDecisionRow>({
  name: 'CustomerDecision',
  tableName: 'customer_decision',
  columns: {
    ...key('customer_decision'),
    ...ids('ticketId', 'painterId'),
    ...optionalIds('panelId'),
    ...texts('topic', 'adviceText', 'decision', 'word'),
    ...optionalStructures('worth'),
    ...instants('at'),
  },
  indices: [{ name: 'customer_decision_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('customer_decision', 'ticketId', 'Ticket'),
    refersTo('customer_decision', 'panelId', 'Panel'),
    refersTo('customer_decision', 'painterId', 'Painter'),
  ],
});

/** A spray-out card and what was seen on it; its picture comes after it, once. Append-only. */
export type SprayCardRow = Omit<OnTicket<SprayCard>, 'hasPhoto'> & {
  mime: string | null;
  picture: Buffer | null;
  thumb: Buffer | null;
};
export const SprayCardTable = new EntitySchema<SprayCardRow>({
  name: 'SprayCard',
  tableName: 'spray_card',
  columns: {
    ...key('spray_card'),
    ...ids('ticketId', 'stageId', 'painterId'),
    ...integers('coats'),
    ...texts('groundText', 'seen', 'word'),
    ...optionalDoubles('wetFilmUm'),
    ...optionalTexts('mime'),
    picture: { type: 'bytea', select: false, nullable: true },
    thumb: { type: 'bytea', select: false, nullable: true },
    ...instants('at'),
  },
  indices: [{ name: 'spray_card_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('spray_card', 'ticketId', 'Ticket'),
    refersTo('spray_card', 'stageId', 'Stage'),
    refersTo('spray_card', 'painterId', 'Painter'),
  ],
});
