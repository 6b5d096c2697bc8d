/** Findings: judged again by the server, confirmed later, their changes offered. */
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { coatAsTaken, modelledSteps } from '@orthochrom/contract/diagnosis/modelledSteps.ts';
import { ticketReadings } from '@orthochrom/contract/diagnosis/ticketReadings.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { coatCalculation } from '@orthochrom/contract/calculations/coat.ts';
import type { CoatAirPoint } from '@orthochrom/contract/shop/air.ts';
import type { Finding, PlanChange } from '@orthochrom/contract/shop/finding.ts';
import type { RecordPage } from '@orthochrom/contract/shop/record.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';
import { ANSWERS, RushedFriday } from './rushedFriday.ts';

let friday: RushedFriday;
let shop: ShopFixture;
let whole: TicketWhole;
let painterId: string;
beforeAll(async () => {
  friday = await RushedFriday.open();
  ({ shop, whole, painterId } = friday);
});
afterAll(() => shop.close());

describe('the readings of a ticket', () => {
  it('tell the wait cut short of that Friday, and a panel within its sheet, each with where it comes from', async () => {
    const log = await friday.readingsOfTicket();
    expect(new Date(friday.lastClear.startedAt!).getUTCDay()).toBe(5);
    expect(log['flash_ratio']!.value).toBeCloseTo(0.4, 1);
    expect(log['t_panel_dev']!.value).toBe(0);
    expect(log).toMatchObject({
      colour_class: { value: 'metallic' },
      base_type: { value: 'solvent' },
      texture_layer: { value: 'none' },
    });
    for (const { from } of Object.values(log)) expect(from).not.toBe('');
  });
  it('show a pressure that sank from panel to panel as air that runs short', async () => {
    const { tickets } = (
      await shop.get<{ tickets: { id: string; vehicle: string; state: string }[] }>('/tickets')
    ).body;
    const setup = await shop.setup();
    const logs = [];
    for (const { id } of tickets.filter(
      ({ vehicle, state }) => vehicle.startsWith('Parts for the shelf') && state === 'done',
    )) {
      const parts = (await shop.get<TicketWhole>(`/tickets/${id}`)).body;
      const coat = parts.coats[0]!;
      logs.push({
        seen: coat.seen,
        log: ticketReadings({
          whole: parts,
          coat,
          painter: setup.painters[0]!,
          room: setup.rooms[0]!,
          air: [],
        }),
      });
    }
    const starved = logs.filter(({ seen }) => seen.includes('peel'));
    expect(starved.length).toBeGreaterThan(2);
    for (const { log } of starved) {
      expect(log['p_swing']!.value).toBeGreaterThan(3);
      expect(log['p_swing']!.from).toMatch(/from panel to panel/);
    }
    for (const { log } of logs.filter(({ seen }) => !seen.includes('peel')))
      expect(log['p_swing']!.value).toBeLessThan(3);
  });
});

it('the forward model sizes a change on the coat as it was taken: more air, finer drops; less fluid, less film', () => {
  const input = coatAsTaken(whole, friday.lastClear)!;
  const [air, fluid] = modelledSteps(input, ask(coatCalculation, input), [
    'p_up',
    'fluid_in',
    'mat_warm',
  ]);
  expect(air!.dropletUm[1]).toBeLessThan(air!.dropletUm[0]);
  expect(fluid!.wetUm[1]).toBeLessThan(fluid!.wetUm[0]);
});

