import { convert } from '@orthochrom/core/units/convert.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { layOutGauge, layOutKnob } from './instrumentLayout.ts';
import styles from './Instruments.module.css';

const DIAL = {
  psi: { full: 60, stepEvery: 10 },
  bar: { full: 4, stepEvery: 1 },
  kPa: { full: 400, stepEvery: 100 },
} as const;

/** The gauge at the gun as it should look with the trigger pulled. */
export function GaugePicture({
  inletKPa,
  bandKPa,
  units,
}: {
  inletKPa: number;
  bandKPa: readonly [number, number];
  units: Units;
}) {
  const unit = units.pressure;
  const own = (kPa: number) => convert(kPa, 'kPa', unit);
  const layout = layOutGauge(
    { value: own(inletKPa), band: [own(bandKPa[0]), own(bandKPa[1])], ...DIAL[unit] },
    84,
  );
  return (
    <svg viewBox="-96 -92 192 160" className={styles['gauge']} aria-hidden="true">
      <path d={layout.rimPath} className={styles['rim']} />
      <path d={layout.bandPath} className={styles['band']} />
      {layout.ticks.map(({ v, from, to, label }) => (
        <g key={v}>
          <line x1={from.xPx} y1={from.yPx} x2={to.xPx} y2={to.yPx} className={styles['tick']} />
          <text x={label.xPx} y={label.yPx + 5} textAnchor="middle">
            {v}
          </text>
        </g>
      ))}
      <line
        x1="0"
        y1="0"
        x2={layout.needle.xPx}
        y2={layout.needle.yPx}
        className={styles['needle']}
      />
      <circle r="8" className={styles['hub']} />
    </svg>
  );
}

/** A knob, one ring a turn from closed. */
export function KnobPicture({ turnsOut, fullTurns }: { turnsOut: number; fullTurns: number }) {
  return (
    <svg viewBox="-52 -52 104 104" className={styles['knob']} aria-hidden="true">
      {layOutKnob(turnsOut, fullTurns, 50).map(({ travelPath, openPath }, i) => (
        <g key={i}>
          <path d={travelPath} className={styles['travel']} />
          <path d={openPath} className={styles['open']} />
        </g>
      ))}
    </svg>
  );
}

/** The fan from the side, wider as its knob is opened. @param share of the knob's travel, 0 to 1 */
export function FanPicture({ share }: { share: number }) {
  const half = 12 + 34 * Math.min(1, Math.max(0, share));
  return (
    <svg viewBox="-52 -8 104 104" className={styles['knob']} aria-hidden="true">
      <path d={`M0 0 L${half} 78 H${-half} Z`} className={styles['spray']} />
      <ellipse cy="78" rx={half} ry="10" className={styles['open']} />
    </svg>
  );
}

/**
 * The gun's cap and the panel, with the way between them.
 * @param share of the way that is drawn, 0 to 1
 */
export function StandOffPicture({ share = 0.85 }: { share?: number }) {
  const capPx = 104 - 84 * share;
  return (
    <svg viewBox="-10 0 130 90" className={styles['knob']} aria-hidden="true">
      <rect x={capPx - 30} y="32" width="26" height="26" className={styles['hub']} />
      <path d={`M${capPx} 45 H104`} className={styles['way']} />
      <rect x="106" y="6" width="8" height="78" className={styles['travel']} />
    </svg>
  );
}
