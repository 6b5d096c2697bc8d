/**
 * What to do now, on the next coat and on the next job, and how to put it right: the words, each
 * with its caution.
 */
import type { RepairVerdict } from '@orthochrom/core/diagnosis/knowledge.ts';
import type { Check, Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import type { CauseFound } from '@orthochrom/core/diagnosis/found.ts';
import { inUnitsOf } from '../words/measured.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';
import type { Units } from '../shop/setup.ts';
import {
  causeName,
  causeWords,
  faultName,
  questionWords,
  stepExpects,
  stepWords,
  termText,
} from '../words/faultWords.ts';

export type AdviceText = { text: string; code?: string; caution?: string };
export type JobChange = { setting: string; change: string; why: string };
export type RepairText = {
  ladder: { step: string; grit?: string; condition: string; caution?: string }[];
  removalBudgetUm?: { value: number; low: number; high: number };
  verdict: RepairVerdict;
};

const SAFETY = {
  spray: ['X01', 'X02', 'X05'],
  sand: ['X08'],
  heat: ['X09'],
  strip: ['X11', 'X08'],
  clean: ['X07', 'X05'],
};
export type Work = keyof typeof SAFETY;

/**
 * The lines of safety that belong to this work and were not told yet in this answer; undefined when
 * all were.
 */
export function cautionFor(work: Work, told: Set<string>): string | undefined {
  const { safety } = theKnowledge().files.safety;
  const fresh = SAFETY[work].filter((id) => !told.has(id));
  fresh.forEach((id) => told.add(id));
  return fresh.length > 0
    ? fresh.map((id) => safety.find((line) => line.id === id)!.text).join(' ')
    : undefined;
}

/** What would settle it, as a sentence. */
export function checkText(check: Check, units?: Units): string {
  if (check === 'testPanel') return 'a test panel: same mix, same gun, clean sanded ground';
  if (check === 'lookAgain')
    return 'two answers do not go together: one look again with a torch, do not average them';
  if ('question' in check) return questionWords(check.question).ask;
  const alike = theKnowledge().files.pairs.lookAlikes.find(({ pair }) =>
    check.pair.every((id) => pair.includes(id)),
  )!;
  return inUnitsOf(alike.check, units);
}

const IDLE = /^(Nothing|Not applicable|Leave)\b/;

export function nowAdvice(diagnosis: Diagnosis, mayBeWet: boolean, units?: Units): AdviceText[] {
  const hands = mayBeWet
    ? [
        {
          text: 'While it is wet leave it alone: no finger, no brush, no tape on the visible face, no lamp.',
        },
      ]
    : [];
  if (!diagnosis.decided)
    return [
      ...hands,
      {
        text: 'Do not sand, polish or coat over it until it is known what it is.',
        code: 'not-decided',
      },
    ];
  const texts = [
    ...new Set(diagnosis.changes.map(({ cause }) => inUnitsOf(causeWords(cause).now, units))),
  ];
  const busy = texts.filter((text) => !IDLE.test(text));
  const wet = mayBeWet
    ? (busy.length > 0 ? busy : texts.slice(0, 1)).map((text) => ({ text }))
    : [];
  const told = [...hands, ...wet, ...rulesFor(diagnosis)];
  return told.length > 0
    ? told
    : [{ text: 'The film is dry: nothing is to be done on it now but the repair.' }];
}

/** Where the work must wait for somebody else's word. */
function rulesFor(diagnosis: Diagnosis): AdviceText[] {
  const stops = theKnowledge().files.stops.stops;
  const fault = diagnosis.faults[0]?.id ?? '';
  const fires: Record<string, boolean> = {
    H02: diagnosis.changes.some(
      ({ cause }) => cause === 'hardener_low' || cause === 'wrong_system',
    ),
    H04: fault === 'LIFT' || diagnosis.changes.some(({ cause }) => cause === 'soluble_under'),
    H05: diagnosis.repair?.takesFilm === true && !diagnosis.repair.budget,
    H06: fault === 'CRACK' || fault === 'PEEL',
    H10: opposite(fault, diagnosis.secondFault?.id),
  };
  return stops.filter(({ id }) => fires[id]).map(({ say }) => ({ text: `${say}.` }));
}

const WET = ['RUN', 'SAG'];
const DRY = ['OP_DRY', 'DRYSPRAY'];
const opposite = (a: string, b: string | undefined): boolean =>
  b !== undefined && ((WET.includes(a) && DRY.includes(b)) || (DRY.includes(a) && WET.includes(b)));

const ONLY_USUAL =
  'No reading and no answer speaks for one cause: these are only the usual ones, likeliest first. Log the times and the film, and ask again.';

/**
 * One change at a time, in order; what to expect of each; the two that make each other worse by
 * their own rule.
 */
export function nextCoatAdvice(
  { changes, causes, decided, overReduced, faults }: Diagnosis,
  told: Set<string>,
  units?: Units,
): AdviceText[] {
  if (changes.length === 0 && overReduced === undefined) return [];
  const ids = changes.map(({ cause }) => cause);
  const pair = theKnowledge().files.pairs.causePairs.find(({ pair: both }) =>
    both.every((id) => ids.includes(id)),
  );
  const isOnlyUsual =
    changes.length > 0 &&
    !changes.some(({ cause }) => isSpokenFor(causes.find(({ id }) => id === cause)));
  const inOrder = `One change at a time on a test panel, in this order; look, then the next.${pair ? ` ${inUnitsOf(pair.rule, units)}.` : ''}`;
  const order = isOnlyUsual ? [ONLY_USUAL] : changes.length > 1 ? [inOrder] : [];
  const open = decided
    ? []
    : [`Whether it is ${alike(faults)}, what brings both is the same: change that first.`];
  const steps = changes.map(({ cause, steps: moves }, i) => {
    const number = changes.length > 1 ? `${i + 1}. ` : '';
    const expects = moves.map(stepExpects).filter(Boolean)[0];
    const limit = moves.map((move) => stepWords(move).limit).find(Boolean);
    return `${number}${inUnitsOf(causeWords(cause).nextCoat, units)}.${expects ? ` Expect: ${expects}.` : ''}${limit ? ` Limit: ${limit}.` : ''}`;
  });
  const texts = [...(overReduced === undefined ? open : mixFirst(overReduced)), ...order, ...steps];
  // Once an answer, where the gun is taken up again.
  const caution = cautionFor('spray', told);
  return texts.map((text, i) => (i === 0 && caution ? { text, caution } : { text }));
}

const alike = (faults: Diagnosis['faults']): string =>
  faults
    .slice(0, 2)
    .map(({ id }) => faultName(id).toLowerCase())
    .join(' or ');

/**
 * Through a mix that thin nothing else can be judged; glass parts the mix from what lies on the
 * panel.
 */
const mixFirst = (times: number): string[] => [
  `The mix first: ${Number(times.toFixed(1))} times the sheet’s reducer was poured. Mix afresh to the sheet and try it on a fresh clean strip.`,
  'Pour the old mix on clean glass: if it crawls or craters there too, it is the mix; if the glass is clean, it lies on the panel.',
];

const isSpokenFor = (found: CauseFound | undefined): boolean =>
  [...(found?.terms ?? []), ...(found?.answers ?? [])].some(({ logRatio }) => logRatio > 0);

export const nextJobChanges = ({ changes, causes }: Diagnosis, units?: Units): JobChange[] =>
  changes.map(({ cause }) => {
    const found = causes.find(({ id }) => id === cause);
    const loudest = [...(found?.terms ?? [])]
      .filter(({ logRatio }) => logRatio > 0)
      .sort((a, b) => b.logRatio - a.logRatio)[0];
    return {
      setting: causeWords(cause).setting,
      change: inUnitsOf(causeWords(cause).nextJob, units),
      why: loudest ? `${causeName(cause)} (${termText(loudest, units)})` : causeName(cause),
    };
  });

export function repairText(
  { repair, faults }: Diagnosis,
  told: Set<string>,
  units?: Units,
): RepairText | undefined {
  if (!repair) return undefined;
  const { files } = theKnowledge();
  const { rung, budget, mustHarden, takesFilm } = repair;
  const steps = rung.ladder ? files.repairs.ladders[rung.ladder]!.steps : [];
  const cuts = steps.some(({ grit }) => grit !== undefined);
  const wait = {
    step: 'Let it harden first: heat within the sheet, or time',
    condition: 'a thumbnail on a hidden edge leaves no print',
  };
  const spot = files.repairs.ladders['SPOT_TEST']!.steps[0]!;
  const ladder: RepairText['ladder'] = [
    ...(mustHarden ? [wait] : []),
    ...(takesFilm && rung.ladder !== 'SPOT_TEST' ? [spot] : []),
    { step: rung.do, condition: 'start on this rung and climb only as far as needed' },
    ...steps,
    ...(cuts
      ? [
          {
            step: `Edges and creases: ${inUnitsOf(files.repairs.edgeRule, units)}`,
            condition: 'wherever a machine comes near them',
          },
        ]
      : []),
  ];
  const inOwnUnits = ladder.map((one) => ({
    ...one,
    step: inUnitsOf(one.step, units),
    condition: inUnitsOf(one.condition, units),
  }));
  return {
    ladder: withCautions(
      inOwnUnits,
      { verdict: rung.verdict, fault: faults[0]?.id, mustHarden },
      told,
    ),
    ...(budget
      ? { removalBudgetUm: { value: budget.valueUm, low: budget.lowUm, high: budget.highUm } }
      : {}),
    verdict: rung.verdict,
  };
}

type Bitten = { verdict: RepairText['verdict']; fault: string | undefined; mustHarden: boolean };

/**
 * Each caution once, at the step where it bites: the first grit, the stripping, the gun, the heat.
 */
function withCautions(
  ladder: RepairText['ladder'],
  { verdict, fault, mustHarden }: Bitten,
  told: Set<string>,
): RepairText['ladder'] {
  const isSprayed = verdict === 'recoat' || verdict === 'respray' || verdict === 'strip';
  const bites: [Work, number][] = [
    ['heat', mustHarden || fault === 'SOFT' || fault === 'BLUSH' ? 0 : -1],
    ['strip', verdict === 'strip' ? ladder.findIndex(({ step }) => /^Strip/.test(step)) : -1],
    ['sand', ladder.findIndex(({ grit }) => grit !== undefined)],
    ['clean', fault === 'FISHEYE' ? ladder.findIndex(({ step }) => /[Cc]lean/.test(step)) : -1],
    [
      'spray',
      isSprayed
        ? ladder.findLastIndex(({ step }) => /\b(coat|clear|base|prime|seal|system)/i.test(step))
        : -1,
    ],
  ];
  return ladder.map((step, i) => {
    const cautions = bites
      .filter(([, at]) => at === i)
      .flatMap(([work]) => cautionFor(work, told) ?? []);
    return cautions.length > 0 ? { ...step, caution: cautions.join(' ') } : step;
  });
}
