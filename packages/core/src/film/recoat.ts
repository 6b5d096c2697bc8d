/**
 * May the next thing happen yet? A timer alone never confirms; the touch test does, edges too.
 */
import type { Climate } from '../air/climate.ts';
import type { Limits } from '../air/limits.ts';
import type { ReasonCode } from '../outcome/reasonCodes.ts';
import type { AdviceCode } from '../outcome/askCodes.ts';
import type { TermCode } from '../outcome/terms.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { airVerdictsOf } from '../inForce/airVerdictsOf.ts';
import { filmOf } from '../inForce/filmOf.ts';
import { layerClassOf, timesOf, type Layer } from '../inForce/timesOf.ts';
import { windowOf } from '../inForce/windowOf.ts';
import { mapSpread, type Spread } from '../outcome/spread.ts';
import {
  because,
  caution,
  isStopped,
  stop,
  type Explained,
  type Reason,
  type Verdict,
  term,
} from '../outcome/verdicts.ts';
import type { Carrier, NextStep } from '../trade/vocabulary.ts';
import type { FlashFactors } from './flashToday.ts';
import { recoatTime, type RecoatTime } from './recoatTimes.ts';

export const TOUCHES = ['dry', 'tacky', 'marks'] as const;
type Touch = (typeof TOUCHES)[number];
export const LOOKS = ['matt', 'gloss'] as const;
export const CLEANERS = ['solvent', 'water'] as const;
export const READY_TESTS = ['touch', 'thumbTwist', 'tape', 'nail'] as const;
export type RecoatInput = {
  layer: Layer;
  climate: Climate;
  /**
   * From the end of the last coat; before heat, of its last panel: heat takes all of them at once.
   */
  minutesSince: number;
  wetFilmUm?: number;
  /** Steps slower than a medium grade of what is in the cup; negative quicker. */
  reducer?: { stepsSlower: number };
  next: NextStep;
  /** What is sprayed next, where that is something else: its sheet rules the air then. */
  over?: { carrier: Carrier; limits?: Limits };
  /** Of the layer's own sheet, for its next coat. */
  limits?: Limits;
  mistCoat?: boolean;
  tests?: { touch?: Touch; edge?: Touch; look?: (typeof LOOKS)[number] };
  blower?: { inletKPa: number; distanceMm: number; angled: boolean };
  cleaner?: (typeof CLEANERS)[number];
};
export type RecoatAnswer = Explained & {
  ready: boolean;
  confirmed: boolean;
  remainingMinutes: Spread;
  earliestMinutes: Spread;
  /** The minutes in force, and their floor, before today moved them. */
  sheetMinutes: number;
  floorMinutes: number;
  latestMinutes?: number;
  test: { what: (typeof READY_TESTS)[number]; where: readonly TermCode[]; code: AdviceCode };
};

/** A hand-held blower comes no nearer and blows no harder. */
export const BLOWER = { minMm: 1000, maxKPa: 200 } as const;
const NEXT_NAME: Record<NextStep, TermCode> = {
  coat: 'nextCoat',
  clear: 'nextClear',
  tape: 'taping',
  sandDry: 'sanding',
  sandWet: 'wetSanding',
  wipe: 'wiping',
  bake: 'heat',
  polish: 'polishing',
};
const isCoat = (next: NextStep): boolean => next === 'coat' || next === 'clear';
const SLOW_ON_COLD_PANEL_C = 18;
/** A medium grade is medium wherever its maker draws the middle. */
const HALF_A_STEP = 0.5;

/**
 * May the next thing happen yet: earliest and latest minutes since the coat, the test to make, and
 * what stands against it.
 */
export function recoatOf(input: RecoatInput): RecoatAnswer {
  const { layer, climate, next, minutesSince } = input;
  const wait = recoatTime(
    next,
    layer,
    { climate, wetFilmUm: input.wetFilmUm, gradeStepsSlower: input.reducer?.stepsSlower },
    input.mistCoat,
  );
  const isCoated = isCoat(next);
  const latestMinutes = isCoated
    ? windowOf(layer, effectiveTemperatureC(climate))?.value
    : undefined;
  const remainingMinutes = mapSpread(wait.earliestMinutes, (m) => Math.max(0, m - minutesSince));
  const isServed = remainingMinutes.value <= 0;
  const test = testFor(next);
  const verdicts = [
    ...(isCoated ? airVerdictsOf(climate, sprayedNext(input)) : []),
    ...timeVerdicts(input, wait, remainingMinutes.value, latestMinutes),
    ...surfaceVerdicts(input),
    ...testVerdicts(input, isServed, test.where),
    ...(wait.source === 'sheet' ? [] : [caution('no-sheet')]),
  ];
  const isDry = input.tests?.touch === 'dry' && input.tests.edge === 'dry';
  const ready = isServed && !isStopped(verdicts);
  return {
    ready,
    confirmed: ready && isDry,
    remainingMinutes,
    earliestMinutes: wait.earliestMinutes,
    sheetMinutes: wait.sheetMinutes,
    floorMinutes: wait.floorMinutes,
    ...(latestMinutes === undefined ? {} : { latestMinutes }),
    test,
    verdicts,
    reasons: reasonsOf(wait, input),
  };
}

/** The next product's own limits; the next coat of the same goes by this sheet's. */
const sprayedNext = ({ next, over, layer, limits }: RecoatInput) =>
  next === 'clear' && over ? over : { carrier: layer.carrier, limits };

