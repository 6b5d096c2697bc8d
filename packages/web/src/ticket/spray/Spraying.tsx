/**
 * While paint goes on: panel by panel; a stop that comes up shuts both taps and says what to do
 * with what is wet.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { Panel, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { IconCheck } from '@tabler/icons-react';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { useState } from 'react';
import { noteDown, useWaiting } from '../../api/outbox.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { BreakOff } from './BreakOff.tsx';
import type { CardProps } from '../cardProps.ts';
import { passSeconds } from '../gun/gunSettings.ts';
import { reachSaid } from '../coatOwn.ts';
import { countdownText } from '../countdown.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { FlowingGauge } from './FlowingGauge.tsx';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import styles from './SprayCard.module.css';
import { useStanding } from '../standing.ts';

/** What to do with the wet panel comes before why. */
const isAboutPanel = ({ code }: { code: string }): boolean => code === 'wet-panel-stopped';

type SprayingProps = CardProps & { gatePassed: boolean; askGate: () => void };

export function Spraying(props: SprayingProps) {
  const { whole, coat, stage, context, plan, painter, keep, gatePassed, askGate } = props;
  const [lowest, setLowest] = useState<number>();
  const [highest, setHighest] = useState<number>();
  const isSwapped = lowest !== undefined && highest !== undefined && lowest > highest;
  const [busy, write] = useWrite();
  const now = useNowMs();
  const standing = useStanding('panel', props);
  const isStopped = standing.isStopped || !gatePassed;
  const setup = plan.setup.own ?? plan.setup;
  const format = formatFor(painter.units);
  const seconds = passSeconds(setup, plan.inputs.setup.panelLengthM);
  const panels = whole.ticket.panels.filter(({ id }) => stage.panelIds.includes(id));
  const noted = useWaiting<{ panelId: string }>(ADDRESS.coat(coat.id, 'panels'));
  const isNoted = (panelId: string) => noted.some(({ said }) => said.panelId === panelId);
  const isDone = (panelId: string) =>
    coat.panelsSprayed.some((sprayed) => sprayed.panelId === panelId);
  const next = panels.find(({ id }) => !isDone(id) && !isNoted(id));
  const post = (what: string, path: string, body: object) =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>(what, 'POST', ADDRESS.coat(coat.id, path), {
          painterId: painter.id,
          ...body,
        }),
      ),
    );
  const gauge = {
    ...(lowest === undefined ? {} : { lowestInletKPa: lowest }),
    ...(highest === undefined ? {} : { highestInletKPa: highest }),
  };
  const own = coatPlanned(context);
  const fadeOf = (panel: Panel): string => {
    const name = panelSaid(whole.ticket.panels, panel);
    const reach = own && reachSaid(own, name, format);
    return reach ? `, ${reach}` : '';
  };
  return (
    <StepFrame
      ways={{
        word: 'My own gauge',
        content: (
          <>
            {' '}
            <div className="grid2">
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
          </>
        ),
      }}
      action={
        <Button
          loading={busy}
          disabled={isSwapped || isStopped}
          onClick={() =>
            void post('The coat is on', 'spray-end', { version: coat.version, ...gauge })
          }
        >
          The coat is on
        </Button>
      }
    >
      {isStopped && (
        <>
          {!gatePassed && (
            <p role="alert">
              <strong>The safety gate is open again.</strong> Gun down, extraction on; answer it
              before another panel.{' '}
              <Button variant="default" onClick={askGate}>
                To the gate
              </Button>
            </p>
          )}
          <VerdictList verdicts={standing.verdicts.filter(isAboutPanel)} />
          <VerdictList
            verdicts={standing.verdicts.filter((verdict) => !isAboutPanel(verdict))}
            hideGo
          />
          <BreakOff
            panels={panels.filter(({ id }) => !isDone(id))}
            hasAny={coat.panelsSprayed.length > 0}
            busy={busy}
            onKeep={(stoppedBecause, panelsOn) =>
              void post('Broken off', 'spray-end', {
                version: coat.version,
                stoppedBecause,
                panelsOn,
                ...gauge,
              })
            }
          />
        </>
      )}
      <FigureTiles label="This coat">
        <FigureTile
          name="spraying"
          isLead
          label="Spraying for"
          figure={{ text: countdownText(now - Date.parse(coat.startedAt ?? '')), unit: '' }}
          note="Touch each panel as it is done: its flash runs from then."
        />
        <FlowingGauge
          coatId={coat.id}
          setInletKPa={setup.inletKPa}
          bandKPa={plan.setup.inletBandKPa}
          units={painter.units}
        />
        <FigureTile
          name="pass"
          label="Hand, one pass"
          figure={{ text: seconds.toFixed(1), unit: 's' }}
          note={`step ${format.joined(format.length(setup.stepMm))}`}
        />
        <FigureTile name="distance" label="Distance" figure={format.length(setup.distanceMm)} />
      </FigureTiles>
      <div className={styles['panels']}>
        {panels.map((panel) => (
          <Button
            key={panel.id}
            variant={isDone(panel.id) ? 'light' : 'default'}
            {...(panel.id === next?.id ? { 'aria-current': 'step' as const } : {})}
            disabled={busy || isStopped || isDone(panel.id) || isNoted(panel.id)}
            onClick={() =>
              void post(`${panelName(panel.name)} done`, 'panels', { panelId: panel.id })
            }
            leftSection={isDone(panel.id) ? <IconCheck size={20} aria-hidden="true" /> : undefined}
          >
            {panelName(panel.name)}
            {isDone(panel.id) ? ', done' : isNoted(panel.id) ? ', noted here' : fadeOf(panel)}
          </Button>
        ))}
      </div>
    </StepFrame>
  );
}
