/**
 * What every knob was set to for every product, the newest that went well: to begin from, never to
 * copy to another gun.
 */
import type { SetupCard } from '@orthochrom/contract/shop/care.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { Link } from 'react-router';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';
import { agoText } from '../words/timeText.ts';

const HEADS = [
  'product',
  'nozzle',
  'air at the gun',
  'needle',
  'fan',
  'distance',
  'overlap',
  'in air of',
  'how it went',
];
const RATING = { good: 'good', fair: 'fair', poor: 'poor' } as const;

export function SetupCards({
  cards,
  baselines,
  nowMs,
}: {
  cards: SetupCard[];
  baselines: StoredTest[];
  nowMs: number;
}) {
  const { painter } = usePainter();
  const { pressure, length, temperature, joined } = formatFor(painter.units);
  const turns = (value: number | undefined) => (value === undefined ? '–' : turnsText(value));
  if (cards.length === 0 && baselines.length === 0)
    return <p>No coat has been logged with this gun yet, and nothing was found on a test panel.</p>;
  return (
    <div style={{ overflowX: 'auto' }}>
      <table style={{ width: '100%', borderCollapse: 'collapse', minWidth: 760 }}>
        <thead>
          <tr style={{ textAlign: 'left' }} className="quiet">
            {HEADS.map((head) => (
              <th
                key={head}
                scope="col"
                style={{ padding: '0.3rem 0.7rem 0.3rem 0', fontWeight: 500 }}
              >
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {cards.map(
            ({
              product,
              stage,
              nozzleMm,
              settings,
              airC,
              rating,
              at,
              painter: who,
              coats,
              coatId,
            }) => (
              <tr key={coatId} style={{ borderTop: '1px solid var(--rule)' }}>
                <th scope="row" style={{ textAlign: 'left', padding: '0.55rem 0.7rem 0.55rem 0' }}>
                  {product}
                  <div className="quiet">{STAGE_NAME[stage].toLowerCase()}</div>
                </th>
                <td>{nozzleMm} mm</td>
                <td>
                  <strong>
                    {settings.inletKPa === undefined ? '–' : joined(pressure(settings.inletKPa))}
                  </strong>
                </td>
                <td>
                  <strong>{turns(settings.fluidTurnsOut)}</strong>
                </td>
                <td>
                  <strong>{turns(settings.fanTurnsOut)}</strong>
                </td>
                <td>
                  {settings.distanceMm === undefined ? '–' : joined(length(settings.distanceMm))}
                </td>
                <td>
                  {settings.overlapPercent === undefined
                    ? '–'
                    : `${settings.overlapPercent.toFixed(0)} %`}
                </td>
                <td>{airC === undefined ? '–' : joined(temperature(airC))}</td>
                <td>
                  <Link to={`/records/${coatId}`}>
                    {RATING[rating]}, {agoText(at, nowMs)}
                  </Link>
                  <div className="quiet">
                    {who}, {coats} {coats === 1 ? 'coat' : 'coats'} logged
                  </div>
                </td>
              </tr>
            ),
          )}
          {baselines.map(({ id, test, takenAt }) =>
            test.kind === 'baseline' ? (
              <tr key={id} style={{ borderTop: '1px solid var(--rule)' }}>
                <th scope="row" style={{ textAlign: 'left', padding: '0.55rem 0.7rem 0.55rem 0' }}>
                  {test.product}
                  <div className="quiet">{STAGE_NAME[test.stage].toLowerCase()}, own baseline</div>
                </th>
                <td>
                  {test.settings.nozzleMm === undefined ? '–' : `${test.settings.nozzleMm} mm`}
                </td>
                <td>
                  {test.byEar
                    ? 'by ear'
                    : test.settings.inletKPa === undefined
                      ? '–'
                      : joined(pressure(test.settings.inletKPa))}
                </td>
                <td>
                  <strong>{turns(test.settings.fluidTurnsOut)}</strong>
                </td>
                <td>
                  <strong>{turns(test.settings.fanTurnsOut)}</strong>
                </td>
                <td>
                  {test.settings.distanceMm === undefined
                    ? '–'
                    : joined(length(test.settings.distanceMm))}
                </td>
                <td>–</td>
                <td>–</td>
                <td>found on a test panel, {agoText(takenAt, nowMs)}</td>
              </tr>
            ) : null,
          )}
        </tbody>
      </table>
    </div>
  );
}
