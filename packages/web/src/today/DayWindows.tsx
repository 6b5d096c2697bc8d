/** The day in words: until when not, when best, when with care. */
import type { ForecastPoint } from '@orthochrom/core/air/forecast.ts';
import { useMemo } from 'react';
import { LevelBadge } from '../verdict/Verdicts.tsx';
import { clockText, dayWindows, type DayWhy, type DayWindow, type GradeBand } from './dayLayout.ts';
import styles from './DayWindows.module.css';

const WORDS: Record<DayWhy, Record<'stop' | 'care', string>> = {
  'panel-cold': { stop: 'The panel is too cold: warm the metal, not only the air.', care: '' },
  dew: {
    stop: 'It is too near the dew point: there may be water on it.',
    care: 'Near the dew point: measure the panel before each coat.',
  },
  humid: { stop: 'The air is too damp.', care: 'Damp: waterborne waits, quick grades may turn milky.' },
  hot: { stop: 'Too hot to spray.', care: 'Warm: smaller sections, longer before heat.' },
};
const wordsOf = ({ kind, why, grade }: DayWindow): string => {
  if (kind === 'stop') return why.map((one) => WORDS[one].stop).join(' ');
  const fits = `A panel job wants about ${grade}.`;
  return kind === 'care'
    ? [...why.map((one) => WORDS[one].care), fits].join(' ')
    : `${fits} Within the usual limits; each sheet may ask for more.`;
};
const LEVEL = { stop: 'stop', care: 'caution', go: 'go' } as const;
const TITLE = { stop: 'Do not spray', care: 'With care', go: 'Good to spray' };

export function DayWindows({ forecast, nowMinute, bands }: { forecast: ForecastPoint[]; nowMinute: number; bands: GradeBand[] }) {
  const windows = useMemo(() => dayWindows(forecast, bands, nowMinute).slice(0, 3), [forecast, nowMinute, bands]);
  return (
    <div className={styles['windows']}>
      {windows.map((window, i) => (
        <div key={window.fromMinute} className={`card ${styles[LEVEL[window.kind]]}`}>
          <div className="quiet">
            {i === 0 && window.fromMinute <= nowMinute
              ? `Now, until ${clockText(window.toMinute)}`
              : `${clockText(window.fromMinute)} to ${clockText(window.toMinute)}`}
          </div>
          <LevelBadge level={LEVEL[window.kind]} word={TITLE[window.kind]} />
          <p>{wordsOf(window)}</p>
        </div>
      ))}
    </div>
  );
}
