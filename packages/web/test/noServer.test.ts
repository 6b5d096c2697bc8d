/** What a device keeps while the server is away: which note stands for which, under what id. */
import { afterEach, describe, expect, it, vi } from 'vitest';
import { TOUCH_HEADER } from '@orthochrom/contract/shop/signIn.ts';
import { ApiFault, NoConnection, postJson, send } from '../src/api/client.ts';
import { subscribeToLead } from '../src/api/leadTouch.ts';
import { noteDown, withNote, type Note } from '../src/api/outbox.ts';

const note = (over: Partial<Note>): Note => ({
  key: 'k',
  method: 'POST',
  url: '/api/coats/c/panels',
  body: { panelId: 'p' },
  what: 'done',
  notedAt: '2026-03-02T10:00:00Z',
  ...over,
});
const asked: { url: string; key: string | null }[] = [];
const answer = (status: number, body: unknown) =>
  vi.stubGlobal('fetch', (url: string, { headers }: RequestInit) => {
    asked.push({ url, key: new Headers(headers).get('idempotency-key') });
    return status === 0
      ? Promise.reject(new TypeError('failed to fetch'))
      : Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
afterEach(() => {
  vi.unstubAllGlobals();
  asked.length = 0;
});

describe('notes that wait', () => {
  it('stand each for itself, in the order in which they were made', () => {
    const two = withNote([note({ key: 'a' })], note({ key: 'b', body: { panelId: 'q' } }));
    expect(two.map(({ key }) => key)).toEqual(['a', 'b']);
  });

  it('the same tap again, or a later edit of the same thing, takes the place of the one before', () => {
    const first = note({ key: 'a', body: { version: 3, note: 'x' } });
    const between = note({ key: 'b', url: '/api/coats/d/panels' });
    const later = note({ key: 'c', body: { version: 3, note: 'xy' } });
    expect(withNote([first, between], later).map(({ key }) => key)).toEqual(['c', 'b']);
    expect(withNote([note({ key: 'a' })], note({ key: 'b' }))).toHaveLength(1);
  });

  it('never take the place of one that was refused: that wants a decision', () => {
    const refused = note({ key: 'a', refused: { code: 'stopped', message: '', path: [] } });
    expect(withNote([refused], note({ key: 'b' }))).toHaveLength(2);
  });
});

describe('a write whose answer was lost', () => {
  it('goes under the same id when it is sent again, and under a new one once it was answered', async () => {
    answer(0, undefined);
    await expect(postJson('/api/x', { a: 1 })).rejects.toThrow(NoConnection);
    await expect(postJson('/api/x', { a: 2 })).rejects.toThrow(NoConnection);
    answer(200, {});
    await postJson('/api/x', { a: 1 });
    await postJson('/api/x', { a: 1 });
    const [lost, other, again, next] = asked.map(({ key }) => key);
    expect(again).toBe(lost);
    expect(new Set([lost, other, next]).size).toBe(3);
  });

  it('a refusal is an answer', async () => {
    answer(409, { error: { code: 'stopped', message: 'no', path: [] } });
    await expect(postJson('/api/y', { a: 1 })).rejects.toThrow(ApiFault);
    await expect(postJson('/api/y', { a: 1 })).rejects.toThrow(ApiFault);
    expect(asked[0]!.key).not.toBe(asked[1]!.key);
  });

  it('a database that is away counts as no connection, a fault of the server does not', async () => {
    answer(503, { error: { code: 'database-away', message: '', path: [] } });
    await expect(send('GET', '/api/x')).rejects.toThrow(NoConnection);
    answer(500, 'no json');
    await expect(send('GET', '/api/x')).rejects.toThrow(ApiFault);
  });
});

describe('a write that asks for a lead', () => {
  const ASKED = { error: { code: 'lead-asked', message: 'a lead', path: [] } };
  /** Refused until a touch comes with it. */
  const untilTouched = () => {
    const touches: (string | null)[] = [];
    vi.stubGlobal('fetch', (_url: string, { headers }: RequestInit) => {
      const touch = new Headers(headers).get(TOUCH_HEADER);
      touches.push(touch);
      return Promise.resolve(
        new Response(JSON.stringify(touch ? { ok: true } : ASKED), { status: touch ? 200 : 403 }),
      );
    });
    return touches;
  };
  const whenAsked = (touch: string | undefined) => {
    const unsubscribe = subscribeToLead((asked) => {
      unsubscribe();
      asked?.answer(touch);
    });
  };

  it('goes once more with the touch that was given', async () => {
    const touches = untilTouched();
    whenAsked('t-1');
    await expect(postJson('/api/x', { a: 3 })).resolves.toEqual({ ok: true });
    expect(touches).toEqual([null, 't-1']);
  });
  it('a note too', async () => {
    const touches = untilTouched();
    whenAsked('t-2');
    await expect(noteDown('Left out', 'POST', '/api/x', { a: 5 })).resolves.toEqual({ ok: true });
    expect(touches).toEqual([null, 't-2']);
  });
  it('stays refused where none was given, and is not sent again', async () => {
    const touches = untilTouched();
    whenAsked(undefined);
    await expect(postJson('/api/x', { a: 4 })).rejects.toThrow(ApiFault);
    expect(touches).toEqual([null]);
  });
});
