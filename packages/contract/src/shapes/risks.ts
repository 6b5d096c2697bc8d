/** That an able painter would want it mended, 0 to 1, by what would be wrong. */
import { RISKS } from '@orthochrom/core/coat/spreads.ts';
import { z } from 'zod';
import { Spread } from './told.ts';

export const RiskName = z.enum(RISKS);
export const Risks = z.partialRecord(RiskName, Spread);
