/**
 * What to pour, in order: millilitres, the level in the cup, grams on a scale, and how many cups.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { BLEND_NAME } from '@orthochrom/contract/plan/takenRecipe.ts';
import type { StoredCup, Units } from '@orthochrom/contract/shop/setup.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { ReactNode } from 'react';
import { coveredSaid, type CupCovers } from './covered.ts';
import { CupPicture } from './CupPicture.tsx';
import styles from './PourList.module.css';

type PourListProps = {
  mix: AnswerOf<'mix'>;
  cup: StoredCup;
  blend: { name: string; fraction: number }[];
  units: Units;
  /** Which of several cups is poured now, from 1. */
  cupNo?: number;
  /** What each cup is for, where they end with a panel. */
  covers?: CupCovers[];
  /** What stands over the list in place of how much it is. */
  head?: ReactNode;
  /** Beside each part: what was really poured. */
  entry?: (name: string) => ReactNode;
};

export function PourList({
  mix,
  cup,
  blend,
  units,
  cupNo = 1,
  covers,
  head,
  entry,
}: PourListProps) {
  const format = formatFor(units);
  const batches = mix.batches ?? [];
  const at = Math.min(cupNo, batches.length) - 1;
  const batch = batches[at];
  if (!batch) return null;
  const cups = batches.length;
  const isByVolume = units.measure === 'volume';
  /** The painter fills by one of the two. */
  const measured = (isIt: boolean) =>
    isIt ? `${styles['amount']} ${styles['measure']}` : styles['rather'];
  const ml = (value: number) => format.joined(format.volume(value));
  return (
    <div className={`card ${styles['pour']}`}>
      <div className={styles['list']}>
        <div className="row">
          {head}
          <div className="label">
            {cups > 1
              ? `Cup ${at + 1} of ${cups}, ${ml(batch.readyMl)}`
              : `One cup, ${ml(batch.readyMl)}`}
            {cups > 1 ? ` · ${ml(mix.readyMl ?? 0)} in all` : ''}
          </div>
          {covers?.[at] && <div className="quiet">for {coveredSaid(covers[at])}</div>}
        </div>
        <table className="plain">
          <thead>
            <tr>
              <th>Pour</th>
              <th {...(entry ? { className: styles['rather'] } : {})}>Amount</th>
              <th {...(isByVolume ? {} : { className: styles['rather'] })}>Fill to</th>
              <th {...(isByVolume ? { className: styles['rather'] } : {})}>Scale, cup at zero</th>
              {entry && <th>Poured</th>}
            </tr>
          </thead>
          <tbody>
            {batch.components.map((part) => (
              <tr key={part.name}>
                <td>
                  <span
                    className={`${styles['role']} ${styles[part.role ?? 'paint']}`}
                    aria-hidden="true"
                  />
                  <strong>{part.name}</strong> <span className="quiet">{part.role}</span>
                  {part.name === BLEND_NAME && blend.length > 1 && (
                    <div className="quiet">
                      {blend
                        .map(({ name, fraction }) => `${ml(fraction * part.ml)} ${name}`)
                        .join(' + ')}
                    </div>
                  )}
                </td>
                <td className={`${styles['amount']} ${entry ? styles['rather'] : ''}`} data-figure>
                  {ml(part.ml)}
                </td>
                <td className={measured(isByVolume)} data-figure>
                  {ml(part.cumulativeMl)}
                  {part.mark && <span className={styles['line']}>line {part.mark.label}</span>}
                </td>
                <td className={measured(!isByVolume)}>
                  {part.cumulativeGrams === undefined ? '' : `${part.cumulativeGrams.toFixed(0)} g`}
                </td>
                {entry && <td className={styles['entry']}>{entry(part.name)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <CupPicture cup={cup} components={batch.components} units={units} />
    </div>
  );
}
