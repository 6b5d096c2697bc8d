import { z } from 'zod';

export const CupName = z.enum(['din4', 'ford4', 'zahn2', 'iso4']);
export const MaterialClass = z.enum([
  'solventBase',
  'waterborneBase',
  'clearMediumSolids',
  'clearHighSolids',
  'singleStage',
  'solventSealer',
  'waterborneSealer',
  'epoxyPrimer',
  'buildPrimer',
]);
