/** What stands on a panel, as it was told, with what happens at each seam; touched to tell it. */
import { Button, Modal } from '@mantine/core';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { useState } from 'react';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { FoundLayers } from './FoundLayers.tsx';
import { HISTORY_NAME } from './foundWords.ts';
import { Seam } from './Seam.tsx';
import styles from './FoundOnPanel.module.css';

export type LayersAnswer = AnswerOf<'layerCheck'>;

type FoundOnPanelProps = {
  panel: Panel;
  /** As it is said among the panels of this ticket. */
  name: string;
  /** Panels whose layers were told: copied in one touch. */
  others: Panel[];
  answer: LayersAnswer | undefined;
  onChange: (found: Panel['found']) => void;
};

export function FoundOnPanel({ panel, name, others, answer, onChange }: FoundOnPanelProps) {
  const [isOpen, setOpen] = useState(false);
  const pairs = answer?.pairs.filter((pair) => pair.panel === name) ?? [];
  const said = answer?.verdicts.filter(({ params }) => params?.['panel'] === name) ?? [];
  const layers = panel.found ?? [];
  return (
    <div className={styles['found']}>
      <Button variant="default" aria-haspopup="dialog" onClick={() => setOpen(true)}>
        What stands on it
      </Button>
      <span>
        {panel.found
          ? layers.map(({ history }) => HISTORY_NAME[history]).join(', then ') || 'not told yet'
          : 'not told: nothing is held against it'}
      </span>
      {pairs.map(({ above, outcome }) => (
        <Seam key={above} outcome={outcome} over={above} />
      ))}
      <Modal
        opened={isOpen}
        onClose={() => setOpen(false)}
        size="xl"
        title={`What stands on ${name}, lowest first`}
      >
        <div className="stack">
          <FoundLayers layers={layers} onChange={onChange} />
          <div className="row">
            {others.map((other) => (
              <Button key={other.id} variant="default" onClick={() => onChange(other.found)}>
                Same as {panelName(other.name)}
              </Button>
            ))}
            {panel.found && (
              <Button variant="default" onClick={() => onChange(undefined)}>
                Nobody was asked
              </Button>
            )}
          </div>
          <div className="row">
            {pairs.map(({ above, outcome }) => (
              <Seam key={above} outcome={outcome} over={above} />
            ))}
          </div>
          <VerdictList verdicts={said} />
          <Button size="lg" onClick={() => setOpen(false)}>
            Done
          </Button>
        </div>
      </Modal>
    </div>
  );
}
