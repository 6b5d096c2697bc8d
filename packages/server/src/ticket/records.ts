/** Every coat sprayed, found by what it was and how it went. */
import type {
  FoundOnCoat,
  Hand,
  PlannedBy,
  RecordPage,
  RecordQuery,
  RecordRow,
} from '@orthochrom/contract/shop/record.ts';
import Papa from 'papaparse';
import { prepared } from '../database/prepared.ts';
import type { EntityManager } from 'typeorm';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { coatOf, coatsWithoutPlan, sprayedOn } from './coatReader.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';
import { FOUND, PAGE_ROWS, pageFound } from './recordFinder.ts';

/** One page of what fits; how many there are is a question of its own. */
export async function records(
  manager: EntityManager,
  { after, ...asked }: RecordQuery,
): Promise<RecordPage> {
  const ids = await pageFound(manager, asked, after);
  const rows = await described(manager, await coatsOf(manager, ids));
  return { rows, next: ids.length === PAGE_ROWS ? ids.at(-1) : undefined };
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
  const rows = await coatsWithoutPlan(manager, 'id = any($1)', [ids]);
  return rows.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
}

/** One coat whole. */
export async function recordOf(
  manager: EntityManager,
  coatId: string,
): Promise<RecordRow | undefined> {
  const coat = await manager.findOneBy(CoatTable, { id: coatId });
  if (!coat) return undefined;
  const [row] = await described(manager, [coat]);
  return {
    ...row!,
    plannedBy: await plannedBy(manager, coat),
    hands: await handsOn(manager, coat),
  };
}

/** The paint first, then what goes into it; nothing before a plan was taken. */
async function plannedBy(manager: EntityManager, { planned }: CoatRow): Promise<PlannedBy[]> {
  const ids = planned?.sheetVersionIds ?? [];
  const kept = await sheetVersions(manager, ids);
  return kept
    .sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))
    .map(({ sheet: { id, name, number, issuedOn, source } }) => ({
      id,
      name,
      number,
      issuedOn,
      source,
    }));
}

/** Out of the trail, oldest first. */
const handsOn = (manager: EntityManager, { id, ticketId }: CoatRow): Promise<Hand[]> =>
  manager.query(
    `select e.kind, e.at, s.name as "signedIn", l.name as lead from event e
     join painter s on s.id = e.signed_in_id left join painter l on l.id = e.touched_by_id
     where e.aggregate_type = 'ticket' and e.aggregate_id = $1 and e.patch ->> 'coatId' = $2
     order by e.at, e.id`,
    [ticketId, id],
  );

/** What of other rows stands with a coat. */
type Beside = Pick<
  RecordRow,
  | 'ticketNumber'
  | 'vehicle'
  | 'stage'
  | 'colourName'
  | 'coats'
  | 'product'
  | 'sheetIssue'
  | 'gun'
  | 'painter'
  | 'room'
> & { id: string };

const besides = (manager: EntityManager, ids: readonly string[]): Promise<Beside[]> =>
  prepared(
    manager,
    `select c.id, t.number as "ticketNumber", t.vehicle, s.kind as stage,
       s.colour_name as "colourName", s.coats, coalesce(v.body ->> 'name', '') as product,
       v.number as "sheetIssue",
       coalesce(g.name, '') as gun, coalesce(w.name, '') as painter, coalesce(r.name, '') as room
     from coat c join ticket t on t.id = c.ticket_id join stage s on s.id = c.stage_id
       left join sheet_version v on v.id = s.sheet_version_id left join gun g on g.id = c.gun_id
       left join painter w on w.id = c.painter_id left join room r on r.id = c.room_id
     where c.id = any($1)`,
    [ids],
  );

/** What was confirmed, else what it was judged to be; the newest first. */
const foundOn = (
  manager: EntityManager,
  ids: readonly string[],
): Promise<(FoundOnCoat & { coatId: string })[]> =>
  prepared(
    manager,
    `select f.id as "findingId", f.coat_id as "coatId", coalesce(${FOUND.fault}, '') as fault,
       coalesce(${FOUND.cause}, '') as cause, f.confirmed_at is not null as confirmed
     from finding f where f.coat_id = any($1) and f.archived_at is null
     order by f.seen_at desc, f.id desc`,
    [ids],
  );

async function described(manager: EntityManager, coats: CoatRow[]): Promise<RecordRow[]> {
  if (coats.length === 0) return [];
  const ids = coats.map(({ id }) => id);
  const beside = new Map((await besides(manager, ids)).map(({ id, ...own }) => [id, own]));
  const found = await foundOn(manager, ids);
  const sprayed = await sprayedOn(manager, ids);
  return coats.map((row) => {
    const figure = (name: 'airC' | 'rhPercent' | 'panelC' | 'materialC') =>
      row[name] === null ? {} : { [name]: row[name] };
    return {
      coat: coatOf(row, sprayed),
      ...beside.get(row.id)!,
      found: found.filter(({ coatId }) => coatId === row.id).map(({ coatId: _, ...one }) => one),
      ...figure('airC'),
      ...figure('rhPercent'),
      ...figure('panelC'),
      ...figure('materialC'),
    };
  });
}

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
      sheet_issue: row.sheetIssue,
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
