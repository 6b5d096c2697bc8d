/**
 * The gun's part of a plan: the room's line, the cup's seconds, the work of this coat, and a
 * painter's own pressure.
 */
import { describe, expect, it } from 'vitest';
import { ownPressure, pressureStops } from '../src/plan/ownPressure.ts';
import { planCoat, stopsOf } from '../src/plan/planCoat.ts';
import {
  deliveryOf,
  lineOf,
  neededTankKPa,
  type AirLine,
  type Compressor,
} from '../src/shop/compressedAir.ts';
import type { StoredTest } from '../src/shop/test.ts';
import { answerOrRefuse } from '../src/registry.ts';
import { GUN_FAULTS } from '../src/words/tuneWords.ts';
import { contextFor } from './demoContext.ts';

const ID = '0190b5a0-0000-7000-8000-000000000002';
const airLine: AirLine = {
  id: ID,
  version: 1,
  name: 'Drop',
  gaugeAt: 'wall',
  gaugeTrust: 'good',
  note: '',
  line: {
    hose: { innerDiameterMm: 9.5, lengthM: 10 },
    couplers: [{ kind: 'highFlow', count: 2 }],
    regulator: 'large',
  },
};
const stored = (test: StoredTest['test']): StoredTest => ({
  id: ID,
  takenAt: '2026-03-02T09:00:00Z',
  note: '',
  test,
});

describe('an air line', () => {
  const twoGauges = stored({
    kind: 'twoGauges',
    wallKPa: 200,
    inletKPa: 150,
    gunId: ID,
    airFlowLPerMin: 340,
  });
  it('brings what the wall must show into the plan, and a measured loss before the worked-out one', () => {
    expect(planCoat(contextFor('tarnside-clear-ms', 22)).setup.regulatorFlowingKPa).toBeUndefined();
    const plan = planCoat(contextFor('tarnside-clear-ms', 22, { airLine }));
    expect(plan.setup.regulatorFlowingKPa!).toBeGreaterThan(plan.setup.inletKPa);
    const measured = planCoat(
      contextFor('tarnside-clear-ms', 22, { airLine: { ...airLine, twoGauges } }),
    );
    expect(measured.inputs.setup.airline).toMatchObject({
      measuredLossPercent: 25,
      measuredAtInletKPa: 150,
    });
    expect(measured.setup.reasons.map(({ code }) => code)).toContain('line-from-measurement');
    expect(lineOf({ ...airLine, twoGauges })).toMatchObject({ measuredAtAirFlowLPerMin: 340 });
  });
  it('that cannot hold the wall stops the coat', () => {
    const weak = { ...airLine, line: { ...airLine.line, supplyKPa: 120 } };
    expect(
      stopsOf(planCoat(contextFor('tarnside-clear-ms', 22, { airLine: weak }))).map(
        ({ code }) => code,
      ),
    ).toContain('supply-too-low');
  });
});

it('a compressor gives what its pump-up timed, at the middle of it, before what its plate says', () => {
  const plate: Compressor = {
    id: ID,
    version: 1,
    name: 'P',
    note: '',
    tankL: 50,
    freeAirLPerMin: 125,
    freeAirAtKPa: 400,
    cutInKPa: 600,
    cutOutKPa: 800,
  };
  expect(deliveryOf(plate)).toEqual({ freeAirLPerMin: 125, freeAirAtKPa: 400 });
  const pumpUp = stored({
    kind: 'pumpUp',
    fromKPa: 600,
    toKPa: 800,
    seconds: 55,
    freeAirLPerMin: 108,
  });
  expect(deliveryOf({ ...plate, pumpUp })).toEqual({ freeAirLPerMin: 108, freeAirAtKPa: 700 });
  expect(neededTankKPa(200)).toBe(269);
});

