/**
 * What a ticket is made of: panels, stages pinned to sheet versions, and a planned coat for each
 * coat wanted.
 */
import type { TicketCreate } from '@orthochrom/contract/shop/ticket.ts';
import { isMelted } from '@orthochrom/core/layers/foundLayer.ts';
import { In, type EntityManager, type EntitySchema } from 'typeorm';
import { v7 as newId } from 'uuid';
import { BadInput } from '../http/faults.ts';
import { latestSheets, sheetVersions } from '../sheet/sheetLedger.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';
import {
  PanelTable,
  StagePanelTable,
  StageTable,
  type PanelRow,
  type StageRow,
} from './ticketTables.ts';

type Shape = Pick<TicketCreate, 'panels' | 'stages'>;

/** What may be left untold is taken back where it is not told any more. */
const NO_PANEL_WORD = {
  found: null,
  foreign: null,
  manyLayers: null,
  spotM2: null,
  heightM: null,
  lengthM: null,
  finishTarget: null,
  build: null,
  face: null,
} satisfies Partial<PanelRow>;
const NO_STAGE_WORD = {
  finish: null,
  colourHex: null,
  gunId: null,
  variant: null,
  tint: null,
  face: null,
} satisfies Partial<StageRow>;

/**
 * Puts panels, stages and planned coats in line with the ticket. What is no longer wanted is
 * archived, what was sprayed stays.
 */
export async function writeShape(
  manager: EntityManager,
  ticketId: string,
  { panels, stages }: Shape,
): Promise<void> {
  await refuseForeign(manager, PanelTable, ticketId, 'panels', panels);
  await refuseForeign(manager, StageTable, ticketId, 'stages', stages);
  await refuseLosingWork(manager, ticketId, stages);
  await refuseUnknownSheets(manager, { panels, stages });
  await refuseStrangeTints(manager, stages);
  const now = new Date();
  await manager.update(PanelTable, { ticketId }, { archivedAt: now });
  await manager.update(StageTable, { ticketId }, { archivedAt: now });
  await manager.upsert(
    PanelTable,
    panels.map((panel, ordinal) => ({
      ...NO_PANEL_WORD,
      ...panel,
      ticketId,
      ordinal,
      archivedAt: null,
    })) as never,
    ['id'],
  );
  const rows = stages.map(({ panelIds: _, ...stage }, ordinal) => ({
    ...NO_STAGE_WORD,
    ...stage,
    ticketId,
    ordinal,
    archivedAt: null,
  }));
  await manager.upsert(StageTable, rows as never, ['id']);
  for (const stage of stages) {
    await manager.delete(StagePanelTable, { stageId: stage.id });
    await manager.insert(
      StagePanelTable,
      stage.panelIds.map((panelId) => ({ stageId: stage.id, panelId })),
    );
    await planCoats(manager, ticketId, stage.id, stage.coats);
  }
}

/** @throws BadInput where an id names a panel or a stage of another ticket */
async function refuseForeign(
  manager: EntityManager,
  table: typeof PanelTable | typeof StageTable,
  ticketId: string,
  field: 'panels' | 'stages',
  given: readonly { id: string }[],
): Promise<void> {
  const held = await manager.findBy<{ id: string; ticketId: string }>(
    table as EntitySchema<{ id: string; ticketId: string }>,
    { id: In(given.map(({ id }) => id)) },
  );
  const foreign = held.find((row) => row.ticketId !== ticketId);
  if (foreign)
    throw BadInput.at(
      [field, given.findIndex(({ id }) => id === foreign.id), 'id'],
      'contradiction',
      'This id belongs to another ticket.',
    );
}

