/**
 * npm run bench:steps -- ADDRESS: how long a step of a coat keeps the page from answering a touch,
 * on this processor and on one slowed four times, by the browser's own count of long tasks (W3C
 * Long Tasks: over 50 ms). It lays a coat, so give it a shop of its own: npm start -- --port 4355
 * --data /tmp/pictures
 */
import { chromium, type Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { CHROMIUM } from './chromium.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:4355';
const STEPS = ['Prep', 'Gate', 'Air', 'Mix', 'Gun', 'Spray', 'Flash', 'Look', 'Clean'];
/** Long enough for what is drawn after the touch, and after the answers of the server. */
const SETTLED_MS = 900;

type Ticket = Record<string, unknown> & {
  id: string;
  vehicle: string;
  stages: { kind: string }[];
};
const ask = async <T>(path: string, body?: object): Promise<T> =>
  (await (
    await fetch(`${base}/api${path}`, {
      ...(body
        ? {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(body),
          }
        : {}),
    })
  ).json()) as T;

async function ownTicket(): Promise<string> {
  const { tickets } = await ask<{ tickets: Ticket[] }>('/tickets');
  const like = tickets.find(({ vehicle }) => vehicle.startsWith('Linnet hatchback, left side'))!;
  const { version: _v, number: _n, state: _s, createdAt: _c, ...bare } = like;
  const id = newId();
  const stages = like.stages
    .filter(({ kind }) => kind === 'sealer')
    .map((stage) => ({ ...stage, id: newId() }));
  await ask('/tickets', { ...bare, id, vehicle: 'Plover estate, bench of steps', stages });
  return id;
}

/** Long tasks from now until it is settled, ms each. */
async function blockedBy(page: Page, touch: () => Promise<void>): Promise<number[]> {
  await page.evaluate('window.long.length = 0');
  await touch();
  await page.waitForTimeout(SETTLED_MS);
  return page.evaluate<number[]>('window.long.map(Math.round)');
}

async function measure(page: Page, id: string, slowedBy: number): Promise<void> {
  await page.goto(`${base}/tickets/${id}`);
  await page.getByRole('button', { name: 'Gate', exact: true }).waitFor();
  await page.waitForTimeout(2 * SETTLED_MS);
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: slowedBy });
  console.log(`\nslowed ${slowedBy} times: step, ms blocked in all, each long task`);
  for (const round of ['first', 'again'])
    for (const step of STEPS) {
      const tab = page.getByRole('listitem').getByRole('button', { name: new RegExp(`${step}$`) });
      const long = await blockedBy(page, () => tab.click());
      const all = long.reduce((sum, ms) => sum + ms, 0);
      console.log(`${step.padEnd(6)} ${round}  ${String(all).padStart(5)}  ${long.join(' + ')}`);
    }
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
}

const browser = await chromium.launch({
  executablePath: CHROMIUM.path,
  chromiumSandbox: false,
  args: ['--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(`
  window.long = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.long.push(duration);
  }).observe({ type: 'longtask' });
`);
await ask('/probe', { minute: 600, minutesPerSecond: 0 });
const id = await ownTicket();
const { ticket } = await ask<{ ticket: Ticket & { painterId: string; stages: { id: string }[] } }>(
  `/tickets/${id}`,
);
await ask(`/tickets/${id}/gate-answers`, {
  id: newId(),
  stageId: ticket.stages[0]!.id,
  step: 'mix',
  painterId: ticket.painterId,
  protection: { breathing: 'airFed', skin: true, eyes: true },
  breathingAirChecked: true,
  extraction: 'on',
  ignition: [],
  bystanders: false,
  floor: 'clear',
});
for (const slowedBy of [1, 4]) await measure(page, id, slowedBy);
await browser.close();
