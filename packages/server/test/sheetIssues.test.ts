/** A sheet from issue to issue: what was planned stays with its own. */
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import type { SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { contextOf, isMissing } from '@orthochrom/contract/plan/contextOf.ts';
import { standingFor } from '@orthochrom/contract/plan/standing.ts';
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import { newerIssueKept } from '@orthochrom/contract/plan/newerIssue.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CoatWalk } from './coatWalk.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let walk: CoatWalk;
let was: SheetVersion;
let next: SheetVersion;
beforeAll(async () => {
  shop = await ShopFixture.open();
  walk = await CoatWalk.begin(shop);
  const { sheetVersionId } = walk.whole.ticket.stages[0]!;
  was = walk.whole.sheets.find(({ id }) => id === sheetVersionId)!;
  const { sheet } = was;
  const issue = { ...sheet, number: sheet.number + 1, notes: ['The maker thought again.'] };
  next = (await shop.post<SheetVersion>('/sheets', issue)).body;
});
afterAll(() => shop.close());

const issues = (code: string) => shop.get<SheetVersion[]>(`/sheets/${code}/issues`);
/** The ticket as it is, with its first stage told otherwise. */
const changeStage = async (changes: object) => {
  const { id, number: _n, createdAt: _c, ...ticket } = (await walk.read()).ticket;
  const [first, ...others] = ticket.stages;
  return shop.put<TicketWhole & Fault>(`/tickets/${id}`, {
    ...ticket,
    stages: [{ ...first, ...changes }, ...others],
  });
};

/** What is said before the plan of this coat is taken. */
const toldAt = async (nth: number): Promise<string[]> => {
  const whole = await walk.read();
  const { rooms } = (await shop.get<{ rooms: AirNow[] }>('/air')).body;
  const sources = {
    whole,
    setup: await shop.setup(),
    latest: (await shop.get<SheetVersion[]>('/sheets')).body,
    air: rooms.find(({ roomId }) => roomId === whole.ticket.roomId)!,
  };
  const coat = walk.coat(nth);
  const context = contextOf(sources, coat, walk.painterId, {});
  if (isMissing(context)) throw new Error(`no ${context.missing}`);
  return standingFor('take', whole, coat, context, Date.now()).map(({ code }) => code);
};

describe('the issues of a sheet', () => {
  it('are all kept, the newest first, and each is had by its own id', async () => {
    expect((await issues(was.sheet.id)).body).toEqual([next, was]);
    const kept = await shop.get<SheetVersion[]>(`/sheets/kept?ids=${was.id}`);
    expect(kept.body).toEqual([was]);
  });
  it('of a sheet that there is not are not found; what is no id is refused', async () => {
    expect((await issues('no-such-paint')).status).toBe(404);
    expect((await issues(encodeURIComponent('\u0000'))).status).toBe(422);
    for (const asked of ['?ids=x', '?ids=', ''])
      expect((await shop.get(`/sheets/kept${asked}`)).status, asked).toBe(422);
  });
});

describe('a stage', () => {
  it('stays with the issue that it was planned with', async () => {
    const { ticket, sheets } = await walk.read();
    expect(ticket.stages[0]!.sheetVersionId).toBe(was.id);
    expect(sheets).toContainEqual(was);
    expect(await toldAt(0)).toContain('newer-sheet-issue');
    const [told] = newerIssueKept({
      sheet: was.sheet,
      products: new Map([[was.sheet.id, next.sheet]]),
    });
    expect(told).toMatchObject({ code: 'newer-sheet-issue', level: 'caution' });
  });
  it('goes over to the newest before its first coat, and not after', async () => {
    const over = await changeStage({ sheetVersionId: next.id });
    expect(over.body.ticket.stages[0]!.sheetVersionId).toBe(next.id);
    expect((await changeStage({ sheetVersionId: was.id, coats: 2 })).status).toBe(200);
    await walk.goBefore('pour');
    const late = await changeStage({ sheetVersionId: next.id });
    expect(late.status).toBe(422);
    expect(late.body.error.path).toEqual(['stages', 0, 'sheetVersionId']);
    expect((await walk.read()).ticket.stages[0]!.sheetVersionId).toBe(was.id);
    expect(walk.stageOf(1)).toBe(0);
    // Nothing is to be chosen any more: it is not said again at every coat.
    expect(await toldAt(1)).not.toContain('newer-sheet-issue');
  });
  it('that was begun stays the stage that it was', async () => {
    const { kind } = walk.whole.ticket.stages[0]!;
    const late = await changeStage({ kind: kind === 'primer' ? 'sealer' : 'primer' });
    expect(late.body.error).toMatchObject({
      path: ['stages', 0, 'kind'],
      message: expect.stringContaining('it stays the stage that it began as') as string,
    });
  });
});

describe('the record of a coat', () => {
  it('says by which issues it was planned, the paint first, and the table which', async () => {
    const { id } = walk.coat();
    const { body } = await shop.get<RecordRow>(`/records/${id}`);
    const { name, number, issuedOn, source } = was.sheet;
    expect(body.plannedBy![0]).toEqual({ id: was.sheet.id, name, number, issuedOn, source });
    expect(body.plannedBy).toHaveLength(body.coat.planned!.sheetVersionIds.length);
    expect(body.sheetIssue).toBe(was.sheet.number);
    const { body: table } = await shop.get<string>('/records.csv');
    expect(String(table).split(/\r?\n/)[0]!.split(',')).toContain('sheet_issue');
  });
  it('of a coat that is not planned yet names none', async () => {
    const planned = walk.whole.coats.find(({ state }) => state === 'planned')!;
    const { body } = await shop.get<RecordRow>(`/records/${planned.id}`);
    expect(body.plannedBy).toEqual([]);
    expect((await shop.get(`/records/${newId()}`)).status).toBe(404);
  });
});
