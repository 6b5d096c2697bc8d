import { describe, expect, it } from 'vitest';
import {
  couplersOf,
  describedLine,
  draftOf,
  faultOf,
  withCouplers,
} from '../src/compressedAir/airLineDraft.ts';

const ID = '01980000-0000-7000-8000-000000000001';
const named = { ...draftOf(undefined), name: 'Booth line' };

describe('an air line as it is typed', () => {
  it('wants a name and a whole hose, and says which lacks', () => {
    expect(faultOf(draftOf(undefined), {}, ID)).toMatch(/name/);
    expect(faultOf(named, { lengthM: 10 }, ID)).toMatch(/bore and a length/);
    expect(faultOf(named, { lengthM: 10, innerDiameterMm: 9.5 }, ID)).toBeUndefined();
    expect(faultOf(named, {}, ID)).toBeUndefined();
  });

  it('a bore that no hose has is refused in words', () =>
    expect(faultOf(named, { lengthM: 10, innerDiameterMm: 900 }, ID)).toMatch(/bore|diameter/i));

  it('couplers of a kind are counted together and set on their own', () => {
    const line = { couplers: [{ kind: 'highFlow' as const, count: 1 }] };
    const both = { ...line, ...withCouplers(line, 'standard', 3) };
    expect([couplersOf(both, 'standard'), couplersOf(both, 'highFlow')]).toEqual([3, 1]);
    expect(couplersOf({ ...both, ...withCouplers(both, 'standard', 0) }, 'standard')).toBe(0);
  });

  it('is kept without couplers that are not there, and with a hose only when both are told', () => {
    const bare = { ...named, line: withCouplers(named.line, 'standard', 0) };
    expect(describedLine(bare, { lengthM: 8 }).line).toEqual({ couplers: [] });
    expect(describedLine(bare, { lengthM: 8, innerDiameterMm: 8 }).line.hose).toEqual({
      lengthM: 8,
      innerDiameterMm: 8,
    });
  });
});
