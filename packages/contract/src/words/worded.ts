/**
 * Gives the codes of a core answer their words, at every place where the contract wants a sentence.
 */
import type { Advice, Ask, Reason, Verdict } from '@orthochrom/core/outcome/verdicts.ts';
import { adviceText, questionText } from './adviceWords.ts';
import type { RecoatAnswer } from '@orthochrom/core/film/recoat.ts';
import { paramsInWords, TERMS } from './termWords.ts';
import type { PlainParams } from './say.ts';
import { reasonText } from './reasonWords.ts';
import { leadOf, verdictMessage } from './verdictWords.ts';

export type Lead = { code: string; text: string };
/**
 * `follows`: which fault or harm would come; `instead`: what to do. Both stand with every stop and
 * caution.
 */
export type WordedVerdict = Omit<Verdict, 'params'> & {
  params?: PlainParams;
  message: string;
  follows?: Lead;
  instead?: Lead;
};
export type WordedReason = Omit<Reason, 'params'> & { params?: PlainParams; text: string };
export type WordedAsk = Omit<Ask, 'code'> & { question: string };
export type WordedAdvice = { text: string; code: string };

type Worded<K, V> = K extends 'verdicts'
  ? WordedVerdict[]
  : K extends 'reasons' | 'effects'
    ? WordedReason[]
    : K extends 'asks'
      ? WordedAsk[]
      : K extends 'alternatives' | 'notes'
        ? V extends Advice[] | undefined
          ? WordedAdvice[] | Extract<V, undefined>
          : V
        : K extends 'test'
          ? V extends { code: string }
            ? Omit<V, 'code' | 'where'> & { text: string; where: string[] }
            : V
          : V;
export type WordedAnswer<A> = { [K in keyof A]: Worded<K, A[K]> };

export const wordVerdict = ({ params, ...verdict }: Verdict): WordedVerdict => ({
  ...verdict,
  ...(params ? { params: paramsInWords(params) } : {}),
  message: verdictMessage(verdict.code, params),
  ...leadOf(verdict.code, params),
});

const isAdvice = (list: unknown): list is Advice[] =>
  Array.isArray(list) &&
  list.every((item) => typeof item === 'object' && item !== null && 'code' in item);

export function worded<A extends object>(answer: A): WordedAnswer<A> {
  const out: Record<string, unknown> = { ...(answer as Record<string, unknown>) };
  const { verdicts, reasons, effects, asks, alternatives, notes, test } = answer as Record<
    string,
    unknown
  >;
  if (verdicts) out['verdicts'] = (verdicts as Verdict[]).map(wordVerdict);
  for (const [key, list] of Object.entries({ reasons, effects }))
    if (list)
      out[key] = (list as Reason[]).map(({ params, ...reason }) => ({
        ...reason,
        ...(params ? { params: paramsInWords(params) } : {}),
        text: reasonText(reason.code, params),
      }));
  if (asks)
    out['asks'] = (asks as Ask[]).map(({ code, ...ask }) => ({
      ...ask,
      question: questionText(code),
    }));
  for (const [key, list] of Object.entries({ alternatives, notes }))
    if (isAdvice(list))
      out[key] = list.map(({ code, params }) => ({ code, text: adviceText(code, params) }));
  if (test && typeof test === 'object' && 'code' in test) {
    const { code, where, ...rest } = test as RecoatAnswer['test'];
    out['test'] = { ...rest, where: where.map((place) => TERMS[place]), text: adviceText(code) };
  }
  return out as WordedAnswer<A>;
}
