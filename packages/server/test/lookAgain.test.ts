/** The look of the next day: a clock of its own, what was seen then, the ticket it holds open. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as newId } from 'uuid';
import { CoatWalk, codesOf, type Answered } from './coatWalk.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

const HOUR_MS = 3_600_000;
const LONG_MS = 120_000;
/** A shop with a ticket of which every coat is logged: walked once, then copied. */
async function layAll(): Promise<{ from: string; walked: CoatWalk }> {
  const shop = await ShopFixture.open();
  const walked = await CoatWalk.begin(shop);
  for (let i = 0; i < walked.whole.coats.length; i += 1) await walked.lay(i);
  await walked.read();
  return { from: await shop.asTemplate(), walked };
}
let laid: ReturnType<typeof layAll> | undefined;
async function allLaid(): Promise<{ shop: ShopFixture; walk: CoatWalk }> {
  const { from, walked } = await (laid ??= layAll());
  const shop = await ShopFixture.open(from);
  return { shop, walk: walked.inCopy(shop) };
}
const lookOf = ({ whole }: CoatWalk) => whole.timers.find(({ kind }) => kind === 'look')!;
async function close(shop: ShopFixture, walk: CoatWalk, more: object = {}): Promise<number> {
  const { id, number: _n, createdAt: _c, ...ticket } = (await walk.read()).ticket;
  const reply = await shop.put(`/tickets/${id}`, { ...ticket, state: 'done', ...more });
  await walk.read();
  return reply.status;
}

describe('once the last coat is logged', () => {
  let shop: ShopFixture;
  let walk: CoatWalk;
  beforeAll(async () => {
    ({ shop, walk } = await allLaid());
  }, LONG_MS);
  afterAll(() => shop.close());
  const looked = async (seen: string[]): Promise<number> => {
    const { id, version } = lookOf(walk);
    const told = { version, painterId: walk.painterId, seen, note: '' };
    const reply = await shop.post(`/timers/${id}/looked`, told);
    await walk.read();
    return reply.status;
  };

  it('one clock of a look runs, from half a day to two days after the paint', () => {
    expect(walk.whole.timers.filter(({ kind }) => kind === 'look')).toHaveLength(1);
    const { dueAt, latestAt, coatId } = lookOf(walk);
    const coat = walk.whole.coats.find(({ id }) => id === coatId)!;
    expect(coat.stageId).toBe(walk.whole.ticket.stages.at(-1)!.id);
    expect(Date.parse(dueAt) - Date.parse(coat.endedAt!)).toBe(12 * HOUR_MS);
    expect(Date.parse(latestAt!) - Date.parse(coat.endedAt!)).toBe(48 * HOUR_MS);
  });

  it('the ticket is not closed without a look or a word', async () => {
    expect(await close(shop, walk)).toBe(409);
    expect(await close(shop, walk, { closedBecause: '   ' })).toBe(409);
    expect(walk.whole.ticket.state).toBe('open');
  });

  it('it is not looked at before the night is over', async () => {
    expect(await looked(['nothing'])).toBe(409);
    expect(lookOf(walk).confirmedAt).toBeUndefined();
  });

  it('what is seen then stands with the coat, and the ticket closes', async () => {
    await shop.rows(`update timer set due_at = now() - interval '1 minute' where kind = 'look'`);
    expect(await looked(['nothing', 'pops'])).toBe(422);
    expect(await looked(['pops'])).toBe(200);
    const { confirmedAt, coatId } = lookOf(walk);
    expect(confirmedAt).toBeDefined();
    expect(walk.whole.coats.find(({ id }) => id === coatId)!.seen).toEqual(['pops']);
    expect(await close(shop, walk)).toBe(200);
  });
});

describe('a nib in the clear', () => {
  let shop: ShopFixture;
  let walk: CoatWalk;
  beforeAll(async () => {
    shop = await ShopFixture.open();
    walk = await CoatWalk.begin(shop);
    const last = walk.whole.coats.length - 1;
    for (let i = 0; i < last; i += 1) await walk.lay(i);
    await walk.lay(last, ['dust']);
    await walk.read();
  }, LONG_MS);
  afterAll(() => shop.close());
  const step = async (name: string, more: object = {}) => {
    const reply = await shop.post<Fault>(`/coats/${walk.whole.coats.at(-1)!.id}/finish-steps`, {
      id: newId(),
      painterId: walk.painterId,
      seen: 'nib',
      nail: 'none',
      measuredUm: 60,
      step: name,
      ...more,
    });
    await walk.read();
    return reply;
  };
  const FIRST = 'Nib file or hard 30 mm block, only the nib';

  it('is not cut before its date, however hard it looks', async () => {
    const reply = await step(FIRST);
    expect(reply.status).toBe(409);
    expect(codesOf(reply as Answered)).toEqual(['no-cut-yet']);
    expect(walk.whole.finishSteps).toEqual([]);
  });

  it('is cut a step at a time from then on, each kept with what was read after it', async () => {
    await shop.rows(`update coat set ended_at = ended_at - interval '30 days'`);
    expect((await step('Finish polish')).status).toBe(409);
    expect((await step(FIRST, { nail: 'prints' })).status).toBe(409);
    expect((await step(FIRST, { leftUm: 57 })).status).toBe(201);
    expect(walk.whole.finishSteps).toMatchObject([{ step: FIRST, leftUm: 57, seen: 'nib' }]);
    expect((await step(FIRST)).status).toBe(409);
  });

  it('stops where the gauge says that the next step would go through', async () => {
    expect((await step('Soft pad', { leftUm: 45.2 })).status).toBe(201);
    const reply = await step('Compound, foam pad');
    expect(reply.status).toBe(409);
    expect(codesOf(reply as Answered)).toEqual(['cut-would-go-through']);
    expect(walk.whole.finishSteps).toHaveLength(2);
  });
});

it(
  'a coat more over it is what is looked at, and one clock runs',
  async () => {
    const { shop, walk } = await allLaid();
    const first = lookOf(walk);
    const { id, number: _n, createdAt: _c, ...ticket } = walk.whole.ticket;
    const stages = ticket.stages.map((stage, i, all) =>
      i === all.length - 1 ? { ...stage, coats: stage.coats + 1 } : stage,
    );
    expect((await shop.put(`/tickets/${id}`, { ...ticket, stages })).status).toBe(200);
    await walk.read();
    await walk.lay(walk.whole.coats.length - 1);
    await walk.read();
    const looks = walk.whole.timers.filter(({ kind }) => kind === 'look');
    expect(looks).toHaveLength(1);
    expect(looks[0]!.coatId).toBe(walk.whole.coats.at(-1)!.id);
    expect(looks[0]!.coatId).not.toBe(first.coatId);
    await shop.close();
  },
  LONG_MS,
);

it(
  'a ticket closed before its look keeps the word why, and its clock calls nobody any more',
  async () => {
    const { shop, walk } = await allLaid();
    const why = 'fetched by the customer tonight';
    expect(await close(shop, walk, { closedBecause: why })).toBe(200);
    expect(lookOf(walk)).toMatchObject({ why });
    expect(lookOf(walk).confirmedAt).toBeDefined();
    await shop.close();
  },
  LONG_MS,
);
