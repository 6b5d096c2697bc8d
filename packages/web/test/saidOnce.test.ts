/** Three panels with the same trouble are one line, and no trouble is lost in it. */
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { saidOnce } from '../src/verdict/saidOnce.ts';

const PANELS = ['hood', 'left door', 'roof'];
const verdict = (code: string, panel: string, message: string): WordedVerdict =>
  ({ code, level: 'caution', message, params: { panel } }) as WordedVerdict;

it('names all panels in one line, in the order they came', () => {
  const said = saidOnce(
    PANELS.map((panel) => verdict('strip-advised', panel, `Another layer on ${panel}.`)),
  );
  expect(said.map(({ params }) => params)).toEqual([{ panel: 'hood, left door, roof' }]);
});

it('leaves a sentence whose subject is the panel alone', () => {
  const said = saidOnce(
    PANELS.map((panel) => verdict('panel-over-limit', panel, `${panel} reads 80.`)),
  );
  expect(said).toHaveLength(3);
});

it('keeps every code with every panel it was said of, none twice', () => {
  const one = fc.record({
    code: fc.constantFrom('a', 'b'),
    panel: fc.constantFrom(...PANELS),
    other: fc.constantFrom('x', 'y'),
  });
  fc.assert(
    fc.property(fc.array(one), (all) => {
      const keyOf = (code: string, panel: string, other: string) => `${code}/${panel}/${other}`;
      const said = saidOnce(
        all.map(({ code, panel, other }) => ({
          ...verdict(code, panel, `On ${panel}`),
          params: { panel, other },
        })),
      ).flatMap(({ code, params }) =>
        String(params!['panel'])
          .split(', ')
          .map((panel) => keyOf(code, panel, String(params!['other']))),
      );
      expect(new Set(said).size).toBe(said.length);
      expect(new Set(said)).toEqual(
        new Set(all.map(({ code, panel, other }) => keyOf(code, panel, other))),
      );
    }),
  );
});
