/** Clean the gun at once, before the pot life ends. */
import { ADDRESS } from '../../api/resources.ts';
import { openLook } from '@orthochrom/contract/plan/lookDue.ts';
import { nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { Button } from '@mantine/core';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import { askGate } from '@orthochrom/contract/plan/gateProduct.ts';
import { answersAgain } from '../../safety/answers.ts';
import { HeatCard } from '../flash/HeatCard.tsx';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { noteDown } from '../../api/outbox.ts';
import { useCare } from '../../api/reads.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { EarliestTimes } from '../flash/EarliestTimes.tsx';
import { AfterDates } from './AfterDates.tsx';
import { CleanGun } from './CleanGun.tsx';
import { CloseTicket } from './CloseTicket.tsx';
import { FinishCard } from './FinishCard.tsx';
import { asksWhatIsLeft, LeftInCup, UsedSaid } from './LeftInCup.tsx';
import { LookAgain } from './LookAgain.tsx';
import { isLastOfStage, isLastOfTicket } from '../coatSteps.ts';
import { countdownText } from '../countdown.ts';
import styles from './CleanCard.module.css';
import { IdleStep, NextStep, type ToNext } from '../step/IdleStep.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';

export function CleanCard({
  whole,
  coat,
  stage,
  plan,
  context,
  painter,
  keep,
  follow,
  gate,
  toNext,
}: CardProps & {
  toNext: ToNext;
  follow: (next: Coat | undefined) => void;
  gate: GateRecord | undefined;
}) {
  const now = useNowMs();
  const [busy, write] = useWrite();
  const mixIds = whole.mixes.filter(({ stageId }) => stageId === stage.id).map(({ id }) => id);
  const running = whole.timers.filter(
    ({ kind, mixId, confirmedAt }) =>
      kind === 'potLife' && mixId && mixIds.includes(mixId) && !confirmedAt,
  );
  const cleaning = {
    room: context.room,
    sheet: context.sheet,
    recipeName: stage.recipeName,
    step: 'clean',
  } as const;
  // Answers of today's gate: what they do not hold is asked on the card, not told as missing here.
  const verdicts = askGate(cleaning, answersAgain(gate?.answers)).verdicts.filter(
    ({ code }) => code !== 'answers-missing',
  );
  const { data: care } = useCare();
  const gunId = coat.gunId ?? context.gun.id;
  const isClean = care !== undefined && !care.find((gun) => gun.gunId === gunId)?.dirty;
  const confirmPotLife = () =>
    write(async () => {
      for (const timer of running)
        keep(
          await noteDown<TicketWhole>('Gun cleaned', 'POST', ADDRESS.timer(timer.id, 'confirm'), {
            version: timer.version,
            painterId: painter.id,
            tests: {},
          }),
        );
    });
  const upcoming = nextCoat(whole.ticket.stages, whole.coats);
  const dueMs = Math.min(...running.map(({ dueAt }) => Date.parse(dueAt)));
  const isGunDone = isClean && running.length === 0;
  const isAllDone = isGunDone && coat.state === 'looked' && isLastOfTicket(whole, coat);
  const after = isLastOfStage(whole, coat) && <AfterDates {...{ whole, coat, context, plan }} />;
  const look = openLook(whole.timers);
  const ways = {
    word: 'Not before, heat',
    content: (
      <>
        <EarliestTimes {...{ whole, coat, context, plan, painter, keep }} nowMs={now} />
        {!isAllDone && after}
        {coat.endedAt && isLastOfStage(whole, coat) && (
          <HeatCard {...{ whole, coat, context, painter, keep, gate }} />
        )}
      </>
    ),
  };
  const said = <VerdictList verdicts={verdicts} hideGo />;
  const goOn = coat.state === 'looked' && upcoming && upcoming.id !== coat.id && (
    <Button
      size="lg"
      variant={isClean && running.length === 0 ? 'filled' : 'default'}
      disabled={busy}
      onClick={() => follow(upcoming)}
    >
      On to the next coat
    </Button>
  );
  const leftInCup = <LeftInCup {...{ whole, stage, painter, keep }} />;
  const thickens = running.length > 0 && (
    <div className={`card ${styles['pot']}`}>
      <div className="label">
        {dueMs > now ? 'The mix thickens in' : 'The mix is over its pot life by'}
      </div>
      <div className={`figure ${styles['left']}`} data-figure data-lead>
        {countdownText(Math.abs(dueMs - now))}
      </div>
    </div>
  );
  const isOn = coat.endedAt !== undefined;
  const clean = (
    <>
      <strong>{context.gun.name} is clean.</strong>{' '}
      {isOn ? 'It was kept after this coat.' : 'Nothing of this coat has gone through it.'}
    </>
  );
  if (isGunDone && !isOn && mixIds.length === 0) return <IdleStep {...toNext}>{clean}</IdleStep>;
  const last = isOn ? <CloseTicket whole={whole} /> : <NextStep {...toNext} />;
  if (isGunDone)
    return (
      <StepFrame ways={ways} action={goOn || last}>
        <p className="card">{clean}</p>
        {isAllDone && look && (
          <LookAgain timer={look} painterId={painter.id} nowMs={now} keep={keep} />
        )}
        {isAllDone && <FinishCard {...{ whole, coat, context, painter, keep }} nowMs={now} />}
        {isAllDone && after}
        {leftInCup}
      </StepFrame>
    );
  return (
    <CleanGun
      round={{
        gunId,
        kind: 'cleaned',
        of: { coatId: coat.id, ticketId: whole.ticket.id },
        onKept: () => void confirmPotLife(),
      }}
      thickens={thickens}
      leftInCup={leftInCup}
      isLeftAsked={asksWhatIsLeft(whole, stage.id)}
      used={<UsedSaid {...{ whole, stage, painter }} />}
      said={said}
      later={ways.content}
      goOn={goOn}
    />
  );
}
