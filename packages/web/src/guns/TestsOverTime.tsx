/** A tip over time: what it caught and what its pattern was, with the change before it. */
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import styles from './GunHistory.module.css';
import { driftPercent, layOutTests, type HistoryBox } from './historyLayout.ts';
import { PATTERN_NAME } from './tests/PatternPicker.tsx';
import { dayText, monthText } from '../words/timeText.ts';

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
const DRIFT_TOLD_PERCENT = 10;

type TestsOverTimeProps = {
  /** Of this tip and of those of its size that it came after, oldest first. */
  tests: StoredTest[];
  /** When a tip was changed. */
  changedAt: string[];
  nowMs: number;
};

export function TestsOverTime({ tests, changedAt, nowMs }: TestsOverTimeProps) {
  const box = tests.some(({ test }) => test.kind === 'catch') ? BOX : MARKS_BOX;
  const layout = layOutTests(tests, nowMs, box, changedAt);
  const drift = driftPercent(tests, changedAt);
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
            x={layout.band.leftPx}
            y={layout.band.topPx}
            width={box.widthPx - box.rightPx - layout.band.leftPx}
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
        {layout.changes.map(({ at, xPx }) => (
          <g key={at}>
            <line
              x1={xPx}
              x2={xPx}
              y1={box.topPx - 6}
              y2={box.heightPx - 24}
              className={styles['change']}
            />
            <text x={xPx + 5} y={box.topPx + 4} className={styles['tick']}>
              new tip
            </text>
          </g>
        ))}
        {layout.paths.map((path) => (
          <path key={path} d={path} className={styles['caught']} />
        ))}
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
            {monthText(at)}
          </text>
        ))}
      </svg>
      <p>
        <span className={styles['key']} /> paint caught; the band is a tenth round the first of this
        tip <span className={styles['keyEven']} /> pattern even{' '}
        <span className={styles['keyOdd']} /> pattern not even
      </p>
      {Math.abs(drift) > DRIFT_TOLD_PERCENT && (
        <p role="status">
          <strong>
            It gives {Math.abs(drift).toFixed(0)} % {drift > 0 ? 'more' : 'less'} paint than this
            tip gave at first
          </strong>{' '}
          at the same turns:{' '}
          {drift > 0
            ? 'a worn needle or tip. Look at both, and change the set as one.'
            : 'a tip that chokes. Soak and brush it.'}
        </p>
      )}
    </div>
  );
}
