/**
 * A gun as its rating and all its own tests have it: a comb reading sets how much lands. Whoever
 * asks a gun asks this one.
 */
import type { HumidAir } from '../air/humidAir.ts';
import type { Paint } from '../mix/paint.ts';
import { clamp } from '../numerics/rounding.ts';
import { testsOf, type Gun, type GunTest, type KnownSettings } from './gun.ts';
import { gunModelOf, type GunModel } from './gunModel.ts';
import { sprayOf } from './spray.ts';
import { stepMmOf } from './overlap.ts';

export type GunAndPaint = { gun: Gun; paint: Paint; roomAir: HumidAir };

const LANDING_FACTOR: [number, number] = [0.2, 3];
const USUAL_AT_COMB = {
  fluidTurnsOut: 3,
  distanceMm: 150,
  overlapPercent: 66,
  gunSpeedMPerS: 0.45,
} as const;

type Comb = Extract<GunTest, { kind: 'comb' }>;
/** The newest comb reading of a set, if it has one. */
export const combOf = (tests: readonly GunTest[]): Comb | undefined =>
  tests.findLast((test): test is Comb => test.kind === 'comb');

/** The gun with this tip and paint as its own tests have it. */
export function testedModelOf({ gun, paint, roomAir }: GunAndPaint, nozzleMm: number): GunModel {
  const model = gunModelOf(gun, nozzleMm, paint);
  const comb = combOf(testsOf(gun, nozzleMm));
  if (!comb) return model;
  const usual = {
    ...USUAL_AT_COMB,
    inletKPa: model.data.inletKPa,
    fanTurnsOut: model.fullFanTurns,
  };
  const at = { ...usual, ...withoutAbsent(comb.settings) } as KnownSettings;
  const spray = sprayOf({ ...at, model, materialClass: paint.materialClass, paint, roomAir });
  const filmUm =
    (spray.landing.landedM3PerS / (at.gunSpeedMPerS * (stepMmOf(at, spray.fanWidthMm) / 1000))) *
    1e6;
  if (filmUm <= 0) return model;
  return {
    ...model,
    landingFactor: model.landingFactor * clamp(comb.wetUm / filmUm, ...LANDING_FACTOR),
  };
}

const withoutAbsent = <T extends object>(value: T): Partial<T> =>
  Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined)) as Partial<T>;
