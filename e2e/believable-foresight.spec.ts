/**
 * What to expect, as a painter tries it: a right coat is good, too little air is peel, and the
 * change that is named first mends it.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { passGate } from './coatAhead.ts';
import { openDrawer, ownTicket, steerProbe, TEN_O_CLOCK } from './shop.ts';

test.beforeEach(async () => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
});

const settled = (page: Page) =>
  expect(page.getByRole('region', { name: 'What becomes of it' })).toHaveAttribute(
    'aria-busy',
    'false',
  );
const words = (page: Page) => page.locator('[data-risk]').allTextContents();

test('in the lab: good as it stands; at 10 psi it peels, more air is first, and done it is good again', async ({
  page,
}) => {
  await page.goto('/lab');
  await settled(page);
  expect(
    (await words(page)).filter((text) => /watch|likely/.test(text.replace('unlikely', ''))),
  ).toEqual([]);
  await expect(page.getByText(/^runs from \d+/)).toBeVisible();

  await page.getByRole('slider', { name: 'Pressure at the gun, flowing' }).focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await settled(page);
  await expect(page.locator('[data-risk]').first()).toHaveText(/Orange peel\s*likely/);
  const first = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Do it' }) })
    .first();
  await expect(first).toContainText('More air');
  await expect(first).toContainText('orange peel from');
  await first.getByRole('button', { name: 'Do it' }).click();
  await settled(page);
  await expect(page.locator('[data-risk="peel"]').filter({ hasText: /\blikely/ })).toHaveCount(0);

  // Whose eye it is moves how sure the film is, not the film.
  const range = async () =>
    (await page
      .getByText('Wet, last coat', { exact: true })
      .locator('..')
      .locator('.quiet')
      .textContent())!;
  const able = await range();
  await page.getByText('learner', { exact: true }).click();
  await settled(page);
  await expect.poll(range).not.toBe(able);
});

test('an HVLP gun that nobody rated is asked which kind it is, and one touch answers', async ({
  page,
}) => {
  await page.goto('/guns/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Dunlin');
  const question = page.getByRole('region', { name: 'Which kind of HVLP' });
  await expect(question).toContainText('10 psi at the cap');
  await expectAccessible(page);
  await question.getByRole('button', { name: /29 psi/ }).click();
  await expect(question).toBeHidden();
  await expect(page.getByRole('textbox', { name: 'Rated at the inlet' })).toHaveValue(/^29/);
  await page.getByRole('textbox', { name: 'Leaflet, from' }).fill('26 psi');
  await page.getByRole('textbox', { name: 'Leaflet, to' }).fill('32 psi');
  await page.getByRole('button', { name: 'Save this gun' }).click();
  await expect(page.getByRole('heading', { name: 'Dunlin' })).toBeVisible();
});

test('on a ticket a clear as planned is unlikely to want mending, and says from where it would run', async ({
  page,
}) => {
  const ticketId = await ownTicket('Clear as planned', 'clear');
  await passGate(ticketId);
  await page.goto(`/tickets/${ticketId}`);
  await page.getByRole('button', { name: /^Gun/ }).first().click();
  await openDrawer(page, 'Other ways');
  const expected = page.getByRole('region', { name: 'What to expect' });
  await expect(expected).toHaveAttribute('aria-busy', 'false');
  await expect(expected.getByText('It runs from')).toBeVisible();
  expect(
    (await words(page)).filter((text) => /watch|likely/.test(text.replace('unlikely', ''))),
  ).toEqual([]);
});
