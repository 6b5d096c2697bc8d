/** From A to B: which of the four levers did what, each moved by itself. */
import { useMemo } from 'react';
import { LEVER_WORD, type LabSetup } from './labSetup.ts';
import { leversBetween } from './levers.ts';

const change = (share: number, less: string, more: string): string | undefined =>
  Math.abs(share - 1) < 0.015
    ? undefined
    : `${share > 1 ? more : less} by ${Math.abs((share - 1) * 100).toFixed(0)} %`;

export function Levers({ a, b }: { a: LabSetup; b: LabSetup }) {
  const did = useMemo(() => leversBetween(a, b), [a, b]);
  return (
    <div className="card">
      <strong>From A to B, lever by lever: </strong>
      {did.length === 0
        ? 'none of the four levers (pressure, fluid, distance, speed) moved; what differs comes from air, paint or time.'
        : did
            .map(({ lever, filmShare, dropShare, wetShare }) => {
              const parts = [
                change(filmShare, 'film down', 'film up'),
                change(dropShare, 'drops finer', 'drops coarser'),
                change(wetShare, 'lands drier', 'lands wetter'),
              ].filter(Boolean);
              return `${LEVER_WORD[lever]}: ${parts.length > 0 ? parts.join(', ') : 'hardly anything'}`;
            })
            .join('; ')}
      .
    </div>
  );
}
