/**
 * The safety gate: the first card of every stage, before any recipe or setting. A stop cannot be
 * typed away.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { askGate, gateProduct } from '@orthochrom/contract/plan/gateProduct.ts';
import type { GateState } from '@orthochrom/contract/plan/gateToday.ts';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown, useWaiting } from '../../api/outbox.ts';
import { useWrite } from '../../api/useWrite.ts';
import { answersAgain, openQuestions } from '../../safety/answers.ts';
import { GateQuestions } from '../../safety/GateQuestions.tsx';
import styles from '../../safety/GateQuestions.module.css';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';
import { timeText } from '../../words/timeText.ts';
import { CHEMISTRY_NAME } from '../../words/tradeNames.ts';

const PLACE_NAME = {
  booth: 'a booth',
  closedGarage: 'a closed garage',
  openGarage: 'an open garage',
  outdoors: 'the open air',
} as const;

/** What is not answered yet stands on the action, and as its question. */
const NOT_ANSWERED_YET = ['answers-missing', 'breathing-air-unchecked'];

type GateCardProps = CardProps & { room: Room; latest: GateRecord | undefined; gate: GateState };

export function GateCard({
  whole,
  coat,
  stage,
  context,
  room,
  latest,
  gate,
  painter,
  keep,
}: GateCardProps) {
  const [answers, setAnswers] = useState(() => answersAgain(latest?.answers));
  const [busy, write] = useWrite();
  // Asked again once the mix is at hand, because something changed, it is asked for spraying.
  const step = coat.state === 'planned' ? 'mix' : 'spray';
  const product = gateProduct(context.sheet, stage.recipeName);
  const outcome = askGate(
    { room, sheet: context.sheet, recipeName: stage.recipeName, step },
    answers,
  );
  const open = openQuestions(outcome.asks, answers);
  const address = ADDRESS.ticket(whole.ticket.id, 'gate-answers');
  const noted = useWaiting<{ stageId: string }>(address).findLast(
    ({ said }) => said.stageId === stage.id,
  );
  const send = () =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>('Gate answered', 'POST', address, {
          id: newId(),
          stageId: stage.id,
          step,
          painterId: painter.id,
          ...answers,
        }),
      ),
    );
  return (
    <StepFrame
      said={
        <>
          <VerdictList
            verdicts={outcome.verdicts.filter(({ code }) => !NOT_ANSWERED_YET.includes(code))}
            hideGo
          />
          {outcome.alternatives.length > 0 && (
            <p>
              <strong>Lawful ways on: </strong>
              {outcome.alternatives.map(({ code, text }) => (
                <span key={code}>{text} </span>
              ))}
            </p>
          )}
        </>
      }
      action={
        <Button
          onClick={() => void send()}
          loading={busy}
          disabled={open > 0}
          color={outcome.passed ? undefined : 'red'}
        >
          {open > 0
            ? `${open} still to answer`
            : outcome.passed
              ? 'Passed: on to the air'
              : 'Keep this answer: it is a stop'}
        </Button>
      }
    >
      {gate.state === 'changed' && (
        <p role="alert">
          <strong>Asked again:</strong> {gate.changed.join(', ')} changed since it was answered.
          Nothing is poured or sprayed before it is answered anew.
        </p>
      )}
      {noted && (
        <p role="status">
          <strong>Answered at {timeText(noted.notedAt)}.</strong> It waits for the server, which
          judges it: nothing is poured before.
        </p>
      )}
      <div className={`card ${styles['gate']}`}>
        <p className={styles['what']}>
          <strong>
            {context.sheet.name}: {CHEMISTRY_NAME[product.hardener]}, {product.carrier}, in{' '}
            {PLACE_NAME[room.place]}.
          </strong>{' '}
          Safety sheet, local code and licensed practice come first.
        </p>
        <GateQuestions
          product={product}
          place={room.place}
          known={room.ignitionSources}
          answers={answers}
          setAnswers={setAnswers}
        />
      </div>
    </StepFrame>
  );
}
