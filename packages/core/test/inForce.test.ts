/**
 * Whose word rules: the law before the sheet, the sheet before the leaflet, the leaflet before
 * practice, practice before the model.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capLimitOf, MEANT_AT_CAP_KPA, placeLimitFor } from '../src/inForce/capLimitOf.ts';
import { classOf } from '../src/inForce/classOf.ts';
import { filmOf } from '../src/inForce/filmOf.ts';
import { inletBandOf } from '../src/inForce/inletBandOf.ts';
import { nozzleBandOf } from '../src/inForce/nozzleBandOf.ts';
import { heatOf, timesOf } from '../src/inForce/timesOf.ts';
import { windowOf } from '../src/inForce/windowOf.ts';
import { dawnVerdicts } from '../src/inForce/airVerdictsOf.ts';
import { GUN_CLASSES, GUNS } from '../src/trade/gunClasses.ts';
import { MATERIAL_CLASSES, MATERIALS } from '../src/trade/materialClasses.ts';
import { CARRIERS, NEXT_STEPS, STAGES } from '../src/trade/vocabulary.ts';

const anyClass = fc.constantFrom(...MATERIAL_CLASSES);
const anyGunClass = fc.constantFrom(...GUN_CLASSES);
const anyStage = fc.constantFrom(...STAGES);
const anyCarrier = fc.constantFrom(...CARRIERS);
const anyBand = fc
  .tuple(fc.double({ min: 20, max: 300, noNaN: true }), fc.double({ min: 0, max: 80, noNaN: true }))
  .map(([low, wide]): [number, number] => [low, low + wide]);

describe('the class of a coat', () => {
  it('is the sheet’s word wherever it has one', () => {
    fc.assert(
      fc.property(anyStage, anyCarrier, anyClass, (stage, carrier, own) => {
        expect(classOf({ stage, carrier, class: own })).toMatchObject({
          value: own,
          source: 'sheet',
        });
      }),
    );
  });

  it('without it is of the stage and its carrier, and where no class is, says that another stands in', () => {
    for (const stage of STAGES)
      for (const carrier of CARRIERS)
        for (const highSolids of [false, true]) {
          const { value, source, reason } = classOf({ stage, carrier, highSolids });
          const facts = MATERIALS[value];
          const place = stage === 'ground' || stage === 'effect' ? 'base' : stage;
          const isOwn = facts.stage === place && facts.carrier === carrier;
          expect([source, reason.code]).toEqual(
            isOwn ? ['practice', 'class-by-stage'] : ['model', 'class-stands-in'],
          );
        }
  });

  it('every class of the trade is found by what it is', () => {
    for (const name of MATERIAL_CLASSES) {
      const { stage, carrier, isBuild, isHighSolids } = MATERIALS[name];
      expect(classOf({ stage, carrier, build: isBuild, highSolids: isHighSolids }).value).toBe(
        name,
      );
    }
    expect(classOf({ stage: 'primer', carrier: 'solvent', wetFilmUm: 90 }).value).toBe(
      'buildPrimer',
    );
    expect(classOf({ stage: 'primer', carrier: 'waterborne', wetFilmUm: 90 }).value).toBe(
      'waterborneSealer',
    );
  });
});

describe('the minutes', () => {
  it('are the sheet’s where it prints them, else the class’s, each said with its source', () => {
    fc.assert(
      fc.property(
        anyClass,
        fc.option(fc.double({ min: 3, max: 40, noNaN: true })),
        (own, flash) => {
          const { stage, carrier, usualMinutes } = MATERIALS[own];
          const sheet = { atC: 20, ...(flash === null ? {} : { flashMinutes: flash }) };
          const { before } = timesOf({ stage, carrier, class: own, sheet });
          expect(before.coat.value.minutes).toBe(flash ?? usualMinutes.flash);
          expect(before.coat.source).toBe(flash === null ? 'practice' : 'sheet');
          expect(before.bake.value.minutes).toBe(Math.max(usualMinutes.last, flash ?? 0));
          expect(before.bake.source).toBe('practice');
          for (const next of NEXT_STEPS)
            expect(before[next].value.floorMinutes).toBeLessThanOrEqual(before[next].value.minutes);
        },
      ),
    );
  });

  it('for heat are the sheet’s wherever it prints them', () => {
    expect(heatOf({ sheet: { atC: 20, bakeC: 70, bakeMinutes: 20 } })).toMatchObject({
      toC: 70,
      holdMinutes: 20,
    });
    expect(heatOf({}).toC).toBe(60);
  });

  it('of the window are nobody’s but the sheet’s', () => {
    expect(windowOf({ stage: 'base', carrier: 'solvent' }, 22)).toBeUndefined();
    const late = {
      stage: 'base',
      carrier: 'solvent',
      activated: true,
      sheet: { atC: 20, maxRecoatMinutes: 600 },
    } as const;
    expect(windowOf(late, 30)!.value).toBeLessThan(600);
    expect(windowOf(late, 10)!.value).toBe(600);
  });
});

describe('the film', () => {
  it('is the sheet’s figure, else the middle of its band, else the class’s; never over its most', () => {
    fc.assert(
      fc.property(
        anyClass,
        fc.option(anyBand),
        fc.option(fc.double({ min: 10, max: 200, noNaN: true })),
        (own, band, figure) => {
          const sheet = {
            ...(band ? { wetFilmBandUm: band } : {}),
            ...(figure === null ? {} : { wetFilmUm: figure }),
          };
          const { value, source } = filmOf({ class: own, sheet });
          expect(value.aimUm).toBe(
            figure ?? (band ? (band[0] + band[1]) / 2 : MATERIALS[own].film.wetFilmUm),
          );
          expect(source).toBe(band || figure !== null ? 'sheet' : 'practice');
          expect(filmOf({ class: own, sheet, share: 0.5 }).value.aimUm).toBeCloseTo(
            value.aimUm / 2,
            9,
          );
        },
      ),
    );
  });
});

describe('the bands of a gun', () => {
  it('are the sheet’s, then the leaflet’s, then practice', () => {
    fc.assert(
      fc.property(
        anyGunClass,
        anyStage,
        anyCarrier,
        fc.option(anyBand),
        fc.option(anyBand),
        (gunClass, stage, carrier, inlet, leaflet) => {
          const coat = { gunClass, stage, carrier, isBuild: false };
          const { value, source } = inletBandOf({
            ...coat,
            ...(inlet ? { sheet: { inletKPa: inlet } } : {}),
            ...(leaflet ? { leafletKPa: leaflet } : {}),
            inletAtCap: (capKPa) => capKPa * 2,
            asOnThisGun: (inletKPa) => inletKPa,
          });
          expect(source).toBe(inlet ? 'sheet' : leaflet ? 'leaflet' : 'practice');
          if (inlet ?? leaflet) expect(value).toEqual(inlet ?? leaflet);
          expect(nozzleBandOf(coat, [1.1, 1.2])).toMatchObject({
            value: [1.1, 1.2],
            source: 'sheet',
          });
          expect(nozzleBandOf(coat).source).toBe('practice');
        },
      ),
    );
    const atCap = {
      gunClass: 'hvlp',
      stage: 'base',
      carrier: 'solvent',
      isBuild: false,
      sheet: { capKPa: [40, 60] },
    } as const;
    expect(
      inletBandOf({
        ...atCap,
        sheet: { capKPa: [40, 60] },
        leafletKPa: [90, 200],
        inletAtCap: (kPa) => kPa * 2,
        asOnThisGun: (kPa) => kPa,
      }),
    ).toMatchObject({
      value: [80, 120],
      source: 'sheet',
    });
  });

  it('at the cap bind where a law is; else what the kind is meant for is a caution, or nothing', () => {
    for (const gunClass of GUN_CLASSES) {
      expect(capLimitOf(gunClass, 55)).toMatchObject({ value: 55, source: 'law' });
      expect(capLimitOf(gunClass, undefined)?.source).toBe(
        GUNS[gunClass].isBoundAtCap ? 'practice' : undefined,
      );
      expect(placeLimitFor(gunClass, MEANT_AT_CAP_KPA)).toBe(
        GUNS[gunClass].isBoundAtCap ? MEANT_AT_CAP_KPA : undefined,
      );
    }
  });
});

it('dawn is only where nobody heats', () => {
  expect(dawnVerdicts(400, { sunriseMinute: 420, heated: false }).map(({ code }) => code)).toEqual([
    'dawn-dew',
  ]);
  expect(dawnVerdicts(400, { sunriseMinute: 420, heated: true })).toEqual([]);
  expect(dawnVerdicts(700, { sunriseMinute: 420 })).toEqual([]);
});

describe('the floor under a wait', () => {
  const shareOf = (minutes?: { flashMinutes: number; minFlashMinutes?: number }) => {
    const sheet = minutes && { atC: 21, ...minutes };
    const layer = { stage: 'base' as const, carrier: 'solvent' as const, sheet };
    const { minutes: wait, floorMinutes } = timesOf(layer).before.coat.value;
    return floorMinutes / wait;
  };
  it("is the sheet's least where it prints one, and no more than the wait itself", () => {
    expect(shareOf({ flashMinutes: 10, minFlashMinutes: 7 })).toBeCloseTo(0.7);
    expect(shareOf({ flashMinutes: 10, minFlashMinutes: 14 })).toBe(1);
  });
  it('is half of the wait where nobody prints it', () => {
    expect(shareOf({ flashMinutes: 10 })).toBe(0.5);
    expect(shareOf()).toBe(0.5);
  });
});
