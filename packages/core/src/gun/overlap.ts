/**
 * Overlap, step and what they do to the film.
 *
 *   step = fan (1 − overlap)                                     [overlap-1]
 *   film ∝ 1/step: against half overlap, factor 0.5/(1 − overlap)  [overlap-2]
 *   wet film = flow · transfer / (speed · step)                  [overlap-3]
 *
 * Source  ours: volume balance of parallel passes
 */
import { STAGE_PRACTICE } from '../trade/practice.ts';
import { isEffect, type Finish, type Stage } from '../trade/vocabulary.ts';
import { caution, type WithVerdicts, type Verdict } from '../outcome/verdicts.ts';

export type OverlapInput = {
  fanWidthMm: number;
  overlapPercent?: number;
  stepMm?: number;
  overlapMm?: number;
  heightMm?: number;
  areaM2?: number;
  gunSpeedMPerS?: number;
  fluidMlPerMin?: number;
  transferEfficiencyPercent?: number;
  stage?: Stage;
  finish?: Finish;
};
export type OverlapAnswer = WithVerdicts & {
  overlapPercent: number;
  stepMm: number;
  passes?: number;
  spraySeconds?: number;
  filmFactor: number;
  keepFilm: { speedFactor: number; fluidFactor: number };
  wetFilmUm?: number;
};

export const PINCHED_FAN_MM = 100;
const THICKENS_FROM = 1.5;

/** Under this, bands show: clear and effect colours ask for more than primer. */
export const leastOverlapPercent = (stage?: Stage, finish?: Finish): number =>
  stage === 'clear' || stage === 'effect' || isEffect(finish) ? 60 : 45;

/**
 * Passes over a height, both in one unit: the first is aimed at the edge, the last at the other or
 * past it.
 */
export const passCount = (height: number, step: number): number =>
  Math.ceil(height / step - 1e-9) + 1;

/**
 * Step, overlap and passes of a panel, and what a change does to the film. [overlap-1, overlap-2,
 * overlap-3]
 */
export function overlapOf(input: OverlapInput): OverlapAnswer {
  const stepMm = stepOf(input);
  const overlapPercent = (1 - stepMm / input.fanWidthMm) * 100;
  const filmFactor = 0.5 / (stepMm / input.fanWidthMm);
  const passes = input.heightMm === undefined ? undefined : passCount(input.heightMm, stepMm);
  const spraySeconds = spraySecondsOf(input, stepMm, passes);
  const wetFilmUm = wetFilmOf(input, stepMm);
  return {
    overlapPercent,
    stepMm,
    ...(passes === undefined ? {} : { passes }),
    ...(spraySeconds === undefined ? {} : { spraySeconds }),
    filmFactor,
    keepFilm: { speedFactor: filmFactor, fluidFactor: 1 / filmFactor },
    ...(wetFilmUm === undefined ? {} : { wetFilmUm }),
    verdicts: verdictsOf(input, overlapPercent, filmFactor),
  };
}

/** The step of a pass: as told in mm, else what the overlap leaves of the fan. */
export const stepMmOf = (
  { stepMm, overlapPercent }: { stepMm?: number | undefined; overlapPercent: number },
  fanWidthMm: number,
): number => stepMm ?? fanWidthMm * (1 - Math.min(overlapPercent, MOST_OVERLAP_PERCENT) / 100);
const MOST_OVERLAP_PERCENT = 95;

function stepOf({ fanWidthMm, overlapPercent, stepMm, overlapMm }: OverlapInput): number {
  if (stepMm !== undefined) return stepMm;
  return overlapPercent !== undefined
    ? fanWidthMm * (1 - overlapPercent / 100)
    : fanWidthMm - overlapMm!;
}

/** Seconds of the trigger over a face, by its passes where its height is told. */
export function spraySecondsOf(
  { areaM2, heightMm, gunSpeedMPerS }: Pick<OverlapInput, 'areaM2' | 'heightMm' | 'gunSpeedMPerS'>,
  stepMm: number,
  passes?: number,
): number | undefined {
  if (areaM2 === undefined || gunSpeedMPerS === undefined) return undefined;
  if (passes === undefined || heightMm === undefined)
    return areaM2 / ((stepMm / 1000) * gunSpeedMPerS);
  return (passes * (areaM2 / (heightMm / 1000))) / gunSpeedMPerS;
}

/** [overlap-3]; ml/min → m³/s is 1/6e7, m → µm is 1e6. */
function wetFilmOf(
  { fluidMlPerMin, transferEfficiencyPercent, gunSpeedMPerS }: OverlapInput,
  stepMm: number,
): number | undefined {
  if (
    fluidMlPerMin === undefined ||
    transferEfficiencyPercent === undefined ||
    gunSpeedMPerS === undefined
  )
    return undefined;
  return (
    ((fluidMlPerMin / 6e7) * (transferEfficiencyPercent / 100) * 1e6) /
    (gunSpeedMPerS * (stepMm / 1000))
  );
}

function verdictsOf(
  { fanWidthMm, stage, finish }: OverlapInput,
  overlapPercent: number,
  filmFactor: number,
): Verdict[] {
  const verdicts: Verdict[] = [];
  if (filmFactor >= THICKENS_FROM) verdicts.push(caution('overlap-thickens', { filmFactor }));
  if (overlapPercent < leastOverlapPercent(stage, finish))
    verdicts.push(caution('overlap-low', { overlapPercent }));
  if (fanWidthMm < PINCHED_FAN_MM) verdicts.push(caution('fan-pinched', { fanWidthMm }));
  return verdicts;
}

/**
 * What practice gives a coat: its stage's, and clear of the least that hides the lines of this
 * colour.
 */
export const usualOverlapPercent = (stage: Stage, finish?: Finish): number =>
  Math.max(
    STAGE_PRACTICE[stage].overlapPercent,
    leastOverlapPercent(stage, finish) + CLEAR_OF_LEAST,
  );
const CLEAR_OF_LEAST = 6;