describe('a finding', () => {
  it('is judged by the server, from the same answers and readings', async () => {
    const finding = await friday.found();
    expect(finding.result.decided).toBe(true);
    expect(finding.result.faults[0]!.id).toBe('POP');
    expect(finding.result.causes.slice(0, 3).map(({ id }) => id)).toContain('flash_short');
    expect(finding.knowledgeVersion).toBe(theKnowledge().knowledge.version);
  });
  it('comes again under the same id without a second row; with other words it is a clash', async () => {
    const asked = {
      id: newId(),
      painterId,
      vehicle: 'one',
      where: '',
      note: '',
      readings: {},
      answers: [],
    };
    const [first, again] = [
      await shop.post<Finding>('/findings', asked),
      await shop.post<Finding>('/findings', asked),
    ];
    expect([first.status, again.status]).toEqual([201, 201]);
    expect(again.body).toEqual(first.body);
    const other = await shop.post<Fault>('/findings', { ...asked, vehicle: 'another' });
    expect([other.status, other.body.error.code]).toEqual([409, 'version-clash']);
    expect(other.body.error.theirs).toMatchObject({ vehicle: 'one' });
  });
  it('shows a clash and overwrites nothing', async () => {
    const { id, version } = await friday.found();
    const edit = (note: string) =>
      shop.put<Finding & Fault>(`/findings/${id}`, {
        version,
        painterId,
        vehicle: 'x',
        where: '',
        note,
        readings: {},
        answers: ANSWERS,
      });
    expect((await edit('first')).body.note).toBe('first');
    const clash = await edit('second');
    expect(clash.status).toBe(409);
    expect(clash.body.error).toMatchObject({
      code: 'version-clash',
      mine: { note: 'second' },
      theirs: { note: 'first' },
    });
  });
  it.each([
    [
      { answers: [{ question: 'q_mood', answer: 'yes' }] },
      ['answers', 0, 'question'],
      'not-one-of',
    ],
    [
      { readings: { p_dev: { value: 'low', trust: 'good', from: '' } } },
      ['readings', 'p_dev'],
      'wrong-type',
    ],
    [{ coatId: newId() }, ['coatId'], 'not-one-of'],
  ])('is refused with what, where and why: %j', async (wrong, path, code) => {
    const base = {
      id: newId(),
      painterId,
      vehicle: '',
      where: '',
      note: '',
      readings: {},
      answers: [],
    };
    const { status, body } = await shop.post<Fault>('/findings', { ...base, ...wrong });
    expect([status, body.error.code, body.error.path]).toEqual([422, code, path]);
    expect((await shop.get(`/findings/${base.id}`)).status).toBe(404);
  });
});

describe('a confirmed cause', () => {
  it('is kept, offers its change once, and the change is taken or refused once', async () => {
    const { body: confirmed } = await friday.confirm(await friday.found());
    expect(confirmed.confirmed).toMatchObject({
      fault: 'POP',
      cause: 'flash_short',
      layer: 'clear',
    });
    expect(confirmed.changes).toMatchObject([
      { cause: 'flash_short', stage: 'clear', state: 'offered' },
    ]);
    const { body: again } = await friday.confirm(confirmed);
    expect(again.changes).toHaveLength(1);
    const change = confirmed.changes[0]!;
    expect((await shop.get<PlanChange[]>('/plan-changes')).body.map(({ id }) => id)).toContain(
      change.id,
    );
    const take = {
      version: change.version,
      painterId,
      state: 'taken',
      coatId: friday.lastClear.id,
    };
    expect(
      (await shop.post<PlanChange[]>(`/plan-changes/${change.id}`, take)).body.map(({ id }) => id),
    ).not.toContain(change.id);
    expect((await shop.post(`/plan-changes/${change.id}`, take)).status).toBe(409);
    expect(
      (await shop.get<PlanChange[]>(`/coats/${friday.lastClear.id}/changes`)).body.map(
        ({ id }) => id,
      ),
    ).toEqual([change.id]);
    expect((await shop.get<Finding>(`/findings/${confirmed.id}`)).body.changes).toMatchObject([
      { state: 'taken', appliedToCoatId: friday.lastClear.id },
    ]);
  });
  it('moves a knob where the change is one', async () => {
    const { body } = await friday.confirm(await friday.found(), 'coat_heavy');
    expect(body.changes[0]!.move).toEqual({ setting: 'wetFilmUm', times: 0.8 });
  });
  it('is what records are found by', async () => {
    const { body } = await friday.confirm(await friday.found(), 'purge_short');
    const rows = (await shop.get<RecordPage>('/records?fault=POP&cause=purge_short')).body.rows;
    expect(rows.map(({ coat }) => coat.id)).toEqual([friday.lastClear.id]);
    expect(rows[0]!.found.find(({ findingId }) => findingId === body.id)).toMatchObject({
      confirmed: true,
    });
    expect((await shop.get<RecordPage>('/records?fault=CRACK')).body.rows).toEqual([]);
  });
  it('of a fault nobody knows is refused', async () => {
    const finding = await friday.found();
    const { status, body } = await shop.post<Fault>(`/findings/${finding.id}/confirm`, {
      version: finding.version,
      painterId,
      fault: 'GREMLINS',
      cause: 'flash_short',
      note: '',
    });
    expect([status, body.error.path]).toEqual([422, ['fault']]);
  });
});

it('keeps the air of a coat at its taps', async () => {
  const air = (await shop.get<CoatAirPoint[]>(`/coats/${friday.lastClear.id}/air`)).body;
  expect(air).toHaveLength(2);
  expect(air[0]!.airC).toBeGreaterThan(29);
});
