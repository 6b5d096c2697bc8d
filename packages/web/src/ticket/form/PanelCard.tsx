/** One panel of the job: what it gets, what stands on it, and its measures where they matter. */
import { Button, Checkbox, Select } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { bodyPanel, neighboursOf, type Body } from '@orthochrom/core/body/bodyMap.ts';
import { FINISH_TARGETS } from '@orthochrom/core/trade/vocabulary.ts';
import { BUILDS, usualBuild } from '@orthochrom/core/heat/panelHeat.ts';
import { SCOPES } from '@orthochrom/core/layers/foundLayer.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { FoundOnPanel, type LayersAnswer } from '../found/FoundOnPanel.tsx';
import { SCOPE_NAME } from '../found/foundWords.ts';
import { BUILD_NAME, FINISH_TARGET_NAME } from '../../words/tradeNames.ts';
import styles from './PanelPicker.module.css';

type PanelCardProps = {
  body: Body;
  panel: Panel;
  panels: Panel[];
  answer: LayersAnswer | undefined;
  onChange: (panel: Panel) => void;
  /** Takes a panel beside it in, to fade the colour into. */
  onBlend: (name: string) => void;
  /** A part off the car: its hidden face in a session of its own, before. */
  onBothFaces: (isBoth: boolean) => void;
  onOff: () => void;
};

export function PanelCard({
  body,
  panel,
  panels,
  answer,
  onChange,
  onBlend,
  onBothFaces,
  onOff,
}: PanelCardProps) {
  const name = panelSaid(panels, panel);
  const change = (changes: Partial<Panel>) => onChange(without({ ...panel, ...changes }));
  const beside =
    panel.scope === 'full'
      ? neighboursOf(body, panel.name).filter((one) => !panels.some((known) => known.name === one))
      : [];
  const like = panels.find(({ id, found }) => id !== panel.id && found);
  return (
    <section className={styles['card']} aria-label={name} data-panel-card={panel.name}>
      <h3>{name}</h3>
      <div className={styles['scopes']} role="group" aria-label={`What ${name} gets`}>
        {SCOPES.map((scope) => (
          <Button
            key={scope}
            size="lg"
            px="md"
            variant={panel.scope === scope ? 'filled' : 'default'}
            aria-pressed={panel.scope === scope}
            onClick={() => change({ scope })}
          >
            {SCOPE_NAME[scope]}
          </Button>
        ))}
      </div>
      {beside.length > 0 && (
        <div className={styles['scopes']} role="group" aria-label="Blend into">
          <span className={styles['into']}>Blend into</span>
          {beside.map((one) => (
            <Button key={one} variant="default" onClick={() => onBlend(one)}>
              {panelName(one)}
            </Button>
          ))}
        </div>
      )}
      {panel.scope !== 'leave' && (
        <>
          <FoundOnPanel
            panel={panel}
            name={name}
            others={panels.filter(({ id, found }) => id !== panel.id && found)}
            answer={answer}
            onChange={(found) => change({ found })}
          />
          <div className="row">
            {like && !panel.found && (
              <Button variant="default" size="lg" onClick={() => change({ found: like.found })}>
                Same as {panelSaid(panels, like)}
              </Button>
            )}
            <Checkbox
              size="lg"
              label="Somebody else’s bodywork"
              checked={panel.foreign ?? false}
              onChange={(event) => change({ foreign: event.currentTarget.checked || undefined })}
            />
            <Checkbox
              size="lg"
              label="Painted more than once already"
              checked={panel.manyLayers ?? false}
              onChange={(event) => change({ manyLayers: event.currentTarget.checked || undefined })}
            />
          </div>
        </>
      )}
      {panel.scope !== 'leave' && !bodyPanel(body, panel.name) && (
        <Checkbox
          size="lg"
          label="Off the car: the inside first, then turned for the outside"
          checked={panel.face !== undefined}
          onChange={(event) => onBothFaces(event.currentTarget.checked)}
        />
      )}
      <div className={styles['measures']}>
        <FigureInput
          key={`area ${panel.id}`}
          label="Area"
          kind="area"
          field="areaM2"
          value={panel.areaM2}
          onChange={(entered) => entered && change({ areaM2: entered.canonical })}
        />
        {panel.scope === 'spot' && (
          <FigureInput
            key={`spot ${panel.id}`}
            label="The spot itself"
            kind="area"
            field="spotM2"
            {...(panel.spotM2 === undefined ? {} : { value: panel.spotM2 })}
            onChange={(entered) => change({ spotM2: entered?.canonical })}
          />
        )}
        <Select
          label="Lies"
          value={panel.orientation}
          data={['upright', 'flat', 'slope']}
          onChange={(orientation) =>
            orientation && change({ orientation: orientation as Panel['orientation'] })
          }
        />
        <Select
          label="Of"
          value={panel.substrate}
          data={['metal', 'plastic', 'composite']}
          onChange={(substrate) =>
            substrate && change({ substrate: substrate as Panel['substrate'] })
          }
        />
        <Select
          label="Built as"
          value={panel.build ?? usualBuild(panel.substrate)}
          data={BUILDS.map((value) => ({ value, label: BUILD_NAME[value] }))}
          onChange={(build) => build && change({ build: build as (typeof BUILDS)[number] })}
        />
        {panel.scope !== 'leave' && (
          <Select
            label="Finish wanted"
            value={panel.finishTarget ?? 'factory'}
            data={FINISH_TARGETS.map((value) => ({ value, label: FINISH_TARGET_NAME[value] }))}
            onChange={(target) =>
              target && change({ finishTarget: target as NonNullable<Panel['finishTarget']> })
            }
          />
        )}
      </div>
      <Button variant="subtle" color="red" onClick={onOff}>
        Take {name} off the job
      </Button>
    </section>
  );
}

/** What is not told is absent, not undefined. */
const without = (panel: { [K in keyof Panel]?: Panel[K] | undefined }): Panel =>
  Object.fromEntries(Object.entries(panel).filter(([, value]) => value !== undefined)) as Panel;
