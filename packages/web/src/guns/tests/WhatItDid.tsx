import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { scaleLinear } from 'd3';
import { usePainter } from '../../frame/painter.ts';
import { formatFor, type Format } from '@orthochrom/contract/words/format.ts';
import { surenessPercent, whatItDid, type Did } from './whatItDid.ts';
import styles from './WhatItDid.module.css';

const WORD = {
  fluidMlPerMin: 'Paint',
  fanWidthMm: 'Fan',
  capKPa: 'At the cap',
  wetUm: 'Wet film',
} as const;
const shown = (name: Did['name'], value: number, { length, pressure, film }: Format) =>
  name === 'wetUm'
    ? film(value)
    : name === 'fluidMlPerMin'
      ? { text: value.toFixed(0), unit: 'ml/min' }
      : name === 'fanWidthMm'
        ? length(value)
        : pressure(value);

/** Before and after, with how sure each is: the bar holds four times in five. */
export function WhatItDid({
  gun,
  nozzleMm,
  test,
}: {
  gun: StoredGun;
  nozzleMm: number;
  test: Parameters<typeof whatItDid>[2];
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const all = whatItDid(gun, nozzleMm, test);
  if (all.length === 0) return <p>It says what was known already: nothing moves.</p>;
  return (
    <div className="stack">
      {all.map((did) => {
        const { name, before, after } = did;
        const x = scaleLinear(
          [Math.min(before.low, after.low) * 0.95, Math.max(before.high, after.high) * 1.05],
          [0, 100],
        );
        const bar = (figure: Did['before']) => ({
          left: `${x(figure.low)}%`,
          width: `${x(figure.high) - x(figure.low)}%`,
        });
        const figure = shown(name, after.value, format);
        return (
          <div key={name}>
            <div
              className="row"
              style={{ justifyContent: 'space-between', alignItems: 'baseline' }}
            >
              <span className="label">{WORD[name]}, as this gun would be set</span>
              <span className="quiet">
                was {shown(name, before.value, format).text} ± {surenessPercent(before).toFixed(0)}{' '}
                %
              </span>
            </div>
            <div className="figure">
              {figure.text} <small>{figure.unit}</small>{' '}
              <small>± {surenessPercent(after).toFixed(0)} %</small>
            </div>
            <div className={styles['bars']} aria-hidden="true">
              <span className={styles['before']} style={bar(before)} />
              <span className={styles['after']} style={bar(after)} />
            </div>
          </div>
        );
      })}
    </div>
  );
}
