/**
 * The server gone in the middle of the work: what was read stays, clocks go on, what is noted is
 * kept on the device through a reload, and arrives once, in order, with the time it was noted at.
 */
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { startNext } from './coatAhead.ts';
import { v7 as newId } from 'uuid';
import { doorToShop, type Door } from './lostServer.ts';
import { answerGate, ownTicket, steerProbe, TEN_O_CLOCK, toPlace, toSpraying } from './shop.ts';
import { ADDRESS } from './shopServer.ts';

test.use({ serviceWorkers: 'allow' });
let door: Door;
test.beforeEach(async () => {
  door = await doorToShop();
  await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
});
test.afterEach(() => door.close());

type Whole = {
  coats: {
    id: string;
    version: number;
    painterId: string;
    state: string;
    panelsSprayed: { panelId: string; sprayedAt: string }[];
  }[];
  gates: { id: string }[];
};
const wholeOf = async (id: string): Promise<Whole> =>
  (await (await fetch(`${ADDRESS}/api/tickets/${id}`)).json()) as Whole;
const isAway = (page: Page) => page.getByText('No connection to the shop’s server.');
const waits = (page: Page) => page.getByRole('region', { name: 'Kept on this device' });
/** The worker has everything that it needs to open the app without a server. */
const isKept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });

test('a coat goes on without a server: taps wait through a reload and arrive once, at their own time', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, server gone', 'sealer');
  await startNext(id);
  await page.goto(`${door.address}/tickets/${id}`);
  await isKept(page);
  await expect(page.getByText('Spraying for')).toBeVisible();
  // The device has followed what it read before the cable is pulled.
  await page.waitForTimeout(1500);
  door.shut();
  await page.getByRole('button', { name: 'left front door', exact: true }).click();
  await expect(waits(page)).toContainText('1 note waits');
  await expect(waits(page)).toContainText('left front door done');
  await expect(isAway(page)).toBeVisible();
  await expectAccessible(page);

  await page.reload();
  await expect(page.getByText('Spraying for')).toBeVisible();
  await expect(waits(page)).toContainText('left front door done');
  await expect(page.getByRole('button', { name: 'left front door, noted here' })).toBeDisabled();
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(waits(page)).toContainText('2 notes wait');
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(waits(page)).toContainText('2 notes wait');
  // Other pages open from what the device holds; what it does not hold says so.
  await page.getByRole('link', { name: 'Tickets' }).click();
  await expect(page.getByText('Plover estate, server gone')).toBeVisible();
  await page.waitForTimeout(2000);

  const backMs = Date.now();
  door.open();
  await expect(waits(page)).toBeHidden();
  const { coats } = await wholeOf(id);
  const [coat] = coats;
  expect(coat!.state).toBe('sprayed');
  const [first] = [...coat!.panelsSprayed].sort((a, b) => (a.sprayedAt < b.sprayedAt ? -1 : 1));
  expect(backMs - Date.parse(first!.sprayedAt)).toBeGreaterThan(2000);
  await page.goto(`${door.address}/tickets/${id}`);
  await expect(page.getByText(/left$|to wait|Flash/).first()).toBeVisible();
});

test('nothing is guessed without a server; what it refuses later stays until it is decided', async ({
  page,
}) => {
  const id = await ownTicket('Plover estate, two tablets', 'sealer');
  await page.goto(`${door.address}/tickets/${id}`);
  await isKept(page);
  await page.waitForTimeout(1500);
  door.shut();
  await answerGate(page);
  await expect(waits(page)).toContainText('Gate answered');
  await expect(page.getByText(/^Answered at/)).toBeVisible();
  await page.getByRole('button', { name: 'Mix', exact: true }).click();
  await expect(page.getByText(/comes first: no recipe and no setting/)).toBeVisible();
  door.open();
  await expect(waits(page)).toBeHidden();
  await expect.poll(async () => (await wholeOf(id)).gates.length).toBe(1);

  await page.goto(`${door.address}/tickets/${id}`);
  await toSpraying(page);
  door.shut();
  await page.getByRole('button', { name: 'The coat is on' }).click();
  await expect(waits(page)).toContainText('The coat is on');
  // Meanwhile another tablet, which reaches the server, says the same.
  const [coat] = (await wholeOf(id)).coats;
  const ended = await fetch(`${ADDRESS}/api/coats/${coat!.id}/spray-end`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version: coat!.version, painterId: coat!.painterId }),
  });
  expect(ended.ok).toBe(true);
  door.open();
  await expect(waits(page)).toContainText('Not taken: The coat is on');
  await page.reload();
  await waits(page).getByRole('button', { name: 'Drop this note' }).click();
  await expect(waits(page)).toBeHidden();
});

