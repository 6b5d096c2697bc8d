/** A ticket with two stages as the screens hold it, for whoever tests their logic. */
import type { TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';

export const MINUTE = 60_000;
export const NOW = Date.parse('2026-03-02T10:00:00Z');
export const iso = (ms: number) => new Date(ms).toISOString();
export const coat = (
  id: string,
  stageId: string,
  ordinal: number,
  state: Coat['state'],
  changes: Partial<Coat> = {},
): Coat => ({
  id,
  version: 1,
  ticketId: 't',
  stageId,
  ordinal,
  state,
  overrides: {},
  done: {},
  seen: [],
  note: '',
  panelsSprayed: [],
  halvesSprayed: [],
  ...changes,
});
export const sheet = {
  id: 'x',
  name: 'Line Base',
  line: 'Line',
  kind: 'base',
  recipes: [{ name: '1:1', wetFilmUm: [30, 40], volumeSolidsPercent: 20 }],
} as unknown as TicketWhole['sheets'][number]['sheet'];
export const stage = (id: string, coats: number, panelIds = ['p1']) => ({
  id,
  kind: 'base' as const,
  sheetVersionId: 'v',
  recipeName: '1:1',
  colourName: '',
  coats,
  part: 'largePanel' as const,
  panelIds,
});
export const whole = (coats: Coat[], timers: Timer[] = []): TicketWhole =>
  ({
    ticket: {
      id: 't',
      panels: [{ id: 'p1' }, { id: 'p2' }],
      stages: [stage('a', 2), stage('b', 1, ['p1', 'p2'])],
    },
    coats,
    timers,
    mixes: [],
    gates: [],
    works: [],
    found: [],
    sheets: [{ id: 'v', sheet }],
    serverNow: iso(NOW),
  }) as unknown as TicketWhole;
