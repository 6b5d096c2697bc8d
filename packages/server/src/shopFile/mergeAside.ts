/**
 * What lies aside held against the shop: what is new, what is the same, what was changed where. Who
 * changed a row is told by the events that only one of them has.
 */
import type { RowClash, TableMerge } from '@orthochrom/contract/shop/shopFile.ts';
import type { EntityManager } from 'typeorm';
import { fileTables, listed, quoted, type FileTable } from './fileTables.ts';

const MOST_SHOWN = 20;
/** By these a row belongs to what an event tells of. */
const TOLD_UNDER = [
  'id',
  'ticket_id',
  'stage_id',
  'coat_id',
  'panel_id',
  'finding_id',
  'product_id',
  'gun_id',
];

const sameKey = ({ key }: FileTable): string =>
  key.map((one) => `o.${one} = t.${one}`).join(' and ');

/** Say nothing of what a row holds: when and how often it was touched, where counting goes on. */
const NOT_TOLD = ['updated_at', 'version', 'next_ticket_no'];
/** Pictures never change under their key. */
const compared = ({ columns, pictures }: FileTable, of: string): string => {
  const held = columns.filter((one) => !pictures.includes(one) && !NOT_TOLD.includes(one));
  return `row(${listed(held, of)})`;
};

/** An event that only one of them has, about what the row belongs to. */
const toldOnlyIn = (table: FileTable, here: string, there: string): string => {
  const own = [...table.key, ...table.references.map(({ column }) => column)];
  const under = TOLD_UNDER.filter((one) => own.includes(one));
  return under.length === 0
    ? 'false'
    : `exists (select from ${here}.event e where e.aggregate_id in (${under.map((one) => `t.${one}`).join(', ')})
       and not exists (select from ${there}.event x where x.id = e.id))`;
};

/** Every row that both have and that differs, with who changed it since. */
export const differing = (table: FileTable, aside: string): string => `
  select ${table.key.map((one) => `t.${one}`).join(', ')},
    ${toldOnlyIn(table, aside, 'public')} as there, ${toldOnlyIn(table, 'public', aside)} as here
  from ${aside}.${table.name} t join public.${table.name} o on ${sameKey(table)}
  where ${compared(table, 't')} is distinct from ${compared(table, 'o')}`;

export async function compareAside(manager: EntityManager, aside: string): Promise<TableMerge[]> {
  const merges: TableMerge[] = [];
  for (const table of fileTables) merges.push(await compareTable(manager, aside, table));
  return merges;
}

type Counted = {
  held: string;
  both: string;
  newer_there: string;
  newer_here: string;
  in_both: string;
};

async function compareTable(
  manager: EntityManager,
  aside: string,
  table: FileTable,
): Promise<TableMerge> {
  const { name } = table;
  const [counted]: Counted[] = await manager.query(
    `with d as (${differing(table, aside)}) select
       (select count(*) from ${aside}.${name}) as held,
       (select count(*) from ${aside}.${name} t join public.${name} o on ${sameKey(table)}) as both,
       count(*) filter (where there and not here) as newer_there,
       count(*) filter (where here and not there) as newer_here,
       count(*) filter (where here = there) as in_both from d`,
  );
  const [held, both] = [Number(counted!.held), Number(counted!.both)];
  const [newerThere, newerHere, changedInBoth] = [
    Number(counted!.newer_there),
    Number(counted!.newer_here),
    Number(counted!.in_both),
  ];
  return {
    table: name,
    added: held - both,
    same: both - newerThere - newerHere - changedInBoth,
    newerThere,
    newerHere,
    changedInBoth,
    clashes: changedInBoth > 0 ? await clashesOf(manager, aside, table) : [],
  };
}

async function clashesOf(
  manager: EntityManager,
  aside: string,
  table: FileTable,
): Promise<RowClash[]> {
  const { name, key } = table;
  const shown = (of: string) =>
    `to_jsonb(${of}) - array[${['', ...table.pictures].map((one) => `'${one}'`).join(', ')}]`;
  return manager.query(
    `select ${key.map((one) => `t.${one}::text`).join(` || ' ' || `)} as key,
       ${shown('o')} as ours, ${shown('t')} as theirs
     from (${differing(table, aside)}) d
     join ${aside}.${name} t on ${key.map((one) => `t.${one} = d.${one}`).join(' and ')}
     join public.${name} o on ${sameKey(table)}
     where here = there order by 1 limit ${MOST_SHOWN}`,
  );
}

/**
 * Brings in what is new and what is newer; where both were changed, the word of whom was asked.
 * Nothing of ours is taken out.
 */
export async function mergeAside(
  manager: EntityManager,
  aside: string,
  changedInBoth: 'ours' | 'theirs',
): Promise<void> {
  for (const table of fileTables) {
    const { name, columns, key } = table;
    const list = listed(columns);
    const moved = columns.filter((one) => one !== 'next_ticket_no');
    // An edit from before must not pass for one of what stands now.
    const valueOf = (one: string) =>
      one === 'version' ? 'greatest(t.version, o.version) + 1' : `t.${quoted(one)}`;
    const wins =
      changedInBoth === 'theirs' ? 'not (d.here and not d.there)' : 'd.there and not d.here';
    await manager.query(
      `update public.${name} o set (${listed(moved)}) = (select ${moved.map(valueOf).join(', ')}
         from ${aside}.${name} t where ${sameKey(table)})
       from (${differing(table, aside)}) d
       where ${key.map((one) => `o.${one} = d.${one}`).join(' and ')} and ${wins}`,
    );
    await manager.query(
      `insert into public.${name} (${list})
       select ${listed(columns, 't')} from ${aside}.${name} t
       where not exists (select from public.${name} o where ${sameKey(table)})`,
    );
  }
}

/** The next number is past every one that is there now. */
export const countOn = (manager: EntityManager): Promise<unknown> =>
  manager.query(
    `update public.shop s set next_ticket_no = greatest(s.next_ticket_no, coalesce((
       select max((regexp_match(k.number, '([0-9]{1,8})(-[0-9]+)?$'))[1]::int) + 1
       from public.ticket k where k.shop_id = s.id and k.number like s.ticket_prefix || '%'), 1))`,
  );
