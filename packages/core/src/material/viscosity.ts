/**
 * Seconds through a cup as viscosity, in the other cups, at another temperature, and how much
 * reducer would thin it.
 */
import { CAUTION_FROM } from '../air/limits.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import { logNormalSpread, mapSpread, type Spread } from '../outcome/spread.ts';
import {
  caution,
  type WithVerdicts,
  type Verdict,
  term,
  type TimeRange,
} from '../outcome/verdicts.ts';
import {
  CUP_LABEL,
  CUP_NAMES,
  FLOW_CUPS,
  isInCupRange,
  kinematicOfSeconds,
  secondsOfKinematic,
  type CupName,
} from './flowCup.ts';
import { mixtureOf } from './mixture.ts';
import { flowEnergyJPerMol, solidsAtViscosity, temperatureFactor } from './rheology.ts';

export type ViscosityInput = {
  cup?: CupName;
  seconds?: number;
  kinematicMm2PerS?: number;
  densityGPerMl?: number;
  measuredAtC?: number;
  wantedAtC?: number;
  wantedSeconds?: number;
  class?: MaterialClass;
};
export type ViscosityAnswer = WithVerdicts & {
  kinematicMm2PerS: number;
  dynamicMPaS?: number;
  seconds: Partial<Record<CupName, number>>;
  inRange: Partial<Record<CupName, boolean>>;
  atWantedC?: { kinematicMm2PerS: Spread; seconds: Partial<Record<CupName, Spread>> };
  addReducerPercentOfPaint?: Spread;
};

/** Between a thin base and a heavy clear, where the kind of paint is not known. */
const USUAL_FLOW_ENERGY_J_PER_MOL = 30_000;
const LOG_SD = { knownClass: 0.06, unknownClass: 0.15, thinning: 0.3 } as const;

/** A cup reading as mm²/s, in other cups, at another temperature, and thinned to a wanted time. */
export function viscosityOf(input: ViscosityInput): ViscosityAnswer {
  const { cup, seconds, densityGPerMl, measuredAtC, wantedAtC } = input;
  const kinematicMm2PerS = input.kinematicMm2PerS ?? kinematicOfSeconds(cup!, seconds!);
  const inCups = cupSeconds(kinematicMm2PerS);
  const atWanted =
    measuredAtC === undefined || wantedAtC === undefined
      ? undefined
      : movedTo(kinematicMm2PerS, input, measuredAtC, wantedAtC);
  const reducer = addReducer(input, atWanted?.kinematicMm2PerS.value ?? kinematicMm2PerS);
  return {
    kinematicMm2PerS,
    ...(densityGPerMl === undefined ? {} : { dynamicMPaS: kinematicMm2PerS * densityGPerMl }),
    seconds: inCups,
    inRange: Object.fromEntries(
      Object.entries(inCups).map(([name, s]) => [name, isInCupRange(name as CupName, s)]),
    ),
    ...(atWanted ? { atWantedC: atWanted } : {}),
    ...(reducer ? { addReducerPercentOfPaint: reducer } : {}),
    verdicts: [...rangeVerdicts(inCups), ...coolVerdict(measuredAtC)],
  };
}

const cupSeconds = (kinematicMm2PerS: number): Partial<Record<CupName, number>> =>
  Object.fromEntries(
    CUP_NAMES.flatMap((name) => {
      const seconds = secondsOfKinematic(name, kinematicMm2PerS);
      return seconds === undefined ? [] : [[name, seconds]];
    }),
  );

function movedTo(
  kinematicMm2PerS: number,
  { class: materialClass }: ViscosityInput,
  measuredAtC: number,
  wantedAtC: number,
): NonNullable<ViscosityAnswer['atWantedC']> {
  const material = materialClass && MATERIALS[materialClass];
  const energy = material
    ? flowEnergyJPerMol(material, material.standardSolids)
    : USUAL_FLOW_ENERGY_J_PER_MOL;
  // The further the temperatures are apart, the less sure: nothing is added where nothing is moved.
  const perTenDegrees = material ? LOG_SD.knownClass : LOG_SD.unknownClass;
  const moved = logNormalSpread(
    kinematicMm2PerS * temperatureFactor(energy, measuredAtC, wantedAtC),
    (perTenDegrees * Math.abs(wantedAtC - measuredAtC)) / 10,
  );
  return {
    kinematicMm2PerS: moved,
    seconds: Object.fromEntries(
      CUP_NAMES.filter((name) =>
        [moved.low, moved.value, moved.high].every(
          (nu) => secondsOfKinematic(name, nu) !== undefined,
        ),
      ).map((name) => [name, mapSpread(moved, (nu) => secondsOfKinematic(name, nu)!)]),
    ),
  };
}

/**
 * Reducer that brings the mix to the wanted seconds, by volume of paint; nothing where it is thin
 * enough already.
 */
function addReducer(
  { class: materialClass, cup, wantedSeconds, densityGPerMl }: ViscosityInput,
  nowMm2PerS: number,
): Spread | undefined {
  if (!materialClass || !cup || wantedSeconds === undefined) return undefined;
  const wantedMm2PerS = kinematicOfSeconds(cup, wantedSeconds);
  if (wantedMm2PerS <= 0 || wantedMm2PerS >= nowMm2PerS) return undefined;
  const material = MATERIALS[materialClass];
  const density =
    densityGPerMl === undefined ? mixtureOf(material).densityKgPerM3 : densityGPerMl * 1000;
  const solidsAt = (mm2PerS: number) => solidsAtViscosity(material, mm2PerS * 1e-6 * density);
  const ofMix = solidsAt(nowMm2PerS) / solidsAt(wantedMm2PerS) - 1;
  const [paint, ...rest] = material.mix;
  const ofPaint = (ofMix * (paint + rest[0] + rest[1])) / paint;
  return logNormalSpread(ofPaint * 100, LOG_SD.thinning);
}

function rangeVerdicts(inCups: Partial<Record<CupName, number>>): Verdict[] {
  const outside = CUP_NAMES.filter(
    (name) => inCups[name] !== undefined && !isInCupRange(name, inCups[name]),
  );
  if (outside.length === 0) return [];
  const rangeOf = (name: CupName): TimeRange => ({
    of: CUP_LABEL[name],
    fromSeconds: FLOW_CUPS[name].fromSeconds,
    toSeconds: FLOW_CUPS[name].toSeconds,
  });
  return [
    caution('beyond-formula', {
      what: term('timeInCups'),
      cups: outside.map((name) => CUP_LABEL[name]).join(', '),
      range: outside.map(rangeOf),
    }),
  ];
}

const coolVerdict = (measuredAtC?: number): Verdict[] =>
  measuredAtC !== undefined && measuredAtC < CAUTION_FROM.materialC
    ? [caution('material-cool', { materialC: measuredAtC, goodC: CAUTION_FROM.materialC })]
    : [];
