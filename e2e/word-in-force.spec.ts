/**
 * Whatever is chosen is judged at once by the rule in force: a grade, a fan, a paint's own class, a
 * recipe.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { passGate } from './coatAhead.ts';
import {
  choose,
  letMinutesPass,
  openDrawer,
  ownTicket,
  pick,
  steerProbe,
  TEN_O_CLOCK,
  pullTrigger,
} from './shop.ts';

test.afterAll(async () => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
});

const toMix = async (page: Page, id: string) => {
  await passGate(id);
  await page.goto(`/tickets/${id}`);
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
};
const minutesIn = async (page: Page, selector: string): Promise<number> =>
  Number(/(\d+(\.\d+)?) to/.exec((await page.locator(selector).textContent())!)![1]);
const pourAndGo = async (page: Page) => {
  await page.getByRole('button', { name: /Take this plan and pour/ }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();
};

test('an own grade in the heat: edge, flash and cautions are its own at once, and stay with the plan', async ({
  page,
}) => {
  await steerProbe({ minute: 840, shiftC: 10 });
  await toMix(page, await ownTicket('Linnet hatchback, in the heat', 'sealer'));
  const ours = await minutesIn(page, '[data-open-time]');
  await openDrawer(page, 'Other ways');
  await page.getByText('Take another grade than ours').click();
  await pick(page, 'Reducer', 'T-10', true);
  await expect(page.getByText('Reducer, your pick')).toBeVisible();
  expect(await minutesIn(page, '[data-open-time]')).toBeLessThan(ours * 0.7);
  await expect(page.locator('[data-ours]')).toContainText(/ours: .*T-\d0/);
  await expect(page.getByText(/T-10 is fast for/)).toBeVisible();
  await expectAccessible(page);
  await pourAndGo(page);
  await expect(
    page.getByRole('region', { name: 'What to expect' }).getByText('The flash clock: this rules'),
  ).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'done Mix' }).click();
  await expect(page.getByText(/T-10/).first()).toBeVisible();
});

test('a fan closed under a limit at the cap is refused on the gun card, and the fan stays as it was', async ({
  page,
}) => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
  await toMix(page, await ownTicket('Linnet hatchback, fan shut', 'base'));
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  await openDrawer(page, 'Other ways');
  await expect(page.getByText(/the limit here is 10 psi/)).toBeVisible();
  await page.getByRole('button', { name: 'Mix', exact: true }).click();
  await pourAndGo(page);
  const fan = page.locator('[data-setting="fanTurnsOut"]');
  await fan.getByRole('button', { name: /otherwise/ }).click();
  await page.getByRole('textbox', { name: /^Yours: fan out/ }).fill('0');
  await page.getByRole('textbox', { name: 'A word why' }).fill('a thin stripe');
  await page.getByRole('button', { name: 'Use mine' }).click();
  await expect(
    page.getByText(/at the cap; .*10 psi.* is the limit set for this place/).first(),
  ).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  await expect(fan).not.toContainText('a thin stripe');
});

test('a high-solids clear waits by its own law, on card and clock alike', async ({ page }) => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
  const id = await ownTicket('Linnet hatchback, high solids', 'clear', {
    sheetId: 'tarnside-clear-hs',
    recipeName: '2:1',
    coats: 2,
  });
  await toMix(page, id);
  await expect(page.getByText('this recipe has none')).toBeVisible();
  await pourAndGo(page);
  await openDrawer(page, 'Other ways');
  const clock = page.getByRole('region', { name: 'What to expect' }).locator('[data-clock]');
  await expect(clock).toBeVisible();
  const minutes = Number(/(\d+)\s*min/.exec((await clock.textContent())!)![1]);
  await pullTrigger(page);
  await page.getByRole('button', { name: 'The coat is on' }).click();
  const left = /^(\d+):(\d\d)$/.exec((await page.getByRole('timer').textContent())!)!;
  expect(Math.abs(Number(left[1]) + Number(left[2]) / 60 - minutes)).toBeLessThan(1);
  await letMinutesPass(60);
});

test('a recipe of 20 % pours 20 %, on the card, in the list and in the cup', async ({ page }) => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
  const id = await ownTicket('Linnet hatchback, adjuster', 'sealer', {
    sheetId: 'tarnside-wb-sealer',
    recipeName: '20 % adjuster',
    coats: 2,
  });
  await page.goto(`/tickets/${id}`);
  await choose(page, 'Breathing', 'Cartridge');
  await choose(page, 'Extraction', 'Running');
  await choose(page, 'Bystanders', 'No');
  await choose(page, 'Floor', 'Clear');
  await page.getByRole('button', { name: 'Passed: on to the air' }).click();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await expect(page.getByText('as the recipe says; never a solvent reducer')).toBeVisible();
  await expect(page.getByText(/^20\s*% Waterborne adjuster W-5$/)).toBeVisible();
  await openDrawer(page, 'Other ways');
  await expect(page.getByText(/W-5: 20 % of the paint/)).toBeVisible();
  const poured = (name: RegExp) =>
    page
      .getByRole('row', { name })
      .getByText(/\d+ ml/)
      .first()
      .textContent();
  const [paint, adjuster] = [await poured(/sealer paint/i), await poured(/W-5/)].map((text) =>
    Number.parseFloat(text!),
  );
  expect(adjuster! / paint!).toBeCloseTo(0.2, 1);
  await expectAccessible(page);
});