test('seven tabs share one stream, and each hears what another writes', async ({ context }) => {
  const tabs: Page[] = [];
  for (let i = 0; i < 7; i++) {
    const tab = await context.newPage();
    await tab.goto(`${door.address}/tickets`);
    await expect(tab.getByRole('heading', { name: 'Tickets' })).toBeVisible();
    tabs.push(tab);
  }
  const vehicle = `Seven tabs ${newId()}`;
  await ownTicket(vehicle, 'sealer');
  for (const tab of tabs) await expect(tab.getByText(vehicle)).toBeVisible();
  // The one that listens goes: another takes over.
  await tabs[0]!.close();
  const next = `Six tabs ${newId()}`;
  await ownTicket(next, 'sealer');
  for (const tab of tabs.slice(1)) await expect(tab.getByText(next)).toBeVisible();
});

test('a gun whose making lost its answer and was changed since: the painter puts his own over it', async ({
  page,
}) => {
  await page.goto(`${door.address}/guns/new`);
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await name.fill('Tern 1.3');
  // It is written down, and the answer never comes.
  await page.route('**/api/guns', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await page.getByRole('button', { name: 'Save this gun' }).click();
  await expect(page.getByText('Not done', { exact: true })).toBeVisible();
  await page.unroute('**/api/guns');
  await name.fill('Tern 1.3, the new one');
  await page.getByRole('button', { name: 'Save this gun' }).click();
  await page.getByRole('button', { name: 'Put mine over theirs' }).click();
  await expect(page.getByRole('heading', { name: 'Tern 1.3, the new one' })).toBeVisible();
});

/** From now on the server gives out a page that was built since. */
const makeNewer = (page: Page) =>
  page
    .context()
    .route('**/?as=served', (route) => route.fulfill({ body: '<script src="/assets/newer.js">' }));

test('made newer under an open page: said, nothing typed lost, opened anew at a touch', async ({
  page,
}) => {
  await page.goto(`${door.address}/tickets/new`);
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('Plover estate, newer');
  await makeNewer(page);
  door.shut();
  await expect(isAway(page)).toBeVisible();
  door.open();
  const newer = page.getByRole('status').filter({ hasText: 'made newer' });
  await expect(newer).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Vehicle or part' })).toHaveValue(
    'Plover estate, newer',
  );
  await expectAccessible(page);
  await newer.getByRole('button', { name: 'Open it anew' }).click();
  await expect(newer).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test.describe('where a device keeps no files, as without https', () => {
  test.use({ serviceWorkers: 'block' });
  test('a page that a newer server holds no more opens by itself; a part of one says so', async ({
    page,
  }) => {
    const gone = new Set<string>();
    await page.route(/assets\/(RecordsPage|DayChart)-/, (route) => {
      const [file] = /RecordsPage|DayChart/.exec(route.request().url())!;
      if (gone.has(file)) return route.continue();
      gone.add(file);
      return route.fulfill({ status: 404 });
    });
    await page.goto(`${door.address}/`);
    const missing = page.getByRole('alert').filter({ hasText: 'has not come' });
    await expect(missing).toBeVisible();
    await expect(page.getByRole('heading', { level: 1, name: /^Today/ })).toBeVisible();
    await missing.getByRole('button', { name: 'Open it anew' }).click();
    await expect(missing).toBeHidden();
    await makeNewer(page);
    await toPlace(page, 'Records');
    await expect(page.getByRole('heading', { name: 'Records' })).toBeVisible();
    expect([...gone].sort()).toEqual(['DayChart', 'RecordsPage']);
  });
});
