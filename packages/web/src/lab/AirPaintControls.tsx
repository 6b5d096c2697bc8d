/** Air and paint: what the day and the tin give. */
import { MATERIAL_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import type { MaterialClass } from '@orthochrom/core/trade/materialClasses.ts';
import { Select } from '@mantine/core';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { atOther, Choice, Group, Knob, type GroupProps } from './Knob.tsx';
import {
  gradeC,
  hasHardener,
  hasReducer,
  withClimate,
  withGrade,
  type LabSetup,
} from './labSetup.ts';

export function AirPaintControls({ setup, other, onChange }: GroupProps) {
  const { painter } = usePainter();
  const { temperature, joined } = formatFor(painter.units);
  const { climate, material } = setup;
  const at = atOther(other);
  const celsius = (c: number) => joined(temperature(c));
  const airSpeed = climate.airSpeedMPerS ?? 0.3;
  return (
    <>
      <Group title="Air">
        <Knob
          label="Air"
          value={climate.airTemperatureC}
          was={at((s) => s.climate.airTemperatureC)}
          from={5}
          to={42}
          step={0.5}
          write={celsius}
          onChange={(airTemperatureC) => onChange(withClimate(setup, { airTemperatureC }))}
        />
        <Knob
          label="Panel"
          value={climate.panelTemperatureC ?? climate.airTemperatureC}
          was={at((s) => s.climate.panelTemperatureC)}
          from={5}
          to={45}
          step={0.5}
          write={celsius}
          onChange={(panelTemperatureC) => onChange(withClimate(setup, { panelTemperatureC }))}
        />
        <Knob
          label="Humidity"
          value={climate.relativeHumidityPercent}
          was={at((s) => s.climate.relativeHumidityPercent)}
          from={10}
          to={95}
          step={1}
          write={(v) => `${v.toFixed(0)} %`}
          onChange={(relativeHumidityPercent) =>
            onChange(withClimate(setup, { relativeHumidityPercent }))
          }
        />
        <Knob
          label={`Air over the panel${airWord(airSpeed)}`}
          value={airSpeed}
          was={at((s) => s.climate.airSpeedMPerS)}
          from={0.05}
          to={2.5}
          step={0.05}
          write={(v) => `${v.toFixed(2)} m/s`}
          onChange={(airSpeedMPerS) => onChange(withClimate(withoutWord(setup), { airSpeedMPerS }))}
        />
      </Group>
      <Group title="Paint">
        <Select
          label="Kind"
          value={material.class}
          allowDeselect={false}
          data={Object.entries(MATERIAL_NAME).map(([value, label]) => ({ value, label }))}
          onChange={(value) =>
            value &&
            onChange({
              ...setup,
              material: {
                class: value as MaterialClass,
                ...(material.finish ? { finish: material.finish } : {}),
              },
            })
          }
        />
        <Knob
          label="Paint in the cup"
          value={climate.materialTemperatureC ?? climate.airTemperatureC}
          was={at((s) => s.climate.materialTemperatureC)}
          from={5}
          to={40}
          step={0.5}
          write={celsius}
          onChange={(materialTemperatureC) =>
            onChange(withClimate(setup, { materialTemperatureC }))
          }
        />
        {hasReducer(setup) && (
          <Knob
            label="Reducer made for"
            value={gradeC(setup)}
            was={at(gradeC)}
            from={12}
            to={38}
            step={0.5}
            write={celsius}
            onChange={(c) => onChange(withGrade(setup, c))}
          />
        )}
        {hasHardener(setup) && (
          <Choice
            label="Hardener"
            value={material.hardenerSpeed ?? 'medium'}
            data={[
              { value: 'fast', label: 'fast' },
              { value: 'medium', label: 'medium' },
              { value: 'slow', label: 'slow' },
            ]}
            onChange={(hardenerSpeed) =>
              onChange({ ...setup, material: { ...material, hardenerSpeed } })
            }
          />
        )}
        {material.class.endsWith('Base') && (
          <Choice
            label="Colour"
            value={
              material.finish === undefined || material.finish === 'solid' ? 'solid' : 'metallic'
            }
            data={[
              { value: 'solid', label: 'solid' },
              { value: 'metallic', label: 'metallic' },
            ]}
            onChange={(finish) => onChange({ ...setup, material: { ...material, finish } })}
          />
        )}
      </Group>
    </>
  );
}

const withoutWord = (setup: LabSetup): LabSetup => {
  const { airMovement: _, ...climate } = setup.climate;
  return { ...setup, climate };
};
const airWord = (speed: number): string =>
  speed < 0.12 ? ', still' : speed < 0.35 ? ', downdraft' : speed < 0.6 ? ', crossdraft' : ', fan';
