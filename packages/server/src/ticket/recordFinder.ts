/**
 * Which coats a question to the records means: asked of the database, all of them, in pages. Words
 * are looked for where they stand, each place by its own index, and the newest of all are taken.
 */
import type { RecordQuery } from '@orthochrom/contract/shop/record.ts';
import type { EntityManager } from 'typeorm';

export const PAGE_ROWS = 100;

type Asked = Omit<RecordQuery, 'after'>;
/** Words stand for themselves: what the database takes for a wildcard is escaped. */
const anywhere = (words: string): string => `%${words.replace(/[\\%_]/g, '\\$&')}%`;

/** What was found on a coat: confirmed, else what leads. */
export const FOUND = {
  fault: `coalesce(f.confirmed_fault, f.result #>> '{faults,0,id}')`,
  cause: `coalesce(f.confirmed_cause, f.result #>> '{causes,0,id}')`,
} as const;

const FEW = 300;
/**
 * Where words of a coat stand: what bears them there, and how coats hang on it; `$w` is what is
 * looked for. A gun or a painter has a great part of all coats: those are walked, newest first.
 */
const PLACES = [
  {
    column: 'c.ticket_id',
    bearing: 'select id from ticket where vehicle ilike $w or number ilike $w',
    most: FEW,
  },
  {
    column: 'c.stage_id',
    bearing: 'select id from stage where colour_name ilike $w',
    most: FEW,
  },
  {
    column: 'c.stage_id',
    bearing: `select id from stage where sheet_version_id = any(array(
      select v.id from sheet_version v join product p on p.id = v.product_id
      where p.name ilike $w or v.body ->> 'name' ilike $w))`,
    most: FEW,
  },
  { column: 'c.gun_id', bearing: 'select id from gun where name ilike $w', most: 0 },
  { column: 'c.painter_id', bearing: 'select id from painter where name ilike $w', most: 0 },
] as const;

type Question = { where: string; places: readonly string[]; values: unknown[] };

/**
 * The places that bear the words at all. Few that bear them are gone through one by one, each by
 * its index; of many, the newest coats are soon found by walking.
 */
async function placesOf(
  manager: EntityManager,
  text: string,
  said: (value: unknown) => string,
): Promise<string[]> {
  const words = anywhere(text);
  const counts = PLACES.map(
    ({ bearing, most }, i) =>
      `(select count(*) from (${bearing.replaceAll('$w', '$1')} limit ${most + 1}) as b${i})::int as n${i}`,
  );
  const [counted]: [Record<string, number>] = await manager.query(`select ${counts.join(', ')}`, [
    words,
  ]);
  const own = said(words);
  const borne = PLACES.flatMap(({ column, bearing, most }, i) => {
    const bearers = bearing.replaceAll('$w', own);
    const count = counted[`n${i}`]!;
    if (count === 0) return [];
    // A truth that is tested is looked up in a table of them, not joined: the walk stays a walk.
    return [
      count > most ? `(${column} in (${bearers})) is true` : `${column} = any(array(${bearers}))`,
    ];
  });
  return [`c.note ilike ${own}`, ...borne];
}

async function questionOf(manager: EntityManager, asked: Asked): Promise<Question> {
  const values: unknown[] = [];
  const said = (value: unknown): string => `$${values.push(value)}`;
  const where = ['c.ended_at is not null', 'c.archived_at is null'];
  if (asked.stage)
    where.push(`c.stage_id in (select id from stage where kind = ${said(asked.stage)})`);
  if (asked.gunId) where.push(`c.gun_id = ${said(asked.gunId)}`);
  if (asked.painterId) where.push(`c.painter_id = ${said(asked.painterId)}`);
  if (asked.rating) where.push(`c.rating = ${said(asked.rating)}`);
  if (asked.minAirC !== undefined) where.push(`c.air_c >= ${said(asked.minAirC)}`);
  if (asked.maxAirC !== undefined) where.push(`c.air_c <= ${said(asked.maxAirC)}`);
  for (const what of ['fault', 'cause'] as const)
    if (asked[what])
      where.push(
        `c.id in (select f.coat_id from finding f where f.archived_at is null and ${FOUND[what]} = ${said(asked[what])})`,
      );
  const places = asked.text ? await placesOf(manager, asked.text, said) : ['true'];
  return { where: where.join(' and '), places, values };
}

export async function countFound(manager: EntityManager, asked: Asked): Promise<number> {
  const { where, places, values } = await questionOf(manager, asked);
  const found = places.map((place) => `select c.id from coat c where ${where} and ${place}`);
  const [{ n }]: [{ n: string }] = await manager.query(
    `select count(*) as n from (${found.join(' union ')}) as found`,
    values,
  );
  return Number(n);
}

/** The next page after a coat, newest first; from the newest where none is named. */
export async function pageFound(
  manager: EntityManager,
  asked: Asked,
  after: string | undefined,
): Promise<string[]> {
  const { where, places, values } = await questionOf(manager, asked);
  const on = after
    ? `and (c.ended_at, c.id) < (select ended_at, id from coat where id = $${values.push(after)})`
    : '';
  const newest = places.map(
    (place) => `(select c.id, c.ended_at from coat c where ${where} and ${place} ${on}
      order by c.ended_at desc, c.id desc limit ${PAGE_ROWS})`,
  );
  const rows: { id: string }[] = await manager.query(
    `select id, ended_at from (${newest.join(' union ')}) as found
     order by ended_at desc, id desc limit ${PAGE_ROWS}`,
    values,
  );
  return rows.map(({ id }) => id);
}
