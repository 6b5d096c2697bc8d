/**
 * Two shops, or one shop on two machines, may have called different things by one name: a ticket's
 * number, an issue of a sheet. Aside they are given others before anything comes in, so that
 * nothing is lost for its name.
 */
import type { Renamed } from '@orthochrom/contract/shop/shopFile.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { referringTo } from './fileTables.ts';

type Aligned = { manager: EntityManager; aside: string };

/** What is done for each unique name that the tables keep; a test draws the list from them. */
export const ALIGNED_BY: Record<string, (of: Aligned) => Promise<Renamed[]>> = {
  product_shop_code: sameProduct,
  sheet_version_product_number: issueNumbers,
  product_prices_shop_product: ourPrices,
  ticket_shop_number: ticketNumbers,
  coat_stage_ordinal: coatNumbers,
  photo_finding_file: samePhoto,
};

/** @returns what came by another name; asked again, nothing is left to do */
export async function alignAside(manager: EntityManager, aside: string): Promise<Renamed[]> {
  const of = { manager, aside };
  await underOurShop(of);
  await keepEarlierNames(of);
  const renamed: Renamed[] = [];
  for (const align of Object.values(ALIGNED_BY)) renamed.push(...(await align(of)));
  return renamed;
}

const pointTo = async (
  { manager, aside }: Aligned,
  target: string,
  from: string,
  to: string,
): Promise<void> => {
  for (const { table, column } of referringTo(target))
    await manager.query(`update ${aside}.${table} set ${column} = $2 where ${column} = $1`, [
      from,
      to,
    ]);
};

/** Another shop's things become ours; its own name is not. */
async function underOurShop(of: Aligned): Promise<void> {
  const { manager, aside } = of;
  const [ours]: { id: string }[] = await manager.query(
    'select id from public.shop order by created_at limit 1',
  );
  const theirs: { id: string }[] = await manager.query(`select id from ${aside}.shop`);
  if (!ours) return;
  for (const { id } of theirs.filter((shop) => shop.id !== ours.id)) {
    await manager.query(
      `insert into ${aside}.shop select * from public.shop where id = $1 on conflict do nothing`,
      [ours.id],
    );
    await pointTo(of, 'shop', id, ours.id);
    await manager.query(`delete from ${aside}.shop where id = $1`, [id]);
  }
}

const NAMED: [table: string, name: string][] = [
  ['sheet_version', 'number'],
  ['ticket', 'number'],
  ['coat', 'ordinal'],
];
/** What came in before under another name keeps that, however often its file comes. */
async function keepEarlierNames({ manager, aside }: Aligned): Promise<void> {
  for (const [table, name] of NAMED)
    await manager.query(
      `update ${aside}.${table} t set ${name} = o.${name} from public.${table} o
       where o.id = t.id and o.${name} <> t.${name}`,
    );
}

/** One row stands for another of the same thing: what refers to it refers to ours. */
async function takeOurs(of: Aligned, table: string, from: string, to: string): Promise<void> {
  const { manager, aside } = of;
  await manager.query(
    `insert into ${aside}.${table} select * from public.${table} where id = $1 on conflict do nothing`,
    [to],
  );
  await pointTo(of, table, from, to);
  await manager.query(`delete from ${aside}.${table} where id = $1`, [from]);
}

async function sameProduct(of: Aligned): Promise<Renamed[]> {
  const pairs: { theirs: string; ours: string }[] = await of.manager.query(
    `select t.id as theirs, o.id as ours from ${of.aside}.product t
     join public.product o on o.code = t.code and o.shop_id = t.shop_id and o.id <> t.id`,
  );
  for (const { theirs, ours } of pairs) {
    // Its issues hang on it under a number of their own: they are moved one by one below.
    await of.manager.query(
      `update ${of.aside}.product set code = code || ' ' || id where id = $1`,
      [theirs],
    );
    await takeOurs(of, 'product', theirs, ours);
  }
  return [];
}

