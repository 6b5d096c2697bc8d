/** What can be moved, grouped as the trade thinks: air, paint, gun, hand, time. */
import { SegmentedControl, Select, Slider, Switch } from '@mantine/core';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import type { MaterialClass } from '@orthochrom/core/material/classes.ts';
import type { ReactNode } from 'react';
import { usePainter } from '../frame/painter.ts';
import { formatFor, turnsText } from '../units/format.ts';
import styles from './Controls.module.css';
import {
  CLASS_NAME,
  gradeC,
  hasHardener,
  hasReducer,
  withClimate,
  withFlash,
  withGrade,
  withGun,
  withSettings,
  type LabSetup,
} from './labSetup.ts';

type ControlsProps = { setup: LabSetup; other?: LabSetup | undefined; guns: StoredGun[]; onChange: (setup: LabSetup) => void };

export function Controls({ setup, other, guns, onChange }: ControlsProps) {
  const { painter } = usePainter();
  const { temperature, pressure, length, joined } = formatFor(painter.units);
  const { climate, material, gun, settings, panel, coats, bake, technique } = setup;
  const at = (read: (from: LabSetup) => number | undefined) => (other ? read(other) : undefined);
  const celsius = (c: number) => joined(temperature(c));
  const minutes = (m: number) => `${m.toFixed(0)} min`;
  const airSpeed = climate.airSpeedMPerS ?? 0.3;
  const settle = (part: Partial<LabSetup['settings']>) => onChange(withSettings(setup, part));
  const bakeWith = (part: Partial<NonNullable<LabSetup['bake']>>) => bake && onChange({ ...setup, bake: { ...bake, ...part } });
  const hand = (part: NonNullable<LabSetup['technique']>) => onChange({ ...setup, technique: { ...technique, ...part } });
  return (
    <div className={styles['controls']}>
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
          onChange={(relativeHumidityPercent) => onChange(withClimate(setup, { relativeHumidityPercent }))}
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
          data={Object.entries(CLASS_NAME).map(([value, label]) => ({ value, label }))}
          onChange={(value) =>
            value &&
            onChange({
              ...setup,
              material: { class: value as MaterialClass, ...(material.finish ? { finish: material.finish } : {}) },
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
          onChange={(materialTemperatureC) => onChange(withClimate(setup, { materialTemperatureC }))}
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
            onChange={(hardenerSpeed) => onChange({ ...setup, material: { ...material, hardenerSpeed } })}
          />
        )}
        {material.class.endsWith('Base') && (
          <Choice
            label="Colour"
            value={material.finish === undefined || material.finish === 'solid' ? 'solid' : 'metallic'}
            data={[
              { value: 'solid', label: 'solid' },
              { value: 'metallic', label: 'metallic' },
            ]}
            onChange={(finish) => onChange({ ...setup, material: { ...material, finish } })}
          />
        )}
      </Group>
      <Group title="Gun">
        <Select
          label="Gun"
          allowDeselect={false}
          value={guns.find((one) => JSON.stringify(one.gun) === JSON.stringify(gun))?.id ?? ''}
          data={[
            ...(guns.some((one) => JSON.stringify(one.gun) === JSON.stringify(gun))
              ? []
              : [{ value: '', label: 'As in the file' }]),
            ...guns.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => {
            const picked = guns.find((one) => one.id === id);
            if (picked) onChange(withGun(setup, picked.gun));
          }}
        />
        {gun.nozzlesMm.length > 1 && (
          <Choice
            label="Nozzle"
            value={String(settings.nozzleMm)}
            data={gun.nozzlesMm.map((mm) => ({ value: String(mm), label: `${mm} mm` }))}
            onChange={(mm) => settle({ nozzleMm: Number(mm) })}
          />
        )}
        <Knob
          label="Pressure at the gun, flowing"
          value={settings.inletKPa!}
          was={at((s) => s.settings.inletKPa)}
          from={60}
          to={Math.min(450, gun.maxInletKPa ?? 450)}
          step={3.5}
          write={(v) => joined(pressure(v))}
          onChange={(inletKPa) => settle({ inletKPa })}
        />
        <Knob
          label="Needle, turns out"
          value={settings.fluidTurnsOut!}
          was={at((s) => s.settings.fluidTurnsOut)}
          from={0}
          to={fullFluidTurnsOf(gun)}
          step={0.25}
          write={turnsText}
          onChange={(fluidTurnsOut) => settle({ fluidTurnsOut })}
        />
        <Knob
          label="Fan, turns out"
          value={settings.fanTurnsOut!}
          was={at((s) => s.settings.fanTurnsOut)}
          from={0}
          to={fullFanTurnsOf(gun)}
          step={0.25}
          write={turnsText}
          onChange={(fanTurnsOut) => settle({ fanTurnsOut })}
        />
      </Group>
      <Group title="Hand">
        <Knob
          label="Distance"
          value={settings.distanceMm!}
          was={at((s) => s.settings.distanceMm)}
          from={60}
          to={350}
          step={5}
          write={(v) => joined(length(v))}
          onChange={(distanceMm) => settle({ distanceMm })}
        />
        <Knob
          label="Overlap"
          value={settings.overlapPercent ?? 66}
          was={at((s) => s.settings.overlapPercent)}
          from={20}
          to={85}
          step={1}
          write={(v) => `${v.toFixed(0)} %`}
          onChange={(overlapPercent) => {
            const { stepMm: _, fanWidthMm: __, ...rest } = settings;
            onChange({ ...setup, settings: { ...rest, overlapPercent } });
          }}
        />
        <Knob
          label="Speed"
          value={settings.gunSpeedMPerS!}
          was={at((s) => s.settings.gunSpeedMPerS)}
          from={0.15}
          to={1.1}
          step={0.01}
          write={(v) => `${v.toFixed(2)} m/s`}
          onChange={(gunSpeedMPerS) => settle({ gunSpeedMPerS })}
        />
        <Knob
          label="Pace swings by"
          value={technique?.speedWobblePercent ?? 0}
          was={at((s) => s.technique?.speedWobblePercent ?? 0)}
          from={0}
          to={40}
          step={1}
          write={(v) => `${v.toFixed(0)} %`}
          onChange={(speedWobblePercent) => hand({ speedWobblePercent })}
        />
        <Knob
          label="Gun heeled over"
          value={technique?.tiltDeg ?? 0}
          was={at((s) => s.technique?.tiltDeg ?? 0)}
          from={0}
          to={40}
          step={1}
          write={(v) => `${v.toFixed(0)}°`}
          onChange={(tiltDeg) => hand({ tiltDeg })}
        />
        <Switch
          label="Swung from the elbow"
          checked={technique?.arc !== undefined}
          onChange={({ currentTarget }) => {
            const { arc: _, ...rest } = technique ?? {};
            onChange({ ...setup, technique: currentTarget.checked ? { ...rest, arc: { reachM: 0.7, swingDeg: 60 } } : rest });
          }}
        />
        <Choice
          label="Panel"
          value={String(panel.slopeDeg)}
          data={[
            { value: '90', label: 'upright' },
            { value: '45', label: 'sloping' },
            { value: '0', label: 'flat' },
          ]}
          onChange={(slope) => onChange({ ...setup, panel: { ...panel, slopeDeg: Number(slope) } })}
        />
      </Group>
      <Group title="Time">
        <Choice
          label="Coats"
          value={String(coats.length)}
          data={['1', '2', '3', '4']}
          onChange={(count) => onChange({ ...setup, coats: Array.from({ length: Number(count) }, () => coats[0]!) })}
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
              currentTarget.checked ? { ...rest, bake: { afterMinutes: 12, toC: 60, rampCPerMin: 4, holdMinutes: 30 } } : rest,
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
              write={(v) => `${v.toFixed(1)} °C/min`}
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
    </div>
  );
}

const withoutWord = (setup: LabSetup): LabSetup => {
  const { airMovement: _, ...climate } = setup.climate;
  return { ...setup, climate };
};
const airWord = (speed: number): string =>
  speed < 0.12 ? ', still' : speed < 0.35 ? ', downdraft' : speed < 0.6 ? ', crossdraft' : ', fan';

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={styles['group']} aria-label={title}>
      <h2 className={styles['title']}>{title}</h2>
      {children}
    </section>
  );
}

