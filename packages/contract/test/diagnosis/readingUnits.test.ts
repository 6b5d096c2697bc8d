/** What the bench was told, and why it thinks so, in the units of whoever stands before it. */
import { isMet } from '@orthochrom/core/diagnosis/evidence.ts';
import type { ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import { describe, expect, it } from 'vitest';
import { toldOf } from '../../src/calculations/diagnose.ts';
import { atBench } from '../../src/diagnosis/bench.ts';
import type { Units } from '../../src/shop/setup.ts';
import { RAW_FILES } from '../../src/knowledge/files.ts';
import { inUnitsOf, sentenceOf } from '../../src/words/measured.ts';
import { readingValueText, termText } from '../../src/words/faultWords.ts';
import { shownReading } from '../../src/words/readingUnits.ts';
import { clearestStory, files, knowledge } from './anyFault.ts';

const METRIC: Units = {
  temperature: 'C',
  pressure: 'bar',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
};
const IMPERIAL: Units = {
  ...METRIC,
  temperature: 'F',
  pressure: 'psi',
  length: 'in',
  film: 'mil',
};
const numbers = Object.entries(files.readings.readings).flatMap(([id, known]) =>
  known.kind === 'number' ? [{ id, ...known }] : [],
);

describe('a reading', () => {
  it('is kept as it was, whatever unit it is read and typed in', () => {
    for (const { unit, from, to } of numbers)
      for (const units of [METRIC, IMPERIAL, undefined])
        for (const kept of [from, (from + to) / 3, to]) {
          const own = shownReading(unit, units);
          expect(own.kept(own.shown(kept)), unit).toBeCloseTo(kept, 9);
        }
  });
  it('that says how warm is no reading that says how far off', () => {
    expect(readingValueText('t_mat', 20, IMPERIAL)).toBe('68 °F');
    expect(readingValueText('t_panel_dev', -5, IMPERIAL)).toBe('-9 °F');
    expect(readingValueText('dew_margin', 3, IMPERIAL)).toBe('5.4 °F');
    expect(readingValueText('ramp', 5, IMPERIAL)).toBe('9 °F/min');
  });
  it('of a mesh, a nozzle and a share is said alike to all', () => {
    for (const units of [METRIC, IMPERIAL, undefined]) {
      expect(readingValueText('strainer_um', 125, units)).toBe('125 µm');
      expect(readingValueText('p_dev', 0.2, units)).toBe('20 %');
      expect(readingValueText('last_grit', 400, units)).toBe('P400');
    }
  });
  it('beside its limit is told as fine as it takes to see on which side it lies', () => {
    const said = (value: number) => {
      const row = { reading: 'p_dev', is: '<', than: -0.12, weight: 'strong' } as const;
      return termText({ reading: 'p_dev', value, isMet: value < -0.12, logRatio: 1, row }, METRIC);
    };
    expect(said(-0.1237)).toMatch(/: -12.37 %, under -12 %$/);
    expect(said(-0.3)).toMatch(/: -30 %, under -12 %$/);
    expect(said(-0.12)).toMatch(/: -12 %, not under -12 %$/);
  });
  it('is told in its own unit where nobody reads it yet', () => {
    expect(readingValueText('p_drop_open', 12)).toBe('12 psi');
    expect(readingValueText('p_drop_open', 12, METRIC)).toBe('0.83 bar');
  });
});

/** A figure in a unit that this painter does not read; a hose is called 3/8 everywhere. */
const FOREIGN = {
  metric: /(?<!\/)\b\d[\d.]*( °F| psi| in| mil| ft)\b/,
  imperial: /(?<!\/)\b\d[\d.]*( °C| kPa| bar| µm| m)\b/,
};

/** A log in which this row of evidence is met. */
function logOf({ reading, is, than }: (typeof knowledge.causes)[number]['evidence'][number]) {
  const known = files.readings.readings[reading]!;
  const tries: ReadingValue[] =
    known.kind === 'number'
      ? [known.from, known.to, Number(than)]
      : known.kind === 'bool'
        ? [true, false]
        : known.values;
  const value = tries.find((one) => isMet({ reading, is, than } as never, { [reading]: one }));
  return value === undefined ? undefined : { [reading]: value };
}

describe('the bench', () => {
  /** Said in the unit that stands on the thing itself. */
  const AS_PRINTED = /nozzle|strainer|air over the panel/;
  it('says what speaks for each cause in the painter’s units, and in none of another', () => {
    let said = 0;
    const rows = knowledge.causes.flatMap(({ evidence, makes }) =>
      evidence.map((row) => ({ row, seen: clearestStory(Object.keys(makes)[0]!) })),
    );
    for (const { row, seen } of rows) {
      const log = logOf(row);
      if (!log || AS_PRINTED.test(files.readings.readings[row.reading]!.name)) continue;
      const bench = atBench({ observations: seen, conditions: { readings: log } });
      for (const [units, foreign] of [
        [METRIC, FOREIGN.metric],
        [IMPERIAL, FOREIGN.imperial],
      ] as const) {
        const { causes, cleared, now, nextCoat, nextJob, repair } = toldOf(bench, units);
        const texts = [
          ...causes.flatMap(({ evidence }) => evidence.map(({ text }) => text)),
          ...cleared.map(({ why }) => why),
          ...nextJob.flatMap(({ change, why }) => [change, why]),
          ...now.map(({ text }) => text),
          ...nextCoat.map(({ text }) => text),
          ...(repair?.ladder ?? []).flatMap(({ step, condition }) => [step, condition]),
        ];
        said += texts.length;
        for (const text of texts) expect(text).not.toMatch(foreign);
      }
    }
    expect(said).toBeGreaterThan(100);
  });
});

describe('a sentence of the knowledge', () => {
  const BRACED = /\{[^}]*\}/;
  const sentences = (value: unknown): string[] =>
    typeof value === 'string'
      ? [value]
      : typeof value === 'object' && value !== null
        ? Object.values(value).flatMap(sentences)
        : [];
  it('is kept with its units by its figures, and is read without their marks', () => {
    const measured = sentences(RAW_FILES).filter((text) => BRACED.test(text));
    expect(measured.length).toBeGreaterThan(10);
    for (const text of sentences(files)) expect(text).not.toMatch(BRACED);
    for (const units of [METRIC, IMPERIAL])
      for (const text of measured) {
        const said = inUnitsOf(sentenceOf(text), units);
        expect(said).not.toMatch(/\{|NaN|undefined/);
        expect(said).not.toMatch(units === METRIC ? FOREIGN.metric : FOREIGN.imperial);
      }
  });
  it('that names a pressure, a film or a temperature has it marked, so that it can be said', () => {
    const { causes, steps, repairs, pairs } = RAW_FILES;
    const shown = sentences([causes, steps, repairs, pairs.lookAlikes, pairs.causePairs]);
    for (const text of shown)
      expect(text.replaceAll(new RegExp(BRACED, 'g'), '')).not.toMatch(/\d ?(psi|bar|°C|µm)\b/);
  });
  it('is as round as a hand can follow, and a limit is no higher', () => {
    const said = (text: string, units: object) =>
      inUnitsOf(sentenceOf(text), { ...METRIC, ...units });
    expect(said('+{3 psi} more', {})).toBe('+0.2 bar more');
    expect(said('+{3 psi} more', { pressure: 'kPa' })).toBe('+20 kPa more');
    expect(said('{2-4 in} farther', {})).toBe('50-100 mm farther');
    expect(said('at most {2 bar}', { pressure: 'psi' })).toBe('at most 29 psi');
    expect(said('warm it {3 to 5 °C}', { temperature: 'F' })).toBe('warm it 5 to 9 °F');
    expect(inUnitsOf(sentenceOf('+{3 psi} more'))).toBe('+3 psi more');
  });
});
