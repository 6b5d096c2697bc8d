/** The whole shop in one file: out, into an empty one, out again the same; brought back, merged. */
import path from 'node:path';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { afterAll, describe, expect, it } from 'vitest';
import { loadDemoIfEmpty } from '../src/demo/loadDemo.ts';
import { migrations } from '../src/migrations/list.ts';
import { RoundTheCar1795950000000 } from '../src/migrations/roundTheCar.ts';
import { CoatWalk } from './coatWalk.ts';
import { emptyDatabase } from './emptyDatabase.ts';
import { ShopFixture } from './shopFixture.ts';
import { out, rewritten, Shops, takeIn, withManifest } from './shopFileCase.ts';
import { EMPTY } from './templates.ts';

const shops = new Shops();
afterAll(() => shops.close());

/** What the tables held when this migration was the last. */
async function columnsUpTo(last: string): Promise<Map<string, Set<string>>> {
  const then = await emptyDatabase();
  const until = migrations.findIndex(({ name }) => name === last) + 1;
  const runner = then.createQueryRunner();
  for (const Migration of migrations.slice(0, until)) await new Migration().up(runner);
  const columns = (await runner.query(
    `select table_name, column_name from information_schema.columns where table_schema = 'public'`,
  )) as { table_name: string; column_name: string }[];
  await runner.release();
  await then.destroy();
  const known = new Map<string, Set<string>>();
  for (const { table_name, column_name } of columns)
    known.set(table_name, (known.get(table_name) ?? new Set()).add(column_name));
  return known;
}

async function addPhoto(shop: ShopFixture): Promise<void> {
  const [[finding], { painters }] = [
    (await shop.get<{ id: string }[]>('/findings')).body,
    await shop.setup(),
  ];
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#a33' },
  })
    .jpeg()
    .toBuffer();
  const query = `id=${newId()}&painterId=${painters[0]!.id}`;
  const added = await shop.send(`/findings/${finding!.id}/photos?${query}`, picture, 'image/jpeg');
  expect(added.status).toBe(201);
}

describe('a whole shop carried over', () => {
  it('opens in an empty place as it was, pictures and microseconds too, and goes out the same', async () => {
    const shop = await shops.from();
    await (await CoatWalk.begin(shop)).lay(0);
    await addPhoto(shop);
    const file = await out(shop);
    const other = await shops.from(EMPTY);
    expect((await other.get('/setup')).status).toBe(404);
    const preview = await takeIn(other, file);
    expect(preview).toMatchObject({ opensEmpty: true, renamed: [] });
    expect((await out(other)).equals(file)).toBe(true);
    expect((await other.get('/setup')).body).toEqual((await shop.get('/setup')).body);
    expect(
      (
        await other.rows('select from information_schema.schemata where schema_name like $1', [
          'aside%',
        ])
      ).length,
    ).toBe(0);
    const [photos] = await other.rows(
      'select count(*)::int as n from photo where picture is not null',
    );
    expect(photos!['n']).toBeGreaterThan(0);
  });

  it('comes from before through the same migrations', async () => {
    const shop = await shops.from();
    const known = await columnsUpTo(RoundTheCar1795950000000.name);
    const old = await rewritten(
      await withManifest((manifest) => ({ ...manifest, migration: RoundTheCar1795950000000.name }))(
        await out(shop),
      ),
      (file, text) => {
        const table = /^rows\/(\w+)\.ndjson$/.exec(file)?.[1];
        if (!table) return text;
        const cut = (line: string): string =>
          JSON.stringify(
            Object.fromEntries(
              Object.entries(JSON.parse(line) as object).filter(([column]) =>
                known.get(table)?.has(column),
              ),
            ),
          );
        return text
          .split('\n')
          .map((line) => (line === '' ? '' : cut(line)))
          .join('\n');
      },
    );
    const other = await shops.from(EMPTY);
    await takeIn(other, old);
    const tickets = async (of: ShopFixture) =>
      (await of.get<{ tickets: unknown[] }>('/tickets')).body.tickets.length;
    expect(await tickets(other)).toBe(await tickets(shop));
    expect((await other.setup()).shop).not.toHaveProperty('hours');
  });

  it('brought back it brings what is new, keeps what was changed here, asks where both were', async () => {
    const shop = await shops.from();
    const home = await shops.from(EMPTY);
    await takeIn(home, await out(shop));
    const change = async (at: ShopFixture, which: number, name: string) => {
      const { rooms } = await at.setup();
      const { id, ...room } = rooms[which]!;
      expect((await at.put(`/rooms/${id}`, { ...room, name })).status).toBe(200);
    };
    await change(shop, 0, 'Here only');
    await change(home, 1, 'There only');
    await change(shop, 2, 'Both, here');
    await change(home, 2, 'Both, there');
    const names = async () => (await shop.setup()).rooms.map(({ name }) => name);
    const back = await out(home);
    const preview = await takeIn(shop, back, 'theirs');
    expect(preview.isThisShop).toBe(true);
    expect(preview.tables.find(({ table }) => table === 'room')).toMatchObject({
      added: 0,
      newerHere: 1,
      newerThere: 1,
      changedInBoth: 1,
      clashes: [{ ours: { name: 'Both, here' }, theirs: { name: 'Both, there' } }],
    });
    expect((await names()).slice(0, 3)).toEqual(['Here only', 'There only', 'Both, there']);
    const [event] = await shop.rows(
      `select patch from event where kind = 'file-taken-in' order by at desc limit 1`,
    );
    // What was overwritten is not lost.
    expect(JSON.stringify(event!['patch'])).toContain('Both, here');
    // Who has seen both and chosen is not asked again.
    const again = await takeIn(shop, back);
    expect(again.tables.find(({ table }) => table === 'room')).toMatchObject({ changedInBoth: 0 });
  });

  it('of two shops loses none: numbers, issues and coats that both gave come under others', async () => {
    const shop = await shops.from();
    const other = await shops.from(EMPTY);
    await loadDemoIfEmpty(other.database, path.join(import.meta.dirname, '../demo'));
    const count = async (of: ShopFixture, table: string) =>
      (await of.rows(`select count(*)::int as n from ${table}`))[0]!['n'] as number;
    const before = await count(shop, 'ticket');
    const forceNow = (await shop.get<{ sheet: unknown }[]>('/sheets')).body.map(
      ({ sheet }) => sheet,
    );
    await other.rows(`update sheet_version set body = jsonb_set(body, '{source}', '"shopHabit"')`);
    const file = await out(other);
    const preview = await takeIn(shop, file);
    expect(preview.isThisShop).toBe(false);
    expect(preview.renamed.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['ticket', 'sheet']),
    );
    expect(await count(shop, 'ticket')).toBe(before + (await count(other, 'ticket')));
    expect(await count(shop, 'shop')).toBe(1);
    expect(
      (await shop.get<{ sheet: unknown }[]>('/sheets')).body.map(({ sheet }) => sheet),
    ).toEqual(forceNow);
    // Given once more, nothing is new and nothing comes twice.
    const again = await takeIn(shop, file);
    expect(again.renamed).toEqual([]);
    expect(again.tables.reduce((sum, { added }) => sum + added, 0)).toBe(0);
    expect(await count(shop, 'ticket')).toBe(2 * before);
  });
});
