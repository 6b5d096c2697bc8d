import { describe, expect, it } from 'vitest';
import { answerOrRefuse } from '../src/registry.ts';

const refusal = (name: string, input: unknown) => {
  const outcome = answerOrRefuse(name, input);
  if (!('error' in outcome)) throw new Error(`${name} answered`);
  return outcome.error;
};
const air = { airTemperatureC: 21, relativeHumidityPercent: 50 };

describe('bad input is told what, where, allowed and in which unit', () => {
  it.each([
    [
      'a figure out of range',
      'climate',
      { ...air, airTemperatureC: 75 },
      'out-of-range',
      ['airTemperatureC'],
    ],
    [
      'a missing field',
      'climate',
      { airTemperatureC: 20 },
      'missing-field',
      ['relativeHumidityPercent'],
    ],
    ['an unknown field', 'climate', { ...air, mood: 'good' }, 'unknown-field', ['mood']],
    [
      'a number in quotes',
      'climate',
      { ...air, airTemperatureC: '21' },
      'wrong-type',
      ['airTemperatureC'],
    ],
    [
      'null for what is not known',
      'climate',
      { ...air, panelTemperatureC: null },
      'wrong-type',
      ['panelTemperatureC'],
    ],
    [
      'what is not finite',
      'climate',
      { ...air, airTemperatureC: Infinity },
      'out-of-range',
      ['airTemperatureC'],
    ],
    [
      'a word outside its list',
      'climate',
      { ...air, airMovement: 'breezy' },
      'not-one-of',
      ['airMovement'],
    ],
    [
      'a list place in the path',
      'kit',
      {
        packs: [
          { name: 'A', ml: 10 },
          { name: 'A', ml: -1 },
        ],
        recipe: { parts: [{ name: 'A', parts: 1 }] },
      },
      'out-of-range',
      ['packs', 1, 'ml'],
    ],
    [
      'parts of nothing',
      'mix',
      { recipe: { parts: [{ name: 'A', parts: 0 }] }, readyMl: 100 },
      'out-of-range',
      ['recipe', 'parts', 0, 'parts'],
    ],
    [
      'a name twice',
      'mix',
      {
        recipe: {
          parts: [
            { name: 'A', parts: 1 },
            { name: 'A', parts: 1 },
          ],
        },
        readyMl: 100,
      },
      'contradiction',
      ['recipe', 'parts', 1, 'name'],
    ],
    [
      'per cents that leave no paint',
      'mix',
      {
        recipe: {
          paint: 'A',
          additions: [
            { name: 'B', percent: 60, of: 'finalMix' },
            { name: 'C', percent: 40, of: 'finalMix' },
          ],
        },
        readyMl: 100,
      },
      'contradiction',
      ['recipe', 'additions', 1, 'percent'],
    ],
    [
      'a tin that the recipe does not have',
      'mix',
      { recipe: { parts: [{ name: 'A', parts: 1 }] }, have: { name: 'Z', ml: 10 } },
      'not-in-recipe',
      ['have', 'name'],
    ],
    [
      'grams without a density',
      'pourCheck',
      { recipe: { parts: [{ name: 'A', parts: 1 }] }, poured: [{ name: 'A', grams: 10 }] },
      'needs-field',
      ['densitiesGPerMl', 'A'],
    ],
    [
      'colder than cold can be',
      'convert',
      { value: -300, from: 'C', to: 'F' },
      'out-of-range',
      ['value'],
    ],
    [
      'a band the wrong way round',
      'setup',
      {
        gun: { class: 'hvlp', nozzlesMm: [1.3] },
        stage: 'clear',
        carrier: 'solvent',
        place: 'booth',
        part: 'largePanel',
        sheet: { inletKPa: [190, 140] },
      },
      'contradiction',
      ['sheet', 'inletKPa', 1],
    ],
    [
      'a sheet whose waits go down',
      'recoat',
      {
        layer: {
          stage: 'base',
          carrier: 'solvent',
          sheet: { atC: 20, flashMinutes: 10, toNextMinutes: 5 },
        },
        climate: air,
        minutesSince: 0,
        next: 'coat',
      },
      'contradiction',
      ['layer', 'sheet', 'toNextMinutes'],
    ],
  ])('%s', (_, name, input, code, path) => {
    expect(refusal(name, input)).toMatchObject({ code, path });
  });

  it('with the figure, the range and the unit in the sentence', () => {
    expect(refusal('climate', { ...air, relativeHumidityPercent: 104 })).toMatchObject({
      message: 'relativeHumidityPercent is 104 %; 1 to 100 % is possible.',
      allowed: [1, 100],
      unit: '%',
      given: 104,
    });
  });

  it('the first in the order of the fields leads, the others follow', () => {
    const { path, more } = refusal('climate', {
      airTemperatureC: 99,
      relativeHumidityPercent: 0,
      airSpeedMPerS: 11,
    });
    expect(path).toEqual(['airTemperatureC']);
    expect(more?.map((other) => other.path)).toEqual([
      ['relativeHumidityPercent'],
      ['airSpeedMPerS'],
    ]);
  });
});