/** An issue of which both have another under one number: the file's comes after ours. */
async function issueNumbers(of: Aligned): Promise<Renamed[]> {
  const { manager, aside } = of;
  const pairs: {
    theirs: string;
    ours: string;
    is_same: boolean;
    code: string;
    number: number;
    product_id: string;
  }[] = await manager.query(
    `select t.id as theirs, o.id as ours, o.body = t.body as is_same, p.code, t.number, t.product_id
     from ${aside}.sheet_version t
     join public.sheet_version o on o.product_id = t.product_id and o.number = t.number and o.id <> t.id
     join ${aside}.product p on p.id = t.product_id order by p.code, t.number`,
  );
  const renamed: Renamed[] = [];
  for (const pair of pairs) {
    if (pair.is_same) {
      await manager.query(`update ${aside}.sheet_version set number = -number where id = $1`, [
        pair.theirs,
      ]);
      await takeOurs(of, 'sheet_version', pair.theirs, pair.ours);
      continue;
    }
    const number = await moved(
      manager,
      `update ${aside}.sheet_version set number = 1 + greatest(
         (select max(number) from ${aside}.sheet_version where product_id = $2),
         (select max(number) from public.sheet_version where product_id = $2))
       where id = $1 returning number as at`,
      [pair.theirs, pair.product_id],
    );
    await reissueOurs(of, pair.product_id, number);
    renamed.push({
      what: 'sheet',
      from: `${pair.code} ${pair.number}`,
      to: `${pair.code} ${number}`,
    });
  }
  return renamed;
}

/** What is in force here stays in force: it is issued once more, over the one that came. */
async function reissueOurs({ manager, aside }: Aligned, productId: string, over: number) {
  await manager.query(
    `insert into ${aside}.sheet_version (id, product_id, number, issued_on, source, body, created_at)
     select $1, product_id, $3, issued_on, source, body, now() from public.sheet_version
     where product_id = $2 order by number desc limit 1`,
    [newId(), productId, over + 1],
  );
}

/** What a tin costs here is known here. */
async function ourPrices({ manager, aside }: Aligned): Promise<Renamed[]> {
  await manager.query(
    `delete from ${aside}.product_prices t using public.product_prices o
     where o.product_id = t.product_id and o.shop_id = t.shop_id and o.id <> t.id`,
  );
  return [];
}

/** Where a row was moved to. */
async function moved(manager: EntityManager, statement: string, of: string[]): Promise<number> {
  const [rows]: [{ at: number }[], number] = await manager.query(statement, of);
  return rows[0]!.at;
}

async function ticketNumbers({ manager, aside }: Aligned): Promise<Renamed[]> {
  const taken: { id: string; number: string }[] = await manager.query(
    `select t.id, t.number from ${aside}.ticket t
     join public.ticket o on o.number = t.number and o.shop_id = t.shop_id and o.id <> t.id
     order by t.number`,
  );
  const renamed: Renamed[] = [];
  for (const { id, number } of taken)
    for (let next = 2; ; next++) {
      const to = `${number}-${next}`;
      const held: unknown[] = await manager.query(
        `select from public.ticket where number = $1 union all select from ${aside}.ticket where number = $1`,
        [to],
      );
      if (held.length > 0) continue;
      await manager.query(`update ${aside}.ticket set number = $2 where id = $1`, [id, to]);
      renamed.push({ what: 'ticket', from: number, to });
      break;
    }
  return renamed;
}

/** Two coats that both say they were the second of their stage: both were laid. */
async function coatNumbers({ manager, aside }: Aligned): Promise<Renamed[]> {
  const pairs: { id: string; stage_id: string; ordinal: number; number: string }[] =
    await manager.query(
      `select t.id, t.stage_id, t.ordinal, k.number from ${aside}.coat t
       join public.coat o on o.stage_id = t.stage_id and o.ordinal = t.ordinal and o.id <> t.id
       join ${aside}.ticket k on k.id = t.ticket_id order by t.stage_id, t.ordinal`,
    );
  const renamed: Renamed[] = [];
  for (const { id, stage_id, ordinal, number } of pairs) {
    const at = await moved(
      manager,
      `update ${aside}.coat set ordinal = 1 + greatest(
         (select max(ordinal) from ${aside}.coat where stage_id = $2),
         (select max(ordinal) from public.coat where stage_id = $2))
       where id = $1 returning ordinal as at`,
      [id, stage_id],
    );
    renamed.push({
      what: 'coat',
      from: `${number}, ${ordinal}`,
      to: `${number}, ${at}`,
    });
  }
  return renamed;
}

async function samePhoto({ manager, aside }: Aligned): Promise<Renamed[]> {
  await manager.query(
    `delete from ${aside}.photo t using public.photo o
     where o.finding_id = t.finding_id and o.file_sha256 = t.file_sha256 and o.id <> t.id`,
  );
  return [];
}
