/** What comes in at the door: bad, foreign, twice, at once, and what the server says of itself. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { Calculator } from '../src/calculation/calculator.ts';
import { databaseFault } from '../src/http/databaseFault.ts';
import { TakesTooLong } from '../src/http/faults.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let painterId: string;
beforeAll(async () => {
  shop = await ShopFixture.open();
  painterId = (await shop.setup()).painters[0]!.id;
});
afterAll(() => shop.close());

const reading = (over: object = {}) => ({
  id: newId(),
  roomId: '',
  quantity: 'airC',
  valueCanonical: 21,
  enteredValue: 21,
  enteredUnit: 'C',
  painterId,
  ...over,
});
const aRoom = async () => (await shop.setup()).rooms[0]!.id;

describe('a request that comes again', () => {
  it('is done once and answered alike, also when both come at the same moment', async () => {
    const asked = reading({ roomId: await aRoom() });
    const replies = await Promise.all(
      Array.from({ length: 6 }, () => shop.post('/readings', asked)),
    );
    expect(replies.map(({ status }) => status)).toEqual(replies.map(() => 201));
    const [{ count }] = (await shop.rows('select count(*)::int from reading where id = $1', [
      asked.id,
    ])) as [{ count: number }];
    expect(count).toBe(1);
  });

  it('with other words under the same id is a clash that shows both, and changes nothing', async () => {
    const asked = reading({ roomId: await aRoom() });
    await shop.post('/readings', asked);
    const other = await shop.post<Fault>('/readings', {
      ...asked,
      valueCanonical: 30,
      enteredValue: 30,
    });
    expect([other.status, other.body.error.code]).toEqual([409, 'version-clash']);
    expect(other.body.error).toMatchObject({
      mine: { valueCanonical: 30 },
      theirs: { valueCanonical: 21 },
    });
    expect(
      (await shop.rows('select value_canonical as v from reading where id = $1', [asked.id]))[0],
    ).toEqual({ v: 21 });
  });

  it('is known by the thing it makes, whatever header it comes under', async () => {
    const asked = reading({ roomId: await aRoom() });
    const send = (body: object) => shop.keyed('POST', '/readings', newId(), body);
    const replies = [
      await send(asked),
      await send(asked),
      await send({ ...asked, valueCanonical: 30, enteredValue: 30 }),
    ];
    expect(replies.map(({ status }) => status)).toEqual([201, 201, 409]);
  });

  it('under an id that stands from before, or from a file, is a clash: nothing is swallowed', async () => {
    const asked = reading({ roomId: await aRoom() });
    await shop.post('/readings', asked);
    await shop.rows('delete from request where id = $1', [asked.id]);
    const { version, ...painter } = (await shop.setup()).painters[0]!;
    const replies = [
      await shop.post<Fault>('/readings', { ...asked, enteredValue: 30, valueCanonical: 30 }),
      await shop.post<Fault>('/painters', { ...painter, name: 'Another' }),
    ];
    for (const { status, body } of replies)
      expect([status, body.error.code]).toEqual([409, 'version-clash']);
    expect(replies[0]!.body.error).toMatchObject({ theirs: { valueCanonical: 21 } });
    expect((await shop.setup()).painters[0]).toMatchObject({ version, name: painter.name });
  });

  it('of an edit is told as done when its answer was lost, not as a clash with itself', async () => {
    const { id, version, name, ...painter } = (await shop.setup()).painters[0]!;
    const key = newId();
    const edit = { ...painter, name: `${name} again`, version };
    const [first, again] = [
      await shop.keyed('PUT', `/painters/${id}`, key, edit),
      await shop.keyed('PUT', `/painters/${id}`, key, edit),
    ];
    expect([first.status, again.status]).toEqual([200, 200]);
    const now = (await shop.setup()).painters.find((one) => one.id === id)!;
    expect(now.version).toBe(version + 1);
  });

  it('after a refusal is judged anew: nothing was kept of it', async () => {
    const asked = reading({ roomId: newId() });
    expect((await shop.post('/readings', asked)).status).toBeGreaterThanOrEqual(400);
    const right = { ...asked, roomId: await aRoom() };
    expect((await shop.post('/readings', right)).status).toBe(201);
  });
});

describe('what was written down is told as such', () => {
  it('even when reading it back fails', async () => {
    const asked = reading({ roomId: await aRoom() });
    const days = vi.spyOn(shop.probe, 'daysAhead').mockImplementation(() => {
      throw new Error('the reading back fails');
    });
    const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const reply = await shop.post<Fault>('/readings', asked);
    days.mockRestore();
    quiet.mockRestore();
    expect([reply.status, reply.body.error.code]).toEqual([500, 'kept-not-read']);
    expect(await shop.rows('select 1 from reading where id = $1', [asked.id])).toHaveLength(1);
  });
});

describe('bad input is the sender’s fault, in words', () => {
  it.each([
    ['a NUL in a text', (roomId: string) => reading({ roomId, quantity: 'a\0b' })],
    ['an unknown room', () => reading({ roomId: newId() })],
    ['an unknown painter', (roomId: string) => reading({ roomId, painterId: newId() })],
  ])('%s', async (_what, asked) => {
    const reply = await shop.post<Fault>('/readings', asked(await aRoom()));
    expect(reply.status).toBe(422);
    expect(reply.body.error.message).not.toBe('');
  });

  it('a NUL and a foreign painter where a text is free', async () => {
    const finding = { id: newId(), painterId, where: '', note: '', readings: {}, answers: [] };
    const nul = await shop.post<Fault>('/findings', { ...finding, vehicle: 'a\0b' });
    expect([nul.status, nul.body.error.message]).toEqual([422, expect.stringContaining('NUL')]);
    const nobody = await shop.post<Fault>('/findings', {
      ...finding,
      id: newId(),
      vehicle: 'a',
      painterId: newId(),
    });
    expect([nobody.status, nobody.body.error.path]).toEqual([422, ['painterId']]);
  });

  it('an integer beyond its type, a broken percent sign, a packed body', async () => {
    const { tickets } = (await shop.get<{ tickets: { id: string }[] }>('/tickets')).body;
    const { ticket } = (await shop.get<TicketWhole>(`/tickets/${tickets[0]!.id}`)).body;
    const {
      id,
      number: _n,
      state: _s,
      ...edit
    } = ticket as TicketWhole['ticket'] & {
      state?: string;
    };
    const huge = await shop.put(`/tickets/${id}`, { ...edit, version: 2 ** 40 });
    expect(huge.status).toBe(422);
    expect((await shop.get('/tickets/%E0%A4%A')).status).toBe(400);
    expect((await shop.head('/readings', { 'content-encoding': 'gzip' })).status).toBe(415);
  });

  it('a stage of another ticket is refused, and that ticket stays as it was', async () => {
    const { tickets } = (await shop.get<{ tickets: { id: string }[] }>('/tickets')).body;
    const [a, b] = await Promise.all(
      tickets.slice(0, 2).map(({ id }) => shop.get<TicketWhole>(`/tickets/${id}`)),
    );
    const { ticket } = a!.body;
    const { version: _v, number: _n, state: _s, createdAt: _c, ...shape } = ticket;
    const stolen = { ...shape, id: newId(), vehicle: 'a thief' };
    const reply = await shop.post<Fault>('/tickets', stolen);
    expect([reply.status, reply.body.error.message]).toEqual([
      422,
      expect.stringMatching(/another ticket/),
    ]);
    const again = await shop.get<TicketWhole>(`/tickets/${ticket.id}`);
    expect(again.body.ticket).toEqual(ticket);
    expect(b!.status).toBe(200);
  });
});

describe('the door', () => {
  it('takes writes from its own pages only, and lets nothing between keep what it says', async () => {
    const foreign = await shop.head('/readings', { origin: 'http://elsewhere.example' });
    expect(foreign.status).toBe(403);
    expect((await shop.head('/readings', {})).headers['cache-control']).toBe('no-store');
    const own = await shop.head('/readings', { origin: shop.origin });
    expect(own.status).toBe(422);
  });

  it('goes on after every connection of the database was cut', async () => {
    await shop.cutDatabase();
    const statuses: number[] = [];
    await vi.waitFor(async () => {
      statuses.push((await shop.get('/setup')).status);
      expect(statuses.at(-1)).toBe(200);
    }, 60_000);
    // Until then it says that the database is away, and nothing worse.
    expect(new Set([200, 503, ...statuses])).toEqual(new Set([200, 503]));
  });
});

it('a full disk is said as what it is, whatever the database calls it', () => {
  const full = Object.assign(new Error('could not extend file'), { code: '53100' });
  expect(databaseFault(full)).toMatchObject({ status: 507, error: { code: 'disk-full' } });
});

describe('a question that would keep others waiting', () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-worker-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const worker = (body: string) => {
    const file = path.join(folder, `${newId()}.mjs`);
    writeFileSync(
      file,
      `import { parentPort } from 'node:worker_threads';
       export default ({ turn, name, input }) => { parentPort.postMessage({ begun: turn }); ${body} };`,
    );
    return file;
  };

  it('is ended, and the next one is answered', async () => {
    const calculator = new Calculator(
      worker(`while (name === 'endless'); return { answer: input };`),
      { mostMs: 300, mostMegabytes: 64 },
    );
    await expect(calculator.outcomeOf('endless', 1)).rejects.toThrow(TakesTooLong);
    await expect(calculator.outcomeOf('other', 2)).resolves.toEqual({ answer: 2 });
    await calculator.close();
  });

  it('is given its whole time, however long others kept it waiting', async () => {
    const calculator = new Calculator(
      worker(`const end = Date.now() + 100; while (Date.now() < end); return { answer: input };`),
      { mostMs: 2500, mostMegabytes: 64 },
    );
    const asked = Array.from({ length: 30 }, (_, i) => calculator.outcomeOf('slow', i));
    await expect(Promise.all(asked)).resolves.toHaveLength(30);
    await calculator.close();
  });

  it('is ended when it takes all memory', async () => {
    const calculator = new Calculator(
      worker(
        `const all = []; while (name === 'greedy') all.push(new Array(1e5).fill(name + all.length)); return { answer: input };`,
      ),
      { mostMs: 60_000, mostMegabytes: 32 },
    );
    await expect(calculator.outcomeOf('greedy', 1)).rejects.toThrow(TakesTooLong);
    await expect(calculator.outcomeOf('other', 2)).resolves.toEqual({ answer: 2 });
    await calculator.close();
  });
});
