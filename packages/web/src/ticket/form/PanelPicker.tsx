/** Which panels the job has: touched on the car folded open, each with its card; others by name. */
import { Button, TextInput } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { Panel, TicketCreate } from '@orthochrom/contract/shop/ticket.ts';
import { useMemo, useState } from 'react';
import { BodyPicture } from '../body/BodyPicture.tsx';
import type { LayersAnswer } from '../found/FoundOnPanel.tsx';
import { HISTORY_NAME, SCOPE_NAME } from '../found/foundWords.ts';
import { PanelCard } from './PanelCard.tsx';
import styles from './PanelPicker.module.css';
import { newPanel, withFaces } from './ticketDraft.ts';

type PanelPickerProps = {
  body: TicketCreate['bodyKind'];
  panels: Panel[];
  /** What was found under them against what is planned. */
  answer: LayersAnswer | undefined;
  onChange: (panels: Panel[]) => void;
  error: string | undefined;
};

export function PanelPicker({ body, panels, answer, onChange, error }: PanelPickerProps) {
  const [free, setFree] = useState('');
  const [selectedId, select] = useState<string>();
  const scopes = useMemo(() => new Map(panels.map(({ name, scope }) => [name, scope])), [panels]);
  const selected = panels.find(({ id }) => id === selectedId) ?? panels[0];
  const add = (name: string) => {
    const panel = newPanel(name, body);
    onChange([...panels, panel]);
    select(panel.id);
  };
  const touch = (name: string) => {
    const known = panels.find((panel) => panel.name === name);
    if (known) select(known.id);
    else add(name);
  };
  const isTaken = panels.some(({ name }) => name === free.trim());
  return (
    <fieldset className={`card ${styles['panels']}`}>
      <legend className="tape">Panels</legend>
      <div className={styles['car']}>
        <BodyPicture body={body} scopes={scopes} selected={selected?.name} onTouch={touch} />
        <div className="row">
          <TextInput
            aria-label="Another part"
            placeholder="Another part"
            value={free}
            maxLength={80}
            onChange={(event) => setFree(event.currentTarget.value)}
          />
          <Button
            variant="default"
            disabled={free.trim() === '' || isTaken}
            onClick={() => {
              add(free.trim());
              setFree('');
            }}
          >
            Add it
          </Button>
          {error && <span role="alert">{error}</span>}
        </div>
      </div>
      {selected ? (
        <PanelCard
          key={selected.id}
          body={body}
          panel={selected}
          panels={panels}
          answer={answer}
          onChange={(panel) => onChange(panels.map((one) => (one.id === panel.id ? panel : one)))}
          onBlend={(name) => onChange([...panels, { ...newPanel(name, body), scope: 'blend' }])}
          onBothFaces={(isBoth) => {
            const next = withFaces(panels, selected, isBoth);
            onChange(next);
            select(next.find(({ name }) => name === selected.name)?.id);
          }}
          onOff={() => onChange(panels.filter(({ id }) => id !== selected.id))}
        />
      ) : (
        <p className={styles['card']}>Touch the panels that are worked on.</p>
      )}
      <ul className={styles['list']} aria-label="On this job">
        {panels.map((panel) => (
          <li key={panel.id}>
            <button
              type="button"
              className={styles['entry']}
              aria-current={panel.id === selected?.id}
              onClick={() => select(panel.id)}
            >
              <strong>{panelSaid(panels, panel)}</strong>
              <span>
                {SCOPE_NAME[panel.scope]}
                {panel.found
                  ? `, ${panel.found.map((one) => HISTORY_NAME[one.history]).join(' + ')}`
                  : ''}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
