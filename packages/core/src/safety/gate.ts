/**
 * Is it safe and allowed to go on? Asked before any recipe or setting. Nothing here is medical or
 * legal advice: the product's safety sheet, the local code and licensed practice
 * come first.
 */
import type { VerdictCode } from '../outcome/codes.ts';
import type { AdviceCode } from '../outcome/askCodes.ts';
import type { TermCode } from '../outcome/terms.ts';
import {
  caution,
  go,
  isStopped,
  stop,
  type Advice,
  type Ask,
  type WithVerdicts,
  type Verdict,
  term,
} from '../outcome/verdicts.ts';
import { asksOf, ASK_NAME } from './gateAsks.ts';
import type { Breathing, GateInput } from './gateInput.ts';
import { isTwoPackHazard, needsCover } from './hazard.ts';

export type GateAnswer = WithVerdicts & { passed: boolean; asks: Ask[]; alternatives: Advice[] };

/**
 * So long the extraction runs on after the last pass, and before anything is heated. Rule of thumb;
 * the safety sheet goes first.
 */
export const RUN_ON_MINUTES = 15;
export const PURGE_MINUTES = 10;

const BREATHING_NAME: Record<Breathing, TermCode> = {
  airFed: 'airFed',
  cartridge: 'cartridge',
  dust: 'dust',
  none: 'none',
};

/**
 * May it go on, what must still be told, what stands against it, and what would be lawful instead.
 */
export function gateOf(input: GateInput): GateAnswer {
  const asks = asksOf(input);
  const verdicts = [
    ...(asks.length > 0
      ? [
          stop('answers-missing', {
            what: asks.map(({ field }) => term(ASK_NAME[field])),
          }),
        ]
      : []),
    ...placeVerdicts(input),
    ...protectionVerdicts(input),
    ...roomVerdicts(input),
    ...stepVerdicts(input),
  ];
  const passed = !isStopped(verdicts);
  return {
    passed,
    asks,
    alternatives: alternativesOf(verdicts),
    verdicts: passed ? [go('gate-passed'), ...verdicts] : verdicts,
  };
}

function placeVerdicts(input: GateInput): Verdict[] {
  if (!isTwoPackHazard(input) || input.place === 'booth') return [];
  const rule = input.regionRules?.twoPackAtHome ?? 'unknown';
  const verdicts: Verdict[] = [];
  if (rule === 'prohibited')
    verdicts.push(
      stop('place-unfit', { why: term('notAllowedHere') }, ['regionRules', 'twoPackAtHome']),
    );
  if (input.place === 'closedGarage')
    verdicts.push(stop('place-unfit', { why: term('closedRoomHoldsMist') }, ['place']));
  return [...verdicts, caution('check-local-rules')];
}

function protectionVerdicts(input: GateInput): Verdict[] {
  const { protection } = input;
  if (!protection) return [];
  return [...breathingVerdicts(input, protection.breathing), ...coverVerdicts(input, protection)];
}

/**
 * What a mask cannot hold back differs: isocyanate goes unnoticed through a filter, solvent vapour
 * through a dust mask.
 */
function breathingVerdicts(input: GateInput, breathing: Breathing): Verdict[] {
  const at = ['protection', 'breathing'];
  const params = { breathing: term(BREATHING_NAME[breathing]) };
  if (isTwoPackHazard(input) && breathing !== 'airFed')
    return [stop('breathing-not-enough', params, at)];
  if (breathing === 'dust' || breathing === 'none')
    return [stop('vapour-not-filtered', params, at)];
  if (breathing !== 'airFed') return [];
  if (input.breathingAirChecked === false)
    return [stop('breathing-air-doubtful', undefined, ['breathingAirChecked'])];
  return input.breathingAirChecked === undefined ? [caution('breathing-air-unchecked')] : [];
}

function coverVerdicts(
  input: GateInput,
  { skin, eyes }: NonNullable<GateInput['protection']>,
): Verdict[] {
  if (!needsCover(input)) return [];
  const bare = [...(skin === false ? ['skin'] : []), ...(eyes === false ? ['eyes'] : [])];
  return bare.length > 0
    ? [stop('skin-or-eyes-bare', { what: bare.join(' and ') }, ['protection'])]
    : [];
}

