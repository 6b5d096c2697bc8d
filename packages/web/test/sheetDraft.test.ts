/** A sheet as it is typed: what is empty stays absent, what is whole is what was kept. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { sheetRows } from '@orthochrom/contract/sheet/sheetDifferences.ts';
import { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { describe, expect, it } from 'vitest';
import {
  emptySheet,
  idFrom,
  isPaint,
  misfits,
  pruned,
  sheetOf,
  type SheetDraft,
} from '../src/sheets/form/sheetDraft.ts';
import { SHEET_PAGES } from '../src/sheets/form/sheetPages.ts';

const demo = path.join(import.meta.dirname, '../../server/demo/sheets');
const sheets = readdirSync(demo).map((file) =>
  Sheet.parse(JSON.parse(readFileSync(path.join(demo, file), 'utf8'))),
);
const byId = new Map(sheets.map((sheet) => [sheet.id, sheet]));
const draftOf = (sheet: Sheet): SheetDraft => sheet as unknown as SheetDraft;

describe('a draft', () => {
  it('of a kept sheet is that sheet, and fits', () => {
    for (const sheet of sheets) {
      expect(sheetOf(draftOf(sheet))).toEqual(sheet);
      expect([...misfits(draftOf(sheet), byId)]).toEqual([]);
    }
  });
  it('that is empty says what is missing, and goes without recipes where it is no paint', () => {
    const draft = { ...emptySheet('2026-06-01'), id: 'new' };
    expect([...misfits(draft, byId).keys()]).toEqual(
      expect.arrayContaining(['name', 'densityGPerMl', 'recipes.0.times']),
    );
    expect(sheetOf({ ...draft, kind: 'reducer' })).not.toHaveProperty('recipes');
    expect([isPaint(draft), isPaint({ ...draft, kind: 'hardener' })]).toEqual([true, false]);
  });
  it('holds its figures against one another as they are typed', () => {
    const paint = sheets.find(({ recipes }) => recipes)!;
    const [recipe, ...more] = paint.recipes!;
    const wrong = { ...paint, recipes: [{ ...recipe!, dryFilmUm: [900, 950] }, ...more] };
    const found = misfits(draftOf(wrong as Sheet), byId);
    expect([...found.keys()].some((where) => where.startsWith('recipes.0.dryFilmUm'))).toBe(true);
  });
  it('drops what was left empty, however deep', () => {
    expect(pruned({ a: '', b: { c: undefined, d: [''] }, e: 0, f: false })).toEqual({
      e: 0,
      f: false,
    });
  });
  it('gets an id from its name that no other has', () => {
    expect(idFrom('Clear HS, fast!', new Set())).toBe('clear-hs-fast');
    expect(idFrom('Clear', new Set(['clear', 'clear-2']))).toBe('clear-3');
    expect(idFrom('', new Set())).toBe('product');
  });
});

it('every figure of every kept sheet has its page, but for what a form does not ask', () => {
  const ASKED_ELSEWHERE = /^(id|number)$/;
  const paths = SHEET_PAGES.flatMap(({ fields }) => fields.map((field) => field.path));
  const has = (where: string): boolean =>
    paths.some((own) => {
      const plain = own.replace('$', '0');
      return where === plain || where.startsWith(`${plain}.`);
    });
  const missing = sheets.flatMap((sheet) =>
    sheetRows(sheet)
      .map(({ field }) => field.replace(/^recipes\.\d+/, 'recipes.0'))
      .filter((where) => !has(where) && !ASKED_ELSEWHERE.test(where)),
  );
  expect([...new Set(missing)]).toEqual([]);
});
