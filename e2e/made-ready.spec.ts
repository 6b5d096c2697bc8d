/**
 * The list of a job, step by step in the browser: left out with a word, a gloss that holds the
 * colour, the customer's word kept, a dent found late, and the next tablet that sees the same.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { ownTicket, press, steerProbe, TEN_O_CLOCK } from './shop.ts';
import { ADDRESS } from './shopServer.ts';
import { tellPanels } from './walk.ts';

const expectStep = (page: Page, title: string | RegExp) =>
  expect(page.locator('[data-step]').getByRole('heading', { name: title })).toBeVisible();
/** Answers what is shown, and waits for what is next. */
async function answer(page: Page, name: string): Promise<void> {
  const at = await page.locator('[data-step]').getAttribute('data-step');
  await press(page, name);
  await expect(page.locator(`[data-step="${at}"]`)).toHaveCount(0);
}
const onList = async (id: string) =>
  (await (await fetch(`${ADDRESS}/api/tickets/${id}`)).json()) as {
    prepAnswers: { key: string; answer: string; reason: string }[];
    decisions: { decision: string; word: string }[];
  };

test('a list is worked through: left out, declined, held by gloss, taken back by a dent', async ({
  page,
  browser,
}) => {
  await steerProbe({ minute: TEN_O_CLOCK });
  const id = await ownTicket('Plover estate, made ready', 'base');
  await tellPanels(id, { found: [{ history: 'factory', lastGrit: 'P600' }], foreign: true });
  await page.goto(`/tickets/${id}`);
  await expectStep(page, 'Wash');
  await expectAccessible(page);

  await press(page, 'Leave it out…');
  await expect(page.getByRole('dialog').getByText('Smeared salt: blisters.')).toBeVisible();
  await press(page, 'Done before it came');
  await expectStep(page, 'Degrease');
  await press(page, 'Done');
  await expectStep(page, /torch/);
  await expect(page.getByText('This step is never left out.')).toBeVisible();
  await answer(page, 'Nothing found');
  while (await page.locator('[data-step*="tapePull"]').count()) await answer(page, 'Nothing comes');
  await expectStep(page, 'Ask the customer');
  await press(page, 'Declined');
  await press(page, 'It is to be sold');
  await expectStep(page, /card/);
  await press(page, 'It matches');
  await expectStep(page, /^Sand P/);
  await press(page, 'Gloss is left');
  await expect(page.locator('[data-code="not-keyed"]').first()).toBeVisible();

  // Another tablet sees the same step, held.
  const other = await browser.newPage();
  await other.goto(`/tickets/${id}`);
  await expectStep(other, /^Sand P/);
  await press(other, 'Mix');
  await expect(other.getByRole('button', { name: /Take this plan/ })).toHaveCount(0);
  await other.close();

  while (await page.locator('[data-step*="sand"]').count()) await answer(page, 'Matt all over');
  await expectStep(page, 'Any cut through?');
  await press(page, 'Whole list');
  await press(page, 'A dent');
  await expectStep(page, /torch/);
  await expect(page.locator('[data-step]').getByText(/^Once more: /)).toBeVisible();
  await expect(page.locator('[data-code="late-found"]').first()).toBeVisible();
  await expect(page.getByText('“It is to be sold”').first()).toBeVisible();

  const { prepAnswers, decisions } = await onList(id);
  expect(prepAnswers[0]).toMatchObject({ answer: 'skipped', reason: 'Done before it came' });
  expect(decisions.map(({ decision }) => decision)).toEqual(['declines', 'declines', 'declines']);
});
