/** Laws of cutting: what must stay stays at every step, film only falls, soft film is not cut. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  FINISH_SEEN,
  finishOf,
  PEEL_GRADES,
  type FinishInput,
  type FinishKnowledge,
} from '../src/finish/finish.ts';
import { FINISH_TARGETS } from '../src/trade/vocabulary.ts';

/** A base of its own: laws hold for any removal that anybody measured. */
const rung = (step: string, removes: string) => ({ step, removes, condition: '' });
const LADDERS: Record<string, string[]> = {
  NIB: ['b', 'c'],
  PEEL_FINE: ['b', 'c', 'd'],
  PEEL_MED: ['a', 'b', 'c', 'd'],
  PEEL_HEAVY: ['a', 'a', 'b', 'c', 'd'],
  RUN: ['a', 'b', 'd'],
};
const anyBand = fc
  .tuple(fc.double({ min: 0.1, max: 5, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }))
  .map(([low, more]): [number, number] => [low, low + more]);
const anyKnowledge = fc
  .record({ a: anyBand, b: anyBand, c: anyBand, d: anyBand })
  .map((removalUm): FinishKnowledge => ({
    film: {
      leaveAtLeastUm: 40,
      singleStageLeaveAtLeastUm: 35,
      marginUm: 5,
      estimateFactor: 0.85,
      removalUm,
    },
    ladders: Object.fromEntries(
      Object.entries(LADDERS).map(([name, keys]) => [
        name,
        { steps: keys.map((key, i) => rung(`${name} ${i}`, key)) },
      ]),
    ),
  }));
const anyInput: fc.Arbitrary<FinishInput> = fc.record({
  seen: fc.constantFrom(...FINISH_SEEN),
  grade: fc.constantFrom(...PEEL_GRADES),
  stage: fc.constantFrom('clear' as const, 'singleStage' as const),
  measuredUm: fc.double({ min: 20, max: 120, noNaN: true }),
  target: fc.constantFrom(...FINISH_TARGETS),
  nail: fc.constantFrom('none' as const, 'notTried' as const),
  minutesSince: fc.constant(3000),
  polishMinute: fc.constant(1440),
});
const stayOf = ({ stage }: FinishInput): number => (stage === 'clear' ? 45 : 40);
const holds = (law: (input: FinishInput, knowledge: FinishKnowledge) => void): void =>
  fc.assert(fc.property(anyInput, anyKnowledge, law));

it('what must stay stays at every step that is offered, and film only falls', () => {
  holds((input, knowledge) => {
    let before: [number, number] = [input.measuredUm!, input.measuredUm!];
    for (const { leftUm } of finishOf(input, knowledge).steps) {
      expect(leftUm[0]).toBeGreaterThanOrEqual(stayOf(input) - 1e-6);
      expect(leftUm[0]).toBeLessThanOrEqual(leftUm[1]);
      expect(leftUm[0]).toBeLessThan(before[0]);
      expect(leftUm[1]).toBeLessThan(before[1]);
      before = leftUm;
    }
  });
});

it('more film never takes a step away', () => {
  holds((input, knowledge) => {
    const more = finishOf({ ...input, measuredUm: input.measuredUm! + 20 }, knowledge);
    expect(more.steps.length).toBeGreaterThanOrEqual(finishOf(input, knowledge).steps.length);
  });
});

it('an estimate never allows what the same film measured would not', () => {
  holds(({ measuredUm, ...input }, knowledge) => {
    const estimated = finishOf({ ...input, estimatedUm: measuredUm }, knowledge);
    if (estimated.steps.length === 0) return;
    expect(finishOf({ ...input, measuredUm }, knowledge).steps).toHaveLength(
      estimated.steps.length,
    );
  });
});

it('soft film is not cut, and neither is film before its date', () => {
  holds((input, knowledge) => {
    expect(finishOf({ ...input, nail: 'prints' }, knowledge).steps).toEqual([]);
    expect(finishOf({ ...input, minutesSince: 1439 }, knowledge).steps).toEqual([]);
  });
});

it('a reading after a step stands for the film, whatever was reckoned before it', () => {
  holds((input, knowledge) => {
    const { steps } = finishOf(input, knowledge);
    if (steps.length < 2) return;
    const done = [{ step: steps[0]!.step, leftUm: 200 }];
    const after = finishOf({ ...input, done }, knowledge);
    expect(after.steps.map(({ step }) => step)).toEqual(steps.slice(1).map(({ step }) => step));
    expect(after.steps[0]!.leftUm[1]).toBeGreaterThan(input.measuredUm!);
    const thin = finishOf({ ...input, done: [{ step: steps[0]!.step, leftUm: 30 }] }, knowledge);
    expect(thin.steps).toEqual([]);
  });
});
