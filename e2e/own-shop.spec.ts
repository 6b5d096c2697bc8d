/**
 * A shop of one's own: opened empty and led to its first coat, and carried over whole.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { answerGate, fill, goTo, press, pullTrigger } from './shop.ts';
import { tooSmallToTouch } from './touch.ts';
import { ADDRESS } from './shopServer.ts';
import { openOwnShop, tellShop, type OwnShop } from './ownShop.ts';

const SHEETS = path.join(import.meta.dirname, '../packages/server/demo/sheets');
let shop: OwnShop | undefined;
test.afterEach(async () => {
  await shop?.close();
  shop = undefined;
});

test('an empty shop leads to its first coat', async ({ page }) => {
  shop = await openOwnShop('--empty');
  await page.goto(shop.address);
  await expect(page.getByText('The shop wants a name.')).toBeVisible();
  await expectAccessible(page);
  expect(await tooSmallToTouch(page)).toEqual([]);
  await tellShop(page);
  await press(page, 'Open the shop');
  const steps = page.getByRole('region', { name: 'To the first coat' });
  await expect(steps).toBeVisible();
  await expectAccessible(page);

  await steps.getByRole('link', { name: 'Describe a gun' }).click();
  await fill(page, 'Name', 'First gun');
  await press(page, 'Save this gun');
  await expect(page.getByRole('heading', { name: 'First gun' })).toBeVisible();

  await goTo(page, '/sheets');
  await page.locator('input[type=file]').setInputFiles({
    name: 'from the maker.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify(
        ['clear-ms', 'h-1', 'h-2', 'h-3', 't-10', 't-20', 't-30', 't-40'].map(
          (name) => JSON.parse(readFileSync(path.join(SHEETS, `${name}.json`), 'utf8')) as object,
        ),
      ),
    ),
  });
  await press(page, /^Bring in \d/);
  await expect(page.getByRole('link', { name: /Clear MS/ }).first()).toBeVisible();

  await goTo(page, '/');
  await steps.getByRole('link', { name: 'Take in a job' }).click();
  await fill(page, 'Vehicle or part', 'The first door');
  await page.locator('[data-panel="hood"]').click();
  await press(page, /^Clear MS/);
  await press(page, 'Open this ticket');
  await page.waitForURL(/\/tickets\/[0-9a-f-]{36}$/);
  await fetch(`${shop.address}/api/probe`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ minute: 600, minutesPerSecond: 0 }),
  });
  await page.getByRole('listitem').getByRole('button', { name: 'Gate', exact: true }).click();
  await answerGate(page);
  await press(page, 'Air is right: on to the mix');
  await press(page, /Take this plan/);
  await press(page, 'As listed');
  await press(page, 'Mixed: the pot life runs');
  await pullTrigger(page);
  await expect(page.getByText('Spraying for')).toBeVisible();
  await press(page, 'The coat is on');
  await expect(page.getByText(/touch|flash/i).first()).toBeVisible();
  await goTo(page, '/records');
  await expect(page.getByText('1 coat', { exact: false })).toBeVisible();
  await goTo(page, '/');
  await expect(page.getByText('The first door')).toBeVisible();
  await expect(steps).toBeHidden();
});

test('a whole shop is carried over by its file, and goes out again the same', async ({ page }) => {
  await page.goto(`${ADDRESS}/settings`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take the shop home' }).click();
  const home = await (await downloading).path();
  shop = await openOwnShop('--empty');
  await page.goto(shop.address);
  await page.locator('input[type=file]').setInputFiles({
    name: 'shop.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(home),
  });
  await expect(page.getByText('opens here as it is in the file.')).toBeVisible();
  await expectAccessible(page);
  await press(page, 'Open this shop');
  await expect(page.getByRole('heading', { name: /^Today, / })).toBeVisible();
  const again = await fetch(`${shop.address}/api/shop-file`);
  expect(Buffer.from(await again.arrayBuffer()).equals(readFileSync(home))).toBe(true);

  // What is no shop is refused in words, and nothing is changed.
  await goTo(page, '/settings');
  const bring = page.getByRole('region', { name: 'Bring a file of a shop in' });
  await bring.locator('input[type=file]').setInputFiles({
    name: 'holiday.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('a photo'),
  });
  await expect(page.getByText(/This is no whole file of a shop/)).toBeVisible();
});
