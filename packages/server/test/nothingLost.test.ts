/** Versions, ids, transactions: nothing acknowledged is lost and nothing half written is seen. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
beforeAll(async () => {
  shop = await ShopFixture.open();
});
afterAll(() => shop.close());

const editOf = ({ id: _, ...body }: Painter) => body;

describe('an edit', () => {
  it('made from an old version is refused with both sides, and changes nothing', async () => {
    const [nell] = (await shop.setup()).painters;
    await shop.put(`/painters/${nell!.id}`, { ...editOf(nell!), name: 'Nell of the morning' });
    const late = await shop.put<Fault>(`/painters/${nell!.id}`, {
      ...editOf(nell!),
      name: 'Nell of the evening',
    });
    expect(late.status).toBe(409);
    expect(late.body.error).toMatchObject({
      code: 'version-clash',
      mine: { name: 'Nell of the evening' },
      theirs: { name: 'Nell of the morning' },
    });
    expect((await shop.setup()).painters[0]!.name).toBe('Nell of the morning');
  });

  it('of two at the same moment lets exactly one through', async () => {
    const [, osric] = (await shop.setup()).painters;
    const replies = await Promise.all(
      ['a', 'b', 'c', 'd'].map((letter) =>
        shop.put(`/painters/${osric!.id}`, { ...editOf(osric!), name: `Osric ${letter}` }),
      ),
    );
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
  });

  it('leaves its trace in the same transaction', async () => {
    const [wilf] = (await shop.setup()).painters.slice(-1);
    await shop.put(`/painters/${wilf!.id}`, { ...editOf(wilf!), skill: 'able' });
    const [event] = await shop.rows(
      `select kind, aggregate_version from event where aggregate_id = $1 order by at desc limit 1`,
      [wilf!.id],
    );
    expect(event).toEqual({ kind: 'changed', aggregate_version: wilf!.version + 1 });
  });
});

describe('a ticket', () => {
  const ticketBody = async () => {
    const { whole, painterId } = await shop.openTicket('Brant courier van, right side');
    const { number: _n, state: _s, version: _v, createdAt: _c, ...ticket } = whole.ticket;
    const panels = ticket.panels.map((panel) => ({ ...panel, id: newId() }));
    const stages = ticket.stages.map((stage) => ({
      ...stage,
      id: newId(),
      panelIds: panels.map(({ id }) => id),
    }));
    return {
      ...ticket,
      id: newId(),
      painterId,
      vehicle: 'Brant courier van, roof',
      panels,
      stages,
    };
  };

  it('sent twice under the same id is one ticket', async () => {
    const body = await ticketBody();
    const [first, again] = [
      await shop.post<TicketWhole>('/tickets', body),
      await shop.post<TicketWhole>('/tickets', body),
    ];
    expect(again.body.ticket.number).toBe(first.body.ticket.number);
    expect(first.body.coats).toHaveLength(body.stages.reduce((sum, { coats }) => sum + coats, 0));
  });

  it('that is wrong in its last stage leaves nothing behind', async () => {
    const body = await ticketBody();
    const bad = {
      ...body,
      stages: body.stages.map((stage, i) =>
        i === body.stages.length - 1 ? { ...stage, recipeName: 'by feel' } : stage,
      ),
    };
    const reply = await shop.post<Fault>('/tickets', bad);
    expect(reply.status).toBe(422);
    expect(reply.body.error.path).toEqual(['stages', body.stages.length - 1, 'recipeName']);
    expect((await shop.get(`/tickets/${body.id}`)).status).toBe(404);
  });

  it('keeps the sheet it was planned with when a new issue comes', async () => {
    const { whole } = await shop.openTicket('Brant courier van, right side');
    const [pinned] = whole.sheets;
    await shop.post('/sheets', {
      ...pinned!.sheet,
      number: pinned!.sheet.number + 1,
      issuedOn: '2026-06-01',
    });
    const after = (await shop.get<TicketWhole>(`/tickets/${whole.ticket.id}`)).body;
    expect(after.sheets.find(({ id }) => id === pinned!.id)!.sheet.number).toBe(
      pinned!.sheet.number,
    );
  });

  it('names field, figure, range and unit of what it refuses', async () => {
    const body = await ticketBody();
    const reply = await shop.post<Fault>('/tickets', {
      ...body,
      panels: body.panels.map((panel) => ({ ...panel, areaM2: 4000 })),
    });
    expect(reply.body.error).toMatchObject({ code: 'out-of-range', path: ['panels', 0, 'areaM2'] });
    expect(reply.body.error.message).toMatch(/4000 m².*0\.001 to 200 m²/);
  });

  it('gets fewer coats only while they are not begun, and the planned ones come back', async () => {
    const body = await ticketBody();
    const { body: made } = await shop.post<TicketWhole>('/tickets', body);
    const edit = (coats: number, version: number) => {
      const { id: _i, ...rest } = body;
      return shop.put<TicketWhole>(`/tickets/${body.id}`, {
        ...rest,
        version,
        state: 'open',
        stages: body.stages.map((stage, i) => (i === 0 ? { ...stage, coats } : stage)),
      });
    };
    const fewer = (await edit(1, made.ticket.version)).body;
    expect(fewer.coats.filter(({ stageId }) => stageId === body.stages[0]!.id)).toHaveLength(1);
    const more = (await edit(3, fewer.ticket.version)).body;
    expect(
      more.coats
        .filter(({ stageId }) => stageId === body.stages[0]!.id)
        .map(({ ordinal }) => ordinal),
    ).toEqual([1, 2, 3]);
  });
});

describe('sheets', () => {
  it('export as what imports again, with nothing changed', async () => {
    const exported = (await shop.get<object[]>('/sheets/export')).body;
    for (const sheet of exported) expect((await shop.post('/sheets', sheet)).status).toBe(201);
    expect((await shop.get<object[]>('/sheets/export')).body).toEqual(exported);
  });

  it('are refused where their figures contradict each other', async () => {
    const [sheet] = (
      await shop.get<{ id: string; number: number; recipes: { densityGPerMl: number }[] }[]>(
        '/sheets/export',
      )
    ).body.filter(({ id }) => id === 'tarnside-clear-hs');
    const reply = await shop.post<Fault>('/sheets', {
      ...sheet,
      number: 9,
      recipes: sheet!.recipes.map((recipe) => ({ ...recipe, densityGPerMl: 1.4 })),
    });
    expect(reply.status).toBe(422);
    expect(reply.body.error).toMatchObject({
      code: 'contradiction',
      path: ['recipes', 0, 'densityGPerMl'],
    });
  });
});
