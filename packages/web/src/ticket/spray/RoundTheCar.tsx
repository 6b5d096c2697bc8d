/**
 * The car beside what is next: its name from two metres, which way it goes, and the edge that
 * closes first.
 */
import { ActionIcon, Button } from '@mantine/core';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { bodyPanel, type Body } from '@orthochrom/core/body/bodyMap.ts';
import { CheckIcon, Volume2Icon, VolumeXIcon } from 'lucide-react';
import { useState } from 'react';
import { countdownText } from '../countdown.ts';
import { passSeconds } from '../gun/gunSettings.ts';
import { FigureTile } from '../step/FigureTile.tsx';
import { FlowingGauge } from './FlowingGauge.tsx';
import { edgeSaid, RouteMap } from './RouteMap.tsx';
import styles from './RoundTheCar.module.css';
import { stepSaid, waySaid } from './routeWords.ts';
import { usePassBeat } from './usePassBeat.ts';
import type { RoutePanel, RouteProgress } from './useRoute.ts';

type Setup = NonNullable<CoatPlan['setup']['own']>;
type RoundTheCarProps = {
  body: Body;
  coat: Coat;
  setup: Pick<Setup, 'inletKPa' | 'gunSpeedMPerS' | 'stepMm' | 'distanceMm'>;
  inletBandKPa: readonly [number, number];
  panelLengthM: number | undefined;
  painter: Painter;
  progress: RouteProgress;
  nowMs: number;
  said: (panel: RoutePanel) => string;
  isHeld: boolean;
  onTouch: (panel: RoutePanel) => void;
  onTakeBack: (panel: RoutePanel) => void;
};

export function RoundTheCar(props: RoundTheCarProps) {
  const { body, progress, nowMs, said, isHeld, onTouch, onTakeBack } = props;
  const { panels, isDone, isNoted } = progress;
  const [doubted, setDoubted] = useState<string>();
  const panelOf = (key: string) => panels.find((one) => one.key === key);
  const touch = (key: string): void => {
    const panel = panelOf(key);
    if (!panel || isNoted(key)) return;
    if (isDone(key)) setDoubted(key);
    else {
      setDoubted(undefined);
      onTouch(panel);
    }
  };
  const mapped = panels.filter(({ key }) => bodyPanel(body, key));
  const loose = panels.filter(({ key }) => !bodyPanel(body, key));
  const back = doubted && isDone(doubted) ? panelOf(doubted) : undefined;
  return (
    <div className={styles['round']} data-with-map={mapped.length > 0}>
      {back ? (
        <div className={styles['next']} role="alert">
          <p className={styles['name']}>{panelName(back.panel.name)}</p>
          <div className="row">
            <Button
              variant="default"
              disabled={isHeld}
              onClick={() => {
                setDoubted(undefined);
                onTakeBack(back);
              }}
            >
              It is not on
            </Button>
            <Button variant="subtle" onClick={() => setDoubted(undefined)}>
              It is
            </Button>
          </div>
        </div>
      ) : (
        <Next {...{ progress }} />
      )}
      {mapped.length > 0 && (
        <div className={styles['map']}>
          <RouteMap
            body={body}
            progress={progress}
            nowMs={nowMs}
            onTouch={touch}
            isHeld={isHeld}
            said={(key) => said(panelOf(key)!)}
          />
        </div>
      )}
      <Figures {...props} />
      {loose.length > 0 && (
        <div className={styles['loose']}>
          {loose.map((panel) => (
            <Button
              key={panel.key}
              variant={isDone(panel.key) ? 'light' : 'default'}
              disabled={isHeld}
              onClick={() => touch(panel.key)}
              leftSection={
                isDone(panel.key) ? <CheckIcon size={20} aria-hidden="true" /> : undefined
              }
            >
              {said(panel)}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}

/** What is next, and what comes before it. */
function Next({ progress: { route, next, panels, isStepDone } }: { progress: RouteProgress }) {
  if (!route) return <p className="quiet">Working out the order …</p>;
  if (!next)
    return (
      <div className={styles['next']}>
        <p className={styles['name']}>
          {route.rims ? 'Rims, dusted, round the car' : 'All of it is on'}
        </p>
      </div>
    );
  const refill = route.refills?.find(
    ({ before, side }) => before === next.panel && side === next.side,
  );
  const section = route.sections?.findIndex((keys) => keys.includes(next.panel)) ?? -1;
  const after = route.order.slice(route.order.indexOf(next) + 1).find((step) => !isStepDone(step));
  return (
    <div className={styles['next']}>
      <p className="label">
        {panels.length > 1 ? 'Next' : 'This coat'}
        {route.sections && section >= 0 && ` · section ${section + 1} of ${route.sections.length}`}
      </p>
      <p className={styles['name']} data-next={next.panel}>
        {stepSaid(next)}
      </p>
      <p className={styles['way']}>
        {waySaid(route, next)}.{after && <span className="quiet"> Then {stepSaid(after)}.</span>}
      </p>
      {refill && (
        <p className={styles['refill']}>
          <strong>Fill the cup before it</strong>, not in it.
        </p>
      )}
    </div>
  );
}

function Figures(props: RoundTheCarProps) {
  const { coat, setup, inletBandKPa, panelLengthM, painter, progress, nowMs } = props;
  const [isBeating, setBeating] = useState(false);
  const format = formatFor(painter.units);
  const seconds = passSeconds(setup, panelLengthM);
  usePassBeat(isBeating ? seconds : undefined);
  const [edge] = progress.open;
  const sprayingFor = countdownText(nowMs - Date.parse(coat.startedAt ?? ''));
  return (
    <div className={styles['tiles']} role="group" aria-label="This coat">
      {edge ? (
        <FigureTile
          name="edge"
          isLead
          label={edgeSaid(edge)}
          figure={{ text: countdownText(edge.closesAtMs - nowMs), unit: '' }}
          note={
            edge.closesAtMs > nowMs
              ? `Spraying for ${sprayingFor}.`
              : `Closed: fog on it lies rough. Spraying for ${sprayingFor}.`
          }
        />
      ) : (
        <FigureTile
          name="spraying"
          isLead
          label="Spraying for"
          figure={{ text: sprayingFor, unit: '' }}
          note="Touch each panel as it is done: its flash runs from then."
        />
      )}
      <FlowingGauge
        coatId={coat.id}
        setInletKPa={setup.inletKPa}
        bandKPa={inletBandKPa}
        units={painter.units}
      />
      <FigureTile
        name="pass"
        label={
          <>
            <span>Hand, one pass</span>
            <ActionIcon
              className={styles['beat']}
              size={48}
              variant="subtle"
              aria-pressed={isBeating}
              aria-label="Sound each pass"
              onClick={() => setBeating(!isBeating)}
            >
              {isBeating ? <Volume2Icon size={26} /> : <VolumeXIcon size={26} />}
            </ActionIcon>
          </>
        }
        figure={{ text: seconds.toFixed(1), unit: 's' }}
        note={`step ${format.joined(format.length(setup.stepMm))}`}
      />
      <FigureTile name="distance" label="Distance" figure={format.length(setup.distanceMm)} />
    </div>
  );
}
