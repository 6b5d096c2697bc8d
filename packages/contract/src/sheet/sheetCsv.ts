/**
 * Sheets as a table: `field,value,unit`, one row a figure, a field by its dotted path; a row
 * `sheet,ID,` begins a product. Out and in again is equal.
 */
import { areAlike, convert, UNITS, type UnitName } from '@orthochrom/core/units/convert.ts';
import Papa from 'papaparse';
import { rangeIfAny } from '../quantity/ranges.ts';
import { withAt, type Json } from './byPath.ts';
import type { Sheet } from './sheet.ts';
import { sheetRows } from './sheetDifferences.ts';

const HEADER = ['field', 'value', 'unit'];
export type CsvRefusal = { line: number; field: string; message: string };
export type CsvSheets = { sheets: Json[]; refusals: CsvRefusal[] };

/** The last step of a path that names a figure: a band's end has its band's name. */
const nameOf = (field: string): string =>
  field
    .split('.')
    .reverse()
    .find((step) => !/^\d+$/.test(step)) ?? field;
const unitOf = (field: string): string => rangeIfAny(nameOf(field))?.unit ?? '';

export function sheetsCsv(sheets: readonly Sheet[]): string {
  const rows = sheets.flatMap(({ id, ...sheet }) => [
    ['sheet', id, ''],
    ...sheetRows(sheet).map(({ field, value }) => [
      field,
      String(value),
      typeof value === 'number' ? unitOf(field) : '',
    ]),
  ]);
  return Papa.unparse({ fields: HEADER, data: rows });
}

/** Units as they are printed, beside our own names. */
const SPELT: Record<string, UnitName> = {
  '°C': 'C',
  '°F': 'F',
  '°C apart': 'deltaC',
  '°F apart': 'deltaF',
  µm: 'um',
  'm²': 'm2',
  'ft²': 'ft2',
  'L/min': 'lPerMin',
  'g/L': 'gPerL',
  'lb/gal': 'lbPerGal',
};
const unitNamed = (word: string): UnitName | undefined =>
  SPELT[word] ?? (Object.hasOwn(UNITS, word) ? (word as UnitName) : undefined);

/** @returns the figure in the field's own unit, or what is wrong with its unit */
function inOwnUnit(value: number, field: string, unit: string): number | string {
  const own = unitOf(field);
  if (unit === '' || unit === own) return value;
  const [from, to] = [unitNamed(unit), unitNamed(own)];
  if (!from) return `${unit} is no unit that is known; ${own || 'none'} is wanted`;
  if (!to || !areAlike(from, to)) return `${unit} does not measure it; ${own || 'none'} is wanted`;
  return convert(value, from, to);
}

/** A name like 4:1 or 2026 stays a text: figures are what has a range, and the number. */
const isFigure = (field: string): boolean =>
  field === 'number' || rangeIfAny(nameOf(field)) !== undefined;
const NUMBER = /^-?\d+([.,]\d+)?(e-?\d+)?$/i;

export function readSheetsCsv(text: string): CsvSheets {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const sheets: Json[] = [];
  const refusals: CsvRefusal[] = [];
  data.forEach((row, i) => {
    const [field = '', value = '', unit = ''] = row.map((cell) => cell.trim());
    const line = i + 1;
    if (line === 1 && field === HEADER[0]) return;
    if (field === 'sheet') {
      sheets.push({ id: value });
      return;
    }
    const at = sheets.length - 1;
    if (at < 0) {
      refusals.push({ line, field, message: 'a row “sheet,ID,” comes before the first figure' });
      return;
    }
    const read = readValue(field, value, unit);
    if (typeof read === 'object') refusals.push({ line, field, message: read.message });
    else sheets[at] = withAt(sheets[at], field, read);
  });
  return { sheets, refusals };
}

function readValue(
  field: string,
  value: string,
  unit: string,
): string | number | boolean | { message: string } {
  if (value === 'true' || value === 'false') return value === 'true';
  if (!isFigure(field) || !NUMBER.test(value)) return value;
  const figure = inOwnUnit(Number(value.replace(',', '.')), field, unit);
  return typeof figure === 'string' ? { message: figure } : figure;
}
