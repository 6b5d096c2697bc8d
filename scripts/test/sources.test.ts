/**
 * What the code cites can be followed: equation tags and section numbers to docs/MODEL.md, works to
 * docs/sources.md, decisions to their records, paths to their files. Held in both directions.
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '../..');
const read = (file: string) => readFileSync(path.join(root, file), 'utf8');
const under = (folder: string): string[] =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .map((file) => path.join(folder, file))
    .filter((file) => /\.(ts|tsx|mjs|js|c)$/.test(file) && !/node_modules|dist\//.test(file));
const code = [
  'packages/core',
  'packages/contract',
  'packages/server',
  'packages/web',
  'scripts',
  'e2e',
  'bench',
]
  .flatMap(under)
  .filter((file) => !file.endsWith('sources.test.ts'));
const comments = (file: string): string =>
  [...read(file).matchAll(/\/\*[\s\S]*?\*\/|(?<=^|\s)\/\/[^\n]*/g)]
    .map(([text]) => text)
    .join('\n')
    .replace(/\n\s*\*/g, ' ');
const core = code.filter((file) => file.startsWith('packages/core/src/'));
const model = read('docs/MODEL.md');
const sources = read('docs/sources.md');
const allIn = (text: string, pattern: RegExp): string[] =>
  [...text.matchAll(pattern)].map(([, found]) => found!);
const sorted = (names: Iterable<string>) => [...new Set(names)].sort();

const TAG = /\[[a-z]+(?:-[a-z]+)?-\d+\]/;
/** An equation ends its line with its tag, in the head of the file that works it out. */
const taggedEquations = (file: string): string[] => {
  const text = read(file);
  const head = text.slice(0, text.indexOf('*/'));
  return sorted(allIn(head, /\[([a-z]+(?:-[a-z]+)?-\d+)\]\s*$/gm));
};

describe('equation tags', () => {
  const defined = core.flatMap((file) => taggedEquations(file).map((tag) => ({ tag, file })));

  it('are of one equation each', () =>
    expect(sorted(defined.map(({ tag }) => tag))).toHaveLength(defined.length));

  it('stand in MODEL.md, all of them, and no others', () =>
    expect(sorted(allIn(model, /`\[([a-z-]+-\d+)\]`/g))).toEqual(
      sorted(defined.map(({ tag }) => tag)),
    ));

  it('are cited in the code only where they are', () => {
    const known = new Set(defined.map(({ tag }) => tag));
    const cited = core.flatMap((file) =>
      allIn(comments(file), /\[([a-z]+(?:-[a-z]+)?-\d+(?:, ?[a-z]+(?:-[a-z]+)?-\d+)*)\]/g)
        .flatMap((list) => list.split(/, ?/))
        .filter((tag) => !known.has(tag))
        .map((tag) => `${file} ${tag}`),
    );
    expect(cited).toEqual([]);
  });

  it('come with a source', () =>
    expect(
      core.filter((file) => TAG.test(read(file).split('*/')[0]!) && !/Source {2}/.test(read(file))),
    ).toEqual([]));
});

describe('works', () => {
  const keys = allIn(sources, /^\| ([a-z0-9-]+) \|/gm).filter(
    (key) => key !== 'key' && key !== '---',
  );
  const rows = Object.fromEntries(
    sources
      .split('\n')
      .flatMap((line) => (/^\| [a-z0-9-]+ \|/.test(line) ? [[line.split(' ')[1]!, line]] : [])),
  );

  it('that the code cites by their year are keyed', () => {
    const cited = code.flatMap((file) =>
      allIn(comments(file), /\b([a-z]+(?:-[a-z0-9]+)*-(?:1[89]|20)\d\d)\b/g)
        .filter((key) => !keys.includes(key))
        .map((key) => `${file} ${key}`),
    );
    expect(cited).toEqual([]);
  });

  it('are cited by key, never by name and year', () => {
    const named = core.filter((file) => /[A-Z][a-z]+,? \(?(1[89]|20)\d\d\b/.test(comments(file)));
    expect(named).toEqual([]);
  });

  it.each(keys)('%s is used where its row says', (key) => {
    const places = allIn(rows[key]!.split('|').at(-2)!, /`([^`]+)`/g);
    expect(places.length).toBeGreaterThan(0);
    for (const place of places)
      expect(
        read(place.startsWith('core/') ? place.replace('core/', 'packages/core/src/') : place),
      ).toContain(key);
  });
});

describe('sections and records', () => {
  const sections = allIn(model, /^#{2,3} (\d+(?:\.\d+)?) /gm);
  const cited = code.flatMap((file) => allIn(comments(file), /MODEL (\d+(?:\.\d+)?)/g));

  it('are numbered once', () => expect(sorted(sections)).toHaveLength(sections.length));
  it('are there where the code cites them', () =>
    expect(sorted(cited).filter((n) => !sections.includes(n))).toEqual([]));
  it('of decisions are there too', () => {
    const records = readdirSync(path.join(root, 'docs/decisions')).map((file) =>
      String(Number(file.slice(0, 4))),
    );
    const told = code.flatMap((file) => allIn(comments(file), /decision (\d+)/g));
    expect(sorted(told).filter((n) => !records.includes(n))).toEqual([]);
  });

  it('are the only documents cited: nothing that is not in this repository', () => {
    const OUTSIDE =
      /\b(WORK|FAULTS|INTAKE|ROUND|PRACTICE) [A-Z]?\d|MODEL-2|CALCULATIONS|\b[Rr]uling \d/;
    expect(code.filter((file) => OUTSIDE.test(comments(file)))).toEqual([]);
  });
});

describe('paths in the documents', () => {
  const documents = [
    'README.md',
    'docs/MODEL.md',
    'docs/ARCHITECTURE.md',
    'docs/glossary.md',
    'docs/sources.md',
  ];
  const decisions = readdirSync(path.join(root, 'docs/decisions')).map(
    (file) => `docs/decisions/${file}`,
  );
  const places = (document: string) =>
    allIn(
      read(document),
      /`((?:core|contract|server|web|e2e|scripts|packages)\/[\w./-]+\.(?:tsx?|m?js|json))`/g,
    );
  const isThere = (place: string) =>
    [
      place,
      `packages/${place}`,
      place.replace(/^(core|contract|server|web)\//, 'packages/$1/src/'),
    ].some((file) => existsSync(path.join(root, file)));

  it.each([...documents, ...decisions].filter((file) => existsSync(path.join(root, file))))(
    '%s',
    (document) =>
      // A NAME is to be filled in.
      expect(
        places(document).filter((place) => !isThere(place) && !place.includes('NAME')),
      ).toEqual([]),
  );
});
