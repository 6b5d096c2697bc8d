/** What the gate still has to be told before it can judge, by product, place and step. */
import type { Ask } from '../outcome/verdicts.ts';
import type { GateInput } from './gateInput.ts';
import { isTwoPackHazard, needsCover } from './hazard.ts';

export const ASK_NAME: Record<string, string> = {
  'protection.breathing': 'breathing',
  'protection.skin': 'skin cover',
  'protection.eyes': 'eye cover',
  extraction: 'extraction',
  bystanders: 'bystanders',
  ignition: 'ignition sources',
  'regionRules.twoPackAtHome': 'the local rule on two-pack',
  minutesSinceSpray: 'minutes since spraying',
  vapourCleared: 'whether the vapour is out',
};

export function asksOf(input: GateInput): Ask[] {
  const asks: Ask[] = [];
  const ask = (isOpen: boolean, field: string, options?: string[]) => {
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
