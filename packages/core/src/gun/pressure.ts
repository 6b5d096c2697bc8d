/**
 * What a pressure reading is worth, and the same pressure at the other places. Five pressures share
 * one word: wall and gun, at rest and flowing, and the cap; only a flowing one at a known place
 * says anything.
 */
import { airlineOf } from '../compressedAir/airline.ts';
import { bisect } from '../numerics/bisect.ts';
import { logNormalSpread, mapSpread, Z_80, type Spread } from '../outcome/spread.ts';
import { because, caution, type Ask, type Explained, type Verdict } from '../outcome/verdicts.ts';
import { convert } from '../units/convert.ts';
import { airFlowOf, gunModelOf } from './gunModel.ts';
import { capSpreadOf } from './gunOutput.ts';
import { isKindUnknown, kindUnknown } from './hvlpKind.ts';
import { capAtInlet, inletAtCap } from './inletPressure.ts';
import { limitVerdicts } from './limits.ts';
import { asksOf, bandOf, reasonsOf, dropReasons } from './pressureReasons.ts';
import type { PressureInput, PressureAtGun } from './reading.ts';

export type PressureAnswer = Explained & {
  inletKPa?: Spread;
  capKPa?: Spread;
  wallKPa?: Spread;
  usable: boolean;
  dropKPa?: number;
  changeKPa?: number;
  asks: Ask[];
};

/** Logarithmic deviation of a reading by how far its gauge is trusted. */
const GAUGE_LOG_SD = { good: 0.02, doubtful: 0.1, none: 0.2 } as const;
/** Under half a painter's step there is nothing to turn. */
const LEAVE_IT_KPA = 3.5;
const STARVING_DROP_KPA = 69;
const MOST_INLET_KPA = 1000;
/** Only the air matters here: any paint will do for a model that is asked nothing about paint. */
const NO_PAINT = { densityKgPerM3: 1000, viscosityPaS: 0.05 };

/**
 * What a reading is worth as a pressure at the gun, and what to turn; gauge kPa. A reading at rest,
 * or of an unknown place, is worth nothing and says so.
 */
export function pressureOf(input: PressureInput): PressureAnswer {
  const { at, flowing, gaugeTrust = 'good', gun } = input;
  const model = gunModelOf(gun, input.nozzleMm ?? gun.nozzlesMm[0]!, NO_PAINT);
  const place = { ...input, model, fanTurnsOut: input.fanTurnsOut ?? model.fullFanTurns };
  const readKPa = convert(input.value, input.unit, 'kPa');
  const dropKPa = dropOf(input, readKPa);
  const said = { ...(dropKPa === undefined ? {} : { dropKPa }) };
  const verdicts = readingVerdicts(input, dropKPa);
  if (flowing !== 'yes' || at === 'unknown')
    return {
      usable: false,
      ...said,
      asks: [],
      verdicts,
      reasons: [because('reading-worth-nothing', 'rule')],
    };
  if (at === 'wall' && !input.airline)
    return {
      wallKPa: spreadOf(readKPa, gaugeTrust),
      usable: false,
      ...said,
      asks: [],
      verdicts,
      reasons: [because('line-not-known', 'rule'), ...dropReasons(undefined, dropKPa)],
    };
  return { ...atGun(place, readKPa, dropKPa, verdicts), ...said };
}

/** From rest to trigger at one gauge, kPa; unknown where it was not read in both. */
const dropOf = ({ restValue, flowing, unit }: PressureInput, readKPa: number): number | undefined =>
  restValue === undefined || flowing !== 'yes'
    ? undefined
    : convert(restValue, unit, 'kPa') - readKPa;

function readingVerdicts(
  { at, flowing, gaugeTrust = 'good' }: PressureInput,
  dropKPa: number | undefined,
): Verdict[] {
  const isStarving = dropKPa !== undefined && dropKPa >= STARVING_DROP_KPA;
  return [
    ...(flowing !== 'yes' ? [caution('reading-at-rest')] : []),
    ...(at === 'unknown' ? [caution('reading-place-unknown')] : []),
    ...(gaugeTrust !== 'good' ? [caution('gauge-not-trusted')] : []),
    ...(isStarving ? [caution('supply-drops', { dropKPa })] : []),
  ];
}

