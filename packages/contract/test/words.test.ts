/**
 * Completeness, tested like code: every code that core can say has words, its level is the
 * catalogue's, and no word is left over.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { calculationNames } from '../src/registry.ts';
import { ADVICE, DOUBTS, QUESTIONS } from '../src/words/adviceWords.ts';
import { VERDICT_LEVEL } from '@orthochrom/core/outcome/codes.ts';
import { TERMS } from '../src/words/termWords.ts';
import { REASONS } from '../src/words/reasonWords.ts';
import { FOLLOWS, INSTEAD } from '../src/words/leadWords.ts';
import { canonicalFigure, say } from '../src/words/say.ts';
import { leadOf, VERDICTS, verdictMessage } from '../src/words/verdictWords.ts';

const textIn = (folder: string, isMeant: (file: string) => boolean): string =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && isMeant(entry.name))
    .map((entry) => readFileSync(path.join(entry.parentPath, entry.name), 'utf8'))
    .join('\n');
/** Where codes are said: not the lists of them. */
const core = textIn(
  path.join(import.meta.dirname, '../../core/src'),
  (file) => !/^(codes|askCodes|reasonCodes|terms)\.ts$/.test(file),
);
const contract = ['plan', 'diagnosis', 'calculations']
  .map((room) => textIn(path.join(import.meta.dirname, '../src', room), () => true))
  .join('\n');

const isSaid = (code: string): boolean =>
  [core, contract].some((text) => text.includes(`'${code}'`)) ||
  BUILT.some((pattern) => pattern.test(code));
/** Put together where they are said. */
const BUILT = [/^preference-/, /^(hardener|reducer)-(over|under)$/, /^ask-/];

describe('a code that is listed', () => {
  const all = { ...VERDICT_LEVEL, ...REASONS, ...ADVICE, ...QUESTIONS, ...DOUBTS, ...TERMS };
  // That each has words, and a verdict its level, the compiler holds; that it is said, this does.
  it('is said somewhere', () => {
    const beyondCore = [...VERDICTS.values()]
      .filter(({ calculations }) =>
        calculations.some((name) => !(calculationNames as string[]).includes(name)),
      )
      .map(({ code }) => code as string);
    expect(Object.keys(all).filter((code) => !isSaid(code) && !beyondCore.includes(code))).toEqual(
      [],
    );
  });
  it('would be missed: the look knows what it looks for', () => {
    expect(isSaid('no-such-code')).toBe(false);
    expect(isSaid('air-good')).toBe(true);
  });
});

/**
 * Core says codes and figures. A sentence, or a unit a painter reads, belongs to the contract; what
 * is thrown is for the developer.
 */
it('core speaks no English', () => {
  const bare = core
    .replaceAll(/\/\*[\s\S]*?\*\//g, '')
    .replaceAll(/(?<=^|\s)\/\/[^\n]*/g, '')
    .replaceAll(/throw new \w+\([\s\S]*?\);/g, '');
  const texts = [...bare.matchAll(/'([^'\n]*)'|`([^`]*)`/g)].map(([, plain, built]) =>
    (plain ?? built!).replaceAll(/\$\{[^}]*\}/g, ''),
  );
  const isEnglish = (text: string) =>
    /[A-Za-z]{2,} [A-Za-z]{2,}/.test(text) || / (psi|kPa|min|bar|mm|s)\b/.test(text);
  expect(texts.filter(isEnglish)).toEqual([]);
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
