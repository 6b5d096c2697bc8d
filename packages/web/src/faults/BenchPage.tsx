/** The fault bench: one question, the ranking beside it, and the answer as soon as there is one. */
import { NotYet } from '../frame/NotYet.tsx';
import { SegmentedControl, Select } from '@mantine/core';
import { atBench, influencesOn } from '@orthochrom/contract/diagnosis/bench.ts';
import {
  coatAsTaken,
  modelledRisk,
  modelledSteps,
} from '@orthochrom/contract/diagnosis/modelledSteps.ts';
import { ticketReadings } from '@orthochrom/contract/diagnosis/ticketReadings.ts';
import { toldOf } from '@orthochrom/contract/calculations/diagnose.ts';
import type { CoatAirPoint } from '@orthochrom/contract/shop/air.ts';
import { ask } from '@orthochrom/contract/registry.ts';
import { diagnoseInputOf, type Finding } from '@orthochrom/contract/shop/finding.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSetup, useCoatAir, useFindingKept, useTicket } from '../api/reads.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { panelName, STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { AnswerCard } from './AnswerCard.tsx';
import { Answered } from './Answered.tsx';
import styles from './BenchPage.module.css';
import { CausesCard } from './CausesCard.tsx';
import { ConfirmCard } from './ConfirmCard.tsx';
import { answered, EMPTY, isGunSide, type Draft } from './draft.ts';
import { PhotosCard } from './PhotosCard.tsx';
import { QuestionCard } from './QuestionCard.tsx';
import { Ranking } from './Ranking.tsx';
import { ReadingsCard } from './ReadingsCard.tsx';
import { useFinding, type Keeping } from './useFinding.ts';
import { Words } from './Words.tsx';

/** Everything a new or a kept finding needs is fetched before the bench opens. */
export function BenchPage() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const isNew = query.has('new');
  const keptRead = useFindingKept(isNew ? undefined : id, { revalidateOnFocus: false });
  const kept = keptRead.data;
  const coatId = kept?.coatId ?? query.get('coat') ?? undefined;
  const ticketId = kept?.ticketId ?? query.get('ticket') ?? undefined;
  const wholeRead = useTicket(ticketId);
  const whole = wholeRead.data;
  const airRead = useCoatAir(coatId);
  const air = airRead.data;
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup || (!isNew && !kept) || (ticketId && !whole) || (coatId && !air))
    return <NotYet reads={[setupRead, keptRead, wholeRead, airRead]} what="the bench" />;
  const start = startOf(query, setup, whole, air ?? []);
  return <Bench key={id} id={id} kept={kept} start={start} whole={whole} />;
}

/**
 * What is known before the first question: the ticket's own readings, the words or the pattern that
 * were touched.
 */
function startOf(
  query: URLSearchParams,
  setup: ShopSetup,
  whole: TicketWhole | undefined,
  air: CoatAirPoint[],
): Draft {
  const family = query.get('family');
  const burst = query.get('burst');
  const gunId = query.get('gun') ?? undefined;
  const answers = [
    ...(family ? [{ question: 'q_family', answer: family }] : []),
    ...(burst ? [{ question: 'q_burst', answer: burst }] : []),
  ];
  const coat = whole?.coats.find(({ id }) => id === query.get('coat'));
  if (!whole || !coat) return { ...EMPTY, answers, ...(gunId ? { gunId } : {}) };
  const stage = whole.ticket.stages.find(({ id }) => id === coat.stageId)!;
  const painter = setup.painters.find(
    ({ id }) => id === (coat.painterId ?? whole.ticket.painterId),
  )!;
  const room = setup.rooms.find(({ id }) => id === (coat.roomId ?? whole.ticket.roomId))!;
  return {
    ...EMPTY,
    ticketId: whole.ticket.id,
    coatId: coat.id,
    ...(coat.gunId ? { gunId: coat.gunId } : {}),
    vehicle: whole.ticket.vehicle,
    layerSuspected: stage.kind,
    answers,
    readings: ticketReadings({
      whole,
      coat,
      painter,
      room,
      gun: setup.guns.find(({ id }) => id === coat.gunId),
      air,
    }),
  };
}

const KEEPING: Record<Keeping, string> = {
  new: 'Kept from the first answer on',
  saving: 'Keeping …',
  kept: 'Kept',
  failed: 'Not kept yet',
};
const FILM = [
  { value: 'wet', label: 'Still wet' },
  { value: 'dry', label: 'Dry' },
  { value: '', label: 'Not sure' },
];

function Bench({
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
  const judged = useMemo(() => {
    const bench = atBench(diagnoseInputOf(draft));
    return { ...bench, answer: toldOf(bench) };
  }, [draft]);
  const coat = whole?.coats.find(({ id: coatId }) => coatId === draft.coatId);
  const steps = judged.diagnosis.changes.flatMap(({ steps: moves }) => moves).join(' ');
  const leads = judged.answer.decided ? judged.answer.faults[0]?.id : undefined;
  const modelled = useMemo(() => {
    const input = whole && coat && leads ? coatAsTaken(whole, coat) : undefined;
    if (!input || !leads) return { sized: [] };
    const asSprayed = ask('coat', input);
    const foreseen = modelledRisk(asSprayed, leads);
    return {
      sized: steps ? modelledSteps(input, asSprayed, [...new Set(steps.split(' '))]) : [],
      ...(foreseen ? { foreseen } : {}),
    };
  }, [whole, coat, steps, leads]);

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
  const title = stage
    ? `What is wrong with ${STAGE_NAME[stage.kind].toLowerCase()} ${coat.ordinal}?`
    : isGunOnly
      ? 'What is wrong with the gun?'
      : 'What is wrong?';
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
          <Link to={`/tickets/${draft.ticketId}`}>To the ticket</Link>
        ) : (
          <Link to="/faults">All findings</Link>
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
            format={format}
          />
          <CausesCard answer={judged.answer} />
          {!isGunOnly && (
            <section className="card stack" aria-label="Where it is">
              <SegmentedControl
                aria-label="The film"
                data={FILM}
                value={draft.film ?? ''}
                onChange={(film) => set({ film: film === '' ? undefined : (film as 'wet') })}
              />
              <Select
                label="Layer you look at"
                clearable
                value={draft.layerSuspected ?? null}
                data={[
                  ...Object.entries(STAGE_NAME).map(([value, label]) => ({ value, label })),
                  { value: 'substrate', label: 'Under the primer' },
                ]}
                onChange={(layer) =>
                  set({ layerSuspected: (layer ?? undefined) as Draft['layerSuspected'] })
                }
              />
              {whole && (
                <Select
                  label="Panel"
                  clearable
                  value={draft.panelId ?? null}
                  data={whole.ticket.panels.map((panel) => ({
                    value: panel.id,
                    label: panelName(panel.name),
                  }))}
                  onChange={(panelId) => set({ panelId: panelId ?? undefined })}
                />
              )}
              {!whole && (
                <Words
                  label="Which car or part"
                  value={draft.vehicle}
                  onKeep={(vehicle) => set({ vehicle })}
                />
              )}
              <Words label="Where on it" value={draft.where} onKeep={(where) => set({ where })} />
            </section>
          )}
          <ReadingsCard
            readings={draft.readings}
            format={format}
            onChange={(readings) => set({ readings })}
          />
        </aside>
      </div>
    </>
  );
}
