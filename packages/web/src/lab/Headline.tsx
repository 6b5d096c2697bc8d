/** The figures a painter asks for first, A large, B beside it with which way it moved. */
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import styles from './Headline.module.css';
import type { Side } from './Pictures.tsx';

type Spread = { value: number; low: number; high: number };
type Figure = {
  label: string;
  of: (side: Side) => Spread;
  write: (value: number) => string;
  unit: string;
  note?: (side: Side) => string | undefined;
};

export function Headline({ sides }: { sides: Side[] }) {
  const { painter } = usePainter();
  const { film } = formatFor(painter.units);
  const figures: Figure[] = [
    {
      label: 'Wet, last coat',
      of: ({ answer }) => answer.film.wetUm,
      write: (um) => film(um).text,
      unit: film(1).unit,
      note: ({ answer }) => answer.runsFromUm && `runs from ${film(answer.runsFromUm.value).text}`,
    },
    {
      label: 'Dry, all coats',
      of: ({ answer }) => answer.film.dryUm,
      write: (um) => film(um).text,
      unit: film(1).unit,
    },
    {
      label: 'Lands',
      of: ({ answer }) => answer.transferEfficiencyPercent,
      write: (v) => v.toFixed(0),
      unit: '%',
    },
    {
      label: 'Fog',
      of: ({ answer }) => answer.oversprayGPerMin,
      write: (v) => v.toFixed(0),
      unit: 'g/min',
    },
    {
      label: 'First coat ready',
      of: ({ answer }) => answer.flashReadyMinutes[0]!,
      write: (v) => v.toFixed(0),
      unit: 'min',
    },
    {
      label: 'Flatness of 10',
      of: ({ answer }) => answer.peelIndex,
      write: (v) => v.toFixed(1),
      unit: '',
    },
  ];
  return (
    <div className={styles['figures']}>
      {figures.map(({ label, of, write, unit, note }) => {
        const a = of(sides[0]!);
        const b = sides[1] && of(sides[1]);
        return (
          <div key={label} className={styles['figure']}>
            <div className="label">{label}</div>
            <div className="figure mid">
              {write(a.value)} <small>{unit}</small>
            </div>
            <div className="quiet">
              {write(a.low)} to {write(a.high)}
            </div>
            {note?.(sides[0]!) && <div className={styles['note']}>{note(sides[0]!)}</div>}
            {b && (
              <div className={styles['b']}>
                B {write(b.value)} {arrow(a.value, b.value)}
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}

const arrow = (a: number, b: number): string =>
  Math.abs(b / Math.max(1e-9, a) - 1) < 0.02 ? '=' : b > a ? '▲' : '▼';
