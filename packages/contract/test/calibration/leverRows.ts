/**
 * The table of levers (docs/MODEL.md): what a painter moves, the fault that goes with it, over
 * which range.
 */
import { MATERIAL_CLASSES, type MaterialClass } from '@orthochrom/core/trade/materialClasses.ts';
import { ask } from '../../src/calculations/ask.ts';
import { coatCalculation } from '../../src/calculations/coat.ts';
import type { AnswerOf, InputOf } from '../../src/registry.ts';
import { air, set } from './changedInput.ts';
import { GRADES, type Wanted } from './rightCoats.ts';

type Input = InputOf<'coat'>;
type Answer = AnswerOf<'coat'>;
export const coat = (input: Input): Answer => ask(coatCalculation, { ...input, spread: false });
const risk = (answer: Answer, name: keyof Answer['risks']): number =>
  answer.risks[name]?.value ?? 0;

/**
 * Of a coat and the same one with a lever moved from one end to the other: never falls beyond the
 * slack.
 */
export type LeverRow = {
  lever: string;
  fault: string;
  in?: Wanted;
  at: (input: Input, share: number) => Input;
  of: (answer: Answer) => number;
  slack?: number;
};
const between = (low: number, high: number, share: number) => low + (high - low) * share;
/** The hand that lays the wanted film whatever the other knobs do. */
const oneFilm = (input: Input): Input => {
  const { gunSpeedMPerS: _, ...settings } = input.settings;
  return { ...input, settings };
};
const flashes = (input: Input, flashMinutes: number): Input => ({
  ...input,
  coats: input.coats.map(() => ({ flashMinutes })),
});
const graded = (input: Input, share: number): Input => ({
  ...input,
  material: { ...input.material, grade: GRADES[Math.min(3, Math.floor(share * 4))]! },
});
const SPEEDS = ['fast', 'medium', 'slow', 'verySlow'] as const;
const hardened = (input: Input, share: number): Input => ({
  ...input,
  material: { ...input.material, hardenerSpeed: SPEEDS[Math.min(3, Math.floor(share * 4))]! },
});
const reduced: MaterialClass[] = [
  'solventBase',
  'singleStage',
  'solventSealer',
  'epoxyPrimer',
  'buildPrimer',
];
const glossy: MaterialClass[] = ['clearMediumSolids', 'clearHighSolids', 'singleStage'];

