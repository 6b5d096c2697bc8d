import { usePainter } from '../frame/painter.ts';
import { formatFor, secondsText } from '@orthochrom/contract/words/format.ts';
import { layOutTank, type TankBox } from './tankLayout.ts';
import styles from './TankPicture.module.css';

const BOX: TankBox = {
  widthPx: 900,
  heightPx: 260,
  leftPx: 56,
  rightPx: 150,
  topPx: 16,
  bottomPx: 34,
};

type TankPictureProps = {
  trace: { seconds: number; tankKPa: number }[];
  cutInKPa: number;
  cutOutKPa: number;
  neededKPa: number;
  runSeconds: number;
  sustains: boolean;
};

/** The tank over the job, with the line under which the gun starves. */
export function TankPicture({ trace, sustains, ...of }: TankPictureProps) {
  const { painter } = usePainter();
  const { pressure, joined } = formatFor(painter.units);
  const layout = layOutTank(trace, of, BOX);
  const rightPx = BOX.widthPx - BOX.rightPx;
  const needed = layout.levels.find(({ key }) => key === 'needed')!;
  return (
    <div className={styles['scroll']} tabIndex={0}>
      <svg
        viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
        className={styles['tank']}
        role="img"
        aria-label="Pressure in the tank over the job"
      >
        <rect
          x={BOX.leftPx}
          y={needed.yPx}
          width={rightPx - BOX.leftPx}
          height={Math.max(0, layout.basePx - needed.yPx)}
          className={styles['short']}
        />
        {layout.ticks.map(({ seconds, xPx }) => (
          <text
            key={seconds}
            x={xPx}
            y={BOX.heightPx - 10}
            textAnchor="middle"
            className={styles['tick']}
          >
            {secondsText(seconds)}
          </text>
        ))}
        {layout.levels.map(({ key, word, levelKPa, yPx }) => (
          <g key={key} className={styles[key]}>
            <line x1={BOX.leftPx} x2={rightPx} y1={yPx} y2={yPx} />
            <text x={rightPx + 8} y={yPx + 5}>
              {word} {joined(pressure(levelKPa))}
            </text>
          </g>
        ))}
        <path d={layout.path} className={styles['curve']} />
        {!sustains && (
          <g className={styles['end']}>
            <circle cx={layout.end.xPx} cy={layout.end.yPx} r="8" />
            <text x={layout.end.xPx + 14} y={layout.end.yPx - 10}>
              short of air at {secondsText(trace.at(-1)!.seconds)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
