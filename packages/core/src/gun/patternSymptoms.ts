/**
 * What a painter sees on paper or panel, in the order of the picker; `starved` is a thing seen in
 * the burst, not a pattern.
 */
export const PATTERNS = [
  'even',
  'heavyCentre',
  'split',
  'oneEndHeavy',
  'crescent',
  'tilted',
  'flutter',
  'narrow',
] as const;
export const BURST_SYMPTOMS = [
  'starved',
  'coarseSpots',
  'pullingApart',
  'dry',
  'tooWet',
  'runs',
  'blowBack',
  'stripes',
] as const;
export type Pattern = (typeof PATTERNS)[number];
export type PatternSymptom = Pattern | (typeof BURST_SYMPTOMS)[number];
