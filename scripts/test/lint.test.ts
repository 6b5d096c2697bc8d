/** The lint is held by planted violations: one a package, and the units. */
import { ESLint } from 'eslint';
import { beforeAll, describe, expect, it } from 'vitest';
import { looksLikeUnit, unitOf } from '../lint/unit-suffix.js';

let eslint: ESLint;
beforeAll(() => {
  // In CI the typed rules would read each file from the disk, not the text that is planted here.
  process.env['TSESTREE_SINGLE_RUN'] = 'false';
  eslint = new ESLint({ cwd: new URL('../..', import.meta.url).pathname });
});

/**
 * Rules that a text would break if it stood in this file; the file must exist for the typed rules
 * to read it.
 */
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
