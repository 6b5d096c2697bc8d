import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { percentReadings } from '../src/mix/percentReadings.ts';
import { sharesOf } from '../src/mix/recipe.ts';

const TWO_PACK = {
  parts: [
    { name: 'Paint', parts: 3, role: 'paint' as const },
    { name: 'Hardener', parts: 1, role: 'hardener' as const },
  ],
};
const mlOf = (readings: ReturnType<typeof percentReadings>) =>
  readings.map(({ ml }) => Number(ml.toFixed(1)));

describe('one figure read three ways', () => {
  it('pours 30, 40 or 44.4 ml of ten per cent into 300 and 100', () => {
    expect(mlOf(percentReadings(TWO_PACK, { percent: 10 }, 400))).toEqual([30, 40, 44.4]);
  });
  it('knows nine to one as 11.1 % of the paint and 10 % of the mix', () => {
    const readings = percentReadings(TWO_PACK, { partsToOne: 9 }, 400);
    expect(readings.map(({ percent }) => Number(percent.toFixed(1)))).toEqual([11.1, 11.1, 10]);
    // Nine parts in the cup to one is the same pour, however it is said.
    expect(readings[1]!.ml).toBeCloseTo(readings[2]!.ml, 9);
  });
  it('never pours less the wider the basis, and pours what it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.double({ min: 50, max: 3000, noNaN: true }),
        (percent, inCupMl) => {
          const [paint, soFar, mix] = percentReadings(TWO_PACK, { percent }, inCupMl);
          expect(paint!.ml).toBeLessThanOrEqual(soFar!.ml + 1e-9);
          expect(soFar!.ml).toBeLessThanOrEqual(mix!.ml + 1e-9);
          for (const { of, ml } of [paint!, soFar!, mix!]) {
            const share = sharesOf({ ...TWO_PACK, additions: [{ name: 'R', percent, of }] }).at(
              -1,
            )!;
            expect(ml / (inCupMl + ml)).toBeCloseTo(share.share, 9);
          }
        },
      ),
    );
  });
  it('leaves out a reading that leaves no paint', () => {
    const readings = percentReadings(TWO_PACK, { percent: 100 }, 400);
    expect(readings.map(({ of }) => of)).toEqual(['paint', 'mixSoFar']);
  });
});
