/** What is no whole shop is refused in words; what a file holds is drawn from the tables. */
import { TABLE_WORDS } from '@orthochrom/contract/words/tableWords.ts';
import { v7 as newId } from 'uuid';
import { afterAll, describe, expect, it } from 'vitest';
import { tables } from '../src/database/tables.ts';
import { ALIGNED_BY } from '../src/shopFile/alignAside.ts';
import { fileTables } from '../src/shopFile/fileTables.ts';
import { ShopFixture } from './shopFixture.ts';
import { lay, out, rewritten, Shops, withManifest } from './shopFileCase.ts';

const shops = new Shops();
afterAll(() => shops.close());

describe('what is no whole shop', () => {
  const BROKEN: [string, (file: Buffer) => Promise<Buffer> | Buffer][] = [
    ['no ZIP', () => Buffer.from('a shop')],
    ['cut off', (file) => file.subarray(0, file.length - 400)],
    ['something else', withManifest((manifest) => ({ ...manifest, format: 'other' }))],
    ['of a later program', withManifest((manifest) => ({ ...manifest, version: 99 }))],
    ['of a later table', withManifest((manifest) => ({ ...manifest, migration: 'Later1' }))],
    [
      'with a table of nobody',
      withManifest(({ tables: own, ...rest }) => ({
        ...rest,
        tables: [...own, { name: 'migrations', rows: 0, pictures: 0 }],
      })),
    ],
    [
      'without its painters',
      (file) =>
        rewritten(file, (path, text) => (path === 'rows/painter.ndjson' ? undefined : text)),
    ],
    [
      'short of a row',
      (file) =>
        rewritten(file, (path, text) =>
          path === 'rows/event.ndjson' ? text.slice(text.indexOf('\n') + 1) : text,
        ),
    ],
    [
      'with a gun that refers to nothing',
      (file) =>
        rewritten(file, (path, text) =>
          path === 'rows/gun.ndjson'
            ? text.replaceAll(/"shop_id":"[^"]+"/g, `"shop_id":"${newId()}"`)
            : text,
        ),
    ],
    [
      'with a strange column',
      (file) =>
        rewritten(file, (path, text) =>
          path === 'rows/cup.ndjson' ? text.replaceAll('{"', '{"odd":1,"') : text,
        ),
    ],
    [
      'broken inside',
      (file) => {
        const broken = Buffer.from(file);
        const at = Math.floor(broken.length / 2);
        broken.fill(0x5a, at, at + 64);
        return broken;
      },
    ],
    [
      'with a painter nobody could show',
      (file) =>
        rewritten(file, (path, text) =>
          path === 'rows/painter.ndjson' ? text.replaceAll('"skill":"', '"skill":"x') : text,
        ),
    ],
  ];
  let shop: ShopFixture;
  let file: Buffer;
  it.each(BROKEN)('is refused in words and changes nothing: %s', async (_, broken) => {
    shop ??= await shops.from();
    file ??= await out(shop);
    const reply = await lay(shop, await broken(file));
    expect(reply.status).toBe(422);
    expect(reply.body.error).toMatchObject({ code: 'not-a-shop', path: ['file'] });
    expect((await out(shop)).equals(file)).toBe(true);
  });

  it('a file that lies here no more is not taken', async () => {
    const reply = await (
      await shops.from()
    ).post(`/shop-file/${newId()}/take`, { changedInBoth: 'ours' });
    expect(reply.status).toBe(404);
  });
});

describe('drawn from the tables', () => {
  it('every unique name that both could give is aligned', () => {
    const names = tables.flatMap(({ options }) => (options.uniques ?? []).map(({ name }) => name));
    expect(Object.keys(ALIGNED_BY).sort()).toEqual([...names].sort());
  });
  it('every kept table has a word for whoever reads what a file would change', () => {
    expect(Object.keys(TABLE_WORDS).sort()).toEqual(fileTables.map(({ name }) => name).sort());
  });
  it('no kept table refers to a later one', () => {
    const order = fileTables.map(({ name }) => name);
    for (const { name, references } of fileTables)
      for (const { target } of references)
        expect(order.indexOf(target)).toBeLessThanOrEqual(order.indexOf(name));
  });
});
