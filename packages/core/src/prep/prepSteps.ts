/** The whole list of a job: every session's steps in their order, before anything is answered. */
import { isColour, stagesOf, type PlannedStage, type TakenIn } from '../layers/foundLayer.ts';
import type { LayerCheckAnswer } from '../layers/layerCheck.ts';
import { wettingFloorHarms } from '../inForce/climate.ts';
import type { PrepInput, Step } from './prepInput.ts';
import { exposureOf } from './exposure.ts';
import { sandSteps } from './sanding.ts';
import { isOverWaterSealer, sessionsOf, type InSession, type Session } from './sessions.ts';
import { isAfterSpraying, type PrepKind } from './stepKinds.ts';

/** What the layers want: the tests that decide, and what the customer decides. */
export type Wanted = { tests: LayerCheckAnswer; patches: LayerCheckAnswer };

const name = ({ panel }: InSession): string => panel.name;

/** The steps of a job, session by session. */
export function prepSteps(input: PrepInput, wanted: Wanted): Step[] {
  const sessions = sessionsOf(input.panels, input.stages);
  return sessions.flatMap((session) => {
    const isFirst = session.number === 0;
    const isLast = session.number === sessions.length - 1;
    const step = stepOf(session);
    return [
      ...(isFirst ? lookedOver(input, wanted, step) : []),
      ...cards(session),
      ...keyed(session, step),
      ...madeClean(session, step),
      ...(isFirst ? [step('silicone', allOf(input))] : []),
      ...guarded(input, session, step),
      ...wiped(input, session, step),
      ...betweenStages(session),
      step('waste', session.panels.map(name)),
      ...(isLast ? [step('adhesionTest', plastics(input))] : []),
    ].filter(({ panels }) => panels.length > 0);
  });
}

type StepOf = (kind: PrepKind, panels: string[], more?: Partial<Step> & { group?: string }) => Step;
const stepOf =
  ({ number, stages }: Session): StepOf =>
  (kind, panels, { group, ...more } = {}) => ({
    key: `${number}.${kind}${group === undefined ? '' : `.${group}`}`,
    stage: stages[0]!.name,
    kind,
    panels,
    ...more,
  });

const sprayed = ({ panels, stages }: PrepInput): TakenIn[] =>
  panels.filter((panel) => stagesOf(panel, stages).length > 0);
const allOf = (input: PrepInput): string[] => sprayed(input).map((panel) => panel.name);
const plastics = (input: PrepInput): string[] =>
  sprayed(input)
    .filter(({ substrate, found }) => substrate === 'plastic' || isBarePlastic(found))
    .map((panel) => panel.name);
const isBarePlastic = (found: TakenIn['found']): boolean =>
  found?.at(-1)?.history === 'barePlastic';

/** The one step of a job in which the customer's word is kept. */
export const DECIDE_KEY = '0.decide';
/** Verdicts that a customer has a say in. */
const DECIDED = [
  'strip-advised',
  'layer-lifts',
  'bleeds-through',
  'isolate-first',
  'foreign-bodywork',
];

function lookedOver(input: PrepInput, { tests, patches }: Wanted, step: StepOf): Step[] {
  const all = allOf(input);
  const demanded = (answer: LayerCheckAnswer, kind: 'tapePull' | 'solventRub' | 'testPatch') =>
    new Set(answer.demands.filter(({ anyOf }) => anyOf.includes(kind)).map(({ panel }) => panel));
  const pulls = demanded(tests, 'tapePull');
  const rubs = demanded(tests, 'solventRub');
  const tried = demanded(patches, 'testPatch');
  const isUntaped = ({ foreign, found }: TakenIn): boolean =>
    foreign === true && !found?.at(-1)?.tests?.tape;
  const decided = new Set(
    [...tests.verdicts, ...patches.verdicts]
      .filter(({ code }) => DECIDED.includes(code))
      .map(({ params }) => params?.['panel']),
  );
  const each = (kind: 'tapePull' | 'solventRub' | 'testPatch', wants: (of: TakenIn) => boolean) =>
    sprayed(input)
      .filter(wants)
      .map((panel) => step(kind, [panel.name], { group: panel.name }));
  return [
    step('wash', all, { wipe: 'soap' }),
    step('degrease', all, { wipe: 'solvent' }),
    step('inspect', all),
    ...each('tapePull', (panel) => pulls.has(panel.name) || isUntaped(panel)),
    ...each('solventRub', (panel) => rubs.has(panel.name)),
    step(
      'decide',
      all.filter((panel) => decided.has(panel)),
    ),
    ...each('testPatch', (panel) => tried.has(panel.name)),
  ];
}

