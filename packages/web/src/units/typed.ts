/**
 * What a painter types: any unit of the kind, commas, fractions; and a question where the figure
 * fits another unit better.
 */
import { convert, type UnitName } from '@orthochrom/core/units/convert.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';

export type Kind =
  | 'temperature'
  | 'pressure'
  | 'supplyPressure'
  | 'length'
  | 'bore'
  | 'metres'
  | 'film'
  | 'volume'
  | 'tank'
  | 'airFlow'
  | 'area'
  | 'percent'
  | 'turns'
  | 'nozzle'
  | 'grams'
  | 'solvent'
  | 'seconds'
  | 'count';
type Spelling = [pattern: RegExp, unit: UnitName];

const LENGTHS: Spelling[] = [
  [/^mm$/, 'mm'],
  [/^cm$/, 'cm'],
  [/^m$/, 'm'],
  [/^(in|inch|inches|")$/, 'in'],
  [/^(ft|feet|foot|')$/, 'ft'],
];
const PRESSURES: Spelling[] = [
  [/^psi$/, 'psi'],
  [/^bar$/, 'bar'],
  [/^kpa$/, 'kPa'],
];
const SPELLINGS: Partial<Record<Kind, Spelling[]>> = {
  temperature: [
    [/^(°\s*)?c(elsius)?$/, 'C'],
    [/^(°\s*)?f(ahrenheit)?$/, 'F'],
    [/^k(elvin)?$/, 'K'],
  ],
  pressure: PRESSURES,
  supplyPressure: PRESSURES,
  length: LENGTHS,
  bore: LENGTHS,
  metres: LENGTHS,
  tank: [
    [/^l(itres?|iters?)?$/, 'l'],
    [/^gal(lons?)?( us)?$/, 'galUs'],
    [/^gal(lons?)? imp$/, 'galImp'],
  ],
  airFlow: [
    [/^l\/?(pm|min)$/, 'lPerMin'],
    [/^cfm$/, 'cfm'],
    [/^m(³|3)\/h$/, 'm3PerH'],
  ],
  film: [
    [/^(µm|μm|um|micron|microns)$/, 'um'],
    [/^(mil|mils|thou)$/, 'mil'],
  ],
  volume: [
    [/^ml$/, 'ml'],
    [/^l(itres?|iters?)?$/, 'l'],
    [/^(fl\s*oz|oz)$/, 'flOzUs'],
    [/^(qt|quarts?)$/, 'qtUs'],
    [/^(pt|pints?)$/, 'ptUs'],
  ],
  solvent: [
    [/^g\/?l$/, 'gPerL'],
    [/^lb\/?gal( us)?$/, 'lbPerGal'],
  ],
  area: [
    [/^m(²|2)$/, 'm2'],
    [/^ft(²|2)$/, 'ft2'],
  ],
};
const CANONICAL: Partial<Record<Kind, UnitName>> = {
  temperature: 'C',
  pressure: 'kPa',
  supplyPressure: 'kPa',
  length: 'mm',
  bore: 'mm',
  metres: 'm',
  film: 'um',
  volume: 'ml',
  tank: 'l',
  airFlow: 'lPerMin',
  area: 'm2',
  solvent: 'gPerL',
};
/**
 * What a shop usually sees, canonical: outside it, and inside it in another unit, the figure is
 * asked about.
 */
const USUAL: Partial<Record<Kind, [number, number]>> = {
  temperature: [-10, 45],
  pressure: [30, 450],
  supplyPressure: [60, 1400],
  film: [2, 400],
  length: [10, 1500],
  bore: [4, 26],
};
const VULGAR: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75 };

export type Typed =
  | { kind: 'empty' }
  | { kind: 'unreadable'; message: string }
  | { kind: 'figure'; canonical: number; enteredValue: number; enteredUnit: UnitName | undefined }
  | {
      kind: 'doubtful';
      enteredValue: number;
      ownUnit: UnitName;
      otherUnit: UnitName;
      canonicalOwn: number;
      canonicalOther: number;
    };

export const unitOf = (kind: Kind, units: Units): UnitName | undefined =>
  ({
    temperature: units.temperature,
    pressure: units.pressure,
    supplyPressure: units.pressure,
    length: units.length,
    bore: units.length,
    metres: units.length === 'in' ? 'ft' : 'm',
    tank: units.volume === 'ml' ? 'l' : units.volume === 'flOzImp' ? 'galImp' : 'galUs',
    airFlow: units.length === 'in' ? 'cfm' : 'lPerMin',
    film: units.film,
    volume: units.volume,
    area: units.area,
    solvent: 'gPerL',
  })[kind as string] as UnitName | undefined;

/** "2 3/4", "2¾", "1,8" → a number. */
function numberIn(text: string): number | undefined {
  const vulgar = /^(-?\d+)?\s*([¼½¾])$/.exec(text);
  if (vulgar) return Number(vulgar[1] ?? 0) + VULGAR[vulgar[2]!]!;
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text);
  if (mixed && Number(mixed[3]) !== 0)
    return Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]);
  return /^-?\d*[.,]?\d+$/.test(text) ? Number(text.replace(',', '.')) : undefined;
}

