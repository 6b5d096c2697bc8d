/** Which coat this is, of which paint, and how it is laid; what stands always, where it is open. */
import { gateProduct } from '@orthochrom/contract/plan/gateProduct.ts';
import { coatPlanned, type PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { Standing } from '../safety/Standing.tsx';
import { STAGE_NAME, STATE_NAME } from '../words/tradeNames.ts';
import { coatSaid } from './coatOwn.ts';
import styles from './TicketPage.module.css';

type StageTitleProps = {
  context: PlanContext;
  coat: Coat;
  /** Hardener or solvent is open at this step. */
  isOpen: boolean;
};

export function StageTitle({ context, coat, isOpen }: StageTitleProps) {
  const { stage, sheet, painter } = context;
  const own = coatPlanned(context);
  return (
    <div className={styles['title']}>
      <h2 className={`tape ${styles['now']}`}>
        {STAGE_NAME[stage.kind]} · coat {coat.ordinal} of {stage.coats}
      </h2>
      <span className={styles['of']}>
        {own && !context.mist && (
          <strong data-coat-kind={own.kind}>{coatSaid(own, formatFor(painter.units))} · </strong>
        )}
        <span className="quiet">
          {sheet.name}
          {stage.colourName ? `, ${stage.colourName}` : ''} · {STATE_NAME[coat.state]}
        </span>
      </span>
      {isOpen && <Standing product={gateProduct(sheet, stage.recipeName)} />}
    </div>
  );
}
