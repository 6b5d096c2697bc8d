/**
 * One word in force: whichever door a coat is asked through, class, minutes, bands, limits and air
 * are the same.
 */
import fc from 'fast-check';
import { airVerdictsOf } from '@orthochrom/core/inForce/airVerdictsOf.ts';
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import { GUNS } from '@orthochrom/core/trade/gunClasses.ts';
import { NEXT_STEPS } from '@orthochrom/core/trade/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import { ask } from '../src/calculations/ask.ts';
import { climateCalculation } from '../src/calculations/climate.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { pressureCalculation } from '../src/calculations/pressure.ts';
import { recoatCalculation } from '../src/calculations/recoat.ts';
import { reducerCalculation } from '../src/calculations/reducer.ts';
import { scheduleCalculation } from '../src/calculations/schedule.ts';
import { setupCalculation } from '../src/calculations/setup.ts';
import type { AnswerOf, InputOf } from '../src/registry.ts';
import {
  airOf,
  anyClimate,
  anyGun,
  anyGunSheet,
  anyLayer,
  anyLimits,
  given,
  maybe,
  within,
  type Climate,
  type Layer,
} from './anyCoat.ts';

const flashIn = ({ steps }: AnswerOf<'schedule'>, coat: number) =>
  steps.find(({ kind, coat: of }) => kind === 'flash' && of === coat)!;

