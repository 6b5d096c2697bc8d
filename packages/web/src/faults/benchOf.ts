/** The way to the bench from a coat: with its evidence, and with what was touched on the card. */
import type { Coat, Seen } from '@orthochrom/contract/shop/coat.ts';
import { v7 as newId } from 'uuid';

const FAMILY: Partial<Record<Seen, string>> = {
  peel: 'bumpy_texture',
  run: 'drip_or_curtain',
  dust: 'specks',
  drySpray: 'rough_or_dusty',
  stripes: 'bands_or_clouds',
  pops: 'tiny_holes_or_blisters',
  fisheyes: 'round_craters',
};

/** Several things seen at once are left to the first question. */
export function benchOf(
  { id, ticketId }: Pick<Coat, 'id' | 'ticketId'>,
  seen: readonly Seen[],
): string {
  const named = seen.flatMap((item) => FAMILY[item] ?? []);
  const family = named.length === 1 ? `&family=${named[0]}` : '';
  return `/faults/${newId()}?new=1&ticket=${ticketId}&coat=${id}${family}`;
}
