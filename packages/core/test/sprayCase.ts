/** One setting sprayed: what the vectors and the laws are asked of. */
import type { GunClass } from '../src/trade/gunClasses.ts';
import { MATERIALS, type MaterialClass } from '../src/trade/materialClasses.ts';
import { gunModelOf } from '../src/gun/gunModel.ts';
import { passesOf, sprayOf, type Spray } from '../src/gun/spray.ts';
import { mixtureOf, type Mixture } from '../src/material/mixture.ts';
import { viscosityPaS } from '../src/material/rheology.ts';

export type Setting = {
  kind: GunClass;
  material: MaterialClass;
  inletKPa: number;
  nozzleMm: number;
  turns: number;
  fan: number;
  distanceMm: number;
  airC?: number;
  mixture?: Mixture;
  thicker?: number;
};

export function spray(
  {
    kind,
    material,
    inletKPa,
    nozzleMm,
    turns,
    fan,
    distanceMm,
    airC = 20,
    mixture = mixtureOf(MATERIALS[material]),
    thicker = 1,
  }: Setting,
  humidity = 50,
): Spray {
  const data = MATERIALS[material];
  const paint = {
    mixture,
    densityKgPerM3: mixture.densityKgPerM3,
    viscosityPaS: viscosityPaS(data, mixture.solids, 20) * data.shearAtGun * thicker,
  };
  const model = gunModelOf(
    { class: kind, nozzlesMm: [nozzleMm], fullFanTurns: 1 },
    nozzleMm,
    paint,
  );
  return sprayOf({
    model,
    materialClass: material,
    paint,
    inletKPa,
    fluidTurnsOut: turns,
    fanTurnsOut: fan,
    distanceMm,
    roomAir: { airTemperatureC: airC, relativeHumidityPercent: humidity },
  });
}
export const passes = (
  at: Spray,
  material: MaterialClass,
  overlap: number,
  gunSpeedMPerS: number,
) => passesOf(at, material, { stepMm: at.fanWidthMm * (1 - overlap), gunSpeedMPerS });
export const A: Setting = {
  kind: 'hvlp',
  material: 'clearMediumSolids',
  inletKPa: 137.895,
  nozzleMm: 1.3,
  turns: 3,
  fan: 0.85,
  distanceMm: 152.4,
};
