/**
 * What the painter and the shop say themselves: a per cent read in three ways, what tins cost, a
 * card with what was seen on it, a room that knows what can light vapour in it.
 */
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { passGate } from './coatAhead.ts';
import { passesOf } from '@orthochrom/core/prep/stepKinds.ts';
import { answerGate, openDrawer, ownTicket, press, steerProbe, TEN_O_CLOCK, goTo } from './shop.ts';
import { ADDRESS } from './shopServer.ts';
import { answerPrepUntil, tellPanels } from './walk.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

test('a per cent pours nothing until its basis is touched, and wants a word off the sheet', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, own dose', 'base', {
    sheetId: 'tarnside-wb-base',
    recipeName: 'adjuster by the grid',
    finish: 'solid',
  });
  await passGate(id);
  await page.goto(`/tickets/${id}`);
  await press(page, 'Air is right: on to the mix');
  await openDrawer(page, 'Other ways');
  const doses = page.getByRole('region', { name: 'By per cent' });
  const dose = doses.getByRole('textbox').first();
  await dose.fill('nine');
  await expect(doses.getByText(/neither a per cent .* nor parts to one/)).toBeVisible();
  await dose.fill('9:1');
  const readings = doses.getByRole('group').getByRole('button');
  await expect(readings).toHaveCount(3);
  await expect(doses.getByText(/until then nothing is poured for it/)).toBeVisible();
  const take = page.getByRole('button', { name: /Take this plan/ });
  await expect(take).toBeEnabled();
  await doses.getByRole('button', { name: /^of the paint/ }).click();
  await expect(
    doses.getByText(/11\.1 % of the paint = .* = 10\.0 % of the finished mix/),
  ).toBeVisible();
  await expect(take).toBeDisabled();
  await page.getByRole('textbox', { name: /a word why/ }).fill('Thick tin');
  await expectAccessible(page);
  await take.click();
  await press(page, 'As listed');
  await press(page, 'Mixed: the pot life runs');
  await expect(page.getByRole('button', { name: /Pattern even/ })).toBeVisible();
  const whole = (await (await fetch(`${ADDRESS}/api/tickets/${id}`)).json()) as {
    coats: { overrides: { dose?: { chosen: string; why: string } } }[];
    mixes: { poured: { ml: number }[] }[];
  };
  expect(whole.coats[0]!.overrides.dose).toMatchObject({ why: 'Thick tin' });
  const [paint, adjuster] = whole.mixes[0]!.poured;
  expect(adjuster!.ml / paint!.ml).toBeCloseTo(1 / 9, 1);
});

test('a tin’s price is what a ready litre and a job cost', async ({ page }) => {
  await page.goto('/sheets/tarnside-clear-ms');
  const tins = page.getByRole('region', { name: 'What a tin costs' });
  await tins.getByRole('textbox', { name: '1000 ml' }).fill('77');
  await tins.getByRole('textbox', { name: '5000 ml' }).fill('');
  await tins.getByRole('button', { name: 'Keep these prices' }).click();
  await expect(tins.getByRole('button', { name: 'Keep these prices' })).toBeDisabled();
  await goTo(page, '/sheets');
  await page.getByText('What a ready litre costs').click();
  await page.getByRole('combobox', { name: 'Product and recipe' }).first().click();
  await page
    .getByRole('option', { name: /Clear MS/ })
    .first()
    .click();
  await expect(page.getByRole('combobox', { name: /Clear MS/ })).toHaveValue(
    '1000 ml, £\u00a077.00',
  );
  await expectAccessible(page);
  const id = await ownTicket('Plover estate, priced', 'clear');
  await goTo(page, `/tickets/${id}/to-get`);
  const job = page.getByText(/^Paint of this job £/);
  await expect(job).toBeVisible();
  await expect(job).toContainText('Tins to buy £');
  const before = await job.textContent();
  await page.getByRole('textbox', { name: /Clear MS.* on the shelf/ }).fill('900');
  await expect(page.getByText('none: it is there')).toBeVisible();
  expect(await job.textContent()).not.toBe(before);
});

