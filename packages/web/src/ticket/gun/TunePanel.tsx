/**
 * "It looks …": what is seen on paper or panel, and the one change that answers it, in this gun's
 * own turns and pressure.
 */
import { Button } from '@mantine/core';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { tuneCalculation } from '@orthochrom/contract/calculations/tune.ts';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/coat.ts';
import { settingNames } from '@orthochrom/contract/shop/coat.ts';
import {
  PATTERNS,
  BURST_SYMPTOMS,
  type Pattern,
  type PatternSymptom,
} from '@orthochrom/core/gun/patternSymptoms.ts';
import type { Settings } from '@orthochrom/core/gun/gun.ts';
import { useState } from 'react';
import { AssemblySigns } from '../../guns/care/AssemblySigns.tsx';
import { TuneAnswer } from '../../guns/tests/PatternAnswer.tsx';
import { PATTERN_NAME } from '../../guns/tests/PatternPicker.tsx';
import { PatternPicture } from '../../guns/tests/PatternPicture.tsx';
import type { CardProps } from '../cardProps.ts';
import styles from './TunePanel.module.css';

const SIGHT_NAME: Record<(typeof BURST_SYMPTOMS)[number], string> = {
  coarseSpots: 'Spotty, coarse drops',
  dry: 'Dry, dusty',
  tooWet: 'Too wet, drifting',
  runs: 'Runs',
  stripes: 'Stripes',
  blowBack: 'Mist bounces back',
  pullingApart: 'Pulling apart',
  starved: 'Fades out, starved',
};
const isSetting = (knob: string): knob is SettingName =>
  (settingNames as readonly string[]).includes(knob);

type TunePanelProps = Pick<CardProps, 'context' | 'stage' | 'plan'> & {
  settings: Settings;
  overrides: Overrides;
  panelLengthM: number | undefined;
  onApply?: (name: SettingName, override: NonNullable<Overrides[SettingName]>) => void;
};

export function TunePanel({
  context,
  stage,
  plan,
  settings,
  overrides,
  panelLengthM,
  onApply,
}: TunePanelProps) {
  const [seen, setSeen] = useState<PatternSymptom[]>([]);
  const { sheet, capLimitKPa } = plan.inputs.setup;
  const toggle = (sight: PatternSymptom) =>
    setSeen(
      seen.includes(sight) ? seen.filter((other) => other !== sight) : [...seen, sight].slice(-3),
    );
  const answer =
    seen.length === 0
      ? undefined
      : ask(tuneCalculation, {
          settings,
          seen,
          stage: stage.kind,
          carrier: context.sheet.carrier,
          ...(stage.finish ? { finish: stage.finish } : {}),
          gun: context.gun.gun,
          ...(sheet ? { sheet } : {}),
          way: context.painter.way,
          place: context.room.place,
          ...(capLimitKPa === undefined ? {} : { capLimitKPa }),
        });
  const first = answer?.steps[0];
  const apply = () => {
    if (!first || !isSetting(first.knob) || !onApply) return;
    onApply(first.knob, {
      recommended: overrides[first.knob]?.recommended ?? first.from,
      chosen: first.to,
      why: `looked ${seen.map((sight) => wordOf(sight).toLowerCase()).join(', ')}`.slice(0, 200),
    });
    setSeen([]);
  };
  return (
    <section className="card stack" aria-label="It looks …">
      <h3 className="tape" style={{ alignSelf: 'start' }}>
        It looks …
      </h3>
      <div className={styles['patterns']} role="group" aria-label="Pattern on paper">
        {PATTERNS.map((pattern) => (
          <button
            key={pattern}
            type="button"
            aria-pressed={seen.includes(pattern)}
            className={styles['pattern']}
            onClick={() => toggle(pattern)}
          >
            <PatternPicture pattern={pattern} />
            <span>{PATTERN_NAME[pattern]}</span>
          </button>
        ))}
      </div>
      <div className="row" role="group" aria-label="On the panel">
        {BURST_SYMPTOMS.map((sight) => (
          <Button
            key={sight}
            variant={seen.includes(sight) ? 'filled' : 'default'}
            aria-pressed={seen.includes(sight)}
            onClick={() => toggle(sight)}
          >
            {SIGHT_NAME[sight]}
          </Button>
        ))}
      </div>
      <AssemblySigns gunId={context.gun.id} />
      {answer && (
        <div aria-live="polite">
          <TuneAnswer answer={answer} {...(panelLengthM === undefined ? {} : { panelLengthM })} />
        </div>
      )}
      {first && isSetting(first.knob) && onApply && (
        <div>
          <Button size="lg" onClick={apply}>
            Set it so, and shoot again
          </Button>
        </div>
      )}
    </section>
  );
}

const wordOf = (sight: PatternSymptom): string =>
  sight in PATTERN_NAME
    ? PATTERN_NAME[sight as Pattern]
    : SIGHT_NAME[sight as (typeof BURST_SYMPTOMS)[number]];
