/** Open tickets are read before they are opened, so that each can be opened without a server. */
import { mutate, type Cache } from 'swr';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { getJson } from './client.ts';
import type { TicketList } from './reads.ts';
import { ADDRESS } from './resources.ts';

/** Whatever is on a screen already stays as it is: it is read anew by its own page. */
export async function keepOpenTickets(cache: Cache): Promise<void> {
  const list = await getJson<TicketList>(ADDRESS.tickets).catch(() => undefined);
  for (const { id, state, version } of list?.tickets ?? []) {
    const held = cache.get(ADDRESS.ticket(id))?.data as TicketWhole | undefined;
    if (state !== 'open' || held?.ticket.version === version) continue;
    const whole = await getJson<TicketWhole>(ADDRESS.ticket(id)).catch(() => undefined);
    if (whole) await mutate(ADDRESS.ticket(id), whole, { revalidate: false });
  }
}
