/** A shop open to its network: tablets, a stranger, a wrong PIN, an apprentice and a lead. */
import type { WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { NETWORK_HOST, openOwnShop, tellShop, type OwnShop } from './ownShop.ts';
import { choose, fill, goTo, openDrawer, press, TEN_O_CLOCK, toPoured } from './shop.ts';
import { tooSmallToTouch } from './touch.ts';

let shop: OwnShop | undefined;
test.afterEach(async () => {
  await shop?.close();
  shop = undefined;
});

/** A tablet of its own: nothing on it but what it is told. */
async function tablet(browser: Browser, address: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const page = await context.newPage();
  await page.goto(address);
  return page;
}

/** How much of the shop this tablet keeps for a bench without a server. */
const readOn = (booth: Page) =>
  booth.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const asked = indexedDB.open('orthochrom-reads');
        asked.onsuccess = () => {
          const rows = asked.result.transaction('reads').objectStore('reads').getAllKeys();
          rows.onsuccess = () =>
            resolve(rows.result.filter((address) => address !== '/api/sign-in').length);
        };
      }),
  );

const PIN = { Ines: '704913', Tove: '518206' };
async function comeIn(page: Page, name: keyof typeof PIN, pin = PIN[name]): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await page.getByLabel(`PIN of ${name}`, { exact: true }).fill(pin);
  await press(page, 'Sign in');
}

const peopleOf = (page: Page) => page.getByRole('region', { name: 'People and tablets' });
/** With a PIN of Tove's digits, the second of the shop. */
async function becomesApprentice(page: Page, name: string): Promise<void> {
  const people = peopleOf(page);
  await people.getByRole('combobox', { name: `What ${name} is` }).click();
  await page.getByRole('option', { name: /^apprentice/ }).click();
  await people
    .getByRole('row', { name: new RegExp(name) })
    .getByRole('button')
    .click();
  await page.getByLabel('Six to twelve digits', { exact: true }).fill(PIN.Tove);
  await expectAccessible(page);
  await press(page, 'Keep this PIN');
  await expect(people.getByRole('button', { name: 'Give a new PIN…' })).toHaveCount(2);
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
  const people = peopleOf(page);
  await becomesApprentice(page, 'Tove');
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

  // Trusted no more: whoever was signed in there is out, and what the tablet read goes with it.
  await expect.poll(() => readOn(booth)).toBeGreaterThan(0);
  await page.goto(`${shop.address}/settings`);
  await press(page, 'Trust Bay one no more');
  await expect(people.getByText('Bay one')).toHaveCount(0);
  await booth.goto(`${shop.address}/tickets`);
  await expect(booth.getByRole('heading', { name: /not known here/ })).toBeVisible();
  await expect.poll(() => readOn(booth)).toBe(0);
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
  await becomesApprentice(page, 'Osric');
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
