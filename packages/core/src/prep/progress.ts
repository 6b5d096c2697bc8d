/** How far the list has come: the state of each step by what was answered, found and left out. */
import { SKIPPED, type Answered, type LateFind } from './prepInput.ts';
import type { PrepInput, PrepStep, Step, StepState } from './prepInput.ts';
import { answersTo, faultLeftOut, isGate, mayBeLeftOut, passesOf } from './stepKinds.ts';
import type { PrepKind } from './stepKinds.ts';
import { lastAnswers } from './tested.ts';

/** From where a panel goes back for what was found on it late. */
const BACK_TO: Record<LateFind, PrepKind> = {
  dent: 'inspect',
  scratch: 'sand',
  pinhole: 'sand',
  cutThrough: 'throughs',
  silicone: 'degrease',
};

/** Panels that a step is to be done for once more, since something was found on them after it. */
function panelsAgain(steps: readonly Step[], { lateFound = [] }: PrepInput) {
  const from = lateFound.map(({ panel, what }) =>
    steps.findIndex(({ kind, panels }) => kind === BACK_TO[what] && panels.includes(panel)),
  );
  return (step: Step, at: number, { afterFinds = 0 }: Answered): string[] => {
    const again = lateFound
      .filter(({ panel }, i) => {
        const back = from[i]!;
        return i >= afterFinds && back >= 0 && at >= back && step.panels.includes(panel);
      })
      .map(({ panel }) => panel);
    return [...new Set(again)];
  };
}

/** Every step with its state: behind a gate that is not passed all is later. */
export function progressOf(steps: readonly Step[], input: PrepInput): PrepStep[] {
  const answers = lastAnswers(input);
  const againOf = panelsAgain(steps, input);
  let isShut = false;
  return steps.map((step, at) => {
    const answered = answers.get(step.key);
    const again = answered ? againOf(step, at, answered) : [];
    const state = stateOf(step, again.length > 0 ? undefined : answered, isShut);
    const isPassed = state === 'done' || state === 'skipped';
    isShut ||= isGate(step.kind) && !isPassed;
    const fault = faultLeftOut(step.kind);
    return {
      ...step,
      state,
      mayBeSkipped: mayBeLeftOut(step.kind),
      ...(isGate(step.kind)
        ? { gate: { options: answersTo(step.kind), passes: passesOf(step.kind) } }
        : {}),
      ...(again.length > 0 ? { again } : {}),
      ...(fault ? { fault } : {}),
    };
  });
}

function stateOf({ kind }: Step, answered: Answered | undefined, isShut: boolean): StepState {
  if (!answered) return isShut ? 'later' : 'open';
  if (answered.answer === SKIPPED) return 'skipped';
  return passesOf(kind).includes(answered.answer) ? 'done' : 'held';
}

/** Found late on panels that have not been through the list again since, the last of each. */
export function openFinds(steps: readonly PrepStep[], { lateFound = [] }: PrepInput) {
  return lateFound.filter(({ panel }) => steps.some(({ again }) => again?.includes(panel)));
}
