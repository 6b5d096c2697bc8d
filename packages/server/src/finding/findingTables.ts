import type { Finding, PlanChange } from '@orthochrom/contract/shop/finding.ts';
import { EntitySchema } from 'typeorm';
import {
  edited,
  ids,
  instants,
  integers,
  key,
  optionalIds,
  optionalInstants,
  optionalStructures,
  optionalTexts,
  refersTo,
  structures,
  texts,
  type EditedRow,
} from '../database/columns.ts';

/**
 * What was seen and what it was judged to be, with everything the judgement stood on: it can be
 * worked out again.
 */
export type FindingRow = EditedRow & {
  shopId: string;
  painterId: string;
  ticketId: string | null;
  coatId: string | null;
  panelId: string | null;
  gunId: string | null;
  vehicle: string;
  whereSeen: string;
  note: string;
  layerSuspected: Finding['layerSuspected'] | null;
  film: Finding['film'] | null;
  readings: Finding['readings'];
  answers: Finding['answers'];
  result: Finding['result'];
  knowledgeVersion: number;
  calculationVersion: number;
  seenAt: Date;
  confirmedFault: string | null;
  confirmedCause: string | null;
  confirmedLayer: string | null;
  confirmedNote: string | null;
  confirmedBy: string | null;
  confirmedAt: Date | null;
};
export const FindingTable = new EntitySchema<FindingRow>({
  name: 'Finding',
  tableName: 'finding',
  columns: {
    ...key('finding'),
    ...ids('shopId', 'painterId'),
    ...optionalIds('ticketId', 'coatId', 'panelId', 'gunId', 'confirmedBy'),
    ...texts('vehicle', 'whereSeen', 'note'),
    ...optionalTexts(
      'layerSuspected',
      'film',
      'confirmedFault',
      'confirmedCause',
      'confirmedLayer',
      'confirmedNote',
    ),
    ...structures('readings', 'answers', 'result'),
    ...integers('knowledgeVersion', 'calculationVersion'),
    ...instants('seenAt'),
    ...optionalInstants('confirmedAt'),
    ...edited,
  },
  indices: [
    { name: 'finding_coat', columns: ['coatId'] },
    { name: 'finding_ticket', columns: ['ticketId'] },
    { name: 'finding_confirmed', columns: ['confirmedFault', 'confirmedCause'] },
  ],
  foreignKeys: [
    refersTo('finding', 'shopId', 'Shop'),
    refersTo('finding', 'painterId', 'Painter'),
    refersTo('finding', 'ticketId', 'Ticket'),
    refersTo('finding', 'coatId', 'Coat'),
    refersTo('finding', 'panelId', 'Panel'),
    refersTo('finding', 'gunId', 'Gun'),
  ],
});

export type PlanChangeRow = EditedRow & {
  findingId: string;
  ordinal: number;
  cause: string;
  stage: string | null;
  gunId: string | null;
  setting: string;
  change: string;
  why: string;
  move: PlanChange['move'] | null;
  state: PlanChange['state'];
  appliedToCoatId: string | null;
};
export const PlanChangeTable = new EntitySchema<PlanChangeRow>({
  name: 'PlanChange',
  tableName: 'plan_change',
  columns: {
    ...key('plan_change'),
    ...ids('findingId'),
    ...integers('ordinal'),
    ...texts('cause', 'setting', 'change', 'why', 'state'),
    ...optionalTexts('stage'),
    ...optionalIds('gunId', 'appliedToCoatId'),
    ...optionalStructures('move'),
    ...edited,
  },
  foreignKeys: [
    refersTo('plan_change', 'findingId', 'Finding'),
    refersTo('plan_change', 'gunId', 'Gun'),
    refersTo('plan_change', 'appliedToCoatId', 'Coat'),
  ],
});

/** Append-only: the picture as it came, and a small one of it. */
export type PhotoRow = {
  id: string;
  findingId: string;
  fileSha256: string;
  mime: string;
  sizeBytes: number;
  widthPx: number;
  heightPx: number;
  picture: Buffer;
  thumb: Buffer;
  takenAt: Date;
};
export const PhotoTable = new EntitySchema<PhotoRow>({
  name: 'Photo',
  tableName: 'photo',
  columns: {
    ...key('photo'),
    ...ids('findingId'),
    ...texts('fileSha256', 'mime'),
    ...integers('sizeBytes', 'widthPx', 'heightPx'),
    picture: { type: 'bytea', select: false },
    thumb: { type: 'bytea', select: false },
    ...instants('takenAt'),
  },
  uniques: [{ name: 'photo_finding_file', columns: ['findingId', 'fileSha256'] }],
  foreignKeys: [refersTo('photo', 'findingId', 'Finding')],
});
