/** Coats of a ticket, and the panels each was laid on. */
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { EntitySchema } from 'typeorm';
import {
  edited,
  ids,
  instants,
  integers,
  key,
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

/**
 * Planned, overridden and done stand side by side; what records are searched by has a column of its
 * own.
 */
export type CoatRow = EditedRow &
  Nullable<
    Omit<Coat, 'id' | 'version' | 'panelsSprayed' | 'halvesSprayed' | 'startedAt' | 'endedAt'>
  > & {
    startedAt: Date | null;
    endedAt: Date | null;
    inletKPaDone: number | null;
    fluidTurnsDone: number | null;
    distanceMmDone: number | null;
    overlapPercentDone: number | null;
    wetUmDone: number | null;
    airC: number | null;
    rhPercent: number | null;
    panelC: number | null;
    materialC: number | null;
  };
export const CoatTable = new EntitySchema<CoatRow>({
  name: 'Coat',
  tableName: 'coat',
  columns: {
    ...key('coat'),
    ...ids('ticketId', 'stageId'),
    ...integers('ordinal'),
    ...texts('state', 'note'),
    ...optionalStructures('planned', 'testPanel'),
    ...structures('overrides', 'done', 'seen'),
    ...optionalTexts('rating'),
    ...optionalIds('gunId', 'mixId', 'painterId', 'roomId'),
    ...optionalInstants('startedAt', 'endedAt'),
    ...optionalDoubles(
      'nozzleMm',
      'inletKPaDone',
      'fluidTurnsDone',
      'distanceMmDone',
      'overlapPercentDone',
      'wetUmDone',
    ),
    ...optionalDoubles(
      'lowestInletKPa',
      'highestInletKPa',
      'airC',
      'rhPercent',
      'panelC',
      'materialC',
    ),
    ...edited,
  },
  uniques: [{ name: 'coat_stage_ordinal', columns: ['stageId', 'ordinal'] }],
  indices: [
    ...['coat_ended_id', 'coat_note_words'].map((name) => ({ name, synchronize: false as const })),
    { name: 'coat_gun_ended', columns: ['gunId', 'endedAt'] },
    { name: 'coat_painter_ended', columns: ['painterId', 'endedAt'] },
    { name: 'coat_rating_ended', columns: ['rating', 'endedAt'] },
    { name: 'coat_air_c', columns: ['airC'] },
  ],
  foreignKeys: [
    refersTo('coat', 'ticketId', 'Ticket'),
    refersTo('coat', 'stageId', 'Stage'),
    refersTo('coat', 'mixId', 'Mix'),
    refersTo('coat', 'gunId', 'Gun'),
    refersTo('coat', 'painterId', 'Painter'),
    refersTo('coat', 'roomId', 'Room'),
  ],
});

export type CoatPanelRow = {
  coatId: string;
  panelId: string;
  sprayedAt: Date;
  lowestInletKPa: number | null;
  highestInletKPa: number | null;
};
export const CoatPanelTable = new EntitySchema<CoatPanelRow>({
  name: 'CoatPanel',
  tableName: 'coat_panel',
  columns: {
    coatId: {
      type: 'uuid',
      name: 'coat_id',
      primary: true,
      primaryKeyConstraintName: 'coat_panel_pkey',
    },
    panelId: {
      type: 'uuid',
      name: 'panel_id',
      primary: true,
      primaryKeyConstraintName: 'coat_panel_pkey',
    },
    ...instants('sprayedAt'),
    ...optionalDoubles('lowestInletKPa', 'highestInletKPa'),
  },
  foreignKeys: [
    refersTo('coat_panel', 'coatId', 'Coat'),
    refersTo('coat_panel', 'panelId', 'Panel'),
  ],
});

/** Half of a panel that is sprayed from both sides of the car. */
export type CoatHalfRow = { coatId: string; panelId: string; half: string; sprayedAt: Date };
const halfKey = (name: string, type: 'uuid' | 'text') =>
  ({ type, name, primary: true, primaryKeyConstraintName: 'coat_half_pkey' }) as const;
export const CoatHalfTable = new EntitySchema<CoatHalfRow>({
  name: 'CoatHalf',
  tableName: 'coat_half',
  columns: {
    coatId: halfKey('coat_id', 'uuid'),
    panelId: halfKey('panel_id', 'uuid'),
    half: halfKey('half', 'text'),
    ...instants('sprayedAt'),
  },
  foreignKeys: [refersTo('coat_half', 'coatId', 'Coat'), refersTo('coat_half', 'panelId', 'Panel')],
});
