import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { topcoatGun as gun } from './topcoatGun.ts';
import type { Settings } from '../src/gun/gun.ts';
import { PATTERNS, BURST_SYMPTOMS, type PatternSymptom } from '../src/gun/patternSymptoms.ts';
import { tuneOf, type TuneInput } from '../src/gun/tune.ts';
import { between } from './figures.ts';

describe('tuning', () => {
  const settings: Settings = {
    nozzleMm: 1.3,
    inletKPa: 150,
    fluidTurnsOut: 2.75,
    fanTurnsOut: 2,
    distanceMm: 150,
    overlapPercent: 70,
    gunSpeedMPerS: 0.45,
  };
  const input: TuneInput = {
    settings,
    seen: ['coarseSpots'],
    stage: 'clear',
    carrier: 'solvent',
    gun,
  };
  const anySeen = fc.uniqueArray(fc.constantFrom<PatternSymptom>(...PATTERNS, ...BURST_SYMPTOMS), {
    minLength: 1,
    maxLength: 3,
  });
  it('changes one knob, within what this gun, coat and place allow', () => {
    fc.assert(
      fc.property(
        anySeen,
        between(110, 240),
        between(0.5, 4),
        between(0.5, 2.5),
        between(90, 250),
        fc.boolean(),
        (seen, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, open) => {
          const given = { ...settings, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm };
          const answer = tuneOf({
            ...input,
            seen,
            settings: given,
            capLimitKPa: 69,
            ...(open ? { way: { needle: 'open' as const } } : {}),
          });
          for (const { knob, from, to } of answer.steps) {
            expect(to).not.toBe(from);
            if (knob === 'inletKPa' && to > from) expect(to).toBeLessThanOrEqual(193);
            // Outside its band it goes to the near end at once, and no further; inside a fifth at
            // most.
            if (knob === 'inletKPa' && from < 131) expect(to).toBeLessThanOrEqual(138);
            else if (knob === 'inletKPa' && from > 200 && to < from)
              expect(to).toBeGreaterThanOrEqual(193);
            else if (knob === 'inletKPa') expect(Math.abs(to / from - 1)).toBeLessThan(0.21);
            if (knob === 'fluidTurnsOut') {
              expect(open).toBe(false);
              expect(Math.abs(to - from)).toBeLessThanOrEqual(0.75 + 1e-9);
              expect(to).toBeLessThanOrEqual(4);
            }
            if (knob === 'fanTurnsOut') expect(to).toBeLessThanOrEqual(2.5);
          }
          const changed = (Object.keys(answer.settings) as (keyof Settings)[]).filter(
            (knob) => answer.settings[knob] !== given[knob],
          );
          expect(changed.length).toBe(answer.steps.length > 0 ? 1 : 0);
          if (answer.fault) expect(answer.steps).toEqual([]);
        },
      ),
      { numRuns: 80 },
    );
  });
  it('moves first what stands far off: half the air to its band, a gun at 90 mm further, a hand at 0.9 m/s slower', () => {
    const first = (seen: PatternSymptom, off: Partial<Settings>) =>
      tuneOf({ ...input, seen: [seen], settings: { ...settings, ...off } }).steps[0];
    expect(first('coarseSpots', { inletKPa: 69 })).toMatchObject({ knob: 'inletKPa', to: 138 });
    expect(first('runs', { distanceMm: 90 })).toMatchObject({ knob: 'distanceMm', to: 150 });
    expect(first('dry', { gunSpeedMPerS: 0.9 })).toMatchObject({ knob: 'gunSpeedMPerS' });
    expect(first('dry', { gunSpeedMPerS: 0.45, distanceMm: 230 })).toMatchObject({
      knob: 'distanceMm',
    });
  });
  it.each([
    ['coarseSpots', 'inletKPa', 1],
    ['heavyCentre', 'fanTurnsOut', 1],
    ['split', 'fluidTurnsOut', 1],
    ['dry', 'distanceMm', -1],
    ['tooWet', 'gunSpeedMPerS', 1],
    ['runs', 'gunSpeedMPerS', 1],
    ['blowBack', 'inletKPa', -1],
    ['stripes', 'overlapPercent', 1],
  ] as const)('answers %s with %s first', (seen, knob, sign) => {
    const [step] = tuneOf({ ...input, seen: [seen] }).steps;
    expect(step?.knob).toBe(knob);
    expect(Math.sign(step!.to - step!.from)).toBe(sign);
  });
  it('opens a choked fan before it asks for a quicker hand', () => {
    expect(
      tuneOf({ ...input, seen: ['runs'], settings: { ...settings, fanTurnsOut: 1 } }).steps[0],
    ).toMatchObject({
      knob: 'fanTurnsOut',
      to: 2.5,
    });
  });
  it('takes less paint when no more air is allowed', () => {
    const [step] = tuneOf({ ...input, settings: { ...settings, inletKPa: 193 } }).steps;
    expect(step).toMatchObject({ knob: 'fluidTurnsOut', from: 2.75 });
    expect(step!.to).toBeLessThan(2.75);
  });
  it('goes no further than the drops ask, and tells what it does to them', () => {
    fc.assert(
      fc.property(between(140, 170), between(1.5, 3.5), (inletKPa, fluidTurnsOut) => {
        const [step] = tuneOf({
          ...input,
          settings: { ...settings, inletKPa, fluidTurnsOut },
        }).steps;
        expect(step!.knob).toBe('inletKPa');
        expect(step!.effect!.dropsPercent).toBeLessThan(0);
        expect(step!.effect!.dropsPercent).toBeGreaterThan(-16);
      }),
      { numRuns: 30 },
    );
  });
  it('keeps the step when it comes nearer, so that the film grows little and not by half', () => {
    const [step] = tuneOf({
      ...input,
      seen: ['dry'],
      settings: { ...settings, distanceMm: 200 },
    }).steps;
    expect(step).toMatchObject({ knob: 'distanceMm', to: 160 });
    expect(step!.effect!.filmPercent).toBeGreaterThan(3);
    expect(step!.effect!.filmPercent).toBeLessThan(25);
  });
  it.each([
    ['crescent', 'cap_blocked'],
    ['oneEndHeavy', 'cap_blocked'],
    ['tilted', 'tip_worn'],
    ['flutter', 'air_in_fluid'],
    ['starved', 'vent_blocked'],
  ] as const)('sends %s to be mended', (seen, id) => {
    expect(tuneOf({ ...input, seen: [seen, 'coarseSpots'] })).toMatchObject({
      fault: { id },
      steps: [],
    });
  });
  it('names a narrow fan that stands open a fault, and opens one that does not', () => {
    expect(
      tuneOf({ ...input, seen: ['narrow'], settings: { ...settings, fanTurnsOut: 2.5 } }).fault,
    ).toEqual({
      id: 'cap_blocked',
    });
    expect(tuneOf({ ...input, seen: ['narrow'] }).steps[0]?.knob).toBe('fanTurnsOut');
  });
  it('leaves an even pattern alone', () => {
    const good = { ...settings, inletKPa: 140, fanTurnsOut: 2.5 };
    expect(tuneOf({ ...input, seen: ['even'], settings: good })).toMatchObject({
      steps: [],
      verdicts: [],
      settings: good,
    });
  });
  it('does not answer two sights that want opposite turns with either', () => {
    const knobs = tuneOf({ ...input, seen: ['coarseSpots', 'blowBack'] }).steps.map(
      ({ knob }) => knob,
    );
    expect(knobs).not.toContain('inletKPa');
  });
});
