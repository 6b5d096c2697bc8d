/**
 * Every page of the app by its path: the router draws them from here, and so do the walks that hold
 * each to a phone, a keyboard and a screen reader (e2e/pages.spec.ts).
 */
export const PAGES = [
  '',
  'day',
  'tickets',
  'tickets/new',
  'tickets/:id',
  'tickets/:id/edit',
  'tickets/:id/to-get',
  'records',
  'records/:id',
  'sheets',
  'sheets/new',
  'sheets/:id',
  'sheets/:id/edit',
  'guns',
  'guns/new',
  'guns/:id',
  'guns/:id/edit',
  'guns/:id/tests/:kind',
  'guns/:id/care/:kind',
  'air/new',
  'air/:id',
  'air/:id/edit',
  'compressors/new',
  'compressors/:id',
  'faults',
  'faults/:id',
  'lab',
  'settings',
] as const;
export type Page = (typeof PAGES)[number];
