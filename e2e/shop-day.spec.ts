/** The rest of a shop's day: a new ticket, units, clashes, and a server that goes away. */
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat } from './coatAhead.ts';
import { openDrawer, openTicketForm, ownTicket, steerProbe, TEN_O_CLOCK, goTo } from './shop.ts';

test.beforeEach(async () => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
});

test('a ticket is written, survives a reload half way, and opens at its gate', async ({ page }) => {
  await page.goto('/tickets/new');
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('Skerry 240 coupe, bonnet');
  await page.getByRole('button', { name: 'bonnet' }).click();
  await page.getByRole('button', { name: /Solvent base, solid/ }).click();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Vehicle or part' })).toHaveValue(
    'Skerry 240 coupe, bonnet',
  );
  await page.getByRole('textbox', { name: 'Area' }).fill('4000');
  await expect(page.getByText(/4000 is given; .* to 200.00 m² is possible/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Area' }).fill('14 ft2');
  await page.getByRole('button', { name: /Clear HS/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Open this ticket' }).click();
  await expect(page.getByRole('heading', { name: /Skerry 240 coupe, bonnet/ })).toBeVisible();
  await page.getByRole('button', { name: /^Film stack/ }).click();
  await expect(page.getByRole('button', { name: /Base 1.*planned/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await openTicketForm(page);
  await page.getByRole('button', { name: 'roof' }).click();
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  await expect(page.getByText(/bonnet, roof/)).toBeVisible();
});

test('75 typed with °C on is asked about, and a reading by hand goes before the probe', async ({
  page,
}) => {
  await page.goto('/tickets');
  await page
    .getByRole('row', { name: /Brant courier van, right side/ })
    .getByRole('link')
    .click();
  await page.getByRole('button', { name: 'Air', exact: true }).click();
  await openDrawer(page, 'Measured it yourself?');
  await page.getByRole('textbox', { name: 'Panel, measured' }).fill('75');
  await expect(page.getByText('75 °C? Unusual here.')).toBeVisible();
  await page.getByRole('button', { name: /No, 75 °F/ }).click();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByLabel('Air in Harbour booth').getByText(/by hand just now/)).toBeVisible();
  await expect(page.getByLabel('Air in Harbour booth').getByText('23.9')).toBeVisible();
});

test('each unit is switched on its own', async ({ page }) => {
  await page.goto('/settings');
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Temperature' }).click();
  await page.getByRole('option', { name: '°F' }).click();
  await page.getByRole('button', { name: 'Save for Nell' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByLabel('Air in Harbour booth').getByText('°F').first()).toBeVisible();
  await goTo(page, '/settings');
  await page.getByRole('combobox', { name: 'Temperature' }).click();
  await page.getByRole('option', { name: '°C' }).click();
  await page.getByRole('button', { name: 'Save for Nell' }).click();
  await expect(page.getByRole('button', { name: 'Save for Nell' })).toBeDisabled();
});

test('two tabs change the same gun: both sides are shown, and the painter chooses', async ({
  page,
  context,
}) => {
  const late = await context.newPage();
  for (const tab of [page, late]) {
    await tab.goto('/guns');
    await tab.getByRole('link', { name: /Curlew/ }).click();
    await tab.getByRole('link', { name: 'Describe it anew' }).click();
    await expect(tab.getByRole('textbox', { name: 'Note' })).toBeVisible();
  }
  await page.getByRole('textbox', { name: 'Note' }).fill('New needle fitted');
  await page.getByRole('button', { name: 'Save this gun' }).click();
  await expect(page.getByText('New needle fitted')).toBeVisible();
  await late.getByRole('textbox', { name: 'Note' }).fill('Needle bent');
  await late.getByRole('button', { name: 'Save this gun' }).click();
  const clash = late.getByRole('dialog');
  await expect(
    clash.getByRole('row', { name: /note Needle bent New needle fitted/ }),
  ).toBeVisible();
  await expectAccessible(late);
  await clash.getByRole('button', { name: 'Back to what I typed' }).click();
  await expect(late.getByRole('textbox', { name: 'Note' })).toHaveValue('Needle bent');
  await late.getByRole('button', { name: 'Save this gun' }).click();
  await clash.getByRole('button', { name: 'Put mine over theirs' }).click();
  await expect(late.getByText('Needle bent')).toBeVisible();
});

test('two tabs on one look card: what the late one typed stays, and both sides are shown', async ({
  page,
  context,
}) => {
  const id = await ownTicket('Plover estate, two tabs', 'sealer');
  await layCoat(id, 0, ['nothing']);
  const late = await context.newPage();
  for (const tab of [page, late]) {
    await tab.goto(`/tickets/${id}`);
    await tab.getByRole('button', { name: /Look$/ }).click();
    await openDrawer(tab, 'Done otherwise, note');
  }
  await late.getByRole('textbox', { name: 'Note' }).fill('nibs by the handle');
  await page.getByRole('textbox', { name: 'Note' }).fill('dust on the sill');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  // The late tab hears of it, and keeps what is typed there.
  await expect(page.getByText('The mix thickens in')).toBeVisible();
  await expect(late.getByRole('textbox', { name: 'Note' })).toHaveValue('nibs by the handle');
  await late.getByRole('button', { name: 'Keep the change' }).click();
  const clash = late.getByRole('dialog');
  await expect(
    clash.getByRole('row', { name: /note nibs by the handle dust on the sill/ }),
  ).toBeVisible();
  await clash.getByRole('button', { name: 'Put mine over theirs' }).click();
  await expect(late.getByText('The mix thickens in')).toBeVisible();
  await page.getByRole('button', { name: /Look$/ }).click();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('nibs by the handle');
});

test('the connection drops and comes back, and what is typed is kept', async ({
  page,
  context,
}) => {
  await page.goto('/tickets/new');
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('Tern 125 tank');
  await page.getByRole('combobox', { name: 'Body' }).click();
  await page.getByRole('option', { name: 'parts' }).click();
  await page.getByRole('button', { name: 'tank' }).click();
  await page.getByRole('button', { name: /Clear MS/ }).click();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Open this ticket' }).click();
  await expect(
    page.getByText(/No connection to the shop’s server\. Nothing was lost/),
  ).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Vehicle or part' })).toHaveValue('Tern 125 tank');
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Open this ticket' }).click();
  await expect(page.getByRole('heading', { name: /SW-\d+ · Tern 125 tank$/ })).toBeVisible();
});
