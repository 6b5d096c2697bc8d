/** What each test asks for; a stopwatch where the clock matters. */
import { Button } from '@mantine/core';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import type { Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { secondsText, turnsText } from '@orthochrom/contract/words/format.ts';
import type { Kind } from '../../units/typed.ts';
import { useStopwatch } from '../useStopwatch.ts';
import { PatternPicker } from './PatternPicker.tsx';
import type { TestKindHere } from './steps.ts';

export type TestDraft = {
  seen?: Pattern;
  ml?: number | undefined;
  seconds?: number | undefined;
  inletKPa?: number | undefined;
  capKPa?: number | undefined;
  fluidTurnsOut?: number | undefined;
  fanTurnsOut?: number | undefined;
  fanWidthMm?: number | undefined;
  distanceMm?: number | undefined;
  wetUm?: number | undefined;
  overlapPercent?: number | undefined;
  secondsPerM?: number | undefined;
};
type FigureName = Exclude<keyof TestDraft, 'seen'>;
const FIELD: Record<FigureName, { label: string; kind: Kind }> = {
  ml: { label: 'Caught', kind: 'volume' },
  seconds: { label: 'in', kind: 'seconds' },
  inletKPa: { label: 'At the gun’s inlet, trigger pulled', kind: 'pressure' },
  capKPa: { label: 'At the cap, trigger pulled', kind: 'pressure' },
  fluidTurnsOut: { label: 'Needle out, turns from closed', kind: 'turns' },
  fanTurnsOut: { label: 'Fan out, turns from closed', kind: 'turns' },
  fanWidthMm: { label: 'Wet length on the paper', kind: 'length' },
  distanceMm: { label: 'Distance', kind: 'length' },
  wetUm: { label: 'Wet film on the comb', kind: 'film' },
  overlapPercent: { label: 'Overlap of the passes', kind: 'percent' },
  secondsPerM: { label: 'Seconds for one metre of a pass', kind: 'seconds' },
};
const ASKED: Record<TestKindHere, FigureName[]> = {
  pattern: ['distanceMm'],
  catch: ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut'],
  fan: ['inletKPa', 'fanTurnsOut', 'distanceMm', 'fanWidthMm'],
  cap: ['inletKPa', 'capKPa', 'fanTurnsOut'],
  comb: [
    'inletKPa',
    'fluidTurnsOut',
    'fanTurnsOut',
    'distanceMm',
    'overlapPercent',
    'secondsPerM',
    'wetUm',
  ],
};
/** Long enough that a late finger does not matter. */
const CATCH_SECONDS = 30;

type FiguresProps = {
  gun: StoredGun;
  kind: TestKindHere;
  draft: TestDraft;
  setDraft: (change: (now: TestDraft) => TestDraft) => void;
};

export function FiguresOfTest({ gun, kind, draft, setDraft }: FiguresProps) {
  const travel = {
    fluidTurnsOut: fullFluidTurnsOf(gun.gun),
    fanTurnsOut: fullFanTurnsOf(gun.gun),
  };
  const beyond = (['fluidTurnsOut', 'fanTurnsOut'] as const).find(
    (knob) => (draft[knob] ?? 0) > travel[knob],
  );
  const input = (name: FigureName) => (
    <FigureInput
      key={name}
      label={FIELD[name].label}
      kind={FIELD[name].kind}
      field={name === 'secondsPerM' ? 'seconds' : name}
      {...(name === 'fluidTurnsOut' || name === 'fanTurnsOut'
        ? { description: `its travel is ${turnsText(travel[name])}` }
        : {})}
      onChange={(entered) => setDraft((now) => ({ ...now, [name]: entered?.canonical }))}
    />
  );
  return (
    <div className="stack">
      {kind === 'pattern' && (
        <PatternPicker
          value={draft.seen}
          onPick={(seen) => setDraft((now) => ({ ...now, seen }))}
        />
      )}
      {ASKED[kind].map(input)}
      {kind === 'catch' && <CatchClock setDraft={setDraft} />}
      {kind === 'catch' && input('ml')}
      {beyond && (
        <p role="alert">
          That is further out than the knob goes: {turnsText(travel[beyond])} turns is its travel.
          Counted from open, perhaps?
        </p>
      )}
    </div>
  );
}

function CatchClock({ setDraft }: Pick<FiguresProps, 'setDraft'>) {
  const watch = useStopwatch();
  const isLongEnough = watch.seconds >= CATCH_SECONDS;
  const press = () => {
    if (!watch.isRunning) return watch.start();
    const seconds = Number(watch.stop().toFixed(1));
    setDraft((now) => ({ ...now, seconds }));
  };
  return (
    <div className="stack" style={{ gap: '0.4rem' }}>
      <div className="row" style={{ alignItems: 'flex-end' }}>
        <Button size="lg" variant={watch.isRunning ? 'filled' : 'default'} onClick={press}>
          {watch.isRunning ? 'Trigger let go: stop' : 'Trigger pulled: start the clock'}
        </Button>
        <span className="figure">{secondsText(watch.seconds)}</span>
        {watch.isRunning && (
          <span>{isLongEnough ? 'long enough' : `until ${CATCH_SECONDS} s`}</span>
        )}
      </div>
      <FigureInput
        key={watch.isRunning ? 'running' : watch.seconds}
        label="Seconds caught"
        kind="seconds"
        field="seconds"
        {...(!watch.isRunning && watch.seconds > 0
          ? { value: Number(watch.seconds.toFixed(1)) }
          : {})}
        onChange={(entered) => setDraft((now) => ({ ...now, seconds: entered?.canonical }))}
      />
    </div>
  );
}
