import { Carrier, Chemistry, Extraction, Place } from '../shapes/trade.ts';
import { gateOf } from '@orthochrom/core/safety/gate.ts';
import { BREATHINGS, FLOORS, GATE_STEPS, HOME_RULES } from '@orthochrom/core/safety/gateInput.ts';
import { z } from 'zod';
import { listOf, optional, text } from '../quantity/fields.ts';
import { Advice, Ask, verdictsShape } from '../shapes/verdicts.ts';
import { defineCalculation } from './define.ts';

export const GateStep = z.enum(GATE_STEPS);
export const Breathing = z.enum(BREATHINGS);
export const RegionRules = z.strictObject({
  twoPackAtHome: z.enum(HOME_RULES).optional(),
  ...optional('vocLimitGPerL'),
});
/** What the painter answers; the rest of the gate's input is known from the ticket. */
export const gateAnswersShape = {
  regionRules: RegionRules.optional(),
  protection: z
    .strictObject({
      breathing: Breathing,
      skin: z.boolean().optional(),
      eyes: z.boolean().optional(),
    })
    .optional(),
  breathingAirChecked: z.boolean().optional(),
  extraction: Extraction.optional(),
  ignition: listOf(text()).optional(),
  bystanders: z.boolean().optional(),
  floor: z.enum(FLOORS).optional(),
  vapourCleared: z.boolean().optional(),
};

export const gateCalculation = defineCalculation('gate', {
  input: z.strictObject({
    product: z.strictObject({ hardener: Chemistry, carrier: Carrier, ...optional('vocGPerL') }),
    place: Place,
    region: z.string().max(80).optional(),
    ...gateAnswersShape,
    roomExtraction: Extraction.optional(),
    step: GateStep,
    ...optional('minutesSinceSpray'),
  }),
  answer: () =>
    z.strictObject({
      passed: z.boolean(),
      asks: z.array(Ask),
      alternatives: z.array(Advice),
      ...verdictsShape,
    }),
  compute: gateOf,
});
