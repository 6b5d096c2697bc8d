/**
 * Facts of a class of paint or gun stand in core/trade, a file a class; a table of them anywhere
 * else is a second word.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { GUN_CLASSES } from '@orthochrom/core/trade/gunClasses.ts';
import { MATERIAL_CLASSES } from '@orthochrom/core/trade/materialClasses.ts';
import { STAGES } from '@orthochrom/core/trade/vocabulary.ts';
import { describe, expect, it } from 'vitest';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
const HOME = 'packages/core/src/trade/';
const sources = ['core', 'contract', 'server', 'web'].flatMap((name) => {
  const folder = path.join(root, 'packages', name, 'src');
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file))
    .map((file) => path.join('packages', name, 'src', file));
});
/** What a class is called is a word, and stands with the words: all of them, or it does not compile. */
const NAMES = 'packages/contract/src/words/tradeWords.ts';
const elsewhere = sources.filter((file) => !file.startsWith(HOME) && file !== NAMES);

/** Single stage is a stage of the job as well: what is said of that is no table of classes. */
const isStage = (name: string) => (STAGES as readonly string[]).includes(name);
const CLASSES = [...MATERIAL_CLASSES, ...GUN_CLASSES].filter((name) => !isStage(name));
const anyClass = `(${CLASSES.join('|')})`;
const TABLE = /\bRecord<\s*(MaterialClass|GunClass)\b/;
/** `=== 'airbrush'`, `case 'airbrush':` and a table by hand, `airbrush: 3`. */
const CHOICE = new RegExp(`[!=]==? '${anyClass}'|'${anyClass}' [!=]==?|case '${anyClass}'`);
const ENTRY = new RegExp(`^\\s*'?${anyClass}'?: `);

const linesWith = (files: string[], pattern: RegExp) =>
  files.flatMap((file) =>
    readFileSync(path.join(root, file), 'utf8')
      .split('\n')
      .map((line, i) => ({ at: `${file}:${i + 1}`, line }))
      .filter(({ line }) => pattern.test(line))
      .map(({ at, line }) => `${at} ${line.trim()}`),
  );

describe('a class of paint or gun', () => {
  it('has no table outside its home', () => expect(linesWith(elsewhere, TABLE)).toEqual([]));
  it('decides nothing by its name outside its home', () =>
    expect(linesWith(elsewhere, CHOICE)).toEqual([]));
  it('has no entry in a table written by hand', () =>
    expect(linesWith(elsewhere, ENTRY)).toEqual([]));

  it('has a file of its own', () => {
    for (const [folder, classes] of [
      ['materials', MATERIAL_CLASSES],
      ['guns', GUN_CLASSES],
    ] as const)
      expect(readdirSync(path.join(root, HOME, folder)).sort()).toEqual(
        classes.map((name) => `${name}.ts`).sort(),
      );
  });

  it('would be caught: the guard knows what it looks for', () => {
    expect(CHOICE.test(`if (gun.class === 'airbrush') return 1;`)).toBe(true);
    expect(TABLE.test('const X: Record<GunClass, number> = {')).toBe(true);
    expect(ENTRY.test('  solventBase: 0.4,')).toBe(true);
  });
});

describe('a constant of nature or agreement', () => {
  const PHYSICAL = 'packages/core/src/units/physical.ts';
  /** Its digits, as far as anybody would round them. */
  const DIGITS = readFileSync(path.join(root, PHYSICAL), 'utf8')
    .split('\n')
    .flatMap((line) => /^export const [A-Z_0-9]+ = (\d[\d_.]+);/.exec(line)?.[1] ?? [])
    .filter((digits) => digits.replace(/\D/g, '').length > 3)
    .map((digits) => digits.slice(0, 6).replace(/[._]/g, '[._]?'));
  const COMMENT = /^\s*(\*|\/\*|\/\/)/;
  it.each(DIGITS)('%s stands once', (digits) => {
    const found = linesWith(
      sources.filter((file) => file !== PHYSICAL && !file.includes('/migrations/')),
      new RegExp(`(?<![\\d.])${digits}`),
    );
    expect(found.filter((line) => !COMMENT.test(line.slice(line.indexOf(' ') + 1)))).toEqual([]);
  });
  it('is looked for by its digits', () => expect(DIGITS.length).toBeGreaterThan(5));
});

describe('the vocabulary', () => {
  const anyStage = `'(${STAGES.join('|')})'`;
  /** A union written out again is a second list: `'primer' | 'sealer' | …`. */
  const UNION = new RegExp(`${anyStage} \\| ${anyStage} \\| `);
  it('of stages is written once', () => expect(linesWith(elsewhere, UNION)).toEqual([]));
});
