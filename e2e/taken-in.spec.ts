/**
 * A job taken in with gloves on: panels touched on the car, what stands on them told, the ground
 * chosen beside its colour, how much and what to get; a room and a cup of one's own to plan with.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat, passGate } from './coatAhead.ts';
import { openDrawer, ownTicket, pick, press, steerProbe, TEN_O_CLOCK, goTo } from './shop.ts';
import { makeReady } from './walk.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

const panel = (page: Page, id: string) => page.locator(`[data-panel="${id}"]`);

test('a filled door, a blend and a clear-only quarter are taken in', async ({ page }) => {
  await page.goto('/tickets/new');
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('Linnet hatchback, filled');
  await pick(page, 'Body', 'hatchback');
  await panel(page, 'leftFrontDoor').click();
  await press(page, 'What stands on it');
  await press(page, 'A layer');
  await press(page, 'A layer on top of it');
  await page.getByRole('combobox', { name: 'What it is' }).nth(1).click();
  await page.getByRole('option', { name: 'Filler' }).click();
  await press(page, 'Done');
  // By keys as well as by finger.
  await panel(page, 'leftRearDoor').focus();
  await page.keyboard.press('Enter');
  await press(page, 'Blend');
  await press(page, 'What stands on it');
  await press(page, 'A layer');
  await press(page, 'Done');
  await panel(page, 'leftQuarter').click();
  await press(page, 'Clear only');
  await press(page, /^Same as/);
  await expect(panel(page, 'leftRearDoor')).toHaveAttribute('aria-label', 'left rear door: Blend');

  for (const product of ['Build primer', /Solvent base, metallic/, /Clear MS/])
    await press(page, typeof product === 'string' ? new RegExp(product) : product);
  await expectAccessible(page);
  await press(page, 'Open this ticket');
  await expect(page.getByRole('heading', { name: 'Wash', exact: true })).toBeVisible();
  await press(page, 'Whole list');
  await expect(page.getByText('Before the primer')).toBeVisible();
  await expect(page.getByText('Before the base')).toBeVisible();
  await page.getByRole('link', { name: 'To get for this job' }).click();
  await expect(page.getByRole('cell', { name: /^Primer, / })).toBeVisible();
  await expect(page.getByText('tack cloth')).toBeVisible();
  await expectAccessible(page);
});

test('a ground is touched beside its colour: coats and millilitres move', async ({ page }) => {
  const id = await ownTicket('Linnet hatchback, ground');
  await page.goto(`/tickets/${id}/edit`);
  const grounds = page.getByRole('region', { name: 'Which shade under the colour' });
  await expect(grounds.getByRole('button')).toHaveCount(5);
  const first = await grounds.getByRole('button').first().textContent();
  expect(first).toMatch(/coats.*of colour, £\s\d/);
  const shade = grounds.getByRole('button', { name: /Grey 1/ });
  await shade.click();
  await expect(shade).toHaveAttribute('aria-pressed', 'true');
  await press(page, 'Save this ticket');
  await expect(page.getByText(/Grey 1, lightest · planned/)).toBeVisible();
});

test('how much is a band; what was left is kept and learned from', async ({ page }) => {
  const id = await ownTicket('Linnet hatchback, amounts', 'sealer');
  await passGate(id);
  await page.goto(`/tickets/${id}`);
  await press(page, 'Air is right: on to the mix');
  await openDrawer(page, 'Other ways');
  const much = page.getByRole('region', { name: 'How much' });
  await expect(much.getByText(/ml to .* ml/)).toBeVisible();
  // Another journey may have told of a job of this hand.
  await expect(much.getByText(/Nothing is known of your hand yet|Your hand/)).toBeVisible();
  await layCoat(id, 0, ['nothing']);
  await page.reload();
  await press(page, 'Clean');
  await page.getByRole('textbox', { name: 'Left in the cup' }).fill('15');
  await press(page, 'Keep it');
  await expect(page.getByText(/^Used .* of .* planned/).first()).toBeVisible();
  await goTo(page, '/settings');
  await expect(page.getByText(/takes against the plan: Primer, sealer/)).toBeVisible();
});

test('a room and a cup of one’s own, and a job planned with them', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('textbox', { name: 'Another cup' }).fill('Cup 250');
  await press(page, 'Add this cup');
  const cup = page.getByRole('region', { name: 'Cup 250' });
  await cup.getByRole('textbox', { name: 'Holds to its top mark' }).fill('250');
  await cup.getByRole('button', { name: '3:1:1', exact: true }).click();
  await expect(cup.getByRole('img', { name: /The scale 3:1:1 as printed/ })).toBeVisible();
  await cup.getByRole('button', { name: 'Save Cup 250' }).click();
  await expect(cup.getByRole('button', { name: 'Save Cup 250' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Another room' }).fill('Lean-to');
  await press(page, 'Add this room');
  const room = page.getByRole('region', { name: 'Lean-to' });
  await room.getByRole('textbox', { name: /Silicone last used/ }).fill('2026-11-01');
  await press(page, 'Save Lean-to');
  await expect(page.getByRole('button', { name: 'Save Lean-to' })).toBeDisabled();

  const id = await ownTicket('Linnet hatchback, own shop', 'sealer');
  await goTo(page, `/tickets/${id}/edit`);
  await pick(page, 'Room', 'Lean-to');
  await press(page, 'Save this ticket');
  await makeReady(page);
  await press(page, /Prep$/);
  await expect(page.locator('[data-code="silicone-recent"]').first()).toBeVisible();
  // Done with it: it goes, its ticket first.
  await goTo(page, '/settings');
  await press(page, 'Put Cup 250 away…');
  await press(page, 'Put it away');
  await expect(cup).toHaveCount(0);
  await press(page, 'Put Lean-to away…');
  await press(page, 'Put it away');
  await expect(page.getByText(/is still worked with it/)).toBeVisible();
});
