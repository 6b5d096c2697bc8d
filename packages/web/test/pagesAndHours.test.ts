/** Lists in pages, the hours of a shop as a clock writes them, and what a record says of a test. */
import { describe, expect, it } from 'vitest';
import { eachOnce } from '../src/api/usePages.ts';
import { testPanelSaid } from '../src/records/recordWords.ts';
import { clockOf, minuteOf } from '../src/settings/hoursText.ts';

describe('rows of several pages', () => {
  it('stand once, where they stood first', () => {
    const rows = ['c', 'b', 'b', 'a', 'c'].map((id, at) => ({ id, at }));
    expect(eachOnce(rows, ({ id }) => id)).toEqual([
      { id: 'c', at: 0 },
      { id: 'b', at: 1 },
      { id: 'a', at: 3 },
    ]);
  });
});

describe('a minute of the day', () => {
  it('is the same after it was written and read', () => {
    for (let minute = 0; minute < 1440; minute += 7) expect(minuteOf(clockOf(minute))).toBe(minute);
    expect(clockOf(1440)).toBe('00:00');
  });
  it('is none while it is being typed', () => {
    for (const text of ['', '8', '08', '08:', 'noon']) expect(minuteOf(text)).toBeUndefined();
  });
});

it('a test panel is told by its turns, by its word, or as good', () => {
  const panel = { at: '', painterId: '', gunId: '' };
  expect(testPanelSaid({ ...panel, fluidTurnsOut: 2.5 })).toBe('good, needle 2½ turns out');
  expect(testPanelSaid({ ...panel, skippedBecause: 'dark' })).toBe('left out: dark');
  expect(testPanelSaid(panel)).toBe('good');
});
