/** A gun over time: what it caught, what its pattern was, and how its air held. */
import type { FlowingCoat } from '@orthochrom/contract/shop/care.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { starvationOver } from '@orthochrom/core/compressedAir/starvation.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { dayText } from './dates.ts';
import styles from './GunHistory.module.css';
import {
  layOutFlowing,
  layOutTests,
  shortfallByWeekday,
  type HistoryBox,
} from './historyLayout.ts';
import { PATTERN_NAME } from './tests/PatternPicker.tsx';

const BOX: HistoryBox = {
  widthPx: 560,
  heightPx: 176,
  leftPx: 62,
  rightPx: 16,
  topPx: 24,
  bottomPx: 62,
};
/** Without a catch test there is no curve: the marks alone. */
const MARKS_BOX: HistoryBox = { ...BOX, heightPx: 76 };
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
const DRIFT_TOLD_PERCENT = 10;

export function TestsOverTime({ tests, nowMs }: { tests: StoredTest[]; nowMs: number }) {
  const box = tests.some(({ test }) => test.kind === 'catch') ? BOX : MARKS_BOX;
  const layout = layOutTests(tests, nowMs, box);
  const [first, last] = [layout.points[0], layout.points.at(-1)];
  const driftPercent = first && last && first !== last ? (last.ml / first.ml - 1) * 100 : 0;
  const marksPx = box.heightPx - 34;
  return (
    <div className="stack">
      <svg
        viewBox={`0 0 ${box.widthPx} ${box.heightPx}`}
        className={`${styles['chart']} ${styles['narrow']}`}
        role="img"
        aria-label="Catch tests and patterns over time"
      >
        {layout.band && (
          <rect
            x={box.leftPx}
            y={layout.band.topPx}
            width={box.widthPx - box.leftPx - box.rightPx}
            height={layout.band.bottomPx - layout.band.topPx}
            className={styles['band']}
          />
        )}
        {layout.band && (
          <text x={4} y={14} className={styles['tick']}>
            ml/min
          </text>
        )}
        {layout.ticks.map(({ ml, yPx }) => (
          <g key={ml}>
            <line
              x1={box.leftPx}
              x2={box.widthPx - box.rightPx}
              y1={yPx}
              y2={yPx}
              className={styles['grid']}
            />
            <text x={box.leftPx - 8} y={yPx + 5} textAnchor="end" className={styles['tick']}>
              {ml}
            </text>
          </g>
        ))}
        <path d={layout.path} className={styles['caught']} />
        {layout.points.map(({ id, xPx, yPx }) => (
          <circle key={id} cx={xPx} cy={yPx} r="5" className={styles['point']} />
        ))}
        {layout.patterns.map(({ id, seen, takenAt, xPx }) => (
          <rect
            key={id}
            x={xPx - 4}
            y={seen === 'even' ? marksPx - 8 : marksPx - 14}
            width="8"
            height={seen === 'even' ? 8 : 20}
            className={seen === 'even' ? styles['even'] : styles['odd']}
          >
            <title>
              {PATTERN_NAME[seen as keyof typeof PATTERN_NAME]}, {dayText(takenAt)}
            </title>
          </rect>
        ))}
        {layout.months.map(({ at, xPx }) => (
          <text
            key={+at}
            x={xPx}
            y={box.heightPx - 6}
            textAnchor="middle"
            className={styles['tick']}
          >
            {at.toLocaleDateString('en-GB', { month: 'short', year: '2-digit' })}
          </text>
        ))}
      </svg>
      <p>
        <span className={styles['key']} /> paint caught; the band is a tenth round the first{' '}
        <span className={styles['keyEven']} /> pattern even <span className={styles['keyOdd']} />{' '}
        pattern not even
      </p>
      {Math.abs(driftPercent) > DRIFT_TOLD_PERCENT && (
        <p role="status">
          <strong>
            It gives {Math.abs(driftPercent).toFixed(0)} % {driftPercent > 0 ? 'more' : 'less'}{' '}
            paint than a year ago
          </strong>{' '}
          at the same turns:{' '}
          {driftPercent > 0
            ? 'a worn needle or tip. Look at both, and change the set as one.'
            : 'a tip that chokes. Soak and brush it.'}
        </p>
      )}
    </div>
  );
}

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
                  {new Date(bar.at).toLocaleDateString('en-GB', {
                    weekday: 'short',
                    day: 'numeric',
                  })}
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
