/**
 * What was read stays on this device: a page that is opened while the server is away shows it. It
 * fills SWR's cache before the first page is drawn, and follows it from then on.
 */
import { createStore, delMany, entries, setMany } from 'idb-keyval';
import type { Cache } from 'swr';

const store = createStore('orthochrom-reads', 'reads');
const FOLLOW_EVERY_MS = 1000;
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

/** Fills the cache with what this device kept. One that may keep nothing goes on without. */
export async function openKeptReads(cache: Cache): Promise<void> {
  const kept = await entries<string, unknown>(store).catch(() => []);
  const [held, past] = [kept.slice(-MOST_KEPT), kept.slice(0, -MOST_KEPT)];
  if (past.length > 0)
    await delMany(
      past.map(([address]) => address),
      store,
    ).catch(() => undefined);
  const written = new Map(held);
  for (const [address, data] of held) cache.set(address, { data });
  const follow = () => {
    const changed = changedReads(cache, written);
    if (changed.length > 0) void setMany(changed, store).catch(() => undefined);
  };
  setInterval(follow, FOLLOW_EVERY_MS);
  document.addEventListener('visibilitychange', follow);
}
