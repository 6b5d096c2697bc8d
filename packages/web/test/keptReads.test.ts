/**
 * What a device keeps of what it read, over a stand-in for its store: for a bench without a server,
 * and no longer than the shop trusts the device.
 */
import { IDBFactory } from 'fake-indexeddb';
import { createStore, entries, set } from 'idb-keyval';
import { mutate, SWRConfig, type Cache } from 'swr';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { allThatCan } from '../src/api/benchReads.ts';
import { changedReads, fillFromDevice, forgetReads } from '../src/api/keptReads.ts';

const device = createStore('orthochrom-reads', 'reads');
const kept = async () => (await entries<string, unknown>(device)).map(([address]) => address);
beforeAll(() => vi.stubGlobal('indexedDB', new IDBFactory()));
afterAll(() => vi.unstubAllGlobals());

describe('what was read', () => {
  it('is written once for each new answer, and only what is the server’s', () => {
    const answers = { a: [1] };
    const cache = new Map([
      ['/api/setup', { data: answers }],
      ['/api/records?text=x', { data: answers }],
      ['$swr$other', { data: answers }],
      ['/api/air', {}],
    ]) as unknown as Cache;
    const written = new Map<string, unknown>();
    expect(changedReads(cache, written)).toEqual([['/api/setup', answers]]);
    expect(changedReads(cache, written)).toEqual([]);
    cache.set('/api/setup', { data: { a: [1] } });
    expect(changedReads(cache, written)).toHaveLength(1);
  });
  it('is gone with the trust of the shop, from the device and from the open page', async () => {
    const page = SWRConfig.defaultValue.cache;
    await set('/api/setup', { painters: ['Nell'] }, device);
    await set('/api/tickets/t', { vehicle: 'Linnet' }, device);
    await fillFromDevice(page);
    await mutate('/api/records?text=x', [{ vehicle: 'Plover' }], { revalidate: false });
    await mutate('/api/sign-in', { isAsked: true }, { revalidate: false });
    expect(page.get('/api/setup')?.data).toEqual({ painters: ['Nell'] });
    await forgetReads(page);
    expect(await kept()).toEqual([]);
    const held = [...page.keys()].filter((address) => page.get(address)?.data !== undefined);
    expect(held).toEqual(['/api/sign-in']);
  });
});

describe('what a bench needs of the open tickets', () => {
  afterEach(() => vi.unstubAllGlobals());
  const asked: string[] = [];
  /** Tickets by their ids; one of them cannot be read, alone or among others. */
  const server = (isThere: boolean) => {
    asked.length = 0;
    vi.stubGlobal('fetch', (url: string) => {
      asked.push(url);
      if (!isThere) return Promise.reject(new TypeError('failed to fetch'));
      const isBroken = url.includes('broken');
      const whole = (id: string) => ({ ticket: { id } });
      const { pathname, searchParams } = new URL(url, 'http://shop');
      const ids = searchParams.get('ids')?.split(',');
      const body = ids ? ids.map(whole) : whole(pathname.split('/').at(-1)!);
      return Promise.resolve(
        new Response(JSON.stringify(isBroken ? {} : body), { status: isBroken ? 500 : 200 }),
      );
    });
  };
  const idsOf = async (...ids: string[]) => (await allThatCan(ids)).map(({ ticket: { id } }) => id);

  it('comes in one question', async () => {
    server(true);
    expect(await idsOf('a', 'b')).toEqual(['a', 'b']);
    expect(asked).toHaveLength(1);
  });
  it('comes without the one that cannot be read', async () => {
    server(true);
    expect(await idsOf('a', 'broken', 'c')).toEqual(['a', 'c']);
  });
  it('is not asked for one by one where no server answers', async () => {
    server(false);
    expect(await idsOf('a', 'b', 'c')).toEqual([]);
    expect(asked).toHaveLength(1);
  });
});
