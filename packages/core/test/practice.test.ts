/**
 * The practice tables, held against the figures that painters say, in the units in which they say
 * them.
 */
import type { SetupInput } from '../src/gun/setupInput.ts';
import type { GunClass } from '../src/trade/gunClasses.ts';
import type { Stage } from '../src/trade/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import { classOf } from '../src/inForce/classOf.ts';
import { filmOf } from '../src/inForce/filmOf.ts';
import { practiceOf } from '../src/inForce/nozzleBandOf.ts';
import { GUNS } from '../src/trade/gunClasses.ts';
import { STAGE_PRACTICE } from '../src/trade/practice.ts';
import { setupOf } from '../src/gun/setup.ts';
import { convert } from '../src/units/convert.ts';

/** As the figures below stand, column by column. */
const CLASSES: GunClass[] = [
  'hvlp',
  'reducedPressure',
  'lvlp',
  'conventional',
  'siphon',
  'mini',
  'airbrush',
];
const inletBandKPa = (gunClass: GunClass, stage: Stage, carrier: 'solvent' | 'waterborne') =>
  practiceOf({ gunClass, stage, carrier, isBuild: false }).inletKPa;

/** psi at the inlet with the trigger pulled, class by class in the order above. */
const PSI: [Stage, 'solvent' | 'waterborne', [number, number][]][] = [
  [
    'primer',
    'solvent',
    [
      [20, 28],
      [22, 30],
      [20, 28],
      [35, 50],
      [40, 55],
      [18, 26],
      [30, 40],
    ],
  ],
  [
    'sealer',
    'solvent',
    [
      [18, 26],
      [20, 28],
      [18, 26],
      [32, 48],
      [38, 50],
      [16, 24],
      [25, 38],
    ],
  ],
  [
    'base',
    'solvent',
    [
      [15, 22],
      [18, 26],
      [15, 20],
      [30, 45],
      [35, 48],
      [14, 20],
      [20, 35],
    ],
  ],
  [
    'base',
    'waterborne',
    [
      [16, 26],
      [20, 29],
      [15, 22],
      [30, 42],
      [35, 45],
      [14, 22],
      [20, 35],
    ],
  ],
  [
    'clear',
    'solvent',
    [
      [20, 28],
      [26, 32],
      [25, 30],
      [38, 55],
      [42, 55],
      [18, 26],
      [28, 40],
    ],
  ],
  [
    'singleStage',
    'solvent',
    [
      [19, 27],
      [24, 31],
      [23, 29],
      [36, 52],
      [40, 52],
      [17, 25],
      [28, 40],
    ],
  ],
];

describe('pressure at the gun', () => {
  for (const [stage, carrier, row] of PSI)
    it.each(CLASSES.map((gunClass, i) => [gunClass, row[i]!] as const))(
      `${stage}, ${carrier}: %s`,
      (gunClass, [low, high]) => {
        const [lowKPa, highKPa] = inletBandKPa(gunClass, stage, carrier);
        expect(convert(lowKPa, 'kPa', 'psi')).toBeCloseTo(low, 0);
        expect(convert(highKPa, 'kPa', 'psi')).toBeCloseTo(high, 0);
      },
    );

  it('of ground and effect coats is that of their base', () => {
    for (const gunClass of CLASSES)
      for (const carrier of ['solvent', 'waterborne'] as const)
        for (const stage of ['ground', 'effect'] as const)
          expect(inletBandKPa(gunClass, stage, carrier)).toEqual(
            inletBandKPa(gunClass, 'base', carrier),
          );
  });
});

describe('wet film, the one table', () => {
  it.each([
    ['base', 'solvent', {}, 34],
    ['base', 'waterborne', {}, 30],
    ['clear', 'solvent', {}, 55],
    ['clear', 'solvent', { highSolids: true }, 50],
    ['singleStage', 'solvent', {}, 50],
    ['sealer', 'solvent', {}, 32],
    ['sealer', 'waterborne', {}, 35],
    ['primer', 'solvent', {}, 55],
    ['primer', 'solvent', { build: true }, 85],
  ] as const)('%s, %s %o', (stage, carrier, options, um) => {
    expect(filmOf({ class: classOf({ stage, carrier, ...options }).value }).value.aimUm).toBe(um);
  });
});

