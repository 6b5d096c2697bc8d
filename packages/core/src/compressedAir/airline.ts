/**
 * From the wall regulator to the gun: what the wall must show, flowing and at rest, for a pressure
 * at the gun.
 *
 *   flow goes with absolute inlet pressure: Q = Q_rated (p_want + p_a)/(p_rated + p_a)     [line-1]
 *   a loss measured here: flowing = wanted/(1 − x): divided, not added                     [line-2]
 *   measured elsewhere: (p1² − p2²)/Q², absolute, is kept                                  [line-3]
 *   at rest = flowing + k Q + lock-up                                                      [line-4]
 *
 * Source  MODEL 6: isothermal line with iso-6358 couplers; regulator droop as a straight line
 */
import {
  because,
  caution,
  stop,
  type Explained,
  type Reason,
  type Verdict,
  term,
} from '../outcome/verdicts.ts';
import { COUPLERS, restrictionInletPa, type CouplerKind } from './coupler.ts';
import { absolutePa, gaugeKPa, m3PerS } from './freeAir.ts';
import { kelvin } from '../units/physical.ts';
import { hoseInletPa, hoseOutletMach, type Hose } from './hose.ts';

/** Body size of a wall regulator: a quarter or half an inch. */
export const REGULATORS = ['small', 'large'] as const;
export type Line = {
  hose?: Hose | undefined;
  couplers?: { kind: CouplerKind; count: number }[] | undefined;
  regulator?: (typeof REGULATORS)[number] | undefined;
  measuredLossPercent?: number | undefined;
  measuredAtInletKPa?: number | undefined;
  measuredAtAirFlowLPerMin?: number | undefined;
  supplyKPa?: number | undefined;
};
export type AirlineInput = Line & {
  wantedInletKPa: number;
  airFlowLPerMin: number;
  ratedInletKPa?: number | undefined;
  airTemperatureC?: number | undefined;
};
export type Segment = { name: SegmentName; lossKPa: number };
export type SegmentName = 'couplerAtWall' | 'hose' | 'couplerAtGun' | 'lineAsMeasured';
export type AirlineAnswer = Explained & {
  regulatorFlowingKPa: number;
  regulatorStaticKPa: number;
  lossKPa: number;
  lossPercent: number;
  airFlowLPerMin: number;
  segments: Segment[];
};

const REGULATOR = {
  small: { droopPaSPerM3: 1.2e7, lockUpPa: 3000 },
  large: { droopPaSPerM3: 3.5e6, lockUpPa: 2000 },
} as const;
const NARROW_FROM_PERCENT = 35;
const ELSEWHERE_FROM = 0.05;
const MACH_LIMIT = 0.7;

/** Free air at the wanted inlet pressure. [line-1] */
export const flowAtInlet = (
  airFlowLPerMin: number,
  ratedInletKPa: number,
  inletKPa: number,
): number => (airFlowLPerMin * absolutePa(inletKPa)) / absolutePa(ratedInletKPa);

/** At rest for a flowing reading of the same regulator. [line-4] */
export function staticKPa(
  regulator: Line['regulator'],
  flowingKPa: number,
  airFlowLPerMin: number,
): number {
  const { droopPaSPerM3, lockUpPa } = REGULATOR[regulator ?? 'large'];
  return airFlowLPerMin <= 0
    ? flowingKPa
    : flowingKPa + (droopPaSPerM3 * m3PerS(airFlowLPerMin) + lockUpPa) / 1000;
}

/** Pieces from the wall to the gun; half the couplers at each end, the odd one at the gun. */
function piecesOf({
  hose,
  couplers,
}: Line): ({ name: SegmentName; kind: CouplerKind } | { name: 'hose'; hose: Hose })[] {
  const each = (couplers ?? []).flatMap(({ kind, count }) =>
    Array.from({ length: count }, () => kind),
  );
  const atWall = Math.floor(each.length / 2);
  return [
    ...each.slice(0, atWall).map((kind) => ({ name: 'couplerAtWall' as const, kind })),
    ...(hose ? [{ name: 'hose' as const, hose }] : []),
    ...each.slice(atWall).map((kind) => ({ name: 'couplerAtGun' as const, kind })),
  ];
}

/** Loss piece by piece, wall first, by the physics alone. */
function computedSegments(
  line: Line,
  inletPa: number,
  flowM3PerS: number,
  temperatureK: number,
): { segments: Segment[]; wallPa: number } {
  const segments: Segment[] = [];
  let pressurePa = inletPa;
  for (const piece of piecesOf(line).reverse()) {
    const beforePa =
      'hose' in piece
        ? hoseInletPa(piece.hose, pressurePa, flowM3PerS, temperatureK)
        : restrictionInletPa(COUPLERS[piece.kind], pressurePa, flowM3PerS);
    segments.unshift({ name: piece.name, lossKPa: (beforePa - pressurePa) / 1000 });
    pressurePa = beforePa;
  }
  return { segments, wallPa: pressurePa };
}

