/**
 * Knobs and hand for a coat, as practice and the painter's own way have them; the sheet goes first.
 */
import { practiceOf, type CoatOfGun } from '../inForce/nozzleBandOf.ts';
import { clamp, toStep } from '../numerics/rounding.ts';
import { because, type Reason } from '../outcome/verdicts.ts';
import { GUNS } from '../trade/gunClasses.ts';
import type { Finish, PartKind, Stage } from '../trade/vocabulary.ts';
import type { CoatPreset } from '../coats/coatPlanInput.ts';
import { fullFanTurnsOf, fullFluidTurnsOf, type Gun } from './gun.ts';
import { usualOverlapPercent } from './overlap.ts';
import { presetFor } from './preset.ts';
import type { GunSheet, Preferences } from './preferences.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

export type TechniqueInput = {
  gun: Gun;
  stage: Stage;
  finish?: Finish | undefined;
  part: PartKind;
  mist?: boolean | undefined;
  sheet?: GunSheet | undefined;
  way?: Preferences | undefined;
  limitFog?: boolean | undefined;
  /** What its own coat is planned with: lighter, further back. */
  preset?: CoatPreset | undefined;
};

/** What an arm can hold steady over a panel, m/s. */
export const HAND_M_PER_S = { slowest: 0.25, quickest: 0.8 } as const;
/** Where an arm is at its ease, by the work: what a metered needle is moved for. */
export const EASE_M_PER_S: Record<PartKind, readonly [slowest: number, quickest: number]> = {
  largePanel: [0.28, 0.66],
  smallPart: [0.28, 0.6],
  jamb: [0.25, 0.45],
  spot: [0.25, 0.45],
};
/** No arm moves a gun slower or quicker: what an aim would ask beyond it is not laid. */
export const ARM_M_PER_S = { slowest: 0.02, quickest: 3 } as const;
const HIGH_SOLIDS_NEEDLE = 0.25;
const DISTANCE_STEP_MM = { near: -35, middle: 0, far: 50 } as const;

/**
 * The painter doses by trigger and hand, needle fully open: on large panels only, never for a mist
 * coat.
 */
export const isNeedleOpen = ({
  way,
  part,
  mist,
}: Pick<TechniqueInput, 'way' | 'part' | 'mist'>): boolean =>
  way?.needle === 'open' && part === 'largePanel' && !mist;

/** Needle and fan, turns from closed, by practice, by the work and by the painter's own way. */
export function knobsFor(
  input: TechniqueInput,
  coat: CoatOfGun & { isHighSolids: boolean },
): { fluidTurnsOut: number; fanTurnsOut: number; reasons: Reason[] } {
  const { gun, part, mist, way, limitFog } = input;
  const preset = presetFor(part, mist, input.preset);
  const fullFluid = fullFluidTurnsOf(gun);
  const fullFan = fullFanTurnsOf(gun);
  const isOpen = isNeedleOpen(input);
  const metered =
    ((practiceOf(coat).needleTurnsOfFour + (coat.isHighSolids ? HIGH_SOLIDS_NEEDLE : 0)) / 4) *
    fullFluid *
    (way?.skill === 'learner' ? 0.75 : 1) *
    (limitFog ? 0.85 : 1) *
    preset.fluid;
  const back = way?.fan === 'open' || mist ? 0 : (way?.fanBackTurns ?? KNOB_STEP_TURNS);
  return {
    fluidTurnsOut: isOpen
      ? fullFluid
      : clamp(toStep(metered, KNOB_STEP_TURNS), KNOB_STEP_TURNS, fullFluid),
    fanTurnsOut: GUNS[gun.class].hasFanKnob
      ? clamp(toStep((fullFan - back) * preset.fan, KNOB_STEP_TURNS), 0, fullFan)
      : fullFan,
    reasons: [
      because(isOpen ? 'needle-open' : 'needle-metered', 'rule'),
      ...(way?.skill === 'learner' && !isOpen ? [because('learner-less-paint', 'rule')] : []),
    ],
  };
}

/**
 * Gun to panel where no sheet says, before the work of this coat: the painter's own, else the kind
 * of gun's.
 */
export const ownDistanceMm = ({
  gun,
  sheet,
  way,
}: Pick<TechniqueInput, 'gun' | 'sheet' | 'way'>): number =>
  sheet?.distanceMm ??
  way?.distanceMm ??
  GUNS[gun.class].distanceMm + DISTANCE_STEP_MM[way?.distance ?? 'middle'];

/** Distance, mm, and overlap, %: the sheet's, else the painter's, else practice's. */
export function handFor(input: TechniqueInput): {
  distanceMm: number;
  overlapPercent: number;
  reasons: Reason[];
} {
  const { stage, finish, part, mist, sheet, way, preset } = input;
  const ownOverlap = way?.overlapPercentByStage?.[stage] ?? way?.overlapPercent;
  const { distanceMm: thrownFromMm, distanceDeltaMm = 0 } = (mist ? undefined : preset) ?? {};
  const workMm = ownDistanceMm(input) * presetFor(part, mist, preset).distance;
  const distanceMm = toStep(thrownFromMm ?? workMm + distanceDeltaMm, 5);
  const overlapPercent = sheet?.overlapPercent ?? ownOverlap ?? usualOverlapPercent(stage, finish);
  const isSheets = sheet?.overlapPercent !== undefined;
  const reasons = [
    because(isSheets ? 'hand-from-sheet' : 'hand-from-practice', isSheets ? 'dataSheet' : 'rule'),
  ];
  if (isSheets && ownOverlap !== undefined && ownOverlap !== sheet.overlapPercent)
    reasons.push(because('sheet-before-way', 'dataSheet', { overlapPercent: ownOverlap }));
  return { distanceMm, overlapPercent, reasons };
}
