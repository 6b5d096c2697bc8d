/** The layers of one panel, lowest first, and the quick tests of the one on top. */
import { Button, Checkbox, Select } from '@mantine/core';
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';
import { GRITS, type Grit } from '@orthochrom/core/layers/grit.ts';
import { Choice, Question } from '../../safety/Choice.tsx';
import { FigureInput } from '../../units/FigureInput.tsx';
import { changedTests, withLayer } from './foundDraft.ts';
import { HISTORY_NAME, PATCH_NAME, RUB_NAME, TAPE_NAME } from './foundWords.ts';
import styles from './FoundLayers.module.css';

const optionsOf = <Code extends string>(words: Record<Code, string>) =>
  Object.entries(words) as [Code, string][];
const HISTORIES = optionsOf(HISTORY_NAME).map(([value, label]) => ({ value, label }));
const NOT_SANDED = 'notSanded';
const SCRATCHES = [
  { value: NOT_SANDED, label: 'Not sanded' },
  ...GRITS.map((grit) => ({ value: grit, label: grit })),
];

/** In the order in which they are made: an answer can be taken back. */
const NOT_MADE = 'notMade';
const QUICK_TESTS = [
  ['tape', 'Tape pull', TAPE_NAME],
  ['rub', 'Solvent rub', RUB_NAME],
  ['patch', 'Test patch', PATCH_NAME],
] as const;

type FoundLayersProps = { layers: FoundLayer[]; onChange: (layers: FoundLayer[]) => void };

export function FoundLayers({ layers, onChange }: FoundLayersProps) {
  return (
    <div className="stack">
      {layers.length === 0 && (
        <p className="quiet">
          Begin with the lowest layer that you know of. Not knowing is an answer.
        </p>
      )}
      {layers.map((layer, i) => (
        <LayerFields
          key={i}
          layer={layer}
          isTop={i === layers.length - 1}
          onChange={(changed) => onChange(withLayer(layers, i, changed))}
          onRemove={() => onChange(layers.filter((_, k) => k !== i))}
        />
      ))}
      <div>
        <Button
          variant="default"
          onClick={() =>
            onChange([...layers, { history: layers.length === 0 ? 'factory' : 'known2k' }])
          }
        >
          {layers.length === 0 ? 'A layer' : 'A layer on top of it'}
        </Button>
      </div>
    </div>
  );
}

type LayerFieldsProps = {
  layer: FoundLayer;
  isTop: boolean;
  onChange: (changes: Partial<FoundLayer>) => void;
  onRemove: () => void;
};

function LayerFields({ layer, isTop, onChange, onRemove }: LayerFieldsProps) {
  const isTouched = isTop || layer.cutThrough === true;
  return (
    <fieldset className={`card stack ${styles['layer']}`}>
      <legend className="visually-hidden">{HISTORY_NAME[layer.history]}</legend>
      <div className="grid2">
        <Select
          label="What it is"
          value={layer.history}
          data={HISTORIES}
          onChange={(history) => history && onChange({ history: history as FoundLayer['history'] })}
        />
        <Select
          label="Coarsest scratch in it"
          value={layer.lastGrit ?? NOT_SANDED}
          data={SCRATCHES}
          searchable
          onChange={(grit) =>
            grit && onChange({ lastGrit: grit === NOT_SANDED ? undefined : (grit as Grit) })
          }
        />
        <FigureInput
          label="Its film, where measured"
          kind="film"
          field="dryUm"
          {...(layer.dryUm === undefined ? {} : { value: layer.dryUm })}
          onChange={(entered) => onChange({ dryUm: entered?.canonical })}
        />
      </div>
      {!isTop && (
        <Checkbox
          size="lg"
          label="Sanded through to it: a ring"
          checked={layer.cutThrough ?? false}
          onChange={(event) => onChange({ cutThrough: event.currentTarget.checked || undefined })}
        />
      )}
      {isTouched && <QuickTests layer={layer} onChange={onChange} />}
      <div>
        <Button variant="default" onClick={onRemove}>
          Take this layer off the list
        </Button>
      </div>
    </fieldset>
  );
}

function QuickTests({ layer, onChange }: Pick<LayerFieldsProps, 'layer' | 'onChange'>) {
  const tests = layer.tests ?? {};
  return (
    <>
      <p className="quiet">
        On a hidden place, with gloves, extraction and no flame: tape over an X cut to the metal,
        pulled back on itself; a cloth wet with the strongest reducer of the plan, half a minute,
        ten double rubs. The safety sheet comes first.
      </p>
      {QUICK_TESTS.map(([test, label, words]) => (
        <Question key={test} label={label} isWide>
          <Choice
            label={label}
            value={tests[test] ?? NOT_MADE}
            options={[[NOT_MADE, 'Not made'], ...optionsOf<string>(words)]}
            onChange={(seen) =>
              onChange({
                tests: changedTests(tests, test, seen === NOT_MADE ? undefined : seen),
              })
            }
          />
        </Question>
      ))}
    </>
  );
}
