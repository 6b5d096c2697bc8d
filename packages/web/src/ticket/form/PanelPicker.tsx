import { Button, CloseButton, Select, TextInput } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { FoundOnPanel, type LayersAnswer } from '../found/FoundOnPanel.tsx';
import { SCOPE_NAME } from '../found/foundWords.ts';
import styles from './PanelPicker.module.css';
import { newPanel, PANEL_AREAS_M2 } from './ticketDraft.ts';

const SCOPES = Object.entries(SCOPE_NAME).map(([value, label]) => ({ value, label }));

export function PanelPicker({
  panels,
  answer,
  onChange,
  error,
}: {
  panels: Panel[];
  /** What was found under them against what is planned. */
  answer: LayersAnswer | undefined;
  onChange: (panels: Panel[]) => void;
  error: string | undefined;
}) {
  const [free, setFree] = useState('');
  const has = (name: string) => panels.some((panel) => panel.name === name);
  const change = (id: string, changes: Partial<Panel>) =>
    onChange(panels.map((panel) => (panel.id === id ? { ...panel, ...changes } : panel)));
  return (
    <fieldset className={`card stack ${styles['panels']}`}>
      <legend className="tape">Panels</legend>
      <div className={styles['chips']}>
        {PANEL_AREAS_M2.map(([name]) => (
          <Button
            key={name}
            size="compact-lg"
            variant={has(name) ? 'filled' : 'default'}
            aria-pressed={has(name)}
            onClick={() =>
              onChange(
                has(name)
                  ? panels.filter((panel) => panel.name !== name)
                  : [...panels, newPanel(name)],
              )
            }
          >
            {panelName(name)}
          </Button>
        ))}
      </div>
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
          disabled={free.trim() === '' || has(free.trim())}
          onClick={() => {
            onChange([...panels, newPanel(free.trim())]);
            setFree('');
          }}
        >
          Add it
        </Button>
        {error && <span role="alert">{error}</span>}
      </div>
      {panels.map((panel) => (
        <div key={panel.id} className={styles['panel']}>
          <strong>{panelName(panel.name)}</strong>
          <FigureInput
            label="Area"
            kind="area"
            field="areaM2"
            value={panel.areaM2}
            onChange={(entered) => entered && change(panel.id, { areaM2: entered.canonical })}
          />
          <Select
            label="What it gets"
            value={panel.scope}
            data={SCOPES}
            onChange={(scope) => scope && change(panel.id, { scope: scope as Panel['scope'] })}
          />
          <Select
            label="Lies"
            value={panel.orientation}
            data={['upright', 'flat', 'slope']}
            onChange={(orientation) =>
              orientation && change(panel.id, { orientation: orientation as Panel['orientation'] })
            }
          />
          <Select
            label="Of"
            value={panel.substrate}
            data={['metal', 'plastic', 'composite']}
            onChange={(substrate) =>
              substrate && change(panel.id, { substrate: substrate as Panel['substrate'] })
            }
          />
          <CloseButton
            size="xl"
            aria-label={`Take ${panelName(panel.name)} off`}
            onClick={() => onChange(panels.filter(({ id }) => id !== panel.id))}
          />
          <FoundOnPanel
            panel={panel}
            name={panelSaid(panels, panel)}
            others={panels.filter(({ id, found }) => id !== panel.id && found)}
            answer={answer}
            onChange={(found) => {
              const { found: _, ...rest } = panel;
              onChange(
                panels.map((one) =>
                  one.id === panel.id ? (found ? { ...rest, found } : rest) : one,
                ),
              );
            }}
          />
        </div>
      ))}
    </fieldset>
  );
}
