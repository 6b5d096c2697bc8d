/**
 * How to set this gun for this coat: what is in force for it, then what the gun's own rating and
 * tests say it does there. A starting point that ends in a test panel. The painter's own settings
 * are judged beside it by the same rules.
 */
import type { TermCode } from '../outcome/terms.ts';
import { capLimitOf } from '../inForce/capLimitOf.ts';
import type { Band } from '../outcome/spread.ts';
import {
  because,
  caution,
  type Ask,
  type Explained,
  type Reason,
  type Verdict,
  term,
} from '../outcome/verdicts.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import { STAGE_PRACTICE } from '../trade/practice.ts';
import type { PartKind, Wetness } from '../trade/vocabulary.ts';
import { operatingPoint, type OperatingPoint } from './operatingPoint.ts';
import { testsOf } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import { HVLP_KIND_ASK, isKindUnknown, kindUnknown } from './hvlpKind.ts';
import { inletAtCap } from './inletPressure.ts';
import { reasonsOfSet, verdictsOfSet, type SetJudged } from './judged.ts';
import type { SetupInput } from './setupInput.ts';
import { chosenFor, type Chosen, modelFor, asked, isAtEase } from './setupChoice.ts';

/** The painter's own settings as this gun carries them out. */
export type OwnJudged = OperatingPoint & SetJudged & Explained;
export type SetupAnswer = Explained &
  OperatingPoint & {
    class: MaterialClass;
    nozzleMm: number;
    nozzleWantedMm: Band;
    inletKPa: number;
    /** The gauge's green band. */
    inletBandKPa: Band;
    fluidTurnsOut: number;
    fanTurnsOut: number;
    distanceMm: number;
    overlapPercent: number;
    coats: number;
    wetFilmUm: number;
    mostWetFilmUm: number;
    wetness: Wetness;
    asks: Ask[];
    own?: OwnJudged;
  };

const HARDENER_ASK: Ask = {
  field: 'hardener',
  code: 'which-hardener',
  options: ['isocyanate', 'other', 'none'],
};

/**
 * The gun set for this coat: tip, pressure, knobs, hand, and what comes out, each with its reason.
 * The sheet goes first, then practice; the painter's own set, if given, is judged beside it.
 */
export function setupOf(input: SetupInput): SetupAnswer {
  const choice = chosenFor(input);
  const { materialClass, nozzle, air, film, set, figures } = choice;
  const { stage, sheet, mist } = input;
  return {
    class: materialClass.value,
    ...set,
    nozzleWantedMm: nozzle.wantedMm,
    inletBandKPa: air.bandKPa,
    coats: sheet?.coats ?? STAGE_PRACTICE[stage].coats,
    mostWetFilmUm: film.value.mostUm,
    wetness: mist ? 'light' : STAGE_PRACTICE[stage].wetness,
    asks: [
      ...(input.hardener === undefined ? [HARDENER_ASK] : []),
      ...(isKindUnknown(input.gun, nozzle.nozzleMm) ? [HVLP_KIND_ASK] : []),
    ],
    ...figures,
    ...(input.own ? { own: ownJudged(input, materialClass.value, set) } : {}),
    verdicts: verdictsOf(input, choice),
    reasons: reasonsOf(input, choice),
  };
}

function verdictsOf(
  input: SetupInput,
  { materialClass, nozzle, model, air, set, figures, line }: Chosen,
): Verdict[] {
  const isSaid = ({ code }: Verdict) => air.verdicts.some((said) => said.code === code);
  return [
    ...air.verdicts,
    ...verdictsOfSet(input, materialClass.value, model, set, figures).filter((v) => !isSaid(v)),
    ...(line?.verdicts ?? []).filter(({ code }) => code !== 'hose-too-narrow'),
    ...circumstances(input, nozzle.nozzleMm),
  ];
}

function reasonsOf(
  input: SetupInput,
  { materialClass, nozzle, model, knobs, hand, air, set, figures, line }: Chosen,
): Reason[] {
  const { part, mist } = input;
  const { gunSpeedMPerS } = figures;
  const isForHand = set.fluidTurnsOut !== knobs.fluidTurnsOut && isAtEase(gunSpeedMPerS, part);
  return [
    ...(materialClass.source === 'model' ? [materialClass.reason] : []),
    ...air.reasons,
    ...capReasons(input, model, { ...set, capKPa: figures.capKPa }),
    ...nozzle.reasons,
    ...knobs.reasons,
    ...(isForHand ? [because('needle-for-hand', 'model', { gunSpeedMPerS })] : []),
    ...hand.reasons,
    ...testReasons(model),
    ...reasonsOfSet(input, materialClass.value, figures),
    ...(line?.reasons ?? []),
    ...presetReasons(part, mist),
  ];
}

