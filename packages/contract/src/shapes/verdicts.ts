/** Shapes that every answer has. */
import { REASON_SOURCES } from '@orthochrom/core/outcome/verdicts.ts';
import { LEVELS } from '@orthochrom/core/outcome/codes.ts';
import { z } from 'zod';

export const Params = z.record(z.string(), z.union([z.number(), z.string()]));
const PathSchema = z.array(z.union([z.string(), z.number()]));
const Lead = z.strictObject({ code: z.string(), text: z.string() });
export const Verdict = z.strictObject({
  level: z.enum(LEVELS),
  code: z.string(),
  message: z.string(),
  /** Which fault or harm would follow, and what to do instead: with every stop and caution. */
  follows: Lead.optional(),
  instead: Lead.optional(),
  path: PathSchema.optional(),
  params: Params.optional(),
});
export const Reason = z.strictObject({
  text: z.string(),
  source: z.enum(REASON_SOURCES),
  code: z.string(),
  params: Params.optional(),
});
export const Advice = z.strictObject({
  text: z.string(),
  code: z.string().optional(),
  caution: z.string().optional(),
});
export const Ask = z.strictObject({
  field: z.string(),
  question: z.string(),
  options: z.array(z.string()).optional(),
});
export const Spread = z.strictObject({ value: z.number(), low: z.number(), high: z.number() });
export const verdictsShape = { verdicts: z.array(Verdict) };
export const explained = { ...verdictsShape, reasons: z.array(Reason) };
