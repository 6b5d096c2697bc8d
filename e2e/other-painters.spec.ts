/**
 * Other people's mornings: waterborne on the van, a tank in the loft by a learner in inches,
 * two-pack where it may not be.
 */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import {
  answerGate,
  choose,
  openDrawer,
  openTicketForm,
  steerProbe,
  TEN_O_CLOCK,
  toPlace,
  goTo,
} from './shop.ts';
import { makeReady } from './walk.ts';

test.beforeEach(async ({ page }) => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
  await page.goto('/tickets');
});

const openTicket = (page: import('@playwright/test').Page, vehicle: RegExp) =>
  page.getByRole('row', { name: vehicle }).first().getByRole('link').click();

test('waterborne takes its adjuster in per cent, never a solvent reducer', async ({ page }) => {
  await openTicket(page, /Brant courier van, right side/);
  await makeReady(page);
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
  const preview = page.getByRole('region', { name: 'What the file would change' });
  await expect(preview.getByText(': as it is kept').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'All of it is kept already' })).toBeDisabled();
  await page.getByRole('button', { name: 'Leave it' }).click();
  // Half of a file is not brought in.
  const kept = JSON.parse(readFileSync(file, 'utf8')) as { id: string; densityGPerMl: number }[];
  await page.locator('input[type=file]').setInputFiles({
    name: 'half.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify([
        { ...kept[0], densityGPerMl: 1.01 },
        { ...kept[1], densityGPerMl: 90 },
      ]),
    ),
  });
  await expect(page.getByText(/90 g\/ml; 0.5 to 3 g\/ml is possible/)).toBeVisible();
  await expect(
    page.getByRole('button', { name: 'Nothing is brought in while one is refused' }),
  ).toBeDisabled();

  await goTo(page, '/sheets/tarnside-sb-solid');
  await page.getByRole('link', { name: 'Write the next issue' }).click();
  await page.getByRole('button', { name: /Density, solids, solvent/ }).click();
  const density = page.getByRole('textbox', { name: 'Density as supplied' });
  await density.fill('9');
  await expect(page.getByText(/9 g\/ml; 0.5 to 3 g\/ml is possible/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /still open/ })).toBeDisabled();
  await density.fill('0.99');
  await page.getByRole('button', { name: /Packs, shades, notes/ }).click();
  await page.getByRole('textbox', { name: 'Notes, a line each' }).fill('Stirred, not shaken.');
  await expect(
    page.getByRole('region', { name: 'What this issue changes' }).getByText('Stirred, not shaken.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Issue it' }).click();
  // At the head of its page, and among its issues as soon as they are read.
  await expect(page.getByText(/^Issue 2,/).first()).toBeVisible();
});

test('a sheet is typed from paper, page by page, and planned with', async ({ page }) => {
  await page.goto('/sheets/new');
  const toPage = (title: RegExp) => page.getByRole('button', { name: title }).click();
  const type = (label: string, value: string) =>
    page.getByRole('textbox', { name: label, exact: true }).fill(value);
  const choose1 = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label }).first().click();
    await page.getByRole('option', { name: option, exact: true }).click();
  };
  const ends = async (label: string, from: string, to: string) => {
    const pair = page.getByRole('group', { name: label, exact: true });
    await pair.getByRole('textbox', { name: 'from' }).fill(from);
    await pair.getByRole('textbox', { name: 'to' }).fill(to);
  };
  await type('Name', 'Shed enamel');
  await type('Line of products', 'Shed');
  await choose1('Kind', 'single stage');
  await page.getByRole('button', { name: 'Single stage', exact: true }).click();
  await toPage(/Mixing/);
  await type('Recipe, as printed', 'as it comes');
  await toPage(/Gun/);
  await ends('Nozzle', '1.3', '1.5');
  await toPage(/Coats and film/);
  await ends('Coats', '2', '3');
  await ends('Wet film a coat', '46', '56');
  await ends('Dry film a coat', '28', '30');
  await toPage(/Waits/);
  await type('All of it at', '68 F');
  await type('Flash between coats', '15');
  await toPage(/Density, solids, solvent/);
  await type('Density as supplied', '1.05');
  await type('Solids as supplied', '38');
  await type('Solvent as supplied', '520');
  await toPage(/Ready to spray/);
  await type('Density', '1.05');
  await type('Solids', '38');
  await type('Solvent', '520');
  await toPage(/Hardener, grade/);
  await choose1('Hardener of the mix', 'no hardener');
  // The film that was typed does not follow from the solids: said before it is issued.
  await toPage(/Coats and film/);
  await expect(page.getByText(/46 µm wet at these solids dries to 17.5/).first()).toBeVisible();
  await ends('Dry film a coat', '18', '21');
  await page.getByRole('button', { name: 'Issue it' }).click();
  await expect(page.getByRole('heading', { name: 'Shed enamel' })).toBeVisible();
  await goTo(page, '/tickets/new');
  await expect(page.getByRole('button', { name: 'enamel', exact: true })).toBeVisible();
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
