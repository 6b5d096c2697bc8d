/** Heat on a ticket: a reading on the metal beats the reckoning; a lamp moves by its reading. */
import { describe, expect, it } from 'vitest';
import { heatOn, lampOn, readsSince } from '../src/plan/heatOn.ts';
import type { HeatRead } from '../src/shop/heatRead.ts';
import { contextFor } from './demoContext.ts';

const context = contextFor('tarnside-clear-ms', 21);
const [panel] = context.ticket.panels;
const COAT = '0190b5a0-0000-7000-8000-0000000000c1';
const ON_AT = '2026-06-01T10:00:00.000Z';
const read = (seenC: number, minute: number, coatId = COAT): HeatRead => ({
  id: COAT,
  painterId: COAT,
  panelId: panel!.id,
  coatId,
  seenC,
  at: new Date(Date.parse(ON_AT) + minute * 60_000).toISOString(),
});
const since = (...reads: HeatRead[]) => readsSince(context.ticket, reads, COAT, ON_AT);

describe('readings on a panel', () => {
  it('count from when the heat came on, the newest of each panel, of this coat alone', () => {
    expect(since(read(30, -5))).toEqual([]);
    expect(since(read(30, 4, panel!.id))).toEqual([]);
    expect(since(read(30, 4), read(41, 9))).toEqual([
      { panel: 'bonnet', seenC: 41, seenMinute: 9 },
    ]);
  });
  it('make a panel that warms slower than reckoned have it later', () => {
    const has = (...reads: HeatRead[]) => heatOn(context, since(...reads)).holdFromMinute!.value;
    expect(has(read(30, 10))).toBeGreaterThan(has());
    expect(has(read(54, 10))).toBeLessThan(has(read(30, 10)));
  });
});

describe('a lamp', () => {
  it('begins at its distance, goes back where the panel is too hot for what is wanted', () => {
    const at = (...reads: HeatRead[]) => lampOn(context, 800, since(...reads)).lampMm!;
    expect(at()).toBe(800);
    expect(at(read(70, 6))).toBeGreaterThan(800);
    expect(at(read(45, 6))).toBeLessThan(800);
    expect(at(read(22, 6))).toBeGreaterThanOrEqual(500);
  });
});
