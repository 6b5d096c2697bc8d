/**
 * A gun as its rating and its own tests describe it. Each test moves one thing (MODEL 15): a catch
 * the paint's flow, a fan width the fan's angle, a cap gauge the areas. The newest test of a kind
 * rules; a test belongs to its nozzle set.
 */
import { GUNS } from '../trade/gunClasses.ts';
import type { GunFacts } from '../trade/gunFacts.ts';
import { litresPerMinute, m3PerS } from '../compressedAir/freeAir.ts';
import { bisect } from '../numerics/bisect.ts';
import { clamp } from '../numerics/rounding.ts';
import { areasFromRating, capFlow, capKPaAt, hornOpening, type CapAreas } from './airCap.ts';
import { fanWidthM } from './fan.ts';
import { fluidM3PerS } from './fluidFlow.ts';
import { meantAtCapOf } from '../inForce/capLimitOf.ts';
import { ratedAirOfKind } from './hvlpKind.ts';
import { fullFanTurnsOf, fullFluidTurnsOf, testsOf, type Gun, type GunTest } from './gun.ts';

/** The paint as the tip meets it. */
export type PaintAtTip = { densityKgPerM3: number; viscosityPaS: number };
export type GunModel = {
  data: GunFacts;
  areas: CapAreas;
  fanTangent: number;
  /** Measured flow of paint over modelled. */
  flowFactor: number;
  /** Drop size over the correlation's, and what lands over the law of impact. */
  dropFactor: number;
  landingFactor: number;
  fullFluidTurns: number;
  fullFanTurns: number;
  nozzleMm: number;
  tests: { catch?: TestOf<'catch'>; fan?: TestOf<'fan'>; cap?: TestOf<'cap'> };
};
type TestOf<K extends GunTest['kind']> = Extract<GunTest, { kind: K }>;

/** Thinning at the tip of what is usually caught, where nobody says which paint it was. */
const SHEAR_OF_A_CATCH = 0.8;
/**
 * A gun that breaks paint up less well makes larger drops with the same air: judgement.
 */
const ABILITY_DROPS = { basic: 1.15, good: 1, fine: 0.95 } as const;
const FLOW_FACTOR: [number, number] = [0.2, 5];
const FAN_TANGENT: [number, number] = [0.02, 3];

const newest = <K extends GunTest['kind']>(
  tests: readonly GunTest[],
  kind: K,
): TestOf<K> | undefined => tests.findLast((test): test is TestOf<K> => test.kind === kind);

/** @param paint what a catch test without its own viscosity is taken to have been made with */
export function gunModelOf(gun: Gun, nozzleMm: number, paint: PaintAtTip): GunModel {
  const data = GUNS[gun.class];
  const tests = testsOf(gun, nozzleMm);
  const [caught, fan, cap] = [newest(tests, 'catch'), newest(tests, 'fan'), newest(tests, 'cap')];
  const untested: GunModel = {
    data,
    areas: areasOf(gun, data, cap),
    fanTangent: data.fanTangent,
    flowFactor: 1,
    dropFactor: data.dropFactor * ABILITY_DROPS[gun.ability ?? 'good'],
    landingFactor: data.landingFactor,
    fullFluidTurns: fullFluidTurnsOf(gun),
    fullFanTurns: fullFanTurnsOf(gun),
    nozzleMm,
    tests: {
      ...(caught ? { catch: caught } : {}),
      ...(fan ? { fan } : {}),
      ...(cap ? { cap } : {}),
    },
  };
  return {
    ...untested,
    ...(fan ? { fanTangent: tangentFrom(fan, untested) } : {}),
    ...(caught ? { flowFactor: flowFactorFrom(caught, untested, paint) } : {}),
  };
}

/** Open share of the horns; a gun without the knob is always as it was made. */
export const hornShareOf = (
  { data, fullFanTurns }: Pick<GunModel, 'data' | 'fullFanTurns'>,
  fanTurnsOut: number,
): number => (data.hasFanKnob ? hornOpening(fanTurnsOut, fullFanTurns) : 1);

