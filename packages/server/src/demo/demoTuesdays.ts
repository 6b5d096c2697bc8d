/**
 * Primer on parts, week after week: on Tuesdays somebody else draws on the tank and the primer gun
 * starves.
 */
import type { TicketSketch } from './demoStages.ts';

const TUESDAY = 2;
const THURSDAY = 4;
const WEEKS = 7;

/** Days since the n-th last such weekday, today not counted. */
export function daysSince(weekday: number, nth: number, nowMs = Date.now()): number {
  const back = (new Date(nowMs).getUTCDay() - weekday + 7) % 7 || 7;
  return back + 7 * (nth - 1);
}
export const isTuesday = (atMs: number): boolean => new Date(atMs).getUTCDay() === TUESDAY;

const PARTS = [
  'bumper carriers',
  'door shells',
  'wing set',
  'boot lid',
  'grille frame',
  'step plates',
  'tank halves',
];

export const primerDays = (nowMs = Date.now()): TicketSketch[] =>
  Array.from({ length: WEEKS * 2 }, (_, i): TicketSketch => {
    const week = Math.floor(i / 2) + 1;
    return {
      vehicle: `Parts for the shelf, ${PARTS[(i + week) % PARTS.length]}`,
      bodyKind: 'parts',
      jobSize: 'panel',
      note: '',
      room: 'Loft booth',
      painter: 'Wilf',
      panels: [
        ['first rack', 0.6, 'upright'],
        ['second rack', 0.6, 'upright'],
        ['third rack', 0.6, 'upright'],
        ['fourth rack', 0.5, 'upright'],
      ],
      stages: [
        {
          kind: 'primer',
          sheet: 'tarnside-build',
          recipeName: '4:1:1',
          coats: 1,
          gun: 'Bittern',
          colourHex: '#a8a294',
        },
      ],
      daysAgo: daysSince(i % 2 === 0 ? TUESDAY : THURSDAY, week, nowMs),
      air: [21 + (i % 4), 50, 20 + (i % 4)],
    };
  });
