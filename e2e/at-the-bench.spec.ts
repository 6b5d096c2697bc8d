/**
 * At the bench, in gloves: every step on one screen, the next action in its place, the figure that
 * matters read from two metres, few touches, and a clock that calls.
 */
import { expect, test, type Page } from '@playwright/test';
import { passGate, pourNext, startNext } from './coatAhead.ts';
import { hiddenOn, notSeenOnPhone } from './inSight.ts';
import {
  answerGate,
  choose,
  endFlashIn,
  letMinutesPass,
  openDrawer,
  ownTicket,
  press,
  steerProbe,
  TEN_O_CLOCK,
  goTo,
} from './shop.ts';
import { tooNear, tooSmallToTouch } from './touch.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 768, height: 1024 },
];
/** A ten-inch tablet of this size: pixels in a millimetre. */
const pixelsPerMm = ({ width, height }: { width: number; height: number }) =>
  Math.hypot(width, height) / 254;
/** Of the letters the app ships: cap height over size. */
const CAP = 0.7;

const PHONE = { width: 390, height: 844 };
const inBooth = async (page: Page, isOn: boolean) => {
  const { name } = isOn ? { name: 'Booth' } : { name: 'Office' };
  await page.getByRole('button', { name, exact: true }).click();
};

const ACTION_AT = new Map<string, number>();
/** All of a step is seen at every size, by day and in the booth; its action does not move. */
async function expectWhole(page: Page, step: string, { isAloft = false } = {}): Promise<void> {
  for (const isBooth of [false, true]) {
    if (isBooth) await inBooth(page, true);
    for (const size of SIZES) {
      await page.setViewportSize(size);
      const where = `${step}, ${isBooth ? 'booth' : 'office'}, ${size.width}`;
      await expect.poll(() => hiddenOn(page), { message: where }).toEqual([]);
      const action = page.locator('[data-action] button');
      const box = (await action.count()) > 0 ? await action.boundingBox() : null;
      if (box) {
        const { x, y, height } = box;
        const key = `${isBooth}${size.width}`;
        expect(Math.round(x), where).toBe(ACTION_AT.get(`${key}x`) ?? Math.round(x));
        const foot = Math.round(y + height);
        expect(Math.abs(foot - (ACTION_AT.get(key) ?? foot)), where).toBeLessThanOrEqual(1);
        ACTION_AT.set(`${key}x`, Math.round(x)).set(key, foot);
        expect(height, where).toBeGreaterThanOrEqual(48);
      }
      if (isBooth) await expectReadable(page, size, where, isAloft);
      // The map grows what is touched once it knows its new size.
      await expect.poll(() => tooSmallToTouch(page), { message: where }).toEqual([]);
      await expect.poll(() => tooNear(page), { message: where }).toEqual([]);
    }
    await page.setViewportSize(PHONE);
    const phone = `${step}, ${isBooth ? 'booth' : 'office'}, a phone`;
    await expect.poll(() => notSeenOnPhone(page), { message: phone }).toEqual([]);
    await page.setViewportSize(SIZES[0]!);
    if (isBooth) await inBooth(page, false);
  }
}

/** 25 mm for the figure that matters, 9 mm for what is needed while spraying. */
async function expectReadable(
  page: Page,
  size: (typeof SIZES)[number],
  where: string,
  isAloft: boolean,
): Promise<void> {
  const capsMm = (selector: string) =>
    page
      .locator(`[data-work] ${selector}`)
      .evaluateAll((all) => all.map((one) => parseFloat(getComputedStyle(one).fontSize)))
      .then((sizes) => sizes.map((px) => (px * CAP) / pixelsPerMm(size)));
  const LEAD = '[data-lead][data-figure], [data-lead] [data-figure]';
  // What leads is drawn once the step knows its size; only then there is something to read.
  if (isAloft) await expect.poll(() => capsMm(LEAD), { message: where }).toHaveLength(1);
  const lead = await capsMm(LEAD);
  for (const mm of lead) expect(mm, where).toBeGreaterThanOrEqual(24.9);
  if (!isAloft) return;
  for (const mm of await capsMm('[data-figure]')) expect(mm, where).toBeGreaterThanOrEqual(8.9);
}

test('a clear asks for a test panel: whole on one screen, and the turns found there are set', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, test panel', 'clear');
  await pourNext(id);
  await page.goto(`/tickets/${id}`);
  await page.getByRole('button', { name: /Pattern even: on to the test panel/ }).click();
  await expectWhole(page, 'test panel', { isAloft: true });
  await page.getByRole('button', { name: 'None today' }).click();
  await expect(page.getByRole('button', { name: 'Go on without one' })).toBeDisabled();
  await page.getByRole('button', { name: 'Spray one' }).click();
  await page.getByRole('button', { name: 'A quarter turn in' }).click();
  await page.getByRole('button', { name: /^Test panel good/ }).click();
  await expect(page.getByRole('button', { name: 'Start spraying' })).toBeEnabled();
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  await expect(page.locator('[data-setting="fluidTurnsOut"]')).toContainText(
    'found on the test panel',
  );
});

