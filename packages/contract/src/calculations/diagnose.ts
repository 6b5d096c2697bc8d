import { plainText } from '../words/termWords.ts';
import type { Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import type { Reason, Verdict } from '@orthochrom/core/outcome/verdicts.ts';
import { z } from 'zod';
import { atBench, type BenchAnswer, type BenchInput } from '../diagnosis/bench.ts';
import {
  checkText,
  nextCoatAdvice,
  nextJobChanges,
  nowAdvice,
  repairText,
} from '../diagnosis/advise.ts';
import type { Units } from '../shop/setup.ts';
import { DiagnoseAnswer, diagnoseShape } from '../shapes/diagnosis.ts';
import {
  answerLabel,
  causeName,
  causeTermText,
  faultName,
  LAYER_WORDS,
  questionWords,
  termText,
} from '../words/faultWords.ts';
import { worded } from '../words/worded.ts';
import { defineCalculation } from './define.ts';

/** Questions told beside the next one. */
const MOST_QUESTIONS = 6;

/** Ids become names, readings become sentences; the figures stay core's. */
function named({ diagnosis, verdicts, mayBeWet }: BenchAnswer, units?: Units) {
  const fault = ({ id, probability }: { id: string; probability: number }) => ({
    id,
    name: faultName(id),
    probability,
  });
  // Lines of safety stand once an answer.
  const told = new Set<string>();
  const nextCoat = nextCoatAdvice(diagnosis, told, units);
  const mended = repairText(diagnosis, told, units);
  const questions = diagnosis.offers.slice(0, MOST_QUESTIONS).map(({ id, gainBits }) => {
    const { ask, options } = questionWords(id);
    const turns = diagnosis.wouldChange === id ? { wouldChange: true as const } : {};
    return { id, text: ask, options: Object.keys(options), gainBits, ...turns };
  });
  return {
    decided: diagnosis.decided,
    faults: diagnosis.faults.map(fault),
    ...(diagnosis.secondFault ? { secondFault: fault(diagnosis.secondFault) } : {}),
    causes: diagnosis.causes.map(({ id, probability, layer, terms, answers }) => ({
      id,
      name: causeName(id),
      probability,
      ...(layer ? { layer } : {}),
      evidence: [
        ...terms.map((term) => ({ text: termText(term, units), weight: term.logRatio })),
        ...answers.map((answer) => ({ text: causeTermText(answer), weight: answer.logRatio })),
      ].sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight)),
    })),
    cleared: diagnosis.cleared.map(({ id, terms, answers }) => ({
      id,
      why: [
        ...terms.filter(({ logRatio }) => logRatio < 0).map((term) => termText(term, units)),
        ...answers.map(causeTermText),
      ].join('; '),
    })),
    ...(questions[0] ? { nextQuestion: questions[0] } : {}),
    nextQuestions: questions,
    now: nowAdvice(diagnosis, mayBeWet, units),
    nextCoat,
    nextJob: nextJobChanges(diagnosis, units),
    ...(mended ? { repair: mended } : {}),
    verdicts: verdicts.map((verdict) =>
      verdictNamed(verdict, diagnosis.check ? checkText(diagnosis.check, units) : ''),
    ),
    reasons: diagnosis.reasons.map((reason) => reasonNamed(reason, diagnosis, units)),
  };
}

/** Ids in a verdict's params become the words that stand in its sentence. */
function verdictNamed(verdict: Verdict, check: string): Verdict {
  const { params } = verdict;
  if (verdict.code === 'not-decided') return { ...verdict, params: { check } };
  if (verdict.code === 'two-at-once' || verdict.code === 'either-of-two')
    return {
      ...verdict,
      params: {
        first: faultName(plainText(params, 'first')),
        second: faultName(plainText(params, 'second')),
      },
    };
  if (verdict.code === 'polish-will-not-cure')
    return {
      ...verdict,
      params: { layer: LAYER_WORDS[plainText(params, 'layer') as keyof typeof LAYER_WORDS] },
    };
  return verdict;
}

function reasonNamed(reason: Reason, { causes, cleared }: Diagnosis, units?: Units): Reason {
  const { params = {} } = reason;
  const text = (key: string) => plainText(params, key);
  if (reason.code === 'answer-points-to')
    return {
      ...reason,
      params: {
        question: questionWords(text('question')).ask,
        answer: answerLabel(text('question'), text('answer')),
        fault: faultName(text('fault')),
        timesFactor: params['timesFactor']!,
      },
    };
  if (params['cause'] === undefined) return reason;
  const cause = [...causes, ...cleared].find(({ id }) => id === params['cause']);
  const term = cause?.terms.find(({ reading }) => reading === params['reading']);
  return {
    ...reason,
    params: {
      reading: term ? termText(term, units) : text('reading'),
      cause: causeName(text('cause')),
    },
  };
}

export const diagnoseCalculation = defineCalculation('diagnose', {
  input: z.strictObject(diagnoseShape),
  answer: () => DiagnoseAnswer,
  compute: (input: BenchInput) => named(atBench(input)),
});

/**
 * The answer to a judgement that was made already, in a painter's units: the bench shows both and
 * judges once.
 */
export const toldOf = (bench: BenchAnswer, units: Units) => worded(named(bench, units));