function timeVerdicts(
  { next, minutesSince }: RecoatInput,
  wait: RecoatTime,
  remaining: number,
  latestMinutes?: number,
): Verdict[] {
  const verdicts: Verdict[] = [];
  if (remaining > 0)
    verdicts.push(
      next === 'bake'
        ? stop('bake-too-early', { remainingMinutes: remaining })
        : stop('too-early', {
            remainingMinutes: remaining,
            next: term(NEXT_NAME[next]),
            kind: isCoat(next) ? 'coat' : 'work',
          }),
    );
  if (latestMinutes !== undefined && minutesSince > latestMinutes)
    verdicts.push(stop('window-over', { minutesSince, latestMinutes }));
  return verdicts;
}

function surfaceVerdicts({
  layer,
  climate,
  next,
  cleaner,
  blower,
  reducer,
  wetFilmUm,
}: RecoatInput): Verdict[] {
  const verdicts: Verdict[] = [];
  const isWaterborneSealer = layer.stage === 'sealer' && layer.carrier === 'waterborne';
  if (isWaterborneSealer && (cleaner === 'water' || next === 'sandWet'))
    verdicts.push(stop('water-on-sealer'));
  if (
    blower &&
    (blower.distanceMm < BLOWER.minMm || blower.inletKPa > BLOWER.maxKPa || !blower.angled)
  )
    verdicts.push(stop('blower-too-hard', BLOWER));
  if (
    blower &&
    layer.activated &&
    (layer.stage === 'base' || layer.stage === 'ground' || layer.stage === 'effect')
  )
    verdicts.push(stop('blower-on-activated'));
  const film = filmOf({ class: layerClassOf(layer).value, sheet: layer.sheet });
  if (wetFilmUm !== undefined && film.source === 'sheet' && wetFilmUm > film.value.mostUm)
    verdicts.push(caution('film-over-sheet', { wetUm: wetFilmUm, sheetUm: film.value.aimUm }));
  const panelC = climate.panelTemperatureC ?? climate.airTemperatureC;
  if (reducer && reducer.stepsSlower > HALF_A_STEP && panelC < SLOW_ON_COLD_PANEL_C)
    verdicts.push(
      caution('grade-slow-for-cold', {
        grade: term('thisGrade'),
        effectiveC: effectiveTemperatureC(climate),
      }),
    );
  return verdicts;
}

function testVerdicts(
  { tests }: RecoatInput,
  isServed: boolean,
  where: readonly TermCode[],
): Verdict[] {
  const failed = (
    [
      ['theFace', tests?.touch],
      ['theEdges', tests?.edge],
    ] as const
  ).flatMap(([place, touch]) =>
    touch !== undefined && touch !== 'dry'
      ? [stop('still-wet', { where: term(place), touch })]
      : [],
  );
  if (failed.length > 0 || !isServed) return failed;
  if (tests?.touch === undefined) return [caution('touch-first', { where: where.map(term) })];
  return tests.edge === undefined ? [caution('touch-first', { where: term('theEdges') })] : [];
}

function testFor(next: NextStep): RecoatAnswer['test'] {
  const edges = ['maskingBeside', 'panelEdges', 'thickestPlace'] as const;
  if (next === 'coat' || next === 'bake')
    return { what: 'touch', where: edges, code: 'test-touch' };
  if (next === 'clear') return { what: 'thumbTwist', where: edges, code: 'test-thumb-twist' };
  if (next === 'tape')
    return { what: 'tape', where: ['hiddenEdge', 'panelEdges'], code: 'test-tape' };
  return { what: 'nail', where: ['hiddenEdge', 'thickestPlace'], code: 'test-nail' };
}

function reasonsOf(
  wait: RecoatTime,
  { layer, climate, mistCoat, wetFilmUm }: RecoatInput,
): Reason[] {
  const materialClass = layerClassOf(layer);
  const reasons = [
    wait.reason,
    ...(materialClass.source === 'model' ? [materialClass.reason] : []),
  ];
  if (wait.isCure) return [...reasons, because('never-under-sheet', 'rule')];
  if (mistCoat)
    return [...reasons, because('mist-coat-at-floor', 'rule', { floorMinutes: wait.floorMinutes })];
  const moved: [keyof FlashFactors, ReasonCode][] = [
    ['temperature', 'moved-by-climate'],
    ['air', 'moved-by-air'],
    ['film', 'moved-by-film'],
    ['grade', 'moved-by-grade'],
  ];
  const sized = moved
    .map(([key, code]) => ({ code, factor: wait.factors[key] }))
    .filter(({ factor }) => Math.abs(Math.log(factor)) > 0.02)
    .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)));
  for (const { code, factor } of sized)
    reasons.push(
      because(code, 'model', {
        factor,
        way: term(factor > 1 ? 'longer' : 'shorter'),
        airC: climate.airTemperatureC,
        rhPercent: climate.relativeHumidityPercent,
        side: factor > 1 ? 'slower' : 'quicker',
        ...(wetFilmUm === undefined ? {} : { wetUm: wetFilmUm, sheetUm: timesOf(layer).wetFilmUm }),
      }),
    );
  if (wait.earliestMinutes.value <= wait.floorMinutes + 1e-9)
    reasons.push(because('at-sheet-floor', 'dataSheet', { floorMinutes: wait.floorMinutes }));
  return reasons;
}
