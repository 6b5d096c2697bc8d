/**
 * A shop of one's own: opened empty and led to its first coat, carried over whole, and open to its
 * network with tablets, a stranger, a wrong PIN and an apprentice.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import {
  answerGate,
  choose,
  openDrawer,
  press,
  pullTrigger,
  TEN_O_CLOCK,
  toPoured,
  goTo,
} from './shop.ts';
import { tooSmallToTouch } from './touch.ts';
import { ADDRESS } from './shopServer.ts';
import { NETWORK_HOST, openOwnShop, type OwnShop } from './ownShop.ts';

const SHEETS = path.join(import.meta.dirname, '../packages/server/demo/sheets');
let shop: OwnShop | undefined;
test.afterEach(async () => {
  await shop?.close();
  shop = undefined;
});

const fill = (page: Page, name: string | RegExp, value: string) =>
  page.getByRole('textbox', { name }).fill(value);

async function tellShop(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'A shop of your own' })).toBeVisible();
  await fill(page, 'Its name', 'Lee Shore Paint');
  await fill(page, 'Your name', 'Ines');
  await fill(page, 'The room', 'Bay one');
}

test('an empty shop leads to its first coat', async ({ page }) => {
  shop = await openOwnShop('--empty');
  await page.goto(shop.address);
  await expect(page.getByText('The shop wants a name.')).toBeVisible();
  await expectAccessible(page);
  expect(await tooSmallToTouch(page)).toEqual([]);
  await tellShop(page);
  await press(page, 'Open the shop');
  const steps = page.getByRole('region', { name: 'To the first coat' });
  await expect(steps).toBeVisible();
  await expectAccessible(page);

  await steps.getByRole('link', { name: 'Describe a gun' }).click();
  await fill(page, 'Name', 'First gun');
  await press(page, 'Save this gun');
  await expect(page.getByRole('heading', { name: 'First gun' })).toBeVisible();

  await goTo(page, '/sheets');
  await page.locator('input[type=file]').setInputFiles({
    name: 'from the maker.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify(
        ['clear-ms', 'h-1', 'h-2', 'h-3', 't-10', 't-20', 't-30', 't-40'].map(
          (name) => JSON.parse(readFileSync(path.join(SHEETS, `${name}.json`), 'utf8')) as object,
        ),
      ),
    ),
  });
  await press(page, /^Bring in \d/);
  await expect(page.getByRole('link', { name: /Clear MS/ }).first()).toBeVisible();

  await goTo(page, '/');
  await steps.getByRole('link', { name: 'Take in a job' }).click();
  await fill(page, 'Vehicle or part', 'The first door');
  await page.locator('[data-panel="hood"]').click();
  await press(page, /^Clear MS/);
  await press(page, 'Open this ticket');
  await page.waitForURL(/\/tickets\/[0-9a-f-]{36}$/);
  await fetch(`${shop.address}/api/probe`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ minute: 600, minutesPerSecond: 0 }),
  });
  await page.getByRole('listitem').getByRole('button', { name: 'Gate', exact: true }).click();
  await answerGate(page);
  await press(page, 'Air is right: on to the mix');
  await press(page, /Take this plan/);
  await press(page, 'As listed');
  await press(page, 'Mixed: the pot life runs');
  await pullTrigger(page);
  await expect(page.getByText('Spraying for')).toBeVisible();
  await press(page, 'The coat is on');
  await expect(page.getByText(/touch|flash/i).first()).toBeVisible();
  await goTo(page, '/records');
  await expect(page.getByText('1 coat', { exact: false })).toBeVisible();
  await goTo(page, '/');
  await expect(page.getByText('The first door')).toBeVisible();
  await expect(steps).toBeHidden();
});

test('a whole shop is carried over by its file, and goes out again the same', async ({ page }) => {
  await page.goto(`${ADDRESS}/settings`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take the shop home' }).click();
  const home = await (await downloading).path();
  shop = await openOwnShop('--empty');
  await page.goto(shop.address);
  await page.locator('input[type=file]').setInputFiles({
    name: 'shop.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(home),
  });
  await expect(page.getByText('opens here as it is in the file.')).toBeVisible();
  await expectAccessible(page);
  await press(page, 'Open this shop');
  await expect(page.getByRole('heading', { name: /^Today, / })).toBeVisible();
  const again = await fetch(`${shop.address}/api/shop-file`);
  expect(Buffer.from(await again.arrayBuffer()).equals(readFileSync(home))).toBe(true);

  // What is no shop is refused in words, and nothing is changed.
  await goTo(page, '/settings');
  const bring = page.getByRole('region', { name: 'Bring a file of a shop in' });
  await bring.locator('input[type=file]').setInputFiles({
    name: 'holiday.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('a photo'),
  });
  await expect(page.getByText(/This is no whole file of a shop/)).toBeVisible();
});

/** A tablet of its own: nothing on it but what it is told. */
async function tablet(browser: Browser, address: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const page = await context.newPage();
  await page.goto(address);
  return page;
}

