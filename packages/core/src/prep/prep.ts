/**
 * Making ready, as a list made for this job: what to do to which panel, in which order, with which
 * grit and cloth, what holds, and what was left out.
 *
 * Source  rules of thumb of the trade; the sheet's grit and wipe, and the painter's tests, first
 */
import { layerCheckOf, type LayerCheckAnswer } from '../layers/layerCheck.ts';
import { because, isStopped, type Ask } from '../outcome/verdicts.ts';
import type { PrepAnswer, PrepInput, PrepStep } from './prepInput.ts';
import { prepSteps } from './prepSteps.ts';
import { prepVerdicts } from './prepVerdicts.ts';
import { progressOf } from './progress.ts';
import { lastAnswers, TEST_OF, TESTS, withTests } from './tested.ts';
import { isGate, type PrepKind } from './stepKinds.ts';
import { suppliesOf } from './supplies.ts';

/** The list of a job and how far it has come. */
export function prepOf(input: PrepInput): PrepAnswer {
  const { stages } = input;
  const untested = layerCheckOf({ panels: input.panels, stages });
  const tested = (kinds: typeof TESTS): LayerCheckAnswer => {
    const panels = withTests(input, kinds);
    const isUntested = panels.every((panel, i) => panel === input.panels[i]);
    return isUntested ? untested : layerCheckOf({ panels, stages });
  };
  const layers = tested(TESTS);
  const wanted = {
    tests: untested,
    // Both tests may make a patch needless, or needful; its own answer does not take it away.
    patches: tested(['tapePull', 'solventRub']),
  };
  const steps = progressOf(prepSteps(input, wanted), input);
  const keys = new Set(steps.map(({ key }) => key));
  const isOpen = ({ state }: PrepStep): boolean => state === 'open' || state === 'held';
  const isLeft = (step: PrepStep): boolean => isOpen(step) || step.state === 'later';
  const next = steps.find(isOpen)?.key;
  const verdicts = prepVerdicts(steps, input, layers);
  return {
    steps,
    sequence: steps.map(({ key }) => key),
    ...(next === undefined ? {} : { next }),
    heldBy: steps.filter((step) => isGate(step.kind) && isLeft(step)).map(({ key }) => key),
    ready: !steps.some(isLeft) && !isStopped(verdicts),
    skipped: steps.filter(({ state }) => state === 'skipped').map(({ key }) => key),
    unused: [...lastAnswers(input).keys()].filter((key) => !keys.has(key)),
    liftRisk: layers.liftRisk,
    asks: [
      ...layers.asks.filter(({ code }) => code === 'what-lies-under'),
      ...testAsks(steps, input),
    ],
    supplies: suppliesOf(steps, input.panels),
    verdicts,
    reasons: [because('prep-by-session', 'rule'), ...layers.reasons],
  };
}

const TEST_ASKS = { tapePull: 'pull-a-tape', solventRub: 'rub-it' } as const;
const isTestAsked = (kind: PrepKind): kind is keyof typeof TEST_ASKS => kind in TEST_ASKS;

function testAsks(steps: readonly PrepStep[], { panels }: PrepInput): Ask[] {
  return steps.flatMap(({ kind, state, panels: [name], gate }): Ask[] => {
    if (!isTestAsked(kind) || state === 'done' || state === 'skipped') return [];
    const i = panels.findIndex((panel) => panel.name === name);
    const layer = (panels[i]?.found?.length ?? 0) - 1;
    return layer < 0
      ? []
      : [
          {
            field: `panels.${i}.found.${layer}.tests.${TEST_OF[kind]}`,
            code: TEST_ASKS[kind],
            options: [...gate!.options],
          },
        ];
  });
}
