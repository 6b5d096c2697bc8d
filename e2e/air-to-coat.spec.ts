/** A cold damp morning in the booth: from the air to a logged coat, and on to the next. */
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import {
  answerGate,
  choose,
  COLD_MORNING,
  letMinutesPass,
  openDrawer,
  press,
  pullTrigger,
  steerProbe,
  TEN_O_CLOCK,
  toPlace,
} from './shop.ts';

test.describe.configure({ mode: 'serial' });

test('the morning says wait, and why', async ({ page }) => {
  await steerProbe({ minute: COLD_MORNING, shiftC: 0 });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Today, Harbour booth' })).toBeVisible();
  await expect(page.getByLabel('Air in Harbour booth').getByText('Wait')).toBeVisible();
  await expect(page.getByText(/The panel is at .*it must have/)).toBeVisible();
  await expect(page.getByText(/from the dew point/)).toBeVisible();
  await expectAccessible(page);
});

test('a coat goes from the gate to the record, and the next one follows', async ({ page }) => {
  await steerProbe({ minute: COLD_MORNING });
  await page.goto('/');
  await page.getByRole('link', { name: /Linnet hatchback, left side/ }).click();

  // The gate is the first card; a filter mask does not open it.
  await expect(page.getByText(/isocyanate hardener/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Mix', exact: true }).click();
  await expect(page.getByText(/gate of this stage comes first/)).toBeVisible();
  await press(page, 'What is next: Gate');
  await choose(page, 'Breathing', 'Cartridge');
  await expect(page.getByText(/A cartridge mask is not enough here/)).toBeVisible();
  await answerGate(page);

  // Too cold, too near the dew point: every reason, no way on.
  await expect(page.getByText(/The panel is at .*it must have/)).toBeVisible();
  await expect(page.getByText(/from the dew point/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Not in this air' })).toBeDisabled();
  await steerProbe({ minute: TEN_O_CLOCK });
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();

  // Six degrees more: what changes, and why.
  await openDrawer(page, 'What if');
  const whatIf = page.getByRole('slider', { name: 'Air warmer or cooler' });
  await whatIf.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('6.0 °C warmer')).toBeVisible();
  await expect(page.getByText(/Reducer .*→/)).toBeVisible();
  await expect(page.getByText(/Pot life .*→/)).toBeVisible();
  await whatIf.press('Home');
  await expectAccessible(page);

  // Take it and pour; too much hardener is mended by adding.
  await expect(page.getByText('3 : 1 : 1')).toBeVisible();
  await page.getByRole('button', { name: 'Take this plan and pour' }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  const hardener = page.getByRole('textbox', { name: 'H-2' });
  const listed = Number(await hardener.inputValue());
  await hardener.fill(String(Math.round(listed * 1.09)));
  await expect(page.getByText('Add, and do not take any out:')).toBeVisible();
  await page.getByRole('button', { name: 'Added: now it is right' }).click();
  await expect(page.getByText(/Poured to the recipe/)).toBeVisible();
  await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();

  // The gun: ours beside the painter's own, with a word why.
  await expect(page.getByText('At the gun, trigger pulled')).toBeVisible();
  await openDrawer(page, 'Other ways');
  await expect(page.getByText('Find it on a test panel, step by step')).toBeVisible();
  await page.getByRole('button', { name: 'Set at the gun, trigger pulled otherwise' }).click();
  await page.getByRole('textbox', { name: 'Yours: at the gun, trigger pulled' }).fill('1,6 bar');
  await choose(page, 'Trigger pulled', 'At rest');
  await expect(page.getByText(/says nothing about the pressure while you spray/)).toBeVisible();
  await choose(page, 'Trigger pulled', 'Pulled');
  await page.getByRole('textbox', { name: 'A word why' }).fill('long hose today');
  await page.getByRole('button', { name: 'Use mine' }).click();
  await expect(page.locator('[data-setting="inletKPa"]')).toContainText('long hose today');
  await expectAccessible(page);
  await pullTrigger(page);
  await page.getByRole('button', { name: 'left front door', exact: true }).click();
  await expect(page.getByRole('button', { name: 'left front door, done' })).toBeVisible();
  await page.getByRole('button', { name: 'The coat is on' }).click();

  // The clock survives a reload and does not confirm by itself.
  await expect(page.getByRole('timer')).toHaveText(/^\d+:\d\d$/);
  await choose(page, 'The face says', 'Dry');
  await choose(page, 'The edges say', 'Dry');
  await expect(page.getByRole('button', { name: 'Not before the time is up' })).toBeDisabled();
  await letMinutesPass(45);
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/^\+/);
  await choose(page, 'The face says', 'Dry');
  await choose(page, 'The edges say', 'Tacky');
  await expect(page.getByText(/The touch test at the edges says: tacky/)).toBeVisible();
  await choose(page, 'The edges say', 'Dry');
  await page.getByRole('button', { name: 'Dry, edges too: confirmed' }).click();

  // Log what differed; find it in Records.
  await page.getByText('Nothing wrong', { exact: true }).click();
  await choose(page, 'Rating', 'Good');
  await openDrawer(page, 'Done otherwise, note');
  await page.getByRole('textbox', { name: 'Wet film' }).fill('1.5 mil');
  await page.getByRole('textbox', { name: 'Note' }).fill('First of the morning');
  await page.getByRole('button', { name: 'Log this coat' }).click();
  await press(page, 'Not measured: on to the gun');
  await press(page, 'Done');
  await expect(page.getByRole('heading', { name: /^2 of 13 Air still on/ })).toBeVisible();
  await press(page, 'Skip');
  await expect(page.getByRole('button', { name: 'Leave it out' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Skipped, because' }).fill('flushed at noon');
  await press(page, 'Leave it out');
  await expect(page.getByRole('heading', { name: /^3 of 13 Air hose off/ })).toBeVisible();
  // The whole of it is a touch away, and knows what was answered.
  await openDrawer(page, 'List, dates');
  await expect(page.getByRole('textbox', { name: 'Skipped, because' })).toHaveValue(
    'flushed at noon',
  );
  await press(page, 'All done');
  await press(page, 'The gun is clean');
  await expect(page.getByText('Wren is clean.')).toBeVisible();
  await page.getByRole('button', { name: 'On to the next coat' }).click();
  await expect(page.getByRole('heading', { name: /Base · coat 1 of 3/ })).toBeVisible();

  await toPlace(page, 'Records');
  await page.getByRole('textbox', { name: 'Words' }).fill('first of the morning');
  await expect(page.getByText('1 coat', { exact: true })).toBeVisible();
  await page
    .getByRole('row', { name: /Linnet hatchback, left side/ })
    .getByRole('link')
    .click();
  await expect(page.getByText('long hose today')).toBeVisible();
  await expect(page.getByText('38 µm', { exact: true })).toBeVisible();
  await expectAccessible(page);
});

test('the next coat takes silver on a slower grade and needs no second mix for its second coat', async ({
  page,
}) => {
  await steerProbe({ minute: TEN_O_CLOCK });
  await page.goto('/tickets');
  await page
    .getByRole('row', { name: /Linnet hatchback, left side/ })
    .getByRole('link')
    .click();
  // The answers of the sealer are offered again, to be looked at, not typed.
  await page.getByRole('button', { name: 'Passed: on to the air' }).click();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await openDrawer(page, 'Why');
  await expect(page.getByText(/never gets a fast grade/)).toBeVisible();
  await expect(page.getByText('T-10')).toHaveCount(0);
  for (const coat of [1, 2]) {
    await expect(page.getByRole('heading', { name: `Base · coat ${coat} of 3` })).toBeVisible();
    if (coat === 2) await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
    await page.getByRole('button', { name: /Take this plan/ }).click();
    if (coat === 1) {
      await page.getByRole('button', { name: 'As listed' }).click();
      await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();
    }
    await pullTrigger(page);
    await page.getByRole('button', { name: 'The coat is on' }).click();
    await expect(page.getByRole('timer')).toBeVisible();
    await letMinutesPass(30);
    await page.reload();
    await choose(page, 'The face says', 'Dry');
    await choose(page, 'The edges say', 'Dry');
    await page.getByRole('button', { name: 'Dry, edges too: confirmed' }).click();
    await page.getByText('Nothing wrong', { exact: true }).click();
    await choose(page, 'Rating', 'Good');
    await page.getByRole('button', { name: 'Log this coat' }).click();
    await page.getByRole('button', { name: 'Next coat' }).click();
  }
  await expect(page.getByRole('heading', { name: 'Base · coat 3 of 3' })).toBeVisible();
});
