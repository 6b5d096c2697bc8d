import { Carrier, Finish, MaterialClass, Place, StageName } from '../shapes/trade.ts';
import { tuneOf, type TuneAnswer } from '@orthochrom/core/gun/tune.ts';
import { z } from 'zod';
import { listOf, optional } from '../quantity/fields.ts';
import {
  Gun,
  GunSheet,
  PatternSymptom,
  Settings,
  beyondTravel,
  Preferences,
} from '../shapes/gun.ts';
import { explained } from '../shapes/verdicts.ts';
import { effectText, GUN_FAULTS, knobWords, tuneWhy } from '../words/tuneWords.ts';
import { defineCalculation } from './define.ts';

/** A fault and a step get their words here, before the verdicts do. */
const inWords = ({ steps, fault, verdicts, reasons, ...answer }: TuneAnswer) => ({
  ...answer,
  reasons: reasons.map((reason) =>
    reason.code === 'settings-defaulted'
      ? { ...reason, params: { settings: knobWords(reason.params) } }
      : reason,
  ),
  steps: steps.map(({ why, effect, ...step }) => ({
    ...step,
    why: tuneWhy(why),
    ...(effect ? { expect: effectText(effect) } : {}),
  })),
  ...(fault ? { fault: { id: fault.id, ...GUN_FAULTS[fault.id] } } : {}),
  verdicts: verdicts.map((verdict) =>
    verdict.code === 'gun-fault' && fault
      ? { ...verdict, params: { ...GUN_FAULTS[fault.id] } }
      : verdict,
  ),
});

export const tuneCalculation = defineCalculation('tune', {
  input: z
    .strictObject({
      settings: Settings,
      seen: listOf(PatternSymptom, 1),
      stage: StageName,
      carrier: Carrier,
      class: MaterialClass.optional(),
      finish: Finish.optional(),
      gun: Gun.optional(),
      sheet: GunSheet.optional(),
      way: Preferences.optional(),
      place: Place.optional(),
      ...optional('capLimitKPa'),
    })
    .superRefine(({ settings, gun }, ctx) => {
      if (gun)
        beyondTravel(gun, settings, (_, full) => ['gun', full]).forEach((issue) =>
          ctx.addIssue(issue),
        );
    }),
  answer: () =>
    z.strictObject({
      steps: z.array(
        z.strictObject({
          knob: z.string(),
          from: z.number(),
          to: z.number(),
          why: z.string(),
          expect: z.string().optional(),
        }),
      ),
      settings: Settings,
      fault: z.strictObject({ id: z.string(), name: z.string(), check: z.string() }).optional(),
      ...explained,
    }),
  compute: (input) => inWords(tuneOf(input)),
});
