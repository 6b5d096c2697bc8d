/**
 * What stands on a panel is told, a coat that would lift it is stopped in the browser and on the
 * server, and a patch that held lets it go on.
 */
import { expect, test, type Page } from '@playwright/test';
import { passGate } from './coatAhead.ts';
import { ownTicket, pick, steerProbe, TEN_O_CLOCK, goTo } from './shop.ts';
import { ADDRESS } from './shopServer.ts';
import { answerPrep } from './walk.ts';

const toPanel = (page: Page, nth: number) =>
  page.getByRole('list', { name: 'On this job' }).getByRole('button').nth(nth).click();
const answer = (page: Page, question: string, word: string) =>
  page.getByRole('radiogroup', { name: question }).getByText(word, { exact: true }).click();
const takeOnServer = async (id: string) => {
  const { ticket, coats } = (await (await fetch(`${ADDRESS}/api/tickets/${id}`)).json()) as {
    ticket: { painterId: string; stages: { gunId: string }[] };
    coats: { id: string; version: number }[];
  };
  const { version, id: coatId } = coats[0]!;
  const reply = await fetch(`${ADDRESS}/api/coats/${coatId}/take`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      painterId: ticket.painterId,
      version,
      gunId: ticket.stages[0]!.gunId,
      overrides: {},
    }),
  });
  return { status: reply.status, text: await reply.text() };
};

test('aerosol paint under a sealer: stopped, tried on a patch, gone on', async ({ page }) => {
  await steerProbe({ minute: TEN_O_CLOCK });
  const id = await ownTicket('Plover estate, a cheap repair', 'sealer');
  await page.goto(`/tickets/${id}/edit`);
  const tell = page.getByRole('button', { name: 'What stands on it' });
  await tell.click();
  await page.getByRole('button', { name: 'A layer', exact: true }).click();
  await expect(page.getByRole('dialog').locator('[data-seam="sandFirst"]')).toBeVisible();
  await pick(page, 'What it is', 'Aerosol or single-pack', true);
  await pick(page, 'Coarsest scratch in it', 'P400', true);
  await expect(page.getByRole('dialog').locator('[data-seam="lifts"]')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  // The second is like the first, in one touch.
  await toPanel(page, 1);
  await page.getByRole('button', { name: /^Same as/ }).click();
  await expect(page.locator('[data-seam="lifts"]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  // Answers that come before it are a change of the same ticket: they would clash.
  await page.waitForURL(`**/tickets/${id}`);

  await answerPrep(id);
  await passGate(id);
  await page.reload();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await expect(page.locator('[data-code="layer-lifts"]').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /Take this plan/ })).toHaveCount(0);
  const refused = await takeOnServer(id);
  expect(refused.status).toBe(409);
  expect(refused.text).toContain('layer-lifts');

  await goTo(page, `/tickets/${id}/edit`);
  for (const panel of [0, 1]) {
    await toPanel(page, panel);
    await tell.click();
    await answer(page, 'Test patch', 'Held');
    await expect(page.getByRole('dialog').locator('[data-seam="holds"]')).toBeVisible();
    await page.getByRole('button', { name: 'Done' }).click();
  }
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: /Take this plan/ }).click();
  await expect(page.getByRole('button', { name: 'As listed' })).toBeVisible();
});
