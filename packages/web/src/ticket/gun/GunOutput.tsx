/**
 * What comes out as it is set: at the cap, paint a minute, the fan, the step, the hand; each with
 * how sure.
 */
import type { OperatingPoint } from '@orthochrom/core/gun/operatingPoint.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { Link } from 'react-router';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { OverlapPicture } from './OverlapPicture.tsx';

type GunOutputProps = {
  figures: OperatingPoint;
  units: Units;
  capLimitKPa: number | undefined;
  gunId: string;
  panelLengthM: number | undefined;
  overlapPercent: number;
};

export function GunOutput({
  figures,
  units,
  capLimitKPa,
  gunId,
  panelLengthM,
  overlapPercent,
}: GunOutputProps) {
  const { pressure, length, metres, joined } = formatFor(units);
  const { ranges } = figures;
  const fan = length(figures.fanWidthMm);
  const step = length(figures.stepMm);
  const share = ({ value, low, high }: { value: number; low: number; high: number }) =>
    `± ${(((high - low) / 2 / value) * 100).toFixed(0)} %`;
  const isOver = capLimitKPa !== undefined && figures.capKPa > capLimitKPa;
  return (
    <>
      <div className="card" data-setting="hand">
        <div className="label">Hand, one pass</div>
        <div className="figure">
          {(figures.secondsPerPass ?? 1 / figures.gunSpeedMPerS).toFixed(1)} <small>s</small>
        </div>
        <div className="quiet">
          over {joined(metres(panelLengthM ?? 1))} of panel; {figures.gunSpeedMPerS.toFixed(2)} m/s
        </div>
      </div>
      <div className="card" data-setting="step">
        <div className="label">Step between passes</div>
        <div className="figure">
          {step.text} <small>{step.unit}</small>
        </div>
        <div className="quiet">
          of a fan {fan.text} {fan.unit} wide, {share(ranges.fanWidthMm)} ·{' '}
          <Link to={`/guns/${gunId}/tests/fan`}>measure it</Link>
        </div>
        <OverlapPicture overlapPercent={overlapPercent} />
      </div>
      <div className="card" data-setting="out">
        <div className="label">Paint</div>
        <div className="figure">
          {figures.fluidMlPerMin.toFixed(0)} <small>ml/min</small>
        </div>
        <div className="quiet">
          {share(ranges.fluidMlPerMin)} · <Link to={`/guns/${gunId}/tests/catch`}>catch it</Link>
        </div>
        <div style={{ marginTop: 8 }} {...(isOver ? { role: 'alert' } : {})}>
          <strong>{joined(pressure(figures.capKPa))}</strong> at the cap, {share(ranges.capKPa)}
          {capLimitKPa !== undefined && `; the limit here is ${joined(pressure(capLimitKPa))}`}
        </div>
        {figures.dropletUm && figures.transferEfficiencyPercent && (
          <div className="quiet">
            drops {figures.dropletUm.low.toFixed(0)} to {figures.dropletUm.high.toFixed(0)} µm;{' '}
            {figures.transferEfficiencyPercent.low.toFixed(0)} to{' '}
            {figures.transferEfficiencyPercent.high.toFixed(0)} % lands
          </div>
        )}
      </div>
    </>
  );
}
