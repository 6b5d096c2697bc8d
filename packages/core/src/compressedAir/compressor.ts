/**
 * Does the tank keep up? A tank at one temperature, a motor that cuts in and out, a trigger pulled
 * and let go.
 *
 *   V dp/dt = p_a (Q_in − Q_gun), explicit steps of 0.1 s                            [compressor-1]
 *   delivery = rated η(p)/η(p_rated),  η = max(0, 1.06 − 0.06 (p/p_a)^0.8)           [compressor-2]
 *
 * Source  ideal gas balance; volumetric efficiency of a piston pump with clearance, fitted (MODEL
 *         6)
 * Holds   piston compressors to about 11 bar; starts at cut-out with the motor off
 */
import { caution, type WithVerdicts, type Verdict, term } from '../outcome/verdicts.ts';
import { absolutePa, m3PerS } from './freeAir.ts';
import { STANDARD_ATMOSPHERE_PA } from '../units/physical.ts';

export type CompressorInput = {
  tankL: number;
  freeAirLPerMin: number;
  freeAirAtKPa?: number | undefined;
  cutInKPa: number;
  cutOutKPa: number;
  gunAirFlowLPerMin: number;
  neededKPa: number;
  triggerOnSeconds: number;
  triggerOffSeconds: number;
  runMinutes: number;
};
export type CompressorAnswer = WithVerdicts & {
  sustains: boolean;
  secondsUntilShort?: number;
  restSeconds?: number;
  dutyPercent: number;
  trace: { seconds: number; tankKPa: number }[];
};

const STEP_SECONDS = 0.1;
const TRACE_POINTS = 300;
const LONGEST_RUN_SECONDS = 24 * 3600;
const PISTON_LIMIT_KPA = 1100;
/** The wall regulator wants this much more than it gives (10 psi). */
export const REGULATOR_MARGIN_KPA = 69;

const fillShare = (gaugeKPa: number): number =>
  Math.max(0, 1.06 - 0.06 * (absolutePa(gaugeKPa) / STANDARD_ATMOSPHERE_PA) ** 0.8);

/** Free air delivered into a tank at this pressure, L/min. [compressor-2] */
export const deliveryLPerMin = (
  ratedLPerMin: number,
  ratedAtKPa: number,
  tankKPa: number,
): number =>
  fillShare(ratedAtKPa) <= 0 ? 0 : (ratedLPerMin * fillShare(tankKPa)) / fillShare(ratedAtKPa);

/**
 * Free air from the seconds a pump takes between two pressures with nothing drawn (isothermal),
 * L/min.
 */
export const deliveryFromPumpUp = (
  tankL: number,
  fromKPa: number,
  toKPa: number,
  seconds: number,
): number => (tankL * (toKPa - fromKPa) * 1000 * 60) / (STANDARD_ATMOSPHERE_PA * seconds);

/**
 * The tank, 0.1 s at a time; the shared clockwork of the calculation and of the shop's stand-in
 * gauge.
 */
export class Tank {
  tankKPa: number;
  private motorOn = false;
  private readonly of: Pick<
    CompressorInput,
    'tankL' | 'freeAirLPerMin' | 'cutInKPa' | 'cutOutKPa'
  > & { freeAirAtKPa: number };

  constructor(of: Tank['of']) {
    this.of = of;
    this.tankKPa = of.cutOutKPa;
  }

  /**
   * Lets `seconds` pass while the gun draws this much. @returns seconds that the motor ran.
   * [compressor-1]
   */
  pass(drawLPerMin: number, seconds: number = STEP_SECONDS): number {
    const { tankL, freeAirLPerMin, freeAirAtKPa, cutInKPa, cutOutKPa } = this.of;
    if (this.tankKPa <= cutInKPa) this.motorOn = true;
    if (this.tankKPa >= cutOutKPa) this.motorOn = false;
    const inLPerMin = this.motorOn
      ? deliveryLPerMin(freeAirLPerMin, freeAirAtKPa, this.tankKPa)
      : 0;
    const net = m3PerS(inLPerMin - drawLPerMin);
    this.tankKPa = Math.max(
      0,
      this.tankKPa + ((STANDARD_ATMOSPHERE_PA * net) / (tankL / 1000) / 1000) * seconds,
    );
    return this.motorOn ? seconds : 0;
  }
}