/** Flowing wall pressure from the loss that somebody measured. [line-2, line-3] */
function measuredWallKPa(
  input: AirlineInput & { measuredLossPercent: number },
  airFlowLPerMin: number,
): number {
  const { measuredLossPercent, wantedInletKPa } = input;
  const share = measuredLossPercent / 100;
  const atInletKPa = input.measuredAtInletKPa ?? wantedInletKPa;
  const atFlow =
    input.measuredAtAirFlowLPerMin ?? flowAtInlet(airFlowLPerMin, wantedInletKPa, atInletKPa);
  const [wallPa, gunPa] = [absolutePa(atInletKPa / (1 - share)), absolutePa(atInletKPa)];
  if (atFlow <= 0) return wantedInletKPa;
  const kept = (wallPa ** 2 - gunPa ** 2) / atFlow ** 2;
  return gaugeKPa(Math.sqrt(absolutePa(wantedInletKPa) ** 2 + kept * airFlowLPerMin ** 2));
}

const isElsewhere = (input: AirlineInput, airFlowLPerMin: number): boolean =>
  [
    [input.measuredAtInletKPa, input.wantedInletKPa],
    [input.measuredAtAirFlowLPerMin, airFlowLPerMin],
  ].some(
    ([there, here]) => there !== undefined && Math.abs(there - here!) > ELSEWHERE_FROM * here!,
  );

/**
 * What the regulator must show, flowing and at rest, for a pressure at the gun; gauge kPa, free air
 * L/min. A supply that cannot reach it is a stop in the answer. [line-1, line-2, line-3, line-4]
 */
export function airlineOf(input: AirlineInput): AirlineAnswer {
  const { wantedInletKPa, supplyKPa, measuredLossPercent } = input;
  const airFlowLPerMin = flowAtInlet(
    input.airFlowLPerMin,
    input.ratedInletKPa ?? wantedInletKPa,
    wantedInletKPa,
  );
  const flow = m3PerS(airFlowLPerMin);
  const temperatureK = kelvin(input.airTemperatureC ?? 20);
  const inletPa = absolutePa(wantedInletKPa);
  const computed = computedSegments(input, inletPa, flow, temperatureK);
  const isMeasured = measuredLossPercent !== undefined;
  const regulatorFlowingKPa = isMeasured
    ? measuredWallKPa({ ...input, measuredLossPercent }, airFlowLPerMin)
    : gaugeKPa(computed.wallPa);
  const regulatorStaticKPa = staticKPa(input.regulator, regulatorFlowingKPa, airFlowLPerMin);
  const lossKPa = regulatorFlowingKPa - wantedInletKPa;
  const lossPercent = regulatorFlowingKPa > 0 ? (lossKPa / regulatorFlowingKPa) * 100 : 0;
  const segments = isMeasured ? scaledTo(computed.segments, lossKPa) : computed.segments;
  const isBeyond =
    !isMeasured &&
    input.hose !== undefined &&
    hoseOutletMach(input.hose, inletPa, flow, temperatureK) > MACH_LIMIT;
  const beyond = { what: term('airSpeedInHose'), range: term('underSound') };
  const verdicts = [
    ...(supplyKPa !== undefined && regulatorStaticKPa > supplyKPa
      ? [stop('supply-too-low', { neededKPa: regulatorStaticKPa, supplyKPa })]
      : []),
    ...narrowVerdicts(lossPercent, segments),
    ...(isMeasured && isElsewhere(input, airFlowLPerMin)
      ? [caution('loss-measured-elsewhere')]
      : []),
    ...(isBeyond ? [caution('beyond-formula', beyond)] : []),
  ];
  return {
    regulatorFlowingKPa,
    regulatorStaticKPa,
    lossKPa,
    lossPercent,
    airFlowLPerMin,
    segments,
    verdicts,
    reasons: reasonsOf(input, { lossPercent, airFlowLPerMin }),
  };
}

function narrowVerdicts(lossPercent: number, segments: readonly Segment[]): Verdict[] {
  if (lossPercent <= NARROW_FROM_PERCENT) return [];
  const most = segments.reduce((worst, one) => (one.lossKPa > worst.lossKPa ? one : worst));
  return [caution('hose-too-narrow', { lossPercent, segment: `the ${most.name}` })];
}

/** The measured loss rules; the physics only says which piece has which share of it. */
function scaledTo(segments: Segment[], lossKPa: number): Segment[] {
  const total = segments.reduce((sum, segment) => sum + segment.lossKPa, 0);
  if (total <= 0) return [{ name: 'lineAsMeasured', lossKPa }];
  return segments.map(({ name, lossKPa: own }) => ({ name, lossKPa: (own / total) * lossKPa }));
}

function reasonsOf(
  input: AirlineInput,
  at: { lossPercent: number; airFlowLPerMin: number },
): Reason[] {
  if (input.measuredLossPercent === undefined) return [because('line-from-physics', 'model', at)];
  return [
    because('line-from-measurement', 'record', {
      measuredLossPercent: input.measuredLossPercent,
      ...at,
    }),
  ];
}
