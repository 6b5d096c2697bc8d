/**
 * What may follow what: gates by day and room, pot life, second cups, guns whose sets change, and
 * the stream that tells of it.
 */
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { ShopFixture, TEN_O_CLOCK, type Fault, type Reply } from './shopFixture.ts';

let shop: ShopFixture;
let whole: TicketWhole;
let painterId: string;
let gunId: string;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  shop = await ShopFixture.open();
  opened.push(shop);
  ({ whole, painterId, gunId } = await shop.openTicket());
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

const first = (): Coat => whole.coats[0]!;
const take = (coat = first()): Promise<Reply<TicketWhole & Fault>> =>
  shop.post(`/coats/${coat.id}/take`, { version: coat.version, painterId, gunId, overrides: {} });
const pour = (batchNo = 1, changes: object = {}): Promise<Reply<TicketWhole & Fault>> => {
  const { components } = first().planned!.answers['mix'] as AnswerOf<'mix'>;
  const poured = components!.map(({ name, ml }) => ({ name, ml }));
  return shop.post(`/tickets/${whole.ticket.id}/mixes`, {
    id: newId(),
    stageId: first().stageId,
    coatId: first().id,
    painterId,
    batchNo,
    poured,
    ...changes,
  });
};
const sprayStart = (mixId: string, more: object = {}): Promise<Reply<TicketWhole & Fault>> =>
  shop.post(`/coats/${first().id}/spray-start`, {
    version: first().version,
    painterId,
    mixId,
    unchangedSinceGate: true,
    ...more,
  });
const toTaken = async () => {
  await shop.passGate(whole, painterId);
  whole = (await take()).body;
};

describe('the gate', () => {
  it('of yesterday opens nothing today', async () => {
    await shop.passGate(whole, painterId);
    await shop.database.query(
      `update gate_answer set answered_at = answered_at - interval '1 day' where stage_id = $1`,
      [first().stageId],
    );
    expect((await take()).body.error.code).toBe('gate-open');
  });
  it('of another room opens nothing here', async () => {
    await shop.passGate(whole, painterId);
    const loft = (await shop.setup()).rooms.find(({ name }) => name === 'Loft booth')!.id;
    const { id: _i, version, number: _n, createdAt: _c, ...body } = whole.ticket;
    await shop.put(`/tickets/${whole.ticket.id}`, { ...body, version, roomId: loft });
    expect((await take()).body.error.code).toBe('gate-open');
  });
  it('that stops after it had passed shuts again', async () => {
    await shop.passGate(whole, painterId);
    await shop.post(`/tickets/${whole.ticket.id}/gate-answers`, {
      id: newId(),
      stageId: first().stageId,
      step: 'spray',
      painterId,
      protection: { breathing: 'airFed', skin: true, eyes: true },
      extraction: 'on',
      ignition: [],
      bystanders: true,
    });
    expect((await take()).body.error.code).toBe('gate-open');
  });
  it('does not pass two-pack in the prep bay, whoever asks', async () => {
    const shed = (await shop.setup()).rooms.find(({ name }) => name === 'Prep bay')!.id;
    const { id: _i, version, number: _n, createdAt: _c, ...body } = whole.ticket;
    await shop.put(`/tickets/${whole.ticket.id}`, { ...body, version, roomId: shed });
    const reply = await shop.passGate(whole, painterId);
    expect(reply.body.gates.at(-1)!.passed).toBe(false);
    expect(reply.body.gates.at(-1)!.verdicts.map(({ code }) => code)).toContain('place-unfit');
  });
});

it('a pick of grades that does not make a whole is refused, not worked with', async () => {
  await shop.passGate(whole, painterId);
  const reply = await shop.post<Fault>(`/coats/${first().id}/take`, {
    version: first().version,
    painterId,
    gunId,
    overrides: {},
    wantedParts: [{ name: 'T-20', fraction: 0.4 }],
  });
  expect(reply.status).toBe(422);
  expect(reply.body.error).toMatchObject({ code: 'contradiction', path: ['wanted', 'parts'] });
});

describe('a mix', () => {
  it('waits for the plan', async () => {
    await shop.passGate(whole, painterId);
    const reply = await shop.post<Fault>(`/tickets/${whole.ticket.id}/mixes`, {
      id: newId(),
      stageId: first().stageId,
      coatId: first().id,
      painterId,
      batchNo: 1,
      poured: [{ name: 'H-2', ml: 10 }],
    });
    expect(reply.body.error.code).toBe('out-of-turn');
  });
  it('may be followed by a second cup of its own', async () => {
    await toTaken();
    await pour(1);
    whole = (await pour(2)).body;
    expect(whole.mixes.map(({ batchNo }) => batchNo)).toEqual([1, 2]);
  });
  it('that poured what the recipe does not have is refused, and nothing is kept', async () => {
    await toTaken();
    const reply = await pour(1, { poured: [{ name: 'Something else', ml: 100 }] });
    expect(reply.status).toBe(422);
    expect(reply.body.error).toMatchObject({ code: 'not-in-recipe', path: ['poured', 0, 'name'] });
    expect((await shop.get<TicketWhole>(`/tickets/${whole.ticket.id}`)).body.mixes).toEqual([]);
  });
  it('past its pot life is sprayed only with a word why, which stands beside the plan', async () => {
    await toTaken();
    whole = (await pour()).body;
    await shop.database.query(`update mix set pot_life_ends_at = now() - interval '1 minute'`);
    expect((await sprayStart(whole.mixes[0]!.id)).body.error.message).toMatch(
      /min old and lasts .* say in a word why/,
    );
    expect((await sprayStart(whole.mixes[0]!.id, { whyOldMix: 'last door handle' })).status).toBe(
      200,
    );
    whole = (await shop.get<TicketWhole>(`/tickets/${whole.ticket.id}`)).body;
    expect(first()).toMatchObject({
      state: 'spraying',
      overrides: { potLife: { why: 'last door handle' } },
    });
  });
  it('of another stage is not sprayed here', async () => {
    await toTaken();
    await pour();
    expect((await sprayStart(newId())).body.error).toMatchObject({
      code: 'not-one-of',
      path: ['mixId'],
    });
  });
});