/**
 * Settings the painter chose, the rest ours; what the gun does with them, and what stands against
 * them.
 */
function ownJudged(input: SetupInput, materialClass: MaterialClass, ours: SetJudged): OwnJudged {
  const own = { ...ours, ...givenOf(input.own ?? {}) };
  const { figures, line } = operatingPoint(asked(input, own.nozzleMm), own);
  return {
    ...own,
    ...figures,
    verdicts: [
      ...verdictsOfSet(input, materialClass, modelFor(input, own.nozzleMm), own, figures),
      ...(line?.verdicts ?? []).filter(({ code }) => code !== 'hose-too-narrow'),
      ...circumstances(input, own.nozzleMm),
    ],
    reasons: reasonsOfSet(input, materialClass, figures),
  };
}

const JUDGED = [
  'nozzleMm',
  'inletKPa',
  'fluidTurnsOut',
  'fanTurnsOut',
  'distanceMm',
  'overlapPercent',
  'wetFilmUm',
] as const;
const givenOf = (own: NonNullable<SetupInput['own']>): Partial<SetJudged> =>
  Object.fromEntries(
    JUDGED.flatMap((name) => (own[name] === undefined ? [] : [[name, own[name]]])),
  );

function capReasons(
  { gun, capLimitKPa }: SetupInput,
  model: GunModel,
  { capKPa, fanTurnsOut }: { capKPa: number; fanTurnsOut: number },
): Reason[] {
  const limit = capLimitOf(gun.class, capLimitKPa);
  if (limit?.source !== 'law') return [because('cap-at-inlet', 'model', { capKPa })];
  const mostKPa = Math.floor(inletAtCap(model, limit.value, fanTurnsOut));
  return [because('cap-under-limit', 'model', { capKPa, capLimitKPa: limit.value, mostKPa })];
}

function testReasons({ tests, flowFactor }: GunModel): Reason[] {
  return [
    ...(tests.catch
      ? [because('flow-from-catch', 'record', { flowFactor })]
      : [because('flow-from-class', 'model')]),
    ...(tests.fan
      ? [because('fan-from-test', 'record', { fanWidthMm: tests.fan.fanWidthMm })]
      : []),
    ...(tests.cap
      ? [
          because('cap-from-test', 'record', {
            capKPa: tests.cap.capKPa,
            inletKPa: tests.cap.inletKPa,
          }),
        ]
      : []),
  ];
}

/** What is said of the job, whatever the settings. */
function circumstances(input: SetupInput, nozzleMm: number): Verdict[] {
  const { hardener, sheet, place, coatsWanted } = input;
  const verdicts: Verdict[] = [];
  if (hardener === undefined || hardener === 'isocyanate' || hardener === 'unknown')
    verdicts.push(caution('two-pack-breathing'));
  const left = partLeft(input);
  if (left) verdicts.push(caution('knobs-need-reset', { part: term(left) }));
  if (!sheet) verdicts.push(caution('no-sheet'));
  if (sheet?.coatsBand && coatsWanted !== undefined && coatsWanted > sheet.coatsBand[1])
    verdicts.push(caution('coats-over-sheet', { coats: coatsWanted, most: sheet.coatsBand[1] }));
  if (isKindUnknown(input.gun, nozzleMm)) verdicts.push(kindUnknown());
  if (input.limitFog || place !== 'booth') verdicts.push(caution('fog-limit'));
  if (testsOf(input.gun, nozzleMm).length === 0) verdicts.push(caution('test-panel-first'));
  return verdicts;
}

/** What the knobs still stand for, where it is not this work. */
function partLeft({ knobsNow, part, mist = false }: SetupInput): TermCode | undefined {
  if (!knobsNow?.part) return undefined;
  if (knobsNow.mist && !mist) return 'mistCoat';
  return knobsNow.part === part ? undefined : knobsNow.part;
}

function presetReasons(part: PartKind, mist = false): Reason[] {
  return [
    ...(mist ? [because('mist-wide-and-little', 'rule')] : []),
    ...(part === 'largePanel'
      ? []
      : [because('small-work-all-down', 'rule', { part: term(part) })]),
  ];
}
