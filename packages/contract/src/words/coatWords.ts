/**
 * What a foreseen coat wants said: its risks, what drives them, and the change that helps, as
 * painters put it.
 */
import { plainText } from './termWords.ts';
import type { CoatChange } from '@orthochrom/core/coat/changes.ts';
import type { ChangeKnob } from '@orthochrom/core/coat/move.ts';
import type { Trade } from '@orthochrom/core/coat/setupWithRisks.ts';
import type { RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import type { Params } from '@orthochrom/core/outcome/verdicts.ts';
import type { PopTerm } from '@orthochrom/core/risk/pop.ts';
import { canonicalFigure, type FigureWriter } from './say.ts';

export const RISK_NAME: Record<RiskName, string> = {
  peel: 'Orange peel',
  run: 'A run',
  pop: 'Solvent popping',
  drySpray: 'Dry spray',
  stripe: 'Stripes',
  pinhole: 'Pinholes',
  mottle: 'Mottle',
  blush: 'Blushing',
};

/** A risk is first a word: under 0.10 unlikely, to 0.30 watch, above likely. */
export const riskWord = (probability: number): 'unlikely' | 'watch' | 'likely' =>
  probability < 0.1 ? 'unlikely' : probability <= 0.3 ? 'watch' : 'likely';

const POP_TERMS: Record<PopTerm, string> = {
  film: 'more film than the sheet has',
  filmBelow: 'heavy coats below',
  flash: 'too short a flash between coats',
  wetUnder: 'a waterborne coat still wet below',
  slope: 'short waits all through',
  wait: 'heat too soon after the last coat',
  fast: 'too quick a grade or hardener for this warmth',
  heat: 'heat that rises too steeply or too far',
  air: 'strong air on the wet film',
  retained: 'solvent that the coats below still hold',
  noHeat: 'no heat',
};
export const popTermText = (params: Params = {}): string => POP_TERMS[params['term'] as PopTerm];

type Wording = { field: string; raise: string; lower: string };
const KNOBS: Record<ChangeKnob, Wording> = {
  inletKPa: { field: 'inletKPa', raise: 'More air', lower: 'Less air' },
  fluidTurnsOut: { field: 'turns', raise: 'Needle out', lower: 'Needle in' },
  fanTurnsOut: { field: 'turns', raise: 'Fan open', lower: 'Fan in' },
  distanceMm: { field: 'distanceMm', raise: 'Further off', lower: 'Nearer' },
  gunSpeedMPerS: { field: 'gunSpeedMPerS', raise: 'Quicker hand', lower: 'Slower hand' },
  stepMm: { field: 'stepMm', raise: 'Wider steps', lower: 'Closer passes' },
  flashMinutes: {
    field: 'flashMinutes',
    raise: 'Longer flash between coats',
    lower: 'Shorter flash',
  },
  afterMinutes: {
    field: 'afterMinutes',
    raise: 'Longer wait before heat',
    lower: 'Shorter wait before heat',
  },
  rampCPerMin: { field: 'rampCPerMin', raise: 'Steeper heat', lower: 'Gentler heat' },
  gradeC: { field: 'gradeC', raise: 'A slower grade', lower: 'A quicker grade' },
  hardenerC: { field: 'hardenerC', raise: 'A slower hardener', lower: 'A quicker hardener' },
  airSpeedMPerS: {
    field: 'airSpeedMPerS',
    raise: 'Air moving across it',
    lower: 'Less air across it',
  },
};

/** "Quicker hand: 0.40 → 0.46 m/s". */
export function changeText(
  { knob, from, to, along }: Pick<CoatChange, 'knob' | 'from' | 'to' | 'along'>,
  figure: FigureWriter = canonicalFigure,
): string {
  const { field, raise, lower } = KNOBS[knob];
  const write = (value: number) =>
    field === 'turns' ? `${Number(value.toFixed(2))} turns` : figure(value, field);
  const handMPerS = along?.gunSpeedMPerS;
  const hand =
    handMPerS === undefined
      ? ''
      : `, the hand at ${figure(handMPerS, 'gunSpeedMPerS')} to keep the film`;
  return `${to > from ? raise : lower}, ${write(from)} to ${write(to)}${hand}`;
}

const WORDS: Record<string, string> = { likely: 'likely', watch: 'watch' };
/** Params of `risk-high` as its sentence wants them. */
export function riskText(params: Params = {}): Params {
  const knob = params['knob'] as ChangeKnob | 'none' | 'plan';
  const name = params['risk'] as RiskName;
  return {
    risk: RISK_NAME[name] ?? name,
    word: WORDS[params['word'] as string] ?? '',
    what:
      knob === 'none'
        ? 'no single small change; look at the whole set-up again.'
        : knob === 'plan'
          ? `plan ${plainText(params, 'to')} of those below.`
          : `${changeText({ knob, from: Number(params['from']), to: Number(params['to']) }).toLowerCase()}.`,
  };
}

const TOLD_FROM = 0.04;
/**
 * What another plan trades against the set-up as it stands: "finer drops (−8 %), more fog (+20 %),
 * 10 % quicker".
 */
export function tradeText({ fog, drops, time, wetness }: Trade): string {
  const part = (share: number, more: string, less: string) =>
    Math.abs(share - 1) < TOLD_FROM
      ? []
      : [
          `${share > 1 ? more : less} (${share > 1 ? '+' : '−'}${Math.abs((share - 1) * 100).toFixed(0)} %)`,
        ];
  const parts = [
    ...part(drops, 'coarser drops', 'finer drops'),
    ...part(fog, 'more fog', 'less fog'),
    ...part(time, 'more time', 'less time'),
    ...part(wetness, 'lands wetter', 'lands drier'),
  ];
  return parts.length > 0 ? parts.join(', ') : 'about the same in drops, fog, time and wetness';
}
