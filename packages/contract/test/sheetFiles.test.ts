/** Sheets as files: out and in again is equal, what is wrong has its line, nothing goes in half. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { at, withAt, type Json } from '../src/sheet/byPath.ts';
import { Sheet } from '../src/sheet/sheet.ts';
import { readSheetsCsv, sheetsCsv } from '../src/sheet/sheetCsv.ts';
import { sheetDifferences, sheetRows } from '../src/sheet/sheetDifferences.ts';
import { incomingSheets } from '../src/sheet/sheetImport.ts';
import { products, sheets } from './demoContext.ts';

const read = (rows: string): ReturnType<typeof readSheetsCsv> =>
  readSheetsCsv(`field,value,unit\n${rows}`);

describe('a table of sheets', () => {
  it('comes back as it went out', () => {
    const { sheets: back, refusals } = readSheetsCsv(sheetsCsv(sheets));
    expect(refusals).toEqual([]);
    expect(back.map((one) => Sheet.parse(one))).toEqual(sheets);
  });
  it('takes other units, and says which it does not know, with the line', () => {
    const { sheets: back, refusals } = read(
      [
        'sheet,own,',
        'recipes.0.times.bakeC,140,F',
        'gunSheet.hvlp.inletKPa.0,29,psi',
        'gunSheet.hvlp.inletKPa.1,30,parsec',
        'densityGPerMl,1.2,psi',
      ].join('\n'),
    );
    expect(at(back[0], 'recipes.0.times.bakeC')).toBeCloseTo(60, 6);
    expect(at(back[0], 'gunSheet.hvlp.inletKPa.0')).toBeCloseTo(199.95, 1);
    expect(refusals.map(({ line, field }) => [line, field])).toEqual([
      [5, 'gunSheet.hvlp.inletKPa.1'],
      [6, 'densityGPerMl'],
    ]);
  });
  it('begins with a product', () => {
    expect(read('densityGPerMl,1.2,g/ml').refusals).toMatchObject([{ line: 2 }]);
  });
});

describe('what a file would change', () => {
  const [first] = sheets as [Sheet, ...Sheet[]];
  it('is nothing for what is kept as it is', () => {
    const states = incomingSheets(sheets, products).map(({ state }) => state);
    expect(new Set(states)).toEqual(new Set(['same']));
  });
  it('is a new issue under the next number, figure by figure', () => {
    const [incoming] = incomingSheets(
      [{ ...first, densityGPerMl: first.densityGPerMl * 1.01 }],
      products,
    );
    expect(incoming).toMatchObject({
      state: 'changed',
      sheet: { number: first.number + 1 },
      differences: [{ field: 'densityGPerMl', was: first.densityGPerMl }],
    });
  });
  it('is refused at its field, and a product nobody knows is new', () => {
    const bad = incomingSheets([{ ...first, densityGPerMl: 90 }], products);
    expect(bad).toMatchObject([{ state: 'refused', refusals: [{ field: 'densityGPerMl' }] }]);
    expect(incomingSheets([{ ...first, id: 'other' }], products)).toMatchObject([{ state: 'new' }]);
    expect(incomingSheets(['nonsense', null], products).map(({ state }) => state)).toEqual([
      'refused',
      'refused',
    ]);
  });
  it('comes with companions first: a paint may come in one file with what it names', () => {
    const paint = sheets.find(({ recipes, grades }) => recipes && grades)!;
    const incoming = incomingSheets(sheets, new Map());
    const at = (id: string) => incoming.findIndex((one) => one.id === id);
    expect(at(paint.grades![0]!)).toBeLessThan(at(paint.id));
    expect(incoming.every(({ state }) => state === 'new')).toBe(true);
  });
});

describe('rows and paths', () => {
  it('a sheet is made again from its rows', () => {
    for (const sheet of sheets) {
      const again = sheetRows(sheet).reduce<Json>(
        (made, { field, value }) => withAt(made, field, value),
        undefined,
      );
      expect(again).toEqual(sheet);
      expect(sheetDifferences(sheet, again as object)).toEqual([]);
    }
  });
  it('what was put is what stands there, and nothing else moved', () => {
    const step = fc.constantFrom('a', 'b', '0', '1');
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 4 }), fc.integer(), (steps, value) => {
        const path = `root.${steps.join('.')}`;
        const put = withAt({ other: 1 } as Json, path, value);
        expect(at(put, path)).toBe(value);
        expect(at(put, 'other')).toBe(1);
      }),
    );
  });
});
