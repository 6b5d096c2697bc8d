/**
 * Figures within a sentence of the knowledge: written as `{3 psi}` where it is kept, said in the
 * painter's own unit, as round as a hand can follow.
 */
import { convert } from '@orthochrom/core/units/convert.ts';
import type { Units } from '../shop/setup.ts';

const MEASURED = /\{([\d.]+)(?:(-| to )([\d.]+))? (psi|bar|in|mm|m|µm|°C)\}/g;

const MM_STEP = 10;
const KPA_STEP = 5;
const toStep = (value: number, step: number): string => String(Math.round(value / step) * step);

type Said = { unit: string; text: (value: number) => string };
function pressure(from: 'psi' | 'bar', { pressure: to }: Units): Said {
  const own = (value: number) => convert(value, from, to);
  if (to === 'kPa') return { unit: 'kPa', text: (value) => toStep(own(value), KPA_STEP) };
  return { unit: to, text: (value) => String(Number(own(value).toFixed(to === 'bar' ? 1 : 0))) };
}
/** How each unit that a sentence is written in is said; degrees of a sentence are differences. */
const SAID: Record<string, (units: Units) => Said> = {
  psi: (units) => pressure('psi', units),
  bar: (units) => pressure('bar', units),
  in: ({ length }) =>
    length === 'in'
      ? { unit: 'in', text: String }
      : { unit: 'mm', text: (value) => toStep(convert(value, 'in', 'mm'), MM_STEP) },
  mm: ({ length }) =>
    length === 'mm'
      ? { unit: 'mm', text: String }
      : { unit: 'in', text: (value) => convert(value, 'mm', 'in').toFixed(1) },
  m: ({ length }) =>
    length === 'mm'
      ? { unit: 'm', text: String }
      : { unit: 'ft', text: (value) => convert(value, 'm', 'ft').toFixed(0) },
  µm: ({ film }) =>
    film === 'um'
      ? { unit: 'µm', text: String }
      : { unit: 'mil', text: (value) => convert(value, 'um', 'mil').toFixed(1) },
  '°C': ({ temperature }) =>
    temperature === 'C'
      ? { unit: '°C', text: String }
      : { unit: '°F', text: (value) => convert(value, 'deltaC', 'deltaF').toFixed(0) },
};

const filled = (template: string, units?: Units): string =>
  template.replace(
    MEASURED,
    (_, low: string, joint: string | undefined, high: string | undefined, unit: string) => {
      if (!units) return `${low}${joint ?? ''}${high ?? ''} ${unit}`;
      const said = SAID[unit]!(units);
      const ends = [low, ...(high === undefined ? [] : [high])].map((one) =>
        said.text(Number(one)),
      );
      return `${[...new Set(ends)].join(joint ?? '')} ${said.unit}`;
    },
  );

const templates = new Map<string, string>();
/** The sentence as whoever has no units of his own reads it; how it is measured is remembered. */
export function sentenceOf(template: string): string {
  const sentence = filled(template);
  if (sentence !== template) templates.set(sentence, template);
  return sentence;
}

/** A sentence of the knowledge in the units of a painter; any other one as it stands. */
export const inUnitsOf = (sentence: string, units?: Units): string =>
  units ? filled(templates.get(sentence) ?? sentence, units) : sentence;
