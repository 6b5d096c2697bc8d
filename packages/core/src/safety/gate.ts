/**
 * Is it safe and allowed to go on? Asked before any recipe or setting. Nothing here is medical or legal advice:
 * the product's safety sheet, the local code and licensed practice come first (WORK F01–F20; design ruling 2).
 */
import type { Carrier, Chemistry, Extraction, Place } from '../trade/vocabulary.ts';
import { caution, go, isStopped, stop, type Advice, type Ask, type Told, type Verdict } from '../outcome/told.ts';

export const GATE_STEPS = ['mix', 'spray', 'after', 'bake', 'clean'] as const;
export type GateStep = (typeof GATE_STEPS)[number];
export const BREATHINGS = ['airFed', 'cartridge', 'dust', 'none'] as const;
export type Breathing = (typeof BREATHINGS)[number];
/** What the painter found out about two-pack in a place like this. */
export const HOME_RULES = ['prohibited', 'permitted', 'unknown'] as const;
export type GateInput = {
  product: { hardener: Chemistry; carrier: Carrier; vocGPerL?: number };
  place: Place;
  region?: string;
  regionRules?: { twoPackAtHome?: (typeof HOME_RULES)[number]; vocLimitGPerL?: number };
  protection?: { breathing: Breathing; skin?: boolean; eyes?: boolean };
  extraction?: Extraction;
  /** What the room has by itself: an answer cannot be more than that. */
  roomExtraction?: Extraction;
  ignition?: string[];
  bystanders?: boolean;
  step: GateStep;
  minutesSinceSpray?: number;
};
export type GateAnswer = Told & { passed: boolean; asks: Ask[]; alternatives: Advice[] };

const BREATHING_NAME: Record<Breathing, string> = {
  airFed: 'Air-fed breathing',
  cartridge: 'A cartridge mask',
  dust: 'A dust mask',
  none: 'No protection',
};

export function gateOf(input: GateInput): GateAnswer {
  const asks = asksOf(input);
  const verdicts = [
    ...(asks.length > 0
      ? [stop('answers-missing', { what: asks.map((ask) => ASK_NAME[ask.field] ?? ask.field).join(', ') })]
      : []),
    ...placeVerdicts(input),
    ...protectionVerdicts(input),
    ...roomVerdicts(input),
    ...stepVerdicts(input),
  ];
  const passed = !isStopped(verdicts);
  return { passed, asks, alternatives: alternativesOf(verdicts), verdicts: passed ? [go('gate-passed'), ...verdicts] : verdicts };
}

const ASK_NAME: Record<string, string> = {
  'protection.breathing': 'breathing',
  'protection.skin': 'skin cover',
  'protection.eyes': 'eye cover',
  extraction: 'extraction',
  bystanders: 'bystanders',
  ignition: 'ignition sources',
  'regionRules.twoPackAtHome': 'the local rule on two-pack',
  minutesSinceSpray: 'minutes since spraying',
};

/** Isocyanate, or nobody knows: then it counts as isocyanate. */
const isTwoPackHazard = ({ product }: GateInput): boolean => product.hardener === 'isocyanate' || product.hardener === 'unknown';
const hasHardener = ({ product }: GateInput): boolean => product.hardener !== 'none';

function asksOf(input: GateInput): Ask[] {
  const asks: Ask[] = [];
  const ask = (isOpen: boolean, field: string, options?: string[]) => {
    if (isOpen) asks.push({ field, code: `ask-${field}`, ...(options ? { options } : {}) });
  };
  const { protection } = input;
  ask(protection === undefined, 'protection.breathing', ['airFed', 'cartridge', 'dust', 'none']);
  ask(hasHardener(input) && protection?.skin === undefined, 'protection.skin', ['true', 'false']);
  ask(hasHardener(input) && protection?.eyes === undefined, 'protection.eyes', ['true', 'false']);
  ask(input.extraction === undefined, 'extraction', ['on', 'off', 'ratedFan', 'householdFan']);
  ask(input.product.carrier === 'solvent' && input.ignition === undefined, 'ignition');
  ask(input.bystanders === undefined, 'bystanders', ['true', 'false']);
  const rule = input.regionRules?.twoPackAtHome ?? 'unknown';
  ask(isTwoPackHazard(input) && input.place !== 'booth' && rule === 'unknown', 'regionRules.twoPackAtHome', [
    'prohibited',
    'permitted',
  ]);
  ask(input.step === 'after' && input.minutesSinceSpray === undefined, 'minutesSinceSpray');
  return asks;
}

