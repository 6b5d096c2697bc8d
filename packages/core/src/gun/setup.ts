/**
 * How to set this gun for this coat: the sheet's word, then the practice bands, then what the gun's own rating and tests
 * say it does there. A starting point that ends in a test panel; drops, landing and risks wait for the forward model.
 */
import type { Carrier } from '../air/climate.ts';
import type { Line } from '../compressedAir/airline.ts';
import type { Finish } from '../evaporation/evaporationIndex.ts';
import { materialClassOf } from '../material/classes.ts';
import type { Chemistry } from '../mix/mix.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, type Ask, type Explained, type Reason, type Verdict } from '../outcome/told.ts';
import { asSet, type AsSet } from './asSet.ts';
import { paintFor } from './atWork.ts';
import { testsOf, type Gun, type PartKind, type Place, type Stage } from './gun.ts';
import { gunModelOf, type GunModel } from './gunModel.ts';
import { HAND_M_PER_S, handFor, isNeedleOpen, knobsFor, QUARTER } from './hand.ts';
import { capAtInlet, inletAtCap, inletPressureFor } from './inletPressure.ts';
import { nozzleFor } from './nozzle.ts';
import { leastOverlapPercent, PINCHED_FAN_MM } from './overlap.ts';
import { COATS, wetFilmUm, WETNESS, type Wetness } from './practiceBands.ts';
import { dropWindowUm } from './spray.ts';
import { MIST_NAME, PART_NAME, presetFor } from './preset.ts';
import type { GunSheet, Way } from './way.ts';

export type SetupInput = {
  gun: Gun;
  stage: Stage;
  carrier: Carrier;
  finish?: Finish;
  build?: boolean;
  viscosityMm2PerS?: number;
  airTemperatureC?: number;
  /** Of the paint in the cup; absent: the air's. */
  materialTemperatureC?: number;
  place: Place;
  part: PartKind;
  /** A mist coat: wide fan, little paint, thin. */
  mist?: boolean;
  sheet?: GunSheet;
  way?: Way;
  airline?: Line;
  capLimitKPa?: number;
  hardener?: Chemistry;
  highSolids?: boolean;
  limitFog?: boolean;
  panelLengthM?: number;
  knobsNow?: { fanTurnsOut: number; fluidTurnsOut: number; part?: PartKind; mist?: boolean };
};
export type SetupAnswer = Explained &
  AsSet & {
    nozzleMm: number;
    nozzleWantedMm: Band;
    inletKPa: number;
    fluidTurnsOut: number;
    fanTurnsOut: number;
    distanceMm: number;
    overlapPercent: number;
    coats: number;
    wetFilmUm: number;
    wetness: Wetness;
    asks: Ask[];
  };

export function setupOf(input: SetupInput): SetupAnswer {
  const { gun, stage, carrier, part, mist, sheet } = input;
  const nozzle = nozzleFor(input);
  const model = gunModelOf(gun, nozzle.nozzleMm, paintFor(input));
  const knobs = knobsFor(input);
  const hand = handFor(input);
  const preset = presetFor(part, mist);
  const air = inletPressureFor({ ...input, model, fanTurnsOut: knobs.fanTurnsOut });
  const inletKPa = Math.floor(air.inletKPa * preset.air);
  const wetFilm = Math.round((sheet?.wetFilmUm ?? wetFilmUm(stage, carrier, input)) * preset.film);
  const at = (fluidTurnsOut: number) => ({
    fluidTurnsOut,
    ...asSet(
      { ...input, nozzleMm: nozzle.nozzleMm },
      {
        inletKPa,
        fluidTurnsOut,
        fanTurnsOut: knobs.fanTurnsOut,
        wetFilmUm: wetFilm,
        distanceMm: hand.distanceMm,
        overlapPercent: hand.overlapPercent,
      },
    ),
  });
  const chosen = isNeedleOpen(input) ? at(knobs.fluidTurnsOut) : needleForHand(at, knobs.fluidTurnsOut, model.fullFluidTurns);
  const { figures, line } = chosen;
  return {
    nozzleMm: nozzle.nozzleMm,
    nozzleWantedMm: nozzle.wantedMm,
    inletKPa,
    fluidTurnsOut: chosen.fluidTurnsOut,
    fanTurnsOut: knobs.fanTurnsOut,
    distanceMm: hand.distanceMm,
    overlapPercent: hand.overlapPercent,
    coats: sheet?.coats ?? COATS[stage],
    wetFilmUm: wetFilm,
    wetness: mist ? 'light' : WETNESS[stage],
    asks:
      input.hardener === undefined
        ? [{ field: 'hardener', code: 'which-hardener', options: ['isocyanate', 'other', 'none'] }]
        : [],
    ...figures,
    verdicts: [
      ...air.verdicts,
      ...nozzle.verdicts,
      ...(line?.verdicts ?? []).filter(({ code }) => code !== 'hose-too-narrow'),
      ...setupVerdicts(input, { nozzleMm: nozzle.nozzleMm, overlapPercent: hand.overlapPercent, fanWidthMm: figures.fanWidthMm }),
    ],
    reasons: [
      ...air.reasons,
      ...capReasons(input, model, { inletKPa, fanTurnsOut: knobs.fanTurnsOut }),
      ...nozzle.reasons,
      ...knobs.reasons,
      ...(chosen.fluidTurnsOut === knobs.fluidTurnsOut
        ? []
        : [because('needle-for-hand', 'model', { gunSpeedMPerS: figures.gunSpeedMPerS })]),
      ...handReasons(figures.gunSpeedMPerS),
      ...hand.reasons,
      ...testReasons(model),
      ...dropReasons(input, figures.dropletUm?.value),
      ...(line?.reasons ?? []),
      ...presetReasons(part, mist),
    ],
  };
}

