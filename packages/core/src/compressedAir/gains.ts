/**
 * What one better piece of a line would give back: each alone, against the line as it is.
 */
import { airlineOf, type AirlineInput, type Line } from './airline.ts';

export type Gain = {
  piece: 'hose' | 'shorterHose' | 'couplers' | 'regulator';
  innerDiameterMm?: number;
  lengthM?: number;
  flowing: { fromKPa: number; toKPa: number };
  atRest: { fromKPa: number; toKPa: number };
};

/** Bores that hoses are sold in. */
const BORES_MM = [6.35, 8, 9.5, 12.7];
const SHORTEST_M = 5;
/** Under this nobody would change a hose. */
const WORTH_KPA = 2;

/**
 * Best first; only what is worth the trouble. A measured loss shrinks by the share that the physics
 * says.
 */
export function gainsOf(input: AirlineInput): Gain[] {
  const now = airlineOf(input);
  const byPhysics = lossByPhysics(input, input);
  const gainOf = (change: Line): Pick<Gain, 'flowing' | 'atRest'> => {
    const better = { ...input, ...change };
    const lossKPa =
      byPhysics > 0 ? (now.lossKPa * lossByPhysics(better, input)) / byPhysics : now.lossKPa;
    const flowingKPa = input.wantedInletKPa + lossKPa;
    const droopKPa = airlineOf(better).regulatorStaticKPa - airlineOf(better).regulatorFlowingKPa;
    return {
      flowing: { fromKPa: now.regulatorFlowingKPa, toKPa: flowingKPa },
      atRest: { fromKPa: now.regulatorStaticKPa, toKPa: flowingKPa + droopKPa },
    };
  };
  const { hose, couplers, regulator } = input;
  const hasStandard = couplers?.some(({ kind, count }) => kind === 'standard' && count > 0);
  const gains: Gain[] = [
    ...(hose
      ? BORES_MM.filter((bore) => bore > hose.innerDiameterMm * 1.05)
          .slice(0, 2)
          .map((innerDiameterMm): Gain => ({
            piece: 'hose',
            innerDiameterMm,
            ...gainOf({ hose: { ...hose, innerDiameterMm } }),
          }))
      : []),
    ...(hose && hose.lengthM > SHORTEST_M * 1.2 ? [shorter(hose, gainOf)] : []),
    ...(hasStandard
      ? [
          {
            piece: 'couplers' as const,
            ...gainOf({
              couplers: couplers!.map(({ count }) => ({ kind: 'highFlow' as const, count })),
            }),
          },
        ]
      : []),
    ...(regulator === 'small'
      ? [{ piece: 'regulator' as const, ...gainOf({ regulator: 'large' }) }]
      : []),
  ];
  return gains.filter((gain) => worth(gain) > WORTH_KPA).sort((a, b) => worth(b) - worth(a));
}

function shorter(
  hose: NonNullable<Line['hose']>,
  gainOf: (change: Line) => Pick<Gain, 'flowing' | 'atRest'>,
): Gain {
  const lengthM = Math.max(SHORTEST_M, hose.lengthM / 2);
  return { piece: 'shorterHose', lengthM, ...gainOf({ hose: { ...hose, lengthM } }) };
}

const worth = ({ flowing, atRest }: Gain): number =>
  Math.max(flowing.fromKPa - flowing.toKPa, atRest.fromKPa - atRest.toKPa);

function lossByPhysics(
  { hose, couplers, regulator }: Line,
  { wantedInletKPa, airFlowLPerMin, ratedInletKPa }: AirlineInput,
): number {
  return airlineOf({ hose, couplers, regulator, wantedInletKPa, airFlowLPerMin, ratedInletKPa })
    .lossKPa;
}
