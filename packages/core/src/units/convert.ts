/**
 * Units of the trade, each kind with one canonical unit. Exact by definition where a definition
 * exists:
 * Source  yard-pound-1959; nist-sp811-2008.
 */
import { CFM_L_PER_MIN, INCH_MM, PSI_KPA, CELSIUS_OFFSET } from './physical.ts';
/** canonical = value × factor + offset */
type Unit = { kind: string; factor: number; offset?: number };

const CUBIC_INCH_ML = 16.387064;
const GALLON_US_ML = 231 * CUBIC_INCH_ML;
const GALLON_IMP_ML = 4546.09;
const POUND_G = 453.59237;

export const UNITS = {
  C: { kind: 'temperature', factor: 1 },
  F: { kind: 'temperature', factor: 5 / 9, offset: (-32 * 5) / 9 },
  K: { kind: 'temperature', factor: 1, offset: -CELSIUS_OFFSET },
  deltaC: { kind: 'temperatureDifference', factor: 1 },
  deltaF: { kind: 'temperatureDifference', factor: 5 / 9 },
  kPa: { kind: 'pressure', factor: 1 },
  bar: { kind: 'pressure', factor: 100 },
  psi: { kind: 'pressure', factor: PSI_KPA },
  inHg: { kind: 'pressure', factor: 3.386389 },
  mm: { kind: 'length', factor: 1 },
  cm: { kind: 'length', factor: 10 },
  m: { kind: 'length', factor: 1000 },
  in: { kind: 'length', factor: INCH_MM },
  ft: { kind: 'length', factor: 304.8 },
  um: { kind: 'length', factor: 0.001 },
  mil: { kind: 'length', factor: 0.0254 },
  m2: { kind: 'area', factor: 1 },
  ft2: { kind: 'area', factor: 0.09290304 },
  ml: { kind: 'volume', factor: 1 },
  l: { kind: 'volume', factor: 1000 },
  flOzUs: { kind: 'volume', factor: GALLON_US_ML / 128 },
  flOzImp: { kind: 'volume', factor: GALLON_IMP_ML / 160 },
  ptUs: { kind: 'volume', factor: GALLON_US_ML / 8 },
  ptImp: { kind: 'volume', factor: GALLON_IMP_ML / 8 },
  qtUs: { kind: 'volume', factor: GALLON_US_ML / 4 },
  galUs: { kind: 'volume', factor: GALLON_US_ML },
  galImp: { kind: 'volume', factor: GALLON_IMP_ML },
  g: { kind: 'mass', factor: 1 },
  kg: { kind: 'mass', factor: 1000 },
  oz: { kind: 'mass', factor: POUND_G / 16 },
  lb: { kind: 'mass', factor: POUND_G },
  gPerMl: { kind: 'density', factor: 1 },
  lbPerGalUs: { kind: 'density', factor: POUND_G / GALLON_US_ML },
  gPerL: { kind: 'voc', factor: 1 },
  lbPerGal: { kind: 'voc', factor: (POUND_G / GALLON_US_ML) * 1000 },
  lPerMin: { kind: 'air', factor: 1 },
  m3PerH: { kind: 'air', factor: 1000 / 60 },
  cfm: { kind: 'air', factor: CFM_L_PER_MIN },
  mPerS: { kind: 'speed', factor: 1 },
  inPerS: { kind: 'speed', factor: 0.0254 },
  ftPerMin: { kind: 'speed', factor: 0.3048 / 60 },
  mPaS: { kind: 'viscosity', factor: 1 },
  cP: { kind: 'viscosity', factor: 1 },
  mm2PerS: { kind: 'kinematicViscosity', factor: 1 },
  cSt: { kind: 'kinematicViscosity', factor: 1 },
} as const satisfies Record<string, Unit>;

export type UnitName = keyof typeof UNITS;

/**
 * True when both names measure the same kind of thing; a temperature and a difference of two do
 * not.
 */
export const areAlike = (from: UnitName, to: UnitName): boolean =>
  UNITS[from].kind === UNITS[to].kind;

/**
 * The least value a unit may show: absolute zero for temperatures, nothing for sizes, no bound for
 * differences and gauge pressures.
 */
export function leastValue(unit: UnitName): number {
  const { kind } = UNITS[unit];
  if (kind === 'temperature') return convert(-CELSIUS_OFFSET, 'C', unit);
  return kind === 'temperatureDifference' || kind === 'pressure' ? -Infinity : 0;
}

/**
 * The same quantity in another unit of its kind.
 * @throws RangeError between two kinds: the contract refuses that before it gets here
 */
export function convert(value: number, from: UnitName, to: UnitName): number {
  if (!areAlike(from, to))
    throw new RangeError(`${from} and ${to} are different kinds of quantity`);
  if (from === to) return value;
  const source: Unit = UNITS[from];
  const target: Unit = UNITS[to];
  return (value * source.factor + (source.offset ?? 0) - (target.offset ?? 0)) / target.factor;
}
