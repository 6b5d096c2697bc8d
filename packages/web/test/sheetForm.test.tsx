/** The fields of a sheet's pages, empty and filled: no hole in what is shown, and what is wrong. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drawn } from './drawn.tsx';
import { SheetField } from '../src/sheets/form/SheetField.tsx';
import type { SheetDraft } from '../src/sheets/form/sheetDraft.ts';
import { SHEET_PAGES } from '../src/sheets/form/sheetPages.ts';

const folder = new URL('../../server/demo/sheets/', import.meta.url);
const products = readdirSync(folder).flatMap(
  (file) =>
    [JSON.parse(readFileSync(new URL(file, folder), 'utf8'))].flat() as (Sheet & SheetDraft)[],
);
const FIELDS = SHEET_PAGES.flatMap(({ fields }) => fields);
const FIGURES = FIELDS.filter(({ kind }) => /^(figure|band|number)/.test(kind));
const inRecipe = (path: string) => path.replace('$', '0');
const field = (
  one: (typeof FIELDS)[number],
  draft: SheetDraft,
  faults: [string, string][] = [],
): string =>
  drawn(
    <SheetField
      field={one}
      path={inRecipe(one.path)}
      draft={draft}
      products={products}
      faults={new Map(faults)}
      onChange={() => undefined}
    />,
  );

describe('a field of a sheet', () => {
  it.each([...new Map(FIELDS.map((one) => [one.kind, one]))])(
    'of kind %s is drawn empty',
    (_, one) => expect(field(one, {})).toContain(one.label),
  );
  it.each(['base', 'reducer'] as const)('of a %s is drawn with what is printed', (kind) => {
    const sheet = products.find((one) => one.kind === kind)!;
    const name = FIELDS.find(({ path }) => path === 'name')!;
    expect(field(name, sheet)).toContain(`value="${sheet.name}"`);
    for (const one of FIGURES) expect(field(one, sheet)).not.toMatch(/NaN|undefined|\[object/);
  });
  it('says what does not fit, but not of what was left empty', () => {
    const name = FIELDS.find(({ path }) => path === 'name')!;
    const fault: [string, string][] = [['name', 'is too long']];
    expect(field(name, { name: 'x' }, fault)).toContain('is too long');
    expect(field(name, {}, fault)).not.toContain('is too long');
  });
});