describe('a coat', () => {
  it('is not sprayed unless room, people and protection are said to be as at the gate', async () => {
    await toTaken();
    whole = (await pour()).body;
    const reply = await shop.post<Fault>(`/coats/${first().id}/spray-start`, {
      version: first().version,
      painterId,
      mixId: whole.mixes[0]!.id,
      unchangedSinceGate: false,
    });
    expect(reply.status).toBe(422);
  });
  it('keeps the air it was sprayed in, not the air it was planned in', async () => {
    await toTaken();
    whole = (await pour()).body;
    shop.probe.steer({ minute: 840 });
    whole = (await sprayStart(whole.mixes[0]!.id)).body;
    await shop.post(`/coats/${first().id}/spray-end`, { version: first().version, painterId });
    const [row] = (await shop.get<{ rows: { airC: number }[] }>('/records')).body.rows;
    expect(row!.airC).toBeCloseTo(24, 1);
    shop.probe.steer({ minute: TEN_O_CLOCK });
  });
  it('is not looked at before it has flashed, and not planned twice once it is sprayed', async () => {
    await toTaken();
    whole = (await pour()).body;
    whole = (await sprayStart(whole.mixes[0]!.id)).body;
    const look = await shop.post<Fault>(`/coats/${first().id}/look`, {
      version: first().version,
      painterId,
      done: {},
      seen: ['nothing'],
      rating: 'good',
      note: '',
    });
    expect(look.body.error.code).toBe('out-of-turn');
    expect((await take()).body.error.code).toBe('out-of-turn');
  });
  it('logged from an old version clashes with both sides shown', async () => {
    await toTaken();
    const stale = first();
    await shop.post(`/coats/${stale.id}/overrides`, {
      version: stale.version,
      painterId,
      overrides: {},
    });
    const reply = await shop.post<Fault>(`/coats/${stale.id}/overrides`, {
      version: stale.version,
      painterId,
      overrides: { inletKPa: { recommended: 140, chosen: 150, why: 'x' } },
    });
    expect(reply.status).toBe(409);
    expect(reply.body.error).toHaveProperty('theirs');
  });
  it('leaves its knobs for the next plan to remind of', async () => {
    const { knobs } = await shop.setup();
    const dunlin = (await shop.setup()).guns.find(({ name }) => name === 'Dunlin')!;
    expect(knobs[dunlin.id]).toMatchObject({ part: 'smallPart' });
  });
});

it('the stream tells of the air and of what was written', async () => {
  const heard = await shop.listen(async () => {
    const { id, ...painter } = (await shop.setup()).painters[0]!;
    await shop.put(`/painters/${id}`, { ...painter, skill: 'expert' });
  });
  const events = heard.split('\n\n').map((block) => block.split('\n'));
  const air = events.find(([name]) => name === 'event: air')!;
  expect((JSON.parse(air[1]!.slice('data: '.length)) as AirNow[])[0]).toHaveProperty('panel');
  expect(
    events.some(([name, data]) => name === 'event: changed' && data!.includes('"painter"')),
  ).toBe(true);
});

describe('records', () => {
  it('are found by each condition and by all together', async () => {
    type Row = { airC: number; stage: string; coat: Coat };
    const ask = async (query: string) =>
      (await shop.get<{ rows: Row[] }>(`/records${query}`)).body.rows;
    const all = await ask('');
    const hot = await ask('?minAirC=29');
    expect(hot.length).toBeGreaterThan(0);
    expect(hot.length).toBeLessThan(all.length);
    expect(hot.every(({ airC }) => airC >= 29)).toBe(true);
    const poorHotClear = await ask('?minAirC=29&stage=clear&rating=poor');
    expect(poorHotClear.map(({ coat }) => coat.seen)).toEqual([['pops']]);
    expect(await ask('?text=nothing%20like%20it')).toEqual([]);
  });
  it('refuse a condition nobody knows, and a record that is not there', async () => {
    expect((await shop.get<Fault>('/records?mood=good')).body.error).toMatchObject({
      code: 'unknown-field',
      path: ['mood'],
    });
    expect((await shop.get<Fault>(`/records/${newId()}`)).status).toBe(404);
    expect((await shop.get<Fault>('/records/not-an-id')).status).toBe(422);
  });
});
