/** That an able painter would want it mended, 0 to 1, by what would be wrong. */
import { RISKS } from '@orthochrom/core/coat/riskIntervals.ts';
import { z } from 'zod';
import { Spread } from './verdicts.ts';

export const RiskName = z.enum(RISKS);
export const Risks = z.partialRecord(RiskName, Spread);