function roomVerdicts(input: GateInput): Verdict[] {
  const verdicts: Verdict[] = [];
  const isOpenAir = input.place === 'outdoors' && !isTwoPackHazard(input);
  // Long after the last pass the room is clear and the extraction may rest.
  const mayRest = input.step === 'after' && (input.minutesSinceSpray ?? 0) >= RUN_ON_MINUTES;
  if (input.extraction === 'off' && !isOpenAir && !mayRest)
    verdicts.push(stop('extraction-off', undefined, ['extraction']));
  if (claimsMore(input)) verdicts.push(stop('extraction-not-there', undefined, ['extraction']));
  if (input.extraction === 'householdFan' && input.product.carrier === 'solvent')
    verdicts.push(stop('fan-not-rated', undefined, ['extraction']));
  if (input.ignition && input.ignition.length > 0 && input.product.carrier === 'solvent')
    verdicts.push(stop('ignition-near', { what: input.ignition.join(', ') }, ['ignition']));
  if (input.bystanders) verdicts.push(stop('bystanders-near', undefined, ['bystanders']));
  if (input.floor === 'cluttered') verdicts.push(caution('floor-cluttered', undefined, ['floor']));
  if (input.floor === 'wetted') verdicts.push(caution('floor-wetting', undefined, ['floor']));
  return [...verdicts, ...vocVerdicts(input)];
}

function vocVerdicts({ product: { vocGPerL }, regionRules }: GateInput): Verdict[] {
  const limitGPerL = regionRules?.vocLimitGPerL;
  if (vocGPerL === undefined || limitGPerL === undefined || vocGPerL <= limitGPerL) return [];
  return [caution('voc-over-limit', { vocGPerL, limitGPerL })];
}

/** Nobody can run what the room does not have. */
function claimsMore({ extraction, roomExtraction }: GateInput): boolean {
  if (extraction === undefined || extraction === 'off' || roomExtraction === undefined)
    return false;
  if (roomExtraction === 'off') return true;
  return roomExtraction === 'householdFan' && extraction !== 'householdFan';
}

function stepVerdicts({ step, minutesSinceSpray, vapourCleared }: GateInput): Verdict[] {
  const since = minutesSinceSpray;
  if (step === 'clean') return [caution('cleaning-solvents')];
  if (step === 'after' && (since === undefined || since < RUN_ON_MINUTES))
    return [caution('extraction-run-on', { remainingMinutes: RUN_ON_MINUTES - (since ?? 0) })];
  if (step !== 'bake') return [];
  if (since !== undefined && since < PURGE_MINUTES)
    return [
      stop('vapour-not-cleared', { remainingMinutes: PURGE_MINUTES - since }, [
        'minutesSinceSpray',
      ]),
    ];
  return vapourCleared === false
    ? [stop('vapour-not-cleared', { remainingMinutes: PURGE_MINUTES }, ['vapourCleared'])]
    : [];
}

/** Ways on that are lawful and safe, and the stops that each of them answers. */
const OTHER_WAYS: readonly [AdviceCode, readonly VerdictCode[]][] = [
  [
    'hire-a-booth',
    [
      'place-unfit',
      'breathing-not-enough',
      'fan-not-rated',
      'extraction-off',
      'extraction-not-there',
    ],
  ],
  ['have-a-shop-spray-it', ['place-unfit', 'breathing-not-enough']],
  ['product-without-isocyanate', ['place-unfit', 'breathing-not-enough']],
  ['vapour-cartridge', ['vapour-not-filtered']],
  ['move-the-source', ['ignition-near']],
];

/** For whatever stands against going on here. */
function alternativesOf(verdicts: readonly Verdict[]): Advice[] {
  const stops = new Set(verdicts.filter(({ level }) => level === 'stop').map(({ code }) => code));
  const asksForRule =
    stops.has('answers-missing') && verdicts.some(({ code }) => code === 'check-local-rules');
  return [
    ...OTHER_WAYS.filter(([, answers]) => answers.some((code) => stops.has(code))).map(
      ([code]) => ({ code }),
    ),
    ...(asksForRule ? [{ code: 'ask-the-authority' } as const] : []),
  ];
}
