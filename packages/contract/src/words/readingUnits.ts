/** The units that readings of the bench are kept in, and how a painter reads and types each. */
import { convert, type UnitName } from '@orthochrom/core/units/convert.ts';
import type { Units } from '../shop/setup.ts';
import { SYMBOL } from './format.ts';

type Own = { as: UnitName; own: (units: Units) => UnitName; per?: string };
type AsItIs = { symbol: string; factor?: number; isPrefix?: true };

const difference: Own = {
  as: 'deltaC',
  own: ({ temperature }) => (temperature === 'C' ? 'deltaC' : 'deltaF'),
};
/** By the name that the files of knowledge give them. */
export const READING_UNITS = {
  degC: { as: 'C', own: ({ temperature }) => temperature },
  /** How far from something, not how warm. */
  'degC points': difference,
  'degC/min': { ...difference, per: '/min' },
  psi: { as: 'psi', own: ({ pressure }) => pressure },
  bar: { as: 'bar', own: ({ pressure }) => pressure },
  inch: { as: 'in', own: ({ length }) => length },
  m: { as: 'm', own: ({ length }) => (length === 'in' ? 'ft' : 'm') },
  um: { as: 'um', own: ({ film }) => film },
  // As they are printed on strainer, nozzle and instrument everywhere.
  'um mesh': { symbol: ' µm' },
  mm: { symbol: ' mm' },
  'm/s': { symbol: ' m/s' },
  /** A share of what was wanted. */
  '': { symbol: ' %', factor: 100 },
  pct: { symbol: ' %' },
  'pct points': { symbol: ' %' },
  deg: { symbol: '°' },
  P: { symbol: 'P', isPrefix: true },
  grades: { symbol: ' grades' },
  turns: { symbol: ' turns' },
  coats: { symbol: ' coats' },
  min: { symbol: ' min' },
  months: { symbol: ' months' },
} as const satisfies Record<string, Own | AsItIs>;
export type ReadingUnit = keyof typeof READING_UNITS;

const UNIT_SYMBOL: Partial<Record<UnitName, string>> = {
  ...SYMBOL,
  deltaC: SYMBOL.C,
  deltaF: SYMBOL.F,
};

export type Shown = {
  /** With the space before it, as it stands behind a figure. */
  symbol: string;
  isPrefix: boolean;
  /** From what is kept to what is read, and back. */
  shown: (kept: number) => number;
  kept: (shown: number) => number;
};

/** @param units the painter's; as it is kept where nobody reads it yet */
export function shownReading(unit: ReadingUnit, units?: Units): Shown {
  const one: Own | AsItIs = READING_UNITS[unit];
  if ('symbol' in one) {
    const { symbol, factor = 1, isPrefix = false } = one;
    return { symbol, isPrefix, shown: (kept) => kept * factor, kept: (shown) => shown / factor };
  }
  const to = units ? one.own(units) : one.as;
  return {
    symbol: ` ${UNIT_SYMBOL[to] ?? to}${one.per ?? ''}`,
    isPrefix: false,
    shown: (kept) => convert(kept, one.as, to),
    kept: (shown) => convert(shown, to, one.as),
  };
}
