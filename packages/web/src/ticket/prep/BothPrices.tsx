/** What the advice costs beside what is planned: in sight when it is decided, and kept with it. */
import type { BothStacks } from '@orthochrom/contract/shop/prep.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import { formatFor, moneyText } from '@orthochrom/contract/words/format.ts';
import styles from './PrepCard.module.css';

type BothPricesProps = {
  both: BothStacks;
  units: Painter['units'];
  currency: string | undefined;
};

export function BothPrices({
  both: { planned, advised, primer },
  units,
  currency,
}: BothPricesProps) {
  const format = formatFor(units);
  const said = ({ readyMl, cost }: BothStacks['planned']) =>
    `${format.joined(format.volume(readyMl))}${cost === undefined ? '' : `, ${moneyText(cost, currency)}`}`;
  const more =
    planned.cost === undefined || advised.cost === undefined
      ? undefined
      : advised.cost - planned.cost;
  return (
    <div className={styles['prices']}>
      <div>
        <div className="label">Paint as planned</div>
        <strong>{said(planned)}</strong>
      </div>
      <div>
        <div className="label">As advised: off with it, {primer} first</div>
        <strong>{said(advised)}</strong>
      </div>
      {more !== undefined && (
        <div>
          <div className="label">More, in paint alone</div>
          <strong>{moneyText(more, currency)}</strong>
        </div>
      )}
    </div>
  );
}
