/** The painter's own settings and guns as they are typed, and what the lab sends to a ticket. */
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_GUN, faultOfGun, gunDraftOf, setChanged, withSets } from '../src/guns/gunDraft.ts';
import { overridesFrom } from '../src/lab/overrides.ts';
import type { LabSetup } from '../src/lab/labSetup.ts';
import { answersAgain, openQuestions } from '../src/safety/answers.ts';
import { inOtherUnits, settingsOf } from '../src/ticket/gun/gunSettings.ts';
import { withOverride } from '../src/ticket/gun/useOverrides.ts';

const own = (chosen: number) => ({ recommended: 1, chosen, why: 'mine' });

describe('overrides', () => {
  it('keep the others when one is set, and lose only the one that is taken back', () => {
    const both = withOverride({ inletKPa: own(120) }, 'distanceMm', own(160));
    expect(both).toEqual({ inletKPa: own(120), distanceMm: own(160) });
    expect(withOverride(both, 'inletKPa', undefined)).toEqual({ distanceMm: own(160) });
    expect(withOverride(both, 'inletKPa', own(130)).inletKPa?.chosen).toBe(130);
  });
  it('change nothing of what they were made from', () => {
    const before = { inletKPa: own(120) };
    withOverride(before, 'inletKPa', undefined);
    expect(before).toEqual({ inletKPa: own(120) });
  });
  it('from the lab are only what differs from ours, each with its why', () => {
    const settings = { inletKPa: 140, distanceMm: 150, overlapPercent: 75, fanTurnsOut: 2.5 };
    const sent = overridesFrom({ settings } as unknown as LabSetup, {
      inletKPa: 138,
      distanceMm: 150,
      fanTurnsOut: 2.5,
    });
    expect(sent).toEqual({
      inletKPa: { recommended: 138, chosen: 140, why: 'tried in the spray lab' },
    });
  });
});

describe('a gun as it is typed', () => {
  it('wants a name and something it is used for before it can be saved', () => {
    expect(faultOfGun(EMPTY_GUN)).toBe('A gun needs a name.');
    expect(faultOfGun({ ...EMPTY_GUN, name: 'Wren', usedFor: ['clear'] })).toBeUndefined();
  });
  it('says in words what is out of range', () => {
    const draft = withSets({ ...EMPTY_GUN, name: 'Wren', usedFor: ['clear'] }, [{ nozzleMm: 9 }]);
    expect(faultOfGun(draft)).toMatch(/9.*3.5 mm/);
  });
  it('has always the tips of its sets, whatever is done to them', () => {
    const tips = fc.array(fc.double({ min: 0.3, max: 3, noNaN: true }), {
      minLength: 1,
      maxLength: 5,
    });
    fc.assert(
      fc.property(tips, fc.nat(4), fc.double({ min: 0.3, max: 3, noNaN: true }), (mm, at, to) => {
        const sets = setChanged(
          mm.map((nozzleMm) => ({ nozzleMm })),
          at,
          { nozzleMm: to },
        );
        const { gun } = withSets(EMPTY_GUN, sets);
        expect(gun.nozzlesMm).toEqual(gun.nozzleSets?.map(({ nozzleMm }) => nozzleMm));
        expect(sets).toHaveLength(mm.length);
      }),
    );
  });
  it('leaves its tests with the server: they are taken, never edited', () => {
    const stored = {
      id: 'g',
      version: 3,
      sets: [],
      ...EMPTY_GUN,
      gun: { ...EMPTY_GUN.gun, nozzleSets: [{ nozzleMm: 1.3, tests: [{ kind: 'catch' }] }] },
    } as unknown as StoredGun;
    expect(JSON.stringify(gunDraftOf(stored))).not.toContain('catch');
  });
});

describe('the gate asked again', () => {
  it('offers what was answered, but asks minutes and vapour of their own moment', () => {
    const kept = { extraction: 'on', vapourCleared: true, minutesSinceSpray: 20 };
    expect(answersAgain(kept)).toEqual({ extraction: 'on' });
    expect(answersAgain(undefined)).toEqual({});
  });
  it('counts the floor and the breathing air beside what the judge must have', () => {
    expect(openQuestions([], {})).toBe(1);
    expect(openQuestions([1, 2], { floor: 'clear' })).toBe(2);
    const airFed = { protection: { breathing: 'airFed' as const } };
    expect(openQuestions([], { floor: 'clear', ...airFed })).toBe(1);
    expect(openQuestions([], { floor: 'clear', ...airFed, breathingAirChecked: true })).toBe(0);
  });
});

describe('a set-up beside its cards', () => {
  it('is told in the other units, never in the one it is shown in', () => {
    expect(inOtherUnits(138, 'psi')).toBe('1.38 bar · 138 kPa');
    expect(inOtherUnits(138, 'kPa')).toBe('20 psi · 1.38 bar');
  });
  it('hands on the settings alone', () => {
    const now = { nozzleMm: 1.3, inletKPa: 138, verdicts: [], reasons: [] } as never;
    expect(settingsOf(now)).not.toHaveProperty('verdicts');
  });
});
