/** The car folded open: every panel of a job touched by finger or keys, drawn as it is told. */
import { useElementSize, useMediaQuery } from '@mantine/hooks';
import type { Body } from '@orthochrom/core/body/bodyMap.ts';
import { unfolded, type Drawn, type Point } from '@orthochrom/core/body/unfolded.ts';
import { useMemo, type KeyboardEvent, type ReactNode } from 'react';
import styles from './BodyDrawing.module.css';
import { boxAround, halfOf, neighbourTowards, roundedPath, touchBox, turned } from './bodyPath.ts';

type HalfLook = { className: string | undefined; mark: string };
export type PanelLook = {
  label: string;
  className?: string | undefined;
  /** Said in the panel beside its fill: shape and word, never a colour alone. */
  mark?: string | undefined;
  /** Its two halves, where they are sprayed apart. */
  halves?: Record<'left' | 'right', HalfLook> | undefined;
  isPressed?: boolean;
  isNext?: boolean;
  isHeld?: boolean;
};

type BodyDrawingProps = {
  body: Body;
  label: string;
  /** How a panel looks; without a look it is only an outline and is not touched. */
  lookOf: (id: string) => PanelLook | undefined;
  onTouch: (id: string) => void;
  /** Drawn near: what lies far from these is not on the picture. */
  near?: { panels: readonly string[]; beside: readonly Point[] };
  className?: string | undefined;
  /** What is drawn over it, its points turned as the drawing is. */
  over?: (turn: (point: Point) => Point) => ReactNode;
};

const FINGER_PX = 48;
const ROUND = 4;
const same = (point: Point): Point => point;

export function BodyDrawing(props: BodyDrawingProps) {
  const { body, label, lookOf, onTouch, near, className, over } = props;
  const isUpright = useMediaQuery('(max-aspect-ratio: 3/4)') ?? false;
  const { ref, width: widthPx, height: heightPx } = useElementSize();
  const { panels, box } = useMemo(() => unfolded(body), [body]);
  const wide = useMemo(
    () => (near ? boxAround(panels, near.panels, near.beside) : box),
    [panels, box, near],
  );
  const view = isUpright ? { x: wide.y, y: wide.x, width: wide.height, height: wide.width } : wide;
  // The drawing keeps its shape: the tighter side says how large it comes out.
  const unitsPerPx = Math.max(
    view.width / (widthPx || Infinity),
    view.height / (heightPx || Infinity),
  );
  const finger = FINGER_PX * (unitsPerPx || 1);
  const turn = isUpright ? turned : same;
  const touched = panels.filter(({ id }) => lookOf(id));
  const onKey = (event: KeyboardEvent<SVGGElement>, from: Drawn): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onTouch(from.id);
      return;
    }
    const next = neighbourTowards(event.key, from, touched, turn);
    if (!next) return;
    event.preventDefault();
    event.currentTarget.ownerSVGElement
      ?.querySelector<SVGGElement>(`[data-panel="${next.id}"]`)
      ?.focus();
  };
  return (
    <div ref={ref} className={className}>
      <svg
        className={`${styles['body']} ${isUpright ? styles['upright'] : ''}`}
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
        role="group"
        aria-label={label}
      >
        <defs>
          <pattern id="blend-hatch" width="8" height="8" patternUnits="userSpaceOnUse">
            <path d="M 0 8 L 8 0" className={styles['hatch']} />
          </pattern>
        </defs>
        {panels.map((panel) => {
          const points = panel.corners.map(turn);
          const [x, y] = turn(panel.middle);
          const look = lookOf(panel.id);
          const face = <path d={roundedPath(points, ROUND)} className={styles['face']} />;
          if (!look)
            return (
              <g key={panel.id} className={styles['idle']} aria-hidden="true">
                {face}
              </g>
            );
          return (
            <g
              key={panel.id}
              role="button"
              tabIndex={0}
              data-panel={panel.id}
              {...(look.isPressed === undefined ? {} : { 'aria-pressed': look.isPressed })}
              {...(look.isHeld ? { 'aria-disabled': true } : {})}
              {...(look.isNext ? { 'aria-current': 'step' as const } : {})}
              aria-label={look.label}
              className={`${styles['panel']} ${look.className ?? ''}`}
              onClick={() => onTouch(panel.id)}
              onKeyDown={(event) => onKey(event, panel)}
            >
              <rect {...touchBox(points, finger)} className={styles['touch']} />
              {look.halves
                ? (['left', 'right'] as const).map((side) => (
                    <Half key={side} {...{ panel, side, turn, ...look.halves![side] }} />
                  ))
                : face}
              {look.mark && (
                <text x={x} y={y} className={styles['mark']}>
                  {look.mark}
                </text>
              )}
            </g>
          );
        })}
        {over?.(turn)}
      </svg>
    </div>
  );
}

function Half({
  panel,
  side,
  turn,
  className,
  mark,
}: HalfLook & { panel: Drawn; side: 'left' | 'right'; turn: (point: Point) => Point }) {
  const corners = halfOf(panel.corners, side);
  const ys = corners.map(([, y]) => y);
  const [x, y] = turn([panel.middle[0], (Math.min(...ys) + Math.max(...ys)) / 2]);
  return (
    <g className={className}>
      <path d={roundedPath(corners.map(turn), ROUND)} className={styles['face']} />
      <text x={x} y={y} className={styles['mark']}>
        {mark}
      </text>
    </g>
  );
}
