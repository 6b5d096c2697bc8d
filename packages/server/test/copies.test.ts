/** Last night's copy: kept two weeks, whole or not there, and a shop again when it is wanted. */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { ShopFilePreview } from '@orthochrom/contract/shop/shopFile.ts';
import { v7 as newId } from 'uuid';
import { afterAll, expect, it } from 'vitest';
import { keepCopy, KEPT_COPIES } from '../src/nightly/copies.ts';
import { ShopFixture } from './shopFixture.ts';
import { EMPTY } from './templates.ts';

const folder = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-nights-'));
const opened: ShopFixture[] = [];
afterAll(async () => {
  for (const shop of opened) await shop.close();
  rmSync(folder, { recursive: true, force: true });
});

it('a shop that is lost is restored from last night’s copy, and gives the same copy again', async () => {
  const shop = await ShopFixture.open();
  opened.push(shop);
  const copy = await keepCopy(shop.database, folder, '2026-11-01');
  const lost = await ShopFixture.open(EMPTY);
  opened.push(lost);
  const id = newId();
  const file = readFileSync(copy);
  await lost.send<ShopFilePreview>(`/shop-file?id=${id}`, file, 'application/zip');
  expect((await lost.post(`/shop-file/${id}/take`, { changedInBoth: 'ours' })).status).toBe(201);
  expect((await lost.get('/records')).body).toEqual((await shop.get('/records')).body);
  const again = await keepCopy(lost.database, folder, '2026-11-02');
  expect(readFileSync(again).equals(file)).toBe(true);
});

it('the oldest go after two weeks; nothing else in the folder does', async () => {
  const own = path.join(folder, 'notes of the shop.txt');
  writeFileSync(own, 'x');
  for (let day = 1; day <= KEPT_COPIES + 3; day++)
    writeFileSync(
      path.join(folder, `orthochrom-shop-2026-10-${String(day).padStart(2, '0')}.zip`),
      '',
    );
  await keepCopy(opened[0]!.database, folder, '2026-11-03');
  const kept = readdirSync(folder).sort();
  expect(kept.filter((name) => name.endsWith('.zip'))).toHaveLength(KEPT_COPIES);
  expect(kept).toContain('orthochrom-shop-2026-11-03.zip');
  expect(kept).toContain('notes of the shop.txt');
  expect(kept.filter((name) => name.startsWith('draft'))).toEqual([]);
});

it('a copy that cannot be finished leaves none of its name', async () => {
  const closed = await ShopFixture.open(EMPTY);
  await closed.close();
  const before = readdirSync(folder).sort();
  await expect(keepCopy(closed.database, folder, '2026-11-04')).rejects.toThrow();
  expect(readdirSync(folder).sort()).toEqual(before);
});
