/**
 * npm run screenshots [ADDRESS]: draws docs/screenshots anew from a freshly started shop, walking
 * one coat of the demo. It logs that coat, so give it a shop of its own: npm start -- --port 4355
 * --data /tmp/pictures
 */
import { chromium } from '@playwright/test';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { CHROMIUM } from './chromium.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:4355';
const folder = path.join(
  path.dirname(path.dirname(fileURLToPath(import.meta.url))),
  'docs/screenshots',
);
const browser = await chromium.launch({
  executablePath: CHROMIUM.path,
  chromiumSandbox: false,
  args: ['--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

const steer = (change) =>
  fetch(`${base}/api/probe`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ minutesPerSecond: 0, ...change }),
  });
const settle = () => page.waitForTimeout(900);
const shoot = async (name) => {
  await settle();
  await page.mouse.move(2, 2);
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
};
const choose = (group, answer) =>
  page.getByRole('radiogroup', { name: group }).getByText(answer, { exact: true }).click();
const press = (name) => page.getByRole('button', { name }).click();

await steer({ minute: 455 });
await page.goto(base);
await shoot('today');
const openTicket = async (name) => {
  await page.goto(`${base}/tickets`);
  await page.getByRole('row', { name }).getByRole('link').click();
  await page.waitForURL(/tickets\/[0-9a-f-]+$/);
  return page.url();
};
const filledDoor = await openTicket(/Linnet hatchback, filled door/);
await press('Done');
await page.getByRole('heading', { name: 'Degrease' }).waitFor();
await press('Done');
await press('Nothing found');
await page.getByRole('heading', { name: /^Sand/ }).waitFor();
await shoot('prep');
await page.goto(`${filledDoor}/edit`);
await page.locator('[data-panel="rightRearDoor"]').click();
await page.locator('[data-panel="rightFrontDoor"]').click();
await page.locator('[data-panel="rightFrontDoor"]').scrollIntoViewIfNeeded();
await page.getByRole('textbox', { name: 'Wanted by' }).scrollIntoViewIfNeeded();
await shoot('take-in');
await page.goto(`${base}/day`);
await page.getByRole('img').first().waitFor();
await shoot('day');
const leftSide = await openTicket(/Linnet hatchback, left side/);
await page.goto(`${leftSide}/edit`);
await page.getByRole('region', { name: 'Which shade under the colour' }).scrollIntoViewIfNeeded();
await shoot('ground');
await page.goto(`${base}/sheets/new`);
await shoot('sheet-form');
await page.goto(`${base}/tickets`);
await page
  .getByRole('row', { name: /Linnet hatchback, left side/ })
  .getByRole('link')
  .click();
await choose('Breathing', 'Cartridge');
await shoot('ticket-gate');
await choose('Breathing', 'Air-fed');
for (const group of ['Breathing air', 'Skin covered', 'Eyes covered']) await choose(group, 'Yes');
await choose('Extraction', 'Running');
await choose('Bystanders', 'No');
await choose('Floor', 'Clear');
await page.getByLabel('I looked: none').check();
await press('Passed: on to the air');
await steer({ minute: 600 });
await press('Air is right: on to the mix');
await press('What if');
await page.getByRole('slider', { name: 'Air warmer or cooler' }).focus();
for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
await shoot('ticket-mix-what-if');
await page.getByRole('button', { name: 'Close' }).click();
await press('Take this plan and pour');
await press('As listed');
await page.getByRole('textbox', { name: 'H-2' }).fill('45');
await press('Added: now it is right');
await press('Mixed: the pot life runs');
await page
  .getByText(/unlikely/)
  .first()
  .waitFor();
await shoot('ticket-gun');
await press('Booth');
await shoot('ticket-gun-booth');
await press('Office');
await press(/Pattern even/);
await press('Start spraying');
await press(/^Done: left front/);
await page.locator('[data-setting="edge"]').waitFor();
await shoot('ticket-spray');
await press('The coat is on');
await page.getByRole('timer').waitFor();
await press('Booth');
await shoot('ticket-flash-booth');
await press('Office');
await page.goto(`${base}/records`);
await page
  .getByRole('link', { name: /\d\d:\d\d/ })
  .nth(1)
  .click();
await shoot('record');
for (const name of ['settings']) {
  await page.goto(`${base}/${name}`);
  await shoot(name);
}
await page.goto(`${base}/guns`);
await page.getByRole('link', { name: /Loft drop/ }).click();
await page.getByRole('img', { name: /Pressure from the wall/ }).waitFor();
await shoot('air-line');
await page.goto(`${base}/guns`);
await page.getByRole('link', { name: /Bittern/ }).click();
await page.getByLabel('Air over the coats').scrollIntoViewIfNeeded();
await shoot('gun');
await page.goto(`${base}/lab`);
await page.getByText('What may want mending').waitFor();
await press('Set a B beside it');
await page.getByRole('slider', { name: 'Distance' }).focus();
for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowLeft');
await page.getByRole('button', { name: 'Do it' }).first().waitFor();
await shoot('lab');
await page.goto(`${base}/faults`);
await shoot('faults');
await page.goto(`${base}/records?text=right%20side&stage=clear`);
await page.getByRole('row').filter({ hasText: 'pops' }).getByRole('link').first().click();
await page.getByRole('link', { name: 'What is wrong? Find the cause' }).click();
await page.locator('[data-option="bake_or_overnight"]').click();
await page.locator('[data-fault="POP"] button').click();
await shoot('bench');
await browser.close();
