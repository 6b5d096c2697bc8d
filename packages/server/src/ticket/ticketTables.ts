import type { Mix, Panel, StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import type { GateAbout } from '@orthochrom/contract/shop/gateRecord.ts';
import { EntitySchema } from 'typeorm';
import {
  doubles,
  edited,
  ids,
  instants,
  integers,
  key,
  optionalBooleans,
  optionalDoubles,
  optionalIds,
  optionalInstants,
  optionalStructures,
  optionalTexts,
  refersTo,
  structures,
  texts,
  type EditedRow,
  type Nullable,
} from '../database/columns.ts';

export type TicketRow = EditedRow &
  Pick<
    Ticket,
    'number' | 'vehicle' | 'bodyKind' | 'roomId' | 'painterId' | 'jobSize' | 'note' | 'state'
  > & {
    shopId: string;
  } & Nullable<Pick<Ticket, 'dueOn' | 'timing' | 'strongSun'>>;
export const TicketTable = new EntitySchema<TicketRow>({
  name: 'Ticket',
  tableName: 'ticket',
  columns: {
    ...key('ticket'),
    ...ids('shopId', 'roomId', 'painterId'),
    ...texts('number', 'vehicle', 'bodyKind', 'jobSize', 'note', 'state'),
    dueOn: { type: 'date', name: 'due_on', nullable: true },
    ...optionalTexts('timing'),
    ...optionalBooleans('strongSun'),
    ...edited,
  },
  indices: [
    { name: 'ticket_vehicle_words', synchronize: false },
    { name: 'ticket_number_words', synchronize: false },
    { name: 'ticket_created', columns: ['createdAt', 'id'] },
    { name: 'ticket_state', columns: ['state'] },
  ],
  uniques: [{ name: 'ticket_shop_number', columns: ['shopId', 'number'] }],
  foreignKeys: [
    refersTo('ticket', 'shopId', 'Shop'),
    refersTo('ticket', 'roomId', 'Room'),
    refersTo('ticket', 'painterId', 'Painter'),
  ],
});

export type PanelRow = Nullable<Panel> & {
  ticketId: string;
  ordinal: number;
  archivedAt: Date | null;
};
export const PanelTable = new EntitySchema<PanelRow>({
  name: 'Panel',
  tableName: 'panel',
  columns: {
    ...key('panel'),
    ...ids('ticketId'),
    ...integers('ordinal'),
    ...texts('name', 'orientation', 'substrate', 'scope'),
    ...doubles('areaM2'),
    ...optionalStructures('found'),
    ...optionalBooleans('foreign', 'manyLayers'),
    ...optionalDoubles('spotM2', 'heightM', 'lengthM'),
    ...optionalTexts('finishTarget', 'build', 'face'),
    archivedAt: edited.archivedAt,
  },
  foreignKeys: [refersTo('panel', 'ticketId', 'Ticket')],
});

export type StageRow = Nullable<Omit<StagePlan, 'panelIds'>> & {
  ticketId: string;
  ordinal: number;
  archivedAt: Date | null;
};
export const StageTable = new EntitySchema<StageRow>({
  name: 'Stage',
  tableName: 'stage',
  columns: {
    ...key('stage'),
    ...ids('ticketId', 'sheetVersionId'),
    ...integers('ordinal', 'coats'),
    ...texts('kind', 'recipeName', 'colourName', 'part'),
    ...optionalTexts('finish', 'colourHex', 'variant', 'face'),
    ...optionalIds('gunId'),
    ...optionalStructures('tint'),
    archivedAt: edited.archivedAt,
  },
  indices: [
    { name: 'stage_colour_words', synchronize: false },
    { name: 'stage_sheet_version', columns: ['sheetVersionId'] },
  ],
  foreignKeys: [
    refersTo('stage', 'ticketId', 'Ticket'),
    refersTo('stage', 'sheetVersionId', 'SheetVersion'),
    refersTo('stage', 'gunId', 'Gun'),
  ],
});

export type StagePanelRow = { stageId: string; panelId: string };
export const StagePanelTable = new EntitySchema<StagePanelRow>({
  name: 'StagePanel',
  tableName: 'stage_panel',
  columns: {
    stageId: {
      type: 'uuid',
      name: 'stage_id',
      primary: true,
      primaryKeyConstraintName: 'stage_panel_pkey',
    },
    panelId: {
      type: 'uuid',
      name: 'panel_id',
      primary: true,
      primaryKeyConstraintName: 'stage_panel_pkey',
    },
  },
  foreignKeys: [
    refersTo('stage_panel', 'stageId', 'Stage'),
    refersTo('stage_panel', 'panelId', 'Panel'),
  ],
});

export type MixRow = Nullable<Omit<Mix, 'version' | 'mixedAt' | 'potLifeEndsAt'>> &
  EditedRow & { painterId: string; asked: unknown; mixedAt: Date; potLifeEndsAt: Date | null };
export const MixTable = new EntitySchema<MixRow>({
  name: 'Mix',
  tableName: 'mix',
  columns: {
    ...key('mix'),
    ...ids('stageId', 'painterId'),
    ...structures('recipe', 'asked', 'poured'),
    ...doubles('readyMl'),
    ...integers('batchNo'),
    ...instants('mixedAt'),
    ...optionalInstants('potLifeEndsAt'),
    ...optionalDoubles('materialC'),
    ...optionalStructures('flowCup'),
    ...optionalIds('correctedFromId'),
    ...edited,
  },
  foreignKeys: [
    refersTo('mix', 'stageId', 'Stage'),
    refersTo('mix', 'painterId', 'Painter'),
    refersTo('mix', 'correctedFromId', 'Mix'),
  ],
});

/** Append-only. */
export type GateAnswerRow = {
  id: string;
  ticketId: string;
  stageId: string;
  roomId: string;
  painterId: string;
  step: string;
  passed: boolean;
  about: GateAbout;
  answers: Record<string, unknown>;
  verdicts: unknown[];
  gateVersion: number;
  answeredAt: Date;
};
export const GateAnswerTable = new EntitySchema<GateAnswerRow>({
  name: 'GateAnswer',
  tableName: 'gate_answer',
  columns: {
    ...key('gate_answer'),
    ...ids('ticketId', 'stageId', 'roomId', 'painterId'),
    ...texts('step'),
    passed: { type: 'boolean' },
    ...structures('about', 'answers', 'verdicts'),
    ...integers('gateVersion'),
    ...instants('answeredAt'),
  },
  foreignKeys: [
    refersTo('gate_answer', 'ticketId', 'Ticket'),
    refersTo('gate_answer', 'stageId', 'Stage'),
    refersTo('gate_answer', 'roomId', 'Room'),
    refersTo('gate_answer', 'painterId', 'Painter'),
  ],
});

/** No ticking state: any screen works out what is left from the server's time. */
export type TimerRow = EditedRow & {
  ticketId: string;
  coatId: string | null;
  mixId: string | null;
  kind: string;
  startedAt: Date;
  dueAt: Date;
  latestAt: Date | null;
  test: string;
  tests: unknown;
  confirmedAt: Date | null;
  confirmedBy: string | null;
};
export const TimerTable = new EntitySchema<TimerRow>({
  name: 'Timer',
  tableName: 'timer',
  columns: {
    ...key('timer'),
    ...ids('ticketId'),
    ...optionalIds('coatId', 'mixId', 'confirmedBy'),
    ...texts('kind', 'test'),
    ...instants('startedAt', 'dueAt'),
    ...optionalInstants('latestAt', 'confirmedAt'),
    ...optionalStructures('tests'),
    ...edited,
  },
  foreignKeys: [
    refersTo('timer', 'ticketId', 'Ticket'),
    refersTo('timer', 'coatId', 'Coat'),
    refersTo('timer', 'mixId', 'Mix'),
    refersTo('timer', 'confirmedBy', 'Painter'),
  ],
});