export const LEVER_ROWS: (LeverRow & { classes?: MaterialClass[] })[] = [
  {
    // Over that, drops dry on their way: fog and dry spray take over, and peel rises a little with
    // them.
    lever: 'less air, one film',
    fault: 'peel',
    classes: glossy,
    at: (i, s) => set(oneFilm(i), { inletKPa: between(1.25, 0.4, s) * i.settings.inletKPa! }),
    of: (a) => risk(a, 'peel'),
  },
  {
    lever: 'more air',
    fault: 'fog',
    at: (i, s) => set(i, { inletKPa: between(0.4, 1.6, s) * i.settings.inletKPa! }),
    of: (a) => a.oversprayGPerMin.value,
  },
  {
    // Not epoxy: an LVLP gun's drops of it are coarse, and join sooner the finer they come.
    lever: 'more air, hand kept',
    fault: 'dry spray',
    classes: MATERIAL_CLASSES.filter((one) => one !== 'epoxyPrimer'),
    at: (i, s) => set(i, { inletKPa: between(1, 1.8, s) * i.settings.inletKPa! }),
    of: (a) => risk(a, 'drySpray'),
    slack: 0.002,
  },
  {
    lever: 'a slower hand',
    fault: 'run',
    at: (i, s) => set(i, { gunSpeedMPerS: i.settings.gunSpeedMPerS! / between(0.6, 2, s) }),
    of: (a) => a.sagMm.value,
  },
  {
    lever: 'a slower hand',
    fault: 'pop',
    at: (i, s) => set(i, { gunSpeedMPerS: i.settings.gunSpeedMPerS! / between(0.6, 2, s) }),
    of: (a) => risk(a, 'pop'),
  },
  {
    lever: 'a quicker hand',
    fault: 'dry spray',
    at: (i, s) => set(i, { gunSpeedMPerS: i.settings.gunSpeedMPerS! * between(0.6, 2, s) }),
    of: (a) => risk(a, 'drySpray'),
  },
  {
    lever: 'further off',
    fault: 'dry spray',
    at: (i, s) => set(i, { distanceMm: between(110, 320, s) }),
    of: (a) => risk(a, 'drySpray'),
  },
  {
    lever: 'steeper panel',
    fault: 'run',
    at: (i, s) => ({ ...i, panel: { ...i.panel, slopeDeg: 90 * s } }),
    of: (a) => a.sagMm.value,
  },
  {
    lever: 'shorter flash',
    fault: 'run',
    at: (i, s) => flashes(i, between(15, 1, s)),
    of: (a) => a.sagMm.value,
    slack: 0.03,
  },
  {
    lever: 'shorter flash',
    fault: 'pop',
    at: (i, s) => flashes(i, between(20, 1, s)),
    of: (a) => risk(a, 'pop'),
  },
  {
    lever: 'one coat more',
    fault: 'run',
    at: (i, s) => ({
      ...i,
      coats: Array.from({ length: 1 + Math.round(2 * s) }, () => ({ flashMinutes: 3 })),
    }),
    of: (a) => a.sagMm.value,
    slack: 1e-4,
  },
  {
    lever: 'heat sooner',
    fault: 'pop',
    in: { bakes: true },
    classes: glossy,
    at: (i, s) => ({ ...i, bake: { ...i.bake!, afterMinutes: between(30, 0, s) } }),
    of: (a) => risk(a, 'pop'),
  },
  {
    lever: 'steeper heat',
    fault: 'pop',
    in: { bakes: true },
    classes: glossy,
    at: (i, s) => ({ ...i, bake: { ...i.bake!, rampCPerMin: between(2, 20, s) } }),
    of: (a) => risk(a, 'pop'),
  },
  {
    lever: 'a slower grade',
    fault: 'later ready',
    classes: reduced,
    at: graded,
    of: (a) => a.flashReadyMinutes[0]!.value,
  },
  { lever: 'a slower grade', fault: 'run', classes: reduced, at: graded, of: (a) => a.sagMm.value },
  {
    lever: 'a quicker grade',
    fault: 'peel',
    classes: ['singleStage'],
    at: (i, s) => graded(i, 1 - s),
    of: (a) => risk(a, 'peel'),
  },
  {
    lever: 'a quicker grade',
    fault: 'dry spray',
    classes: reduced,
    at: (i, s) => graded(i, 1 - s),
    of: (a) => risk(a, 'drySpray'),
  },
  {
    lever: 'a quicker grade in the heat',
    fault: 'pop',
    in: { airC: 34 },
    classes: reduced,
    at: (i, s) => graded(i, 1 - s),
    of: (a) => risk(a, 'pop'),
    slack: 0.03,
  },
  {
    lever: 'a slower hardener',
    fault: 'later ready',
    classes: glossy,
    at: hardened,
    of: (a) => a.flashReadyMinutes.at(-1)!.value,
    slack: 1,
  },
  {
    lever: 'a slower hardener',
    fault: 'run',
    classes: glossy,
    at: hardened,
    of: (a) => a.sagMm.value,
  },
  {
    lever: 'a quicker hardener in the heat',
    fault: 'pop',
    in: { airC: 34, bakes: true },
    classes: glossy,
    at: (i, s) => hardened(i, 1 - s),
    of: (a) => risk(a, 'pop'),
    slack: 0.03,
  },
  {
    lever: 'colder, one grade',
    fault: 'later ready',
    at: (i, s) =>
      air(i, { airTemperatureC: between(32, 16, s), panelTemperatureC: between(32, 16, s) }),
    of: (a) => a.flashReadyMinutes[0]!.value,
  },
  {
    lever: 'less overlap',
    fault: 'stripes',
    classes: ['solventBase', 'waterborneBase'],
    at: (i, s) =>
      set(oneFilm({ ...i, material: { ...i.material, finish: 'metallic' } }), {
        overlapPercent: between(45, 15, s),
      }),
    of: (a) => risk(a, 'stripe'),
    slack: 0.02,
  },
  {
    lever: 'damper air',
    fault: 'mottle, wet side',
    in: { class: 'waterborneBase' },
    at: (i, s) => ({
      ...air(
        { ...i, material: { ...i.material, finish: 'silver' } },
        { relativeHumidityPercent: between(40, 95, s), airMovement: 'downdraft' },
      ),
      coats: i.coats.map(() => ({ flashMinutes: 10 })),
    }),
    of: (a) => risk(a, 'mottle'),
    slack: 0.06,
  },
  {
    lever: 'damper air',
    fault: 'pinholes',
    in: { class: 'waterborneBase' },
    at: (i, s) => air(i, { relativeHumidityPercent: between(40, 95, s) }),
    of: (a) => risk(a, 'pinhole'),
  },
  {
    lever: 'damper air',
    fault: 'blush',
    classes: ['solventBase', 'singleStage', 'clearMediumSolids'],
    at: (i, s) => air(i, { relativeHumidityPercent: between(40, 95, s) }),
    of: (a) => risk(a, 'blush'),
  },
  {
    lever: 'drier air',
    fault: 'dry spray over water',
    in: { class: 'waterborneBase' },
    at: (i, s) => ({
      ...air(i, {
        airTemperatureC: 34,
        panelTemperatureC: 34,
        relativeHumidityPercent: between(70, 10, s),
      }),
      panel: { ...i.panel, lapSeconds: 60 },
    }),
    of: (a) => risk(a, 'drySpray'),
  },
  {
    lever: 'a longer round',
    fault: 'dry spray',
    at: (i, s) => ({ ...i, panel: { ...i.panel, lapSeconds: between(5, 900, s) } }),
    of: (a) => risk(a, 'drySpray'),
  },
];
