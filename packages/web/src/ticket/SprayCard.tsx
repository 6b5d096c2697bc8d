/** Spraying: the gate once more if something changed, then panel by panel until the coat is on. */
import { Button, Checkbox, TextInput } from '@mantine/core';
import type { Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { worstLevel } from '@orthochrom/core/outcome/told.ts';
import { IconCheck } from '@tabler/icons-react';
import { useState } from 'react';
import { postJson } from '../api/client.ts';
import { useNowMs, useWrite } from '../api/hooks.ts';
import { formatFor, minutesText, turnsText } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../verdict/Verdicts.tsx';
import { FigureInput } from '../units/FigureInput.tsx';
import { countdownText } from './countdown.ts';
import { FlowingGauge } from './FlowingGauge.tsx';
import { AIRFLOW_WORDS, capital, panelName, SPRAY_WORDS, WETNESS_NAME } from './names.ts';
import styles from './SprayCard.module.css';
import type { CardProps } from './cardProps.ts';

type SprayCardProps = CardProps & { mix: Mix | undefined; gatePassed: boolean; askGate: () => void };

export function SprayCard(props: SprayCardProps) {
  const { coat, gatePassed } = props;
  if (!gatePassed) return <p className="card">The safety gate of this stage comes first.</p>;
  if (coat.state === 'spraying') return <Spraying {...props} />;
  if (coat.state === 'taken') return <ReadyToSpray {...props} />;
  return <p className="card">{coat.state === 'planned' ? 'Take the plan and pour first.' : 'This coat is on.'}</p>;
}

function ReadyToSpray({ coat, stage, context, plan, painter, keep, mix, askGate }: SprayCardProps) {
  const [isUnchanged, setIsUnchanged] = useState(false);
  const [whyOld, setWhyOld] = useState('');
  const [busy, write] = useWrite();
  const nowMs = useNowMs(15_000);
  const now = plan.setup.own ?? plan.setup;
  const format = formatFor(painter.units);
  const isOld = mix?.potLifeEndsAt !== undefined && Date.parse(mix.potLifeEndsAt) < nowMs;
  const said = [...plan.climate.verdicts, ...now.verdicts.filter(({ level }) => level === 'stop')];
  const start = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(`/api/coats/${coat.id}/spray-start`, {
          version: coat.version,
          painterId: painter.id,
          mixId: mix!.id,
          unchangedSinceGate: true,
          ...(isOld ? { whyOldMix: whyOld.trim() } : {}),
        }),
      ),
    );
  return (
    <div className="card stack">
      <p style={{ fontSize: '1.2rem', lineHeight: 1.4 }}>
        <strong>{capital(WETNESS_NAME[plan.setup.wetness])}</strong>, {format.joined(format.film(now.wetFilmUm))} wet.{' '}
        {SPRAY_WORDS[stage.kind]} {format.joined(format.pressure(now.inletKPa))} at the gun, needle {turnsText(now.fluidTurnsOut)}{' '}
        out, {format.joined(format.length(now.distanceMm))} away. Trigger to air at the turns.
      </p>
      {stage.panelIds.length > 1 && <p>{AIRFLOW_WORDS[context.room.airflow]}</p>}
      <VerdictList verdicts={said} hideGo />
      <Checkbox
        size="lg"
        checked={isUnchanged}
        onChange={(event) => setIsUnchanged(event.currentTarget.checked)}
        label="Room, people and protection are as they were at the gate"
      />
      {isOld && (
        <>
          <p role="alert">
            This mix is past its pot life since {minutesText((nowMs - Date.parse(mix.potLifeEndsAt!)) / 60_000)}: it thickens,
            lies rough and may not cure as it should. Better: clean the gun and mix again.
          </p>
          <TextInput
            label="Spray it all the same: a word why"
            value={whyOld}
            maxLength={200}
            onChange={(event) => setWhyOld(event.currentTarget.value)}
          />
        </>
      )}
      <div className="row">
        <Button
          size="lg"
          onClick={() => void start()}
          loading={busy}
          disabled={!isUnchanged || !mix || worstLevel(said) === 'stop' || (isOld && whyOld.trim() === '')}
        >
          Start spraying
        </Button>
        <Button variant="default" onClick={askGate}>
          Something changed: ask again
        </Button>
      </div>
      {!mix && <p role="alert">There is no mix of this stage yet.</p>}
    </div>
  );
}

function Spraying({ whole, coat, stage, plan, painter, keep }: SprayCardProps) {
  const [lowest, setLowest] = useState<number>();
  const [highest, setHighest] = useState<number>();
  const isSwapped = lowest !== undefined && highest !== undefined && lowest > highest;
  const [busy, write] = useWrite();
  const now = useNowMs();
  const panels = whole.ticket.panels.filter(({ id }) => stage.panelIds.includes(id));
  const isDone = (panelId: string) => coat.panelsSprayed.some((sprayed) => sprayed.panelId === panelId);
  const post = (path: string, body: object) =>
    write(async () => keep(await postJson<TicketWhole>(`/api/coats/${coat.id}/${path}`, { painterId: painter.id, ...body })));
  return (
    <div className="card stack">
      <div className="label">Spraying for</div>
      <div className="figure">{countdownText(now - Date.parse(coat.startedAt ?? ''))}</div>
      <p className="quiet">
        Touch each panel as it is done: its flash runs from then. Airflow, wet edge and light first; this can wait.
      </p>
      <FlowingGauge
        coatId={coat.id}
        setInletKPa={(plan.setup.own ?? plan.setup).inletKPa}
        bandKPa={plan.setup.inletBandKPa}
        units={painter.units}
      />
      <div className={styles['panels']}>
        {panels.map((panel) => (
          <Button
            key={panel.id}
            variant={isDone(panel.id) ? 'light' : 'default'}
            size="lg"
            disabled={busy || isDone(panel.id)}
            onClick={() => void post('panels', { panelId: panel.id })}
            leftSection={isDone(panel.id) ? <IconCheck size={20} aria-hidden="true" /> : undefined}
          >
            {panelName(panel.name)}
            {isDone(panel.id) ? ', done' : ''}
          </Button>
        ))}
      </div>
      <div>
        <Button
          size="xl"
          loading={busy}
          disabled={isSwapped}
          onClick={() =>
            void post('spray-end', {
              version: coat.version,
              ...(lowest === undefined ? {} : { lowestInletKPa: lowest }),
              ...(highest === undefined ? {} : { highestInletKPa: highest }),
            })
          }
        >
          The coat is on
        </Button>
      </div>
      <details>
        <summary style={{ cursor: 'pointer', minHeight: 32 }}>My own gauge showed</summary>
        <div className="grid2" style={{ marginTop: 8 }}>
          <FigureInput
            label="Lowest at the gun, trigger pulled"
            kind="pressure"
            field="lowestInletKPa"
            onChange={(entered) => setLowest(entered?.canonical)}
          />
          <FigureInput
            label="Highest at the gun, trigger pulled"
            kind="pressure"
            field="highestInletKPa"
            onChange={(entered) => setHighest(entered?.canonical)}
          />
        </div>
        {isSwapped && <p role="alert">The lowest is over the highest. Were they swapped?</p>}
      </details>
    </div>
  );
}
