/**
 * The plan of a coat from the invented shop's own sheets: what changes with the air, and what never
 * may.
 */
import { describe, expect, it } from 'vitest';
import { planDifferences } from '../src/plan/planDifferences.ts';
import { coatOrder } from '../src/plan/coatOrder.ts';
import { planCoat, stopsOf } from '../src/plan/planCoat.ts';
import { sheetFaults } from '../src/sheet/sheetChecks.ts';
import { contextFor as context, paints, products, sheets } from './demoContext.ts';

describe('the demo sheets', () => {
  it.each(sheets.map((sheet) => [sheet.id, sheet] as const))(
    '%s agrees with itself and with the shop',
    (_, sheet) => {
      expect(sheetFaults(sheet, products)).toEqual([]);
    },
  );

  it.each(paints.map(({ id }) => id))('%s can be planned at 22 °C, from reducer to pour', (id) => {
    const plan = planCoat(context(id, 22));
    expect(plan.reducer.choice).toBeDefined();
    expect(plan.mix?.components?.length).toBeGreaterThan(0);
    expect(plan.mix?.verdicts.filter(({ level }) => level === 'stop')).toEqual([]);
  });

  it('are refused where a hardener is named beside no hardener, or a product that is not there', () => {
    const clear = products.get('tarnside-clear-ms')!;
    expect(sheetFaults({ ...clear, hardenerChemistry: 'none' }, products)[0]).toMatchObject({
      path: ['hardenerChemistry'],
    });
    expect(sheetFaults({ ...clear, hardeners: ['tarnside-h-9'] }, products)[0]).toMatchObject({
      path: ['hardeners', 0],
    });
    expect(sheetFaults({ ...clear, hardeners: ['tarnside-w-5'] }, products)[0]!.message).toContain(
      'adjuster',
    );
  });
});

describe('six degrees more', () => {
  it('moves the flash of the grade that is in the cup, and hardly that of the grade for the air', () => {
    const at = (airC: number, wantedParts?: { name: string; fraction: number }[]) =>
      planCoat({ ...context('tarnside-single', airC), ...(wantedParts ? { wantedParts } : {}) });
    const [cool, warm] = [at(19), at(25)];
    const kept = at(25, cool.inUse!.parts);
    const minutes = ({ recoat }: ReturnType<typeof planCoat>) => recoat.earliestMinutes.value;
    expect(minutes(kept)).toBeLessThan(minutes(cool) * 0.85);
    expect(minutes(warm) / minutes(cool)).toBeGreaterThan(0.85);
  });
  it('moves reducer, hardener and pot life, each with its why', () => {
    const changes = planDifferences(
      planCoat(context('tarnside-single', 19)),
      planCoat(context('tarnside-single', 25)),
    );
    const fields = changes.map(({ field }) => field);
    expect(fields).toEqual(expect.arrayContaining(['reducer', 'hardener', 'potLife']));
    expect(changes.find(({ field }) => field === 'reducer')!.why).toBeDefined();
    const [potLife] = changes.filter(({ field }) => field === 'potLife');
    expect(potLife!.to).toBeLessThan(potLife!.from as number);
  });

  it('turn a cold stop into a go, with the stop named on the other side', () => {
    const [stops] = planDifferences(
      planCoat(context('tarnside-sb-metallic', 12)),
      planCoat(context('tarnside-sb-metallic', 20)),
    ).filter(({ field }) => field === 'stops');
    expect(stops!.from).toContain('panel-too-cold');
    expect(stops!.to).toBeUndefined();
  });

  it('say nothing where nothing changes', () => {
    const plan = planCoat(context('tarnside-single', 22));
    expect(planDifferences(plan, plan)).toEqual([]);
  });
});

it('pours to whole lines of the scale that is printed on the cup', () => {
  const [batch] = planCoat(context('tarnside-single', 22)).mix!.batches!;
  const lines = batch!.components.map(({ mark }) => mark?.label);
  expect(lines[0]).toBeDefined();
  expect(new Set(lines).size).toBe(1);
});

it('reminds to set the knobs back after small work', () => {
  const { setup } = planCoat(
    context('tarnside-single', 22, {
      knobsLeft: { part: 'jamb', fanTurnsOut: 0.5, fluidTurnsOut: 1 },
    }),
  );
  expect(setup.verdicts.map(({ code }) => code)).toContain('knobs-need-reset');
});

it('coats come stage by stage as the ticket lists them, then one by one', () => {
  const coat = (stageId: string, ordinal: number) => ({ stageId, ordinal });
  const shuffled = [
    coat('clear', 2),
    coat('base', 12),
    coat('sealer', 1),
    coat('clear', 1),
    coat('base', 2),
  ];
  const order = shuffled
    .sort(coatOrder([{ id: 'sealer' }, { id: 'base' }, { id: 'clear' }]))
    .map(({ stageId, ordinal }) => `${stageId} ${ordinal}`);
  expect(order).toEqual(['sealer 1', 'base 2', 'base 12', 'clear 1', 'clear 2']);
});

it('names each stop once, though several answers say it', () => {
  const codes = stopsOf(planCoat(context('tarnside-sb-metallic', 8))).map(({ code }) => code);
  expect(codes).toContain('panel-too-cold');
  expect(new Set(codes).size).toBe(codes.length);
});

describe('what a plan never does', () => {
  it('puts a reducer into a clear whose sheet gives none', () => {
    const { reducer, mix } = planCoat(context('tarnside-clear-ms', 27));
    expect(reducer.choice).toMatchObject({ parts: [], reductionPercent: 0 });
    expect(mix!.components!.map(({ role }) => role)).toEqual(['paint', 'hardener']);
  });
  it('puts a solvent reducer into waterborne, or leaves its adjuster out', () => {
    const { mix } = planCoat(context('tarnside-wb-base', 25, { rh: 45 }));
    expect(mix!.components!.map(({ role }) => role)).toEqual(['paint', 'adjuster']);
  });
  it('gives anything to pour on a stop', () => {
    for (const { id } of paints) expect(planCoat(context(id, 8)).mix?.components).toBeUndefined();
  });
  it('changes the recommendation because the painter picked otherwise', () => {
    const [ours, own] = [
      planCoat(context('tarnside-single', 24)),
      planCoat(context('tarnside-single', 24, { wantedParts: [{ name: 'T-40', fraction: 1 }] })),
    ];
    expect(own.reducer.choice!.parts).toEqual(ours.reducer.choice!.parts);
    expect(own.mix!.components!.map(({ name }) => name)).toContain('T-40');
    expect(own.reducer.wanted!.evaporationIndex).toBeLessThan(1);
  });
});
