/**
 * Every page that the router knows, held to the same: it opens without a fault, by day and in the
 * booth nobody is shut out, on a phone nothing is cut off sideways, the keyboard gets into it, and
 * a glove hits what it means.
 */
import { CARE_ITEMS } from '@orthochrom/core/gun/care.ts';
import { expect, test, type Page } from '@playwright/test';
import { PAGES } from '../packages/web/src/pages.ts';
import { TEST_STEPS } from '../packages/web/src/guns/tests/steps.ts';

import { expectAccessible, expectLegible } from './accessible.ts';
import { tooSmallToTouch } from './touch.ts';
import { ADDRESS } from './shopServer.ts';

type Named = { id: string };
const get = async <T>(path: string) => (await fetch(`${ADDRESS}/api${path}`)).json() as Promise<T>;
const setup = () => get<{ guns: Named[]; airLines: Named[]; compressors: Named[] }>('/setup');

/** What an :id is under each beginning of a path, from the shop as it is. */
const ID_UNDER: Record<string, () => Promise<string>> = {
  tickets: async () => (await get<{ tickets: Named[] }>('/tickets')).tickets[0]!.id,
  records: async () => (await get<{ rows: { coat: Named }[] }>('/records')).rows[0]!.coat.id,
  sheets: async () => (await get<{ sheet: Named }[]>('/sheets'))[0]!.sheet.id,
  guns: async () => (await setup()).guns[0]!.id,
  air: async () => (await setup()).airLines[0]!.id,
  compressors: async () => (await setup()).compressors[0]!.id,
  faults: async () => (await get<Named[]>('/findings'))[0]!.id,
};
const KINDS_UNDER: Record<string, string[]> = {
  tests: Object.keys(TEST_STEPS),
  care: Object.keys(CARE_ITEMS),
};

/** Of a page that has kinds one is walked: the others are the same page with other words. */
const withKind = (page: string): string => {
  const kinds = Object.entries(KINDS_UNDER).find(([room]) => page.includes(`/${room}/:kind`));
  return kinds ? page.replace(':kind', kinds[1][0]!) : page;
};
async function addressOf(page: string): Promise<string> {
  const room = page.split('/')[0]!;
  const id = page.includes(':id') ? await ID_UNDER[room]!() : '';
  return `/${page.replace(':id', id)}`;
}

async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: /^Reading / })).toHaveCount(0);
}

/** Adds up how much of the page jumps, by the share of the screen (W3C: layout instability). */
const countJumps = (page: Page) =>
  page.addInitScript(`
    window.jumped = 0;
    new PerformanceObserver((list) => {
      for (const { value } of list.getEntries()) window.jumped += value;
    }).observe({ type: 'layout-shift', buffered: true });
  `);

/** Steps with Tab until something of the page itself has the focus, and shows it. */
async function reachByKeyboard(page: Page): Promise<boolean> {
  for (let steps = 0; steps < 40; steps++) {
    await page.keyboard.press('Tab');
    const isInside = await page.evaluate(() => {
      const at = document.activeElement;
      const box = at?.getBoundingClientRect();
      return Boolean(at?.closest('main') && box && box.width > 0 && box.height > 0);
    });
    if (isInside) return true;
  }
  return false;
}

for (const page of PAGES.map(withKind))
  test(`/${page}: opens, shuts nobody out, fits a phone, goes by keyboard`, async ({
    page: tab,
  }) => {
    const faults: string[] = [];
    tab.on('pageerror', ({ message }) => faults.push(message));
    tab.on('console', (said) => said.type() === 'error' && faults.push(said.text()));
    await countJumps(tab);
    const address = await addressOf(page);
    await open(tab, address);
    expect(await tab.evaluate('window.jumped'), 'jumps while it opens').toBeLessThan(0.1);
    await expectAccessible(tab);
    expect(await reachByKeyboard(tab), 'the keyboard gets into the page').toBe(true);
    // The booth changes colours alone.
    await tab.getByRole('button', { name: 'Booth', exact: true }).click();
    await expectLegible(tab);
    expect(await tooSmallToTouch(tab), 'touched with a glove').toEqual([]);
    await tab.setViewportSize({ width: 390, height: 844 });
    const sideways = await tab.evaluate(() => {
      const main = document.querySelector('main')!;
      return main.scrollWidth - main.clientWidth;
    });
    expect(sideways, 'cut off sideways').toBeLessThanOrEqual(1);
    expect(faults).toEqual([]);
  });

/** What a first visit may cost on a shop's network, kB of script as it is sent. */
const FIRST_VISIT_BYTES = 260_000;
test('the first visit is sent packed, and no more of it than it needs', async ({ page }) => {
  const sent: { name: string; packed: string | undefined; bytes: number }[] = [];
  page.on('response', (response) => {
    const { pathname } = new URL(response.url());
    if (!pathname.endsWith('.js')) return;
    const { 'content-encoding': packed, 'content-length': bytes } = response.headers();
    sent.push({ name: pathname, packed, bytes: Number(bytes) });
  });
  await open(page, '/');
  const loose = sent.filter(({ packed, bytes }) => packed === undefined && bytes > 1000);
  expect(loose).toEqual([]);
  const total = sent.reduce((sum, { bytes }) => sum + bytes, 0);
  expect(sent.length).toBeGreaterThan(5);
  expect(total).toBeLessThan(FIRST_VISIT_BYTES);
});
