/** A file of sheets goes in whole or not at all, and comes out as it went in. */
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { readSheetsCsv } from '@orthochrom/contract/sheet/sheetCsv.ts';
import { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
beforeAll(async () => {
  shop = await ShopFixture.open();
});
afterAll(() => shop.close());
const kept = async (): Promise<Sheet[]> =>
  (await shop.get<SheetVersion[]>('/sheets')).body.map(({ sheet }) => sheet);

describe('a file of sheets', () => {
  it('is kept whole under the next numbers', async () => {
    const next = (await kept())
      .slice(0, 3)
      .map((sheet) => ({ ...sheet, number: sheet.number + 1 }));
    const reply = await shop.post<SheetVersion[]>('/sheets/import', { sheets: next });
    expect(reply.status).toBe(201);
    const now = new Map((await kept()).map((sheet) => [sheet.id, sheet]));
    for (const sheet of next) expect(now.get(sheet.id)).toEqual(sheet);
  });
  it('changes nothing where one of it is refused', async () => {
    const before = await kept();
    const [first, second] = before as [Sheet, Sheet];
    const sheets = [
      { ...first, number: first.number + 1, notes: ['new'] },
      { ...second, number: second.number, notes: ['an issue that is kept never changes'] },
    ];
    const reply = await shop.post<Fault>('/sheets/import', { sheets });
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toContain('number');
    expect(await kept()).toEqual(before);
  });
  it('comes out as a table that is the same sheets', async () => {
    const { body } = await shop.get<string>('/sheets/table');
    const { sheets, refusals } = readSheetsCsv(String(body));
    expect(refusals).toEqual([]);
    const byId = (all: Sheet[]) => new Map(all.map((sheet) => [sheet.id, sheet]));
    expect(byId(sheets.map((sheet) => Sheet.parse(sheet)))).toEqual(byId(await kept()));
  });
});
