import {
  LAST_CLEANERS,
  LATE_FINDS,
  REACHES,
  SANDED_WET,
  SANDING_TOOLS,
  SKIPPED,
  STEP_STATES,
  TACK_WAYS,
  WIPED_WITH,
} from '@orthochrom/core/prep/prepInput.ts';
import { LIFT_RISKS } from '@orthochrom/core/layers/layerCheck.ts';
import { prepOf } from '@orthochrom/core/prep/prep.ts';
import { answersTo, kindInKey, mayBeLeftOut, PREP_KINDS } from '@orthochrom/core/prep/stepKinds.ts';
import { z } from 'zod';
import { contradiction, name, needsField, notOneOf, optional } from '../quantity/fields.ts';
import { Grit, GritBand } from '../shapes/layers.ts';
import { Extraction, Place } from '../shapes/trade.ts';
import { Ask, explained } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';
import { namesFit, panelsAndStages } from './panelsAndStages.ts';

/** A job of 64 panels in four sessions, each panel tried by itself. */
const LONGEST_PREP = 1000;

export const PrepAnswered = z
  .strictObject({
    key: z.string().min(1).max(200),
    answer: z.string().min(1).max(40),
    reason: z.string().max(200).optional(),
    afterFinds: z.int().min(0).max(LONGEST_PREP).optional(),
  })
  .superRefine(({ key, answer, reason = '' }, ctx) => {
    const kind = kindInKey(key);
    if (answer === SKIPPED && kind && !mayBeLeftOut(kind))
      ctx.addIssue(contradiction(['answer'], `${key} is never left out`));
    else if (answer === SKIPPED && reason.trim() === '')
      ctx.addIssue(needsField(['reason'], `${key} is left out only with a word why`));
    else if (answer !== SKIPPED && kind && !answersTo(kind).includes(answer))
      ctx.addIssue(notOneOf(['answer'], `${key} is answered with ${answersTo(kind).join(', ')}`));
  });
export const LateFound = z.strictObject({ panel: name(), what: z.enum(LATE_FINDS) });
export const TackWay = z.enum(TACK_WAYS);
export const LastCleaner = z.enum(LAST_CLEANERS);

const Step = z.strictObject({
  key: z.string(),
  stage: z.string(),
  kind: z.enum(PREP_KINDS),
  panels: z.array(z.string()),
  state: z.enum(STEP_STATES),
  mayBeSkipped: z.boolean(),
  gate: z.strictObject({ options: z.array(z.string()), passes: z.array(z.string()) }).optional(),
  grit: GritBand.optional(),
  ladder: z.array(Grit).optional(),
  around: Grit.optional(),
  wet: z.enum(SANDED_WET).optional(),
  tool: z.enum(SANDING_TOOLS).optional(),
  reach: z.enum(REACHES).optional(),
  wipe: z.enum(WIPED_WITH).optional(),
  waitFor: z.literal('sandDry').optional(),
  again: z.array(z.string()).optional(),
  fault: z.string().optional(),
});

export const prepCalculation = defineCalculation('prep', {
  input: z
    .strictObject({
      ...panelsAndStages,
      way: z.strictObject({ tack: TackWay.optional() }).optional(),
      cleaner: LastCleaner.optional(),
      room: z
        .strictObject({
          place: Place,
          extraction: Extraction.optional(),
          ...optional('marginC', 'relativeHumidityPercent', 'siliconeMonths'),
          wetFloor: z.boolean().optional(),
        })
        .optional(),
      done: z.array(PrepAnswered).max(LONGEST_PREP).optional(),
      lateFound: z.array(LateFound).max(LONGEST_PREP).optional(),
    })
    .superRefine((input, ctx) => {
      namesFit(input, ctx);
      const { panels, lateFound = [] } = input;
      lateFound.forEach(({ panel }, i) => {
        if (!panels.some((one) => one.name === panel))
          ctx.addIssue(
            contradiction(['lateFound', i, 'panel'], `${panel} is not among the panels taken in`),
          );
      });
    }),
  answer: () =>
    z.strictObject({
      steps: z.array(Step),
      sequence: z.array(z.string()),
      next: z.string().optional(),
      heldBy: z.array(z.string()),
      ready: z.boolean(),
      skipped: z.array(z.string()),
      unused: z.array(z.string()),
      liftRisk: z.enum(LIFT_RISKS),
      asks: z.array(Ask),
      supplies: z.array(z.strictObject({ what: z.string(), count: z.number(), why: z.string() })),
      ...explained,
    }),
  compute: prepOf,
});