/**
 * A tank over a job: lowest pressure, when it falls behind, how long it rests; gauge kPa, seconds.
 * [compressor-1, compressor-2]
 */
export function compressorOf(input: CompressorInput): CompressorAnswer {
  const { triggerOnSeconds, triggerOffSeconds, neededKPa, gunAirFlowLPerMin } = input;
  const runSeconds = Math.min(input.runMinutes * 60, LONGEST_RUN_SECONDS);
  const cycleSeconds = triggerOnSeconds + triggerOffSeconds;
  const tank = new Tank({ ...input, freeAirAtKPa: input.freeAirAtKPa ?? neededKPa });
  const every = Math.max(1, Math.ceil(runSeconds / STEP_SECONDS / TRACE_POINTS));
  const trace = [{ seconds: 0, tankKPa: tank.tankKPa }];
  let motorSeconds = 0;
  let shortAt: number | undefined;
  const steps = Math.round(runSeconds / STEP_SECONDS);
  for (let i = 0; i < steps; i++) {
    const seconds = (i + 1) * STEP_SECONDS;
    const isPulled =
      triggerOnSeconds > 0 && (i * STEP_SECONDS) % cycleSeconds < triggerOnSeconds - 1e-9;
    motorSeconds += tank.pass(isPulled ? gunAirFlowLPerMin : 0);
    const isShort = isPulled && tank.tankKPa < neededKPa;
    if (isShort || (i + 1) % every === 0 || i === steps - 1)
      trace.push({ seconds, tankKPa: tank.tankKPa });
    if (isShort) {
      shortAt = seconds;
      break;
    }
  }
  const ranSeconds = shortAt ?? runSeconds;
  const restSeconds = shortAt === undefined ? undefined : secondsToCutOut(tank, input.cutOutKPa);
  return {
    sustains: shortAt === undefined,
    ...(shortAt === undefined ? {} : { secondsUntilShort: shortAt }),
    ...(restSeconds === undefined ? {} : { restSeconds }),
    dutyPercent: ranSeconds > 0 ? (motorSeconds / ranSeconds) * 100 : 0,
    trace,
    verdicts: verdictsOf(input, shortAt, restSeconds),
  };
}

/** Gun shut, motor running, until it cuts out; undefined when this pump never gets there. */
function secondsToCutOut(tank: Tank, cutOutKPa: number): number | undefined {
  for (let seconds = 0; seconds < 3600; seconds += STEP_SECONDS) {
    if (tank.tankKPa >= cutOutKPa) return seconds;
    tank.pass(0);
  }
  return undefined;
}

function verdictsOf(
  input: CompressorInput,
  shortAt: number | undefined,
  restSeconds: number | undefined,
): Verdict[] {
  const verdicts: Verdict[] = [];
  if (shortAt !== undefined)
    verdicts.push(
      caution('compressor-falls-behind', { seconds: shortAt, restSeconds: restSeconds ?? 3600 }),
    );
  if (input.cutOutKPa > PISTON_LIMIT_KPA)
    verdicts.push(
      caution('beyond-formula', {
        what: term('cutOutPressure'),
        range: term('pistonPumps'),
        pistonKPa: PISTON_LIMIT_KPA,
      }),
    );
  if (input.runMinutes * 60 > LONGEST_RUN_SECONDS)
    verdicts.push(
      caution('beyond-formula', {
        what: term('longRun'),
        range: term('oneDay'),
      }),
    );
  return verdicts;
}
