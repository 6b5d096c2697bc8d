/** The card's guns and paint, as figures. */
import { type GunClass, GUNS } from '../src/trade/gunClasses.ts';
import fc from 'fast-check';
import { m3PerS } from '../src/compressedAir/freeAir.ts';
import { areasFromRating } from '../src/gun/airCap.ts';
import type { FluidInput } from '../src/gun/fluidFlow.ts';

export const PSI = 6.894757;
export const CLASSES = Object.keys(GUNS) as GunClass[];
export const areasOf = (kind: GunClass) =>
  areasFromRating({ ...GUNS[kind], airFlowM3PerS: m3PerS(GUNS[kind].airFlowLPerMin) });
export const anyClass = fc.constantFrom(...CLASSES);
export const base = { densityKgPerM3: 962, viscosityPaS: 0.03846 };
export const hvlpFlow: FluidInput = {
  ...base,
  nozzleMm: 1.3,
  fluidTurnsOut: 4,
  fullFluidTurns: 4,
  headM: 0.09,
  suctionPa: 7500,
  capKPa: 65.5,
  designCapKPa: 65.5,
};
