/** Findings as the contract shows them. */
import type { Finding, PhotoInfo, PlanChange } from '@orthochrom/contract/shop/finding.ts';
import { In, type EntityManager, type FindOptionsWhere } from 'typeorm';
import { present } from '../database/present.ts';
import { NotFound } from '../http/faults.ts';
import {
  FindingTable,
  PhotoTable,
  PlanChangeTable,
  type FindingRow,
  type PhotoRow,
  type PlanChangeRow,
} from './findingTables.ts';

export const planChangeOf = ({
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  ordinal: _o,
  ...change
}: PlanChangeRow): PlanChange => present(change) as PlanChange;

const photoOf = ({ id, mime, sizeBytes, widthPx, heightPx, takenAt }: PhotoRow): PhotoInfo => ({
  id,
  mime,
  bytes: sizeBytes,
  widthPx,
  heightPx,
  takenAt: takenAt.toISOString(),
});

function findingOf(row: FindingRow, changes: PlanChangeRow[], photos: PhotoRow[]): Finding {
  const {
    confirmedAt,
    confirmedBy,
    confirmedFault,
    confirmedCause,
    confirmedLayer,
    confirmedNote,
  } = row;
  const {
    id,
    version,
    painterId,
    ticketId,
    coatId,
    panelId,
    gunId,
    vehicle,
    whereSeen,
    note,
    layerSuspected,
    film,
  } = row;
  const confirmed =
    confirmedAt && confirmedFault && confirmedCause
      ? present({
          fault: confirmedFault,
          cause: confirmedCause,
          layer: confirmedLayer,
          note: confirmedNote ?? '',
          at: confirmedAt.toISOString(),
          painterId: confirmedBy,
        })
      : null;
  return present({
    ...{
      id,
      version,
      painterId,
      ticketId,
      coatId,
      panelId,
      gunId,
      vehicle,
      where: whereSeen,
      note,
      layerSuspected,
      film,
    },
    readings: row.readings,
    answers: row.answers,
    result: row.result,
    knowledgeVersion: row.knowledgeVersion,
    calculationVersion: row.calculationVersion,
    seenAt: row.seenAt.toISOString(),
    confirmed,
    changes: changes.filter(({ findingId }) => findingId === id).map(planChangeOf),
    photos: photos.filter(({ findingId }) => findingId === id).map(photoOf),
  }) as unknown as Finding;
}

const MOST_FINDINGS = 200;

/** Newest first. */
export async function findings(
  manager: EntityManager,
  where: FindOptionsWhere<FindingRow> = {},
): Promise<Finding[]> {
  const rows = await manager.find(FindingTable, {
    where,
    order: { seenAt: 'DESC' },
    take: MOST_FINDINGS,
  });
  const of = { findingId: In(rows.map(({ id }) => id)) };
  const changes =
    rows.length > 0
      ? await manager.find(PlanChangeTable, { where: of, order: { ordinal: 'ASC' } })
      : [];
  const photos =
    rows.length > 0 ? await manager.find(PhotoTable, { where: of, order: { takenAt: 'ASC' } }) : [];
  return rows.map((row) => findingOf(row, changes, photos));
}

/** @throws NotFound */
export async function findingById(manager: EntityManager, id: string): Promise<Finding> {
  const [finding] = await findings(manager, { id });
  if (!finding) throw new NotFound(`There is no finding ${id}.`);
  return finding;
}

/** Changes that nobody has answered yet, of every finding. */
export async function offeredChanges(manager: EntityManager): Promise<PlanChange[]> {
  const rows = await manager.find(PlanChangeTable, {
    where: { state: 'offered' },
    order: { createdAt: 'DESC', ordinal: 'ASC' },
  });
  return rows.map(planChangeOf);
}

/** Changes that were taken for this coat: what it is to keep to. */
export async function changesOfCoat(manager: EntityManager, coatId: string): Promise<PlanChange[]> {
  const rows = await manager.find(PlanChangeTable, {
    where: { appliedToCoatId: coatId, state: 'taken' },
    order: { ordinal: 'ASC' },
  });
  return rows.map(planChangeOf);
}
