/** What the gate still has to be told before it can judge, by product, place and step. */
import type { TermCode } from '../outcome/terms.ts';
import type { Ask } from '../outcome/verdicts.ts';
import type { GateInput } from './gateInput.ts';
import { isTwoPackHazard, needsCover } from './hazard.ts';

export const ASK_NAME = {
  'protection.breathing': 'breathing',
  'protection.skin': 'skinCover',
  'protection.eyes': 'eyeCover',
  extraction: 'extraction',
  bystanders: 'bystanders',
  ignition: 'ignitionSources',
  'regionRules.twoPackAtHome': 'ruleOnTwoPack',
  minutesSinceSpray: 'minutesSinceSpraying',
  vapourCleared: 'vapourOut',
} as const satisfies Record<string, TermCode>;
type AskField = keyof typeof ASK_NAME;
export type GateAsk = Ask & { field: AskField };

/** What the gate must still be told, by product, place and step. */
export function asksOf(input: GateInput): GateAsk[] {
  const asks: GateAsk[] = [];
  const ask = (isOpen: boolean, field: AskField, options?: string[]) => {
    if (isOpen) asks.push({ field, code: `ask-${field}`, ...(options ? { options } : {}) });
  };
  const { protection, step } = input;
  const yesNo = ['true', 'false'];
  ask(protection === undefined, 'protection.breathing', ['airFed', 'cartridge', 'dust', 'none']);
  ask(needsCover(input) && protection?.skin === undefined, 'protection.skin', yesNo);
  ask(needsCover(input) && protection?.eyes === undefined, 'protection.eyes', yesNo);
  ask(input.extraction === undefined, 'extraction', ['on', 'off', 'ratedFan', 'householdFan']);
  ask(input.product.carrier === 'solvent' && input.ignition === undefined, 'ignition');
  ask(input.bystanders === undefined, 'bystanders', yesNo);
  const rule = input.regionRules?.twoPackAtHome ?? 'unknown';
  ask(
    isTwoPackHazard(input) && input.place !== 'booth' && rule === 'unknown',
    'regionRules.twoPackAtHome',
    ['prohibited', 'permitted'],
  );
  ask(
    (step === 'after' || step === 'bake') && input.minutesSinceSpray === undefined,
    'minutesSinceSpray',
  );
  ask(step === 'bake' && input.vapourCleared === undefined, 'vapourCleared', yesNo);
  return asks;
}
