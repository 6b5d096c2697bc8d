/** The car folded open: every panel touched by finger or keys, with what it gets in it. */
import { useElementSize, useMediaQuery } from '@mantine/hooks';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { Body } from '@orthochrom/core/body/bodyMap.ts';
import { unfolded } from '@orthochrom/core/body/unfolded.ts';
import type { Scope } from '@orthochrom/core/layers/foundLayer.ts';
import { useMemo } from 'react';
import { SCOPE_NAME } from '../found/foundWords.ts';
import styles from './BodyPicture.module.css';
import { roundedPath, touchBox, turned } from './bodyPath.ts';

type BodyPictureProps = {
  body: Body;
  /** What each panel on the job gets, by its name. */
  scopes: ReadonlyMap<string, Scope>;
  selected: string | undefined;
  onTouch: (name: string) => void;
};

const FINGER_PX = 48;
const ROUND = 4;
/** Said in the panel beside its fill: shape and word, never a colour alone. */
const SCOPE_MARK: Record<Scope, string> = {
  full: '●',
  blend: '◐',
  spot: '◉',
  clearOnly: '○',
  leave: '–',
};

export function BodyPicture({ body, scopes, selected, onTouch }: BodyPictureProps) {
  const isUpright = useMediaQuery('(max-aspect-ratio: 3/4)') ?? false;
  const { ref, width: widthPx } = useElementSize();
  const { panels, box } = useMemo(() => unfolded(body), [body]);
  const view = isUpright ? { x: box.y, y: box.x, width: box.height, height: box.width } : box;
  const finger = widthPx > 0 ? (FINGER_PX * view.width) / widthPx : FINGER_PX;
  return (
    <div ref={ref}>
      <svg
        className={`${styles['body']} ${isUpright ? styles['upright'] : ''}`}
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
        role="group"
        aria-label={`Panels of a ${body}, folded open`}
      >
        <defs>
          <pattern id="blend-hatch" width="8" height="8" patternUnits="userSpaceOnUse">
            <path d="M 0 8 L 8 0" className={styles['hatch']} />
          </pattern>
        </defs>
        {panels.map(({ id, corners, middle }) => {
          const points = isUpright ? corners.map(turned) : corners;
          const [x, y] = isUpright ? turned(middle) : middle;
          const scope = scopes.get(id);
          return (
            <g
              key={id}
              role="button"
              tabIndex={0}
              data-panel={id}
              aria-pressed={scope !== undefined}
              aria-label={`${panelName(id)}${scope ? `: ${SCOPE_NAME[scope]}` : ''}`}
              className={`${styles['panel']} ${scope ? styles[scope] : ''} ${id === selected ? styles['selected'] : ''}`}
              onClick={() => onTouch(id)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onTouch(id);
              }}
            >
              <rect {...touchBox(points, finger)} className={styles['touch']} />
              <path d={roundedPath(points, ROUND)} className={styles['face']} />
              {scope && (
                <text x={x} y={y} className={styles['mark']}>
                  {SCOPE_MARK[scope]}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
