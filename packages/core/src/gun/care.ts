/**
 * What a gun is due for, by days and by coats, and the items of each round of care in their order.
 * Rule of thumb; the shop sets its own intervals.
 */
export type Interval = { days: number; coats: number };
export type CareIntervals = { pattern: Interval; service: Interval };
export const USUAL_INTERVALS: CareIntervals = {
  pattern: { days: 7, coats: 12 },
  service: { days: 30, coats: 60 },
};

export type CareKind = 'cleaned' | 'serviced' | 'firstUse' | 'reassembled';
/**
 * Item keys of a round, in the order of the work. Nothing is opened under pressure: what needs air
 * comes before air off, or after the gun is together.
 */
export const CARE_ITEMS: Record<CareKind, readonly string[]> = {
  cleaned: [
    'empty-cup',
    'back-flush',
    'air-off',
    'head-off',
    'holes',
    'vent',
    'no-soak',
    'outside',
    'lubricate',
    'together',
    'test-shot',
    'rags',
    'waste',
  ],
  serviced: [
    'air-off',
    'strip',
    'seals',
    'packing',
    'needle-tip',
    'cap-holes',
    'filter',
    'vent',
    'lubricate',
    'together',
    'leak-check',
    'test-shot',
  ],
  firstUse: [
    'read-leaflet',
    'air-off',
    'flush-oil',
    'lubricate',
    'together',
    'travel',
    'leak-check',
    'test-shot',
    'note-marks',
  ],
  reassembled: ['nozzle', 'cap', 'spring', 'needle', 'packing', 'knobs', 'leak-check'],
};

export type UseSince = { days: number; coats: number };
export type Due = {
  what: 'pattern' | 'service';
  isDue: boolean;
  daysLeft: number;
  coatsLeft: number;
};

/**
 * Due by whichever comes first; a gun that was never seen to is due at once it has sprayed
 * anything.
 */
export function dueOf(
  what: Due['what'],
  since: UseSince | undefined,
  { days, coats }: Interval,
  coatsEver: number,
): Due {
  if (!since) return { what, isDue: coatsEver > 0, daysLeft: 0, coatsLeft: 0 };
  const daysLeft = days - since.days;
  const coatsLeft = coats - since.coats;
  // Days alone wear nothing: a gun that has hung on the wall is due when it is next used.
  return { what, isDue: since.coats > 0 && (daysLeft <= 0 || coatsLeft <= 0), daysLeft, coatsLeft };
}
