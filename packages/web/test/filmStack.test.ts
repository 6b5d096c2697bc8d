/** The film stack and the ribbon of a ticket as they are drawn. */
import type { Timer } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { ribbonBlocks } from '../src/ticket/ribbonLayout.ts';
import { stackLayers } from '../src/ticket/stackLayout.ts';
import { MINUTE, NOW, iso, coat, whole } from './ticketFixture.ts';

describe('the film stack of a panel', () => {
  it('holds only the stages that this panel gets', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked'),
      coat('2', 'a', 2, 'planned'),
      coat('3', 'b', 1, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ coatId }) => coatId)).toEqual(['1', '2', '3']);
    expect(stackLayers(job, 'p2').map(({ coatId }) => coatId)).toEqual(['3']);
  });
  it('marks a fault in a layer until it is settled, and keeps the mark of one that was left', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked', { seen: ['peel', 'dust'] }),
      coat('2', 'a', 2, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ fault }) => fault)).toEqual([
      { isOpen: true, names: 'Orange peel, Dust' },
      undefined,
    ]);
    const work = {
      id: 'w',
      coatId: '1',
      painterId: 'n',
      settles: ['seen:peel', 'seen:dust'],
      why: 'low',
      at: iso(NOW),
    };
    const marked = (kind: 'left' | 'flattened') =>
      stackLayers({ ...job, works: [{ ...work, kind }] }, 'p1')[0]!.fault;
    expect(marked('left')).toEqual({ isOpen: false, names: 'Orange peel, Dust' });
    expect(marked('flattened')).toBeUndefined();
  });
  it('is planned by the middle of the sheet’s film and laid by what was logged', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked', { done: { wetFilmUm: { value: 50, source: 'changed' } } }),
      coat('2', 'a', 2, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ dryUm, isLaid }) => [dryUm, isLaid])).toEqual([
      [10, true],
      [7, false],
    ]);
  });
});

describe('the ribbon', () => {
  const minutes = () => ({ spray: 5, flash: 10 });
  it('lays what is left one after the other from now', () => {
    const blocks = ribbonBlocks(
      whole([coat('1', 'a', 1, 'planned'), coat('2', 'a', 2, 'planned')]),
      NOW,
      minutes,
    );
    expect(
      blocks.map(({ fromMs, toMs }) => [(fromMs - NOW) / MINUTE, (toMs - NOW) / MINUTE]),
    ).toEqual([
      [0, 5],
      [5, 15],
      [15, 20],
      [20, 30],
    ]);
  });
  it('keeps what was done where it was done, and never plans into the past', () => {
    const ended = NOW - 60 * MINUTE;
    const timer = {
      id: 'x',
      version: 1,
      ticketId: 't',
      coatId: '1',
      kind: 'flash',
      startedAt: iso(ended),
      dueAt: iso(ended + 10 * MINUTE),
      test: '',
    } as Timer;
    const blocks = ribbonBlocks(
      whole(
        [
          coat('1', 'a', 1, 'sprayed', { startedAt: iso(ended - 4 * MINUTE), endedAt: iso(ended) }),
          coat('2', 'a', 2, 'planned'),
        ],
        [timer],
      ),
      NOW,
      minutes,
    );
    expect(blocks[0]).toMatchObject({ fromMs: ended - 4 * MINUTE, toMs: ended, isDone: true });
    expect(blocks[2]!.fromMs).toBe(NOW);
  });
});