type KnobProps = {
  label: string;
  value: number;
  was?: number | undefined;
  from: number;
  to: number;
  step: number;
  write: (value: number) => string;
  onChange: (value: number) => void;
};

/** One slider with its figure; the other set-up's figure beside it where the two differ. */
function Knob({ label, value, was, from, to, step, write, onChange }: KnobProps) {
  const differs = was !== undefined && Math.abs(was - value) > 1e-9;
  return (
    <div className={styles['knob']}>
      <div className={styles['head']}>
        <span>{label}</span>
        <span>
          {differs && <span className={styles['was']}>{write(was)}</span>} <strong>{write(value)}</strong>
        </span>
      </div>
      <Slider
        thumbLabel={label}
        thumbProps={{ 'aria-valuetext': write(value) }}
        label={null}
        min={Math.min(from, value)}
        max={Math.max(to, value)}
        step={step}
        value={value}
        onChange={(next) => onChange(Number(next.toFixed(3)))}
        size="md"
      />
    </div>
  );
}

type ChoiceProps<V extends string> = {
  label: string;
  value: V;
  data: (V | { value: V; label: string })[];
  onChange: (value: V) => void;
};
function Choice<V extends string>({ label, value, data, onChange }: ChoiceProps<V>) {
  return (
    <div className={styles['knob']}>
      <div className={styles['head']}>
        <span>{label}</span>
      </div>
      <SegmentedControl fullWidth aria-label={label} value={value} data={data} onChange={(next) => onChange(next as V)} />
    </div>
  );
}