/** A colour that gives something away is seen on a card first. */
const wantsCard = (stage: PlannedStage): boolean => isColour(stage) && exposureOf(stage) > 1;

const cards = (session: Session): Step[] =>
  session.stages.filter(wantsCard).map((stage) => ({
    ...stepOf(session)('card', panelsOf(session, stage), { group: stage.name }),
    stage: stage.name,
  }));
const panelsOf = ({ panels }: Session, stage: PlannedStage): string[] =>
  panels.filter(({ stages }) => stages.includes(stage)).map(name);

function keyed(session: Session, step: StepOf): Step[] {
  const laid = session.panels.filter((one) => one.laid.length > 0);
  const primed = laid.filter((one) => one.laid.at(-1)!.stage === 'primer');
  return [
    step('guideCoat', primed.map(name)),
    ...sandSteps(session),
    step('edges', laid.map(name)),
    step('throughs', session.panels.map(name)),
  ];
}

/** A step for what bears only mild solvent, and one for the rest. */
function mildAndNot(
  kind: 'degreaseAfter' | 'wipe',
  { panels }: Session,
  { step, wipe }: { step: StepOf; wipe: NonNullable<Step['wipe']> },
): Step[] {
  const mild = panels.filter(isOverWaterSealer);
  const rest = panels.filter((one) => !isOverWaterSealer(one));
  return [
    step(kind, rest.map(name), { wipe }),
    step(kind, mild.map(name), { group: 'mild', wipe: 'mildSolvent' }),
  ];
}

const madeClean = (session: Session, step: StepOf): Step[] => [
  step('dustOff', session.panels.map(name)),
  ...mildAndNot('degreaseAfter', session, { step, wipe: 'solvent' }),
  step('mask', session.panels.map(name)),
  step('backMask', session.panels.map(name)),
];

function guarded({ room }: PrepInput, session: Session, step: StepOf): Step[] {
  const all = session.panels.map(name);
  const isTwoPack = session.stages.some(
    ({ hardener, activated }) =>
      hardener === 'isocyanate' ||
      hardener === 'unknown' ||
      (activated === true && hardener === undefined),
  );
  return [
    ...(isTwoPack ? [step('airSupply', all)] : []),
    ...(room?.wetFloor && !floorHarms(room, session) ? [step('wetFloor', all)] : []),
    ...(room?.place === 'outdoors' ? [] : [step('fansOn', all)]),
    step('suit', all),
  ];
}

/** Wetting the floor puts water where it harms one of the stages of a session. */
export const floorHarms = (
  { marginC, relativeHumidityPercent }: NonNullable<PrepInput['room']>,
  { stages }: Session,
): boolean =>
  stages.some(({ carrier }) => wettingFloorHarms({ carrier, marginC, relativeHumidityPercent }));

/** Only a booth with its extraction on carries away what is blown off. */
export const mayBlow = ({ room }: PrepInput): boolean =>
  room?.place === 'booth' && room.extraction === 'on';

function wiped(input: PrepInput, session: Session, step: StepOf): Step[] {
  const all = session.panels.map(name);
  const bare = session.panels.filter(
    ({ panel, laid }) => laid.length === 0 && isBarePlastic(panel.found),
  );
  const wipe = WIPES[input.cleaner ?? session.stages[0]!.wipe ?? 'solvent'];
  const isTackOnly = input.way?.tack === 'tackOnly';
  return [
    ...mildAndNot('wipe', session, { step, wipe }),
    ...(mayBlow(input) && !isTackOnly ? [step('blow', all)] : []),
    step('tack', all),
    step('promoter', bare.map(name)),
  ];
}
/** What a cleaner wipes with; a household one is water with something in it. */
const WIPES = {
  solvent: 'solvent',
  degreaser: 'solvent',
  mildSolvent: 'mildSolvent',
  water: 'water',
  household: 'water',
} as const;

const betweenStages = (session: Session): Step[] =>
  session.stages.slice(1).flatMap((stage) =>
    (['look', 'tack'] as const).map((kind) => ({
      ...stepOf(session)(kind, panelsOf(session, stage), { group: stage.name }),
      stage: stage.name,
    })),
  );

/** The steps that come before a stage goes on: those up to its own last one. */
export function stepsBefore<S extends Pick<Step, 'stage' | 'kind'>>(
  steps: readonly S[],
  stage: string,
): S[] {
  const before = steps.filter(({ kind }) => !isAfterSpraying(kind));
  return before.slice(0, before.findLastIndex((step) => step.stage === stage) + 1);
}
