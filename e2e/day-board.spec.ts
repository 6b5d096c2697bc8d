/** The board of the day: every open job, moved on by each coat, taken out as a calendar. */
import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat } from './coatAhead.ts';
import { ownTicket, press, steerProbe, TEN_O_CLOCK } from './shop.ts';
import { openLong } from './walk.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

test('the day is laid out over all jobs, moves with a coat, and goes into a calendar', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, on the board', 'base', { coats: 2 });
  await openLong('Europe/London');
  await page.goto('/');
  await page.getByRole('link', { name: 'Board of the day' }).click();
  const row = page.getByRole('link', { name: /Plover estate, on the board/ }).first();
  await expect(row).toBeVisible();
  await expect(row).toHaveAttribute('href', `/tickets/${id}`);
  await expect(page.getByRole('img', { name: /Plover estate, on the board/ })).toBeVisible();
  await expectAccessible(page);

  const saved = page.waitForEvent('download');
  await press(page, 'Calendar file');
  const text = await readFile((await (await saved).path())!, 'utf8');
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(5);

  // What is on is not laid again: the job is mixed for no more when its last coat is.
  await layCoat(id, 0, ['nothing']);
  await expect(row).toBeVisible();
  await layCoat(id, 1, ['nothing']);
  const mixes = page.getByRole('region', { name: 'Mixes of the day' });
  await expect(mixes.getByText(/Plover estate, on the board/)).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Not before' })).toContainText(
    'Plover estate, on the board',
  );
});
