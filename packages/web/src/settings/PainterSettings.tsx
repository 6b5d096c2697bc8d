import { ADDRESS } from '../api/resources.ts';
import { Button, Select } from '@mantine/core';
import type { Painter, Units } from '@orthochrom/contract/shop/setup.ts';
import { USUAL_HABITS } from '@orthochrom/core/gun/preferences.ts';
import { HandLearned } from './HandLearned.tsx';
import { PutAway } from './PutAway.tsx';
import { useKept } from './useKept.ts';
import styles from './PictureChoice.module.css';
import { PictureChoice } from './PictureChoice.tsx';
import { SKILLS, WAY_LABEL, waysOf } from './waysOfWorking.tsx';

type Options = Record<string, [label: string, options: [value: string, label: string][]]>;

const UNITS: Record<keyof Units, Options[string]> = {
  temperature: [
    'Temperature',
    [
      ['C', '°C'],
      ['F', '°F'],
    ],
  ],
  pressure: [
    'Pressure',
    [
      ['psi', 'psi'],
      ['bar', 'bar'],
      ['kPa', 'kPa'],
    ],
  ],
  length: [
    'Length',
    [
      ['mm', 'mm'],
      ['in', 'inch'],
    ],
  ],
  film: [
    'Film',
    [
      ['um', 'µm'],
      ['mil', 'mil'],
    ],
  ],
  volume: [
    'Volume',
    [
      ['ml', 'ml'],
      ['flOzUs', 'US fl oz'],
      ['flOzImp', 'imperial fl oz'],
    ],
  ],
  area: [
    'Area',
    [
      ['m2', 'm²'],
      ['ft2', 'ft²'],
    ],
  ],
  measure: [
    'Mix by',
    [
      ['volume', 'volume'],
      ['weight', 'weight, on a scale'],
    ],
  ],
};

const WAYS = Object.keys(WAY_LABEL) as (keyof typeof WAY_LABEL)[];

export function PainterSettings({ painter }: { painter: Painter }) {
  const { draft, setDraft, isChanged, busy, save } = useKept(
    painter,
    ADDRESS.painter(painter.id),
    ({ painters }) => painters,
  );
  const { id, version } = draft;
  const pictured = waysOf(draft.units);
  return (
    <section className="card stack" aria-labelledby="painter">
      <h2 className="tape" id="painter" style={{ alignSelf: 'start' }}>
        {painter.name}
      </h2>
      <div className="grid2">
        {Object.entries(UNITS).map(([key, [label, options]]) => (
          <Select
            key={key}
            label={label}
            value={draft.units[key as keyof Units]}
            data={options.map(([value, word]) => ({ value, label: word }))}
            onChange={(value) =>
              value && setDraft({ ...draft, units: { ...draft.units, [key]: value } })
            }
          />
        ))}
      </div>
      <p className="quiet">
        Any unit may be typed in any field: “26 psi”, “1,8 bar”, “75 F”, “2¾”.
      </p>
      <div className={styles['ways']}>
        <PictureChoice
          label="Hand"
          value={draft.skill}
          options={SKILLS}
          onPick={(skill) => setDraft({ ...draft, skill })}
        />
        {WAYS.map((way) => (
          <PictureChoice<string>
            key={way}
            label={WAY_LABEL[way]}
            value={draft.way[way] ?? USUAL_HABITS[way]}
            options={pictured[way]}
            onPick={(value) => setDraft({ ...draft, way: { ...draft.way, [way]: value } })}
          />
        ))}
      </div>
      <div className="grid2" style={{ alignItems: 'end' }}>
        <Select
          label="Before spraying"
          description="blown off only where a booth carries the dust away"
          value={draft.prepWay?.tack ?? 'blowAndTack'}
          data={[
            { value: 'blowAndTack', label: 'blow off, then tack' },
            { value: 'tackOnly', label: 'tack only' },
          ]}
          onChange={(tack) =>
            tack && setDraft({ ...draft, prepWay: { ...draft.prepWay, tack: tack as 'tackOnly' } })
          }
        />
        <Select
          label="Last cleaner"
          value={draft.prepWay?.lastCleaner ?? 'sheet'}
          data={[
            { value: 'sheet', label: 'as the sheet has it' },
            { value: 'degreaser', label: 'degreaser' },
            { value: 'mildSolvent', label: 'mild solvent' },
            { value: 'water', label: 'water cleaner' },
            { value: 'household', label: 'household cleaner' },
          ]}
          onChange={(cleaner) => {
            const { lastCleaner: _, ...rest } = draft.prepWay ?? {};
            if (cleaner)
              setDraft({
                ...draft,
                prepWay:
                  cleaner === 'sheet' ? rest : { ...rest, lastCleaner: cleaner as 'degreaser' },
              });
          }}
        />
      </div>
      <HandLearned painter={painter} />
      <div className="row">
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Save for {painter.name}
        </Button>
        <PutAway what={painter.name} address={ADDRESS.painter(id, 'archive')} version={version} />
      </div>
    </section>
  );
}
