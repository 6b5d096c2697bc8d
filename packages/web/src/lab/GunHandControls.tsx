/** Gun and hand: what the painter sets, and how it is held. */
import { Select, Switch } from '@mantine/core';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { SKILLS, type Skill } from '@orthochrom/core/trade/vocabulary.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';
import { atOther, Choice, Group, Knob, type GroupProps } from './Knob.tsx';
import { withGun, withSettings, type LabSetup } from './labSetup.ts';

export function GunHandControls({
  setup,
  other,
  guns,
  onChange,
}: GroupProps & { guns: StoredGun[] }) {
  const { painter } = usePainter();
  const { pressure, length, joined } = formatFor(painter.units);
  const { gun, settings, panel, technique } = setup;
  const at = atOther(other);
  const settle = (part: Partial<LabSetup['settings']>) => onChange(withSettings(setup, part));
  const hand = (part: NonNullable<LabSetup['technique']>) =>
    onChange({ ...setup, technique: { ...technique, ...part } });
  return (
    <>
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
        <Choice
          label="Eye on the wet film"
          value={technique?.skill ?? 'able'}
          data={SKILLS.map((skill) => ({ value: skill, label: skill }))}
          onChange={(skill) => hand({ skill: skill as Skill })}
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
            onChange({
              ...setup,
              technique: currentTarget.checked
                ? { ...rest, arc: { reachM: 0.7, swingDeg: 60 } }
                : rest,
            });
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
    </>
  );
}
