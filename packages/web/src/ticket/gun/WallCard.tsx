/**
 * What the gauge at the wall must show for the pressure at the gun: flowing large, at rest beside
 * it.
 */
import type { AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { OperatingPoint } from '@orthochrom/core/gun/operatingPoint.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { Link } from 'react-router';
import { formatFor } from '@orthochrom/contract/words/format.ts';

export function WallCard({
  figures,
  airLine,
  units,
}: {
  figures: OperatingPoint;
  airLine: AirLine | undefined;
  units: Units;
}) {
  const { pressure, joined } = formatFor(units);
  const { regulatorFlowingKPa, regulatorStaticKPa, ranges } = figures;
  if (!airLine || regulatorFlowingKPa === undefined || regulatorStaticKPa === undefined)
    return (
      <div className="card">
        <div className="label">At the wall</div>
        <p>
          No air line is described for this room, so a wall gauge cannot be told what to show.{' '}
          <Link to="/air/new">Describe it once</Link>, or read at the gun.
        </p>
      </div>
    );
  const flowing = pressure(regulatorFlowingKPa);
  const range = ranges.regulatorFlowingKPa;
  const isWide = range !== undefined && pressure(range.low).text !== pressure(range.high).text;
  return (
    <div className="card" data-setting="wall">
      <div className="label">At the wall, trigger pulled</div>
      <div className="figure mid">
        {flowing.text} <small>{flowing.unit}</small>
      </div>
      <div>
        <strong>{joined(pressure(regulatorStaticKPa))}</strong> at rest
      </div>
      <div className="quiet">
        {isWide ? `${pressure(range.low).text} to ${joined(pressure(range.high))}, ` : ''}
        {airLine.twoGauges ? 'by your own two gauges' : 'worked out from hose and couplers'} ·{' '}
        <Link to={`/air/${airLine.id}`}>{airLine.name}</Link>
      </div>
    </div>
  );
}