/** A reading taken under flow at a known place, as pressures at the gun, cap and wall. */
function atGun(
  place: PressureAtGun,
  readKPa: number,
  dropKPa: number | undefined,
  verdicts: readonly Verdict[],
): PressureAnswer {
  const { at, gun, model, gaugeTrust = 'good' } = place;
  const inletKPa = mapSpread(spreadOf(readKPa, gaugeTrust), inletFrom(place));
  const capKPa =
    at === 'cap'
      ? spreadOf(readKPa, gaugeTrust)
      : withReading(capSpreadOf(gun, model, { ...place, inletKPa: inletKPa.value }), gaugeTrust);
  const wall = wallOf(place, inletKPa.value);
  const wallKPa =
    at === 'wall'
      ? spreadOf(readKPa, gaugeTrust)
      : wall && mapSpread(inletKPa, (kPa) => wallOf(place, kPa)!.regulatorFlowingKPa);
  const changeKPa = changeOf(place, readKPa);
  const isKindAsked = at !== 'cap' && isKindUnknown(gun, model.nozzleMm);
  return {
    inletKPa,
    capKPa,
    ...(wallKPa ? { wallKPa } : {}),
    usable: gaugeTrust === 'good',
    ...(changeKPa === undefined ? {} : { changeKPa }),
    asks: asksOf(place, readKPa),
    verdicts: [
      ...verdicts,
      ...(isKindAsked ? [kindUnknown()] : []),
      ...limitVerdicts(
        gun,
        model,
        { inletKPa: inletKPa.value, capKPa: capKPa.value, fanTurnsOut: place.fanTurnsOut },
        limitsOf(place),
      ),
      ...(wall?.verdicts ?? []).filter(
        ({ code }) => code === 'loss-measured-elsewhere' || code === 'beyond-formula',
      ),
    ],
    reasons: [
      ...reasonsOf(place),
      ...dropReasons(
        at === 'wall' ? wall && wall.regulatorStaticKPa - wall.regulatorFlowingKPa : undefined,
        dropKPa,
      ),
    ],
  };
}

const spreadOf = (kPa: number, trust: keyof typeof GAUGE_LOG_SD): Spread =>
  logNormalSpread(kPa, GAUGE_LOG_SD[trust]);

/** The reading's own doubt beside the gun's. */
const withReading = (known: Spread, trust: keyof typeof GAUGE_LOG_SD): Spread => {
  const widened = Math.exp(Z_80 * GAUGE_LOG_SD[trust]);
  return { value: known.value, low: known.low / widened, high: known.high * widened };
};

const wallOf = ({ airline, model, fanTurnsOut }: PressureAtGun, inletKPa: number) =>
  airline &&
  airlineOf({
    ...airline,
    wantedInletKPa: inletKPa,
    airFlowLPerMin: airFlowOf(model, inletKPa, fanTurnsOut),
  });

/**
 * The same pressure at the gun, from where it was read; the wall's is turned round by bisection.
 */
const inletFrom =
  (placed: PressureAtGun) =>
  (readKPa: number): number => {
    if (placed.at === 'inlet') return readKPa;
    if (placed.at === 'cap') return inletAtCap(placed.model, readKPa, placed.fanTurnsOut);
    return bisect(
      (kPa) => wallOf(placed, kPa)!.regulatorFlowingKPa - readKPa,
      0.01,
      Math.min(readKPa + 0.01, MOST_INLET_KPA),
      50,
    );
  };

/** What to move this gauge by for the wanted inlet; nought where it is near enough. */
function changeOf(placed: PressureAtGun, readKPa: number): number | undefined {
  const { wantedInletKPa, at } = placed;
  if (wantedInletKPa === undefined) return undefined;
  const wanted =
    at === 'inlet'
      ? wantedInletKPa
      : at === 'cap'
        ? capAtInlet(placed.model, wantedInletKPa, placed.fanTurnsOut)
        : wallOf(placed, wantedInletKPa)!.regulatorFlowingKPa;
  const change = wanted - readKPa;
  return Math.abs(change) < LEAVE_IT_KPA ? 0 : change;
}

/** The usual band is only known where the coat is. */
const limitsOf = (placed: PressureAtGun) => ({
  capLimitKPa: placed.capLimitKPa,
  ...(placed.stage ? { bandKPa: bandOf({ ...placed, stage: placed.stage }) } : {}),
});
