/** Cleaning at the end of a stage: when the cup is asked about, and when a round is answered. */
import { CARE_ITEMS, type CareKind } from '@orthochrom/core/gun/care.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { isOpenIn, itemsOf } from '../src/guns/care/careWords.ts';
import { asksWhatIsLeft } from '../src/ticket/clean/LeftInCup.tsx';
import { coat } from './ticketFixture.ts';

describe('an item of a round', () => {
  it('is open until it is done, or skipped with a word why', () => {
    expect(isOpenIn({}, 'holes')).toBe(true);
    expect(isOpenIn({ vent: { answer: 'done' } }, 'holes')).toBe(true);
    expect(isOpenIn({ holes: { answer: 'skipped' } }, 'holes')).toBe(true);
    expect(isOpenIn({ holes: { answer: 'skipped', reason: ' ' } }, 'holes')).toBe(true);
    expect(isOpenIn({ holes: { answer: 'skipped', reason: 'at noon' } }, 'holes')).toBe(false);
    expect(isOpenIn({ holes: { answer: 'done' } }, 'holes')).toBe(false);
  });
  it.each(Object.keys(CARE_ITEMS) as CareKind[])('of kind %s has words', (kind) => {
    for (const { text } of itemsOf(kind)) expect(text).toMatch(/\.$/);
  });
});

describe('what is left in the cup', () => {
  const whole = (states: ('sprayed' | 'looked' | 'planned')[], more: object = {}) =>
    ({
      coats: states.map((state, i) => coat(`${i}`, 's', i + 1, state)),
      mixes: [{ stageId: 's' }],
      usages: [],
      ...more,
    }) as unknown as TicketWhole;
  it('is asked once all of the stage is on, and no more once it was said', () => {
    expect(asksWhatIsLeft(whole(['looked', 'looked']), 's')).toBe(true);
    expect(asksWhatIsLeft(whole(['looked', 'planned']), 's')).toBe(false);
    expect(asksWhatIsLeft(whole(['looked'], { usages: [{ stageId: 's' }] }), 's')).toBe(false);
    expect(asksWhatIsLeft(whole(['looked'], { usages: [{ stageId: 'other' }] }), 's')).toBe(true);
  });
  it('is not asked where nothing was poured', () => {
    expect(asksWhatIsLeft(whole(['looked'], { mixes: [] }), 's')).toBe(false);
  });
});
