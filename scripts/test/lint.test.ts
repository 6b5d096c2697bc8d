/** The lint is held by planted violations: one a package, and the units. */
import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { looksLikeUnit, unitOf } from '../lint/unit-suffix.js';

const root = path.join(import.meta.dirname, '../..');
/** A house with the same rules, in which faults may be planted. */
const house = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-lint-'));
for (const file of ['.oxlintrc.json', 'tsconfig.json', 'tsconfig.base.json', 'package.json'])
  copyFileSync(path.join(root, file), path.join(house, file));
for (const folder of ['node_modules', 'scripts'])
  symlinkSync(path.join(root, folder), path.join(house, folder));
afterAll(() => rmSync(house, { recursive: true }));

type Diagnostic = { code: string; filename: string };
const oxlint = (...words: string[]): string =>
  String(spawnSync(path.join(root, 'node_modules/.bin/oxlint'), words, { cwd: house }).stdout);

/** Texts by the file that they stand in; answers the rules that each of them breaks. */
function broken(planted: Record<string, string>): (file: string) => string[] {
  for (const [file, text] of Object.entries(planted)) {
    mkdirSync(path.dirname(path.join(house, file)), { recursive: true });
    writeFileSync(path.join(house, file), text);
  }
  const { diagnostics } = JSON.parse(oxlint('--type-aware', '--format=json', 'packages')) as {
    diagnostics: Diagnostic[];
  };
  return (file) =>
    diagnostics
      .filter(({ filename }) => filename.endsWith(file))
      .map(({ code }) => code.replace(/^(?:eslint|typescript|react)?(.*)\((.*)\)$/, '$2'));
}

/** What is planted, in which room, and the rule that finds it. */
const FAULTS: [fault: string, text: string, room: string, rule: string][] = [
  [
    'a clock in core',
    'export const now = () => Date.now();',
    'packages/core/src/air',
    'no-restricted-globals',
  ],
  [
    'chance in core',
    'export const luck = () => Math.random();',
    'packages/core/src/air',
    'no-restricted-properties',
  ],
  [
    'Node in core',
    "import fs from 'node:fs';\nexport const read = fs;",
    'packages/core/src/air',
    'no-restricted-imports',
  ],
  [
    'the contract in core',
    "import { ask } from '@orthochrom/contract/registry.ts';\nexport const asks = ask;",
    'packages/core/src/air',
    'no-restricted-imports',
  ],
  [
    'the server in the contract',
    "import { createApp } from '@orthochrom/server/app.ts';\nexport const app = createApp;",
    'packages/contract/src',
    'no-restricted-imports',
  ],
  [
    'the screen in the server',
    "import { useState } from 'react';\nexport const state = useState;",
    'packages/server/src',
    'no-restricted-imports',
  ],
  [
    'Node in the web',
    "import os from 'node:os';\nexport const where = os;",
    'packages/web/src',
    'no-restricted-imports',
  ],
  [
    'a unit given as another',
    'export const set = (inletBar: number) => ({ inletKPa: inletBar });',
    'packages/core/src/air',
    'unit-suffix',
  ],
  [
    'units added',
    'export const sum = (wetFilmUm: number, lengthMm: number) => wetFilmUm + lengthMm;',
    'packages/core/src/air',
    'unit-suffix',
  ],
  [
    'a public function that says nothing of itself',
    'export const twice = (airC: number) => airC * 2;',
    'packages/core/src/air',
    'public-said',
  ],
  [
    'a unit nobody knows',
    'export type Hose = { stiffnessNm: number };',
    'packages/core/src/air',
    'unit-suffix',
  ],
  [
    'units compared',
    'export const hot = (air: { airC: number }, limitF: number) => air.airC > limitF;',
    'packages/core/src/air',
    'unit-suffix',
  ],
  [
    'a promise nobody waits for',
    'const read = async () => 1;\nread();',
    'packages/core/test',
    'no-floating-promises',
  ],
  [
    'any, taken for a number',
    'export const n: number = JSON.parse("1");',
    'packages/core/test',
    'no-unsafe-assignment',
  ],
  [
    'async that waits for nothing',
    'export const read = async () => 1;',
    'packages/core/test',
    'require-await',
  ],
  [
    'any by name',
    'export const n = (a: any): number => a as number;',
    'packages/core/test',
    'no-explicit-any',
  ],
  ['what nobody uses', 'const left = 1;\nexport {};', 'packages/web/src/frame', 'no-unused-vars'],
  [
    'a line over the edge of the page',
    `export const a = 1; // ${'long '.repeat(20)}`,
    'packages/web/src/frame',
    'line-width',
  ],
  [
    'a hook that is asked only sometimes',
    "import { useState } from 'react';\nexport function At({ is }: { is: boolean }) {\n  if (is) useState(1);\n  return null;\n}",
    'packages/web/src/frame',
    'rules-of-hooks',
  ],
  [
    'an effect that forgets what it stands on',
    "import { useEffect } from 'react';\nexport function Says({ text }: { text: string }) {\n  useEffect(() => {\n    document.title = text;\n  }, []);\n  return null;\n}",
    'packages/web/src/frame',
    'exhaustive-deps',
  ],
  [
    'a component that is another one at each drawing',
    'export function Page() {\n  const Row = () => <p>a</p>;\n  return <Row />;\n}',
    'packages/web/src/frame',
    'static-components',
  ],
];
/** What breaks none: a unit turned into another, with its line. */
const RIGHT = [
  '/** Warmer by. */\nexport const rise = (fromC: number, toC: number): number => toC - fromC;\n',
  '/** At the wall. */\nexport const wall = (inletPa: number): { wallKPa: number } => ({ wallKPa: inletPa / 1000 });\n',
];

