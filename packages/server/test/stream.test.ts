/** Many screens on one stream: each is told, the air is asked once a tick, a sleeper is let go. */
import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Changed } from '../src/event/changes.ts';
import { Stream } from '../src/event/stream.ts';

class Screen extends EventEmitter {
  writableLength = 0;
  heard: string[] = [];
  isGone = false;
  set = () => this;
  flushHeaders = () => undefined;
  write = (text: string) => this.heard.push(text);
  destroy = () => {
    this.isGone = true;
    this.emit('close');
  };
}
const screens = (count: number, stream: Stream): Screen[] =>
  Array.from({ length: count }, () => {
    const screen = new Screen();
    stream.open(screen as unknown as Response);
    return screen;
  });

describe('the stream of events', () => {
  const heard = new EventEmitter();
  const air = vi.fn(() => Promise.resolve([]));
  let stream: Stream;
  beforeEach(() => {
    vi.useFakeTimers();
    heard.removeAllListeners();
    air.mockClear();
    stream = new Stream(
      { on: (hear: (changed: Changed) => void) => void heard.on('changed', hear) },
      air,
    );
  });
  afterEach(() => vi.useRealTimers());

  it('tells every screen of a write', () => {
    const all = screens(500, stream);
    heard.emit('changed', { type: 'ticket', id: 't' });
    expect(all.filter((screen) => screen.heard.some((text) => text.includes('"ticket"')))).toEqual(
      all,
    );
  });

  it('asks the air once a tick, however many listen, and not at all when nobody does', async () => {
    const all = screens(500, stream);
    await vi.advanceTimersByTimeAsync(0);
    const onOpening = air.mock.calls.length;
    await vi.advanceTimersByTimeAsync(10_000);
    const ticks = air.mock.calls.length - onOpening;
    expect(ticks).toBeGreaterThan(0);
    expect(ticks).toBeLessThan(20);
    all.forEach((screen) => screen.destroy());
    const before = air.mock.calls.length;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(air.mock.calls.length).toBe(before);
  });

  it('lets a screen go that takes nothing, and tells the others', () => {
    const [asleep, awake] = screens(2, stream);
    asleep!.writableLength = 10_000_000;
    heard.emit('changed', { type: 'gun', id: 'g' });
    expect([asleep!.isGone, awake!.isGone]).toEqual([true, false]);
    expect(awake!.heard.join()).toContain('"gun"');
  });
});
