/** A gun's air over time, coat by coat. */
import type { FlowingCoat } from '@orthochrom/contract/shop/care.ts';
import { starvationOver } from '@orthochrom/core/compressedAir/starvation.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import styles from './GunHistory.module.css';
import { layOutFlowing, shortfallByWeekday, type HistoryBox } from './historyLayout.ts';
import { dayText, weekdayText } from '../words/timeText.ts';

const FLOW_BOX: HistoryBox = {
  widthPx: 880,
  heightPx: 190,
  leftPx: 62,
  rightPx: 20,
  topPx: 26,
  bottomPx: 40,
};
const WEEKDAYS = [
  'Sundays',
  'Mondays',
  'Tuesdays',
  'Wednesdays',
  'Thursdays',
  'Fridays',
  'Saturdays',
];
/** A psi and a half under plan on average is not noise any more. */
const TELLING_KPA = 10;

export function FlowingOverTime({ coats }: { coats: FlowingCoat[] }) {
  const { painter } = usePainter();
  const { pressure, joined } = formatFor(painter.units);
  const shown = coats.slice(-40);
  const layout = layOutFlowing(shown, FLOW_BOX, convert(1, painter.units.pressure, 'kPa'));
  const days = shortfallByWeekday(coats);
  const worst = days.find(({ coats: count }) => count >= 2);
  const others = days.filter((day) => day !== worst);
  const usualKPa =
    others.length > 0 ? others.reduce((sum, { shortKPa }) => sum + shortKPa, 0) / others.length : 0;
  const isTelling = worst !== undefined && worst.shortKPa - usualKPa > TELLING_KPA;
  return (
    <div className="stack">
      <svg
        viewBox={`0 0 ${FLOW_BOX.widthPx} ${FLOW_BOX.heightPx}`}
        className={`${styles['chart']} ${styles['wide']}`}
        role="img"
        aria-label="Lowest and highest pressure at the gun, coat by coat"
      >
        <text x={4} y={14} className={styles['tick']}>
          {pressure(100).unit} at the gun
        </text>
        {layout.ticks.map(({ kPa, yPx }) => (
          <g key={kPa}>
            <line
              x1={FLOW_BOX.leftPx}
              x2={FLOW_BOX.widthPx - FLOW_BOX.rightPx}
              y1={yPx}
              y2={yPx}
              className={styles['grid']}
            />
            <text x={FLOW_BOX.leftPx - 8} y={yPx + 5} textAnchor="end" className={styles['tick']}>
              {pressure(kPa).text}
            </text>
          </g>
        ))}
        {layout.bars.map((bar, i) => {
          const isStarving = starvationOver(bar.panels.length > 0 ? bar.panels : [bar]).isStarving;
          return (
            <g key={bar.coatId}>
              <rect
                x={bar.xPx - layout.widthPx / 2}
                y={bar.topPx}
                width={layout.widthPx}
                height={Math.max(3, bar.bottomPx - bar.topPx)}
                className={isStarving ? styles['starving'] : styles['steady']}
              >
                <title>
                  {dayText(bar.at)}: {pressure(bar.lowestKPa).text} to{' '}
                  {joined(pressure(bar.highestKPa))}, planned {joined(pressure(bar.plannedKPa))}
                </title>
              </rect>
              <line
                x1={bar.xPx - layout.widthPx * 0.8}
                x2={bar.xPx + layout.widthPx * 0.8}
                y1={bar.plannedPx}
                y2={bar.plannedPx}
                className={styles['planned']}
              />
              {(i % Math.ceil(shown.length / 12) === 0 || shown.length < 13) && (
                <text
                  x={bar.xPx}
                  y={FLOW_BOX.heightPx - 12}
                  textAnchor="middle"
                  className={styles['tick']}
                >
                  {weekdayText(bar.at)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <p>
        <span className={styles['keySteady']} /> lowest to highest at the gun{' '}
        <span className={styles['keyStarving']} /> fell by more than three psi or from panel to
        panel; the dark tick is what was planned
      </p>
      {isTelling && (
        <p role="status">
          <strong>
            On {WEEKDAYS[worst.weekday]} the air gives out: {joined(pressure(worst.shortKPa))} under
            plan on average over {worst.coats} coats, {joined(pressure(usualKPa))} on other days.
          </strong>{' '}
          Who else draws on this compressor then?
        </p>
      )}
    </div>
  );
}
