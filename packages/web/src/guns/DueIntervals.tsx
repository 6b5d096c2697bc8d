/** After how many days and coats a gun is due. */
import { NumberInput } from '@mantine/core';
import type { GunDraft } from './gunDraft.ts';

type DueIntervalsProps = {
  intervals: GunDraft['intervals'];
  onChange: (intervals: GunDraft['intervals']) => void;
};

export function DueIntervals({ intervals, onChange }: DueIntervalsProps) {
  return (
    <fieldset className="card grid2" style={{ margin: 0 }}>
      <legend className="tape">Due by days of use or by coats</legend>
      {(['pattern', 'service'] as const).flatMap((what) =>
        (['days', 'coats'] as const).map((unit) => (
          <NumberInput
            key={`${what}${unit}`}
            label={`${what === 'pattern' ? 'Shoot the pattern' : 'Service'} every so many ${unit}`}
            min={1}
            max={unit === 'days' ? 365 : 1000}
            allowDecimal={false}
            value={intervals[what][unit]}
            onChange={(next) =>
              Number(next) >= 1 &&
              onChange({
                ...intervals,
                [what]: { ...intervals[what], [unit]: Number(next) },
              })
            }
          />
        )),
      )}
    </fieldset>
  );
}
