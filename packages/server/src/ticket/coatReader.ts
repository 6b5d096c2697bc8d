/** Coats as the contract shows them, with the panels that are on. */
import type { Coat, HalfDone, PanelDone } from '@orthochrom/contract/shop/coat.ts';
import type { EntityManager } from 'typeorm';
import { readTogether } from '../database/readTogether.ts';
import { present } from '../database/present.ts';
import {
  CoatHalfTable,
  CoatPanelTable,
  CoatTable,
  type CoatHalfRow,
  type CoatPanelRow,
  type CoatRow,
} from './coatTables.ts';

export type Sprayed = { panels: CoatPanelRow[]; halves: CoatHalfRow[] };

export const NOTHING_ON: Sprayed = { panels: [], halves: [] };

/** What is on of these coats. */
export async function sprayedOn(manager: EntityManager, coatIds: string[]): Promise<Sprayed> {
  if (coatIds.length === 0) return NOTHING_ON;
  const where = 'coat_id = any($1)';
  const [panels, halves] = [
    { table: CoatPanelTable, where, order: 'sprayed_at' },
    { table: CoatHalfTable, where, order: 'sprayed_at' },
  ];
  return readTogether(manager, { panels, halves }, [coatIds]);
}

/** For lists: the plan that was taken is most of a coat, and nobody reads it there. */
export async function coatsWithoutPlan(
  manager: EntityManager,
  where: string,
  values: readonly unknown[],
): Promise<CoatRow[]> {
  const wanted = { table: CoatTable, where, order: 'ordinal', without: ['planned'] };
  const { coats } = await readTogether(manager, { coats: wanted }, values);
  return coats.map((row) => ({ ...row, planned: null }));
}

const iso = (at: Date | null) => at?.toISOString() ?? null;

const inOrder = <Done extends { sprayedAt: string }>(
  rows: readonly { coatId: string; sprayedAt: Date }[],
  id: string,
): Done[] =>
  rows
    .filter(({ coatId }) => coatId === id)
    .map(
      ({ coatId: _, sprayedAt, ...row }) =>
        present({ ...row, sprayedAt: sprayedAt.toISOString() }) as unknown as Done,
    )
    .sort((a, b) => a.sprayedAt.localeCompare(b.sprayedAt));

/** A coat as the contract shows it, its panels in the order in which they were sprayed. */
export function coatOf(row: CoatRow, { panels, halves }: Sprayed): Coat {
  const {
    createdAt: _c,
    updatedAt: _u,
    archivedAt: _a,
    inletKPaDone: _i,
    fluidTurnsDone: _f,
    distanceMmDone: _d,
    overlapPercentDone: _o,
    wetUmDone: _w,
    airC: _air,
    rhPercent: _rh,
    panelC: _p,
    materialC: _m,
    ...coat
  } = row;
  return present({
    ...coat,
    startedAt: iso(row.startedAt),
    endedAt: iso(row.endedAt),
    panelsSprayed: inOrder<PanelDone>(panels, row.id),
    halvesSprayed: inOrder<HalfDone>(halves, row.id),
  }) as Coat;
}