/** What the linter recommends and this house does without. */
const DONE_WITHOUT: Record<string, string> = {
  'react/react-in-jsx-scope': 'the compiler brings it along',
  'typescript/no-unnecessary-type-assertion': 'takes a narrowing cast for idle',
};

it('whatever the linter recommends is on, or named with a reason', () => {
  type Rule = { scope: string; value: string; recommended: boolean };
  type Levels = Record<string, unknown>;
  const { rules, overrides } = JSON.parse(
    readFileSync(path.join(house, '.oxlintrc.json'), 'utf8'),
  ) as { rules: Levels; overrides: { rules?: Levels }[] };
  const isOn = new Set(
    [rules, ...overrides.map((one) => one.rules ?? {})]
      .flatMap((levels) => Object.entries(levels))
      .filter(([, level]) => level !== 'off')
      .map(([name]) => (name.includes('/') ? name : `eslint/${name}`)),
  );
  const off = (JSON.parse(oxlint('--rules', '--format=json')) as Rule[])
    .filter(({ scope }) => ['eslint', 'typescript', 'react'].includes(scope))
    .filter(({ scope, value, recommended }) => recommended && !isOn.has(`${scope}/${value}`))
    .map(({ scope, value }) => `${scope}/${value}`);
  expect(off.sort()).toEqual(Object.keys(DONE_WITHOUT).sort());
  expect(isOn.size).toBeGreaterThan(100);
});

describe('planted violations are found', () => {
  const fileOf = (room: string, at: number) => `${room}/planted${at}.tsx`;
  const right = 'packages/core/src/air/right';
  const rulesIn = broken({
    ...Object.fromEntries(FAULTS.map(([, text, room], i) => [fileOf(room, i), text])),
    ...Object.fromEntries(RIGHT.map((text, i) => [`${right}${i}.ts`, text])),
  });
  it.each(FAULTS.map(([fault, , room, rule], i) => ({ fault, file: fileOf(room, i), rule })))(
    '$fault',
    ({ file, rule }) => expect(rulesIn(file)).toContain(rule),
  );
  it.each(RIGHT.map((_, i) => `${right}${i}.ts`))('and what is right is let be: %s', (file) =>
    expect(rulesIn(file)).toEqual([]),
  );
});

it.each([
  ['inletKPa', 'KPa'],
  ['airTemperatureC', 'C'],
  ['fluidMlPerMin', 'MlPerMin'],
  ['airLPerMin', 'LPerMin'],
  ['boreM', 'M'],
  ['viscosityPaS', 'PaS'],
  ['densityKgPerM3', 'KgPerM3'],
  ['SOUND_M_PER_S', 'MPerS'],
  ['GAS_CONSTANT_J_PER_MOL_K', 'JPerMolK'],
  ['latestMinute', 'Minutes'],
  ['unitOf', undefined],
  ['C', undefined],
])('reads the unit of %s as %s', (name, unit) => expect(unitOf(name)).toBe(unit));

it.each([
  ['stiffnessNm', true],
  ['dosePerWeek', true],
  ['boreM', false],
  ['cellsPerCoat', false],
  ['filmFactor', false],
])('%s ends in a unit nobody knows: %s', (name, isUnknown) =>
  expect(looksLikeUnit(name)).toBe(isUnknown),
);
