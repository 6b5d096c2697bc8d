import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixOf } from '../src/mix/mix.ts';
import { exposureOf } from '../src/prep/exposure.ts';
import { prepOf } from '../src/prep/prep.ts';
import { FINISHES } from '../src/trade/vocabulary.ts';

const grey = fc
  .integer({ min: 0, max: 255 })
  .map((v) => `#${v.toString(16).padStart(2, '0').repeat(3)}`);
const finish = fc.constantFrom(...FINISHES);

describe('what a colour gives away', () => {
  it('goes by the table: light flake most, middling solids least', () => {
    const of = (finish_: (typeof FINISHES)[number], colour: string) =>
      exposureOf({ stage: 'base', finish: finish_, colour });
    expect(of('silver', '#b9c0c4')).toBe(3);
    expect(of('metallic', '#23303a')).toBe(2);
    expect(of('metallic', '#b9c0c4')).toBe(3);
    expect(of('solid', '#f6f6f4')).toBe(2);
    expect(of('solid', '#2e4f45')).toBe(1);
    expect(exposureOf({ stage: 'singleStage', finish: 'solid', colour: '#2e4f45' })).toBe(2);
  });
  it('is never less in a lighter shade, nor where the code has variants', () => {
    fc.assert(
      fc.property(finish, grey, grey, (finish_, one, other) => {
        const [dark, light] = [one, other].sort();
        const of = (colour: string | undefined, variant = false) =>
          exposureOf({ stage: 'base', finish: finish_, colour, variant });
        expect(of(light!)).toBeGreaterThanOrEqual(of(dark!));
        expect(of(dark!, true)).toBeGreaterThanOrEqual(of(dark!));
      }),
    );
  });
  it('asks for a card before a white, and for none before a green', () => {
    const kinds = (colour: string) =>
      prepOf({
        panels: [{ name: 'door' }],
        stages: [{ name: 'base', stage: 'base', carrier: 'solvent', finish: 'solid', colour }],
      }).steps.map(({ kind }) => kind);
    expect(kinds('#f6f6f4')).toContain('card');
    expect(kinds('#2e4f45')).not.toContain('card');
  });
});

describe('what is told of a material as it is mixed', () => {
  const codes = (more: object) =>
    mixOf({
      recipe: { parts: [{ name: 'P', parts: 1, role: 'paint' }] },
      readyMl: 100,
      ...more,
    }).notes!.map(({ code }) => code);
  it('turns the tin of flake, and never shakes a clear', () => {
    expect(codes({ finish: 'silver' })).toContain('turn-tin-lift-flat');
    expect(codes({ finish: 'solid' })).toContain('stir-paint-first');
    expect(codes({ class: 'clearHighSolids' })).toContain('never-shake-clear');
    expect(codes({ class: 'solventBase' })).not.toContain('never-shake-clear');
  });
});
