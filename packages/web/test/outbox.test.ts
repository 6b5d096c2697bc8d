/**
 * What a device keeps while the server is away, over a stand-in for its store: in which order it
 * goes, that it goes once, and what stays with the server's words.
 */
import { TOUCH_HEADER } from '@orthochrom/contract/shop/signIn.ts';
import { IDBFactory } from 'fake-indexeddb';
import { createStore, get, set } from 'idb-keyval';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiFault } from '../src/api/client.ts';
import { subscribeToLead } from '../src/api/leadTouch.ts';
import {
  Kept,
  noteDown,
  putNoteOver,
  sendNotes,
  sendNotesOfOthers,
  sendWithLead,
  type Note,
} from '../src/api/outbox.ts';

type Sent = { url: string; body: unknown; key: string | null; notedAt: string | null };
type Answer = { status: number; body?: unknown };
const AWAY: Answer = { status: 0 };
const TAKEN: Answer = { status: 200, body: {} };
const refusal = (code: string): Answer => ({
  status: 409,
  body: { error: { code, message: `It says ${code}.`, path: [] } },
});

const sent: Sent[] = [];
let serverSays: (at: Sent, touch: string | null) => Answer = () => TAKEN;
const device = createStore('orthochrom-outbox', 'notes');
const kept = async (): Promise<Note[]> => (await get<Note[]>('notes', device)) ?? [];
const keptUrls = async () => (await kept()).map(({ url }) => url);
const sentUrls = () => sent.map(({ url }) => url);
/** Noted while nothing answers. */
async function noteAway(url: string, body: object = { panelId: 'p' }): Promise<void> {
  serverSays = () => AWAY;
  await expect(noteDown('done', 'POST', url, body)).rejects.toThrow(Kept);
}

beforeAll(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  // One tab alone: none to wait for.
  vi.stubGlobal('navigator', {});
});
afterAll(() => vi.unstubAllGlobals());
beforeEach(async () => {
  await set('notes', [], device);
  await sendNotes();
  sent.length = 0;
  serverSays = () => TAKEN;
  vi.spyOn(globalThis, 'fetch').mockImplementation((url, { headers, body } = {}) => {
    const head = new Headers(headers);
    const at = {
      url: String(url as string),
      body: JSON.parse(body as string) as unknown,
      key: head.get('idempotency-key'),
      notedAt: head.get('noted-at'),
    };
    const answer = serverSays(at, head.get(TOUCH_HEADER));
    if (answer.status === 0) return Promise.reject(new TypeError('failed to fetch'));
    sent.push(at);
    return Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status }));
  });
});
afterEach(() => vi.restoreAllMocks());

describe('while the server is away', () => {
  it('what is noted is kept, and goes in its order, under its own id and its own time', async () => {
    await noteAway('/api/a');
    await noteAway('/api/b');
    const [first, second] = await kept();
    serverSays = () => TAKEN;
    await sendNotes();
    expect(sentUrls()).toEqual(['/api/a', '/api/b']);
    expect(sent.map(({ key }) => key)).toEqual([first!.key, second!.key]);
    expect(sent.map(({ notedAt }) => notedAt)).toEqual([first!.notedAt, second!.notedAt]);
    expect(await kept()).toEqual([]);
  });

  it('nothing goes before what waits: it is kept behind it, or sent after it', async () => {
    await noteAway('/api/a');
    await noteAway('/api/b');
    serverSays = ({ url }) => (url === '/api/b' ? AWAY : TAKEN);
    await expect(noteDown('done', 'POST', '/api/c', {})).rejects.toThrow(Kept);
    expect(sentUrls()).toEqual(['/api/a']);
    expect(await keptUrls()).toEqual(['/api/b', '/api/c']);
    serverSays = () => TAKEN;
    await noteDown('done', 'POST', '/api/d', {});
    expect(sentUrls()).toEqual(['/api/a', '/api/b', '/api/c', '/api/d']);
    expect(sent.at(-1)!.notedAt).toBeNull();
  });

  it('nobody signed in is like nobody there: it waits for somebody', async () => {
    await noteAway('/api/a');
    serverSays = () => refusal('sign-in');
    await sendNotes();
    expect((await kept()).map(({ refused }) => refused)).toEqual([undefined]);
  });
});

describe('what the server refuses later', () => {
  it('stays with its words, and holds up nothing that comes after it', async () => {
    await noteAway('/api/a');
    await noteAway('/api/b');
    serverSays = ({ url }) => (url === '/api/a' ? refusal('stopped') : TAKEN);
    await sendNotes();
    expect(sentUrls()).toEqual(['/api/a', '/api/b']);
    const [left, ...more] = await kept();
    expect(more).toEqual([]);
    expect(left!.refused).toMatchObject({ code: 'stopped', message: 'It says stopped.' });
    await sendNotes();
    expect(sent).toHaveLength(2);
  });

  it('goes over what stands there now once a painter says so: as another write', async () => {
    await noteAway('/api/a', { version: 3, note: 'mine' });
    serverSays = () => refusal('version');
    await sendNotes();
    const [{ key }] = (await kept()) as [Note];
    serverSays = () => TAKEN;
    await putNoteOver(key, 7);
    expect(sent.at(-1)!.body).toEqual({ version: 7, note: 'mine' });
    expect(sent.at(-1)!.key).not.toBe(key);
    expect(await kept()).toEqual([]);
  });

  it('for its painter’s sake is tried again when that one is in; what was refused else is not', async () => {
    await noteAway('/api/a');
    await noteAway('/api/b');
    serverSays = ({ url }) => refusal(url === '/api/a' ? 'not-yours' : 'stopped');
    await sendNotes();
    serverSays = () => TAKEN;
    sent.length = 0;
    await sendNotesOfOthers();
    expect(sentUrls()).toEqual(['/api/a']);
    expect(await keptUrls()).toEqual(['/api/b']);
  });
});

describe('what wants a lead', () => {
  const answeredWith = (touch: string | undefined) =>
    subscribeToLead((asked) => void (asked && queueMicrotask(() => asked.answer(touch))));
  const asksLead = (_: Sent, touch: string | null) => (touch ? TAKEN : refusal('lead-asked'));
  async function refusedForALead(): Promise<Note> {
    await noteAway('/api/a');
    serverSays = asksLead;
    await sendNotes();
    return (await kept())[0]!;
  }

  it('and was noted away from one stays, and goes with the hand of one, under its own time', async () => {
    const note = await refusedForALead();
    expect(note.refused!.code).toBe('lead-asked');
    const hearNoMore = answeredWith('touch-1');
    await sendWithLead(note);
    hearNoMore();
    expect(sent.at(-1)).toMatchObject({ key: note.key, notedAt: note.notedAt });
    expect(await kept()).toEqual([]);
  });

  it('stays as it is where no lead puts a hand to it', async () => {
    const note = await refusedForALead();
    const hearNoMore = answeredWith(undefined);
    await expect(sendWithLead(note)).rejects.toThrow(ApiFault);
    hearNoMore();
    expect(await kept()).toEqual([note]);
  });
});
