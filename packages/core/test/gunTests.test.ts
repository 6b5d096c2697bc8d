/** What a gun is told by its own tests, when its care is due, and what is unlike its kind. */
import { GUNS } from '../src/trade/gunClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dueOf } from '../src/gun/care.ts';
import { implausibleFigures } from '../src/gun/plausibility.ts';
import { capFlow, capKPaAt, hornOpening } from '../src/gun/airCap.ts';
import type { Gun, GunTest } from '../src/gun/gun.ts';
import { flowOf, gunModelOf, widthOf } from '../src/gun/gunModel.ts';
import { between } from './figures.ts';
import { anyClass, base } from './cardGuns.ts';

describe('a test of the gun', () => {
  const gun: Gun = {
    class: 'hvlp',
    nozzlesMm: [1.3, 1.4],
    fullFanTurns: 2.5,
    ratedInletKPa: 138,
    capKPaAtRated: 65.5,
    ratedAirFlowLPerMin: 340,
  };
  const withTests = (tests: GunTest[]): Gun => ({
    ...gun,
    nozzleSets: [{ nozzleMm: 1.3, tests }, { nozzleMm: 1.4 }],
  });
  it('is told back by the gun at the same setting', () => {
    fc.assert(
      fc.property(
        between(40, 110),
        between(130, 260),
        between(40, 90),
        between(1.2, 2.5),
        (ml, fanWidthMm, capKPa, fanTurnsOut) => {
          const model = gunModelOf(
            withTests([
              { kind: 'cap', capKPa, inletKPa: 138, fanTurnsOut },
              { kind: 'catch', ml, seconds: 30, inletKPa: 138, fluidTurnsOut: 3, fanTurnsOut },
              { kind: 'fan', fanWidthMm, distanceMm: 150, inletKPa: 138, fanTurnsOut },
            ]),
            1.3,
            base,
          );
          const hornShare = hornOpening(fanTurnsOut, 2.5);
          expect(Math.abs(capKPaAt(model.areas, 138, hornShare) / capKPa - 1)).toBeLessThan(1e-5);
          expect(
            flowOf(model, base, {
              fluidTurnsOut: 3,
              capKPa: capKPaAt(model.areas, 138, hornShare),
            }) * 6e7,
          ).toBeCloseTo(ml * 2, 4);
          expect(
            widthOf(model, {
              distanceMm: 150,
              capKPa: capKPaAt(model.areas, 138, hornShare),
              hornShare,
            }),
          ).toBeCloseTo(fanWidthMm, 2);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('belongs to its nozzle set, and the newest of a kind rules', () => {
    const caught = (ml: number): GunTest => ({
      kind: 'catch',
      ml,
      seconds: 30,
      inletKPa: 138,
      fluidTurnsOut: 3,
      fanTurnsOut: 2.5,
    });
    const tested = withTests([caught(90), caught(60)]);
    expect(gunModelOf(tested, 1.4, base).flowFactor).toBe(1);
    expect(gunModelOf(tested, 1.3, base).flowFactor).toBeCloseTo(
      gunModelOf(withTests([caught(60)]), 1.3, base).flowFactor,
      12,
    );
  });
  it('of the air leaves what it draws at its rating as rated', () => {
    const { areas } = gunModelOf(
      withTests([{ kind: 'cap', capKPa: 58, inletKPa: 138, fanTurnsOut: 2.5 }]),
      1.3,
      base,
    );
    expect(capFlow(areas, 138, 1).airFlowM3PerS * 60_000).toBeCloseTo(340, 4);
  });
});

describe('care', () => {
  const interval = { days: 7, coats: 12 };
  it('is due by days of use or by coats, whichever comes first, and at once where it never was done', () => {
    expect(dueOf('pattern', { days: 8, coats: 1 }, interval, 30).isDue).toBe(true);
    expect(dueOf('pattern', { days: 2, coats: 12 }, interval, 30).isDue).toBe(true);
    expect(dueOf('pattern', { days: 2, coats: 3 }, interval, 30)).toMatchObject({
      isDue: false,
      daysLeft: 5,
      coatsLeft: 9,
    });
    expect(dueOf('service', undefined, interval, 1).isDue).toBe(true);
  });
  it('wears nothing on the wall: an idle or new gun is not due', () => {
    expect(dueOf('pattern', { days: 90, coats: 0 }, interval, 30).isDue).toBe(false);
    expect(dueOf('service', undefined, interval, 0).isDue).toBe(false);
  });
});

describe('a doubt about a gun', () => {
  const codes = (gun: Gun) => implausibleFigures(gun).map(({ code }) => code);
  it('asks about what is unlike its kind, and is silent about its own rating', () => {
    fc.assert(
      fc.property(anyClass, (kind) => {
        const { inletKPa, capKPa, airFlowLPerMin } = GUNS[kind];
        const nozzlesMm = [kind === 'airbrush' ? 0.5 : kind === 'mini' ? 1 : 1.4];
        expect(
          codes({
            class: kind,
            nozzlesMm,
            ratedInletKPa: inletKPa,
            capKPaAtRated: capKPa,
            ratedAirFlowLPerMin: airFlowLPerMin,
          }),
        ).toEqual([]);
      }),
    );
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], ratedInletKPa: 448 })).toEqual([
      'rated-inlet-high',
    ]);
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], ratedInletKPa: 65 })).toEqual([
      'rated-inlet-like-cap',
    ]);
    expect(codes({ class: 'hvlp', nozzlesMm: [1.3], capKPaAtRated: 138 })).toEqual([
      'rated-cap-high',
    ]);
    expect(codes({ class: 'mini', nozzlesMm: [2.2] })).toEqual(['nozzle-unlike']);
  });
});
