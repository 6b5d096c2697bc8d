/**
 * Guns and air: a gun from nothing to its first coat, a painter with only a wall gauge, a garage
 * whose compressor cannot hold.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import {
  answerGate,
  choose,
  openDrawer,
  openTicketForm,
  passTestGate,
  pick,
  steerProbe,
  TEN_O_CLOCK,
  pullTrigger,
  goTo,
} from './shop.ts';
import { makeReady } from './walk.ts';
import { ADDRESS } from './shopServer.ts';

test.beforeEach(async () => {
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
});

const beThePainter = async (page: Page, name: string) => {
  await page.getByRole('button', { name: /^Painter:/ }).click();
  await page.getByRole('menuitem', { name }).click();
};
const openTicket = async (page: Page, vehicle: RegExp) => {
  await page.goto('/tickets');
  await page.getByRole('row', { name: vehicle }).first().getByRole('link').click();
};
const steerGauge = (change: object) =>
  fetch(`${ADDRESS}/api/gauge`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(change),
  });

test('a gun from nothing: described, tested on paper, caught, and on to its first coat', async ({
  page,
}) => {
  await page.goto('/guns');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'New gun' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Plover');
  // What nobody makes is refused, what is unlike its kind is asked about.
  await page.getByRole('textbox', { name: 'Nozzle' }).fill('5');
  await expect(page.getByText(/0.2 mm to 3.5 mm is possible/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Nozzle' }).fill('1.8');
  await page.getByRole('textbox', { name: 'Rated at the inlet' }).fill('65 psi');
  await expect(page.getByText(/far over what such a gun is rated at/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Rated at the inlet' }).fill('9.5 psi');
  await expect(page.getByText(/Was the cap’s pressure typed/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Rated at the inlet' }).fill('22 psi');
  await page.getByRole('textbox', { name: 'At the cap, at that rating' }).fill('9.8 psi');
  await page.getByRole('textbox', { name: 'Air it draws there' }).fill('12.5 cfm');
  await page.getByRole('textbox', { name: 'Needle travel, turns' }).fill('4');
  await page.getByRole('textbox', { name: 'Fan knob travel, turns' }).fill('2 1/2');
  await page.getByLabel('Primer', { exact: true }).check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save this gun' }).click();

  // Its first pattern is no knob: the cap.
  await page.getByRole('link', { name: 'Pattern on paper, 1.8 mm: test now' }).click();
  await expect(page.getByRole('button', { name: 'Bent like a moon' })).toBeHidden();
  await passTestGate(page, /sealer/i);
  await page.getByRole('button', { name: 'Bent like a moon' }).click();
  await expect(page.getByText(/Turn the cap half a turn/)).toBeVisible();
  await page.getByRole('button', { name: 'Even oval' }).click();
  await expect(page.getByText(/leave it as it is and count the turns/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this test' }).click();
  await expect(page.getByText(/even oval, today/)).toBeVisible();

  // The catch moves its paint and narrows it; a needle beyond its travel is caught before.
  await page.getByRole('link', { name: 'Catch test, 1.8 mm: test now' }).click();
  await passTestGate(page, /sealer/i);
  await page.getByRole('textbox', { name: 'At the gun’s inlet, trigger pulled' }).fill('22');
  await page.getByRole('textbox', { name: /^Needle out/ }).fill('6');
  await expect(page.getByText(/further out than the knob goes/)).toBeVisible();
  await page.getByRole('textbox', { name: /^Needle out/ }).fill('3 1/2');
  await page.getByRole('textbox', { name: /^Fan out/ }).fill('2');
  await page.getByRole('textbox', { name: 'Seconds caught' }).fill('30');
  await page.getByRole('textbox', { name: 'Caught', exact: true }).fill('95');
  await expect(
    page.getByLabel('What it tells').getByText(/Paint, as this gun would be set/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep this test' }).click();
  await expect(page.getByText(/190 ml a minute at 3½ turns/)).toBeVisible();
  await expectAccessible(page);

  // First coat with it.
  await openTicket(page, /Skerry 240 coupe, 1968/);
  await answerGate(page);
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  await openDrawer(page, 'Other ways');
  await pick(page, 'Gun', 'Plover');
  await expect(page.locator('[data-setting="wall"]')).toContainText('Harbour drop');
  await expect(page.locator('[data-setting="out"]')).toContainText('at the cap');
  await page.getByRole('button', { name: 'Mix', exact: true }).click();
  await page.getByRole('button', { name: /Take this plan/ }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();

  // It looks spotty: one change, taken over as an override with its why.
  const fan = page.locator('[data-setting="fanTurnsOut"]');
  await page.getByRole('button', { name: 'Too wet, drifting' }).click();
  await expect(page.locator('[data-knob]').first()).toContainText('Hand');
  await page.getByRole('button', { name: 'Too wet, drifting' }).click();
  const onTheGun = page.getByRole('group', { name: 'On the gun' });
  await onTheGun.getByRole('button', { name: 'Fan lies the wrong way' }).click();
  await expect(onTheGun.getByRole('link', { name: 'Put it together' })).toHaveAttribute(
    'href',
    /care\/reassembled$/,
  );
  await onTheGun.getByRole('button', { name: 'Fan lies the wrong way' }).click();
  await page.getByRole('button', { name: 'Heavy in the middle' }).click();
  await expect(page.locator('[data-knob]').first()).toContainText(
    'Fan: 2¼ turns out → 2½ turns out',
  );
  await page.getByRole('button', { name: 'Set it so, and shoot again' }).click();
  await expect(fan).toContainText('looked heavy in the middle');
  await pullTrigger(page);
  await expect(page.locator('[data-setting="flowing"]')).toContainText(
    'At the gun, stand-in gauge',
  );
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await goTo(page, '/guns');
  await expect(page.getByRole('link', { name: /Plover/ })).toContainText('Clean before');
});

test('a painter with only a wall gauge reads what it must show, and makes the line his own', async ({
  page,
}) => {
  await page.goto('/');
  await beThePainter(page, 'Osric');
  await openTicket(page, /Tern 125 tank, transparent red/);
  await answerGate(page);
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: 'Gun', exact: true }).click();
  const wall = page.locator('[data-setting="wall"]');
  await expect(wall).toContainText('by your own two gauges');
  const [wallBar, gunBar] = await Promise.all(
    ['wall', 'inletKPa'].map(async (name) =>
      parseFloat(await page.locator(`[data-setting="${name}"] .figure`).innerText()),
    ),
  );
  expect(wallBar).toBeGreaterThan(gunBar!);

  // A thicker hose is fitted: the old loss says nothing any more, and two gauges make it known
  // again.
  await wall.getByRole('link', { name: 'Loft drop' }).click();
  await expect(page.getByRole('img', { name: /Pressure from the wall/ })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: '12.7 mm hose' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Describe it anew' }).click();
  await page.getByRole('textbox', { name: 'Hose, inside diameter' }).fill('0');
  await expect(page.getByText(/3 mm to 32 mm is possible/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Hose, inside diameter' }).fill('1/2 in');
  await page.getByRole('button', { name: 'Save this line' }).click();
  await expect(page.getByText(/12.7 mm hose/).first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Wall, trigger pulled' }).fill('1,4');
  await page.getByRole('textbox', { name: 'Gun, trigger pulled' }).fill('1,6');
  await expect(page.getByText(/Were two readings swapped/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Wall, trigger pulled' }).fill('1,6');
  await page.getByRole('textbox', { name: 'Gun, trigger pulled' }).fill('1,4');
  await expect(page.getByText(/is lost\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText(/now 13 %, read/)).toBeVisible();
  await beThePainter(page, 'Nell');
});

test('by ear: from little air upwards, stopped when the spots are gone, kept as a baseline', async ({
  page,
}) => {
  const setup = (await (await fetch(`${ADDRESS}/api/setup`)).json()) as {
    painters: { id: string; name: string; way: object }[];
  };
  const { id, ...wilf } = setup.painters.find(({ name }) => name === 'Wilf')!;
  const reply = await fetch(`${ADDRESS}/api/painters/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...wilf, way: { ...wilf.way, gauge: 'byEar' } }),
  });
  expect(reply.ok).toBe(true);
  await page.goto('/');
  await beThePainter(page, 'Wilf');
  await openTicket(page, /Tern 125 tank, transparent red/);
  // He may have answered the gate earlier in the day.
  const gun = page.getByRole('button', { name: 'Gun', exact: true });
  await expect(gun).toBeVisible();
  if (await page.getByRole('radiogroup', { name: 'Breathing' }).isVisible()) await answerGate(page);
  await gun.click();
  await openDrawer(page, 'Other ways');
  const byEar = page.getByLabel('By ear');
  await byEar.getByRole('button', { name: /^Spots/ }).click();
  await byEar.getByRole('button', { name: /^Spots/ }).click();
  await byEar.getByRole('button', { name: /^Fine/ }).click();
  await expect(byEar.getByText(/2 eighths of a turn up/)).toBeVisible();
  await byEar.getByRole('button', { name: 'Keep this as my baseline' }).click();
  await expect(page.getByText(/for this product and set, by ear/)).toBeVisible();
  await beThePainter(page, 'Nell');
});

test('a garage whose compressor cannot hold says when, and the coat keeps how low it fell', async ({
  page,
}) => {
  await page.goto('/guns');
  await page.getByRole('link', { name: /Shed hose/ }).click();
  await pick(page, 'For the gun', 'Heron');
  const job = page.getByLabel('Compressor over the job');
  await expect(job.getByText('Short of air after')).toBeVisible();
  await expect(job.getByText(/The tank falls short after/)).toBeVisible();
  await pick(page, 'For the gun', 'Wren');
  await expect(job.getByText('Holds for')).toBeVisible();
  await expectAccessible(page);

  await steerProbe({ minute: 780 });
  await openTicket(page, /Brant courier van, right side/);
  await openTicketForm(page);
  await pick(page, 'Room', 'Net shed');
  await page.getByRole('button', { name: 'Save this ticket' }).click();
  await expect(page).toHaveURL(/tickets\/[0-9a-f-]+$/);
  await makeReady(page);
  await choose(page, 'Breathing', 'Cartridge');
  await choose(page, 'Extraction', 'Rated fan');
  await choose(page, 'Bystanders', 'No');
  await choose(page, 'Floor', 'Clear');
  await page.getByRole('button', { name: 'Passed: on to the air' }).click();
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: /Take this plan/ }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  await page.getByRole('button', { name: /^Mixed/ }).click();
  await pullTrigger(page);
  await steerGauge({ secondsPerSecond: 60 });
  await expect(page.getByText(/The pressure is sinking/)).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await steerGauge({ secondsPerSecond: 1 });
  await expect(page.getByRole('timer')).toBeVisible();
  await goTo(page, '/records');
  await page
    .getByRole('row', { name: /Brant courier van, right side/ })
    .first()
    .getByRole('link')
    .click();
  await expect(page.getByText(/the air could not keep up/)).toBeVisible();
});
