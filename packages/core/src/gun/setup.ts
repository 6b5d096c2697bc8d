/**
 * How to set this gun for this coat: the sheet's word, then the practice bands. A starting point that ends in a test
 * panel. What only the gun's own physics or the forward model can tell is left out (WORK C111–C128, C140, C146–C148).
 */
import type { Carrier } from '../air/climate.ts';
import type { Finish } from '../evaporation/evaporationIndex.ts';
import type { Chemistry } from '../mix/mix.ts';
import { clamp, toStep } from '../numerics/rounding.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, type Ask, type Explained, type Reason, type Verdict } from '../outcome/told.ts';
import {
  DEFAULT_FULL_FAN_TURNS,
  DEFAULT_FULL_FLUID_TURNS,
  testsOf,
  type Gun,
  type PartKind,
  type Place,
  type Stage,
} from './gun.ts';
import { inletPressureFor } from './inletPressure.ts';
import { leastOverlapPercent } from './overlap.ts';
import {
  COATS,
  DISTANCE_MM,
  needleTurnsOfFour,
  nozzleBandMm,
  OVERLAP_PERCENT,
  wetFilmUm,
  WETNESS,
  type Wetness,
} from './practiceBands.ts';

export type GunSheet = {
  nozzleMm?: Band;
  inletKPa?: Band;
  capKPa?: Band;
  coats?: number;
  wetFilmUm?: number;
  overlapPercent?: number;
  distanceMm?: number;
};
export type Way = {
  needle?: 'open' | 'metered';
  gauge?: 'atGun' | 'atWall' | 'byEar';
  fan?: 'open' | 'backedOff';
  fanBackTurns?: number;
  overlapPercent?: number;
  overlapPercentByStage?: Partial<Record<Stage, number>>;
  distance?: 'near' | 'middle' | 'far';
  distanceMm?: number;
  baseCover?: 'coats' | 'oneAndHalf';
  primer?: 'one' | 'stack';
  clearReduction?: 'never' | 'sheet';
  grade?: 'temperature' | 'gloss' | 'speed';
  skill?: 'learner' | 'able' | 'expert';
};
export type SetupInput = {
  gun: Gun;
  stage: Stage;
  carrier: Carrier;
  finish?: Finish;
  build?: boolean;
  place: Place;
  part: PartKind;
  sheet?: GunSheet;
  way?: Way;
  capLimitKPa?: number;
  hardener?: Chemistry;
  highSolids?: boolean;
  limitFog?: boolean;
  knobsNow?: { fanTurnsOut: number; fluidTurnsOut: number; part?: PartKind };
};
export type SetupAnswer = Explained & {
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

const QUARTER = 0.25;
const HIGH_SOLIDS_NEEDLE = 0.25;
const DISTANCE_STEP_MM = { near: -35, middle: 0, far: 50 } as const;

/** A spot wants all three down: less air, less paint, a smaller fan. A jamb likewise, with a narrower fan still (WORK C127, C140). */
const PART: Record<PartKind, { fluid: number; fan: number; distance: number; air: number }> = {
  largePanel: { fluid: 1, fan: 1, distance: 1, air: 1 },
  smallPart: { fluid: 0.8, fan: 0.7, distance: 0.95, air: 1 },
  jamb: { fluid: 0.55, fan: 0.3, distance: 0.8, air: 0.9 },
  spot: { fluid: 0.5, fan: 0.45, distance: 0.85, air: 0.85 },
};

export function setupOf(input: SetupInput): SetupAnswer {
  const nozzle = nozzleFor(input);
  const air = inletPressureFor(input);
  const knobs = knobsFor(input);
  const hand = handFor(input);
  const wetFilm = input.sheet?.wetFilmUm ?? wetFilmUm(input.stage, input.carrier, input);
  const verdicts = [...air.verdicts, ...nozzle.verdicts, ...setupVerdicts(input, nozzle.nozzleMm, hand.overlapPercent)];
  return {
    nozzleMm: nozzle.nozzleMm,
    nozzleWantedMm: nozzle.wantedMm,
    inletKPa: Math.floor(air.inletKPa * PART[input.part].air),
    fluidTurnsOut: knobs.fluidTurnsOut,
    fanTurnsOut: knobs.fanTurnsOut,
    distanceMm: hand.distanceMm,
    overlapPercent: hand.overlapPercent,
    coats: input.sheet?.coats ?? COATS[input.stage],
    wetFilmUm: wetFilm,
    wetness: WETNESS[input.stage],
    asks:
      input.hardener === undefined
        ? [{ field: 'hardener', code: 'which-hardener', options: ['isocyanate', 'other', 'none'] }]
        : [],
    verdicts,
    reasons: [...air.reasons, ...nozzle.reasons, ...knobs.reasons, ...hand.reasons, ...partReasons(input.part)],
  };
}

function nozzleFor({ gun, stage, carrier, build, sheet }: SetupInput): {
  nozzleMm: number;
  wantedMm: Band;
  verdicts: Verdict[];
  reasons: Reason[];
} {
  const wantedMm = sheet?.nozzleMm ?? nozzleBandMm(gun.class, stage, carrier, build);
  const [lowMm, highMm] = wantedMm;
  const distance = (mm: number) => Math.max(lowMm - mm, mm - highMm, 0) * 100 + Math.abs(mm - (lowMm + highMm) / 2);
  const nozzleMm = gun.nozzlesMm.reduce((best, mm) => (distance(mm) < distance(best) ? mm : best));
  const isOutside = nozzleMm < lowMm - 1e-9 || nozzleMm > highMm + 1e-9;
  const why =
    nozzleMm < lowMm
      ? 'Too small: only a spot, with the most reduction the sheet allows, and a test panel first.'
      : 'Too large: it builds too much and splashes. Close the needle, more air within the band, and a test panel first.';
  return {
    nozzleMm,
    wantedMm,
    verdicts: isOutside ? [caution('nozzle-outside-sheet', { nozzleMm, lowMm, highMm, why })] : [],
    reasons: [because('nozzle-nearest-own', sheet?.nozzleMm ? 'dataSheet' : 'rule', { nozzleMm, lowMm, highMm })],
  };
}

function knobsFor({ gun, stage, part, way, highSolids, limitFog }: SetupInput): {
  fluidTurnsOut: number;
  fanTurnsOut: number;
  reasons: Reason[];
} {
  const fullFluid = gun.fullFluidTurns ?? DEFAULT_FULL_FLUID_TURNS;
  const fullFan = gun.fullFanTurns ?? DEFAULT_FULL_FAN_TURNS;
  const isOpen = way?.needle === 'open' && part === 'largePanel';
  const metered =
    ((needleTurnsOfFour(gun.class, stage) + (highSolids ? HIGH_SOLIDS_NEEDLE : 0)) / 4) *
    fullFluid *
    (way?.skill === 'learner' ? 0.75 : 1) *
    (limitFog ? 0.85 : 1) *
    PART[part].fluid;
  const fan = (fullFan - (way?.fan === 'open' ? 0 : (way?.fanBackTurns ?? QUARTER))) * PART[part].fan;
  return {
    fluidTurnsOut: isOpen ? fullFluid : clamp(toStep(metered, QUARTER), QUARTER, fullFluid),
    fanTurnsOut: clamp(toStep(fan, QUARTER), 0, fullFan),
    reasons: [
      because(isOpen ? 'needle-open' : 'needle-metered', 'rule'),
      ...(way?.skill === 'learner' && !isOpen ? [because('learner-less-paint', 'rule')] : []),
    ],
  };
}

function handFor({ gun, stage, finish, part, sheet, way }: SetupInput): {
  distanceMm: number;
  overlapPercent: number;
  reasons: Reason[];
} {
  const ownOverlap = way?.overlapPercentByStage?.[stage] ?? way?.overlapPercent;
  const ownDistance = way?.distanceMm ?? DISTANCE_MM[gun.class] + DISTANCE_STEP_MM[way?.distance ?? 'middle'];
  const distanceMm = toStep((sheet?.distanceMm ?? ownDistance) * PART[part].distance, 5);
  const overlapPercent =
    sheet?.overlapPercent ?? ownOverlap ?? Math.max(OVERLAP_PERCENT[stage], leastOverlapPercent(stage, finish) + 6);
  const reasons = [
    because(
      sheet?.overlapPercent === undefined ? 'hand-from-practice' : 'hand-from-sheet',
      sheet?.overlapPercent === undefined ? 'rule' : 'dataSheet',
    ),
  ];
  if (sheet?.overlapPercent !== undefined && ownOverlap !== undefined && ownOverlap !== sheet.overlapPercent)
    reasons.push(because('sheet-before-way', 'dataSheet', { overlapPercent: ownOverlap }));
  return { distanceMm, overlapPercent, reasons };
}

function setupVerdicts(input: SetupInput, nozzleMm: number, overlapPercent: number): Verdict[] {
  const { hardener, sheet, part, place, knobsNow, stage, finish } = input;
  const verdicts: Verdict[] = [];
  if (hardener === undefined || hardener === 'isocyanate' || hardener === 'unknown') verdicts.push(caution('two-pack-breathing'));
  if (knobsNow && knobsNow.part !== undefined && knobsNow.part !== part)
    verdicts.push(caution('knobs-need-reset', { part: PART_NAME[knobsNow.part] }));
  if (!sheet) verdicts.push(caution('no-sheet'));
  if (input.limitFog || place !== 'booth') verdicts.push(caution('fog-limit'));
  if (overlapPercent < leastOverlapPercent(stage, finish)) verdicts.push(caution('overlap-low', { overlapPercent }));
  if (testsOf(input.gun, nozzleMm).length === 0) verdicts.push(caution('test-panel-first'));
  return verdicts;
}

const PART_NAME: Record<PartKind, string> = {
  largePanel: 'a large panel',
  smallPart: 'a small part',
  jamb: 'a jamb',
  spot: 'a spot',
};

const partReasons = (part: PartKind): Reason[] =>
  part === 'largePanel' ? [] : [because('small-work-all-down', 'rule', { part: PART_NAME[part] })];
