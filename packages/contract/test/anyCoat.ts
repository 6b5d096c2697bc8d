/**
 * Coats drawn at random: paints with and without sheets, guns with and without leaflets, limits and
 * air.
 */
import fc from 'fast-check';
import { airVerdictsOf } from '@orthochrom/core/inForce/airVerdictsOf.ts';
import { GUN_CLASSES, GUNS } from '@orthochrom/core/trade/gunClasses.ts';
import { MATERIAL_CLASSES } from '@orthochrom/core/trade/materialClasses.ts';
import { CARRIERS, STAGES } from '@orthochrom/core/trade/vocabulary.ts';
import type { InputOf } from '../src/registry.ts';

export type Layer = InputOf<'recoat'>['layer'];
export type Climate = InputOf<'recoat'>['climate'];
export const within = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
export const maybe = <T>(arb: fc.Arbitrary<T>) => fc.option(arb, { nil: undefined });
/** Without the keys that were not drawn: a field is given or absent. */
export const given = <T extends object>(of: T) =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]: NonNullable<T[K]>;
  };

export const anyClimate: fc.Arbitrary<Climate> = fc
  .record({
    airC: within(8, 44),
    rh: within(15, 95),
    panelOffC: within(-9, 9),
    still: fc.boolean(),
  })
  .map(({ airC, rh, panelOffC, still }) => ({
    airTemperatureC: airC,
    relativeHumidityPercent: rh,
    panelTemperatureC: airC + panelOffC,
    airMovement: still ? 'still' : 'downdraft',
  }));
export const anyLimits = maybe(
  fc.record({
    minPanelC: within(8, 18),
    maxPanelC: within(30, 45),
    maxAirC: within(28, 42),
    maxHumidityPercent: within(60, 90),
    minMarginC: within(2, 5),
  }),
);
export const anyTimes = fc
  .record({
    atC: fc.constantFrom(20, 21, 23, 25),
    flash: maybe(within(4, 25)),
    floorShare: maybe(within(0.1, 1)),
    beforeBakeMinutes: maybe(within(5, 30)),
    wetFilmUm: maybe(within(25, 90)),
  })
  .map(({ atC, flash, floorShare, beforeBakeMinutes, wetFilmUm }) =>
    given({
      atC,
      flashMinutes: flash,
      minFlashMinutes:
        flash !== undefined && floorShare !== undefined ? flash * floorShare : undefined,
      beforeBakeMinutes,
      wetFilmUm,
    }),
  ) as fc.Arbitrary<NonNullable<Layer['sheet']>>;
export const anyLayer: fc.Arbitrary<Layer> = fc
  .record({
    stage: fc.constantFrom(...STAGES),
    carrier: fc.constantFrom(...CARRIERS),
    class: maybe(fc.constantFrom(...MATERIAL_CLASSES)),
    activated: fc.boolean(),
    sheet: maybe(anyTimes),
  })
  .map((of) => given(of) as Layer);
export const anyGun: fc.Arbitrary<InputOf<'setup'>['gun']> = fc
  .record({
    class: fc.constantFrom(...GUN_CLASSES),
    leaflet: fc.boolean(),
    maxInletKPa: maybe(within(250, 500)),
  })
  .map(({ class: gunClass, leaflet, maxInletKPa }) => {
    const { usualNozzlesMm, inletKPa } = GUNS[gunClass];
    return given({
      class: gunClass,
      nozzlesMm: [usualNozzlesMm[0], (usualNozzlesMm[0] + usualNozzlesMm[1]) / 2],
      leafletInletKPa: leaflet ? ([inletKPa * 0.7, inletKPa * 1.1] as [number, number]) : undefined,
      maxInletKPa,
    }) as InputOf<'setup'>['gun'];
  });
export const anyGunSheet: fc.Arbitrary<InputOf<'setup'>['sheet']> = maybe(
  fc
    .record({
      kind: fc.constantFrom('inlet', 'cap', 'none'),
      lowKPa: within(40, 160),
      wide: within(0, 60),
      film: fc.boolean(),
    })
    .map(({ kind, lowKPa, wide, film }) => ({
      ...(kind === 'inlet' ? { inletKPa: [lowKPa, lowKPa + wide] as [number, number] } : {}),
      ...(kind === 'cap'
        ? { capKPa: [lowKPa / 3, lowKPa / 3 + wide / 3] as [number, number] }
        : {}),
      ...(film ? { wetFilmUm: 30 + wide } : {}),
    })),
);

/** Everything that the air can be blamed for, from the judge himself. */
const AIR_CODES = new Set<string>(
  [5, 16, 22, 33, 60].flatMap((airTemperatureC) =>
    [20, 78, 99].flatMap((relativeHumidityPercent) =>
      [undefined, -12, -4, 0, 20].flatMap((off) =>
        airVerdictsOf(
          {
            airTemperatureC,
            relativeHumidityPercent,
            airMovement: 'still',
            ...(off === undefined ? {} : { panelTemperatureC: airTemperatureC + off }),
          },
          { carrier: 'waterborne' },
        ).map(({ code }) => code),
      ),
    ),
  ),
);
export const airOf = (verdicts: readonly { code: string; level: string }[]) =>
  [
    ...new Set(
      verdicts
        .filter(({ code }) => AIR_CODES.has(code))
        .map(({ code, level }) => `${level} ${code}`),
    ),
  ].sort();
