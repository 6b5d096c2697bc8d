/** Made ready, painted, finished: three bars, each with its count. */
import { Progress } from '@mantine/core';
import type { Phase } from '@orthochrom/contract/plan/phases.ts';

const NAME: Record<Phase['phase'], string> = {
  prepare: 'Prepare',
  paint: 'Paint',
  finish: 'Finish',
};

export function Phases({ phases }: { phases: readonly Phase[] }) {
  return (
    <div
      role="group"
      aria-label="How far it is"
      style={{ display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))', gap: 10 }}
    >
      {phases.map(({ phase, done, of }) => (
        <div key={phase}>
          <strong>{NAME[phase]}</strong>{' '}
          <span className="quiet">{of > 0 ? `${done} of ${of}` : 'nothing'}</span>
          <Progress
            size="lg"
            value={of > 0 ? (100 * done) / of : 0}
            aria-label={`${NAME[phase]}: ${done} of ${of}`}
          />
        </div>
      ))}
    </div>
  );
}
