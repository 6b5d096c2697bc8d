/**
 * An hour off the network, as it is: a tablet on a ticket notes a reading a minute while its cable
 * is pulled, is opened anew half way, and comes back. Everything arrives once.
 */
import { chromium, type Page } from '@playwright/test';
import pg from 'pg';
import { doorToShop } from '../e2e/lostServer.ts';
import { CHROMIUM } from './chromium.mjs';

const MINUTE_MS = 60_000;
export type OfflineTally = { minutes: number; noted: number; lost: number; twice: number };

async function noteReading(page: Page, panelC: string): Promise<void> {
  const card = page.getByText('Measured it yourself?');
  const field = page.getByRole('textbox', { name: 'Panel, measured' });
  if (!(await field.isVisible())) await card.click();
  await field.fill(panelC);
  await page.getByRole('button', { name: 'Keep this reading' }).click();
}

/** @param databaseUrl of the shop, to count what stands in the end */
export async function offlineTrial(
  address: string,
  databaseUrl: string,
  minutes: number,
): Promise<OfflineTally> {
  const { tickets } = (await (await fetch(`${address}/api/tickets`)).json()) as {
    tickets: { id: string }[];
  };
  const door = await doorToShop(address);
  const browser = await chromium.launch({ executablePath: CHROMIUM.path, chromiumSandbox: false });
  const page = await browser.newPage();
  await page.goto(`${door.address}/tickets/${tickets[0]!.id}`);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.getByRole('button', { name: 'Air', exact: true }).click();
  await page.waitForTimeout(5000);
  door.shut();
  // Values that nobody else reads, one a minute.
  const values = Array.from({ length: minutes }, (_, i) => 18 + i / 100);
  for (const [i, value] of values.entries()) {
    const began = Date.now();
    if (i === Math.floor(minutes / 2)) {
      await page.reload();
      await page.getByRole('button', { name: 'Air', exact: true }).click();
    }
    await noteReading(page, `${value.toFixed(2)} °C`);
    await page.waitForTimeout(Math.max(0, MINUTE_MS - (Date.now() - began)));
  }
  door.open();
  await page.getByRole('region', { name: 'Kept on this device' }).waitFor({ state: 'hidden' });
  await browser.close();
  door.close();
  const database = new pg.Client(databaseUrl);
  await database.connect();
  const { rows } = await database.query<{ value: number; count: string }>(
    `select round(value_canonical::numeric, 2)::float8 as value, count(*) as count from reading
      where quantity = 'panelC' and taken_at > now() - interval '1 day' group by 1`,
  );
  await database.end();
  const counts = new Map(rows.map(({ value, count }) => [value.toFixed(2), Number(count)]));
  const times = values.map((value) => counts.get(value.toFixed(2)) ?? 0);
  return {
    minutes,
    noted: values.length,
    lost: times.filter((count) => count === 0).length,
    twice: times.filter((count) => count > 1).length,
  };
}