/** Further than this from practice a needle is not taken for the hand's sake. */
const MOST_FOR_HAND_TURNS = 0.75;

/** Opens or closes a metered needle by quarters, a little, until the film asks for a hand that an arm can hold. */
function needleForHand<T extends { fluidTurnsOut: number; figures: AsSet }>(
  at: (fluidTurnsOut: number) => T,
  start: number,
  full: number,
): T {
  let chosen = at(start);
  const [least, most] = [Math.max(QUARTER, start - MOST_FOR_HAND_TURNS), Math.min(full, start + MOST_FOR_HAND_TURNS)];
  while (chosen.figures.gunSpeedMPerS > HAND_M_PER_S.quickest && chosen.fluidTurnsOut - QUARTER >= least)
    chosen = at(chosen.fluidTurnsOut - QUARTER);
  while (chosen.figures.gunSpeedMPerS < HAND_M_PER_S.slowest && chosen.fluidTurnsOut + QUARTER <= most)
    chosen = at(chosen.fluidTurnsOut + QUARTER);
  return chosen;
}

function capReasons({ capLimitKPa }: SetupInput, model: GunModel, at: { inletKPa: number; fanTurnsOut: number }): Reason[] {
  const capKPa = capAtInlet(model, at.inletKPa, at.fanTurnsOut);
  if (capLimitKPa === undefined) return [because('cap-at-inlet', 'model', { capKPa })];
  const mostKPa = Math.floor(inletAtCap(model, capLimitKPa, at.fanTurnsOut));
  return [because('cap-under-limit', 'model', { capKPa, capLimitKPa, mostKPa })];
}

/** A hand that no arm holds steady is told, not hidden. */
function handReasons(gunSpeedMPerS: number): Reason[] {
  if (gunSpeedMPerS > HAND_M_PER_S.quickest) return [because('hand-too-quick', 'model', { gunSpeedMPerS })];
  return gunSpeedMPerS < HAND_M_PER_S.slowest ? [because('hand-too-slow', 'model', { gunSpeedMPerS })] : [];
}

/** Whether the drops suit this paint. */
function dropReasons({ stage, carrier, gun, build, highSolids }: SetupInput, dropletUm: number | undefined): Reason[] {
  if (dropletUm === undefined) return [];
  const [lowUm, highUm] = dropWindowUm(materialClassOf(stage, carrier, { build, highSolids }), gun.class);
  const params = { dropletUm, lowUm, highUm };
  if (dropletUm > highUm) return [because('drops-coarse', 'model', params)];
  return [dropletUm < lowUm ? because('drops-fine', 'model', params) : because('drops-right', 'model', params)];
}

function testReasons({ tests, flowFactor }: GunModel): Reason[] {
  return [
    ...(tests.catch ? [because('flow-from-catch', 'record', { flowFactor })] : [because('flow-from-class', 'model')]),
    ...(tests.fan ? [because('fan-from-test', 'record', { fanWidthMm: tests.fan.fanWidthMm })] : []),
    ...(tests.cap ? [because('cap-from-test', 'record', { capKPa: tests.cap.capKPa, inletKPa: tests.cap.inletKPa })] : []),
  ];
}

function setupVerdicts(
  input: SetupInput,
  { nozzleMm, overlapPercent, fanWidthMm }: { nozzleMm: number; overlapPercent: number; fanWidthMm: number },
): Verdict[] {
  const { hardener, sheet, part, place, stage, finish } = input;
  const verdicts: Verdict[] = [];
  if (hardener === undefined || hardener === 'isocyanate' || hardener === 'unknown') verdicts.push(caution('two-pack-breathing'));
  const left = partLeft(input);
  if (left) verdicts.push(caution('knobs-need-reset', { part: left }));
  if (!sheet) verdicts.push(caution('no-sheet'));
  if (input.limitFog || place !== 'booth') verdicts.push(caution('fog-limit'));
  if (overlapPercent < leastOverlapPercent(stage, finish)) verdicts.push(caution('overlap-low', { overlapPercent }));
  if (fanWidthMm < PINCHED_FAN_MM && part !== 'jamb' && part !== 'spot' && input.gun.class !== 'airbrush')
    verdicts.push(caution('fan-pinched', { fanWidthMm }));
  if (testsOf(input.gun, nozzleMm).length === 0) verdicts.push(caution('test-panel-first'));
  return verdicts;
}

/** What the knobs still stand for, where it is not this work. */
function partLeft({ knobsNow, part, mist = false }: SetupInput): string | undefined {
  if (!knobsNow?.part) return undefined;
  if (knobsNow.mist && !mist) return MIST_NAME;
  return knobsNow.part === part ? undefined : PART_NAME[knobsNow.part];
}

function presetReasons(part: PartKind, mist = false): Reason[] {
  return [
    ...(mist ? [because('mist-wide-and-little', 'rule')] : []),
    ...(part === 'largePanel' ? [] : [because('small-work-all-down', 'rule', { part: PART_NAME[part] })]),
  ];
}
