/** What goes over what: a worse test is never milder, a barrier that holds never worsens. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  HISTORIES,
  SCOPES,
  stagesOf,
  type FoundLayer,
  type LayerTests,
  type PlannedStage,
} from '../src/layers/foundLayer.ts';
import { GRAIN_UM, gritLadder, GRITS, type Grit } from '../src/layers/grit.ts';
import { gritUnder, keyFault } from '../src/layers/keying.ts';
import { layerCheckOf, LIFT_RISKS } from '../src/layers/layerCheck.ts';
import { severer, severest, type PairOutcome } from '../src/layers/layerPairs.ts';
import { anyFound as found, anyStage as stage, anyStages as stages } from './anyLayers.ts';

const check = (layers: FoundLayer[], over: PlannedStage[]) =>
  layerCheckOf({ panels: [{ name: 'door', found: layers }], stages: over });
const worst = (layers: FoundLayer[], over: PlannedStage[]): PairOutcome =>
  severest(check(layers, over).pairs.map(({ outcome }) => outcome));
const withTop = (layers: FoundLayer[], change: Partial<LayerTests>): FoundLayer[] => {
  const top = layers.at(-1)!;
  const { patch: _, ...tests } = top.tests ?? {};
  return [...layers.slice(0, -1), { ...top, tests: { ...tests, ...change } }];
};
const RUNS = { numRuns: 1500 };

describe('layerCheck', () => {
  it('a worse rub or tape is never milder', () => {
    fc.assert(
      fc.property(found, stages, (layers, over) => {
        const rubs = (['nothing', 'tacky', 'wrinkles'] as const).map((rub) =>
          worst(withTop(layers, { rub }), over),
        );
        // Rubbed and not taped is unknown still: a tape tells the rest of them apart.
        const tapes = (['holds', 'edge', 'comesOff'] as const).map((tape) =>
          worst(withTop(layers, { tape }), over),
        );
        for (const told of [rubs, tapes])
          told
            .slice(1)
            .forEach((worse, i) => expect(severer(worse, told[i]!)).toBeGreaterThanOrEqual(0));
      }),
      RUNS,
    );
  });

  it('what nobody knows is never milder than the best result, and unknown until told', () => {
    fc.assert(
      fc.property(stages, fc.constantFrom(...GRITS), (over, lastGrit) => {
        const old: FoundLayer = { history: 'unknownOld', lastGrit };
        const untold = worst([old], over);
        const best = worst([{ ...old, tests: { rub: 'nothing', tape: 'holds' } }], over);
        expect(severer(untold, best)).toBeGreaterThanOrEqual(0);
        expect(check([old], over).pairs[0]!.outcome).toBe('unknown');
        expect(worst([{ ...old, tests: { rub: 'nothing' } }], over)).toBe('unknown');
      }),
      RUNS,
    );
  });

  it('a stage on top changes no pair below it', () => {
    fc.assert(
      fc.property(found, stages, stage, (layers, over, more) => {
        const grown = [...over, { ...more, name: 'on top' }];
        expect(check(layers, grown).pairs.slice(0, over.length)).toEqual(check(layers, over).pairs);
      }),
      RUNS,
    );
  });

  it('a barrier that itself holds worsens nothing above it', () => {
    const barrier: PlannedStage = { name: 'barrier', stage: 'sealer', carrier: 'waterborne' };
    fc.assert(
      fc.property(found, stages, (layers, over) => {
        const shut = check(layers, [barrier, ...over]).pairs;
        fc.pre(severer(shut[0]!.outcome, 'noHold') < 0);
        const open = check(layers, over).pairs;
        // The first coat hangs on its own key, which the barrier gives it.
        open.forEach(({ outcome }, i) =>
          expect(severer(shut[i + 1]!.outcome, outcome)).toBeLessThanOrEqual(0),
        );
      }),
      RUNS,
    );
  });

  it('what the tape takes off always stops', () => {
    fc.assert(
      fc.property(found, stages, (layers, over) => {
        const { verdicts, liftRisk } = check(withTop(layers, { tape: 'comesOff' }), over);
        expect(verdicts.some(({ level }) => level === 'stop')).toBe(true);
        expect(liftRisk).toBe('likely');
      }),
      RUNS,
    );
  });

  it('every panel meets the stages of its scope, and says so once', () => {
    fc.assert(
      fc.property(found, stages, fc.constantFrom(...SCOPES), (layers, over, scope) => {
        const panel = { name: 'door', scope, found: layers };
        const { pairs, liftRisk, verdicts } = layerCheckOf({ panels: [panel], stages: over });
        expect(pairs.map(({ above }) => above)).toEqual(
          stagesOf(panel, over).map(({ name }) => name),
        );
        if (scope === 'leave') expect(verdicts).toEqual([]);
        if (scope === 'clearOnly')
          for (const { above } of pairs)
            expect(over.find(({ name }) => name === above)!.stage).toBe('clear');
        expect(LIFT_RISKS).toContain(liftRisk);
        expect(new Set(verdicts.map(({ code }) => code)).size).toBe(verdicts.length);
      }),
      RUNS,
    );
  });
});

describe('grit', () => {
  it('a ladder falls strictly, in steps that wipe out the last, and ends in its band', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), stages, (scratch, over) => {
        const { finish } = gritUnder(over[0]!, 'factory');
        const way: Grit[] = [scratch, ...gritLadder(scratch, { finish, hides: scratch })];
        way.slice(1).forEach((grit, i) => {
          expect(GRAIN_UM[grit]).toBeLessThan(GRAIN_UM[way[i]!]);
          expect(GRAIN_UM[way[i]!] / GRAIN_UM[grit]).toBeLessThanOrEqual(1.75);
        });
        expect(GRAIN_UM[way.at(-1)!]).toBeLessThanOrEqual(GRAIN_UM[finish[0]]);
        if (way.length > 1)
          expect(GRAIN_UM[way.at(-1)!]).toBeGreaterThanOrEqual(GRAIN_UM[finish[1]]);
      }),
    );
  });

  it('what was finished as asked holds and hides', () => {
    fc.assert(
      fc.property(
        stages,
        fc.constantFrom(...HISTORIES),
        fc.constantFrom(...SCOPES),
        (over, below, scope) => {
          const band = gritUnder(over[0]!, below, scope);
          for (const grit of band.finish) expect(keyFault(grit, band)).toBeUndefined();
          expect(keyFault(undefined, band)).toBe('glossy');
        },
      ),
    );
  });

  it('goes by the sheet where it prints one', () => {
    const next = { name: 'Base', stage: 'base', carrier: 'solvent' } as const;
    expect(gritUnder({ ...next, sheetGrit: ['P800', 'P1000'] }, 'factory').finish).toEqual([
      'P800',
      'P1000',
    ]);
  });
});
