/** Which shade goes under a colour: what the painter reads on the cards, and what he may pick. */
import { groundChoice, type Over } from '@orthochrom/contract/plan/groundFor.ts';
import type { StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { contextFor, sheets } from '../../contract/test/demoContext.ts';
import { GroundCards } from '../src/ticket/ground/GroundCards.tsx';
import { drawn, METRIC } from './drawn.tsx';

const sealer = sheets.find(({ shades }) => shades !== undefined)!;
const bases = sheets.filter(({ kind, recipes }) => kind === 'base' && recipes !== undefined);
const under = contextFor(sealer.id, 22);
const overOf = (sheetId: string, changes: Partial<StagePlan>): Over => {
  const { stage, sheet } = contextFor(sheetId, 22);
  return { sheet, stage: { ...stage, finish: 'solid', colourHex: '#a3161c', ...changes } };
};
type Way = {
  units?: object;
  over?: Over;
  stage?: Partial<StagePlan>;
  withGun?: boolean;
  prices?: unknown[];
};
const red = overOf(bases[0]!.id, { colourName: 'Signal red' });
const cards = ({ over = red, stage = {}, withGun = true, prices = [], units }: Way = {}) =>
  drawn(
    <GroundCards
      stage={{ ...under.stage, ...stage }}
      sheet={sealer}
      over={over}
      gun={withGun ? (under.gun as never) : undefined}
      job={{ panels: under.ticket.panels as never, jobSize: 'panel' }}
      strongSun={false}
      shop={{
        sheets: sheets.map((sheet) => ({ sheet })) as never,
        setup: { shop: { currency: '£' }, prices } as never,
      }}
      onPick={() => undefined}
    />,
    units ? { units } : {},
  );
const shadesIn = (html: string) => [
  ...html.matchAll(/aria-pressed="(true|false)"[^]*?<strong>(.*?)<\/strong>/g),
];

describe('the shades under a colour', () => {
  it('are all there, the best first, and only the chosen one is pressed', () => {
    const chosen = sealer.shades![1]!.name;
    const shown = shadesIn(cards({ stage: { colourName: chosen } }));
    const { answer } = groundChoice({ stage: under.stage, sheet: sealer }, red)!;
    expect(shown.map(([, , name]) => name)).toEqual(answer.ranked.map(({ name }) => name));
    expect(shown.filter(([, pressed]) => pressed === 'true').map(([, , name]) => name)).toEqual([
      chosen,
    ]);
  });
  it.each(bases.map(({ id }) => [id] as const))('hold no hole under %s, solid or candy', (id) => {
    for (const finish of ['solid', 'silver', 'candy'] as const)
      expect(cards({ over: overOf(id, { finish }) })).not.toMatch(
        /NaN|undefined|\[object|Infinity/,
      );
  });
  it('mark the one as light as the colour, but not under a candy', () => {
    const tag = 'as light as the colour';
    expect(cards().split(tag)).toHaveLength(2);
    const candy = cards({ over: overOf(bases[0]!.id, { finish: 'candy' }) });
    expect(candy).not.toContain(tag);
    expect(candy).toContain('Stop at the coat that matches');
  });
});

it('films are told in the painter’s unit alone', () => {
  const told = cards({ units: { ...METRIC, film: 'mil' } });
  expect(told).toMatch(/it hides at \d+\.\d mil/);
  expect(told).not.toContain('µm');
  expect(cards()).not.toContain(' mil');
});

describe('what a shade costs in colour', () => {
  const prices = sheets.map(({ id, packSizesMl = [] }) => ({
    productId: id,
    prices: Object.fromEntries(packSizesMl.map((sizeMl) => [sizeMl, 30])),
  }));
  it('is told by the gun that lays it; without one no amount is made up', () => {
    expect(cards()).toContain(' ml of colour');
    expect(cards({ withGun: false })).not.toContain(' of colour');
  });
  it('is told in money only where every tin of the recipe has a price', () => {
    expect(cards({ prices })).toMatch(/ of colour, £\s\d/);
    const ownTinsOnly = prices.filter(({ productId }) => productId === red.sheet.id);
    expect(cards({ prices: ownTinsOnly })).not.toContain('£');
  });
});
