/**
 * Making ready, one step at a time and large: what to do, on which panels, how, and its question.
 * What is behind an open gate waits; what is left out wants a word why.
 */
import { Button } from '@mantine/core';
import { isPrepHeld, type PrepList, type PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { SKIPPED } from '@orthochrom/core/prep/prepInput.ts';
import { startTransition, useState } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import { DecidedBefore } from './DecidedBefore.tsx';
import { FoundLate } from './FoundLate.tsx';
import { LeaveOut } from './LeaveOut.tsx';
import { PrepSteps } from './PrepSteps.tsx';
import { PrepStepLarge } from './PrepStepLarge.tsx';
import { answerWord } from './prepWords.ts';

type PrepCardProps = Pick<CardProps, 'whole' | 'painter' | 'keep'> & {
  list: PrepList;
  onGate: () => void;
};

export function PrepCard({ whole, painter, keep, list, onGate }: PrepCardProps) {
  const [pickedKey, pickKey] = useState<string>();
  const [isLeaving, setLeaving] = useState<'skipped' | 'declined'>();
  const [busy, write] = useWrite();
  const { steps, next, verdicts } = list;
  const step = steps.find(({ key }) => key === (pickedKey ?? next));
  const answer = (word: string, reason = '') =>
    step &&
    write(async () => {
      keep(
        await noteDown<TicketWhole>(
          `${answerWord(step.kind, word)}: ${step.kind}`,
          'POST',
          ADDRESS.ticket(whole.ticket.id, 'prep-answers'),
          { id: newId(), painterId: painter.id, key: step.key, answer: word, reason },
        ),
      );
      startTransition(() => {
        pickKey(undefined);
        setLeaving(undefined);
      });
    });
  const ask = (word: string) => (word === 'declined' ? setLeaving('declined') : void answer(word));
  const ways = {
    word: 'Whole list',
    content: (
      <>
        <Button variant="default" component={Link} to={`/tickets/${whole.ticket.id}/to-get`}>
          To get for this job
        </Button>
        <PrepSteps steps={steps} shownKey={step?.key} onPick={pickKey} />
        <FoundLate {...{ whole, painter, keep }} />
        <DecidedBefore whole={whole} />
      </>
    ),
  };
  const said = <VerdictList verdicts={step ? saidOf(step, verdicts) : verdicts} hideGo />;
  if (!step)
    return (
      <StepFrame
        ways={ways}
        said={said}
        action={
          <Button onClick={onGate} disabled={!list.ready}>
            Ready: on to the gate
          </Button>
        }
      >
        <div className="card">
          <p>
            <strong>Every step of this list is answered.</strong>
          </p>
          {list.skipped.length > 0 && (
            <p>{list.skipped.length} left out, each with its word why.</p>
          )}
        </div>
      </StepFrame>
    );
  const [first, ...others] = step.gate?.options ?? ['done'];
  const isLater = step.state === 'later';
  return (
    <StepFrame
      ways={ways}
      said={said}
      action={
        <Button loading={busy} disabled={isLater} onClick={() => ask(first!)}>
          {isLater ? 'What is before it comes first' : answerWord(step.kind, first!)}
        </Button>
      }
      other={
        !isLater && (
          <>
            {step.mayBeSkipped && (
              <Button variant="default" disabled={busy} onClick={() => setLeaving(SKIPPED)}>
                Leave it out…
              </Button>
            )}
          </>
        )
      }
    >
      <PrepStepLarge
        step={step}
        at={steps.indexOf(step) + 1}
        of={steps.length}
        isHeld={isPrepHeld(whole)}
        then={steps
          .slice(steps.indexOf(step) + 1)
          .filter(({ state }) => state !== 'done')
          .slice(0, 4)}
      >
        {!isLater &&
          others.map((word) => (
            <Button
              key={word}
              size="lg"
              variant="default"
              disabled={busy}
              onClick={() => ask(word)}
            >
              {answerWord(step.kind, word)}
            </Button>
          ))}
      </PrepStepLarge>
      {isLeaving && (
        <LeaveOut
          step={step}
          isDeclined={isLeaving === 'declined'}
          onClose={() => setLeaving(undefined)}
          onSay={(why) => void answer(isLeaving, why)}
        />
      )}
    </StepFrame>
  );
}

/** What is told of the panels of this step, and of the job as a whole. */
const saidOf = ({ panels }: PrepStep, verdicts: PrepList['verdicts']): PrepList['verdicts'] =>
  verdicts.filter(({ params }) => {
    const about = params?.['panel'];
    return about === undefined || panels.some((name) => String(about).includes(panelName(name)));
  });