describe('the plan of a coat', () => {
  it('pours less through the tip when the flow cup says it is thicker', () => {
    const timed = (seconds: number) =>
      planCoat(
        contextFor('tarnside-clear-ms', 22, { flowCup: { cup: 'din4', seconds, measuredAtC: 21 } }),
      ).setup;
    expect(timed(32).fluidMlPerMin / timed(32).fluidTurnsOut).toBeLessThan(
      timed(18).fluidMlPerMin / timed(18).fluidTurnsOut,
    );
  });
  it('sets fan and fluid for the work of this coat alone', () => {
    const panel = planCoat(contextFor('tarnside-clear-ms', 22)).setup;
    const jamb = planCoat(contextFor('tarnside-clear-ms', 22, { part: 'jamb' })).setup;
    expect(jamb.fanTurnsOut).toBeLessThan(panel.fanTurnsOut);
    expect(jamb.fluidTurnsOut).toBeLessThan(panel.fluidTurnsOut);
    const mist = planCoat(contextFor('tarnside-clear-ms', 22, { mist: true })).setup;
    expect(mist.reasons.map(({ code }) => code)).toContain('mist-wide-and-little');
  });
});

describe("a painter's own pressure", () => {
  const context = contextFor('tarnside-clear-ms', 22, { airLine });
  const at = (valueKPa: number, place: 'inlet' | 'wall' | 'cap' = 'inlet') =>
    ownPressure(context, { valueKPa, at: place, fanTurnsOut: 2.25 });
  it('may be unusual, never over the gun nor over the limit of the place', () => {
    expect(pressureStops(at(135))).toEqual([]);
    expect(pressureStops(at(260)).map(({ code }) => code)).toEqual(
      expect.arrayContaining(['inlet-over-gun', 'cap-over-legal-limit']),
    );
    expect(pressureStops(at(80, 'cap')).map(({ code }) => code)).toEqual(['cap-over-legal-limit']);
  });
  it('read at the wall is less at the gun', () => {
    expect(at(180, 'wall').inletKPa!.value).toBeLessThan(180);
  });
});

it('a fault of the gun is named with how to tell, in the verdict as in the answer', () => {
  const outcome = answerOrRefuse('tune', {
    settings: {},
    seen: ['flutter'],
    stage: 'clear',
    carrier: 'solvent',
  });
  const { fault, verdicts, steps } = (
    outcome as {
      answer: { fault: object; verdicts: { code: string; message: string }[]; steps: unknown[] };
    }
  ).answer;
  expect(steps).toEqual([]);
  expect(fault).toEqual({ id: 'air_in_fluid', ...GUN_FAULTS.air_in_fluid });
  expect(verdicts.find(({ code }) => code === 'gun-fault')!.message).toContain(
    GUN_FAULTS.air_in_fluid.name,
  );
});

it.each([
  [
    'airline',
    { wantedInletKPa: 140, airFlowLPerMin: 300, measuredAtInletKPa: 120 },
    'needs-field',
    ['measuredLossPercent'],
  ],
  ['viscosity', { seconds: 20 }, 'needs-field', ['cup']],
  ['viscosity', { kinematicMm2PerS: 60, wantedAtC: 25 }, 'needs-field', ['measuredAtC']],
  [
    'pressure',
    {
      value: 30,
      unit: 'bar',
      at: 'wall',
      flowing: 'yes',
      gun: { class: 'hvlp', nozzlesMm: [1.3] },
    },
    'out-of-range',
    ['value'],
  ],
  [
    'pressure',
    {
      value: 30,
      restValue: 28,
      unit: 'psi',
      at: 'wall',
      flowing: 'yes',
      gun: { class: 'hvlp', nozzlesMm: [1.3] },
    },
    'contradiction',
    ['restValue'],
  ],
  [
    'tune',
    {
      settings: { fluidTurnsOut: 5 },
      seen: ['dry'],
      stage: 'clear',
      carrier: 'solvent',
      gun: { class: 'hvlp', nozzlesMm: [1.3], fullFluidTurns: 4 },
    },
    'contradiction',
    ['gun', 'fullFluidTurns'],
  ],
  [
    'tune',
    { settings: { inletKPa: 60, capKPa: 70 }, seen: ['dry'], stage: 'clear', carrier: 'solvent' },
    'contradiction',
    ['settings', 'capKPa'],
  ],
  [
    'tune',
    {
      settings: { fanWidthMm: 100, stepMm: 120 },
      seen: ['dry'],
      stage: 'clear',
      carrier: 'solvent',
    },
    'contradiction',
    ['settings', 'stepMm'],
  ],
])('%s refuses %o', (name, input, code, path) => {
  expect(answerOrRefuse(name, input)).toMatchObject({ error: { code, path } });
});
