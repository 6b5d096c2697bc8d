/**
 * A pattern's one next change, in this gun's own turns and pressure; or the fault that no knob
 * mends.
 */
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { tuneCalculation } from '@orthochrom/contract/calculations/tune.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import type { PatternSymptom, Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';
import type { Settings } from '@orthochrom/core/gun/gun.ts';
import { usePainter } from '../../frame/painter.ts';
import { formatFor, turnsText, type Format } from '@orthochrom/contract/words/format.ts';
import { ReasonList, VerdictList } from '../../verdict/Verdicts.tsx';

type TuneStep = AnswerOf<'tune'>['steps'][number];
const KNOB_NAME: Record<string, string> = {
  inletKPa: 'Air at the gun',
  fluidTurnsOut: 'Needle',
  fanTurnsOut: 'Fan',
  distanceMm: 'Distance',
  gunSpeedMPerS: 'Hand',
  stepMm: 'Step',
  overlapPercent: 'Overlap',
  nozzleMm: 'Nozzle',
};

/**
 * A knob's place as the painter holds it: turns in quarters, pressure in their unit, the hand as
 * seconds over this panel.
 */
export function knobText(
  knob: string,
  value: number,
  { joined, pressure, length }: Format,
  panelLengthM = 1,
): string {
  if (knob === 'inletKPa') return joined(pressure(value));
  if (knob === 'fluidTurnsOut' || knob === 'fanTurnsOut') return `${turnsText(value)} turns out`;
  if (knob === 'gunSpeedMPerS')
    return `${(panelLengthM / value).toFixed(1)} s ${panelLengthM === 1 ? 'a metre' : 'a pass'}`;
  if (knob === 'overlapPercent') return `${value.toFixed(0)} %`;
  return knob === 'nozzleMm' ? `${value} mm` : joined(length(value));
}

export function StepCard({
  step,
  isFirst,
  panelLengthM,
}: {
  step: TuneStep;
  isFirst: boolean;
  panelLengthM?: number;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  return (
    <div
      className="card"
      style={isFirst ? { borderColor: 'var(--amber)', borderWidth: 2 } : {}}
      data-knob={step.knob}
    >
      <div className="label">{isFirst ? 'The one next change' : 'If that is not enough'}</div>
      <div
        className={isFirst ? 'figure mid' : ''}
        style={{ whiteSpace: 'normal', ...(isFirst ? {} : { fontWeight: 600 }) }}
      >
        {KNOB_NAME[step.knob]}: {knobText(step.knob, step.from, format, panelLengthM)} →{' '}
        {knobText(step.knob, step.to, format, panelLengthM)}
      </div>
      <p>{step.why}</p>
      {step.expect && <p className="quiet">Expect: {step.expect}.</p>}
    </div>
  );
}

export function TuneAnswer({
  answer,
  panelLengthM,
}: {
  answer: AnswerOf<'tune'>;
  panelLengthM?: number;
}) {
  return (
    <div className="stack">
      {answer.fault && (
        <div className="card" role="status" style={{ borderColor: 'var(--stop)', borderWidth: 2 }}>
          <div className="label">Mend the gun</div>
          <p style={{ fontSize: '1.15rem', fontWeight: 600 }}>Most likely {answer.fault.name}.</p>
          <p>{answer.fault.check}</p>
        </div>
      )}
      {answer.steps.slice(0, 3).map((step, i) => (
        <StepCard
          key={step.knob + i}
          step={step}
          isFirst={i === 0}
          {...(panelLengthM === undefined ? {} : { panelLengthM })}
        />
      ))}
      <VerdictList verdicts={answer.verdicts.filter(({ code }) => code !== 'gun-fault')} />
      <ReasonList reasons={answer.reasons} />
    </div>
  );
}

type PatternAnswerProps = { gun: StoredGun; nozzleMm: number; seen: Pattern; settings?: Settings };

export function PatternAnswer({ gun, nozzleMm, seen, settings = {} }: PatternAnswerProps) {
  const { painter } = usePainter();
  const stage: Stage = gun.usedFor.find((kind) => kind === 'clear') ?? gun.usedFor[0] ?? 'clear';
  const answer = ask(tuneCalculation, {
    settings: { ...settings, nozzleMm },
    seen: [seen as PatternSymptom],
    stage,
    carrier: 'solvent',
    gun: gun.gun,
    way: painter.way,
  });
  return <TuneAnswer answer={answer} />;
}
