/** What still shrinks below, what shows of a ground, and what is no film at all. */
import { describe, expect, it } from 'vitest';
import { shadowsAt } from '../src/plan/groundFor.ts';
import { isBlendOnly } from '../src/plan/planContext.ts';
import { shrinkingBelow } from '../src/plan/shrinking.ts';
import { contextFor, paints, products, sheets } from './demoContext.ts';

const of = (wanted: (sheet: (typeof sheets)[number]) => boolean): string => paints.find(wanted)!.id;
const SEALER = of(({ shades }) => shades !== undefined);
const BUILD = of(({ recipes }) => recipes!.some(({ times }) => times.shrinkMinutes !== undefined));

describe('what shrinks, and what shows', () => {
  const build = products.get(BUILD)!;
  const { shrinkMinutes } = build.recipes![0]!.times;
  const stages = [
    {
      id: 'primer',
      kind: 'primer',
      sheetVersionId: 'p',
      recipeName: build.recipes![0]!.name,
      panelIds: ['a'],
      coats: 1,
    },
    { id: 'base', kind: 'base', sheetVersionId: 'b', panelIds: ['a'], coats: 1 },
  ];
  const endedMs = Date.parse('2026-06-01T08:00:00Z');
  const said = (minutes: number, timing?: string) =>
    shrinkingBelow(
      {
        ticket: { stages, panels: [], timing },
        coats: [
          {
            id: 'c',
            stageId: 'primer',
            ordinal: 1,
            state: 'looked',
            endedAt: '2026-06-01T08:00:00Z',
            seen: [],
          },
        ],
        sheets: [{ id: 'p', sheet: build }],
        works: [],
        found: [],
      } as never,
      { stageId: 'base', ordinal: 1 },
      endedMs + minutes * 60_000,
    );
  it('is told until the sheet’s minutes are served, and what to do goes by the job', () => {
    expect(said(shrinkMinutes! - 1)).toHaveLength(1);
    expect(said(shrinkMinutes! + 1)).toEqual([]);
    expect(said(10, 'restoration')[0]!.instead).not.toEqual(said(10, 'collision')[0]!.instead);
  });
  it('a spot on another ground shows until the colour hides it', () => {
    const over = {
      stage: { ...contextFor(SEALER, 22).stage, recipeName: '2:1', colourHex: '#a3161c' },
    };
    const under = {
      stage: { ...contextFor(SEALER, 22).stage, colourHex: '#3c3e40', panelIds: ['a'] },
    };
    const sheet = products.get(
      of(({ kind, carrier }) => kind === 'base' && carrier === 'solvent'),
    )!;
    const shadows = (coats: number, scope: 'spot' | 'full') =>
      shadowsAt(
        { stage: under.stage, sheet: products.get(SEALER)! },
        { stage: { ...over.stage, recipeName: sheet.recipes![0]!.name, coats }, sheet },
        [{ id: 'a', scope }],
      );
    expect(shadows(1, 'spot')).toHaveLength(1);
    expect(shadows(12, 'spot')).toEqual([]);
    expect(shadows(1, 'full')).toEqual([]);
  });
  it('what only melts an edge is no film on any sheet of the shop', () => {
    const melting = paints.flatMap((sheet) =>
      sheet.recipes!.filter(({ blendOnly }) => blendOnly).map(({ name }) => ({ sheet, name })),
    );
    expect(melting.length).toBeGreaterThan(0);
    for (const { sheet, name } of melting)
      expect(isBlendOnly(sheet, { recipeName: name })).toBe(true);
  });
});