async function refuseUnknownSheets(
  manager: EntityManager,
  { panels, stages }: Shape,
): Promise<void> {
  const versions = await sheetVersions(
    manager,
    stages.map(({ sheetVersionId }) => sheetVersionId),
  );
  stages.forEach((stage, i) => {
    const version = versions.find(({ id }) => id === stage.sheetVersionId);
    if (!version)
      throw BadInput.at(
        ['stages', i, 'sheetVersionId'],
        'not-one-of',
        'There is no such data sheet.',
      );
    if (!version.sheet.stages?.includes(stage.kind))
      throw BadInput.at(
        ['stages', i, 'kind'],
        'contradiction',
        `${version.sheet.name} is not made for the stage ${stage.kind}.`,
      );
    const recipe = version.sheet.recipes?.find(({ name }) => name === stage.recipeName);
    if (!recipe)
      throw BadInput.at(
        ['stages', i, 'recipeName'],
        'not-one-of',
        `${version.sheet.name} has no recipe ${stage.recipeName}.`,
      );
    const whole = stage.panelIds.findIndex((id) =>
      panels.some((panel) => panel.id === id && !isMelted(panel.scope)),
    );
    if (recipe.blendOnly && whole >= 0)
      throw BadInput.at(
        ['stages', i, 'panelIds', whole],
        'contradiction',
        `${stage.recipeName} only melts edges: blend and spot panels, no whole ones.`,
      );
  });
}

/** A shade is mixed of the product's own, and of what its sheet lets into it. */
async function refuseStrangeTints(manager: EntityManager, stages: Shape['stages']): Promise<void> {
  if (stages.every(({ tint }) => !tint)) return;
  const kept = await latestSheets(manager);
  const pinned = await sheetVersions(
    manager,
    stages.map(({ sheetVersionId }) => sheetVersionId),
  );
  stages.forEach(({ tint = [], sheetVersionId }, i) =>
    tint.forEach(({ product, name }, k) => {
      const own = pinned.find(({ id }) => id === sheetVersionId)!.sheet;
      const isOwn = product === own.id;
      if (!isOwn && !own.tint?.with.includes(product))
        throw BadInput.at(
          ['stages', i, 'tint', k, 'product'],
          'contradiction',
          `The sheet of ${own.name} does not let ${name} into it.`,
        );
      if (!kept.some(({ sheet }) => sheet.id === product))
        throw BadInput.at(
          ['stages', i, 'tint', k, 'product'],
          'not-one-of',
          `The shop has no ${product}.`,
        );
    }),
  );
}

const STAYS = {
  sheetVersionId:
    'Coats of this stage were begun: it goes by the issue of the sheet that it began with.',
  kind: 'Coats of this stage were begun: it stays the stage that it began as.',
};

/**
 * A stage with coats already begun can neither be dropped nor get fewer coats than were begun, and
 * stays what it was when they were: their records say so.
 */
async function refuseLosingWork(
  manager: EntityManager,
  ticketId: string,
  stages: Shape['stages'],
): Promise<void> {
  const begun = (await manager.findBy(CoatTable, { ticketId })).filter(
    ({ state, archivedAt }) => state !== 'planned' && !archivedAt,
  );
  const kept = await manager.findBy(StageTable, { ticketId });
  for (const coat of begun) {
    const index = stages.findIndex(({ id }) => id === coat.stageId);
    if (index === -1)
      throw BadInput.at(
        ['stages'],
        'contradiction',
        'A stage with coats already begun cannot be taken off the ticket.',
      );
    if (stages[index]!.coats < coat.ordinal)
      throw BadInput.at(
        ['stages', index, 'coats'],
        'contradiction',
        `coats is ${stages[index]!.coats}, yet coat ${coat.ordinal} was begun.`,
      );
    const was = kept.find(({ id }) => id === coat.stageId)!;
    for (const field of ['sheetVersionId', 'kind'] as const)
      if (stages[index]![field] !== was[field])
        throw BadInput.at(['stages', index, field], 'contradiction', STAYS[field]);
  }
}

async function planCoats(
  manager: EntityManager,
  ticketId: string,
  stageId: string,
  coats: number,
): Promise<void> {
  const existing = await manager.findBy(CoatTable, { stageId });
  for (let ordinal = 1; ordinal <= coats; ordinal++) {
    const row = existing.find((coat) => coat.ordinal === ordinal);
    if (!row)
      await manager.insert(CoatTable, {
        id: newId(),
        ticketId,
        stageId,
        ordinal,
        state: 'planned',
        overrides: {},
        done: {},
        seen: [],
        note: '',
      } as Partial<CoatRow> as never);
    else if (row.archivedAt) await manager.update(CoatTable, { id: row.id }, { archivedAt: null });
  }
  const surplus = existing
    .filter(({ ordinal, archivedAt }) => ordinal > coats && !archivedAt)
    .map(({ id }) => id);
  if (surplus.length > 0)
    await manager.update(CoatTable, { id: In(surplus) }, { archivedAt: new Date() });
}