test('a card is kept with what was seen, and holds until one matches', async ({ page }) => {
  const id = await ownTicket('Plover estate, carded', 'base', { variant: 'B' });
  await tellPanels(id, { found: [{ history: 'factory', lastGrit: 'P600' }] });
  await answerPrepUntil(id, 'card');
  await page.goto(`/tickets/${id}`);
  await expect(page.getByRole('heading', { name: 'Spray a card' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Over' }).fill('Grey 2');
  await page.getByRole('textbox', { name: /^Seen in sun/ }).fill('too warm');
  await page.locator('input[type=file]').setInputFiles({
    name: 'card.png',
    mimeType: 'image/png',
    buffer: await page.screenshot(),
  });
  await expectAccessible(page);
  await press(page, 'It differs');
  const kept = page.getByRole('list', { name: 'Spray-out cards' }).first();
  await expect(kept.getByText(/over Grey 2.*“too warm”/)).toBeVisible();
  await expect(kept.getByRole('img')).toBeVisible();
  await expect(page.locator('[data-code="card-differs"]').first()).toBeVisible();
  expect(passesOf('card')).not.toContain('differs');
  await press(page, 'It matches');
  await expect(page.getByRole('heading', { name: /^Sand/ })).toBeVisible();
});

test('a room says where its air goes and what could light vapour; the gate knows it', async ({
  page,
}) => {
  await page.goto('/settings');
  const room = page.getByRole('region', { name: 'Loft booth' });
  await room.getByRole('button', { name: /in at the front, out at the rear/ }).click();
  const source = room.getByRole('textbox', { name: /^Can light vapour/ });
  await source.fill('Heater under the bench');
  await source.press('Enter');
  await room.getByRole('button', { name: 'Save Loft booth' }).click();
  await expect(room.getByRole('button', { name: 'Save Loft booth' })).toBeDisabled();
  await expectAccessible(page);
  const shop = page.getByRole('region', { name: 'The shop' });
  await shop.getByRole('textbox', { name: 'Its money' }).fill('€');
  await shop.getByRole('button', { name: 'Save the shop' }).click();
  await expect(shop.getByRole('button', { name: 'Save the shop' })).toBeDisabled();
  const id = await ownTicket('Plover estate, loft', 'clear');
  await goTo(page, `/tickets/${id}/edit`);
  await page.getByRole('combobox', { name: 'Room' }).click();
  await page.getByRole('option', { name: 'Loft booth' }).click();
  await press(page, 'Save this ticket');
  await expect(page.getByText(/Known in this room: Heater under the bench/)).toBeVisible();
  await press(page, 'Something could');
  await page.getByRole('checkbox', { name: 'Heater under the bench' }).check();
  await expect(page.locator('[data-code="ignition-near"]').first()).toBeVisible();
  // As it was, for the others of this shop.
  await goTo(page, '/settings');
  await shop.getByRole('textbox', { name: 'Its money' }).fill('£');
  await shop.getByRole('button', { name: 'Save the shop' }).click();
  await expect(shop.getByRole('button', { name: 'Save the shop' })).toBeDisabled();
});

test('a painter, a room, a cup and a job of one’s own, on to the first pour list', async ({
  page,
}) => {
  const settled = (name: string) =>
    expect(page.getByRole('button', { name, exact: true })).toBeDisabled();
  await page.goto('/settings');
  for (const [kind, name] of [
    ['painter', 'Ada'],
    ['room', 'Boat shed'],
    ['cup', 'Cup 500'],
  ] as const) {
    await page.getByRole('textbox', { name: `Another ${kind}` }).fill(name);
    await press(page, `Add this ${kind}`);
    await expect(page.getByRole('textbox', { name: `Another ${kind}` })).toHaveValue('');
  }
  const room = page.getByRole('region', { name: 'Boat shed' });
  await room.getByRole('combobox', { name: 'What it is' }).click();
  await page.getByRole('option', { name: 'booth', exact: true }).click();
  await room.getByRole('combobox', { name: 'Extraction it has' }).click();
  await page.getByRole('option', { name: 'a booth’s own' }).click();
  await room.getByRole('button', { name: 'Save Boat shed' }).click();
  await settled('Save Boat shed');
  const cup = page.getByRole('region', { name: 'Cup 500' });
  await cup.getByRole('textbox', { name: 'Holds to its top mark' }).fill('500');
  await cup.getByRole('button', { name: 'Save Cup 500' }).click();
  await settled('Save Cup 500');

  await goTo(page, '/tickets/new');
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('Plover estate, own shop');
  await page.getByRole('combobox', { name: 'Room' }).click();
  await page.getByRole('option', { name: 'Boat shed' }).click();
  await page.locator('[data-panel="hood"]').click();
  await press(page, /^Solvent base, solid/);
  await press(page, 'Open this ticket');
  await page.waitForURL(/\/tickets\/[0-9a-f-]{36}$/);
  await page.getByRole('listitem').getByRole('button', { name: 'Gate', exact: true }).click();
  await answerGate(page);
  await press(page, 'Air is right: on to the mix');
  await openDrawer(page, 'Other ways');
  await page.getByRole('combobox', { name: 'Cup' }).click();
  await page.getByRole('option', { name: 'Cup 500, 500 ml' }).click();
  await expect(page.getByRole('columnheader', { name: 'Fill to' })).toBeVisible();
  await expect(page.getByText(/^One cup, \d+ ml/)).toBeVisible();
});