describe('nozzles', () => {
  it.each([
    ['hvlp', 'clear', 'solvent', false, 1.3],
    ['hvlp', 'base', 'waterborne', false, 1.25],
    ['hvlp', 'primer', 'solvent', true, 2],
    ['mini', 'base', 'solvent', false, 1],
    ['airbrush', 'sealer', 'waterborne', false, 0.5],
  ] as const)('%s for %s, %s holds the usual one', (gunClass, stage, carrier, build, mm) => {
    const [low, high] = practiceOf({ gunClass, stage, carrier, isBuild: build }).nozzleMm;
    expect(mm).toBeGreaterThanOrEqual(low);
    expect(mm).toBeLessThanOrEqual(high);
  });
});

it('effect and clear lap more than primer, and clear is laid wetter than base', () => {
  const { primer, sealer, base, effect, clear } = STAGE_PRACTICE;
  expect(clear.overlapPercent).toBeGreaterThan(primer.overlapPercent);
  expect(effect.overlapPercent).toBeGreaterThanOrEqual(base.overlapPercent);
  expect([base.wetness, clear.wetness, sealer.wetness]).toEqual(['medium', 'wet', 'mediumWet']);
  expect(sealer.coats).toBeLessThan(base.coats);
  expect(GUNS.lvlp.distanceMm).toBeLessThan(GUNS.hvlp.distanceMm);
  expect(GUNS.lvlp.practice.clear.needleTurnsOfFour).toBeLessThan(
    GUNS.lvlp.practice.base.needleTurnsOfFour,
  );
});

describe('a way of working', () => {
  const input: SetupInput = {
    gun: { class: 'hvlp', nozzlesMm: [1.3], fullFluidTurns: 4, fullFanTurns: 2.5 },
    stage: 'clear',
    carrier: 'solvent',
    place: 'booth',
    part: 'largePanel',
    hardener: 'none',
  };
  const way = (w: SetupInput['way']) => setupOf({ ...input, way: w });
  it.each([
    ['near is nearer', way({ distance: 'near' }).distanceMm, '<', way({}).distanceMm],
    ['far is farther', way({ distance: 'far' }).distanceMm, '>', way({}).distanceMm],
    [
      'a fan kept open is wider than one backed off',
      way({ fan: 'open' }).fanTurnsOut,
      '>',
      way({ fan: 'backedOff', fanBackTurns: 0.75 }).fanTurnsOut,
    ],
    [
      'a lap of one’s own is kept where no sheet speaks',
      way({ overlapPercentByStage: { clear: 80 } }).overlapPercent,
      '>',
      way({}).overlapPercent,
    ],
  ] as const)('%s', (_, mine, is, usual) => {
    expect(is === '<' ? mine < usual : mine > usual).toBe(true);
  });
  it('with little fog in mind takes less air and less paint, and says why', () => {
    const freeOfTheCap: SetupInput = { ...input, gun: { ...input.gun, class: 'reducedPressure' } };
    const [foggy, usual] = [setupOf({ ...freeOfTheCap, limitFog: true }), setupOf(freeOfTheCap)];
    expect(foggy.inletKPa).toBeLessThan(usual.inletKPa);
    expect(foggy.fluidTurnsOut).toBeLessThanOrEqual(usual.fluidTurnsOut);
    expect(foggy.verdicts.map(({ code }) => code)).toContain('fog-limit');
  });
  it('asks for the hardener where nobody said, and counts it as two-pack until then', () => {
    const { hardener: _, ...unsaid } = input;
    const answer = setupOf(unsaid);
    expect(answer.asks.map(({ field }) => field)).toContain('hardener');
    expect(answer.verdicts.map(({ code }) => code)).toContain('two-pack-breathing');
  });
});
