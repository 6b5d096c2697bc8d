/** Tip, air, knobs and hand for a coat, chosen one after another. */
import { filmOf } from '../inForce/filmOf.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { PartKind } from '../trade/vocabulary.ts';
import { operatingPoint, type OperatingPoint } from './operatingPoint.ts';
import type { GunModel } from './gunModel.ts';
import { EASE_M_PER_S, handFor, isNeedleOpen, knobsFor } from './technique.ts';
import { coatOfGun, inletPressureFor } from './inletPressure.ts';
import type { SetJudged } from './judged.ts';
import { nozzleFor } from './nozzle.ts';
import { coatClassOf, paintInCup, roomOf } from './paintInCup.ts';
import { presetFor } from './preset.ts';
import type { SetupInput } from './setupInput.ts';
import { testedModelOf } from './testedModel.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

/** Tip, air, knobs and hand for this coat, each as its own word has it, and what comes out. */
export function chosenFor(input: SetupInput) {
  const { gun, part, mist, sheet } = input;
  const materialClass = coatClassOf(input);
  const { isBuild, isHighSolids } = MATERIALS[materialClass.value];
  const coat = coatOfGun({ ...input, isBuild });
  const nozzle = nozzleFor({ ownMm: gun.nozzlesMm, coat, sheetMm: sheet?.nozzleMm });
  const model = modelFor(input, nozzle.nozzleMm);
  const knobs = knobsFor(input, { ...coat, isHighSolids });
  const hand = handFor(input);
  const preset = presetFor(part, mist, input.preset);
  const { fanTurnsOut } = knobs;
  const airShare = preset.air;
  const air = inletPressureFor({ ...input, model, fanTurnsOut, isBuild, airShare });
  const film = filmOf({ class: materialClass.value, sheet, share: preset.film });
  const setAt = (fluidTurnsOut: number): SetJudged => ({
    nozzleMm: nozzle.nozzleMm,
    inletKPa: air.inletKPa,
    fluidTurnsOut,
    fanTurnsOut,
    wetFilmUm: Math.round(film.value.aimUm),
    distanceMm: hand.distanceMm,
    overlapPercent: hand.overlapPercent,
  });
  const at = (fluidTurnsOut: number) => ({
    set: setAt(fluidTurnsOut),
    ...operatingPoint(asked(input, nozzle.nozzleMm), setAt(fluidTurnsOut)),
  });
  const needle = isNeedleOpen(input)
    ? at(knobs.fluidTurnsOut)
    : needleForHand(at, knobs.fluidTurnsOut, model.fullFluidTurns, part);
  return { materialClass, nozzle, model, knobs, hand, air, film, ...needle };
}
export type Chosen = ReturnType<typeof chosenFor>;

/** The gun with this tip and the paint of this coat. */
export const modelFor = (input: SetupInput, nozzleMm: number): GunModel =>
  testedModelOf({ gun: input.gun, paint: paintInCup(input), roomAir: roomOf(input) }, nozzleMm);
/** What an operating point is worked out from. */
export const asked = (input: SetupInput, nozzleMm: number) => ({ ...input, nozzleMm });

/** Further than this from practice a needle is not taken for the hand's sake. */
const MOST_FOR_HAND_TURNS = 1.25;
const LEAST_TURNS = 0.5;

/**
 * Opens or closes a metered needle by quarters, a little, until the film asks for a hand that an
 * arm can hold.
 */
function needleForHand<T extends { set: SetJudged; figures: OperatingPoint }>(
  at: (fluidTurnsOut: number) => T,
  start: number,
  full: number,
  part: PartKind,
): T {
  let chosen = at(start);
  const [slowest, quickest] = EASE_M_PER_S[part];
  const least = Math.min(start, Math.max(LEAST_TURNS, start - MOST_FOR_HAND_TURNS));
  const most = Math.min(full, start + MOST_FOR_HAND_TURNS);
  while (
    chosen.figures.gunSpeedMPerS > quickest &&
    chosen.set.fluidTurnsOut - KNOB_STEP_TURNS >= least
  )
    chosen = at(chosen.set.fluidTurnsOut - KNOB_STEP_TURNS);
  while (
    chosen.figures.gunSpeedMPerS < slowest &&
    chosen.set.fluidTurnsOut + KNOB_STEP_TURNS <= most
  )
    chosen = at(chosen.set.fluidTurnsOut + KNOB_STEP_TURNS);
  return chosen;
}
/** Where an arm is at its ease for this work. */
export const isAtEase = (gunSpeedMPerS: number, part: PartKind): boolean =>
  gunSpeedMPerS >= EASE_M_PER_S[part][0] && gunSpeedMPerS <= EASE_M_PER_S[part][1];
