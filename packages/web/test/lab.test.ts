/**
 * The lab's pure parts: a change made is a change in the input, what is sent to a ticket, and which
 * lever did what.
 */
import { describe, expect, it } from 'vitest';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { coatCalculation } from '@orthochrom/contract/calculations/coat.ts';
import { layOutDrops, layOutRun, layOutTime, wavePath, BOX } from '../src/lab/labLayout.ts';
import { overridesFrom } from '../src/lab/overrides.ts';
import { changed, startSetup, withDefaults, withGun, withSettings } from '../src/lab/labSetup.ts';
import { leversBetween } from '../src/lab/levers.ts';

const gun = { class: 'hvlp' as const, nozzlesMm: [1.3, 1.4], fullFluidTurns: 4, fullFanTurns: 2.5 };
const start = startSetup(gun);

describe('a set-up', () => {
  it('begins as one that coat takes, and a change from its ranking is one it takes too', () => {
    const answer = ask(coatCalculation, {
      ...start,
      settings: { ...start.settings, gunSpeedMPerS: 0.33 },
      rankChanges: true,
    });
    expect(answer.changes!.length).toBeGreaterThan(2);
    for (const change of answer.changes!) {
      const next = changed(start, change);
      expect(next).not.toEqual(start);
      expect(() => ask(coatCalculation, { ...next, spread: false })).not.toThrow();
    }
  });
  it('keeps what a ticket gave, and fills in only what is missing', () => {
    const bare = {
      ...start,
      climate: { airTemperatureC: 26, relativeHumidityPercent: 40 },
      settings: { distanceMm: 200 },
    };
    const full = withDefaults(bare);
    expect(full.settings.distanceMm).toBe(200);
    expect(full.climate.panelTemperatureC).toBe(26);
    expect(full.settings.inletKPa).toBeGreaterThan(0);
  });
  it('moves to another gun within that gun’s nozzles and travel', () => {
    const small = withGun(withSettings(start, { fluidTurnsOut: 4 }), {
      class: 'mini',
      nozzlesMm: [0.8, 1.0],
      fullFluidTurns: 3,
      fullFanTurns: 2,
    });
    expect(small.settings.nozzleMm).toBe(1.0);
    expect(small.settings.fluidTurnsOut).toBe(3);
    expect(small.settings.fanTurnsOut).toBeLessThanOrEqual(2);
  });
  it('goes to a ticket as choices with a why, only where it differs', () => {
    const sent = overridesFrom(start, {
      inletKPa: start.settings.inletKPa,
      distanceMm: 150,
      fluidTurnsOut: 2.75,
    });
    expect(Object.keys(sent).sort()).toEqual(['distanceMm', 'fluidTurnsOut']);
    expect(sent.distanceMm).toEqual({
      recommended: 150,
      chosen: 155,
      why: 'tried in the spray lab',
    });
  });
});

describe('the four levers', () => {
  it('each tell their own part, and together the whole', () => {
    const b = withSettings(start, { inletKPa: 160, distanceMm: 120, gunSpeedMPerS: 0.55 });
    const did = leversBetween(start, b);
    expect(did.map(({ lever }) => lever)).toEqual(['inletKPa', 'distanceMm', 'gunSpeedMPerS']);
    const [film, whole] = [
      did.reduce((all, { filmShare }) => all * filmShare, 1),
      [start, b].map((s) => ask(coatCalculation, { ...s, spread: false }).film.wetUm.value),
    ];
    expect(film).toBeCloseTo(whole[1]! / whole[0]!, 3);
    expect(did.find(({ lever }) => lever === 'inletKPa')!.dropShare).toBeLessThan(1);
    expect(did.find(({ lever }) => lever === 'gunSpeedMPerS')!.filmShare).toBeCloseTo(
      0.45 / 0.55,
      6,
    );
    expect(leversBetween(start, start)).toEqual([]);
  });
});

describe('the pictures', () => {
  it('put coarser to the right, longer runs lower, rougher higher, and later further along', () => {
    const spread = (value: number) => ({ value, low: value * 0.8, high: value * 1.2 });
    const [fine, coarse] = layOutDrops([spread(25), spread(50)], [25, 45]).drops;
    expect(coarse!.atPx).toBeGreaterThan(fine!.atPx);
    const [short, long] = layOutRun([spread(2), spread(20)], BOX).runs;
    expect(long!.endPx).toBeGreaterThan(short!.endPx);
    const height = (path: string) =>
      Math.max(...[...path.matchAll(/,([\d.]+)/g)].map(([, y]) => Number(y)));
    expect(height(wavePath(4, BOX))).toBeGreaterThan(height(wavePath(9, BOX)));
    const time = layOutTime([
      {
        left: [
          { minutes: 0, byCoat: [1, 0] },
          { minutes: 20, byCoat: [0.3, 0.8] },
          { minutes: 40, byCoat: [0.2, 0.3] },
        ],
        readyMinutes: [9, 12],
        startsMinutes: [0, 15],
        bakeMinutes: 30,
      },
    ]);
    const [first, second] = time.histories[0]!.ready;
    expect(second!.atPx).toBeGreaterThan(first!.atPx);
    expect(time.histories[0]!.bakePx).toBeGreaterThan(second!.atPx);
  });
});
