/** How much to mix, as a band that the painter's own hand narrows: by panel, cup and tin. */
import type { HowMuch as Quantity } from '@orthochrom/contract/plan/howMuch.ts';
import { formatFor, minutesText, moneyText } from '@orthochrom/contract/words/format.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { coveredSaid } from './covered.ts';
import styles from './HowMuch.module.css';

type HowMuchProps = { quantity: Quantity; painter: Painter; currency?: string | undefined };

export function HowMuch({ quantity, painter, currency }: HowMuchProps) {
  const { readyMl, byPanel, batches = [], painterFactor, packs = [], leftOver = [] } = quantity;
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  const most = Math.max(...byPanel.map(({ ml }) => ml), 1);
  const { text, unit } = format.volume(readyMl.value);
  return (
    <section className={styles['much']} aria-label="How much">
      <h3>How much</h3>
      <div className={`figure ${styles['figure']}`}>
        {text} <small>{unit}</small>
      </div>
      <p className="quiet">
        {volume(readyMl.low)} to {volume(readyMl.high)}.{' '}
        {painterFactor.n > 0
          ? `Your hand ${painterFactor.value.toFixed(2)}, ${painterFactor.n} ${painterFactor.n === 1 ? 'job' : 'jobs'}.`
          : 'Nothing is known of your hand yet: say at Clean what was left.'}
      </p>
      <ul className={styles['bars']}>
        {byPanel.map(({ name, ml, share, edge }) => (
          <li key={name}>
            <span>
              {name}
              {share < 1 ? `, ${Math.round(share * 100)} %` : ''}
              {edge > 1 ? `, rim ${edge.toFixed(2)}` : ''}
            </span>
            <span className={styles['bar']} style={{ width: `${(100 * ml) / most}%` }} />
            <span>{volume(ml)}</span>
          </li>
        ))}
      </ul>
      {batches.length > 1 && (
        <ol className={styles['cups']}>
          {batches.map(({ readyMl: ml, covers = [], minutes }, i) => (
            <li key={i}>
              <strong>{volume(ml)}</strong>: {coveredSaid(covers)}
              {minutes === undefined ? '' : `, ${minutesText(minutes)}`}
            </li>
          ))}
        </ol>
      )}
      {packs.length > 0 && (
        <p>
          Tins:{' '}
          {packs
            .map(({ name, sizeMl, count }) => `${count} × ${volume(sizeMl)} ${name}`)
            .join(', ')}
          .
          {leftOver.length > 0 &&
            ` Left: ${leftOver.map(({ name, ml }) => `${volume(ml)} ${name}`).join(', ')}.`}
        </p>
      )}
      <Money quantity={quantity} currency={currency} />
      <VerdictList
        verdicts={quantity.verdicts.filter(({ code }) => code !== 'two-pack-breathing')}
        hideGo
      />
    </section>
  );
}

/** What is used, and what is bought for it; the ready litre to compare by. */
export function Money({
  quantity: { cost, costPerReadyL, spend },
  currency,
}: {
  quantity: Quantity;
  currency?: string | undefined;
}) {
  if (cost === undefined && spend === undefined) return null;
  const money = (amount: number) => moneyText(amount, currency);
  return (
    <p>
      {cost !== undefined && (
        <>
          Paint <strong>{money(cost)}</strong>
          {costPerReadyL !== undefined && `, ${money(costPerReadyL)} the ready litre`}.{' '}
        </>
      )}
      {spend !== undefined && `Tins to buy ${money(spend)}.`}
    </p>
  );
}
