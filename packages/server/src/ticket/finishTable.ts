/** Cutting and polishing as it was done. */
import type { FinishStepDone } from '@orthochrom/contract/shop/finishStep.ts';
import { EntitySchema } from 'typeorm';
import {
  ids,
  instants,
  key,
  optionalBooleans,
  optionalDoubles,
  optionalTexts,
  refersTo,
  texts,
  type Nullable,
} from '../database/columns.ts';
import { present } from '../database/present.ts';

/** Append-only. */
export type FinishStepRow = Omit<Nullable<FinishStepDone>, 'at'> & { ticketId: string; at: Date };
export const FinishStepTable = new EntitySchema<FinishStepRow>({
  name: 'FinishStep',
  tableName: 'finish_step',
  columns: {
    ...key('finish_step'),
    ...ids('ticketId', 'coatId', 'painterId'),
    ...texts('seen', 'nail', 'step'),
    ...optionalTexts('grade'),
    ...optionalBooleans('likeNeighbour', 'bubbles'),
    ...optionalDoubles('measuredUm', 'leftUm'),
    ...instants('at'),
  },
  indices: [{ name: 'finish_step_ticket', columns: ['ticketId'] }],
  foreignKeys: [
    refersTo('finish_step', 'ticketId', 'Ticket'),
    refersTo('finish_step', 'coatId', 'Coat'),
    refersTo('finish_step', 'painterId', 'Painter'),
  ],
});

export const finishStepOf = ({ ticketId: _, at, ...row }: FinishStepRow): FinishStepDone =>
  present({ ...row, at: at.toISOString() }) as FinishStepDone;
