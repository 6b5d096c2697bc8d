/** Every coat sprayed, found by what it was and how it went. */
import type {
  FoundOnCoat,
  RecordPage,
  RecordQuery,
  RecordRow,
} from '@orthochrom/contract/shop/record.ts';
import type { Finding } from '@orthochrom/contract/shop/finding.ts';
import Papa from 'papaparse';
import { In, type EntityManager, type FindOptionsSelect } from 'typeorm';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { GunTable, PainterTable, RoomTable } from '../shop/shopTables.ts';
import { findings } from '../finding/findingReader.ts';
import { StageTable, TicketTable } from './ticketTables.ts';
import { coatOf, sprayedOn } from './coatReader.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';
import { countFound, PAGE_ROWS, pageFound } from './recordFinder.ts';

/** One page of what fits, and how many there are; from the page on that a coat ends. */
export async function records(
  manager: EntityManager,
  { after, ...asked }: RecordQuery,
): Promise<RecordPage> {
  const ids = await pageFound(manager, asked, after);
  const rows = await described(manager, await coatsOf(manager, ids));
  return {
    rows,
    count: after ? undefined : await countFound(manager, asked),
    next: ids.length === PAGE_ROWS ? ids.at(-1) : undefined,
  };
}

/** Page by page, all of it. */
export async function* allRecords(
  manager: EntityManager,
  { after: from, ...asked }: RecordQuery,
): AsyncGenerator<RecordRow[]> {
  let after = from;
  do {
    const { rows, next } = await records(manager, { ...asked, ...(after ? { after } : {}) });
    yield rows;
    after = next;
  } while (after);
}

/** In the order that was asked for; the plan that was taken is not in a list. */
async function coatsOf(manager: EntityManager, ids: readonly string[]): Promise<CoatRow[]> {
  if (ids.length === 0) return [];
  const select = Object.keys(CoatTable.options.columns).filter((name) => name !== 'planned');
  const rows = await manager.find(CoatTable, {
    where: { id: In([...ids]) },
    select: Object.fromEntries(select.map((name) => [name, true])) as FindOptionsSelect<CoatRow>,
  });
  return rows
    .map((row) => ({ ...row, planned: null }))
    .sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
}

/** One coat whole. */
export async function recordOf(
  manager: EntityManager,
  coatId: string,
): Promise<RecordRow | undefined> {
  const coat = await manager.findOneBy(CoatTable, { id: coatId });
  return coat ? (await described(manager, [coat]))[0] : undefined;
}

async function described(manager: EntityManager, coats: CoatRow[]): Promise<RecordRow[]> {
  if (coats.length === 0) return [];
  const idsOf = (pick: (coat: CoatRow) => string | null) =>
    In([...new Set(coats.map(pick).filter((id) => id !== null))]);
  const [tickets, stages, guns, painters, rooms, sprayed] = await Promise.all([
    manager.findBy(TicketTable, { id: idsOf((c) => c.ticketId) }),
    manager.findBy(StageTable, { id: idsOf((c) => c.stageId) }),
    manager.findBy(GunTable, { id: idsOf((c) => c.gunId) }),
    manager.findBy(PainterTable, { id: idsOf((c) => c.painterId) }),
    manager.findBy(RoomTable, { id: idsOf((c) => c.roomId) }),
    sprayedOn(
      manager,
      coats.map(({ id }) => id),
    ),
  ]);
  const sheets = await sheetVersions(manager, [
    ...new Set(stages.map(({ sheetVersionId }) => sheetVersionId)),
  ]);
  const found = await findings(manager, { coatId: In(coats.map(({ id }) => id)) });
  const nameOf = (list: { id: string; name: string }[], id: string | null) =>
    list.find((item) => item.id === id)?.name ?? '';
  return coats.map((row) => {
    const ticket = tickets.find(({ id }) => id === row.ticketId)!;
    const stage = stages.find(({ id }) => id === row.stageId)!;
    const figure = (name: 'airC' | 'rhPercent' | 'panelC' | 'materialC') =>
      row[name] === null ? {} : { [name]: row[name] };
    return {
      coat: coatOf(row, sprayed),
      ticketNumber: ticket.number,
      vehicle: ticket.vehicle,
      stage: stage.kind,
      colourName: stage.colourName,
      coats: stage.coats,
      product: sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet.name ?? '',
      gun: nameOf(guns, row.gunId),
      painter: nameOf(painters, row.painterId),
      room: nameOf(rooms, row.roomId),
      found: found.filter(({ coatId }) => coatId === row.id).map(foundOf),
      ...figure('airC'),
      ...figure('rhPercent'),
      ...figure('panelC'),
      ...figure('materialC'),
    };
  });
}

/** What was confirmed, else what it was judged to be. */
const foundOf = ({ id, confirmed, result }: Finding): FoundOnCoat => ({
  findingId: id,
  fault: confirmed?.fault ?? result.faults[0]?.id ?? '',
  cause: confirmed?.cause ?? result.causes[0]?.id ?? '',
  confirmed: confirmed !== undefined,
});

/**
 * One line a coat, canonical units in the headings; text that a spreadsheet could take for a
 * formula is escaped.
 */
export const recordsCsv = (rows: readonly RecordRow[], isHeaded: boolean): string =>
  Papa.unparse(
    rows.map(({ coat, ...row }) => ({
      ended_at: coat.endedAt,
      ticket: row.ticketNumber,
      vehicle: row.vehicle,
      stage: row.stage,
      coat: coat.ordinal,
      product: row.product,
      colour: row.colourName,
      painter: row.painter,
      room: row.room,
      gun: row.gun,
      nozzle_mm: coat.nozzleMm,
      air_c: row.airC?.toFixed(1),
      humidity_percent: row.rhPercent?.toFixed(0),
      panel_c: row.panelC?.toFixed(1),
      material_c: row.materialC?.toFixed(1),
      inlet_kpa: coat.done['inletKPa']?.value,
      lowest_inlet_kpa: coat.lowestInletKPa?.toFixed(0),
      highest_inlet_kpa: coat.highestInletKPa?.toFixed(0),
      fluid_turns_out: coat.done['fluidTurnsOut']?.value,
      distance_mm: coat.done['distanceMm']?.value,
      overlap_percent: coat.done['overlapPercent']?.value,
      wet_um: coat.done['wetFilmUm']?.value,
      rating: coat.rating,
      seen: coat.seen.join(' '),
      fault: row.found.map(({ fault }) => fault).join(' '),
      cause: row.found.map(({ cause }) => cause).join(' '),
      note: coat.note,
    })),
    { escapeFormulae: true, header: isHeaded },
  );
