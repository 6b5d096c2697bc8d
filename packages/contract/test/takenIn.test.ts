/** A job taken in: its list, its amounts and its ground, from the ticket as it stands. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { needOf, quantityLeft, readyMlFor, usedOn } from '../src/plan/amounts.ts';
import { coatsOver, colourOver, groundChoice } from '../src/plan/groundFor.ts';
import { suppliesOf } from '../src/plan/howMuch.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import {
  isPrepHeld,
  openBefore,
  prepList,
  prepStanding,
  type OnPrep,
} from '../src/plan/prepList.ts';
import type { Panel, StagePlan } from '../src/shop/ticket.ts';
import { jobsOf, type Usage } from '../src/shop/usage.ts';
import { contextFor, guns, products } from './demoContext.ts';

const ROOM = { place: 'booth', extraction: 'on' } as const;
const where = { room: ROOM, painter: {}, nowMs: Date.parse('2026-06-01T08:00:00Z') };
const panel = (id: string, more: Partial<Panel> = {}): Panel => ({
  id,
  name: id,
  areaM2: 1,
  orientation: 'upright',
  substrate: 'metal',
  scope: 'full',
  ...more,
});
const sheetOf = (id: string) => ({ id, sheet: products.get(id)! });
const stage = (
  sheetId: string,
  kind: StagePlan['kind'],
  more: Partial<StagePlan> = {},
): StagePlan => ({
  id: sheetId,
  kind,
  sheetVersionId: sheetId,
  recipeName: products.get(sheetId)!.recipes![0]!.name,
  colourName: '',
  coats: 2,
  part: 'largePanel',
  panelIds: ['door', 'wing'],
  ...more,
});
const SHEET_IDS = [...products.values()].filter(({ stages }) => stages).map(({ id }) => id);
const of = (kind: StagePlan['kind']): string =>
  SHEET_IDS.find((id) => products.get(id)!.stages!.includes(kind))!;
const [SEALER, BASE, CLEAR] = [
  SHEET_IDS.find((id) => products.get(id)!.shades)!,
  of('base'),
  of('clear'),
];
const job = (panels: Panel[], more: Partial<OnPrep> = {}): OnPrep => ({
  ticket: {
    panels,
    stages: [stage(BASE, 'base', { finish: 'silver' }), stage(CLEAR, 'clear')],
  } as never,
  sheets: [sheetOf(BASE), sheetOf(CLEAR)],
  prepAnswers: [],
  lateFinds: [],
  ...more,
});
const FOUND = [{ history: 'factory', lastGrit: 'P600' }] as const;

describe('the list of a ticket', () => {
  it('holds once somebody told of a panel or answered a step, and not before', () => {
    const untold = job([panel('door'), panel('wing')]);
    expect(isPrepHeld(untold)).toBe(false);
    expect(prepStanding(untold, BASE, where)).toEqual([]);
    const told = job([panel('door', { found: [...FOUND] }), panel('wing')]);
    expect(prepStanding(told, BASE, where).map(({ code }) => code)).toEqual([
      'prep-open',
      'prep-unticked',
    ]);
  });
  it('stands before each stage with what comes before it, and never with the waste', () => {
    const on = job([panel('door', { found: [...FOUND] }), panel('wing')]);
    const list = prepList(on, where)!;
    const kinds = (stageId: string) => openBefore(on, list, stageId).map(({ kind }) => kind);
    expect(kinds(BASE)).toContain('wipe');
    expect(kinds(BASE)).not.toContain('look');
    expect(kinds(CLEAR)).toEqual(expect.arrayContaining([...kinds(BASE), 'look']));
    expect([...kinds(BASE), ...kinds(CLEAR)]).not.toContain('waste');
  });
  it('knows the room: its silicone by the month, its wetted floor by the air', () => {
    const on = job([panel('door')]);
    const codes = (room: object, air: object = {}) =>
      prepList(on, { ...where, air, room: { ...ROOM, ...room } })!.verdicts.map(({ code }) => code);
    expect(codes({ siliconeLastOn: '2026-04-01' })).toContain('silicone-recent');
    expect(codes({ siliconeLastOn: '2025-04-01' })).not.toContain('silicone-recent');
    expect(codes({ wetsFloor: true }, { marginC: 2 })).toContain('floor-wetting');
    expect(codes({ wetsFloor: true }, { marginC: 9 })).not.toContain('floor-wetting');
  });
});

describe('how much', () => {
  const context = contextFor(BASE, 22);
  it('is less for a blend or a spot, and goes by the hand', () => {
    const [hood] = context.ticket.panels;
    const ml = (more: Partial<Panel>, usages?: Usage[]) =>
      quantityLeft({
        ...context,
        ticket: { ...context.ticket, panels: [{ ...hood!, ...more }] },
        ...(usages ? { usages } : {}),
      }).readyMl.value;
    expect(ml({ scope: 'blend' })).toBeLessThan(ml({}));
    expect(ml({ scope: 'spot', spotM2: 0.02 })).toBeLessThan(ml({ scope: 'blend' }));
    const thick = Array.from({ length: 5 }, () => ({ plannedMl: 500, usedMl: 650 }) as Usage);
    expect(ml({}, thick)).toBeGreaterThan(ml({}));
  });
  it('pours no less than it needs, whatever the cup', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 8, noNaN: true }), (areaM2) => {
        const panels = context.ticket.panels.map((one) => ({ ...one, areaM2 }));
        const big = { ...context, ticket: { ...context.ticket, panels } };
        expect(readyMlFor(big)).toBeGreaterThanOrEqual(quantityLeft(big).readyMl.value - 1e-6);
      }),
      { numRuns: 60 },
    );
  });
  it('is bought in tins that its sheet has, in any weather', () => {
    for (const airC of [22, 5]) {
      const cold = contextFor(CLEAR, airC);
      const { quantity } = planCoat(cold);
      expect(quantity.components!.length).toBeGreaterThan(1);
      expect(quantity.packs!.length).toBeGreaterThan(0);
    }
  });
  it('lists what lies beside the paint', () => {
    const plan = planCoat(context);
    const list = prepList(job([panel('door', { found: [...FOUND] })]), where);
    const whats = suppliesOf([{ context, quantity: plan.quantity }], list).map(({ what }) => what);
    expect(whats.filter((what) => /^strainer, \d+ µm$/.test(what))).toHaveLength(1);
    expect(whats).toEqual(expect.arrayContaining(['tack cloth', 'wiping cloth']));
  });
});

describe('what a stage took', () => {
  const stageId = BASE;
  const whole = (poured: number[]) => ({
    ticket: { panels: [panel('door')], stages: [stage(BASE, 'base', { panelIds: ['door'] })] },
    coats: [{ stageId, state: 'looked', endedAt: '2026-06-01T09:00:00Z' }],
    mixes: poured.map((readyMl, i) => ({ id: String(i), stageId, readyMl })),
    sheets: [sheetOf(BASE)],
  });
  it('is what was poured less what was left, against one coat by nobody’s hand', () => {
    const on = whole([200, 100]) as never;
    const used = usedOn(on, { guns: guns as never }, { stageId, leftMl: 40 })!;
    expect(used.usedMl).toBe(260);
    const { panels, stages } = whole([]).ticket;
    const need = needOf(
      {
        ticket: { panels, jobSize: 'panel' },
        stage: stages[0]!,
        sheet: products.get(BASE)!,
        gun: guns[0]!,
      },
      1,
    );
    expect(need.coats).toBe(1);
    expect(used.plannedMl).toBeGreaterThan(0);
    expect(usedOn(on, { guns: guns as never }, { stageId, leftMl: 300 })).toBeUndefined();
  });
  it('counts the last word of a stage', () => {
    const usage = (id: string, stage: string): Usage =>
      ({ id, stageId: stage, painterId: 'n', group: 'colour' }) as Usage;
    const jobs = jobsOf([usage('1', 'a'), usage('2', 'b'), usage('3', 'a')], 'n', 'colour');
    expect(jobs.map(({ id }) => id)).toEqual(['2', '3']);
  });
});

describe('the ground under a colour', () => {
  it('is ranked from the shades of its sheet, each with a card that nears the colour', () => {
    const stages = [stage(SEALER, 'sealer'), stage(BASE, 'base', { colourHex: '#a3161c' })];
    const over = colourOver(stages, SEALER, [sheetOf(SEALER), sheetOf(BASE)])!;
    expect(over.stage.id).toBe(BASE);
    const { answer, cards } = groundChoice(
      { stage: stages[0]!, sheet: products.get(SEALER)! },
      over,
    )!;
    expect(answer.ranked.map(({ name }) => name).sort()).toEqual(
      products
        .get(SEALER)!
        .shades!.map(({ name }) => name)
        .sort(),
    );
    for (const colours of cards.values()) expect(new Set(colours).size).toBeGreaterThan(1);
    expect(colourOver(stages, BASE, [])).toBeUndefined();
  });
  it('plans a coat more where a tenth is not to spare', () => {
    expect([coatsOver(1.5, 2), coatsOver(1.95, 1), coatsOver(2.3, 1)]).toEqual([2, 3, 3]);
  });
});
