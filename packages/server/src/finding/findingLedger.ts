/**
 * Writing down what was found: each write is judged here again from its answers and readings, so
 * that the record holds the server's own answer.
 */
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { diagnoseCalculation } from '@orthochrom/contract/calculations/diagnose.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/version.ts';
import {
  diagnoseInputOf,
  moveOf,
  type FindingConfirm,
  type FindingCreate,
  type FindingEdit,
  type PlanChangeAnswer,
} from '@orthochrom/contract/shop/finding.ts';
import { causeWords } from '@orthochrom/contract/words/faultWords.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { changeVersioned, type Ledger, type Trace } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { GunTable } from '../shop/shopTables.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { PanelTable, StageTable, TicketTable } from '../ticket/ticketTables.ts';
import { CoatTable } from '../ticket/coatTables.ts';
import { findingById, planChangeOf } from './findingReader.ts';
import {
  FindingTable,
  PlanChangeTable,
  type FindingRow,
  type PlanChangeRow,
} from './findingTables.ts';

type FindingFacts = Omit<FindingCreate, 'id' | 'painterId'>;

/** The columns that a painter's writing fills. */
export const columnsOf = ({ where, ...seen }: FindingFacts) => ({
  ticketId: seen.ticketId ?? null,
  coatId: seen.coatId ?? null,
  panelId: seen.panelId ?? null,
  gunId: seen.gunId ?? null,
  vehicle: seen.vehicle,
  whereSeen: where,
  note: seen.note,
  layerSuspected: seen.layerSuspected ?? null,
  film: seen.film ?? null,
  readings: seen.readings,
  answers: seen.answers,
  result: ask(diagnoseCalculation, diagnoseInputOf(seen)),
  knowledgeVersion: theKnowledge().knowledge.version,
  calculationVersion: CALCULATION_VERSION,
});

/** @throws BadInput where a finding names what is not there */
async function mustBeThere(
  manager: EntityManager,
  { ticketId, coatId, panelId, gunId }: FindingFacts,
): Promise<void> {
  const coat = coatId ? await manager.findOneBy(CoatTable, { id: coatId }) : undefined;
  if (coat === null || (coat && ticketId && coat.ticketId !== ticketId))
    throw BadInput.at(['coatId'], 'not-one-of', 'This coat does not belong to the ticket.');
  if (ticketId && !(await manager.existsBy(TicketTable, { id: ticketId })))
    throw BadInput.at(['ticketId'], 'not-one-of', 'There is no such ticket.');
  if (
    panelId &&
    !(await manager.existsBy(PanelTable, { id: panelId, ...(ticketId ? { ticketId } : {}) }))
  )
    throw BadInput.at(['panelId'], 'not-one-of', 'This panel is not on the ticket.');
  if (gunId && !(await manager.existsBy(GunTable, { id: gunId })))
    throw BadInput.at(['gunId'], 'not-one-of', 'There is no such gun.');
}

export const addFinding = (
  ledger: Ledger,
  { id, painterId, ...seen }: FindingCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await mustBeThere(manager, seen);
    const shopId = await shopIdOf(manager);
    const row = { id, shopId, painterId, seenAt: new Date(), ...columnsOf(seen) } as FindingRow;
    await insertNew(manager, FindingTable, row);
    await trace({
      shopId,
      painterId,
      aggregateType: 'finding',
      aggregateId: id,
      kind: 'found',
      patch: seen,
    });
  });

/** The trace of one edit over `version`. */
const edited = async (
  manager: EntityManager,
  {
    id,
    version,
    ...of
  }: { id: string; version: number; painterId: string; kind: string; patch: unknown },
): Promise<Trace> => ({
  ...of,
  shopId: await shopIdOf(manager),
  aggregateType: 'finding',
  aggregateId: id,
  aggregateVersion: version + 1,
});

export const changeFinding = (
  ledger: Ledger,
  id: string,
  { version, painterId, ...seen }: FindingEdit,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await mustBeThere(manager, seen);
    await changeVersioned(manager, FindingTable, {
      what: 'finding',
      id,
      version,
      changes: columnsOf(seen),
      mine: seen,
    });
    await trace(await edited(manager, { id, version, painterId, kind: 'answered', patch: seen }));
  });

/**
 * What it turned out to be. What changes for it is offered to the next plans; a second confirming
 * offers nothing twice.
 */
export const confirmFinding = (
  ledger: Ledger,
  id: string,
  { version, painterId, ...told }: FindingConfirm,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = {
      confirmedFault: told.fault,
      confirmedCause: told.cause,
      confirmedLayer: told.layer ?? null,
      confirmedNote: told.note,
      confirmedBy: painterId,
      confirmedAt: new Date(),
    };
    await changeVersioned(manager, FindingTable, {
      what: 'finding',
      id,
      version,
      changes,
      mine: told,
    });
    await offerChanges(manager, id, told.cause);
    await trace(await edited(manager, { id, version, painterId, kind: 'confirmed', patch: told }));
  });

async function offerChanges(
  manager: EntityManager,
  findingId: string,
  confirmedCause: string,
): Promise<void> {
  const finding = await findingById(manager, findingId);
  const coat = finding.coatId ? await manager.findOneBy(CoatTable, { id: finding.coatId }) : null;
  const stage = coat ? await manager.findOneBy(StageTable, { id: coat.stageId }) : null;
  const known = new Set(finding.changes.map(({ cause }) => cause));
  if (known.has(confirmedCause)) return;
  const { setting, nextJob, name, steps } = causeWords(confirmedCause);
  const move = moveOf(steps);
  await manager.insert(PlanChangeTable, {
    id: newId(),
    findingId,
    ordinal: finding.changes.length + 1,
    cause: confirmedCause,
    stage: stage?.kind ?? null,
    gunId: coat?.gunId ?? finding.gunId ?? null,
    setting,
    change: nextJob,
    why: name,
    move: move ?? null,
    state: 'offered',
    appliedToCoatId: null,
  } as never);
}

/** Taken or refused, once; a change that was taken names the coat it went to. */
export const answerChange = (
  ledger: Ledger,
  id: string,
  { version, painterId, state, coatId }: z.infer<typeof PlanChangeAnswer>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const row = await manager.findOneBy(PlanChangeTable, { id });
    if (!row) throw new NotFound(`There is no change ${id}.`);
    if (row.state !== 'offered' && row.version === version)
      throw new OutOfTurn(`This change was ${row.state} already.`);
    if (coatId && !(await manager.existsBy(CoatTable, { id: coatId })))
      throw BadInput.at(['coatId'], 'not-one-of', 'There is no such coat.');
    await changeVersioned<PlanChangeRow>(manager, PlanChangeTable, {
      what: 'change',
      id,
      version,
      changes: { state, appliedToCoatId: coatId ?? null },
      mine: { state },
      showTheirs: planChangeOf,
    });
    const shopId = await shopIdOf(manager);
    await trace({
      shopId,
      painterId,
      aggregateType: 'finding',
      aggregateId: row.findingId,
      kind: `change-${state}`,
      patch: { id, coatId },
    });
  });