describe('asked through any door, one coat', () => {
  const anyCoat = fc.record({
    layer: anyLayer,
    climate: anyClimate,
    limits: anyLimits,
    gun: anyGun,
  });
  const law = (
    holds: (of: {
      layer: Layer;
      climate: Climate;
      limits: InputOf<'recoat'>['limits'];
      gun: InputOf<'setup'>['gun'];
    }) => void,
  ) => fc.assert(fc.property(anyCoat, holds), { numRuns: 120 });
  const recoatOf = (
    layer: Layer,
    climate: Climate,
    next: InputOf<'recoat'>['next'],
    more: object = {},
  ) => ask(recoatCalculation, { layer, climate, minutesSince: 0, next, ...more });
  const setupOf = (
    { stage, carrier, class: own, sheet }: Layer,
    climate: Climate,
    gun: InputOf<'setup'>['gun'],
    more: object = {},
  ) =>
    ask(setupCalculation, {
      gun,
      stage,
      carrier,
      ...(own ? { class: own } : {}),
      ...(sheet
        ? { times: sheet, ...(sheet.wetFilmUm ? { sheet: { wetFilmUm: sheet.wetFilmUm } } : {}) }
        : {}),
      climate,
      place: 'booth',
      part: 'largePanel',
      plans: false,
      ...more,
    });
  const scheduleOf = (
    layer: Layer,
    climate: Climate,
    bake: boolean,
    limits?: InputOf<'recoat'>['limits'],
  ) => {
    const { stage, carrier, class: own, activated, sheet = { atC: 21 } } = layer;
    return ask(scheduleCalculation, {
      stages: [
        {
          name: 'it',
          stage,
          carrier,
          coats: 2,
          sheet,
          bake,
          ...given({ class: own, activated, limits }),
        },
      ],
      climate,
      panels: [{ name: 'hood' }],
      spraySeconds: 1e-6,
    } as InputOf<'schedule'>);
  };

  it('has one class and one film', () => {
    law(({ layer, climate, gun }) => {
      const setup = setupOf(layer, climate, gun);
      const named = setupOf({ ...layer, class: setup.class }, climate, gun);
      expect(named.wetFilmUm).toBe(setup.wetFilmUm);
      // The wait is of the same class: naming it outright changes nothing.
      for (const next of NEXT_STEPS)
        expect(recoatOf({ ...layer, class: setup.class }, climate, next).earliestMinutes).toEqual(
          recoatOf(layer, climate, next).earliestMinutes,
        );
    });
  });

  it('waits as long by the clock of the day as by its own timer, floor and heat too', () => {
    law(({ layer, climate }) => {
      const day = scheduleOf(layer, climate, true);
      const whole = { ...layer, sheet: layer.sheet ?? { atC: 21 } };
      const [first, last] = [flashIn(day, 1), flashIn(day, 2)];
      expect(first.endMinute - first.startMinute).toBeCloseTo(
        recoatOf(whole, climate, 'coat').earliestMinutes.value,
        4,
      );
      expect(last.endMinute - last.startMinute).toBeCloseTo(
        recoatOf(whole, climate, 'bake').earliestMinutes.value,
        4,
      );
    });
  });

  it('is never sooner than its floor, and says which minutes it was moved from', () => {
    law(({ layer, climate }) => {
      for (const next of NEXT_STEPS) {
        const { earliestMinutes, floorMinutes, sheetMinutes } = recoatOf(layer, climate, next);
        expect(earliestMinutes.low).toBeGreaterThanOrEqual(floorMinutes - 1e-9);
        expect(floorMinutes).toBeLessThanOrEqual(sheetMinutes + 1e-9);
      }
      const mist = recoatOf(layer, climate, 'coat', { mistCoat: true });
      expect(mist.earliestMinutes.value).toBe(mist.floorMinutes);
    });
  });

  it('is judged the same by climate, reducer, timer, day and forecast', () => {
    fc.assert(
      fc.property(anyCoat, ({ layer, climate, limits, gun }) => {
        const { stage, carrier, class: own } = layer;
        const more = limits ? { limits } : {};
        const expected = airOf(airVerdictsOf(climate, { limits, carrier }));
        expect(
          airOf(
            ask(climateCalculation, { ...climate, ...more, next: { carrier, stage } }).verdicts,
          ),
        ).toEqual(expected);
        expect(airOf(recoatOf(layer, climate, 'coat', more).verdicts)).toEqual(expected);
        expect(airOf(scheduleOf(layer, climate, false, limits).verdicts)).toEqual(expected);
        const reducer = ask(reducerCalculation, {
          ...climate,
          ...(carrier === 'solvent' ? { grades: [{ name: 'M', minC: 5, maxC: 35 }] } : {}),
          jobSize: 'panel',
          carrier,
          stage,
          ...more,
          risks: false,
        } as InputOf<'reducer'>);
        expect(airOf(reducer.verdicts)).toEqual(expected);
        const coatClass = own ?? setupOf(layer, climate, gun).class;
        if (MATERIALS[coatClass].carrier !== carrier) return;
        const coat = ask(coatCalculation, {
          climate,
          material: {
            class: coatClass,
            sheet: { times: { atC: 21 }, ...(limits ? { limits } : {}) },
          },
          gun,
          settings: { nozzleMm: gun.nozzlesMm[0]! },
          panel: { slopeDeg: 90 },
          coats: [{ flashMinutes: 10 }],
          spread: false,
        });
        expect(airOf(coat.verdicts)).toEqual(expected);
      }),
      { numRuns: 60 },
    );
  });

  const anySet = fc.record({
    layer: anyLayer,
    gun: anyGun,
    sheet: anyGunSheet,
    capLimitKPa: maybe(within(40, 90)),
    inletKPa: within(30, 420),
    fanShare: within(0, 1),
  });
  const LIMITS = ['inlet-outside-band', 'cap-over-legal-limit', 'cap-over-hvlp', 'inlet-over-gun'];
  const limitsIn = (verdicts: readonly { code: string; level: string }[]) =>
    verdicts
      .flatMap(({ code, level }) => (LIMITS.includes(code) ? [`${level} ${code}`] : []))
      .sort();

  it('holds a pressure to one band and one limit, on the gauge and on the plan', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(anySet, ({ layer, gun, sheet, capLimitKPa, inletKPa, fanShare }) => {
        const more = given({ sheet, capLimitKPa });
        const fanTurnsOut = fanShare * 2;
        const climate = { airTemperatureC: 21, relativeHumidityPercent: 50 };
        const setup = setupOf({ ...layer, sheet: undefined }, climate, gun, {
          ...more,
          own: { inletKPa, fanTurnsOut },
        });
        const read = ask(pressureCalculation, {
          ...{
            value: inletKPa,
            unit: 'kPa',
            at: 'inlet',
            flowing: 'yes',
            gun,
            fanTurnsOut,
            nozzleMm: setup.nozzleMm,
          },
          ...{ stage: layer.stage, carrier: layer.carrier, class: setup.class, ...more },
        });
        expect(limitsIn(setup.own!.verdicts)).toEqual(limitsIn(read.verdicts));
        limitsIn(read.verdicts).forEach((said) => seen.add(said));
        // What is said of the tool's own setting is said by the band that it shows.
        const [lowKPa, highKPa] = setup.inletBandKPa;
        const isOutside = setup.verdicts.some(({ code }) => code === 'inlet-outside-band');
        if (isOutside)
          expect(setup.inletKPa <= lowKPa - 6 || setup.inletKPa >= highKPa + 6).toBe(true);
        if (capLimitKPa !== undefined) expect(setup.capKPa).toBeLessThanOrEqual(capLimitKPa + 0.05);
      }),
      { numRuns: 300 },
    );
    expect([...seen].map((said) => said.split(' ')[1]!).sort()).toEqual([...LIMITS].sort());
  });

  it('has no limit at the cap but where one is set', () => {
    fc.assert(
      fc.property(anySet, ({ layer, gun, sheet, inletKPa, fanShare }) => {
        const own = { inletKPa, fanTurnsOut: fanShare * 2 };
        const climate = { airTemperatureC: 21, relativeHumidityPercent: 50 };
        const setup = setupOf({ ...layer, sheet: undefined }, climate, gun, {
          ...given({ sheet }),
          own,
        });
        expect(setup.own!.verdicts.map(({ code }) => code)).not.toContain('cap-over-legal-limit');
        expect(setup.reasons.map(({ code }) => code)).not.toContain('cap-bounds-inlet');
        // What is said to begin at a figure makes that figure.
        if (setup.reasons.some(({ code }) => code === 'cap-as-meant'))
          expect(setup.capKPa).toBeLessThanOrEqual(69.05);
        if (!GUNS[gun.class].isBoundAtCap)
          expect(limitsIn(setup.own!.verdicts)).not.toContain('caution cap-over-hvlp');
      }),
      { numRuns: 80 },
    );
  });
});
