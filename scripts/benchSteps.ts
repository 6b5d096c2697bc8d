/**
 * npm run bench:steps -- ADDRESS: how long a step of a coat keeps the page from answering a touch on
 * a processor four times slower: tasks of over 50 ms (W3C Long Tasks), by the processor time that
 * the browser's trace counts; the least of five walks. It lays coats, so give it a shop of its own:
 * npm start -- --port 4355 --data /tmp/pictures
 */
import { chromium, type Locator, type Page } from '@playwright/test';
import { CHROMIUM } from './chromium.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:4355';
process.env['SHOP_ADDRESS'] = base;
const { ownTicket, steerProbe, TEN_O_CLOCK } = await import('../e2e/shop.ts');
const { passGate } = await import('../e2e/coatAhead.ts');
const TABS = ['Prep', 'Gate', 'Air', 'Mix', 'Gun', 'Spray', 'Flash', 'Look', 'Clean'];
/** Touches from a plan to a coat that flashes. */
const ON_THE_WAY = [
  'Take this plan',
  'As listed',
  'Mixed: the pot life runs',
  'Pattern even',
  'All as at the gate: start spraying',
  'Done: ',
  'The coat is on',
];
/** Long enough for what is drawn after the touch, and after the answers of the server. */
const SETTLED_MS = 900;
const SLOWED_BY = 4;
const LONG_MS = 50;
const WALKS = 5;

type TraceEvent = {
  name: string;
  tid: number;
  tdur?: number;
  args?: { name?: string };
};
const CATEGORIES = ['devtools.timeline', 'disabled-by-default-devtools.timeline'];

/**
 * Of the page's main thread from a touch of this, as a hand does it, until it is settled: what each task took of the processor,
 * ms, those that would keep a touch waiting on the slowed one. Processor time, not time of day: a
 * busy machine does not count.
 */
async function heldBy(page: Page, touched: Locator): Promise<number[]> {
  // Where it is, is asked before: asking lays the page out.
  await touched.click({ trial: true });
  const { x, y, width, height } = (await touched.boundingBox())!;
  await browser.startTracing(page, { categories: CATEGORIES });
  await page.mouse.click(x + width / 2, y + height / 2);
  await page.waitForTimeout(SETTLED_MS);
  const { traceEvents } = JSON.parse(String(await browser.stopTracing())) as {
    traceEvents: TraceEvent[];
  };
  const main = traceEvents.find(({ args }) => args?.name === 'CrRendererMain')?.tid;
  return traceEvents
    .filter(({ name, tid }) => name === 'RunTask' && tid === main)
    .map(({ tdur = 0 }) => (tdur / 1000) * SLOWED_BY)
    .filter((ms) => ms > LONG_MS)
    .map(Math.round);
}

/** The long tasks of each touch on the way of one coat. */
async function walk(page: Page, id: string): Promise<Map<string, number[]>> {
  const held = new Map<string, number[]>();
  await page.goto(`${base}/tickets/${id}`);
  const tabOf = (step: string) =>
    page.getByRole('listitem').getByRole('button', { name: new RegExp(`${step}$`) });
  await tabOf('Gate').waitFor();
  await page.waitForTimeout(2 * SETTLED_MS);
  for (const round of ['first', 'again'])
    for (const step of TABS) held.set(`${step}, ${round}`, await heldBy(page, tabOf(step)));
  await tabOf('Mix').click();
  for (const touch of ON_THE_WAY)
    held.set(
      touch,
      await heldBy(page, page.getByRole('button', { name: new RegExp(`^${touch}`) })),
    );
  return held;
}

const browser = await chromium.launch({
  executablePath: CHROMIUM.path,
  chromiumSandbox: false,
  args: ['--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 });
const walks: Map<string, number[]>[] = [];
for (let i = 0; i < WALKS; i += 1) {
  const id = await ownTicket('Plover estate, bench of steps', 'sealer');
  await passGate(id);
  walks.push(await walk(page, id));
}
await browser.close();
const sum = (long: number[]): number => long.reduce((all, ms) => all + ms, 0);
console.log('ms of long tasks in all, each of them; slowed four times');
for (const step of walks[0]!.keys()) {
  const [least] = walks.map((held) => held.get(step)!).sort((a, b) => sum(a) - sum(b));
  console.log(`${step.padEnd(36)} ${String(sum(least!)).padStart(5)}  ${least!.join(' + ')}`);
}
