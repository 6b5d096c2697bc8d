/** Years of coats: all of them found, page by page, each once; words in the database's hands. */
import type { RecordCount, RecordPage } from '@orthochrom/contract/shop/record.ts';
import { MOST_WHOLE } from '@orthochrom/contract/shop/mostWhole.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PAGE_TICKETS, type TicketList } from '../src/ticket/ticketList.ts';
import { PAGE_ROWS } from '../src/ticket/recordFinder.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
const TIMES = 260;
beforeAll(async () => {
  shop = await ShopFixture.open();
  // One old coat so many times over, two at each instant; words of it stand nowhere else.
  await shop.rows(
    `insert into coat (id, ticket_id, stage_id, ordinal, state, overrides, done, seen, note,
       gun_id, painter_id, room_id, rating, started_at, ended_at, air_c)
     select gen_random_uuid(), ticket_id, stage_id, 1000 + n, state, overrides, done, seen,
       case when n % 2 = 0 then 'mooring 50% off' else 'mooring_50x off' end,
       gun_id, painter_id, room_id, rating, started_at,
       date '2016-01-01' + (n / 2) * interval '1 day', air_c
     from (select * from coat where ended_at is not null order by ended_at limit 1) as one,
       generate_series(1, $1) as n`,
    [TIMES],
  );
});
afterAll(() => shop.close());

const count = async (query: string) =>
  (await shop.get<RecordCount>(`/records/count?${query}`)).body.count;
const page = async (query: string) => (await shop.get<RecordPage>(`/records?${query}`)).body;
async function all(query: string): Promise<string[]> {
  const ids: string[] = [];
  for (let after: string | undefined; ;) {
    const { rows, next } = await page(after ? `${query}&after=${after}` : query);
    ids.push(...rows.map(({ coat }) => coat.id));
    if (!next) return ids;
    after = next;
  }
}

describe('years of coats', () => {
  it('come page by page, each once, the newest first, with how many there are', async () => {
    const first = await page('text=mooring');
    expect(first.rows).toHaveLength(PAGE_ROWS);
    expect(await count('text=mooring')).toBe(TIMES);
    const ids = await all('text=mooring');
    expect(ids).toHaveLength(TIMES);
    expect(new Set(ids).size).toBe(TIMES);
    const ended = first.rows.map(({ coat }) => coat.endedAt!);
    expect([...ended].sort((a, b) => b.localeCompare(a))).toEqual(ended);
  });
  it('words stand for themselves: a per cent sign is no wildcard, an underscore neither', async () => {
    expect(await count('text=50%25%20off')).toBe(TIMES / 2);
    expect(await count('text=g_50')).toBe(TIMES / 2);
    expect(await count('text=g%5C50')).toBe(0);
  });
  it('a list carries no plan; the file carries every coat under one head', async () => {
    for (const { coat } of (await page('text=mooring')).rows) expect(coat.planned).toBeUndefined();
    const csv = (await shop.get<string>('/records.csv?text=mooring')).body;
    const lines = csv.split('\r\n');
    expect(lines).toHaveLength(TIMES + 1);
    expect(lines.filter((line) => line.startsWith('ended_at'))).toHaveLength(1);
  });
  it('a page after nobody knows what is refused', async () => {
    expect((await shop.get<Fault>('/records?after=last')).status).toBe(422);
  });
});

describe('years of tickets', () => {
  const DONE = 120;
  beforeAll(() =>
    shop.rows(
      `insert into ticket (id, shop_id, room_id, painter_id, number, vehicle, body_kind, job_size,
         note, state, created_at)
       select gen_random_uuid(), shop_id, room_id, painter_id, 'OLD-' || n, 'old job', body_kind,
         job_size, '', 'done', date '2016-01-01' + (n / 2) * interval '1 day'
       from (select * from ticket limit 1) as one, generate_series(1, $1) as n`,
      [DONE],
    ),
  );
  it('are listed with all that are open first, then those that are done, each once', async () => {
    const read = async (query: string) => (await shop.get<TicketList>(`/tickets${query}`)).body;
    const first = await read('');
    const isOpen = ({ state }: { state: string }) => state === 'open';
    const open = await shop.rows(`select id from ticket where state = 'open'`);
    expect(first.tickets.filter(isOpen)).toHaveLength(open.length);
    const seen = first.tickets.filter((ticket) => !isOpen(ticket)).map(({ id }) => id);
    expect(seen).toHaveLength(PAGE_TICKETS);
    for (let { next } = first; next;) {
      const page = await read(`?after=${next}`);
      expect(page.tickets.some(isOpen)).toBe(false);
      seen.push(...page.tickets.map(({ id }) => id));
      next = page.next;
    }
    expect(new Set(seen).size).toBe(seen.length);
    const closed = await shop.rows(`select id from ticket where state <> 'open'`);
    expect(seen).toHaveLength(closed.length);
  });

  it('several at once are what each is alone, in the order asked; one that is not there is named', async () => {
    const { tickets } = (await shop.get<TicketList>('/tickets')).body;
    const ids = tickets.slice(0, 3).map(({ id }) => id);
    const alone = await Promise.all(ids.map((id) => shop.get<TicketWhole>(`/tickets/${id}`)));
    const { body } = await shop.get<TicketWhole[]>(`/tickets/whole?ids=${ids.join()}`);
    const timeless = ({ serverNow: _now, ...whole }: TicketWhole) => whole;
    expect(body.map(timeless)).toEqual(alone.map((reply) => timeless(reply.body)));
    const nobody = newId();
    const lost = await shop.get<Fault>(`/tickets/whole?ids=${ids[0]},${nobody}`);
    expect([lost.status, lost.body.error.message]).toEqual([404, expect.stringContaining(nobody)]);
    const tooMany = Array.from({ length: MOST_WHOLE + 1 }, () => newId()).join();
    expect((await shop.get(`/tickets/whole?ids=${tooMany}`)).status).toBe(422);
  });
});
