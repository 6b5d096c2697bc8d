/** The lint is held by planted violations: one a package, and the units. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';
import { describe, expect, it } from 'vitest';
import { looksLikeUnit, unitOf } from '../lint/unit-suffix.js';

const root = new URL('../..', import.meta.url).pathname;
const eslint = new ESLint({ cwd: root });

/** Rules that a text would break if it stood in this file. */
async function broken(text: string, filePath: string): Promise<string[]> {
  const [result] = await eslint.lintText(text, { filePath });
  return [...new Set(result!.messages.map(({ ruleId }) => ruleId ?? 'parse'))];
}

describe('planted violations are found', () => {
  it.each([
    [
      'a clock in core',
      'export const now = () => Date.now();',
      'packages/core/src/air/climate.ts',
      'no-restricted-globals',
    ],
    [
      'chance in core',
      'export const luck = () => Math.random();',
      'packages/core/src/air/climate.ts',
      'no-restricted-properties',
    ],
    [
      'Node in core',
      "import fs from 'node:fs';\nexport const read = fs;",
      'packages/core/src/air/climate.ts',
      'no-restricted-imports',
    ],
    [
      'the contract in core',
      "import { ask } from '@orthochrom/contract/registry.ts';\nexport const asks = ask;",
      'packages/core/src/air/climate.ts',
      'no-restricted-imports',
    ],
    [
      'the server in the contract',
      "import { createApp } from '@orthochrom/server/app.ts';\nexport const app = createApp;",
      'packages/contract/src/registry.ts',
      'no-restricted-imports',
    ],
    [
      'the screen in the server',
      "import { useState } from 'react';\nexport const state = useState;",
      'packages/server/src/app.ts',
      'no-restricted-imports',
    ],
    [
      'Node in the web',
      "import os from 'node:os';\nexport const where = os;",
      'packages/web/src/theme.ts',
      'no-restricted-imports',
    ],
    [
      'a unit given as another',
      'export const set = (inletBar: number) => ({ inletKPa: inletBar });',
      'packages/core/src/air/climate.ts',
      'units/suffix',
    ],
    [
      'units added',
      'export const sum = (wetFilmUm: number, lengthMm: number) => wetFilmUm + lengthMm;',
      'packages/core/src/air/climate.ts',
      'units/suffix',
    ],
    [
      'a public function that says nothing of itself',
      'export const twice = (airC: number) => airC * 2;',
      'packages/core/src/air/climate.ts',
      'jsdoc/require-jsdoc',
    ],
    [
      'a unit nobody knows',
      'export type Hose = { stiffnessNm: number };',
      'packages/core/src/air/climate.ts',
      'units/suffix',
    ],
    [
      'units compared',
      'export const hot = (air: { airC: number }, limitF: number) => air.airC > limitF;',
      'packages/core/src/air/climate.ts',
      'units/suffix',
    ],
  ])('%s', async (_, text, file, rule) => {
    expect(await broken(text, file)).toContain(rule);
  });

  it('and what is right is let be', async () => {
    expect(
      await broken(
        '/** Warmer by. */\nexport const rise = (fromC: number, toC: number): number => toC - fromC;\n',
        'packages/core/src/air/climate.ts',
      ),
    ).toEqual([]);
    expect(
      await broken(
        '/** At the wall. */\nexport const wall = (inletPa: number): { wallKPa: number } => ({ wallKPa: inletPa / 1000 });\n',
        'packages/core/src/air/climate.ts',
      ),
    ).toEqual([]);
  });
});

describe('rules that ask for the types behind a name', () => {
  const { rules } = JSON.parse(readFileSync(path.join(root, '.oxlintrc.json'), 'utf8')) as {
    rules: Record<string, unknown>;
  };
  /** Rules that a text breaks where it stands in a folder of the repository. */
  const typedFaultsOf = (text: string): string[] => {
    const folder = mkdtempSync(path.join(root, 'packages/core/test/planted-'));
    const file = path.join(folder, 'planted.ts');
    try {
      writeFileSync(file, text);
      const words = ['--type-aware', '--format=json', file];
      const said = spawnSync(path.join(root, 'node_modules/.bin/oxlint'), words, { cwd: root });
      const { diagnostics } = JSON.parse(String(said.stdout)) as {
        diagnostics: { code: string }[];
      };
      return diagnostics.map(({ code }) => code.replace(/^.*\((.*)\)$/, '$1'));
    } finally {
      rmSync(folder, { recursive: true });
    }
  };

  it('are all that the published set has, but one that takes a narrowing cast for idle', () => {
    const published = tseslint.configs.recommendedTypeCheckedOnly
      .flatMap((part) => Object.entries(part.rules ?? {}))
      .filter(([name, level]) => name.startsWith('@typescript-eslint/') && level === 'error')
      .map(([name]) => name.replace('@typescript-eslint/', 'typescript/'));
    expect(Object.keys(rules).sort()).toEqual(
      published.filter((name) => name !== 'typescript/no-unnecessary-type-assertion').sort(),
    );
  });
  it.each([
    ['a promise nobody waits for', 'const read = async () => 1;\nread();', 'no-floating-promises'],
    [
      'any, taken for a number',
      'export const n: number = JSON.parse("1");',
      'no-unsafe-assignment',
    ],
    ['async that waits for nothing', 'export const read = async () => 1;', 'require-await'],
  ])('%s', (_, text, rule) => {
    expect(typedFaultsOf(text)).toContain(rule);
  });
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
