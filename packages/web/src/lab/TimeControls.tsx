/** Time: coats, flashes and heat. */
import { Switch } from '@mantine/core';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { atOther, Choice, Group, Knob, type GroupProps } from './Knob.tsx';
import { withFlash, type LabSetup } from './labSetup.ts';

export function TimeControls({ setup, other, onChange }: GroupProps) {
  const { painter } = usePainter();
  const { temperature, difference, joined } = formatFor(painter.units);
  const { coats, bake } = setup;
  const at = atOther(other);
  const celsius = (c: number) => joined(temperature(c));
  const minutes = (m: number) => `${m.toFixed(0)} min`;
  const bakeWith = (part: Partial<NonNullable<LabSetup['bake']>>) =>
    bake && onChange({ ...setup, bake: { ...bake, ...part } });
  return (
    <Group title="Time">
      <Choice
        label="Coats"
        value={String(coats.length)}
        data={['1', '2', '3', '4']}
        onChange={(count) =>
          onChange({ ...setup, coats: Array.from({ length: Number(count) }, () => coats[0]!) })
        }
      />
      <Knob
        label="Flash between coats"
        value={coats[0]!.flashMinutes}
        was={at((s) => s.coats[0]!.flashMinutes)}
        from={0.5}
        to={45}
        step={0.5}
        write={minutes}
        onChange={(m) => onChange(withFlash(setup, m))}
      />
      <Switch
        label="Baked"
        checked={bake !== undefined}
        onChange={({ currentTarget }) => {
          const { bake: _, ...rest } = setup;
          onChange(
            currentTarget.checked
              ? { ...rest, bake: { afterMinutes: 12, toC: 60, rampCPerMin: 4, holdMinutes: 30 } }
              : rest,
          );
        }}
      />
      {bake && (
        <>
          <Knob
            label="Wait before heat"
            value={bake.afterMinutes}
            was={at((s) => s.bake?.afterMinutes)}
            from={0}
            to={45}
            step={0.5}
            write={minutes}
            onChange={(afterMinutes) => bakeWith({ afterMinutes })}
          />
          <Knob
            label="Heat rises by"
            value={bake.rampCPerMin}
            was={at((s) => s.bake?.rampCPerMin)}
            from={1}
            to={20}
            step={0.5}
            write={(perMin) => `${joined(difference(perMin))} a minute`}
            onChange={(rampCPerMin) => bakeWith({ rampCPerMin })}
          />
          <Knob
            label="Up to"
            value={bake.toC}
            was={at((s) => s.bake?.toC)}
            from={35}
            to={90}
            step={1}
            write={celsius}
            onChange={(toC) => bakeWith({ toC })}
          />
        </>
      )}
    </Group>
  );
}
