/** A sheet as rows of figures, and where two issues of it differ. */
import type { Sheet } from './sheet.ts';

export type SheetRow = { field: string; value: string | number | boolean };
export type Difference = {
  field: string;
  was: SheetRow['value'] | undefined;
  now: SheetRow['value'] | undefined;
};

/** Every figure by its dotted path, in the order in which the sheet has them. */
export function sheetRows(value: unknown, at = ''): SheetRow[] {
  if (value === undefined || value === null) return [];
  if (typeof value !== 'object') return [{ field: at, value: value as SheetRow['value'] }];
  return Object.entries(value).flatMap(([key, inner]) =>
    sheetRows(inner, at === '' ? key : `${at}.${key}`),
  );
}

/** What changed from one issue to the next: figures that are gone, new, or other. */
export function sheetDifferences(was: Partial<Sheet> | undefined, now: object): Difference[] {
  const before = new Map(sheetRows(was ?? {}).map(({ field, value }) => [field, value]));
  const after = new Map(sheetRows(now).map(({ field, value }) => [field, value]));
  return [...new Set([...before.keys(), ...after.keys()])]
    .filter((field) => before.get(field) !== after.get(field))
    .map((field) => ({ field, was: before.get(field), now: after.get(field) }));
}
