/** What is to be told of a list: layers, answers that do not pass, what was left out or found. */
import { isBarrier, stagesOf } from '../layers/foundLayer.ts';
import type { LayerCheckAnswer } from '../layers/layerCheck.ts';
import { caution, stop, term, type Verdict } from '../outcome/verdicts.ts';
import type { LateFind, PrepInput, PrepStep } from './prepInput.ts';
import { floorHarms, mayBlow } from './prepSteps.ts';
import { openFinds } from './progress.ts';
import { sessionsOf } from './sessions.ts';
import { lastAnswers } from './tested.ts';

/** Everything to be told, layers first. */
export function prepVerdicts(
  steps: readonly PrepStep[],
  input: PrepInput,
  layers: LayerCheckAnswer,
): Verdict[] {
  return [
    ...layers.verdicts.filter((verdict) => stillSaid(verdict, steps)),
    ...steps.flatMap((step) => heldVerdicts(step)),
    ...steps.filter(({ state }) => state === 'skipped').map(skippedVerdict),
    ...openThroughs(steps, input, layers),
    ...siliconeVerdicts(input),
    ...cleanerVerdicts(steps, input),
    ...roomVerdicts(input),
    ...openFinds(steps, input).map(({ panel, what }) =>
      caution('late-found', { panel, find: FIND[what].code, what: term(FIND[what].term) }),
    ),
  ];
}

const FIND = {
  dent: { code: 'dent', term: 'lateDent' },
  scratch: { code: 'scratch', term: 'lateScratch' },
  pinhole: { code: 'pinhole', term: 'latePinhole' },
  cutThrough: { code: 'through', term: 'lateThrough' },
  silicone: { code: 'silicone', term: 'lateSilicone' },
} as const satisfies Record<LateFind, { code: string; term: string }>;

/** A scratch is spoken of until its panel is sanded. */
function stillSaid({ code, params }: Verdict, steps: readonly PrepStep[]): boolean {
  if (code !== 'sand-first') return true;
  const sanding = steps.find(
    ({ kind, panels }) => kind === 'sand' && panels.includes(params?.['panel'] as string),
  );
  return sanding?.state !== 'done';
}

function heldVerdicts({ kind, state, panels, stage }: PrepStep): Verdict[] {
  if (state !== 'held') return [];
  const panel = panels.join(', ');
  if (kind === 'sand') return [stop('not-keyed', { panel })];
  if (kind === 'airSupply') return [stop('air-supply-unchecked')];
  if (kind === 'wipe') return [caution('wipe-again', { panel })];
  if (kind === 'edges') return [caution('edge-shows', { panel })];
  if (kind === 'card') return [caution('card-differs', { stage })];
  if (kind === 'adhesionTest') return [caution('plastic-lets-go', { panel })];
  return kind === 'inspect' || kind === 'look' ? [caution('found-on-look', { panel })] : [];
}

const skippedVerdict = ({ kind, fault }: PrepStep): Verdict =>
  caution('step-skipped', { step: term(kind), fault: fault! });

/** Cut through while sanding, and nothing planned above that shuts it off. */
function openThroughs(
  steps: readonly PrepStep[],
  input: PrepInput,
  layers: LayerCheckAnswer,
): Verdict[] {
  const answers = lastAnswers(input);
  const told = new Set(
    layers.verdicts
      .filter(({ code }) => code === 'cut-through-open')
      .map(({ params }) => params?.['panel']),
  );
  const sessions = sessionsOf(input.panels, input.stages);
  const open = steps
    .filter(({ kind, key }) => kind === 'throughs' && answers.get(key)?.answer === 'some')
    .flatMap(({ key, panels }) => {
      const later = sessions.slice(Number(key.split('.')[0])).flatMap(({ stages }) => stages);
      return panels.filter((name) => {
        const panel = input.panels.find((one) => one.name === name)!;
        return !told.has(name) && !stagesOf(panel, later).some(isBarrier);
      });
    });
  return open.length > 0
    ? [caution('cut-through-open', { panel: [...new Set(open)].join(', ') })]
    : [];
}

/** Silicone makes fisheyes for so long. */
const SILICONE_MONTHS = 6;

function siliconeVerdicts(input: PrepInput): Verdict[] {
  const months = input.room?.siliconeMonths;
  if (months !== undefined)
    return months < SILICONE_MONTHS ? [caution('silicone-recent', { months })] : [];
  return lastAnswers(input).get('0.silicone')?.answer === 'recent'
    ? [caution('silicone-recent', { months: term('underSix') })]
    : [];
}

function cleanerVerdicts(steps: readonly PrepStep[], { cleaner }: PrepInput): Verdict[] {
  const isWet = cleaner === 'household' || cleaner === 'water';
  const isMild = steps.some(({ kind, wipe }) => kind === 'wipe' && wipe === 'mildSolvent');
  return [
    ...(isWet && isMild ? [stop('water-on-sealer')] : []),
    ...(cleaner === 'household' ? [caution('household-cleaner')] : []),
  ];
}

function roomVerdicts(input: PrepInput): Verdict[] {
  const { room, way } = input;
  const isHarmed =
    room?.wetFloor === true &&
    sessionsOf(input.panels, input.stages).some((session) => floorHarms(room, session));
  return [
    ...(isHarmed ? [caution('floor-wetting')] : []),
    ...(way?.tack === 'blowAndTack' && room && !mayBlow(input)
      ? [caution('blow-without-filter')]
      : []),
  ];
}
