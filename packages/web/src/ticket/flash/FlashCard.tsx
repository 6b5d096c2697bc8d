/** The flash clock, large, and the touch test that alone confirms it. */
import { ADDRESS } from '../../api/resources.ts';
import { Button, Checkbox, SegmentedControl } from '@mantine/core';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import type { Timer, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { postJson } from '../../api/client.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { CarriedOverChanges } from '../../faults/CarriedOverChanges.tsx';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { countdownText } from '../countdown.ts';
import { isLastOfStage } from '../coatSteps.ts';
import styles from './FlashCard.module.css';
import { panelName } from '../../words/tradeNames.ts';
import { EarliestTimes } from './EarliestTimes.tsx';
import { ask } from '@orthochrom/contract/registry.ts';
import { askGate } from '@orthochrom/contract/plan/gateProduct.ts';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import { answersAgain } from '../../safety/answers.ts';
import { HeatCard } from './HeatCard.tsx';
import type { CardProps } from '../cardProps.ts';

/** While the fog is there; after that the run-on is done and nothing more is said. */
const RUN_ON: ReadonlySet<string> = new Set(['extraction-run-on', 'extraction-off']);

type Touch = NonNullable<NonNullable<InputOf<'recoat'>['tests']>['touch']>;

type FlashCardProps = CardProps & { timer: Timer | undefined; gate: GateRecord | undefined };

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
  if (!timer) return <p className="card">The flash clock starts when the coat is on.</p>;
  const leftMs = Date.parse(timer.dueAt) - now;
  const isUp = leftMs <= 0;
  const isConfirmed = timer.confirmedAt !== undefined;
  const minutesSince = Math.max(0, (now - Date.parse(timer.startedAt)) / 60_000);
  const recoat = ask('recoat', {
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
  const share = Math.min(
    1,
    Math.max(0, 1 - leftMs / (Date.parse(timer.dueAt) - Date.parse(timer.startedAt))),
  );
  const confirm = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.timer(timer.id, 'confirm'), {
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
    <div className="card stack">
      <CarriedOverChanges coatId={coat.id} />
      <div className={styles['clock']}>
        <div>
          <div className="label">
            {isConfirmed
              ? 'Confirmed by touch'
              : isUp
                ? 'Time is up: now touch it'
                : 'Flash, still to wait'}
          </div>
          <div className="figure huge" role="timer" aria-live="off">
            {isUp ? `+${countdownText(-leftMs)}` : countdownText(leftMs)}
          </div>
        </div>
        <div className="quiet">
          <PanelTimes {...{ whole, coat, stage, now }} />
          <p>
            {Math.round(recoat.earliestMinutes.low)} to {Math.round(recoat.earliestMinutes.high)}{' '}
            min in this air, never under {Math.round(recoat.floorMinutes)}
            {timer.latestAt
              ? `; sand first after ${new Date(timer.latestAt).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' })}`
              : ''}
            .
          </p>
        </div>
      </div>
      <div className={styles['bar']} aria-hidden="true">
        <div style={{ width: `${share * 100}%` }} className={isUp ? styles['up'] : undefined} />
      </div>
      <VerdictList
        verdicts={[...verdicts, ...runOn.verdicts.filter(({ code }) => RUN_ON.has(code))]}
        hideGo
      />
      <EarliestTimes {...{ whole, coat, context, plan, painter, keep }} nowMs={now} />
      {isConfirmed && isLastOfStage(whole, coat) && (
        <HeatCard {...{ whole, coat, context, painter, keep, gate }} />
      )}
      {!isConfirmed && <Blower context={context} plan={plan} minutesSince={minutesSince} />}
      {!isConfirmed && (
        <>
          <p>
            <strong>{timer.test}</strong>
          </p>
          <div className={styles['tests']}>
            <TouchChoice label="The face says" value={touch} onChange={setTouch} />
            <TouchChoice label="The edges say" value={edge} onChange={setEdge} />
          </div>
          <div className="row">
            <Button
              size="lg"
              loading={busy}
              disabled={!isUp || touch !== 'dry' || edge !== 'dry'}
              onClick={() => void confirm()}
            >
              {isUp ? 'Dry, edges too: confirmed' : 'Not before the time is up'}
            </Button>
          </div>
        </>
      )}
      {coat.state === 'sprayed' && <CombReading {...{ coat, painter, keep }} />}
    </div>
  );
}

/** A comb read now moves the clock: a heavy film waits longer. */
function CombReading({ coat, painter, keep }: Pick<CardProps, 'coat' | 'painter' | 'keep'>) {
  const [wetFilmUm, setWetFilmUm] = useState<number>();
  const [busy, write] = useWrite();
  const read = coat.done['wetFilmUm'];
  const note = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'wet-film'), {
          version: coat.version,
          painterId: painter.id,
          wetFilmUm,
        }),
      ),
    );
  return (
    <div className="row" style={{ alignItems: 'end' }}>
      <FigureInput
        label={
          read?.source === 'instrument'
            ? 'Wet film by the comb: the clock goes by it'
            : 'Wet film by the comb, if you read one'
        }
        kind="film"
        field="wetFilmUm"
        {...(read?.source === 'instrument' ? { value: read.value } : {})}
        onChange={(entered) => setWetFilmUm(entered?.canonical)}
      />
      <Button
        variant="default"
        loading={busy}
        disabled={wetFilmUm === undefined}
        onClick={() => void note()}
      >
        Let the clock go by it
      </Button>
    </div>
  );
}

