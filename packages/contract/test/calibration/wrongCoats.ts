/**
 * One gross fault put into a coat that was right: what an able painter would shake the head at, and
 * the risks that ought to lead.
 */
import type { RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import type { InputOf } from '../../src/registry.ts';
import { air, set } from './changedInput.ts';
import { GRADES, rightCoat, type Drawn, type Wanted } from './rightCoats.ts';

type Input = InputOf<'coat'>;
export type GrossFault = {
  name: string;
  leads: readonly RiskName[];
  in: Wanted;
  spoil: (input: Input) => Input;
};

const waits = (input: Input, flashMinutes: number): Input => ({
  ...input,
  coats: input.coats.map(() => ({ flashMinutes })),
});
/** A hand that is so many times as slow lays so many times the film. */
const slower = (input: Input, times: number): Input =>
  set(input, { gunSpeedMPerS: input.settings.gunSpeedMPerS! / times });

export const GROSS_FAULTS: GrossFault[] = [
  {
    name: 'a third of the air, the hand for the film',
    leads: ['peel'],
    in: { class: 'clearMediumSolids', gun: 'hvlp', airC: 21, bakes: false },
    spoil: (input) => {
      const { gunSpeedMPerS: _, ...settings } = input.settings;
      return { ...input, settings: { ...settings, inletKPa: input.settings.inletKPa! * 0.4 } };
    },
  },
  {
    name: 'a hand half as quick on an upright, air dried',
    leads: ['run'],
    in: { class: 'clearHighSolids', bakes: false },
    spoil: (input) => slower(input, 2),
  },
  {
    name: 'the second coat at once, and a heavy one',
    leads: ['run'],
    in: { class: 'clearMediumSolids', bakes: false },
    spoil: (input) => waits(slower(input, 1.35), 1),
  },
  {
    name: 'a slow grade in the cold, half as much again',
    leads: ['run'],
    in: { class: 'singleStage', airC: 16, bakes: false },
    spoil: (input) => ({
      ...slower(input, 1.5),
      material: { ...input.material, grade: GRADES[3]!, hardenerSpeed: 'slow' },
    }),
  },
  {
    name: 'twice as far in the heat with a fast grade',
    leads: ['drySpray', 'peel'],
    in: { class: 'singleStage', airC: 32, bakes: false },
    spoil: (input) => ({
      ...set(input, { distanceMm: input.settings.distanceMm! * 2 }),
      material: { ...input.material, grade: GRADES[0]! },
    }),
  },
  {
    name: 'twice as far over base',
    leads: ['drySpray'],
    in: { class: 'solventBase', airC: 26 },
    spoil: (input) => set(input, { distanceMm: input.settings.distanceMm! * 2 }),
  },
  {
    name: 'passes that overlap by a fifth',
    leads: ['stripe'],
    in: { class: 'solventBase' },
    spoil: (input) => ({
      ...set(input, { overlapPercent: 15 }),
      material: { ...input.material, finish: 'metallic' },
    }),
  },
  {
    name: 'heat at once, and steep',
    leads: ['pop'],
    in: { class: 'clearHighSolids', bakes: true },
    spoil: (input) => ({
      ...waits(input, 4),
      bake: { ...input.bake!, afterMinutes: 1, rampCPerMin: 18, toC: 70 },
    }),
  },
  {
    name: 'metallic flooded',
    leads: ['mottle'],
    in: { class: 'solventBase', airC: 20 },
    spoil: (input) => ({
      ...slower(input, 2.6),
      material: { ...input.material, finish: 'metallic', grade: GRADES[2]! },
    }),
  },
  {
    name: 'waterborne wet in damp still air',
    leads: ['mottle', 'pinhole'],
    in: { class: 'waterborneBase', airC: 19 },
    spoil: (input) => ({
      ...air(slower(input, 1.5), { relativeHumidityPercent: 82, airMovement: 'still' }),
      material: { ...input.material, finish: 'silver' },
      coats: input.coats.map(() => ({ flashMinutes: 5 })),
    }),
  },
  {
    name: 'hot dry waterborne over a roof',
    leads: ['drySpray', 'mottle'],
    in: { class: 'waterborneBase', airC: 30 },
    spoil: (input) => ({
      ...air(input, {
        airTemperatureC: 38,
        panelTemperatureC: 38,
        relativeHumidityPercent: 14,
        airMovement: 'crossdraft',
      }),
      panel: { ...input.panel, slopeDeg: 0, lengthM: 1.7, heightM: 1.3 },
    }),
  },
  {
    name: 'a lacquer-like base in rain air on a cold panel',
    leads: ['blush'],
    in: { class: 'solventBase', airC: 19 },
    spoil: (input) => ({
      ...air(input, { relativeHumidityPercent: 88, panelTemperatureC: 17 }),
      material: { ...input.material, grade: GRADES[0]! },
    }),
  },
];

/** A coat with this fault, drawn. */
export const wrongCoat = (drawn: Drawn, fault: GrossFault): Input =>
  fault.spoil(rightCoat(drawn, fault.in).input);
