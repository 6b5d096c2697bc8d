import { gateOf } from '@orthochrom/core/safety/gate.ts';
import { z } from 'zod';
import { listOf, optional, text } from '../quantity/fields.ts';
import { Carrier, Chemistry, Place } from '../shapes/climate.ts';
import { Advice, Ask, told } from '../shapes/told.ts';
import { defineCalculation } from './define.ts';

export const GateStep = z.enum(['mix', 'spray', 'after', 'bake', 'clean']);
export const Breathing = z.enum(['airFed', 'cartridge', 'dust', 'none']);
export const Extraction = z.enum(['on', 'off', 'ratedFan', 'householdFan']);
export const RegionRules = z.strictObject({
  twoPackAtHome: z.enum(['prohibited', 'permitted', 'unknown']).optional(),
  ...optional('vocLimitGPerL'),
});
/** What the painter answers; the rest of the gate's input is known from the ticket. */
export const gateAnswersShape = {
  regionRules: RegionRules.optional(),
  protection: z.strictObject({ breathing: Breathing, skin: z.boolean().optional(), eyes: z.boolean().optional() }).optional(),
  extraction: Extraction.optional(),
  ignition: listOf(text()).optional(),
  bystanders: z.boolean().optional(),
};

export const gate = defineCalculation('gate', {
  input: z.strictObject({
    product: z.strictObject({ hardener: Chemistry, carrier: Carrier, ...optional('vocGPerL') }),
    place: Place,
    region: z.string().max(80).optional(),
    ...gateAnswersShape,
    step: GateStep,
    ...optional('minutesSinceSpray'),
  }),
  answer: z.strictObject({ passed: z.boolean(), asks: z.array(Ask), alternatives: z.array(Advice), ...told }),
  compute: gateOf,
});
