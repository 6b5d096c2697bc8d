/**
 * Round the car: which panel comes next and which way, the booth turned, a wrong touch taken back,
 * by keyboard alone; the look on the next day, and a nib cut with the film counted.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat, startNext } from './coatAhead.ts';
import { openDrawer, ownTicket, press, steerProbe, TEN_O_CLOCK, goTo } from './shop.ts';
import { endTheNight, letDaysPass, roomOf, setRoom } from './walk.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

const next = (page: Page) => page.locator('[data-next]');
const onTheCar = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Round the car' }).getByRole('button', { name, exact: true });
async function sprayOwn(page: Page, vehicle: string): Promise<string> {
  const id = await ownTicket(vehicle, 'base', { coats: 1 });
  await startNext(id);
  await page.goto(`/tickets/${id}`);
  return id;
}

test('the next panel stands out; a wrong touch is taken back; edges count down', async ({
  page,
}) => {
  await sprayOwn(page, 'Plover estate, round it');
  await expect(next(page)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Done: left / })).toBeEnabled();
  const first = (await next(page).innerText()).trim();
  await expect(page.getByRole('button', { name: first, exact: true })).toHaveAttribute(
    'aria-current',
    'step',
  );
  await press(page, `Done: ${first}`);
  await expect(onTheCar(page, `${first}, done`)).toBeVisible();
  await onTheCar(page, `${first}, done`).click();
  await press(page, 'It is not on');
  await expect(onTheCar(page, first)).toBeVisible();
  await press(page, `Done: ${first}`);
  await expect(page.locator('[data-setting="edge"] [data-figure]')).toHaveText(/^\d\d:\d\d/);
  await expect(page.locator('[data-setting="edge"]')).toContainText('waits for');
  await expectAccessible(page);
  await openDrawer(page, 'Order, gauge');
  const order = page.getByRole('region', { name: 'Order of panels' });
  await expect(order.getByRole('listitem').first()).toContainText(`${first}, done`);
});

test('the booth turned round turns the order', async ({ page }) => {
  const firstWith = async (airflow: 'frontToRear' | 'rearToFront') => {
    const id = await ownTicket(`Plover estate, air ${airflow}`, 'base', { coats: 1 });
    const room = await roomOf(id);
    await setRoom({ ...room, airflow });
    await startNext(id);
    await page.goto(`/tickets/${id}`);
    await expect(next(page)).toBeVisible();
    const first = await next(page).getAttribute('data-next');
    await setRoom(room);
    return first;
  };
  expect(await firstWith('frontToRear')).toBe('leftFrontFender');
  expect(await firstWith('rearToFront')).toBe('leftRearDoor');
});

test('a car is sprayed through by keyboard alone', async ({ page }) => {
  await sprayOwn(page, 'Plover estate, keys');
  await expect(next(page)).toBeVisible();
  const current = page.locator('[data-panel][aria-current="step"]');
  for (let left = 3; left > 0; left -= 1) {
    const panel = (await current.getAttribute('data-panel'))!;
    await page.locator(`[data-panel="${panel}"]`).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator(`[data-panel="${panel}"]`)).toHaveAttribute('aria-label', /, done$/);
  }
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('All of it is on')).toBeVisible();
  await press(page, 'The coat is on');
  await expect(page.getByRole('timer')).toBeVisible();
});

test('looked at again on the next day, a nib is cut with the film counted, then it closes', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, next day', 'clear');
  for (const nth of [0, 1]) await layCoat(id, nth, ['nothing']);
  await page.goto(`/tickets/${id}`);
  await page.getByRole('button', { name: /^Film stack/ }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Clear 2/ })
    .click();
  await page.keyboard.press('Escape');
  await page.getByRole('listitem').getByRole('button', { name: 'Clean', exact: true }).click();
  await press(page, 'All done');
  await press(page, 'The gun is clean');
  await expect(page.getByText(/Look again from/)).toBeVisible();
  await press(page, 'Close it before that look …');
  await expect(page.getByRole('button', { name: 'Close the ticket' })).toBeDisabled();

  await letDaysPass(id, 30);
  await endTheNight(id);
  await page.goto('/');
  await expect(page.getByText('look again: it is due')).toBeVisible();
  await page.getByRole('link', { name: /Plover estate, next day/ }).click();
  await page.getByRole('listitem').getByRole('button', { name: 'Clean', exact: true }).click();
  const look = page.getByRole('region', { name: 'Look again' });
  await look.getByRole('button', { name: 'Dust' }).click();
  await expectAccessible(page);
  await press(page, 'Looked again');

  const cut = page.getByRole('region', { name: 'Cut and polish' });
  await expect(cut.getByText(/may be taken off|Nobody knows|could leave/).first()).toBeVisible();
  await cut.getByText('no print', { exact: true }).click();
  await cut.getByRole('textbox', { name: /Clear by the gauge/ }).fill('60 µm');
  await expect(cut.getByText('Cut and polish it.')).toBeVisible();
  await expectAccessible(page);
  await cut.getByRole('button', { name: /^Done: Nib file/ }).click();
  await expect(cut.getByText(/Nib file.*: done/)).toBeVisible();
  await cut.getByRole('textbox', { name: 'Left by the gauge after it' }).fill('45.2 µm');
  await cut.getByRole('button', { name: /^Done: Soft pad/ }).click();
  await expect(cut.getByText(/could leave/)).toBeVisible();
  await press(page, 'All coats logged: close the ticket');
  await expect(page.getByRole('heading', { name: 'Tickets' })).toBeVisible();

  // All of it stands in the record.
  await goTo(page, '/records?text=next%20day&stage=clear');
  await page.getByRole('row').filter({ hasText: 'Dust' }).getByRole('link').first().click();
  const found = page.getByRole('region', { name: 'What was found' });
  await expect(found.getByText(/^Looked at again/)).toBeVisible();
  await expect(found.getByText(/Soft pad: 45 µm left/)).toBeVisible();
});
