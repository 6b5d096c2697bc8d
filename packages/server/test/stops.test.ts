/**
 * Nobody goes before a stop: another product, a limit, a window missed, a fault not settled, a film
 * too young for heat. What holds at every tap: everyTap.test.ts.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { changeRoom, codesOf, CoatWalk, expectNothingMoved } from './coatWalk.ts';
import { IN_ORDER } from './inOrder.ts';
import { ShopFixture, TEN_O_CLOCK, type Fault } from './shopFixture.ts';

const COLD = 440;
let shop: ShopFixture;
let walk: CoatWalk;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  shop = await ShopFixture.open();
  opened.push(shop);
  walk = await CoatWalk.begin(shop);
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

describe('the gate', () => {
  it('is asked anew for another product', async () => {
    await walk.gate();
    const { id, number: _n, createdAt: _c, ...ticket } = walk.whole.ticket;
    const { body: sheets } = await shop.get<SheetVersion[]>('/sheets');
    const other = sheets.find(
      (v) => v.sheet.id.includes('sealer') && v.id !== ticket.stages[0]!.sheetVersionId,
    )!;
    const change = { sheetVersionId: other.id, recipeName: other.sheet.recipes![0]!.name };
    const stages = ticket.stages.map((stage, i) => (i === 0 ? { ...stage, ...change } : stage));
    expect((await shop.put(`/tickets/${id}`, { ...ticket, stages })).status).toBe(200);
    expect((await walk.take()).body.error.message).toMatch(/the product/);
  });
  it('holds an answer against what the room has', async () => {
    await changeRoom(walk, { extraction: 'off' });
    const reply = await walk.gate();
    expect(reply.body.gates.at(-1)).toMatchObject({ passed: false });
    expect(reply.body.gates.at(-1)!.verdicts.map(({ code }) => code)).toContain(
      'extraction-not-there',
    );
  });
  it('holds a limit on solvent that was entered for the room', async () => {
    await changeRoom(walk, { regionRules: { vocLimitGPerL: 50 } });
    await walk.gate();
    const reply = await expectNothingMoved(walk, () => walk.take(), 'stopped');
    expect(codesOf(reply)).toContain('voc-over-legal-limit');
    expect(reply.body.error.message).toContain('50 g/L');
  });
  it('stands before a test that puts the real mix through the gun', async () => {
    const heron = (await shop.setup()).guns.find(({ name }) => name === 'Heron')!;
    const count = (await shop.get<StoredTest[]>('/tests')).body.length;
    const test = { kind: 'pattern', seen: 'even', distanceMm: 200, settings: {} };
    const body = { painterId: walk.painterId, nozzleSetId: heron.sets[0]!.id, test, note: '' };
    expect((await shop.post<Fault>('/tests', { id: newId(), ...body })).body.error.path).toEqual([
      'gate',
    ]);
    const gate = await shop.testGate({ protection: { breathing: 'dust', skin: true, eyes: true } });
    const reply = await shop.post<Fault>('/tests', { id: newId(), ...body, gate });
    expect(reply.status).toBe(409);
    expect(reply.body.error.code).toBe('stopped');
    expect((await shop.get<StoredTest[]>('/tests')).body).toHaveLength(count);
  });
});

it('a pour that comes again after its answer was lost is answered, though the gate has closed since', async () => {
  await walk.goBefore('pour');
  const mix = walk.coat().planned!.answers['mix'] as AnswerOf<'mix'>;
  const body = {
    id: newId(),
    painterId: walk.painterId,
    stageId: walk.coat().stageId,
    coatId: walk.coat().id,
    batchNo: 1,
    poured: mix.components!.map(({ name, ml }) => ({ name, ml })),
  };
  const path = `/tickets/${walk.whole.ticket.id}/mixes`;
  expect((await shop.post(path, body)).status).toBe(201);
  await changeRoom(walk, { extraction: 'off' });
  expect((await shop.post(path, body)).status).toBe(201);
  expect((await shop.post<Fault>(path, { ...body, id: newId() })).body.error.code).toBe(
    'gate-open',
  );
  expect((await walk.read()).mixes).toHaveLength(1);
});

describe('a stop while spraying', () => {
  it('says what to do with the wet panel; what is on is kept, and only that', async () => {
    await walk.goBefore('panel');
    await walk.panel(0, 0);
    shop.probe.steer({ minute: COLD });
    const reply = await walk.on();
    expect(codesOf(reply)).toContain('wet-panel-stopped');
    expect((await walk.on(0, { stoppedBecause: 'the heater failed' })).status).toBe(200);
    expect(walk.coat().panelsSprayed).toHaveLength(1);
    expect(walk.coat()).toMatchObject({
      state: 'sprayed',
      overrides: { stop: { why: 'the heater failed' } },
    });
    expect(walk.coat().overrides.stop!.recommended).toContain('panel-too-cold');
    shop.probe.steer({ minute: TEN_O_CLOCK });
  });
  it('keeps no coat of which nothing is on', async () => {
    await walk.goBefore('panel');
    expect((await walk.on(0, { stoppedBecause: 'gun fell' })).body.error.path).toEqual([
      'panelsOn',
    ]);
    expect((await walk.read()).coats[0]!.state).toBe('spraying');
  });
});

describe('what lies below', () => {
  const threeDays = () =>
    shop.database.query(
      `update coat set ended_at = ended_at - interval '12 days', started_at = started_at - interval '12 days'`,
    );

  it('past its window is sanded first, and that is recorded', async () => {
    await walk.lay(0);
    await threeDays();
    await walk.read();
    await walk.gate(1);
    const reply = await expectNothingMoved(walk, () => walk.take(1), 'stopped');
    expect(codesOf(reply)).toEqual(['window-over']);
    expect((await walk.work(0, 'sandedDry')).status).toBe(201);
    expect((await walk.take(1)).status).toBe(200);
  });
  it('with peel in it holds the next stage until it is settled with a word', async () => {
    await walk.lay(0, ['peel']);
    await walk.gate(1);
    const reply = await expectNothingMoved(walk, () => walk.take(1), 'stopped');
    expect(reply.body.error.message).toMatch(
      /Found in sealer, coat 1 and not settled: orange peel/,
    );
    const settles = ['seen:peel'];
    expect((await walk.work(0, 'left', { settles })).body.error.path).toEqual(['why']);
    expect((await walk.work(0, 'recoated', { settles })).body.error.code).toBe('out-of-turn');
    expect((await walk.work(0, 'flattened', { settles: ['seen:run'] })).status).toBe(422);
    expect((await walk.work(0, 'left', { settles, why: 'under the moulding' })).status).toBe(201);
    expect((await walk.take(1)).status).toBe(200);
  });
  it('found at the bench holds it too, whoever found it', async () => {
    await walk.lay(0);
    await shop.post('/findings', {
      id: newId(),
      painterId: walk.painterId,
      ticketId: walk.whole.ticket.id,
      coatId: walk.coat(0).id,
      vehicle: '',
      where: 'left door',
      note: '',
      readings: {},
      answers: [{ question: 'q_family', answer: 'round_craters' }],
    });
    await walk.read();
    await walk.gate(1);
    expect(codesOf(await walk.take(1))).toContain('fault-unsettled');
    await shop.database.query(`update coat set ended_at = ended_at - interval '4 hours'`);
    const [found] = walk.whole.found;
    expect((await walk.work(0, 'flattened', { settles: [`finding:${found!.id}`] })).status).toBe(
      201,
    );
    expect((await walk.take(1)).status).toBe(200);
  });
});

describe('heat and polish', () => {
  it('wait for the film, the vapour and the extraction', async () => {
    await walk.lay(0);
    expect(codesOf(await walk.work(0, 'heated', { ...IN_ORDER, vapourCleared: true }))).toEqual(
      expect.arrayContaining(['bake-too-early', 'vapour-not-cleared']),
    );
    expect(codesOf(await walk.work(0, 'polished'))).toContain('too-early');
    await shop.database.query(`update coat set ended_at = ended_at - interval '2 days'`);
    expect(codesOf(await walk.work(0, 'heated', { ...IN_ORDER, vapourCleared: false }))).toEqual([
      'vapour-not-cleared',
    ]);
    expect(
      codesOf(
        await walk.work(0, 'heated', { ...IN_ORDER, extraction: 'off', vapourCleared: true }),
      ),
    ).toContain('extraction-off');
    const told = { ...IN_ORDER, vapourCleared: true, vehicleLimitC: 50 };
    expect((await walk.work(0, 'heated', { ...told, vehicleLimitC: 500 })).status).toBe(422);
    expect((await walk.work(0, 'heated', told)).status).toBe(201);
    const kept = { kind: 'heated', coatId: walk.coat(0).id, vehicleLimitC: 50 };
    expect(walk.whole.works).toMatchObject([kept]);
  });
  it('is read on the metal once it is on: every reading is kept, none of a strange panel', async () => {
    await walk.lay(0);
    const [panelId] = walk.whole.ticket.stages[0]!.panelIds;
    expect((await walk.heatRead(0, panelId!, 40)).status).toBe(409);
    await shop.database.query(`update coat set ended_at = ended_at - interval '2 days'`);
    await walk.work(0, 'heated', { ...IN_ORDER, vapourCleared: true });
    const strange = walk.whole.coats[0]!.id;
    expect((await walk.heatRead(0, strange, 40)).status).toBe(422);
    expect((await walk.heatRead(0, panelId!, 4000)).status).toBe(422);
    for (const seenC of [38, 46])
      expect((await walk.heatRead(0, panelId!, seenC)).status).toBe(201);
    expect(walk.whole.heatReads.map(({ seenC }) => seenC)).toEqual([38, 46]);
  });
  it('polish nothing that must come off', async () => {
    await walk.lay(0, ['fisheyes']);
    await shop.database.query(`update coat set ended_at = ended_at - interval '9 days'`);
    expect(codesOf(await walk.work(0, 'polished'))).toContain('fault-unsettled');
  });
});

describe('a comb reading while it flashes', () => {
  const due = () => Date.parse(walk.whole.timers.find(({ kind }) => kind === 'flash')!.dueAt);
  const comb = async (wetFilmUm: number) => {
    const { id, version } = walk.coat();
    const reply = await shop.post<Fault>(`/coats/${id}/wet-film`, {
      version,
      painterId: walk.painterId,
      wetFilmUm,
    });
    await walk.read();
    return reply.status;
  };
  it('moves the clock, a heavy film later, never under the sheet, and is what the record keeps', async () => {
    await walk.goBefore('on');
    await walk.on();
    const asPlanned = due();
    expect(await comb(120)).toBe(200);
    const heavy = due();
    expect(heavy).toBeGreaterThan(asPlanned);
    expect(await comb(5)).toBe(200);
    expect(due()).toBeLessThan(heavy);
    const floor = (walk.coat().planned!.answers['recoat'] as { floorMinutes: number }).floorMinutes;
    expect(due() - Date.parse(walk.coat().endedAt!)).toBeGreaterThanOrEqual(floor * 60_000 - 1);
    await walk.flash();
    await walk.look(0, ['nothing']);
    expect(walk.coat().done['wetFilmUm']).toEqual({ value: 5, source: 'instrument' });
    expect(await comb(30)).toBe(409);
  });
});
