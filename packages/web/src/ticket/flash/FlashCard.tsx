/** The flash clock, large, and the touch test that alone confirms it. */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { Timer, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { noteDown } from '../../api/outbox.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { CarriedOverChanges } from '../../faults/CarriedOverChanges.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { countdownText } from '../countdown.ts';
import { isLastOfStage } from '../coatSteps.ts';
import styles from './FlashCard.module.css';
import { EarliestTimes } from './EarliestTimes.tsx';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { recoatCalculation } from '@orthochrom/contract/calculations/recoat.ts';
import { askGate } from '@orthochrom/contract/plan/gateProduct.ts';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import { answersAgain } from '../../safety/answers.ts';
import { HeatCard } from './HeatCard.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';
import { CombReading } from './CombReading.tsx';
import { type Touch, PanelTimes, TouchChoice } from './FlashTests.tsx';
import { DryingWays } from './DryingWays.tsx';
import { weekdayTimeText } from '../../words/timeText.ts';

/** While the fog is there; after that the run-on is done and nothing more is said. */
const RUN_ON: ReadonlySet<string> = new Set(['extraction-run-on', 'extraction-off']);

type FlashCardProps = CardProps & { timer: Timer; gate: GateRecord | undefined };

export function FlashCard({
  whole,
  coat,
  stage,
  context,
  plan,
  painter,
  keep,
  timer,
  gate,
}: FlashCardProps) {
  const now = useNowMs();
  const [touch, setTouch] = useState<Touch>();
  const [edge, setEdge] = useState<Touch>();
  const [busy, write] = useWrite();
  const leftMs = Date.parse(timer.dueAt) - now;
  const isUp = leftMs <= 0;
  const isConfirmed = timer.confirmedAt !== undefined;
  const minutesSince = Math.max(0, (now - Date.parse(timer.startedAt)) / 60_000);
  const recoat = ask(recoatCalculation, {
    ...plan.inputs.recoat,
    minutesSince,
    ...(touch || edge ? { tests: { ...(touch ? { touch } : {}), ...(edge ? { edge } : {}) } } : {}),
  });
  const { room, sheet } = context;
  const after = {
    room,
    sheet,
    recipeName: stage.recipeName,
    step: 'after',
    minutesSinceSpray: minutesSince,
  } as const;
  const runOn = askGate(after, answersAgain(gate?.answers));
  const wholeMs = Date.parse(timer.dueAt) - Date.parse(timer.startedAt);
  // Wet on wet, there is nothing to wait for.
  const share = wholeMs > 0 ? Math.min(1, Math.max(0, 1 - leftMs / wholeMs)) : 1;
  const confirm = () =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>('Touch test', 'POST', ADDRESS.timer(timer.id, 'confirm'), {
          version: timer.version,
          painterId: painter.id,
          tests: { touch, edge },
        }),
      ),
    );
  // What the timer kept when the coat went on is the wait; the air may have moved since, and is
  // shown beside it.
  const verdicts = recoat.verdicts.filter(
    ({ code }) => code !== 'too-early' && code !== 'bake-too-early' && code !== 'touch-first',
  );
  return (
    <StepFrame
      ways={{
        word: 'Drying, comb',
        content: (
          <>
            <EarliestTimes {...{ whole, coat, context, plan, painter, keep }} nowMs={now} />
            {isConfirmed && isLastOfStage(whole, coat) && (
              <HeatCard {...{ whole, coat, context, painter, keep, gate }} />
            )}
            {!isConfirmed && (
              <DryingWays
                {...{ whole, coat, context, plan, painter, keep, minutesSince }}
                nowMs={now}
              />
            )}
            {coat.state === 'sprayed' && <CombReading {...{ coat, painter, keep }} />}
          </>
        ),
      }}
      said={
        <VerdictList
          verdicts={[...verdicts, ...runOn.verdicts.filter(({ code }) => RUN_ON.has(code))]}
          hideGo
        />
      }
      action={
        isConfirmed ? undefined : (
          <Button
            loading={busy}
            disabled={!isUp || touch !== 'dry' || edge !== 'dry'}
            onClick={() => void confirm()}
          >
            {isUp ? 'Dry, edges too: confirmed' : 'Not before the time is up'}
          </Button>
        )
      }
    >
      <CarriedOverChanges coatId={coat.id} />
      <div className={`card ${styles['clock']}`}>
        <div>
          <div className="label">
            {isConfirmed
              ? 'Confirmed by touch'
              : isUp
                ? 'Time is up: now touch it'
                : 'Flash, still to wait'}
          </div>
          <div
            className={`figure ${styles['left']}`}
            role="timer"
            aria-live="off"
            data-figure
            data-lead
          >
            {isUp ? `+${countdownText(-leftMs)}` : countdownText(leftMs)}
          </div>
        </div>
        {!isConfirmed && (
          <div className={styles['tests']}>
            <TouchChoice label="The face says" value={touch} onChange={setTouch} />
            <TouchChoice label="The edges say" value={edge} onChange={setEdge} />
          </div>
        )}
      </div>
      <div className={styles['bar']} aria-hidden="true">
        <div style={{ width: `${share * 100}%` }} className={isUp ? styles['up'] : undefined} />
      </div>
      {!isConfirmed && (
        <p className={styles['test']}>
          <strong>{timer.test}</strong>
          {coatPlanned(context)?.wait.matt
            ? ' Matt all over, too: the next is the control coat, and it wants a matt film.'
            : ''}
        </p>
      )}
      <div className={`quiet ${styles['more']}`}>
        <PanelTimes {...{ whole, coat, stage, now }} />
        <p>
          {Math.round(recoat.earliestMinutes.low)} to {Math.round(recoat.earliestMinutes.high)} min
          in this air, never under {Math.round(recoat.floorMinutes)}
          {timer.latestAt ? `; sand first after ${weekdayTimeText(timer.latestAt)}` : ''}.
        </p>
      </div>
    </StepFrame>
  );
}
