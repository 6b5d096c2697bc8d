/** What lies under a coat, and what of it holds the next one. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  coatsUnder,
  faultsOf,
  holdsAgainst,
  isSanded,
  leftOf,
  unsettledOf,
  type Laid,
} from '../src/plan/layersUnder.ts';
import { WorkKind, type LayerWork } from '../src/shop/layerWork.ts';
import { layerReadings } from '../src/diagnosis/layerReadings.ts';
import type { StagePlan, TicketWhole } from '../src/shop/ticket.ts';
import { Seen, type Coat } from '../src/shop/coat.ts';

const stage = (id: string, panelIds: string[]) => ({
  id,
  kind: id === 's' ? 'sealer' : 'base',
  panelIds,
});
const coat = (id: string, stageId: string, ordinal: number, more: Partial<Coat> = {}): Coat =>
  ({
    id,
    stageId,
    ordinal,
    state: 'looked',
    seen: [],
    endedAt: '2026-05-01T10:00:00Z',
    ...more,
  }) as unknown as Coat;
const laid = (coats: Coat[], works: LayerWork[] = []): Laid =>
  ({
    ticket: { stages: [stage('s', ['p', 'q']), stage('b', ['p']), stage('c', ['q'])] },
    coats,
    works,
    found: [],
  }) as unknown as Laid;
const work = (more: Partial<LayerWork>): LayerWork => ({
  id: 'w',
  coatId: '1',
  painterId: 'n',
  kind: 'left',
  settles: [],
  why: 'low down',
  at: '2026-05-01T12:00:00Z',
  ...more,
});

describe('the coats under a coat', () => {
  it('share a panel with it, are on, and come nearest first', () => {
    const all = [
      coat('1', 's', 1),
      coat('2', 'b', 1),
      coat('3', 'b', 2, { state: 'planned' }),
      coat('4', 'c', 1),
    ];
    const under = (id: string) =>
      coatsUnder(
        laid(all),
        all.find((one) => one.id === id)!,
      ).map((one) => one.id);
    expect(under('1')).toEqual([]);
    expect(under('3')).toEqual(['2', '1']);
    // Its panel was never in the base: only the sealer lies under it.
    expect(under('4')).toEqual(['1']);
  });
});

describe('a fault in a layer', () => {
  it('stands until a work names it, whatever the work; the newest word counts', () => {
    fc.assert(
      fc.property(
        fc.subarray(Seen.options),
        fc.subarray(Seen.options),
        fc.constantFrom(...WorkKind.options),
        (seen, settled, kind) => {
          const one = coat('1', 's', 1, { seen });
          const of = laid([one], [work({ kind, settles: settled.map((item) => `seen:${item}`) })]);
          const keys = faultsOf(of, one).map(({ key }) => key);
          const open = unsettledOf(of, one).map(({ key }) => key);
          expect(keys).not.toContain('seen:nothing');
          expect(open).toEqual(
            keys.filter((key) => !settled.some((item) => key === `seen:${item}`)),
          );
          expect(leftOf(of, one).length).toBe(kind === 'left' ? keys.length - open.length : 0);
        },
      ),
    );
    const one = coat('1', 's', 1, { seen: ['peel'] });
    const [left, flattened] = [
      work({ settles: ['seen:peel'] }),
      work({ kind: 'flattened', settles: ['seen:peel'] }),
    ];
    expect(leftOf(laid([one], [left, flattened]), one)).toEqual([]);
    expect(leftOf(laid([one], [flattened, left]), one)).toHaveLength(1);
  });
  it('holds every other stage; the next coat of its own only where it would come through', () => {
    const held = (key: string, stageId: string) =>
      holdsAgainst({ stageId: 's' }, { stageId }, { key, name: '' });
    for (const item of Seen.options) expect(held(`seen:${item}`, 'b')).toBe(true);
    expect(Seen.options.filter((item) => held(`seen:${item}`, 's')).sort()).toEqual([
      'fisheyes',
      'pops',
      'run',
    ]);
    expect(held('finding:x', 's')).toBe(true);
  });
  it('in texture is told to the bench until it was flattened', () => {
    const one = coat('1', 's', 1, { seen: ['peel'] });
    const base = { ...stage('b', ['p']), sheetVersionId: 'v' };
    const texture = (works: LayerWork[]) =>
      layerReadings(
        { ...laid([one], works), sheets: [] } as unknown as TicketWhole,
        base as unknown as StagePlan,
        undefined,
      )['texture_layer'];
    expect(texture([])).toBe('sealer');
    expect(texture([work({ settles: ['seen:peel'] })])).toBe('sealer');
    expect(texture([work({ kind: 'flattened', settles: ['seen:peel'] })])).toBe('none');
  });
  it('opens a closed window only by sanding after the coat went on', () => {
    const one = coat('1', 's', 1);
    const opened = WorkKind.options.filter((kind) => isSanded(laid([one], [work({ kind })]), one));
    expect(opened.sort()).toEqual(['flattened', 'sandedDry', 'sandedWet']);
    expect(
      isSanded(laid([one], [work({ kind: 'sandedDry', at: '2026-04-30T12:00:00Z' })]), one),
    ).toBe(false);
  });
});
