/**
 * What was read stays on this device: a page that is opened while the server is away shows it.
 */
import { clear, createStore, delMany, entries, setMany } from 'idb-keyval';
import { mutate, type Cache } from 'swr';
import { ADDRESS } from './resources.ts';

const store = createStore('orthochrom-reads', 'reads');
const FOLLOW_EVERY_MS = 500;
/** On the shop's own network an answer takes a hundredth of it. */
const PATIENCE_MS = 3000;
/** More addresses than this are of a past that nobody needs at the bench. */
const MOST_KEPT = 300;
/** What is looked up in the whole of the records is asked anew. */
const isKept = (address: string): boolean =>
  address.startsWith('/api/') && !address.startsWith('/api/records');

/** What changed since it was last written: an answer of the server is a new object each time. */
export function changedReads(cache: Cache, written: Map<string, unknown>): [string, unknown][] {
  const changed: [string, unknown][] = [];
  for (const address of cache.keys()) {
    const data: unknown = cache.get(address)?.data;
    if (!isKept(address) || data === undefined || written.get(address) === data) continue;
    written.set(address, data);
    changed.push([address, data]);
  }
  return changed;
}

const answers = (): Promise<boolean> =>
  fetch(ADDRESS.health, { signal: AbortSignal.timeout(PATIENCE_MS) }).then(
    ({ ok }) => ok,
    () => false,
  );

async function keptRows(): Promise<[string, unknown][]> {
  const kept = await entries<string, unknown>(store).catch(() => []);
  const past = kept.slice(0, -MOST_KEPT).map(([address]) => address);
  if (past.length > 0) await delMany(past, store).catch(() => undefined);
  return kept.slice(-MOST_KEPT);
}

/**
 * Follows the cache from the first page on. Where the server does not answer, what this device kept
 * stands there before that page is drawn; where it does, nothing old is shown first.
 */
export async function openKeptReads(cache: Cache): Promise<void> {
  if (!(await answers()))
    for (const [address, data] of await keptRows()) cache.set(address, { data });
  const written = new Map<string, unknown>();
  const follow = () => {
    const changed = changedReads(cache, written);
    if (changed.length > 0) void setMany(changed, store).catch(() => undefined);
  };
  setInterval(follow, FOLLOW_EVERY_MS);
  document.addEventListener('visibilitychange', follow);
}

/** The server is gone while the app is open: what is not held from it comes from the device. */
export async function fillFromDevice(cache: Cache): Promise<void> {
  for (const [address, data] of await keptRows())
    if (cache.get(address)?.data === undefined) await mutate(address, data, { revalidate: false });
}

/**
 * The shop trusts this device no more: nothing of what was read from it stays. Who is here is no
 * secret, and what waits to be sent was entered by somebody.
 */
export async function forgetReads(cache: Cache): Promise<void> {
  // One by one: asked by a rule, what was only put there and never shown is passed over.
  for (const address of [...cache.keys()])
    if (address.startsWith('/api/') && address !== ADDRESS.signIn)
      await mutate(address, undefined, { revalidate: false });
  await clear(store).catch(() => undefined);
}
