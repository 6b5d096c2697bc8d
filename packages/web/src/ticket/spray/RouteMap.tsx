/**
 * Round the car: the next panel stands out, with the way its passes step, where to stand and the
 * way there; every edge that still waits for its neighbour counts down.
 */
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { Body } from '@orthochrom/core/body/bodyMap.ts';
import type { Point } from '@orthochrom/core/body/unfolded.ts';
import { useMemo } from 'react';
import { BodyDrawing } from '../body/BodyDrawing.tsx';
import { countdownText } from '../countdown.ts';
import styles from './RouteMap.module.css';
import { arrowOf, middleOf, standOf, wayBetween } from './routeLayout.ts';
import type { Step } from './routeWords.ts';
import type { RouteProgress } from './useRoute.ts';

type RouteMapProps = {
  body: Body;
  progress: RouteProgress;
  /** Server's clock; nothing counts down where it is not told. */
  nowMs?: number;
  onTouch: (key: string) => void;
  said: (key: string) => string;
  isHeld: boolean;
};

const RING = 24;
/** Only the edges that close first: more would hide the car. */
const MOST_RINGS = 3;

export function RouteMap({ body, progress, nowMs, onTouch, said, isHeld }: RouteMapProps) {
  const { panels, route, next, isDone, isNoted, isStepDone, open } = progress;
  const names = panels.map(({ key }) => key).join(' ');
  const near = useMemo(
    () => ({
      panels: names.split(' '),
      beside: (route?.order ?? [])
        .map((step) => standOf(body, step))
        .filter((point) => point !== undefined),
    }),
    [names, body, route],
  );
  const order = route?.order ?? [];
  /** Nothing before the order is known. */
  const numberOf = (key: string): string =>
    String(order.findIndex(({ panel }) => panel === key) + 1 || '');
  const stateOf = (isOn: boolean, isNext: boolean) =>
    styles[isOn ? 'on' : isNext ? 'next' : 'later'];
  const lookOf = (id: string) => {
    if (!panels.some(({ key }) => key === id)) return undefined;
    const isOn = isDone(id) || isNoted(id);
    const isNext = next?.panel === id;
    const halves = order.filter(({ panel, side }) => panel === id && side);
    const lookOfHalf = (half: 'left' | 'right') => {
      const step = halves.find(({ side }) => side === half)!;
      const isHalfOn = isStepDone(step);
      return {
        className: stateOf(isHalfOn, step === next),
        mark: isHalfOn ? '✓' : step === next ? '' : String(order.indexOf(step) + 1),
      };
    };
    const isSplit = halves.length > 0 && !isOn;
    return {
      label: said(id),
      className: isSplit ? undefined : stateOf(isOn, isNext),
      halves: isSplit ? { left: lookOfHalf('left'), right: lookOfHalf('right') } : undefined,
      isNext,
      isHeld: isHeld || isNoted(id),
      // Where the arrow is, no number stands in its way.
      ...(isOn ? { mark: '✓' } : isNext || isSplit ? {} : { mark: numberOf(id) }),
    };
  };
  const before = next && order.slice(0, order.indexOf(next)).findLast(isStepDone);
  return (
    <BodyDrawing
      body={body}
      label="Round the car"
      near={near}
      className={styles['map']}
      lookOf={lookOf}
      onTouch={onTouch}
      over={(turn) => (
        <g className={styles['over']} aria-hidden="true">
          {next && <WayThere {...{ body, before, next, turn }} />}
          {next && <Direction {...{ body, next, turn }} />}
          {nowMs !== undefined &&
            open
              .slice(0, MOST_RINGS)
              .map((edge) => (
                <Ring
                  key={`${edge.of} ${edge.panel}`}
                  {...{ body, edge, nowMs, turn, limitMs: limitOf(route) }}
                />
              ))}
        </g>
      )}
    />
  );
}

const limitOf = (route: RouteProgress['route']): number =>
  1000 * (route?.wetEdges[0]?.limitSeconds ?? 0);

type Turn = (point: Point) => Point;

function Direction({ body, next, turn }: { body: Body; next: Step; turn: Turn }) {
  const ends = arrowOf(body, next);
  if (!ends) return null;
  const [[x1, y1], [x2, y2]] = ends.map(turn) as [Point, Point];
  const turnDeg = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
  return (
    <g className={styles['arrow']}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      <path d="M6 0 L-12 -10 L-12 10 Z" transform={`translate(${x2} ${y2}) rotate(${turnDeg})`} />
    </g>
  );
}

function WayThere({
  body,
  before,
  next,
  turn,
}: {
  body: Body;
  before: Step | undefined;
  next: Step;
  turn: Turn;
}) {
  const to = standOf(body, next);
  if (!to) return null;
  const from = before && standOf(body, before);
  const way = from ? wayBetween(body, from, to).map(turn) : [];
  const [x, y] = turn(to);
  return (
    <>
      {way.length > 1 && (
        <polyline className={styles['way']} points={way.map((point) => point.join()).join(' ')} />
      )}
      <g transform={`translate(${x} ${y})`} className={styles['stand']}>
        <circle r="13" />
        <path d="M-6 6 q-3 -12 1 -13 q5 1 3 13 z M2 8 q-3 -12 1 -13 q5 1 3 13 z" />
      </g>
    </>
  );
}

function Ring({
  body,
  edge,
  nowMs,
  limitMs,
  turn,
}: {
  body: Body;
  edge: RouteProgress['open'][number];
  nowMs: number;
  limitMs: number;
  turn: Turn;
}) {
  const ends = [edge.of, edge.panel].map((panel) => middleOf(body, { panel }));
  const [a, b] = ends;
  if (!a || !b || limitMs <= 0) return null;
  const [x, y] = turn([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  const leftMs = edge.closesAtMs - nowMs;
  const share = Math.min(1, Math.max(0, leftMs / limitMs));
  const length = 2 * Math.PI * RING;
  return (
    <g transform={`translate(${x} ${y})`} className={leftMs <= 0 ? styles['lost'] : styles['ring']}>
      <circle r={RING} className={styles['face']} />
      <circle
        r={RING}
        className={styles['left']}
        strokeDasharray={`${share * length} ${length}`}
        transform="rotate(-90)"
      />
      <text>{leftMs <= 0 ? '!' : countdownText(leftMs).replace(/^0/, '')}</text>
    </g>
  );
}

/** "front fender edge" as it is said of what waits. */
export const edgeSaid = ({ of, panel }: RouteProgress['open'][number]): string =>
  of === panel
    ? `${panelName(of)}: its middle waits`
    : `${panelName(of)} waits for ${panelName(panel)}`;
