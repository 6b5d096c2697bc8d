/** The six figures of the gun, each with its picture; the gauge the painter goes by first. */
import { ownPressure } from '@orthochrom/contract/plan/ownPressure.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { SettingName } from '@orthochrom/contract/shop/coat.ts';
import { formatFor, turnsText, type Figure } from '@orthochrom/contract/words/format.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import { Link } from 'react-router';
import type { CardProps } from '../cardProps.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { goesByWall, inOtherUnits, passSeconds, type Now } from './gunSettings.ts';
import { FanPicture, GaugePicture, KnobPicture, StandOffPicture } from './Instruments.tsx';
import { OverlapPicture } from './OverlapPicture.tsx';
import { ripplePercentOf } from './overlapLayout.ts';
import { Setting } from './Setting.tsx';
import type { Overriding } from './useOverrides.ts';

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
  const { regulatorFlowingKPa: flowingKPa, regulatorStaticKPa: restKPa } = now;
  const { panelLengthM = 1 } = plan.inputs.setup;
  const isWallFirst = goesByWall(painter, context.gun) && flowingKPa !== undefined;
  const seconds = passSeconds(now, panelLengthM);
  const fan = format.joined(format.length(now.fanWidthMm));
  const wallNote =
    flowingKPa === undefined || restKPa === undefined
      ? ''
      : `wall ${format.joined(format.pressure(flowingKPa))} flowing, ${format.pressure(restKPa).text} at rest`;
  return (
    <FigureTiles label="The gun for this coat">
      {isWallFirst && (
        <FigureTile
          name="wall"
          isLead
          label="At the wall, trigger pulled"
          figure={format.pressure(flowingKPa)}
          note={
            <>
              {restKPa && <strong>{format.joined(format.pressure(restKPa))} at rest</strong>}
              {context.airLine && (
                <>
                  {' · '}
                  {context.airLine.twoGauges ? 'by your own two gauges' : 'worked out'} ·{' '}
                  <Link to={`/air/${context.airLine.id}`}>{context.airLine.name}</Link>
                </>
              )}
            </>
          }
        />
      )}
      <Setting
        label="At the gun, trigger pulled"
        kind="pressure"
        isLead={!isWallFirst}
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
        note={
          isWallFirst
            ? `${inOtherUnits(now.inletKPa, painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`
            : `${wallNote || inOtherUnits(now.inletKPa, painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`
        }
      />
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
        picture={<FanPicture share={now.fanTurnsOut / fullFan} />}
        note={`of ${turnsText(fullFan)}; ${fan} wide`}
      />
      <Setting
        label="Distance"
        kind="length"
        {...setting('distanceMm', format.length)}
        picture={<StandOffPicture />}
        note="gun square to the panel"
      />
      <Setting
        label="Step between passes"
        of="overlap"
        kind="percent"
        {...setting('overlapPercent', (v) => ({ text: v.toFixed(0), unit: '%' }))}
        figure={format.length(now.stepMm)}
        picture={<OverlapPicture overlapPercent={now.overlapPercent} />}
        note={`${now.overlapPercent.toFixed(0)} % overlap: even to about ${ripplePercentOf(now.overlapPercent).toFixed(0)} %`}
      />
      <FigureTile
        name="hand"
        label="Hand, one pass"
        figure={{ text: seconds.toFixed(1), unit: 's' }}
        note={`over ${format.joined(format.metres(panelLengthM))}; ${now.gunSpeedMPerS.toFixed(2)} m/s`}
      />
    </FigureTiles>
  );
}