function areasOf(gun: Gun, data: GunFacts, cap?: TestOf<'cap'>): CapAreas {
  const classAreas = classAreasOf(data);
  const inletKPa = gun.ratedInletKPa ?? data.inletKPa;
  const rating = {
    ringShare: data.ringShare,
    flowAtInletKPa: inletKPa,
    airFlowM3PerS: ratedAirFlowM3PerS(gun, classAreas, inletKPa),
  };
  if (cap) {
    const fullFanTurns = fullFanTurnsOf(gun);
    const hornShare = hornShareOf({ data, fullFanTurns }, cap.fanTurnsOut);
    return areasFromRating({ ...rating, inletKPa: cap.inletKPa, capKPa: cap.capKPa, hornShare });
  }
  // Such guns are rated where the cap has what they are meant for.
  const meantKPa = gun.ratedInletKPa === undefined ? undefined : meantAtCapOf(gun.class)?.value;
  return areasFromRating({
    ...rating,
    inletKPa,
    capKPa: gun.capKPaAtRated ?? meantKPa ?? capKPaAt(classAreas, inletKPa, 1),
  });
}

function ratedAirFlowM3PerS(gun: Gun, classAreas: CapAreas, inletKPa: number): number {
  if (gun.ratedAirFlowLPerMin !== undefined) return m3PerS(gun.ratedAirFlowLPerMin);
  const ofKind = ratedAirOfKind(gun);
  return ofKind !== undefined ? m3PerS(ofKind) : capFlow(classAreas, inletKPa, 1).airFlowM3PerS;
}

/** The class's own areas, all horns open: what practice bands were set on. */
export const classAreasOf = (data: GunFacts): CapAreas =>
  areasFromRating({ ...data, airFlowM3PerS: m3PerS(data.airFlowLPerMin) });

/** Paint through tip and needle at this setting, m³/s, as the gun's own catch test has it. */
export function flowOf(
  model: GunModel,
  paint: PaintAtTip,
  at: { fluidTurnsOut: number; capKPa: number },
): number {
  const { data, nozzleMm, fullFluidTurns, flowFactor } = model;
  return fluidM3PerS({
    ...paint,
    ...at,
    nozzleMm,
    fullFluidTurns,
    flowFactor,
    headM: data.headM,
    suctionPa: data.suctionPa,
    designCapKPa: data.capKPa,
  });
}

/** Fan on the panel, m, as the gun's own paper test has it. */
export const widthOf = (
  { data, fanTangent }: Pick<GunModel, 'data' | 'fanTangent'>,
  at: { distanceMm: number; capKPa: number; hornShare: number },
): number => fanWidthM(data, { ...at, distanceM: at.distanceMm / 1000, fanTangent }) * 1000;

function tangentFrom(test: TestOf<'fan'>, model: GunModel): number {
  const hornShare = hornShareOf(model, test.fanTurnsOut);
  const at = {
    distanceMm: test.distanceMm,
    hornShare,
    capKPa: capKPaAt(model.areas, test.inletKPa, hornShare),
  };
  return bisect(
    (fanTangent) => widthOf({ ...model, fanTangent }, at) - test.fanWidthMm,
    ...FAN_TANGENT,
  );
}

function flowFactorFrom(test: TestOf<'catch'>, model: GunModel, paint: PaintAtTip): number {
  const capKPa = capKPaAt(model.areas, test.inletKPa, hornShareOf(model, test.fanTurnsOut));
  const densityKgPerM3 = (test.densityGPerMl ?? paint.densityKgPerM3 / 1000) * 1000;
  const caught =
    test.viscosityMm2PerS === undefined
      ? { ...paint, densityKgPerM3 }
      : {
          densityKgPerM3,
          viscosityPaS: test.viscosityMm2PerS * 1e-6 * densityKgPerM3 * SHEAR_OF_A_CATCH,
        };
  const modelled = flowOf(model, caught, { fluidTurnsOut: test.fluidTurnsOut, capKPa });
  return modelled > 0 ? clamp(test.ml / test.seconds / 1e6 / modelled, ...FLOW_FACTOR) : 1;
}

/** Free air drawn at an inlet, L/min. */
export const airFlowOf = (model: GunModel, inletKPa: number, fanTurnsOut: number): number =>
  litresPerMinute(capFlow(model.areas, inletKPa, hornShareOf(model, fanTurnsOut)).airFlowM3PerS);
