/** The panels of this coat on the car, with the edges that are cut by hand alone marked on them. */
import type { StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { bodyPanel } from '@orthochrom/core/body/bodyMap.ts';
import { useMemo } from 'react';
import { BodyDrawing } from '../body/BodyDrawing.tsx';
import styles from './EdgesToKeepOff.module.css';

type EdgesToKeepOffProps = {
  ticket: Pick<Ticket, 'bodyKind' | 'panels'>;
  stage: Pick<StagePlan, 'panelIds'>;
  /** How far, in the painter's unit. */
  keepOff: string;
};

export function EdgesToKeepOff({ ticket, stage, keepOff }: EdgesToKeepOffProps) {
  const body = ticket.bodyKind;
  const names = ticket.panels
    .filter(({ id, name }) => stage.panelIds.includes(id) && bodyPanel(body, name))
    .map(({ name }) => name);
  const key = names.join(' ');
  const near = useMemo(() => ({ panels: key.split(' '), beside: [] }), [key]);
  if (names.length === 0) return null;
  return (
    <figure className={styles['edges']}>
      <BodyDrawing
        body={body}
        label="Edges to keep off"
        near={near}
        className={styles['car']}
        onTouch={() => undefined}
        lookOf={(id) =>
          names.includes(id)
            ? {
                label: `${panelName(id)}: keep ${keepOff} off its edges`,
                className: styles['keepOff'],
                isHeld: true,
              }
            : undefined
        }
      />
    </figure>
  );
}
