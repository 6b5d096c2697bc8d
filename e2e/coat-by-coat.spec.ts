/**
 * Each coat its own: silver that hides early strikes out the rest, its last coat lies lighter from
 * further back, a blend reaches further; after the last coat the dates stand.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat } from './coatAhead.ts';
import { openDrawer, ownTicket, steerProbe, TEN_O_CLOCK } from './shop.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

const toCoat = async (page: Page, name: RegExp) => {
  await page.getByRole('button', { name: /^Film stack/ }).click();
  await page.getByRole('dialog').getByRole('button', { name }).click();
  await page.keyboard.press('Escape');
};
const step = (page: Page, name: string) =>
  page.getByRole('listitem').getByRole('button', { name, exact: true }).click();

test('silver that hides after one coat goes on to its drop coat', async ({ page }) => {
  const id = await ownTicket('Plover estate, silver coats');
  await layCoat(id, 0, ['nothing']);
  await layCoat(id, 1, ['nothing']);
  await page.goto(`/tickets/${id}`);
  await expect(page.getByRole('heading', { name: 'Base · coat 2 of 3' })).toBeVisible();
  await expect(page.locator('[data-coat-kind="medium"]')).toBeVisible();
  await toCoat(page, /^Base 1/);
  await step(page, 'Look');
  const hidden = page.getByRole('group', { name: 'Hidden yet?' });
  await expect(hidden).toBeVisible();
  await expectAccessible(page);
  await hidden.getByRole('button', { name: 'Yes: stop here, 1 coat struck out' }).click();
  await expect(page.getByRole('heading', { name: 'Base · coat 1 of 2' })).toBeVisible();
  await toCoat(page, /^Base 2/);
  await expect(page.getByText('drop coat, 17 µm, 40 mm further back')).toBeVisible();
  await step(page, 'Gun');
  await expect(page.getByText(/Since the coat before: .*40 mm further back/)).toBeVisible();
  await expect(page.getByText(/drier by intent/).first()).toBeVisible();
});

test('after the last coat stands when to look again, tape, polish, wash and wax', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, after it', 'clear');
  for (const nth of [0, 1]) await layCoat(id, nth, ['nothing']);
  await page.goto(`/tickets/${id}`);
  await toCoat(page, /^Clear 2/);
  await step(page, 'Clean');
  await openDrawer(page, 'List, dates');
  const after = page.getByRole('region', { name: 'After this coat' });
  await expect(after.locator('[data-after="look"]')).toContainText('side light');
  for (const date of ['tape', 'polish', 'handOver', 'machineWash', 'wax'])
    await expect(after.locator(`[data-after="${date}Minute"]`)).toContainText('not before');
  await expect(after.getByText(/pops and pinholes, with a loupe/)).toBeVisible();
  await expectAccessible(page);
});
