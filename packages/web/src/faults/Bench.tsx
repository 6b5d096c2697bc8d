/** The bench: the question, the answer and the ranking, side by side. */
import { influencesOn } from '@orthochrom/contract/diagnosis/bench.ts';
import { diagnoseInputOf, type Finding } from '@orthochrom/contract/shop/finding.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSetup } from '../api/reads.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { AnswerCard } from './AnswerCard.tsx';
import { Answered } from './Answered.tsx';
import styles from './BenchPage.module.css';
import { CausesCard } from './CausesCard.tsx';
import { ConfirmCard } from './ConfirmCard.tsx';
import { answered, isGunSide, type Draft } from './draft.ts';
import { PhotosCard } from './PhotosCard.tsx';
import { QuestionCard } from './QuestionCard.tsx';
import { Ranking } from './Ranking.tsx';
import { ReadingsCard } from './ReadingsCard.tsx';
import { useFinding, type Keeping } from './useFinding.ts';

import { useJudged } from './useJudged.ts';
import { WhereItIs } from './WhereItIs.tsx';
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';

const KEEPING: Record<Keeping, string> = {
  new: 'Kept from the first answer on',
  saving: 'Keeping …',
  kept: 'Kept',
  failed: 'Not kept yet',
};

function titleOf(
  stage: Stage | undefined,
  ordinal: number | undefined,
  isGunOnly: boolean,
): string {
  if (stage) return `What is wrong with ${STAGE_NAME[stage].toLowerCase()} ${ordinal}?`;
  return isGunOnly ? 'What is wrong with the gun?' : 'What is wrong?';
}

export function Bench({
  id,
  kept,
  start,
  whole,
}: {
  id: string;
  kept: Finding | undefined;
  start: Draft;
  whole: TicketWhole | undefined;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [, setQuery] = useSearchParams();
  const onFirstKept = useCallback(() => setQuery({}, { replace: true }), [setQuery]);
  const { draft, finding, keeping, change, take, retry } = useFinding(
    id,
    painter.id,
    start,
    kept,
    onFirstKept,
  );
  const [asked, setAsked] = useState<string>();
  const judged = useJudged(draft, whole, painter.units);
  const { coat, modelled } = judged;
  const { data: setup } = useSetup();
  const gunName = setup?.guns.find(({ id: gunId }) => gunId === draft.gunId)?.name;
  const isGunOnly = draft.gunId !== undefined && draft.coatId === undefined;
  const offers = judged.diagnosis.offers
    .map((offer) => offer.id)
    .filter((question) => !isGunOnly || isGunSide(question));
  const question = asked ?? offers[0];
  const give = (answer: string) => {
    if (!question) return;
    setAsked(undefined);
    change({ ...draft, answers: answered(draft.answers, { question, answer }) });
  };
  const forget = (which: string) =>
    change({ ...draft, answers: draft.answers.filter((one) => one.question !== which) });
  const last = draft.answers.at(-1);
  const set = (patch: Partial<Draft>) => change({ ...draft, ...patch });
  const stage = coat && whole?.ticket.stages.find(({ id: stageId }) => stageId === coat.stageId);
  const title = titleOf(stage?.kind, coat?.ordinal, isGunOnly);
  const isAnswered = judged.answer.decided || offers.length === 0;
  const answerTop = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // The answer comes above the question: whoever has just answered is taken to it.
    if (judged.answer.decided) answerTop.current?.scrollIntoView({ block: 'start' });
  }, [judged.answer.decided]);
  const questionCard = question && (
    <QuestionCard
      key={question}
      question={question}
      given={draft.answers.find((one) => one.question === question)?.answer}
      others={offers.filter((other) => other !== question)}
      onAnswer={give}
      onBack={
        last && !asked
          ? () => (forget(last.question), setAsked(last.question))
          : asked
            ? () => setAsked(undefined)
            : undefined
      }
      onAsk={setAsked}
    />
  );
  return (
    <>
      <PageHead title={title} line={draft.vehicle || gunName || 'A car that walked in'}>
        <span className="quiet" role="status" data-keeping={keeping}>
          {KEEPING[keeping]}{' '}
          {keeping === 'failed' && (
            <button type="button" className={styles['retry']} onClick={retry}>
              try again
            </button>
          )}
        </span>
        {draft.ticketId ? (
          <Link to={`/tickets/${draft.ticketId}`} className="touch">
            To the ticket
          </Link>
        ) : (
          <Link to="/faults" className="touch">
            All findings
          </Link>
        )}
      </PageHead>
      <div className={`page ${styles['bench']}`}>
        <div className="stack">
          {!isAnswered && questionCard}
          {(isAnswered || draft.answers.length > 1) && (
            <AnswerCard
              answer={judged.answer}
              diagnosis={judged.diagnosis}
              {...modelled}
              format={format}
            />
          )}
          {isAnswered && question && (
            <>
              {judged.diagnosis.wouldChange === question ? (
                <p role="status">
                  <strong>One more look: the answer would change what to do.</strong>
                </p>
              ) : (
                <p className="quiet">One more question would make it surer:</p>
              )}
              {questionCard}
            </>
          )}
          <Answered answers={draft.answers} onAsk={setAsked} onForget={forget} />
          {finding && <PhotosCard finding={finding} take={take} />}
          {finding && (
            <ConfirmCard key={finding.confirmed?.at ?? 'open'} finding={finding} take={take} />
          )}
        </div>
        <aside className="stack">
          <Ranking
            diagnosis={judged.diagnosis}
            log={judged.log}
            leansOf={(fault) => influencesOn(diagnoseInputOf(draft), judged.log, fault)}
            units={painter.units}
          />
          <CausesCard answer={judged.answer} />
          {!isGunOnly && <WhereItIs draft={draft} whole={whole} set={set} />}
          <ReadingsCard
            readings={draft.readings}
            units={painter.units}
            onChange={(readings) => set({ readings })}
          />
        </aside>
      </div>
    </>
  );
}
