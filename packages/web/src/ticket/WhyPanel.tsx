/** What would change if the air changed, and the reasons behind what is shown. */
import { Slider } from '@mantine/core';
import { planDifferences, type PlanDifference } from '@orthochrom/contract/plan/planDifferences.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import { verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor, minutesText, type Format } from '@orthochrom/contract/words/format.ts';
import { ReasonList } from '../verdict/Verdicts.tsx';
import { Blend } from './mix/Blend.tsx';
import type { Step } from './coatSteps.ts';
import styles from './WhyPanel.module.css';

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

export function WhyPanel({
  plan,
  warmer,
  deltaC,
  setDeltaC,
  step,
  gatePassed,
}: {
  plan: CoatPlan;
  warmer: CoatPlan | undefined;
  deltaC: number;
  setDeltaC: (deltaC: number) => void;
  step: Step;
  gatePassed: boolean;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const changes = (warmer ? planDifferences(plan, warmer) : []).filter(
    ({ field }) => gatePassed || !GATED.includes(field),
  );
  const reasons =
    step === 'flash' || step === 'spray'
      ? plan.recoat.reasons
      : step === 'gun'
        ? plan.setup.reasons
        : [...plan.reducer.reasons, ...(plan.mix?.reasons ?? [])];
  const delta = format.difference(Math.abs(deltaC));
  return (
    <div className="stack">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What if
      </h2>
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
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Why
      </h2>
      {gatePassed || step === 'air' ? (
        <ReasonList reasons={reasons} />
      ) : (
        <p className="quiet">
          Reasons for recipe and settings stand here once the gate has passed.
        </p>
      )}
      <p className="quiet">
        How sure: times ±35 %, rates of drying ±30 %, until this shop’s own tests narrow them. The
        sheet goes first; your override goes before both, never before a stop.
      </p>
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
