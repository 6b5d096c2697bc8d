/**
 * Other people's mornings: waterborne on the van, a tank in the loft by a learner in inches,
 * two-pack where it may not be.
 */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import {
  answerGate,
  choose,
  expectAccessible,
  openDrawer,
  openTicketForm,
  steerProbe,
  TEN_O_CLOCK,
  toPlace,
} from './shop.ts';

test.beforeEach(async ({ page }) => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
  await page.goto('/tickets');
});

const openTicket = (page: import('@playwright/test').Page, vehicle: RegExp) =>
  page.getByRole('row', { name: vehicle }).first().getByRole('link').click();

test('waterborne takes its adjuster in per cent, never a solvent reducer', async ({ page }) => {
  await openTicket(page, /Brant courier van, right side/);
  await choose(page, 'Breathing', 'Dust mask');
  await expect(page.getByText(/A dust mask holds back no vapour/)).toBeVisible();
  await choose(page, 'Breathing', 'Cartridge');
  await choose(page, 'Extraction', 'Running');
  await choose(page, 'Bystanders', 'No');
  await choose(page, 'Floor', 'Clear');
  await page.getByRole('button', { name: 'Passed: on to the air' }).click();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await expect(page.getByText('Adjuster, of the paint')).toBeVisible();
  await expect(page.getByRole('cell', { name: /W-5/ })).toBeVisible();
  await expect(page.getByText(/T-\d0/)).toHaveCount(0);
  // What is in the tin, into what it yields.
  await openDrawer(page, 'Other ways');
  await page.getByText('Mix what is left in the tins').click();
  await page.getByRole('textbox', { name: 'Waterborne base at hand' }).fill('0.5 l');
  await expect(page.getByText(/Makes/)).toContainText('550 ml');
  await page.getByRole('button', { name: 'Mix that much' }).click();
  await expect(page.getByText(/550 ml/).first()).toBeVisible();
});

test('two-pack in the prep bay is stopped, with lawful ways on', async ({ page }) => {
  await openTicket(page, /Skerry 240 coupe, 1968/);
  await openTicketForm(page);
  await page.getByRole('combobox', { name: 'Room' }).click();
  await page.getByRole('option', { name: 'Prep bay' }).click();
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  await choose(page, 'Breathing', 'Air-fed');
  await choose(page, 'Breathing air', 'Yes');
  await expect(page.getByText(/Two-pack is not for this place/)).toBeVisible();
  await expect(page.getByText('Hire a booth by the hour.')).toBeVisible();
  await expect(page.getByRole('button', { name: /Passed/ })).toHaveCount(0);
  await expectAccessible(page);
  await openTicketForm(page);
  await page.getByRole('combobox', { name: 'Room' }).click();
  await page.getByRole('option', { name: 'Harbour booth' }).click();
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  await expect(page.getByLabel('Air in Harbour booth')).toBeVisible();
});

test('a learner in inches and °F sees his own units and less paint', async ({ page }) => {
  await page.getByRole('button', { name: /Painter: Nell/ }).click();
  await page.getByRole('menuitem', { name: 'Wilf' }).click();
  await openTicket(page, /Tern 125 tank, transparent red/);
  await expect(page.getByLabel('Air in Loft booth').getByText('°F').first()).toBeVisible();
  await answerGate(page);
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  await expect(page.locator('[data-setting="distanceMm"]')).toContainText(/\d\.\d\s*in/);
  await openDrawer(page, 'Why');
  await expect(
    page.getByText(/A quarter less paint while the hand is still learning/),
  ).toBeVisible();
  await expect(
    page.getByText(/For a small part: less paint, a smaller fan and nearer/),
  ).toBeVisible();
});

test('the whole of a gate and its air can be done from the keyboard', async ({ page }) => {
  await openTicket(page, /Linnet hatchback, left side|Skerry 240 coupe, 1968/);
  await page.getByRole('button', { name: /^Film stack/ }).focus();
  await page.keyboard.press('Enter');
  const layer = page.getByRole('button', { name: /, (planned|laid)/ }).last();
  await layer.focus();
  await page.keyboard.press('Enter');
  await expect(layer).toBeHidden();
  await page.getByRole('button', { name: 'Air', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Panel over dew')).toBeVisible();
  await openDrawer(page, 'What if');
  const whatIf = page.getByRole('slider', { name: 'Air warmer or cooler' });
  await whatIf.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('1.0 °C cooler')).toBeVisible();
});

test('sheets go out and come in again, and a new issue is checked before it is saved', async ({
  page,
}) => {
  await page.goto('/sheets');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export all' }).click();
  const file = await (await download).path();
  await page.locator('input[type=file]').setInputFiles({
    name: 'sheets.json',
    mimeType: 'application/json',
    buffer: readFileSync(file),
  });
  await expect(page.getByText(/those already kept as they are were left/)).toBeVisible();

  await page.goto('/sheets/tarnside-sb-solid');
  await page.getByText('Write the next issue of this sheet').click();
  const text = page.getByRole('textbox', { name: 'Sheet' });
  const written = await text.inputValue();
  await text.fill(written.replace('"densityGPerMl": 0.99', '"densityGPerMl": 9'));
  await expect(
    page.getByText(/densityGPerMl is 9 g\/ml; 0.5 to 3 g\/ml is possible/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save this issue' })).toBeDisabled();
  await text.fill(written);
  await page.getByRole('button', { name: 'Save this issue' }).click();
  await expect(page.getByText(/^Issue 2,/)).toBeVisible();
});

test('a gun is made, with a set of its own, and found', async ({ page }) => {
  await page.goto('/guns/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Sandpiper');
  await page.getByRole('textbox', { name: 'Nozzle' }).fill('5');
  await expect(page.getByText(/5 is given; 0.2 mm to 3.5 mm is possible/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Nozzle' }).fill('1.4');
  await page.getByRole('textbox', { name: 'Rated at the inlet' }).fill('2 bar');
  await page.getByLabel('Clear', { exact: true }).check();
  await page.getByRole('button', { name: 'Save this gun' }).click();
  await expect(page.getByRole('heading', { name: 'Sandpiper' })).toBeVisible();
  await toPlace(page, 'Guns, air');
  await expect(page.getByRole('link', { name: /Sandpiper.*1\.4 mm \(untested\)/ })).toBeVisible();
});