function placeVerdicts(input: GateInput): Verdict[] {
  if (!isTwoPackHazard(input) || input.place === 'booth') return [];
  const rule = input.regionRules?.twoPackAtHome ?? 'unknown';
  const verdicts: Verdict[] = [];
  if (rule === 'prohibited')
    verdicts.push(stop('place-unfit', { why: 'it is not allowed here' }, ['regionRules', 'twoPackAtHome']));
  if (input.place === 'closedGarage')
    verdicts.push(stop('place-unfit', { why: 'a closed room without booth extraction holds the mist' }, ['place']));
  return [...verdicts, caution('check-local-rules')];
}

function protectionVerdicts(input: GateInput): Verdict[] {
  const { protection } = input;
  if (!protection) return [];
  const isEnough = isTwoPackHazard(input)
    ? protection.breathing === 'airFed'
    : protection.breathing === 'airFed' || protection.breathing === 'cartridge';
  const verdicts: Verdict[] = [];
  if (!isEnough)
    verdicts.push(stop('breathing-not-enough', { breathing: BREATHING_NAME[protection.breathing] }, ['protection', 'breathing']));
  if (hasHardener(input) && (protection.skin === false || protection.eyes === false))
    verdicts.push(stop('skin-or-eyes-bare', undefined, ['protection']));
  return verdicts;
}

function roomVerdicts(input: GateInput): Verdict[] {
  const verdicts: Verdict[] = [];
  const isOpenAir = input.place === 'outdoors' && !isTwoPackHazard(input);
  if (input.extraction === 'off' && !isOpenAir) verdicts.push(stop('extraction-off', undefined, ['extraction']));
  if (claimsMore(input)) verdicts.push(stop('extraction-not-there', undefined, ['extraction']));
  if (input.extraction === 'householdFan' && input.product.carrier === 'solvent')
    verdicts.push(stop('fan-not-rated', undefined, ['extraction']));
  if (input.ignition && input.ignition.length > 0 && input.product.carrier === 'solvent')
    verdicts.push(stop('ignition-near', { what: input.ignition.join(', ') }, ['ignition']));
  if (input.bystanders) verdicts.push(stop('bystanders-near', undefined, ['bystanders']));
  const { vocGPerL } = input.product;
  const limitGPerL = input.regionRules?.vocLimitGPerL;
  if (vocGPerL !== undefined && limitGPerL !== undefined && vocGPerL > limitGPerL)
    verdicts.push(caution('voc-over-limit', { vocGPerL, limitGPerL }));
  return verdicts;
}

/** Nobody can run what the room does not have. */
const claimsMore = ({ extraction, roomExtraction }: GateInput): boolean =>
  (extraction === 'on' || extraction === 'ratedFan') && (roomExtraction === 'off' || roomExtraction === 'householdFan');

function stepVerdicts({ step }: GateInput): Verdict[] {
  if (step === 'after') return [caution('extraction-run-on')];
  return step === 'clean' ? [caution('cleaning-solvents')] : [];
}

/** Ways on that are lawful and safe, for whatever stands against going on here. */
function alternativesOf(verdicts: Verdict[]): Advice[] {
  const codes = new Set(verdicts.filter((v) => v.level === 'stop').map((v) => v.code));
  const has = (...wanted: string[]) => wanted.some((code) => codes.has(code));
  return [
    ...(has('place-unfit', 'breathing-not-enough', 'fan-not-rated', 'extraction-off', 'extraction-not-there')
      ? [{ code: 'hire-a-booth' }]
      : []),
    ...(has('place-unfit', 'breathing-not-enough')
      ? [{ code: 'have-a-shop-spray-it' }, { code: 'product-without-isocyanate' }]
      : []),
    ...(has('ignition-near') ? [{ code: 'move-the-source' }] : []),
    ...(has('answers-missing') && verdicts.some((v) => v.code === 'check-local-rules') ? [{ code: 'ask-the-authority' }] : []),
  ];
}
