import { climateOf } from '../src/inForce/climate.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airAt, warmedAir } from '../src/air/forecast.ts';
import {
  dewPointC,
  humidityRatioGPerKg,
  saturationPressurePa,
  vapourPressurePa,
  wetBulbC,
} from '../src/air/humidAir.ts';

const air = fc.record({
  airTemperatureC: fc.double({ min: -20, max: 55, noNaN: true }),
  relativeHumidityPercent: fc.double({ min: 2, max: 100, noNaN: true }),
});

describe('moist air', () => {
  it('has the dew point, wet bulb and humidity ratio of the card', () => {
    expect(dewPointC({ airTemperatureC: 21, relativeHumidityPercent: 60 })).toBeCloseTo(12.94, 2);
    expect(wetBulbC({ airTemperatureC: 21, relativeHumidityPercent: 50 })).toBeCloseTo(14.7, 1);
    expect(humidityRatioGPerKg({ airTemperatureC: 30, relativeHumidityPercent: 70 })).toBeCloseTo(
      18.75,
      1,
    );
  });

  it('saturates exactly at its dew point', () => {
    fc.assert(
      fc.property(
        air,
        (a) => Math.abs(saturationPressurePa(dewPointC(a)) / vapourPressurePa(a) - 1) < 1e-9,
      ),
    );
  });

  it('keeps dew point under wet bulb under air', () => {
    fc.assert(
      fc.property(
        air,
        (a) => dewPointC(a) <= wetBulbC(a) + 0.05 && wetBulbC(a) <= a.airTemperatureC + 1e-6,
      ),
    );
  });

  it('cools a wet surface until evaporation takes what the air gives it [air-4]', () => {
    fc.assert(
      fc.property(air, (a) => {
        const wetC = wetBulbC(a);
        const givenPa = 6.6e-4 * (1 + 1.15e-3 * wetC) * 101_325 * (a.airTemperatureC - wetC);
        return Math.abs(saturationPressurePa(wetC) - givenPa - vapourPressurePa(a)) < 1e-6;
      }),
    );
  });

  it('dews sooner the damper it is', () => {
    fc.assert(
      fc.property(air, fc.double({ min: 0.1, max: 20, noNaN: true }), (a, more) => {
        const damper = {
          ...a,
          relativeHumidityPercent: Math.min(100, a.relativeHumidityPercent + more),
        };
        return dewPointC(damper) >= dewPointC(a);
      }),
    );
  });

  it('neither gains nor loses water when it is only warmed', () => {
    fc.assert(
      fc.property(air, fc.double({ min: 0, max: 15, noNaN: true }), (a, deltaC) => {
        const warm = warmedAir(a, deltaC);
        return (
          Math.abs(vapourPressurePa(warm) / vapourPressurePa(a) - 1) < 1e-9 ||
          warm.relativeHumidityPercent === 1
        );
      }),
    );
  });
});

describe('go, caution or stop', () => {
  const codes = (input: Parameters<typeof climateOf>[0]) =>
    climateOf(input).verdicts.map(({ code }) => code);

  it('names every reason that holds, not the first only', () => {
    expect(
      codes({
        airTemperatureC: 10,
        relativeHumidityPercent: 95,
        panelTemperatureC: 8,
        materialTemperatureC: 9,
      }),
    ).toEqual(['panel-too-cold', 'panel-below-dew-margin', 'air-too-humid', 'material-too-cold']);
  });

  it("lets the sheet's limit replace the stop, while the caution stays where it lies inside", () => {
    const mild = {
      airTemperatureC: 20,
      relativeHumidityPercent: 72,
      panelTemperatureC: 15.2,
      limits: { minPanelC: 15, minMarginC: 0 },
    };
    expect(codes(mild)).not.toContain('panel-too-cold');
    expect(codes(mild)).toContain('air-humid');
    expect(codes({ ...mild, limits: { minPanelC: 18 } })).toContain('panel-too-cold');
  });

  it('gives no margin without a panel reading, and asks for one', () => {
    const answer = climateOf({ airTemperatureC: 20, relativeHumidityPercent: 50 });
    expect(answer.panelMarginC).toBeUndefined();
    expect(answer.verdicts[0]!.code).toBe('panel-unread');
  });

  it('never turns a stop into a go by warming the panel less', () => {
    fc.assert(
      fc.property(
        air,
        fc.double({ min: -5, max: 38, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (a, panelC, colder) => {
          const stops = (c: number) =>
            climateOf({ ...a, panelTemperatureC: c }).verdicts.filter(
              ({ code }) => code === 'panel-too-cold' || code === 'panel-below-dew-margin',
            ).length;
          return stops(panelC - colder) >= stops(panelC);
        },
      ),
    );
  });
});

it('draws straight lines through a forecast and stays flat beyond its ends', () => {
  const forecast = [
    { minute: 360, airTemperatureC: 10, relativeHumidityPercent: 80, panelTemperatureC: 6 },
    { minute: 480, airTemperatureC: 20, relativeHumidityPercent: 60, panelTemperatureC: 12 },
  ];
  expect(airAt(forecast, 420)).toMatchObject({
    airTemperatureC: 15,
    relativeHumidityPercent: 70,
    panelTemperatureC: 9,
  });
  expect(airAt(forecast, 0).airTemperatureC).toBe(10);
  expect(airAt(forecast, 2000).airTemperatureC).toBe(20);
});
