/** The six figures of the gun, each with its picture, and what comes out of it as it is set. */
import { ownPressure } from '@orthochrom/contract/plan/ownPressure.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { SettingName } from '@orthochrom/contract/shop/coat.ts';
import { formatFor, turnsText, type Figure } from '@orthochrom/contract/words/format.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import type { CardProps } from '../cardProps.ts';
import { GunOutput } from './GunOutput.tsx';
import { inOtherUnits, type Now } from './gunSettings.ts';
import { GaugePicture, KnobPicture } from './Instruments.tsx';
import { Setting } from './Setting.tsx';
import type { Overriding } from './useOverrides.ts';
import { WallCard } from './WallCard.tsx';

const GAUGE_NOTE = {
  good: '',
  doubtful: ' · this gauge is doubtful',
  none: ' · no gauge of its own',
} as const;

type GunSettingsProps = Pick<CardProps, 'coat' | 'context' | 'plan' | 'painter'> & {
  setup: AnswerOf<'setup'>;
  now: Now;
  onOverride: Overriding['onOverride'];
};

export function GunSettings({
  coat,
  context,
  plan,
  painter,
  setup,
  now,
  onOverride,
}: GunSettingsProps) {
  const format = formatFor(painter.units);
  const { gun } = context.gun;
  const { nozzleMm } = now;
  const setting = (name: SettingName, show: (canonical: number) => Figure) => ({
    name,
    show,
    recommended: setup[name],
    override: coat.overrides[name],
    ...(onOverride ? { onOverride: onOverride(name) } : {}),
  });
  const turns = (value: number): Figure => ({ text: turnsText(value), unit: 'turns' });
  const fullFluid = fullFluidTurnsOf(gun);
  const fullFan = fullFanTurnsOf(gun);
  const isByWall =
    painter.way.gauge === 'atWall' ||
    (painter.way.gauge !== 'byEar' && context.gun.gaugeTrust === 'none');
  const { panelLengthM, capLimitKPa } = plan.inputs.setup;
  const wall = (
    <WallCard figures={now} airLine={context.airLine} units={painter.units} isMain={isByWall} />
  );
  return (
    <div
      className="grid2"
      style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 168px), 1fr))' }}
    >
      {isByWall && wall}
      <Setting
        label="At the gun, trigger pulled"
        kind="pressure"
        {...setting('inletKPa', format.pressure)}
        check={(valueKPa, at) =>
          ownPressure(context, { valueKPa, at, fanTurnsOut: now.fanTurnsOut, nozzleMm })
        }
        picture={
          <GaugePicture
            inletKPa={now.inletKPa}
            bandKPa={plan.setup.inletBandKPa}
            units={painter.units}
          />
        }
        note={`${inOtherUnits(now.inletKPa, painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`}
      />
      {!isByWall && wall}
      <Setting
        label="Needle out, from closed"
        kind="turns"
        {...setting('fluidTurnsOut', turns)}
        fullTurns={fullFluid}
        picture={<KnobPicture turnsOut={now.fluidTurnsOut} fullTurns={fullFluid} />}
        note={`of ${turnsText(fullFluid)}; from open, ${turnsText(Math.max(0, fullFluid - now.fluidTurnsOut))} in`}
      />
      <Setting
        label="Fan out, from closed"
        kind="turns"
        {...setting('fanTurnsOut', turns)}
        fullTurns={fullFan}
        picture={<KnobPicture turnsOut={now.fanTurnsOut} fullTurns={fullFan} />}
        note={`of ${turnsText(fullFan)}; back ${turnsText(Math.max(0, fullFan - now.fanTurnsOut))} from open`}
      />
      <Setting
        label="Distance"
        kind="length"
        {...setting('distanceMm', format.length)}
        note="gun square to the panel"
      />
      <Setting
        label="Overlap"
        kind="percent"
        {...setting('overlapPercent', (v) => ({ text: v.toFixed(0), unit: '%' }))}
        note="of the fan on the pass before"
      />
      <GunOutput
        figures={now}
        units={painter.units}
        capLimitKPa={capLimitKPa}
        gunId={context.gun.id}
        panelLengthM={panelLengthM}
        overlapPercent={now.overlapPercent}
      />
    </div>
  );
}
