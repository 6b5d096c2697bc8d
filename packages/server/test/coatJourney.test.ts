/** From the gate to the record, at the API: the order that is ruled cannot be gone round. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, TEN_O_CLOCK, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let whole: TicketWhole;
let painterId: string;
let gunId: string;
beforeAll(async () => {
  shop = await ShopFixture.open();
  ({ whole, painterId, gunId } = await shop.openTicket());
});
afterAll(() => shop.close());

const coat = (i = 0): Coat => whole.coats[i]!;
const take = (version = coat().version) =>
  shop.post<TicketWhole & Fault>(`/coats/${coat().id}/take`, {
    version,
    painterId,
    gunId,
    overrides: {},
  });
const taken = () => coat().planned!.answers['mix'] as AnswerOf<'mix'>;
const mixBody = (scale: (name: string) => number = () => 1) => ({
  id: newId(),
  stageId: coat().stageId,
  coatId: coat().id,
  painterId,
  batchNo: 1,
  poured: taken().components!.map(({ name, ml }) => ({ name, ml: ml * scale(name) })),
});

describe('the first coat of a ticket', () => {
  it('gives no recipe and no setting before its gate has passed', async () => {
    const reply = await take();
    expect(reply.status).toBe(409);
    expect(reply.body.error.code).toBe('gate-open');
  });

  it('keeps a stop at the gate, and stays shut', async () => {
    const reply = await shop.post<TicketWhole>(`/tickets/${whole.ticket.id}/gate-answers`, {
      id: newId(),
      stageId: coat().stageId,
      step: 'mix',
      painterId,
      protection: { breathing: 'cartridge', skin: true, eyes: true },
      extraction: 'on',
      ignition: [],
      bystanders: false,
    });
    expect(reply.body.gates.at(-1)).toMatchObject({ passed: false });
    expect((await take()).body.error.code).toBe('gate-open');
  });

  it('opens for the painter who passed it, for nobody else', async () => {
    expect((await shop.passGate(whole, painterId)).body.gates.at(-1)).toMatchObject({
      passed: true,
    });
    const other = (await shop.setup()).painters.find(({ name }) => name === 'Osric')!.id;
    const reply = await shop.post<Fault>(`/coats/${coat().id}/take`, {
      version: coat().version,
      painterId: other,
      gunId,
      overrides: {},
    });
    expect(reply.body.error.code).toBe('gate-open');
  });

  it('is stopped by a cold panel whatever the painter wants', async () => {
    shop.probe.steer({ minute: 440 });
    const reply = await take();
    expect(reply.status).toBe(409);
    expect(reply.body.error).toMatchObject({
      code: 'stopped',
      message: expect.stringContaining('panel') as string,
    });
    shop.probe.steer({ minute: TEN_O_CLOCK });
  });

  it('freezes the plan with its inputs when it is taken', async () => {
    const reply = await take();
    expect(reply.status, reply.body.error?.message).toBe(200);
    whole = reply.body;
    expect(coat().state).toBe('taken');
    const { answers, inputs } = coat().planned!;
    expect(Object.keys(answers).sort()).toEqual(Object.keys(inputs).sort());
    expect(Object.keys(answers)).toContain('mix');
    expect(coat().planned!.sheetVersionIds.length).toBeGreaterThan(1);
  });

  it('refuses a pour with half of its hardener', async () => {
    const [, hardener] = taken().components!;
    const reply = await shop.post<Fault>(
      `/tickets/${whole.ticket.id}/mixes`,
      mixBody((name) => (name === hardener!.name ? 0.5 : 1)),
    );
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toEqual(['poured']);
  });

  it('keeps a right pour once, however often the request comes, and sets the pot life running', async () => {
    const body = mixBody();
    await shop.post(`/tickets/${whole.ticket.id}/mixes`, body);
    const again = await shop.post<TicketWhole>(`/tickets/${whole.ticket.id}/mixes`, body);
    whole = again.body;
    expect(whole.mixes).toHaveLength(1);
    const [timer] = whole.timers.filter(({ kind }) => kind === 'potLife');
    expect(Date.parse(timer!.dueAt) - Date.parse(timer!.startedAt)).toBeCloseTo(
      taken().potLifeMinutes!.value * 60_000,
      -4,
    );
  });

  it('keeps an override beside what was recommended', async () => {
    const overrides = { inletKPa: { recommended: 140, chosen: 150, why: 'cold hose' } };
    whole = (
      await shop.post<TicketWhole>(`/coats/${coat().id}/overrides`, {
        version: coat().version,
        painterId,
        overrides,
      })
    ).body;
    expect(coat().overrides).toEqual(overrides);
    expect(coat().planned).toBeDefined();
  });

  // A blend panel gets no sealer: the coat is on where its stage goes.
  const stageOfCoat = () => whole.ticket.stages.find(({ id }) => id === coat().stageId)!;
  it('flashes each panel from its own time and lets no timer confirm alone', async () => {
    whole = (
      await shop.post<TicketWhole>(`/coats/${coat().id}/spray-start`, {
        version: coat().version,
        painterId,
        mixId: whole.mixes[0]!.id,
        unchangedSinceGate: true,
      })
    ).body;
    const [first] = whole.ticket.panels;
    await shop.post(`/coats/${coat().id}/panels`, { panelId: first!.id, painterId });
    whole = (
      await shop.post<TicketWhole>(`/coats/${coat().id}/spray-end`, {
        version: coat().version,
        painterId,
      })
    ).body;
    expect(
      coat()
        .panelsSprayed.map(({ panelId }) => panelId)
        .sort(),
    ).toEqual([...stageOfCoat().panelIds].sort());
    const timer = whole.timers.find(({ kind }) => kind === 'flash')!;
    const confirm = (tests: object) =>
      shop.post<TicketWhole & Fault>(`/timers/${timer.id}/confirm`, {
        version: timer.version,
        painterId,
        tests,
      });
    expect((await confirm({ touch: 'dry', edge: 'dry' })).body.error.code).toBe('out-of-turn');
    await shop.letMinutesPass(60);
    expect((await confirm({ touch: 'dry', edge: 'tacky' })).status).toBe(422);
    whole = (await confirm({ touch: 'dry', edge: 'dry' })).body;
    expect(coat().state).toBe('flashed');
  });

  it('is found in Records with what was planned, chosen and done', async () => {
    const reply = await shop.post<TicketWhole>(`/coats/${coat().id}/look`, {
      version: coat().version,
      painterId,
      done: { wetFilmUm: 38 },
      seen: ['nothing'],
      rating: 'good',
      note: 'lay down well',
    });
    whole = reply.body;
    expect(coat().done['wetFilmUm']).toEqual({ value: 38, source: 'changed' });
    expect(coat().done['inletKPa']).toEqual({ value: 150, source: 'confirmed' });
    const found = (
      await shop.get<{ rows: { coat: Coat; airC: number }[] }>(
        '/records?text=lay%20down&stage=sealer',
      )
    ).body.rows;
    expect(found.map((row) => row.coat.id)).toEqual([coat().id]);
    expect(found[0]!.airC).toBeCloseTo(22, 0);
    const csv = (await shop.get<string>('/records.csv?text=lay%20down')).body;
    expect(csv.split('\r\n')).toHaveLength(2);
    expect(csv).toContain('inlet_kpa');
  });

  it('asks the gate again for the next stage', async () => {
    const reply = await shop.post<Fault>(`/coats/${coat(1).id}/take`, {
      version: coat(1).version,
      painterId,
      gunId,
      overrides: {},
    });
    expect(reply.body.error.code).toBe('gate-open');
  });

  it('does not let a later coat overtake', async () => {
    await shop.passGate(whole, painterId, 1);
    const reply = await shop.post<Fault>(`/coats/${coat(2).id}/take`, {
      version: coat(2).version,
      painterId,
      gunId,
      overrides: {},
    });
    expect(reply.body.error.code).toBe('out-of-turn');
  });
});
