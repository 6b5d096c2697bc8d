/**
 * What is in force holds at the API: whatever is chosen is judged there by the rule that judges
 * ours, and is kept.
 */
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { recoatCalculation } from '@orthochrom/contract/calculations/recoat.ts';
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
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
  await shop.passGate(whole, painterId);
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

type Answered = Reply<TicketWhole & Fault>;
const first = (): Coat => whole.coats[0]!;
const take = (changes: object = {}, coat = first()): Promise<Answered> =>
  shop.post(`/coats/${coat.id}/take`, {
    version: coat.version,
    painterId,
    gunId,
    overrides: {},
    ...changes,
  });
const pour = async (): Promise<string> => {
  const id = newId();
  const { components } = first().planned!.answers['mix'] as AnswerOf<'mix'>;
  whole = (
    await shop.post<TicketWhole>(`/tickets/${whole.ticket.id}/mixes`, {
      ...{ id, stageId: first().stageId, coatId: first().id, painterId, batchNo: 1 },
      poured: components!.map(({ name, ml }) => ({ name, ml })),
    })
  ).body;
  return id;
};
const start = (mixId: string): Promise<Answered> =>
  shop.post(`/coats/${first().id}/spray-start`, {
    version: first().version,
    painterId,
    mixId,
    unchangedSinceGate: true,
  });
/** Sprays the first coat from mix to flash. */
const sprayed = async (): Promise<void> => {
  whole = (await start(await pour())).body;
  whole = (
    await shop.post<TicketWhole>(`/coats/${first().id}/spray-end`, {
      version: first().version,
      painterId,
    })
  ).body;
};
const flashMinutes = (): number => {
  const { startedAt, dueAt } = whole.timers.find(
    ({ coatId, kind }) => coatId === first().id && kind === 'flash',
  )!;
  return (Date.parse(dueAt) - Date.parse(startedAt)) / 60_000;
};
const closed = { fanTurnsOut: { recommended: 2, chosen: 0, why: 'a stripe' } };

describe('a limit at the cap', () => {
  it('stops a fan closed under it, in the plan as in the override, and at the trigger', async () => {
    const { guns } = await shop.setup();
    gunId = guns.find(({ name }) => name === 'Heron')!.id;
    const refused = await take({ overrides: closed });
    expect(refused.status).toBe(422);
    expect(refused.body.error.path).toEqual(['overrides', 'fanTurnsOut', 'chosen']);
    expect(refused.body.error.message).toMatch(/cap/);
    whole = (await take()).body;
    const again = await shop.post<Fault>(`/coats/${first().id}/overrides`, {
      version: first().version,
      painterId,
      overrides: closed,
    });
    expect(again.status).toBe(422);
    // What is in the rows from before is judged again where it would spray.
    const mixId = await pour();
    await shop.rows(`update coat set overrides = $1 where id = $2`, [
      JSON.stringify(closed),
      first().id,
    ]);
    expect((await start(mixId)).status).toBe(409);
    expect((await start(mixId)).body.error.message).toMatch(/cap/);
  });
});

describe('the air of the minute', () => {
  it('that would stop a plan stops the trigger of one that was taken in better air', async () => {
    whole = (await take()).body;
    const mixId = await pour();
    await shop.post('/probe', { minute: 420, shiftC: 0, minutesPerSecond: 0 });
    const refused = await start(mixId);
    expect(refused.status).toBe(409);
    expect(refused.body.error.message).toMatch(/panel/i);
    await shop.post('/probe', { minute: TEN_O_CLOCK, shiftC: 0, minutesPerSecond: 0 });
    expect((await start(mixId)).status).toBe(200);
  });
});

describe('the painter’s own', () => {
  it('grade, part and mist coat stay with the plan, and the timer runs by them', async () => {
    whole = (await take({ mist: true })).body;
    expect(first().planned!.wishes).toEqual({ mist: true });
    expect((first().planned!.inputs['recoat'] as InputOf<'recoat'>).mistCoat).toBe(true);
    const { floorMinutes, sheetMinutes } = first().planned!.answers['recoat'] as AnswerOf<'recoat'>;
    await sprayed();
    expect(floorMinutes).toBeLessThan(sheetMinutes);
    expect(flashMinutes()).toBeCloseTo(floorMinutes, 3);
  });

  it('slow grade makes the flash longer on the timer, not only in a sentence', async () => {
    const other = await shop.openTicket('Skerry 240 coupe, 1968, ivory over slate');
    await shop.passGate(other.whole, painterId);
    [whole, gunId] = [other.whole, other.whole.ticket.stages[0]!.gunId!];
    const own = (await take({ wantedParts: [{ name: 'T-40', fraction: 1 }] })).body;
    expect(own.error).toBeUndefined();
    whole = own;
    const planned = first().planned!;
    expect((planned.inputs['setup'] as InputOf<'setup'>).material!.grade!.name).toBe('T-40');
    expect((planned.inputs['recoat'] as InputOf<'recoat'>).reducer!.stepsSlower).toBeGreaterThan(
      0.5,
    );
    await sprayed();
    const { earliestMinutes } = planned.answers['recoat'] as AnswerOf<'recoat'>;
    expect(flashMinutes() / earliestMinutes.value).toBeCloseTo(1, 1);
    const { reducer: _ours, ...without } = planned.inputs['recoat'] as InputOf<'recoat'>;
    expect(earliestMinutes.value).toBeGreaterThan(
      ask(recoatCalculation, without).earliestMinutes.value * 1.02,
    );
  });
});

describe('the gate', () => {
  it('does not take extraction for running in a room that has none', async () => {
    await shop.rows(`update room set extraction = 'off' where id = $1`, [whole.ticket.roomId]);
    const { body } = await shop.passGate(whole, painterId);
    const last = body.gates.at(-1)!;
    expect(last.verdicts.map(({ code }) => code)).toContain('extraction-not-there');
  });
});
