import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { formatFor, minutesText, turnsText } from '@orthochrom/contract/words/format.ts';
import { readTyped, type Kind } from '../src/units/typed.ts';

const metric: Units = {
  temperature: 'C',
  pressure: 'psi',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
};
const imperial: Units = {
  ...metric,
  temperature: 'F',
  length: 'in',
  film: 'mil',
  volume: 'flOzUs',
  area: 'ft2',
};
const canonical = (text: string, kind: Kind, units = metric) => {
  const read = readTyped(text, kind, units);
  return read.kind === 'figure' ? read.canonical : read.kind;
};

describe('what a painter types', () => {
  it.each([
    ['26 psi', 'pressure', 179.26],
    ['1,8 bar', 'pressure', 180],
    ['26', 'pressure', 179.26],
    ['180 kPa', 'pressure', 180],
    ['½ turn', 'turns', 0.5],
    ['2¾', 'turns', 2.75],
    ['2 3/4', 'turns', 2.75],
    ['1/2', 'turns', 0.5],
    ['70 F', 'temperature', 21.11],
    ['21,5', 'temperature', 21.5],
    ['6 in', 'length', 152.4],
    ['2 mil', 'film', 50.8],
    ['1 qt', 'volume', 946.35],
    ['-4', 'temperature', -4],
  ] as const)('%s as a %s', (text, kind, value) => {
    expect(canonical(text, kind)).toBeCloseTo(value, 1);
  });

  it('is read in the painter’s own unit where none is named', () => {
    expect(canonical('6', 'length', imperial)).toBe(canonical('6 in', 'length'));
    expect(readTyped('6', 'length', imperial)).toMatchObject({ kind: 'figure', enteredUnit: 'in' });
    expect(canonical('70', 'temperature', imperial)).toBeCloseTo(21.1, 1);
  });

  it('75 with °C on is asked about, not believed', () => {
    expect(readTyped('75', 'temperature', metric)).toMatchObject({
      kind: 'doubtful',
      ownUnit: 'C',
      otherUnit: 'F',
      canonicalOwn: 75,
    });
    expect(canonical('75 C', 'temperature')).toBe(75);
  });

  it('is refused in words where it is no figure or no such unit', () => {
    expect(canonical('about twenty', 'pressure')).toBe('unreadable');
    expect(canonical('20 furlongs', 'length')).toBe('unreadable');
    expect(canonical('20 mm', 'pressure')).toBe('unreadable');
    expect(canonical('', 'pressure')).toBe('empty');
  });
});

describe('what a painter reads', () => {
  it('comes back the same when it is typed again', () => {
    const format = formatFor(metric);
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 400 }), (kPa) => {
        const back = canonical(format.joined(format.pressure(kPa)), 'pressure');
        return typeof back === 'number' && Math.abs(back - kPa) <= 6.895 / 2 + 1e-9;
      }),
    );
  });
  it('a difference of temperatures is not a temperature', () => {
    expect(formatFor(imperial).difference(3)).toEqual({ text: '5', unit: '°F' });
    expect(formatFor(imperial).temperature(3)).toEqual({ text: '37', unit: '°F' });
    expect(formatFor(imperial).inWords(3, 'minMarginC')).toBe('5 °F');
  });
  it('has knobs in quarter turns and times as a clock says them', () => {
    expect([0, 0.25, 1, 2.75, 3.6].map(turnsText)).toEqual(['0', '¼', '1', '2¾', '3½']);
    expect([9.4, 99, 125, 4320].map(minutesText)).toEqual(['9 min', '99 min', '2 h 05', '3 days']);
  });
});
