/** What every journey does: steer the stand-in probe, let time pass, answer the gate. */
import { v7 as newId } from 'uuid';
import { expect, type Page } from '@playwright/test';
import pg from 'pg';
import { ADDRESS, databaseUrl } from './shopServer.ts';

export const COLD_MORNING = 440;
export const TEN_O_CLOCK = 600;

export async function steerProbe(change: { minute?: number; shiftC?: number }): Promise<void> {
  const reply = await fetch(`${ADDRESS}/api/probe`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ minutesPerSecond: 0, ...change }),
  });
  expect(reply.ok).toBe(true);
}

/** Puts the running clocks back, as if so many minutes had gone by. */
export async function letMinutesPass(minutes: number): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  await client.query(
    `update timer set started_at = started_at - $1::interval, due_at = due_at - $1::interval where confirmed_at is null and kind = 'flash'`,
    [`${minutes} minutes`],
  );
  await client.end();
}

/** The running flash of this ticket ends so many seconds from now. */
export async function endFlashIn(ticketId: string, seconds: number): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  await client.query(
    `update timer set due_at = now() + $2::interval where ticket_id = $1 and kind = 'flash'`,
    [ticketId, `${seconds} seconds`],
  );
  await client.end();
}

/** From the gun, over a test panel where one is asked for, to spraying. */
export async function pullTrigger(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Pattern even/ }).click();
  const panel = page.getByRole('button', { name: /^Test panel good/ });
  const start = page.getByRole('button', { name: 'Start spraying' });
  await expect(panel.or(start)).toBeVisible();
  if (await panel.isVisible()) await panel.click();
  await start.click();
}

/** From a gate that has passed to a cup that stands. */
async function pour(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Air is right: on to the mix' }).click();
  await page.getByRole('button', { name: /Take this plan/ }).click();
  await page.getByRole('button', { name: 'As listed' }).click();
  await page.getByRole('button', { name: 'Mixed: the pot life runs' }).click();
}

/** From the gate to a cup that stands. */
export async function toPoured(page: Page): Promise<void> {
  await answerGate(page);
  await pour(page);
}

/** From a gate that has passed to the trigger. */
export async function toSpraying(page: Page): Promise<void> {
  await pour(page);
  await pullTrigger(page);
  await expect(page.getByText('Spraying for')).toBeVisible();
}

/**
 * To another page as a link leads there, until the page before has gone. A page is begun anew only
 * where that is what is tried: it takes most of a journey's time.
 */
export async function goTo(page: Page, path: string): Promise<void> {
  const before = await page.getByRole('heading', { level: 1 }).elementHandle();
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  await before!.waitForElementState('hidden');
}

/** A place of the shop, behind its menu. */
export async function toPlace(page: Page, place: string): Promise<void> {
  await page.getByRole('button', { name: 'Shop', exact: true }).click();
  await page.getByRole('menuitem', { name: place }).click();
}

/** Exactly the button of this name where it is told as text. */
export const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();

export const fill = (page: Page, name: string | RegExp, value: string) =>
  page.getByRole('textbox', { name }).fill(value);

/** The first option of a list that reads so; exactly so only where `exact` says it. */
export async function pick(
  page: Page,
  label: string,
  option: string | RegExp,
  exact = false,
): Promise<void> {
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option, exact }).first().click();
}

export const choose = (page: Page, group: string, answer: string) =>
  page.getByRole('radiogroup', { name: group }).getByText(answer, { exact: true }).click();

/** A page of the drawer beside a step, opened if it is not. */
export async function openDrawer(page: Page, word: string): Promise<void> {
  const button = page.locator('[data-bar]').getByRole('button', { name: word, exact: true });
  if ((await button.getAttribute('aria-expanded')) !== 'true') await button.click();
}

/** To the form of the ticket, by the spine. */
export async function openTicketForm(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Film stack/ }).click();
  await page.getByRole('link', { name: 'Change panels, stages, room' }).click();
}

/** What bears on the product is asked, no more: skin and eyes only where it harms them. */
export async function answerGate(page: Page): Promise<void> {
  await answerQuestions(page);
  await page.getByRole('button', { name: 'Passed: on to the air' }).click();
}

async function answerQuestions(page: Page): Promise<void> {
  await choose(page, 'Breathing', 'Air-fed');
  await choose(page, 'Breathing air', 'Yes');
  if (await page.getByRole('radiogroup', { name: 'Skin covered' }).isVisible()) {
    await choose(page, 'Skin covered', 'Yes');
    await choose(page, 'Eyes covered', 'Yes');
  }
  await choose(page, 'Extraction', 'Running');
  await choose(page, 'Bystanders', 'No');
  await choose(page, 'Floor', 'Clear');
  const looked = page.getByLabel('I looked: none');
  if (await looked.isVisible()) await looked.check();
}

/** The gate before a test that puts the real mix through the gun. */
export async function passTestGate(page: Page, product: RegExp): Promise<void> {
  await page.getByRole('combobox', { name: 'In the cup' }).click();
  await page.getByRole('option', { name: product }).first().click();
  await answerQuestions(page);
}

type Named = { id: string };
type Bare = {
  vehicle: string;
  panels: Named[];
  stages: (Named & { kind: string; panelIds: string[] })[];
};
const get = async <T>(path: string) => (await fetch(`${ADDRESS}/api${path}`)).json() as Promise<T>;
type StageChanges = {
  sheetId?: string;
  recipeName?: string;
  coats?: number;
  finish?: string;
  variant?: string;
};

/**
 * A ticket like the Linnet's, of which no other journey knows; with all its stages, or only those
 * of one kind, of another paint.
 */
export async function ownTicket(
  vehicle: string,
  kind?: string,
  { sheetId, ...changes }: StageChanges = {},
): Promise<string> {
  const { tickets } = await get<{ tickets: (Bare & Named)[] }>('/tickets');
  const { id } = tickets.find((ticket) =>
    ticket.vehicle.startsWith('Linnet hatchback, left side'),
  )!;
  const { ticket } = await get<{ ticket: Bare & Record<string, unknown> }>(`/tickets/${id}`);
  const { version: _v, number: _n, state: _s, createdAt: _c, ...like } = ticket;
  const panels = like.panels.map((panel) => ({ ...panel, id: newId() }));
  const idOf = (panelId: string) =>
    panels[like.panels.findIndex((panel) => panel.id === panelId)]!.id;
  const sheets = await get<(Named & { sheet: Named })[]>('/sheets');
  const paint = sheetId
    ? { sheetVersionId: sheets.find(({ sheet }) => sheet.id === sheetId)!.id }
    : {};
  const stages = like.stages
    .filter((stage) => kind === undefined || stage.kind === kind)
    .map((stage) => ({
      ...stage,
      id: newId(),
      panelIds: stage.panelIds.map(idOf),
      ...changes,
      ...paint,
    }));
  const own = { ...like, id: newId(), vehicle, panels, stages };
  const reply = await fetch(`${ADDRESS}/api/tickets`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(own),
  });
  expect(reply.ok, await reply.text()).toBe(true);
  return own.id;
}
