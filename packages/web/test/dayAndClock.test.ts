/** Grades over the day, clocks and panels as they are said. */
import { expect, it } from 'vitest';
import { countdownText } from '../src/ticket/countdown.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { gradeBands } from '../src/today/dayHours.ts';

it('grades lie side by side over the day, parted in the middle of what they share', () => {
  const bands = gradeBands([
    { name: 'T-20', minC: 18, maxC: 25, speed: 'medium' },
    { name: 'T-10', minC: 13, maxC: 19, speed: 'fast' },
    { name: 'T-30', minC: 24 },
  ]);
  expect(bands.map(({ name }) => name)).toEqual(['T-10, fast', 'T-20, medium', 'T-30, slow']);
  expect(bands.map(({ toC }) => toC)).toEqual([18.5, 24.5, 90]);
  expect(bands.every((band, i) => i === 0 || band.fromC === bands[i - 1]!.toC)).toBe(true);
});

it('clocks and panels are written as they are said', () => {
  expect([0, 61_000, 3_661_000].map(countdownText)).toEqual(['00:00', '01:01', '1:01:01']);
  expect(['hood', 'leftFrontDoor', 'side covers'].map(panelName)).toEqual([
    'bonnet',
    'left front door',
    'side covers',
  ]);
});
