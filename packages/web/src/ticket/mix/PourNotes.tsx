/** What goes with the pour list: shares, the order, the strainer, the sheet's own words. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import styles from './PourList.module.css';

export function PourNotes({ sheet, mix }: { sheet: Sheet; mix: AnswerOf<'mix'> }) {
  const batch = mix.batches?.[0];
  return (
    <>
      {batch && (
        <p className="quiet">
          {batch.components
            .slice(1)
            .map(
              (part) =>
                `${part.name}: ${part.percentOfPaint.toFixed(0)} % of the paint, ${part.percentOfMix.toFixed(0)} % of the mix`,
            )
            .join(' · ')}
        </p>
      )}
      <ol className={styles['notes']}>
        {mix.notes?.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
        {sheet.strainerUm && <li>Strainer {sheet.strainerUm} µm, by the sheet.</li>}
        {sheet.notes?.map((text) => (
          <li key={text}>
            <strong>Sheet:</strong> {text}
          </li>
        ))}
      </ol>
    </>
  );
}