/**
 * Reads what was typed in a field of this kind, with the painter's own unit where none is named.
 */
export function readTyped(raw: string, kind: Kind, units: Units): Typed {
  const text = raw.trim().toLowerCase().replaceAll('−', '-');
  if (text === '') return { kind: 'empty' };
  const parts = /^(-?[\d.,/ ]*[¼½¾]?\d*)\s*(.*)$/.exec(text);
  const value = parts ? numberIn(parts[1]!.trim()) : undefined;
  if (!parts || value === undefined)
    return {
      kind: 'unreadable',
      message: `"${raw}" is not a figure. Type a number, with a unit if you like.`,
    };
  const named = parts[2]!.trim().replace(/\.$/, '');
  const canonicalUnit = CANONICAL[kind];
  if (!canonicalUnit) {
    if (named !== '' && !/^(%|turns?|mm|g|grams?|s|sec|seconds?)$/.test(named))
      return { kind: 'unreadable', message: `"${named}" is not a unit for this.` };
    return { kind: 'figure', canonical: value, enteredValue: value, enteredUnit: undefined };
  }
  const own = unitOf(kind, units)!;
  const spelled = SPELLINGS[kind]!.find(([pattern]) => pattern.test(named))?.[1];
  if (named !== '' && !spelled)
    return {
      kind: 'unreadable',
      message: `"${named}" is not a unit for this. ${SPELLINGS[kind]!.map(([, unit]) => unit).join(', ')} are.`,
    };
  const canonical = convert(value, spelled ?? own, canonicalUnit);
  const other = spelled ? undefined : likelierUnit(value, kind, own, canonicalUnit);
  if (other)
    return {
      kind: 'doubtful',
      enteredValue: value,
      ownUnit: own,
      otherUnit: other,
      canonicalOwn: canonical,
      canonicalOther: convert(value, other, canonicalUnit),
    };
  return { kind: 'figure', canonical, enteredValue: value, enteredUnit: spelled ?? own };
}

/**
 * Another unit of the kind in which this figure would be usual, where in the painter's own it is
 * not.
 */
function likelierUnit(
  value: number,
  kind: Kind,
  own: UnitName,
  canonicalUnit: UnitName,
): UnitName | undefined {
  const usual = USUAL[kind];
  if (!usual) return undefined;
  const isUsual = (unit: UnitName) => {
    const canonical = convert(value, unit, canonicalUnit);
    return canonical >= usual[0] && canonical <= usual[1];
  };
  if (isUsual(own)) return undefined;
  return SPELLINGS[kind]!.map(([, unit]) => unit).find(
    (unit) => unit !== own && unit !== 'K' && unit !== 'm' && isUsual(unit),
  );
}