test('every step of a coat is whole on one screen, by day and in the booth', async ({ page }) => {
  const id = await ownTicket('Plover estate, one screen', 'sealer');
  await page.goto(`/tickets/${id}`);
  await expect(page.getByRole('radiogroup', { name: 'Breathing', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Prep', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Wash' })).toBeVisible();
  await expectWhole(page, 'prep');
  await page.getByRole('button', { name: 'Gate', exact: true }).click();
  await expectWhole(page, 'gate');
  await choose(page, 'Breathing', 'Air-fed');
  await expectWhole(page, 'gate, air-fed');
  await answerGate(page);
  await expectWhole(page, 'air');
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await expectWhole(page, 'mix');
  await page.getByRole('button', { name: /Take this plan/ }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  await expectWhole(page, 'pour');
  await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();
  await expect(page.locator('[data-setting="inletKPa"]')).toBeVisible();
  await expectWhole(page, 'gun', { isAloft: true });
  await page.getByRole('button', { name: /Pattern even/ }).click();
  await expectWhole(page, 'ready', { isAloft: true });
  await page.getByRole('button', { name: 'Start spraying' }).click();
  await expect(page.getByText('Spraying for')).toBeVisible();
  await expectWhole(page, 'spraying', { isAloft: true });
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await expectWhole(page, 'flash');
  await letMinutesPass(60);
  await page.reload();
  await choose(page, 'The face says', 'Dry');
  await choose(page, 'The edges say', 'Dry');
  await page.getByRole('button', { name: 'Dry, edges too: confirmed' }).click();
  await expect(page.getByText('Nothing wrong', { exact: true })).toBeVisible();
  await expectWhole(page, 'look');
  await page.getByRole('button', { name: 'Nothing wrong, good: log this coat' }).click();
  await expect(page.getByText(/The mix thickens in/)).toBeVisible();
  await expectWhole(page, 'clean, what is left');
  await press(page, 'Not measured: on to the gun');
  await expectWhole(page, 'clean');
  // The longest of them.
  await press(page, 'Done');
  await expectWhole(page, 'clean, back-flush');
});

test('what is drawn beside a step stays as it was left, and covers no action', async ({ page }) => {
  const id = await ownTicket('Plover estate, drawer', 'sealer');
  await passGate(id);
  await page.goto(`/tickets/${id}`);
  await openDrawer(page, 'Why');
  const why = page.getByRole('complementary', { name: 'Why' });
  await expect(why).toBeVisible();
  await page.setViewportSize(SIZES[1]!);
  const action = page.getByRole('button', { name: 'Air is right: on to the mix' });
  await expect(action).toBeInViewport({ ratio: 1 });
  await page.reload();
  await expect(why).toBeVisible();
  await action.click();
});

test('few touches: to the pour list, to the gun, to a running flash, a coat logged', async ({
  page,
}) => {
  const vehicle = 'Plover estate, few touches';
  const id = await ownTicket(vehicle, 'sealer');
  let touches = 0;
  const touch = async (name: string | RegExp, role: 'button' | 'link' | 'checkbox' = 'button') => {
    await page.getByRole(role, { name }).click();
    touches += 1;
  };
  // The gate has been answered for this stage, room and painter today.
  await page.goto(`/tickets/${id}`);
  await answerGate(page);

  await goTo(page, '/');
  await touch(new RegExp(vehicle), 'link');
  await touch('Air is right: on to the mix');
  await expect(page.getByRole('columnheader', { name: 'Pour', exact: true })).toBeVisible();
  expect(touches, 'Today to the pour list').toBeLessThanOrEqual(3);

  touches = 0;
  await touch(/Take this plan/);
  await touch('As listed');
  await touch('Mixed: the pot life runs');
  await expect(page.getByText('Needle out, from closed')).toBeVisible();
  expect(touches, 'to the gun’s figures').toBeLessThanOrEqual(3);

  touches = 0;
  await touch(/Pattern even/);
  await touch('Start spraying');
  await touch('The coat is on');
  await expect(page.getByRole('timer')).toBeVisible();
  expect(touches, 'to a running flash').toBeLessThanOrEqual(3);

  await letMinutesPass(60);
  await page.reload();
  await choose(page, 'The face says', 'Dry');
  await choose(page, 'The edges say', 'Dry');
  await page.getByRole('button', { name: 'Dry, edges too: confirmed' }).click();
  touches = 0;
  await touch('Done otherwise, note');
  await page.getByRole('textbox', { name: 'Distance' }).fill('150');
  touches += 1;
  await touch('Nothing wrong, good: log this coat');
  await expect(page.getByText(/The mix thickens in/)).toBeVisible();
  expect(touches, 'one figure corrected and logged').toBeLessThanOrEqual(3);
});

test('a clock that ends is flashed whole until it is touched, and the title says the minutes', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, clock', 'sealer');
  await startNext(id);
  await page.goto(`/tickets/${id}`);
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(page).toHaveTitle(/^\d+ min left/);
  await endFlashIn(id, 8);
  // On whatever page the tablet is.
  await page.goto('/tickets');
  const alarm = page.getByRole('alertdialog', { name: 'Time is up' });
  await expect(alarm).toContainText('Plover estate, clock');
  await expect(page).toHaveTitle(/^Time is up/);
  // Less motion is asked for, as in all journeys; who does not ask is called by all of the screen.
  const moving = () => page.evaluate(() => document.getAnimations().length);
  // What waits for an answer slides its word away, a part of the library that knows no better.
  const slides = () =>
    page
      .locator('.mantine-Button-inner')
      .first()
      .evaluate((word) => getComputedStyle(word).transitionDuration !== '0s');
  expect([await moving(), await slides()]).toEqual([0, false]);
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await expect.poll(moving).toBeGreaterThan(0);
  expect(await slides()).toBe(true);
  await alarm.getByRole('button', { name: 'Quiet on this tablet' }).click();
  await alarm.getByRole('button', { name: 'I heard it' }).click();
  await expect(alarm).toBeHidden();
});
