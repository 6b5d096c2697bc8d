/**
 * Completeness, tested like code: every code that core can say has words, its level is the
 * catalogue's, and no word is left over.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { calculationNames } from '../src/registry.ts';
import { ADVICE, DOUBTS, QUESTIONS } from '../src/words/adviceWords.ts';
import { REASONS } from '../src/words/reasonWords.ts';
import { FOLLOWS, INSTEAD } from '../src/words/leadWords.ts';
import { canonicalFigure, say } from '../src/words/say.ts';
import { leadOf, VERDICTS, verdictMessage } from '../src/words/verdictWords.ts';

const coreFolder = path.join(import.meta.dirname, '../../core/src');
const core = readdirSync(coreFolder, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => readFileSync(path.join(entry.parentPath, entry.name), 'utf8'))
  .join('\n');
const said = (pattern: RegExp): string[] => [
  ...new Set([...core.matchAll(pattern)].map(([, code]) => code!)),
];

describe('verdicts', () => {
  it.each(['go', 'caution', 'stop'] as const)(
    'said as %s have that level in the catalogue',
    (level) => {
      const codes = said(new RegExp(`\\b${level}\\(\\s*'([a-z-]+)'`, 'g'));
      expect(codes.length).toBeGreaterThan(0);
      for (const code of codes) expect(VERDICTS.get(code)?.level, code).toBe(level);
    },
  );

  it('meant for the calculations that work are all said', () => {
    const codes = said(/\b(?:go|caution|stop)\(\s*'([a-z-]+)'/g);
    const wanted = [...VERDICTS.values()]
      .filter(({ calculations }) =>
        calculations.every((name) => (calculationNames as string[]).includes(name)),
      )
      .map(({ code }) => code);
    expect(wanted.filter((code) => !codes.includes(code))).toEqual([]);
  });
});

it('every reason has words, and every word a reason', () => {
  const codes = said(/because\(\s*'([a-z-]+)'/g);
  const built = [
    'grade-for-temperature',
    'grade-nearest',
    'preference-gloss',
    'preference-speed',
    'hardener-over',
    'hardener-under',
    'reducer-over',
    'reducer-under',
    'moved-by-climate',
    'moved-by-air',
    'moved-by-film',
    'moved-by-grade',
    'sheet-minutes',
    'usual-minutes',
    'needle-open',
    'needle-metered',
    'hand-from-practice',
    'hand-from-sheet',
  ];
  expect(Object.keys(REASONS).sort()).toEqual([...new Set([...codes, ...built])].sort());
});

it('every piece of advice and every question that core names has words', () => {
  const codes = said(/code: '([a-z-]+)'/g);
  expect(
    codes.filter((code) => !(code in ADVICE) && !(code in QUESTIONS) && !(code in DOUBTS)),
  ).toEqual([]);
});

describe('what leads on', () => {
  const against = [...VERDICTS.values()].filter(({ level }) => level !== 'go');
  const fits = (template: string, words: Record<string, string>): string[] => {
    const pattern = new RegExp(`^${template.replaceAll(/\{\w+\}/g, '[a-z]+')}$`);
    return Object.keys(words).filter((code) => pattern.test(code));
  };

  it.each(against.map(({ code }) => [code]))(
    '%s says what would follow and what to do instead',
    (code) => {
      const { follows, instead } = VERDICTS.get(code)!;
      expect(fits(follows ?? '', FOLLOWS).length, 'follows').toBeGreaterThan(0);
      expect(fits(instead ?? '', INSTEAD).length, 'instead').toBeGreaterThan(0);
    },
  );
  it('is in one line, and used', () => {
    for (const text of [...Object.values(FOLLOWS), ...Object.values(INSTEAD)])
      expect(text.length, text).toBeLessThanOrEqual(125);
    const used = (key: 'follows' | 'instead', words: Record<string, string>) =>
      new Set(against.flatMap((verdict) => fits(verdict[key] ?? '', words)));
    expect(Object.keys(FOLLOWS).filter((code) => !used('follows', FOLLOWS).has(code))).toEqual([]);
    expect(Object.keys(INSTEAD).filter((code) => !used('instead', INSTEAD).has(code))).toEqual([]);
  });
  it('speaks the figures of the painter', () => {
    const { instead } = leadOf('inlet-outside-band', {
      inletKPa: 60,
      lowKPa: 131,
      highKPa: 179,
      side: 'low',
    });
    expect(instead).toEqual({
      code: 'inlet-low',
      text: 'Up to about 131 kPa, read at the gun with the trigger pulled.',
    });
    expect(
      leadOf('inlet-outside-band', { inletKPa: 260, lowKPa: 131, highKPa: 179, side: 'high' })
        .follows!.text,
    ).toMatch(/Bounce-back/);
  });
});

describe('a sentence', () => {
  it('gives each figure its unit by the ending of its name', () => {
    expect(
      verdictMessage('panel-below-dew-margin', { marginC: 1.36, dewC: 13.14, minMarginC: 3 }),
    ).toContain('1.4 °C from the dew point (13.1 °C); 3 °C is the least');
    expect(
      verdictMessage('inlet-outside-band', { inletKPa: 120.4, lowKPa: 138, highKPa: 193 }),
    ).toContain('120 kPa');
  });
  it('is not said with a hole in it', () => {
    expect(() => say('It is {airC}.', {})).toThrow(/airC/);
  });
  it("takes the painter's own figures where they are given", () => {
    expect(
      say('{airC}', { airC: 20 }, (value, name) =>
        name === 'airC' ? `${value * 1.8 + 32} °F` : canonicalFigure(value, name),
      ),
    ).toBe('68 °F');
  });
});
