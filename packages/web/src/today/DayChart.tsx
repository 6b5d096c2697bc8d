/**
 * Draws the day: the air and the panel against what the grades are made for, and the dew point as a
 * wall.
 */
import type { ForecastPoint } from '@orthochrom/core/air/forecast.ts';
import { useMemo } from 'react';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import styles from './DayChart.module.css';
import { clockText, type DayRoom, type GradeBand } from './dayHours.ts';
import { layOutDay, type ChartBox } from './dayLayout.ts';

const BOX: ChartBox = {
  widthPx: 860,
  heightPx: 380,
  leftPx: 52,
  rightPx: 24,
  topPx: 12,
  bottomPx: 30,
};

type DayChartProps = {
  forecast: ForecastPoint[];
  nowMinute: number;
  bands: GradeBand[];
  room: DayRoom;
};

export function DayChart({ forecast, nowMinute, bands, room }: DayChartProps) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const layout = useMemo(() => layOutDay(forecast, BOX, bands, room), [forecast, bands, room]);
  const { x, y } = layout;
  const [startPx, endPx] = [BOX.leftPx, BOX.widthPx - BOX.rightPx];
  const nowPx = Math.min(Math.max(x(nowMinute), startPx), endPx);
  const labelled = (
    path: string,
    name: keyof typeof layout.ends,
    offsetPx: number,
    text: string,
  ) => (
    <g className={styles[name]}>
      <path d={path} />
      <text x={endPx - 6} y={y(layout.ends[name]) + offsetPx} textAnchor="end">
        {text}
      </text>
    </g>
  );
  return (
    <svg
      viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
      className={styles['chart']}
      role="img"
      aria-label={`Air, panel and dew point over the day; now ${clockText(nowMinute)}`}
    >
      {layout.bands.map((band) => (
        <g key={band.name} data-band={band.name}>
          <rect
            x={startPx}
            y={band.yPx}
            width={endPx - startPx}
            height={band.heightPx}
            className={styles[band.speed]}
          />
          {band.heightPx > 18 && (
            <text x={startPx + 8} y={band.yPx + 18} className={styles['bandName']}>
              {band.name}
            </text>
          )}
        </g>
      ))}
      {layout.windows
        .filter(({ level }) => level === 'stop')
        .map((window) => (
          <rect
            key={window.fromMinute}
            x={x(window.fromMinute)}
            y={BOX.topPx}
            width={x(window.toMinute) - x(window.fromMinute)}
            height={BOX.heightPx - BOX.topPx - BOX.bottomPx}
            className={styles['shut']}
          />
        ))}
      {layout.ticksC.map((c) => (
        <g key={c}>
          <line x1={startPx} x2={endPx} y1={y(c)} y2={y(c)} className={styles['grid']} />
          <text x={startPx - 8} y={y(c) + 5} textAnchor="end" className={styles['tick']}>
            {Math.round(Number(format.temperature(c).text))}°
          </text>
        </g>
      ))}
      {layout.hours.map((minute) => (
        <text
          key={minute}
          x={x(minute)}
          y={BOX.heightPx - 8}
          textAnchor="middle"
          className={styles['tick']}
        >
          {clockText(minute)}
        </text>
      ))}
      <path d={layout.dewLimitPath} className={styles['dewLimit']} />
      {labelled(
        layout.dewPath,
        'dew',
        -8,
        `dew point · ${format.joined(format.difference(layout.minMarginC))} over it, dotted`,
      )}
      {labelled(layout.panelPath, 'panel', 20, 'panel')}
      {labelled(layout.airPath, 'air', -10, 'air')}
      <g className={styles['now']}>
        <line x1={nowPx} x2={nowPx} y1={BOX.topPx} y2={BOX.heightPx - BOX.bottomPx} />
        <text
          x={nowPx + (nowPx > endPx - 90 ? -8 : 8)}
          y={BOX.topPx + 18}
          textAnchor={nowPx > endPx - 90 ? 'end' : 'start'}
        >
          now {clockText(nowMinute)}
        </text>
      </g>
    </svg>
  );
}
