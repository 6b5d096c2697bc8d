/** That an able painter would want it mended, 0 to 1, by what would be wrong. */
import { z } from 'zod';
import { Spread } from './told.ts';

export const RiskName = z.enum(['peel', 'run', 'pop', 'drySpray', 'stripe', 'pinhole', 'mottle', 'blush']);
export const Risks = z.partialRecord(RiskName, Spread);
