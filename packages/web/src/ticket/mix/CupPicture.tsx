import type { Component } from '@orthochrom/core/mix/cup.ts';
import type { StoredCup, Units } from '@orthochrom/contract/shop/setup.ts';
import { useMemo } from 'react';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import styles from './CupPicture.module.css';
import { layOutCup, type CupBox } from './cupLayout.ts';

const BOX: CupBox = { widthPx: 190, heightPx: 230, topPx: 8, bottomPx: 10, leftPx: 46, cupPx: 96 };

/** The cup as it should look after each pour. */
type CupPictureProps = { cup: StoredCup; components: readonly Component[]; units: Units };

export function CupPicture({ cup, components, units }: CupPictureProps) {
  const { volume, joined } = formatFor(units);
  const layout = useMemo(() => layOutCup(cup, components, BOX), [cup, components]);
  const right = BOX.leftPx + BOX.cupPx;
  return (
    <svg
      viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
      className={styles['cup']}
      role="img"
      aria-label={`${cup.name}: fill to ${components.map(({ name, cumulativeMl }) => `${joined(volume(cumulativeMl))} with ${name}`).join(', then ')}`}
    >
      {layout.layers.map((layer) => (
        <g key={layer.name}>
          <rect
            x={BOX.leftPx}
            y={layer.yPx}
            width={BOX.cupPx}
            height={layer.heightPx}
            className={styles[layer.role]}
          />
          <path d={`M${right} ${layer.yPx} h8`} className={styles['level']} />
          <text x={right + 11} y={layer.yPx + 5}>
            {volume(layer.fillToMl).text}
          </text>
        </g>
      ))}
      {layout.marks.map(({ atMl, yPx, isLabelled }) => (
        <g key={atMl} className={styles['mark']}>
          <line x1={BOX.leftPx} x2={BOX.leftPx + (isLabelled ? 14 : 8)} y1={yPx} y2={yPx} />
          {isLabelled && (
            <text x={BOX.leftPx - 6} y={yPx + 4} textAnchor="end">
              {volume(atMl).text}
            </text>
          )}
        </g>
      ))}
      <path
        d={`M${BOX.leftPx} ${layout.rimPx} V${layout.floorPx} H${right} V${layout.rimPx}`}
        className={styles['wall']}
      />
    </svg>
  );
}
