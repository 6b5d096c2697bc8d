import type { GunClass } from '@orthochrom/core/trade/gunClasses.ts';

export const CLASS_NAME: Record<GunClass, string> = {
  hvlp: 'HVLP',
  lvlp: 'LVLP, low air',
  reducedPressure: 'reduced pressure',
  conventional: 'conventional',
  siphon: 'siphon',
  mini: 'mini',
  airbrush: 'airbrush',
};
export const TRUST_NAME = { good: 'gauge trusted', doubtful: 'gauge doubtful', none: 'no gauge of its own' } as const;
