/**
 * A spray gun as its owner can describe it. Pressures, turns and tests belong to a nozzle set,
 * never to guns at large.
 */
import type { Band } from '../outcome/spread.ts';
import { GUNS, type GunClass } from '../trade/gunClasses.ts';
import type { ABILITIES } from '../trade/vocabulary.ts';

export type Settings = {
  nozzleMm?: number;
  inletKPa?: number;
  capKPa?: number;
  fluidTurnsOut?: number;
  fanTurnsOut?: number;
  fanWidthMm?: number;
  distanceMm?: number;
  overlapPercent?: number;
  stepMm?: number;
  gunSpeedMPerS?: number;
  fluidMlPerMin?: number;
};
/** Settings of which all that a spray needs is known. */
export const KNOWN_SETTINGS = [
  'inletKPa',
  'fluidTurnsOut',
  'fanTurnsOut',
  'distanceMm',
  'overlapPercent',
  'gunSpeedMPerS',
  'nozzleMm',
] as const;
export type KnownSettings = Settings & Required<Pick<Settings, (typeof KNOWN_SETTINGS)[number]>>;
export type GunTest =
  | {
      kind: 'catch';
      ml: number;
      seconds: number;
      inletKPa: number;
      fluidTurnsOut: number;
      fanTurnsOut: number;
      viscosityMm2PerS?: number;
      densityGPerMl?: number;
    }
  | { kind: 'fan'; fanWidthMm: number; distanceMm: number; inletKPa: number; fanTurnsOut: number }
  | { kind: 'cap'; capKPa: number; inletKPa: number; fanTurnsOut: number }
  | { kind: 'comb'; wetUm: number; settings: Settings }
  | { kind: 'lines'; stepMm: number; measuredMm: number[] };
export type NozzleSet = { nozzleMm: number; needle?: string; cap?: string; tests?: GunTest[] };
export type Gun = {
  class: GunClass;
  nozzlesMm: number[];
  nozzleSets?: NozzleSet[];
  fullFluidTurns?: number;
  fullFanTurns?: number;
  ratedInletKPa?: number;
  ratedAirFlowLPerMin?: number;
  capKPaAtRated?: number;
  maxInletKPa?: number;
  ability?: (typeof ABILITIES)[number];
  leafletInletKPa?: Band;
  calibration?: GunTest[];
};

const DEFAULT_FULL_FAN_TURNS = 2.5;

/** Needle travel, turns from closed, where nobody counted it. */
export const fullFluidTurnsOf = ({
  fullFluidTurns,
  class: kind,
}: Pick<Gun, 'class' | 'fullFluidTurns'>): number => fullFluidTurns ?? GUNS[kind].fullFluidTurns;
/** The fan knob's travel, turns; 2½ where nobody told. */
export const fullFanTurnsOf = ({ fullFanTurns }: Pick<Gun, 'fullFanTurns'>): number =>
  fullFanTurns ?? DEFAULT_FULL_FAN_TURNS;

/** Own tests of the nozzle set in use; without any, every setting is only a place to start. */
export const testsOf = (gun: Gun, nozzleMm: number): GunTest[] => [
  ...(gun.nozzleSets?.find((set) => set.nozzleMm === nozzleMm)?.tests ?? []),
  ...(gun.calibration ?? []),
];
