/** What comes out as it is set: at the cap, paint a minute, the fan; each with how sure. */
import type { OperatingPoint } from '@orthochrom/core/gun/operatingPoint.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { Link } from 'react-router';
import { formatFor } from '@orthochrom/contract/words/format.ts';

type GunOutputProps = {
  figures: OperatingPoint;
  units: Units;
  capLimitKPa: number | undefined;
  gunId: string;
};

export function GunOutput({ figures, units, capLimitKPa, gunId }: GunOutputProps) {
  const { pressure, length, joined } = formatFor(units);
  const { ranges } = figures;
  const share = ({ value, low, high }: { value: number; low: number; high: number }) =>
    `± ${(((high - low) / 2 / value) * 100).toFixed(0)} %`;
  const isOver = capLimitKPa !== undefined && figures.capKPa > capLimitKPa;
  return (
    <div className="card" data-setting="out">
      <div className="label">Paint</div>
      <div className="figure mid">
        {figures.fluidMlPerMin.toFixed(0)} <small>ml/min</small>
      </div>
      <div className="quiet">
        {share(ranges.fluidMlPerMin)} · <Link to={`/guns/${gunId}/tests/catch`}>catch it</Link>
      </div>
      <div style={{ marginTop: 8 }} {...(isOver ? { role: 'alert' } : {})}>
        <strong>{joined(pressure(figures.capKPa))}</strong> at the cap, {share(ranges.capKPa)}
        {capLimitKPa !== undefined && `; the limit here is ${joined(pressure(capLimitKPa))}`}
      </div>
      <div>
        The fan is {joined(length(figures.fanWidthMm))} wide, {share(ranges.fanWidthMm)} ·{' '}
        <Link to={`/guns/${gunId}/tests/fan`}>measure it</Link>
      </div>
      {figures.dropletUm && figures.transferEfficiencyPercent && (
        <div className="quiet">
          drops {figures.dropletUm.low.toFixed(0)} to {figures.dropletUm.high.toFixed(0)} µm;{' '}
          {figures.transferEfficiencyPercent.low.toFixed(0)} to{' '}
          {figures.transferEfficiencyPercent.high.toFixed(0)} % lands
        </div>
      )}
    </div>
  );
}
