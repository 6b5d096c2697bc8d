/**
 * While paint goes on: round the car panel by panel; a stop that comes up shuts both taps and says
 * what to do with what is wet.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { bodyPanel } from '@orthochrom/core/body/bodyMap.ts';
import { useState } from 'react';
import { noteDown } from '../../api/outbox.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { BreakOff } from './BreakOff.tsx';
import type { CardProps } from '../cardProps.ts';
import { reachSaid } from '../coatOwn.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import { useStanding } from '../standing.ts';
import { PanelOrder } from './PanelOrder.tsx';
import { stepSaid } from './routeWords.ts';
import { RoundTheCar } from './RoundTheCar.tsx';
import { useRoute, type RoutePanel } from './useRoute.ts';

/** What to do with the wet panel comes before why. */
const isAboutPanel = ({ code }: { code: string }): boolean => code === 'wet-panel-stopped';

type SprayingProps = CardProps & { gatePassed: boolean; askGate: () => void };

export function Spraying(props: SprayingProps) {
  const { whole, coat, context, plan, painter, keep, gatePassed, askGate } = props;
  const [lowest, setLowest] = useState<number>();
  const [highest, setHighest] = useState<number>();
  const isSwapped = lowest !== undefined && highest !== undefined && lowest > highest;
  const [busy, write] = useWrite();
  const nowMs = useNowMs();
  const standing = useStanding('panel', props);
  const isStopped = standing.isStopped || !gatePassed;
  const format = formatFor(painter.units);
  const progress = useRoute(props);
  const { panels, next, isDone, isNoted } = progress;
  const left = panels.filter(({ key }) => !isDone(key) && !isNoted(key));
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
  const said = ({ panel, key }: RoutePanel): string => {
    if (isDone(key)) return `${panelName(panel.name)}, done`;
    if (isNoted(key)) return `${panelName(panel.name)}, noted here`;
    const reach = own && reachSaid(own, panelSaid(whole.ticket.panels, panel), format);
    return `${panelName(panel.name)}${reach ? `, ${reach}` : ''}`;
  };
  /** The next half of it that is not on, where it is sprayed in two. */
  const halfOf = (key: string) =>
    progress.route?.order.find((step) => step.panel === key && !progress.isStepDone(step))?.side;
  const touch = ({ panel, key }: RoutePanel) => {
    if (busy || isStopped) return;
    const half = halfOf(key);
    void post(`${panelName(panel.name)} done`, 'panels', {
      panelId: panel.id,
      ...(half ? { half } : {}),
    });
  };
  // From the first moment on: no button takes another's place under a finger.
  const isInParts =
    panels.length > 1 ||
    panels.some(({ key }) => bodyPanel(whole.ticket.bodyKind, key)?.halves === true);
  const isOneByOne = isInParts && left.length > 0;
  const nextPanel = next && panels.find(({ key }) => key === next.panel);
  const isOn = (
    <Button
      loading={busy}
      variant={isOneByOne ? 'default' : 'filled'}
      {...(isOneByOne ? { size: 'lg' } : {})}
      disabled={isSwapped || isStopped}
      onClick={() => void post('The coat is on', 'spray-end', { version: coat.version, ...gauge })}
    >
      The coat is on
    </Button>
  );
  return (
    <StepFrame
      ways={{
        word: 'Order, gauge',
        content: (
          <>
            {progress.route && (
              <PanelOrder route={progress.route} isStepDone={progress.isStepDone} />
            )}
            <h3>My own gauge</h3>
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
        isOneByOne ? (
          <Button
            loading={busy}
            disabled={isStopped || !nextPanel}
            onClick={() => nextPanel && touch(nextPanel)}
          >
            {next ? `Done: ${stepSaid(next)}` : 'Working out the order …'}
          </Button>
        ) : (
          isOn
        )
      }
      other={isOneByOne && isOn}
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
            panels={panels.filter(({ key }) => !isDone(key)).map(({ panel }) => panel)}
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
      <RoundTheCar
        body={whole.ticket.bodyKind}
        coat={coat}
        setup={plan.setup.own ?? plan.setup}
        inletBandKPa={plan.setup.inletBandKPa}
        panelLengthM={plan.inputs.setup.panelLengthM}
        painter={painter}
        progress={progress}
        nowMs={nowMs}
        said={said}
        isHeld={busy || isStopped}
        onTouch={touch}
        onTakeBack={({ panel }) =>
          void post(`${panelName(panel.name)} is not on`, 'panels-back', { panelId: panel.id })
        }
      />
    </StepFrame>
  );
}
