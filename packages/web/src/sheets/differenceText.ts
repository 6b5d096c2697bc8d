/**
 * Where two issues of a sheet differ, said as the form asks it: by its labels, in the painter's
 * units.
 */
import { at, textOf, type Json } from '@orthochrom/contract/sheet/byPath.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { Difference } from '@orthochrom/contract/sheet/sheetDifferences.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';
import type { Field } from './form/sheetFields.ts';
import { SHEET_PAGES } from './form/sheetPages.ts';

/** What every sheet has and no page asks. */
const OF_THE_FILE: Field[] = [
  { path: 'id', label: 'Id of the product', kind: 'text' },
  { path: 'number', label: 'Issue', kind: 'number', suffix: '' },
];
const FIELDS = [...OF_THE_FILE, ...SHEET_PAGES.flatMap(({ fields }) => fields)];
const IN_RECIPE = /^recipes\.(\d+)\./;

/** What a difference is read against: the sheet that names its recipes, and the products. */
export type DifferenceOn = { sheet: object; products: readonly Sheet[]; format: Format };

type Found = { field: Field; rest: string[] };
/** The field that asks this figure; `rest` is where in a list it stands. */
function fieldAt(path: string, fields: readonly Field[]): Found | undefined {
  const field = fields.find((one) => path === one.path || path.startsWith(`${one.path}.`));
  const rest = path.slice((field?.path.length ?? 0) + 1);
  return field && { field, rest: rest === '' ? [] : rest.split('.') };
}

const valueText = (field: Field, value: Difference['was'], on: DifferenceOn): string => {
  if (value === undefined) return '–';
  if ((field.kind === 'figure' || field.kind === 'band') && typeof value === 'number')
    return on.format.joined(on.format[field.unit as 'temperature'](value));
  if ('suffix' in field) return `${value} ${field.suffix}`.trim();
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if ('options' in field) {
    const { options } = field;
    const known = typeof options === 'function' ? options(on.products) : options;
    return known.find(([code]) => code === value)?.[1] ?? String(value);
  }
  return String(value);
};

const ENDS = ['from', 'to'];
function placeText({ field, rest: [nth = '', ...inner] }: Found): string {
  if (nth === '') return field.label;
  if (field.kind === 'band' || field.kind === 'numberBand')
    return `${field.label}, ${ENDS[Number(nth)]}`;
  // What a label says of its whole list does not stand with one of it.
  const one = field.label.split(',')[0]!;
  const own = field.kind === 'rows' ? field.of.find(({ path }) => path === inner[0]) : undefined;
  return `${one}, ${Number(nth) + 1}${own ? `: ${own.label}` : ''}`;
}

/** A field that nobody knows keeps the name that it has in the file: a sheet that is refused. */
export function differenceText({ field: path, was, now }: Difference, on: DifferenceOn) {
  const nth = IN_RECIPE.exec(path)?.[1];
  const found = fieldAt(path.replace(IN_RECIPE, 'recipes.$.'), FIELDS);
  if (!found) return { what: path, was: String(was ?? '–'), now: String(now ?? '–') };
  const { field } = found;
  const asked =
    field.kind === 'rows' ? (fieldAt(found.rest[1] ?? '', field.of)?.field ?? field) : field;
  const recipe = nth === undefined ? '' : textOf(at(on.sheet as Json, `recipes.${nth}.name`));
  return {
    what: `${placeText(found)}${recipe ? ` (${recipe})` : ''}`,
    was: valueText(asked, was, on),
    now: valueText(asked, now, on),
  };
}
