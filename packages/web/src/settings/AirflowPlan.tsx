/** A room from above, the car nose up, with the way its air goes: touched where it looks alike. */
import type { Airflow } from '@orthochrom/core/trade/vocabulary.ts';
import { PictureChoice } from './PictureChoice.tsx';
import styles from './AirflowPlan.module.css';

type Arrow = [fromX: number, fromY: number, toX: number, toY: number];

/** In a room of 100 by 120, its front wall above. */
const ARROWS: Record<Airflow, Arrow[]> = {
  rearToFront: [
    [22, 112, 22, 10],
    [50, 114, 50, 98],
    [78, 112, 78, 10],
  ],
  frontToRear: [
    [22, 8, 22, 110],
    [50, 6, 50, 22],
    [78, 8, 78, 110],
  ],
  downdraft: [],
  fanAtDoor: [
    [20, 104, 76, 18],
    [50, 110, 84, 30],
  ],
  still: [],
};
const WORD: Record<Airflow, string> = {
  downdraft: 'in above, out through the floor',
  rearToFront: 'in at the rear, out at the front',
  frontToRear: 'in at the front, out at the rear',
  fanAtDoor: 'to a fan at the door',
  still: 'nowhere in particular',
};
/** Air that comes down onto the floor of a plan is seen from its end. */
const DOWN: [number, number][] = [
  [18, 30],
  [18, 60],
  [18, 90],
  [82, 30],
  [82, 60],
  [82, 90],
  [50, 60],
];

function Plan({ airflow }: { airflow: Airflow }) {
  return (
    <svg viewBox="0 0 100 120" className={styles['plan']} aria-hidden="true">
      <rect x="4" y="4" width="92" height="112" className={styles['wall']} />
      <path d="M36 34 q14 -12 28 0 l3 20 v30 q-17 10 -34 0 v-30 z" className={styles['car']} />
      {airflow === 'fanAtDoor' && (
        <rect x="78" y="2" width="18" height="6" className={styles['fan']} />
      )}
      {airflow === 'downdraft' &&
        DOWN.map(([x, y]) => (
          <g key={`${x} ${y}`}>
            <circle cx={x} cy={y} r="7" className={styles['arrow']} />
            <circle cx={x} cy={y} r="2" className={styles['tip']} />
          </g>
        ))}
      {ARROWS[airflow].map(([fromX, fromY, toX, toY]) => {
        const turnDeg = (Math.atan2(toY - fromY, toX - fromX) * 180) / Math.PI;
        return (
          <g key={`${fromX} ${fromY}`}>
            <line x1={fromX} y1={fromY} x2={toX} y2={toY} className={styles['arrow']} />
            <path
              d="M0 0 L-9 -5 L-9 5 Z"
              transform={`translate(${toX} ${toY}) rotate(${turnDeg})`}
              className={styles['tip']}
            />
          </g>
        );
      })}
    </svg>
  );
}

const ORDER: readonly Airflow[] = ['downdraft', 'rearToFront', 'frontToRear', 'fanAtDoor', 'still'];

type AirflowPlanProps = { value: Airflow; onPick: (airflow: Airflow) => void };

export function AirflowPlan({ value, onPick }: AirflowPlanProps) {
  return (
    <PictureChoice
      label="Where its air goes, the car’s nose up"
      value={value}
      options={ORDER.map((airflow) => ({
        value: airflow,
        word: WORD[airflow],
        picture: <Plan airflow={airflow} />,
      }))}
      onPick={onPick}
    />
  );
}
