/** What was found on a ticket's panels, held against the stages planned over it. */
import { describe, expect, it } from 'vitest';
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';
import { layersFound, layersInput, layersStanding, panelSaid } from '../src/plan/layersFound.ts';
import type { Panel, SheetVersion, StagePlan, Ticket } from '../src/shop/ticket.ts';

const panel = (id: string, name: string, found?: FoundLayer[]): Panel => ({
  id,
  name,
  areaM2: 1,
  orientation: 'upright',
  substrate: 'metal',
  scope: 'full',
  ...(found ? { found } : {}),
});
const stage = (kind: StagePlan['kind'], id: string, panelIds: string[]): StagePlan =>
  ({
    id,
    kind,
    sheetVersionId: id,
    recipeName: '1:1',
    coats: 2,
    colourName: '',
    panelIds,
  }) as never;
const sheet = (id: string, hardener: 'isocyanate' | 'none', grit?: string) =>
  ({
    id,
    sheet: {
      carrier: 'solvent',
      hardenerChemistry: hardener,
      recipes: [
        {
          name: '1:1',
          parts: [
            { name: 'paint', role: 'paint' },
            ...(hardener === 'none' ? [] : [{ name: 'hardener', role: 'hardener' }]),
          ],
          wetFilmUm: [40, 60],
          volumeSolidsPercent: 40,
        },
      ],
      ...(grit ? { overWhat: [{ layer: 'old paint', grit }] } : {}),
    },
  }) as unknown as SheetVersion;
const SHEETS = [sheet('base', 'none', 'P500-P800'), sheet('clear', 'isocyanate')];
const job = (...panels: Panel[]): Pick<Ticket, 'panels' | 'stages'> => {
  const ids = panels.map(({ id }) => id);
  return { panels, stages: [stage('base', 'base', ids), stage('clear', 'clear', ids)] };
};
const AEROSOL: FoundLayer[] = [{ history: 'aerosol1k', lastGrit: 'P600' }];

describe('what stands on a ticket’s panels', () => {
  it('is held against nothing where nobody told it', () => {
    expect(layersFound(job(panel('a', 'hood')), SHEETS)).toBeUndefined();
    const ticket = job(panel('a', 'hood'), panel('b', 'roof', AEROSOL));
    expect(layersFound(ticket, SHEETS)!.pairs.map((pair) => pair.panel)).toEqual(['roof', 'roof']);
  });

  it('is told of the stage that meets it, before its first coat only', () => {
    const on = { ticket: job(panel('a', 'hood', AEROSOL)), sheets: SHEETS };
    const codes = (stageId: string, ordinal: number) =>
      layersStanding(on, { stageId, ordinal }).map(({ code }) => code);
    expect(codes('base', 1)).toEqual(['layer-lifts']);
    expect(codes('base', 2)).toEqual([]);
    expect(codes('gone', 1)).toEqual([]);
    // The stop stood before the base: of the clear over it nothing new is said.
    expect(codes('clear', 1)).toEqual([]);
  });

  it('goes by the sheet’s grit where it prints one', () => {
    const ticket = job(panel('a', 'hood', [{ history: 'factory' }]));
    const [first] = layersFound(ticket, SHEETS)!.pairs;
    expect(first).toMatchObject({ outcome: 'sandFirst', grit: ['P500', 'P800'] });
  });

  it('says two parts of one name apart, and adds up planned film', () => {
    const [one, two] = [panel('a', 'Cover', AEROSOL), panel('b', 'cover', AEROSOL)];
    const ticket = job(one, two);
    expect([panelSaid(ticket.panels, one), panelSaid(ticket.panels, two)]).toEqual([
      'cover',
      'cover 2',
    ]);
    const input = layersInput(ticket, SHEETS)!;
    expect(input.stages[0]).toMatchObject({
      dryUm: 40,
      activated: false,
      panels: ['cover', 'cover 2'],
    });
    expect(layersFound(ticket, SHEETS)!.pairs).toHaveLength(4);
  });
});
