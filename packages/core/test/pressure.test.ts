import type { SetupInput } from '../src/gun/setupInput.ts';
import type { GunClass } from '../src/trade/gunClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { topcoatGun as gun } from './topcoatGun.ts';
import { airlineOf, type Line } from '../src/compressedAir/airline.ts';
import { airFlowOf, gunModelOf } from '../src/gun/gunModel.ts';
import { pressureOf } from '../src/gun/pressure.ts';
import type { PressureInput } from '../src/gun/reading.ts';
import { setupOf } from '../src/gun/setup.ts';
import { between } from './figures.ts';

const hosed: Line = {
  hose: { innerDiameterMm: 9.5, lengthM: 12 },
  couplers: [{ kind: 'highFlow', count: 2 }],
};
const codes = (answer: { verdicts: { code: string }[] }) => answer.verdicts.map(({ code }) => code);

describe('a pressure reading', () => {
  const at = (
    place: PressureInput['at'],
    value: number,
    more: Partial<PressureInput> = {},
  ): PressureInput => ({
    value,
    unit: 'kPa',
    at: place,
    flowing: 'yes',
    gun,
    airline: hosed,
    ...more,
  });
  it('at the wall and the pressure at the gun agree both ways', () => {
    fc.assert(
      fc.property(
        between(60, 400),
        fc.option(between(5, 45), { nil: undefined }),
        (wallKPa, measuredLossPercent) => {
          const airline: Line = {
            ...hosed,
            ...(measuredLossPercent === undefined ? {} : { measuredLossPercent }),
          };
          const inletKPa = pressureOf(at('wall', wallKPa, { airline })).inletKPa!.value;
          const drawn = airFlowOf(
            gunModelOf(gun, 1.3, { densityKgPerM3: 1000, viscosityPaS: 0.05 }),
            inletKPa,
            2.5,
          );
          const back = airlineOf({
            ...airline,
            wantedInletKPa: inletKPa,
            airFlowLPerMin: drawn,
          }).regulatorFlowingKPa;
          expect(Math.abs(back / wallKPa - 1)).toBeLessThan(1e-5);
          expect(inletKPa).toBeLessThan(wallKPa);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('at the cap and at the gun agree both ways', () => {
    fc.assert(
      fc.property(between(60, 240), between(0.5, 2.5), (inletKPa, fanTurnsOut) => {
        const capKPa = pressureOf(at('inlet', inletKPa, { fanTurnsOut })).capKPa!.value;
        expect(
          Math.abs(pressureOf(at('cap', capKPa, { fanTurnsOut })).inletKPa!.value / inletKPa - 1),
        ).toBeLessThan(1e-5);
      }),
    );
  });
  it('at rest, at an unknown place, or by a gauge nobody trusts is never evidence', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('wall', 'inlet', 'cap', 'unknown' as const),
        fc.constantFrom('yes', 'no', 'unknown' as const),
        fc.constantFrom('good', 'doubtful', 'none' as const),
        between(20, 300),
        (place, flowing, gaugeTrust, value) => {
          const answer = pressureOf(at(place, value, { flowing, gaugeTrust }));
          const isEvidence = flowing === 'yes' && place !== 'unknown' && gaugeTrust === 'good';
          expect(answer.usable).toBe(isEvidence);
          if (flowing !== 'yes' || place === 'unknown') expect(answer.inletKPa).toBeUndefined();
          if (!isEvidence) expect(answer.verdicts.length).toBeGreaterThan(0);
        },
      ),
    );
  });
  it('at the wall says nothing of the gun while nobody has described the way', () => {
    const answer = pressureOf({ value: 30, unit: 'psi', at: 'wall', flowing: 'yes', gun });
    expect(answer).toMatchObject({ usable: false });
    expect(answer.inletKPa).toBeUndefined();
  });
  it('is asked about when it looks like another of the five', () => {
    expect(pressureOf(at('inlet', 65, { stage: 'clear' })).asks[0]?.code).toBe('is-it-the-cap');
    expect(pressureOf(at('inlet', 448, { stage: 'clear' })).asks[0]?.code).toBe('is-it-the-wall');
    expect(
      pressureOf(at('inlet', 448, { stage: 'clear' })).verdicts.map(({ code, level }) => [
        code,
        level,
      ]),
    ).toContainEqual(['inlet-over-gun', 'stop']);
    expect(pressureOf(at('inlet', 150, { stage: 'clear' })).asks).toEqual([]);
  });
  it('is left alone when it is within half a step of what is wanted', () => {
    expect(pressureOf(at('inlet', 150, { wantedInletKPa: 152 })).changeKPa).toBe(0);
    expect(pressureOf(at('inlet', 150, { wantedInletKPa: 160 })).changeKPa).toBeCloseTo(10, 9);
  });
  it.each(['wall', 'inlet'] as const)(
    'read at the %s, a drop of 3 psi is healthy and one of 15 is not',
    (place) => {
      const { airline: _, ...unknownLine } = at(place, 200);
      const drop = (psi: number) => pressureOf({ ...unknownLine, restValue: 200 + psi * 6.895 });
      expect(drop(3).reasons.map(({ code }) => code)).toContain('drop-healthy');
      expect(codes(drop(3))).not.toContain('supply-drops');
      expect(codes(drop(15))).toContain('supply-drops');
      expect(drop(15).reasons.map(({ code }) => code)).not.toContain('drop-healthy');
    },
  );
  it('that falls further than this line should names the supply', () => {
    expect(
      pressureOf(at('wall', 200, { restValue: 220 })).reasons.map(({ code }) => code),
    ).toContain('drop-as-it-should');
    expect(
      pressureOf(at('wall', 200, { restValue: 300 })).reasons.map(({ code }) => code),
    ).toContain('drop-too-much');
  });
});

describe('a set-up, grown by the gun', () => {
  const clear: SetupInput = {
    gun,
    stage: 'clear',
    carrier: 'solvent',
    place: 'booth',
    part: 'largePanel',
    hardener: 'isocyanate',
    airline: hosed,
    panelLengthM: 1.2,
  };
  it('keeps the cap at or under a legal limit, whatever the fan', () => {
    fc.assert(
      fc.property(
        between(40, 90),
        between(0, 1.5),
        fc.constantFrom('hvlp', 'mini' as GunClass),
        (capLimitKPa, fanBackTurns, kind) => {
          const answer = setupOf({
            ...clear,
            gun: { ...gun, class: kind },
            capLimitKPa,
            way: { fanBackTurns },
          });
          expect(answer.capKPa).toBeLessThanOrEqual(capLimitKPa + 1e-6);
          expect(codes(answer)).not.toContain('cap-over-legal-limit');
        },
      ),
    );
  });
  it('shows the wall over the gun, and more of it at rest', () => {
    const { inletKPa, regulatorFlowingKPa, regulatorStaticKPa } = setupOf(clear);
    expect(regulatorFlowingKPa!).toBeGreaterThan(inletKPa);
    expect(regulatorStaticKPa!).toBeGreaterThan(regulatorFlowingKPa!);
  });
  it('asks of the hand what lays the film: a pass over the panel takes its length over the speed', () => {
    const { gunSpeedMPerS, secondsPerPass, stepMm, fanWidthMm, overlapPercent } = setupOf(clear);
    expect(secondsPerPass! * gunSpeedMPerS).toBeCloseTo(1.2, 9);
    expect(stepMm).toBeCloseTo(fanWidthMm * (1 - overlapPercent / 100), 9);
    expect(gunSpeedMPerS).toBeGreaterThan(0.2);
    expect(gunSpeedMPerS).toBeLessThan(0.85);
  });
  it('is surer of what was tested, and its own catch moves its paint', () => {
    const tested = setupOf({
      ...clear,
      gun: {
        ...gun,
        calibration: [
          {
            kind: 'catch',
            ml: 40,
            seconds: 30,
            inletKPa: 160,
            fluidTurnsOut: 2.75,
            fanTurnsOut: 2.25,
          },
        ],
      },
    });
    const untested = setupOf(clear);
    const share = ({ low, high, value }: { low: number; high: number; value: number }) =>
      (high - low) / value;
    expect(share(tested.ranges.fluidMlPerMin)).toBeLessThan(share(untested.ranges.fluidMlPerMin));
    expect(tested.fluidMlPerMin).not.toBeCloseTo(untested.fluidMlPerMin, 0);
    expect(codes(untested)).toContain('test-panel-first');
    expect(codes(tested)).not.toContain('test-panel-first');
  });
  it('stops where the supply cannot hold the wall', () => {
    expect(codes(setupOf({ ...clear, airline: { ...hosed, supplyKPa: 150 } }))).toContain(
      'supply-too-low',
    );
  });
  it('sets fan and fluid together: a mist coat wide and little, a jamb narrow, a spot all three down', () => {
    const panel = setupOf(clear);
    const mist = setupOf({ ...clear, mist: true });
    expect(mist.fanTurnsOut).toBeGreaterThanOrEqual(panel.fanTurnsOut);
    expect(mist.fluidTurnsOut).toBeLessThan(panel.fluidTurnsOut);
    expect(mist.wetFilmUm).toBeLessThan(panel.wetFilmUm);
    const jamb = setupOf({ ...clear, part: 'jamb' });
    expect(jamb.fanWidthMm).toBeLessThan(panel.fanWidthMm / 1.5);
    const spot = setupOf({ ...clear, part: 'spot' });
    for (const knob of ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut'] as const)
      expect(spot[knob]).toBeLessThan(panel[knob]);
    const left = { fanTurnsOut: 2.5, fluidTurnsOut: 1, part: 'largePanel' as const, mist: true };
    expect(codes(setupOf({ ...clear, knobsNow: left }))).toContain('knobs-need-reset');
    expect(codes(setupOf({ ...clear, mist: true, knobsNow: left }))).not.toContain(
      'knobs-need-reset',
    );
  });
});
