/**
 * What a bench needs is read before it is opened, open tickets among it, so that it can be opened
 * without a server.
 */
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { mutate, type Cache } from 'swr';
import { ApiFault, getJson } from './client.ts';
import { measured } from './serverClock.ts';
import { wholesOf, type TicketList } from './reads.ts';
import { ADDRESS } from './resources.ts';

const AT_THE_BENCH = [
  ADDRESS.setup,
  ADDRESS.sheets,
  ADDRESS.air,
  ADDRESS.care,
  ADDRESS.tests,
  ADDRESS.findings,
  ADDRESS.planChanges,
];
/** The page that the painter asked for goes first. */
const AFTER_MS = 2000;

/** A ticket that cannot be read keeps no other from the device. */
export const allThatCan = (ids: readonly string[]): Promise<TicketWhole[]> =>
  wholesOf(ids).catch(async (fault: unknown) => {
    if (!(fault instanceof ApiFault)) return [];
    const told = await Promise.allSettled(
      ids.map((id) => getJson<TicketWhole>(ADDRESS.ticket(id))),
    );
    return told.flatMap((asked) => (asked.status === 'fulfilled' ? [asked.value] : []));
  });

/** What is held already is left to its own page; open tickets are read anew. */
export async function keepForBench(cache: Cache): Promise<void> {
  await new Promise((resolve) => setTimeout(resolve, AFTER_MS));
  const isHeld = (address: string) => cache.get(address)?.data !== undefined;
  const keep = async (address: string) => {
    const data = await getJson(address).catch(() => undefined);
    if (data !== undefined && !isHeld(address)) await mutate(address, data, { revalidate: false });
  };
  for (const address of AT_THE_BENCH) if (!isHeld(address)) await keep(address);
  const list = await getJson<TicketList>(ADDRESS.tickets).then(measured, () => undefined);
  if (!list) return;
  await mutate(ADDRESS.tickets, list, { revalidate: false });
  const open = list.tickets.filter(({ state }) => state === 'open').map(({ id }) => id);
  const dataAt = (id: string): unknown => cache.get(ADDRESS.ticket(id))?.data;
  const held = new Map(open.map((id) => [id, dataAt(id)]));
  // Coats move without their ticket: it is read anew, unless something newer came meanwhile.
  for (const whole of await allThatCan(open)) {
    const { id } = whole.ticket;
    if (dataAt(id) === held.get(id)) await mutate(ADDRESS.ticket(id), whole, { revalidate: false });
  }
}
