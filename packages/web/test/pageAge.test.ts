import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { isPageOld, openAnew } from '../src/api/pageAge.ts';

const pageWith = (script: string) => `<script type="module" src="${script}"></script>`;
const answer = (text: string, status = 200) =>
  vi.stubGlobal('fetch', vi.fn().mockResolvedValue(new Response(text, { status })));

beforeEach(() =>
  vi.stubGlobal('document', {
    querySelector: () => ({ getAttribute: () => '/assets/index-own.js' }),
  }),
);
afterEach(() => vi.unstubAllGlobals());

describe('a page is old', () => {
  it('where the server gives out another script, and only there', async () => {
    answer(pageWith('/assets/index-newer.js'));
    expect(await isPageOld()).toBe(true);
    answer(pageWith('/assets/index-own.js'));
    expect(await isPageOld()).toBe(false);
  });
  it('for no server that is away or fails', async () => {
    answer('Bad gateway', 502);
    expect(await isPageOld()).toBe(false);
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('away')));
    expect(await isPageOld()).toBe(false);
  });
});

describe('opened anew', () => {
  /** A device whose worker is on its way, and comes to this end. */
  const device = (end?: ServiceWorkerState) => {
    const reload = vi.fn();
    const coming = Object.assign(new EventTarget(), { state: 'installing' as ServiceWorkerState });
    const registration = { update: () => Promise.resolve(), installing: end ? coming : null };
    vi.stubGlobal('location', { reload });
    vi.stubGlobal('navigator', {
      serviceWorker: { getRegistration: () => Promise.resolve(registration) },
    });
    const settle = () => {
      coming.state = end!;
      coming.dispatchEvent(new Event('statechange'));
    };
    return { reload, settle };
  };
  it.each(['activated', 'redundant'] as const)(
    'once what keeps the newer one is %s, not before',
    async (end) => {
      const { reload, settle } = device(end);
      const opening = openAnew();
      await new Promise((resolve) => setTimeout(resolve));
      expect(reload).not.toHaveBeenCalled();
      settle();
      await opening;
      expect(reload).toHaveBeenCalledOnce();
    },
  );
  it('at once where nothing newer is on its way, or nothing is kept', async () => {
    const { reload } = device();
    await openAnew();
    vi.stubGlobal('navigator', {});
    await openAnew();
    expect(reload).toHaveBeenCalledTimes(2);
  });
});
