/** The day in words: until when not, when best, when with care; said as every card says it. */
import { leadOf, verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import type { ForecastPoint } from '@orthochrom/core/air/forecast.ts';
import { useMemo } from 'react';
import { usePainter } from '../frame/painter.ts';
import { formatFor, type Format } from '@orthochrom/contract/words/format.ts';
import { LevelBadge } from '../verdict/Verdicts.tsx';
import { clockText, dayWindows, type DayRoom, type DayWindow, type GradeBand } from './dayHours.ts';
import styles from './DayWindows.module.css';

function wordsOf({ level, why, grade }: DayWindow, { inWords }: Format): string {
  const said = why.map(({ code, params }) =>
    [verdictMessage(code, params, inWords), leadOf(code, params, inWords).instead?.text]
      .filter(Boolean)
      .join(' '),
  );
  if (level === 'stop') return said.join(' ');
  const fits = `A panel job wants about ${grade}.`;
  return level === 'caution'
    ? [...said, fits].join(' ')
    : `${fits} Within the usual limits; each sheet may ask for more.`;
}
const TITLE = { stop: 'Do not spray', caution: 'With care', go: 'Good to spray' };
const SHOWN = 3;

type DayWindowsProps = {
  forecast: ForecastPoint[];
  nowMinute: number;
  bands: GradeBand[];
  room: DayRoom;
};

export function DayWindows({ forecast, nowMinute, bands, room }: DayWindowsProps) {
  const format = formatFor(usePainter().painter.units);
  const windows = useMemo(
    () => dayWindows(forecast, bands, nowMinute, room),
    [forecast, bands, nowMinute, room],
  );
  if (windows.length === 0)
    return (
      <p className="quiet">
        What is known of the day ends at {clockText(forecast.at(-1)!.minute)}: go by the air as it
        is measured.
      </p>
    );
  const later = windows.length - SHOWN;
  return (
    <div className={styles['windows']}>
      {windows.slice(0, SHOWN).map((window, i) => (
        <div key={window.fromMinute} className={`card ${styles[window.level]}`}>
          <div className="quiet">
            {i === 0 && window.fromMinute <= nowMinute
              ? `Now, until ${clockText(window.toMinute)}`
              : `${clockText(window.fromMinute)} to ${clockText(window.toMinute)}`}
          </div>
          <LevelBadge level={window.level} word={TITLE[window.level]} />
          <p>{wordsOf(window, format)}</p>
        </div>
      ))}
      {later > 0 && (
        <p className="quiet">
          {later} more {later === 1 ? 'change' : 'changes'} after{' '}
          {clockText(windows[SHOWN]!.fromMinute)}: see the chart.
        </p>
      )}
    </div>
  );
}