const PIN = { Ines: '704913', Tove: '518206' };
async function comeIn(page: Page, name: keyof typeof PIN, pin = PIN[name]): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await page.getByLabel(`PIN of ${name}`, { exact: true }).fill(pin);
  await press(page, 'Sign in');
}

test('on the network: a code, two tablets, a stranger, a wrong PIN, an apprentice', async ({
  page,
  browser,
}) => {
  shop = await openOwnShop('--empty', '--host', NETWORK_HOST);
  expect(shop.code).toMatch(/^\w{5}-\w{5}$/);
  await page.goto(shop.address);
  await tellShop(page);
  await fill(page, 'Code of the machine', 'WRONG-CODE2');
  await fill(page, 'What this device is called', 'Mixing bench');
  await page.getByLabel(/^A PIN of/).fill('123456');
  await expect(page.getByText(/neither all the same nor counted up/)).toBeVisible();
  await page.getByLabel(/^A PIN of/).fill(PIN.Ines);
  await press(page, 'Open the shop');
  await expect(page.getByText(/not the code of this machine/)).toBeVisible();
  await fill(page, 'Code of the machine', shop.code!);
  await press(page, 'Open the shop');
  await expect(page.getByRole('region', { name: 'To the first coat' })).toBeVisible();

  // An apprentice with a PIN; his own word asks a lead.
  await goTo(page, '/settings');
  await fill(page, 'Another painter', 'Tove');
  await press(page, 'Add this painter');
  const people = page.getByRole('region', { name: 'People and tablets' });
  await people.getByRole('combobox', { name: 'What Tove is' }).click();
  await page.getByRole('option', { name: /^apprentice/ }).click();
  await people.getByRole('row', { name: /Tove/ }).getByRole('button').click();
  await page.getByLabel('Six to twelve digits', { exact: true }).fill(PIN.Tove);
  await expectAccessible(page);
  await press(page, 'Keep this PIN');
  await expect(people.getByRole('button', { name: 'Give a new PIN…' })).toHaveCount(2);
  await expect(people.getByText('Mixing bench')).toBeVisible();

  // A stranger is shown nothing: no name, no shop.
  const booth = await tablet(browser, shop.address);
  await expect(booth.getByRole('heading', { name: /not known here/ })).toBeVisible();
  await expect(booth.getByText('Lee Shore Paint')).toHaveCount(0);
  await expectAccessible(booth);
  expect(await tooSmallToTouch(booth)).toEqual([]);
  await fill(booth, 'Name of the lead', 'ines');
  await fill(booth, 'What this device is called', 'Bay one');
  await booth.getByLabel('PIN of the lead').fill('000001');
  await press(booth, 'Trust this device');
  await expect(booth.getByText(/That is not right/)).toBeVisible();
  await booth.getByLabel('PIN of the lead').fill(PIN.Ines);
  await press(booth, 'Trust this device');
  await expect(booth.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await booth.getByRole('button', { name: /^Painter: Ines/ }).click();
  await booth.getByRole('menuitem', { name: /^Sign out:/ }).click();
  await expect(booth.getByRole('heading', { name: 'Who is painting?' })).toBeVisible();
  await expectAccessible(booth);
  await comeIn(booth, 'Tove', '999998');
  await expect(booth.getByText(/That is not right/)).toBeVisible();
  await comeIn(booth, 'Tove');
  await expect(booth.getByRole('button', { name: /^Painter: Tove/ })).toBeVisible();

  // What a lead changes on one is on the other; the shop's own things are not the apprentice's.
  await goTo(booth, '/settings');
  await expect(booth.getByRole('region', { name: 'People and tablets' })).toHaveCount(0);
  const own = page.getByRole('region', { name: 'The shop' });
  await own.getByRole('textbox', { name: 'Name of the shop' }).fill('Lee Shore and Daughter');
  await press(page, 'Save the shop');
  await goTo(booth, '/');
  await expect(booth.getByText('Lee Shore and Daughter')).toBeVisible();

  // A session that ends in the middle takes nothing that was typed with it.
  await fill(page, 'Another cup', 'Cup 900');
  const { me } = (await (
    await page.request.get(`${shop.address}/api/sign-in`)
  ).json()) as WhoIsHere;
  // The page hears of it by itself: what is pressed meanwhile may or may not reach the form.
  await page.request.post(`${shop.address}/api/sessions/end-all`, { data: { of: me!.id } });
  await expect(page.getByRole('heading', { name: 'Who is painting?' })).toBeVisible();
  await comeIn(page, 'Ines');
  await expect(page.getByRole('textbox', { name: 'Another cup' })).toHaveValue('Cup 900');
  await press(page, 'Add this cup');
  await expect(page.getByRole('region', { name: 'Cup 900' })).toBeVisible();

  // Trusted no more: whoever was signed in there is out.
  await page.goto(`${shop.address}/settings`);
  await press(page, 'Trust Bay one no more');
  await expect(people.getByText('Bay one')).toHaveCount(0);
  await booth.goto(`${shop.address}/tickets`);
  await expect(booth.getByRole('heading', { name: /not known here/ })).toBeVisible();
});

test('an apprentice’s own word asks a lead at the tablet, and the trail knows both', async ({
  page,
}) => {
  shop = await openOwnShop('--host', NETWORK_HOST);
  await page.goto(shop.address);
  await expect(page.getByRole('heading', { name: 'The first lead' })).toBeVisible();
  await fill(page, 'Code of the machine', shop.code!);
  await fill(page, 'Name of the painter who leads', 'Nell');
  await fill(page, 'What this device is called', 'Booth 1');
  await page.getByLabel('A PIN of six to twelve digits', { exact: true }).fill(PIN.Ines);
  await expectAccessible(page);
  await press(page, 'Come in');
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await goTo(page, '/settings');
  const own = page.getByRole('region', { name: 'The shop' });
  await own.getByLabel(/apprentice’s own word/).check();
  await press(page, 'Save the shop');
  const people = page.getByRole('region', { name: 'People and tablets' });
  await people.getByRole('combobox', { name: 'What Osric is' }).click();
  await page.getByRole('option', { name: /^apprentice/ }).click();
  await people.getByRole('row', { name: /Osric/ }).getByRole('button').click();
  await page.getByLabel('Six to twelve digits', { exact: true }).fill(PIN.Tove);
  await press(page, 'Keep this PIN');
  await expect(people.getByRole('button', { name: 'Give a new PIN…' })).toHaveCount(2);
  await page.request.post(`${shop.address}/api/probe`, {
    data: { minute: TEN_O_CLOCK, minutesPerSecond: 0 },
  });
  await page.getByRole('button', { name: /^Painter: Nell/ }).click();
  await page.getByRole('menuitem', { name: /^Sign out:/ }).click();
  await page.getByRole('button', { name: /^Osric/ }).click();
  await page.getByLabel('PIN of Osric', { exact: true }).fill(PIN.Tove);
  await press(page, 'Sign in');
  await expect(page.getByRole('button', { name: /^Painter: Osric/ })).toBeVisible();

  await goTo(page, '/tickets');
  await page.getByText('Linnet hatchback, left side').first().click();
  await toPoured(page);
  await openDrawer(page, 'Other ways');
  await press(page, 'Set at the gun, trigger pulled otherwise');
  await fill(page, 'Yours: at the gun, trigger pulled', '1,6 bar');
  await choose(page, 'Trigger pulled', 'Pulled');
  await fill(page, 'A word why', 'long hose today');
  await press(page, 'Use mine');
  const dialog = page.getByRole('dialog', { name: 'A lead is asked' });
  await expect(dialog.getByRole('button', { name: 'Nell' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expectAccessible(page);
  await dialog.getByLabel('PIN of the lead').fill('000001');
  await press(page, 'Put a hand to it');
  await expect(dialog.getByText(/That is not right/)).toBeVisible();
  await dialog.getByLabel('PIN of the lead').fill(PIN.Ines);
  await press(page, 'Put a hand to it');
  await expect(page.locator('[data-setting="inletKPa"]')).toContainText('long hose today');
  expect(
    await shop.query(
      `select s.name as signed_in, l.name as lead from event e join painter s on s.id = e.signed_in_id
       join painter l on l.id = e.touched_by_id`,
    ),
  ).toEqual([{ signed_in: 'Osric', lead: 'Nell' }]);
});
