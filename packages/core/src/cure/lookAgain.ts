/**
 * The look on the next day: when, in which light, and what for. Pops and sink show overnight.
 *
 * Source  rule of thumb of the trade
 */
import type { FinishTarget, Stage } from '../trade/vocabulary.ts';

export const LIGHTS = ['booth', 'side', 'sun'] as const;
export type Light = (typeof LIGHTS)[number];
export const LOOKED_FOR = [
  'pinholes',
  'scratches',
  'flat',
  'dust',
  'repairEdges',
  'hidden',
  'shade',
  'stripes',
  'dryEdges',
  'depth',
  'flakeLie',
  'pops',
  'runs',
  'peel',
  'dull',
  'maskLines',
  'sink',
  'thinEdges',
] as const;
export type LookedFor = (typeof LOOKED_FOR)[number];
export type LookAgain = {
  fromMinute: number;
  toMinute: number;
  lights: Light[];
  lookFor: LookedFor[];
};

const FROM_MINUTES = 720;
const TO_MINUTES = 2880;
const LIGHTS_OF: Record<FinishTarget, readonly Light[]> = {
  show: LIGHTS,
  factory: ['booth', 'side'],
  low: ['booth'],
};
const UNDER: readonly LookedFor[] = ['pinholes', 'scratches', 'flat', 'dust', 'repairEdges'];
const COLOUR: readonly LookedFor[] = ['hidden', 'shade', 'stripes', 'dust', 'dryEdges'];
const TOP: readonly LookedFor[] = [
  'pops',
  'runs',
  'peel',
  'dust',
  'dull',
  'maskLines',
  'sink',
  'thinEdges',
];
const FOR: Record<Stage, readonly LookedFor[]> = {
  primer: UNDER,
  sealer: UNDER,
  ground: COLOUR,
  base: COLOUR,
  effect: ['depth', 'flakeLie', 'dust'],
  clear: TOP,
  singleStage: TOP,
};

/** @param from minute at which it is open again after heat; nought where it was not heated */
export function lookAgain({
  stage,
  target,
  isEffect,
  from,
}: {
  stage: Stage;
  target: FinishTarget;
  isEffect: boolean;
  from: number;
}): LookAgain {
  const usual = LIGHTS_OF[target];
  return {
    fromMinute: from + FROM_MINUTES,
    toMinute: from + TO_MINUTES,
    lights: LIGHTS.filter((light) => usual.includes(light) || (light === 'sun' && isEffect)),
    lookFor: [...FOR[stage]],
  };
}