/** Flash runs per panel from its own time: the first and the last are shown. */
function PanelTimes({
  whole,
  coat,
  now,
}: Pick<CardProps, 'whole' | 'coat' | 'stage'> & { now: number }) {
  const [first, last] = [coat.panelsSprayed[0], coat.panelsSprayed.at(-1)];
  if (!first || !last) return null;
  const name = (panelId: string) =>
    panelName(whole.ticket.panels.find(({ id }) => id === panelId)?.name ?? 'panel');
  const since = (at: string) => `${Math.floor((now - Date.parse(at)) / 60_000)} min`;
  if (first.panelId === last.panelId || first.sprayedAt === last.sprayedAt)
    return <p>On for {since(last.sprayedAt)}.</p>;
  return (
    <p>
      First, {name(first.panelId)}: {since(first.sprayedAt)}. Last, {name(last.panelId)}:{' '}
      {since(last.sprayedAt)}; the clock goes by the last.
    </p>
  );
}

function TouchChoice({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Touch | undefined;
  onChange: (touch: Touch) => void;
}) {
  return (
    <div>
      <div className="label">{label}</div>
      <SegmentedControl
        aria-label={label}
        size="lg"
        value={value ?? ''}
        onChange={(next) => onChange(next as Touch)}
        data={[
          { value: 'dry', label: 'Dry' },
          { value: 'tacky', label: 'Tacky' },
          { value: 'marks', label: 'Marks' },
        ]}
      />
    </div>
  );
}

/** A hand-held blower has limits, and no place on a base with hardener in it. */
function Blower({
  context,
  plan,
  minutesSince,
}: Pick<CardProps, 'context' | 'plan'> & { minutesSince: number }) {
  const [inletKPa, setInletKPa] = useState<number>();
  const [distanceMm, setDistanceMm] = useState<number>();
  const [angled, setAngled] = useState(true);
  if (context.sheet.carrier !== 'waterborne' && !context.sheet.blowerOk) return null;
  const verdicts =
    inletKPa === undefined || distanceMm === undefined
      ? []
      : ask('recoat', {
          ...plan.inputs.recoat,
          minutesSince,
          blower: { inletKPa, distanceMm, angled },
        }).verdicts.filter(({ code }) => code.startsWith('blower'));
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Blowing it dry?
      </summary>
      <p style={{ margin: '0.4rem 0' }}>
        From a metre away or more, at most 2 bar, across the panel and never straight at it.
      </p>
      <div className="grid2">
        <FigureInput
          label="Blower pressure"
          kind="pressure"
          field="inletKPa"
          onChange={(entered) => setInletKPa(entered?.canonical)}
        />
        <FigureInput
          label="From how far"
          kind="length"
          field="distanceMm"
          onChange={(entered) => setDistanceMm(entered?.canonical)}
        />
      </div>
      <Checkbox
        my="sm"
        size="md"
        label="At an angle, across the panel"
        checked={angled}
        onChange={(event) => setAngled(event.currentTarget.checked)}
      />
      <VerdictList verdicts={verdicts} />
    </details>
  );
}
