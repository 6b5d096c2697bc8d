/** What would change if the air changed. */
import { Slider } from '@mantine/core';
import { planDifferences, type PlanDifference } from '@orthochrom/contract/plan/planDifferences.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import { verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import { usePainter } from '../../frame/painter.ts';
import { formatFor, minutesText, type Format } from '@orthochrom/contract/words/format.ts';
import { Blend } from '../mix/Blend.tsx';
import styles from './WhatIf.module.css';

const FIELD: Record<PlanDifference['field'], string> = {
  stops: 'Go or not',
  reducer: 'Reducer',
  hardener: 'Hardener',
  adjuster: 'Adjuster',
  potLife: 'Pot life',
  flash: 'Flash',
  openTime: 'Edge open',
  dewMargin: 'Panel over dew',
  inlet: 'At the gun',
};
/** Shown only once the gate has passed: they are recipe or setting. */
const GATED: PlanDifference['field'][] = [
  'reducer',
  'hardener',
  'adjuster',
  'potLife',
  'openTime',
  'inlet',
];

export function WhatIf({
  plan,
  warmer,
  deltaC,
  setDeltaC,
  gatePassed,
}: {
  plan: CoatPlan;
  warmer: CoatPlan | undefined;
  deltaC: number;
  setDeltaC: (deltaC: number) => void;
  gatePassed: boolean;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const changes = (warmer ? planDifferences(plan, warmer) : []).filter(
    ({ field }) => gatePassed || !GATED.includes(field),
  );
  const delta = format.difference(Math.abs(deltaC));
  return (
    <div className="stack">
      <div>
        <div className={styles['delta']}>
          {deltaC === 0
            ? 'The air as it is'
            : `${delta.text} ${delta.unit} ${deltaC > 0 ? 'warmer' : 'cooler'}`}
        </div>
        <Slider
          min={-12}
          max={12}
          step={1}
          value={deltaC}
          onChange={setDeltaC}
          label={null}
          size="lg"
          thumbSize={28}
          thumbLabel="Air warmer or cooler"
          styles={{ bar: { display: 'none' } }}
          marks={[{ value: -6 }, { value: 0 }, { value: 6 }]}
        />
      </div>
      {deltaC !== 0 && changes.length === 0 && <p>Nothing that matters changes.</p>}
      {changes.length > 0 && (
        <ul className={styles['changes']} aria-live="polite">
          {changes.map((change) => (
            <li key={change.field}>
              <strong>{FIELD[change.field]}</strong> <Blend text={describe(change, format)} />
              {change.why && (
                <div className="quiet">
                  {'level' in change.why
                    ? verdictMessage(change.why.code, change.why.params, format.inWords)
                    : reasonText(change.why.code, change.why.params, format.inWords)}
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function describe({ field, from, to }: PlanDifference, format: Format): string {
  const show = (value: number | string | undefined): string => {
    if (value === undefined) return field === 'stops' ? 'go' : 'none';
    if (typeof value === 'string') return field === 'stops' ? 'stop' : value;
    if (field === 'potLife' || field === 'flash') return minutesText(value);
    if (field === 'openTime') return `${value.toFixed(1)} min`;
    if (field === 'dewMargin') return format.joined(format.difference(value));
    if (field === 'inlet') return format.joined(format.pressure(value));
    return `${value.toFixed(0)} %`;
  };
  const [was, is] = [show(from), show(to)];
  return was === is ? 'for other reasons' : `${was} → ${is}`;
}
