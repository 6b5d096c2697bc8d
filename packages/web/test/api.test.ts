/** Addresses, what an event makes old, the server’s clock, and what stands before a read. */
import { describe, expect, it, vi } from 'vitest';
import { ADDRESS, ALL_RESOURCES, refreshedBy } from '../src/api/resources.ts';
import { measured, serverNowMs } from '../src/api/serverClock.ts';
import { failedOf } from '../src/frame/NotYet.tsx';

describe('addresses', () => {
  it('are of the server, each its own', () => {
    const fixed = Object.values(ADDRESS).filter((address) => typeof address === 'string');
    expect(new Set(fixed).size).toBe(fixed.length);
    for (const address of fixed) expect(address).toMatch(/^\/api\/[a-z/-]+$/);
  });
  it('take an id, and a part of the thing', () => {
    expect(ADDRESS.coat('c1')).toBe('/api/coats/c1');
    expect(ADDRESS.coat('c1', 'spray-start')).toBe('/api/coats/c1/spray-start');
  });
  it('write a question safely', () => {
    expect(ADDRESS.records({ text: 'tank & lid' })).toBe('/api/records?text=tank+%26+lid');
  });
});

describe('what an event makes old', () => {
  it('is the thing itself and what is told of it', () => {
    expect(refreshedBy('ticket')).toEqual(expect.arrayContaining(['tickets', 'records', 'care']));
    expect(refreshedBy('finding')).toEqual(expect.arrayContaining(['findings', 'planChanges']));
    expect(refreshedBy('reading')).toEqual(['air']);
  });
  it('is everything, of a kind nobody here has heard of', () => {
    expect(refreshedBy('spaceship')).toEqual(ALL_RESOURCES);
  });
});

describe('the server’s clock', () => {
  it('goes by the server, whatever the tablet says', () => {
    vi.useFakeTimers({ now: Date.parse('2026-03-02T10:00:00Z') });
    measured({ serverNow: '2026-03-02T11:00:00Z' });
    vi.advanceTimersByTime(5000);
    expect(serverNowMs()).toBe(Date.parse('2026-03-02T11:00:05Z'));
    measured({ serverNow: new Date().toISOString() });
    expect(serverNowMs()).toBe(Date.now());
    vi.useRealTimers();
  });
});

describe('a read that failed', () => {
  const mutate = () => Promise.resolve();
  const error = new Error('no connection');
  it('is told only where nothing of it is held', () => {
    expect(failedOf([{ data: [], error, mutate }])).toBeUndefined();
    expect(failedOf([{ mutate }])).toBeUndefined();
    expect(
      failedOf([
        { data: 1, mutate },
        { error, mutate },
      ])?.error,
    ).toBe(error);
  });
});
