/**
 * The long jobs: silver and a blend over a day that warms, a whole body in sections with the air
 * from either end, heat that waits for its heaviest panel.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { layCoat, passGate } from './coatAhead.ts';
import { bodyMap } from '@orthochrom/core/body/bodyMap.ts';
import { choose, openDrawer, ownTicket, press, steerProbe, TEN_O_CLOCK } from './shop.ts';
import { letDaysPass, roomOf, setRoom, tellPanel, wholeBody } from './walk.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));
test.afterEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

const step = (page: Page, name: RegExp) =>
  page.getByRole('listitem').getByRole('button', { name }).click();
const toCoat = async (page: Page, name: RegExp) => {
  await page.getByRole('button', { name: /^Film stack/ }).click();
  await page.getByRole('dialog').getByRole('button', { name }).click();
  await page.keyboard.press('Escape');
};

test('silver over three panels, one a blend, while the day warms: every coat its own', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, warming silver', 'base', { coats: 3 });
  await tellPanel(id, 'leftFrontFender', { scope: 'blend' });
  await steerProbe({ shiftC: -3 });
  await layCoat(id, 0, ['nothing']);
  await steerProbe({ shiftC: 0 });
  await layCoat(id, 1, ['nothing']);
  await steerProbe({ shiftC: 4 });
  await page.goto(`/tickets/${id}`);
  await expect(page.getByRole('heading', { name: 'Base · coat 3 of 3' })).toBeVisible();
  await expect(page.locator('[data-coat-kind="drop"]')).toBeVisible();
  // The gate was passed today, and the cup still lives.
  await press(page, /^Air is right/);
  await press(page, /Take this plan/);
  await press(page, /Pattern even: spray/);
  await openDrawer(page, 'How to lay it');
  await expect(page.getByText(/further back/).first()).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Order of panels' }).locator('ol > li'),
  ).toHaveCount(3);
  await expectAccessible(page);
});

test('a whole body in one colour is mixed cup by cup and goes from where the air comes', async ({
  page,
}) => {
  const ends = async (airflow: 'frontToRear' | 'rearToFront') => {
    const id = await wholeBody(`Plover estate, whole, ${airflow}`, 'saloon');
    const room = await roomOf(id);
    await setRoom({ ...room, airflow });
    await passGate(id);
    await page.goto(`/tickets/${id}`);
    await press(page, /^Air is right/);
    await openDrawer(page, 'Other ways');
    const cups = page.getByRole('region', { name: 'How much' }).locator('ol > li');
    await expect(cups.first()).toBeVisible();
    const batches = await cups.count();
    await press(page, /Take this plan/);
    await press(page, 'As listed');
    await press(page, 'Mixed: the pot life runs');
    await press(page, /Pattern even/);
    await press(page, /^Test panel good/);
    await press(page, /start spraying/);
    await expect(page.locator('[data-next]')).toBeVisible();
    await openDrawer(page, 'Order, gauge');
    const order = page.getByRole('region', { name: 'Order of panels' }).locator('ol > li');
    const names = await order.allInnerTexts();
    await press(page, 'The coat is on');
    await setRoom(room);
    return { first: names[0]!, count: names.length, batches };
  };
  const along = await ends('frontToRear');
  const against = await ends('rearToFront');
  expect(along.batches).toBeGreaterThanOrEqual(2);
  expect(along.count).toBeGreaterThanOrEqual(bodyMap('saloon').panels.length);
  expect(along.first).toMatch(/front|hood/);
  expect(against.first).toMatch(/rear|quarter|trunk/);
});

test('heat waits for its heaviest panel, and no panel gets more than the car bears', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, heavy sill', 'clear');
  await tellPanel(id, 'leftFrontDoor', { build: 'heavyMetal' });
  for (const nth of [0, 1]) await layCoat(id, nth, ['nothing']);
  await letDaysPass(id, 1);
  await page.goto(`/tickets/${id}`);
  await toCoat(page, /^Clear 2/);
  await step(page, /Flash/);
  await openDrawer(page, 'Drying, comb');
  await page.getByText('Heat it', { exact: true }).click();
  await choose(page, 'Extraction before heat', 'Running');
  await choose(page, 'Vapour out', 'Yes');
  await page.getByRole('textbox', { name: /what the car bears/ }).fill('50 °C');
  await press(page, 'Begin heat');
  const heat = page.getByRole('region', { name: 'Heat', exact: true });
  await expect(heat.getByText('Heat was begun at')).toContainText('50');
  await expect(heat.locator('[data-setting="warming"]')).toContainText('left front door has it');
  await expect(page.locator('[data-code="heavy-part-lags"]').first()).toBeVisible();
  await expect(page.locator('[data-code="bake-cooler-longer"]').first()).toBeVisible();
  await expectAccessible(page);
});
