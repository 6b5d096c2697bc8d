/** The air, the humidity and the panel, large, each with its age, and the word for it all. */
import { dewPointC } from '@orthochrom/core/air/humidAir.ts';
import type { AirNow, Reading } from '@orthochrom/contract/shop/air.ts';
import type { Level } from '@orthochrom/core/outcome/codes.ts';
import { useNowMs } from '../api/serverClock.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { LevelBadge } from '../verdict/Verdicts.tsx';
import styles from './AirStrip.module.css';
import { usePainter } from './painter.ts';

const WORD: Record<Level, string> = { go: 'Go', caution: 'Care', stop: 'Wait' };

export function AirStrip({ air, level, room }: { air: AirNow; level: Level; room: string }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const dewC = dewPointC({
    airTemperatureC: air.air.value,
    relativeHumidityPercent: air.humidity.value,
  });
  const panel = air.panel && format.temperature(air.panel.value);
  const margin = air.panel && format.difference(air.panel.value - dewC);
  const temperature = format.temperature(air.air.value);
  return (
    <div className={styles['strip']} aria-label={`Air in ${room}`}>
      <Chip
        text={temperature.text}
        unit={temperature.unit}
        note={`${room} air`}
        reading={air.air}
      />
      <Chip text={air.humidity.value.toFixed(0)} unit="%" note="humidity" reading={air.humidity} />
      {panel && margin && (
        <Chip
          text={panel.text}
          unit={panel.unit}
          note={`panel, ${Number(margin.text) >= 0 ? '+' : ''}${margin.text} ${margin.unit} over dew`}
          reading={air.panel!}
        />
      )}
      <span className={`${styles['word']} ${styles[level]}`}>
        <LevelBadge level={level} word={WORD[level]} />
      </span>
    </div>
  );
}

function Chip({
  text,
  unit,
  note,
  reading,
}: {
  text: string;
  unit: string;
  note: string;
  reading: Reading;
}) {
  return (
    <div className={styles['chip']}>
      <div className={styles['value']}>
        {text} <small>{unit}</small>
      </div>
      <div className={styles['note']}>
        {note}
        <Age reading={reading} />
      </div>
    </div>
  );
}

/** A reading by hand says how old it is; the probe's is of this moment. */
function Age({ reading }: { reading: Reading }) {
  const now = useNowMs(15_000);
  if (reading.by === 'probe') return null;
  const minutes = Math.max(0, Math.round((now - Date.parse(reading.at)) / 60_000));
  return <strong> · by hand {minutes === 0 ? 'just now' : `${minutes} min ago`}</strong>;
}
