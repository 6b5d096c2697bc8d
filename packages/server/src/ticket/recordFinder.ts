/** Which coats a question to the records means: asked of the database, all of them, in pages. */
import type { RecordQuery } from '@orthochrom/contract/shop/record.ts';
import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import { FindingTable } from '../finding/findingTables.ts';
import { ProductTable, SheetVersionTable } from '../sheet/sheetTables.ts';
import { GunTable, PainterTable } from '../shop/shopTables.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';
import { StageTable, TicketTable } from './ticketTables.ts';

export const PAGE_ROWS = 100;

type Asked = Omit<RecordQuery, 'after'>;
/** Words stand for themselves: what the database takes for a wildcard is escaped. */
const anywhere = (words: string): string => `%${words.replace(/[\\%_]/g, '\\$&')}%`;

/** What was found on a coat: confirmed, else what leads. */
const FOUND = {
  fault: `coalesce(f.confirmed_fault, f.result #>> '{faults,0,id}')`,
  cause: `coalesce(f.confirmed_cause, f.result #>> '{causes,0,id}')`,
} as const;

const WORDED = [
  't.vehicle',
  't.number',
  's.colour_name',
  'p.name',
  `v.body ->> 'name'`,
  'c.note',
  'g.name',
  'w.name',
] as const;

/** Every coat that is on and fits; nothing is joined that the question does not ask for. */
function found(manager: EntityManager, asked: Asked): SelectQueryBuilder<CoatRow> {
  const query = manager
    .createQueryBuilder(CoatTable, 'c')
    .where('c.ended_at IS NOT NULL and c.archived_at IS NULL');
  if (asked.stage || asked.text) query.innerJoin(StageTable.options.name, 's', 's.id = c.stage_id');
  if (asked.stage) query.andWhere('s.kind = :stage', asked);
  if (asked.gunId) query.andWhere('c.gun_id = :gunId', asked);
  if (asked.painterId) query.andWhere('c.painter_id = :painterId', asked);
  if (asked.rating) query.andWhere('c.rating = :rating', asked);
  if (asked.minAirC !== undefined) query.andWhere('c.air_c >= :minAirC', asked);
  if (asked.maxAirC !== undefined) query.andWhere('c.air_c <= :maxAirC', asked);
  for (const what of ['fault', 'cause'] as const) {
    if (!asked[what]) continue;
    const of = query
      .subQuery()
      .select('1')
      .from(FindingTable, 'f')
      .where(`f.coat_id = c.id and f.archived_at IS NULL and ${FOUND[what]} = :${what}`);
    query.andWhere(`exists ${of.getQuery()}`, { [what]: asked[what] });
  }
  if (asked.text)
    query
      .innerJoin(TicketTable.options.name, 't', 't.id = c.ticket_id')
      .leftJoin(SheetVersionTable.options.name, 'v', 'v.id = s.sheet_version_id')
      .leftJoin(ProductTable.options.name, 'p', 'p.id = v.product_id')
      .leftJoin(GunTable.options.name, 'g', 'g.id = c.gun_id')
      .leftJoin(PainterTable.options.name, 'w', 'w.id = c.painter_id')
      .andWhere(`(${WORDED.map((column) => `${column} ilike :words`).join(' or ')})`, {
        words: anywhere(asked.text),
      });
  return query;
}

export const countFound = (manager: EntityManager, asked: Asked): Promise<number> =>
  found(manager, asked).getCount();

/** The next page after a coat, newest first; from the newest where none is named. */
export async function pageFound(
  manager: EntityManager,
  asked: Asked,
  after: string | undefined,
): Promise<string[]> {
  const query = found(manager, asked)
    .select('c.id', 'id')
    .orderBy('c.ended_at', 'DESC')
    .addOrderBy('c.id', 'DESC')
    .limit(PAGE_ROWS);
  if (after)
    query.andWhere('(c.ended_at, c.id) < (select ended_at, id from coat where id = :after)', {
      after,
    });
  const rows = await query.getRawMany<{ id: string }>();
  return rows.map(({ id }) => id);
}
