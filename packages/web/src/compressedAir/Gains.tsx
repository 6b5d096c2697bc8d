/** What one better piece of the line would give back, each alone. */
import { gainsOf, type Gain } from '@orthochrom/core/compressedAir/gains.ts';
import type { AirlineInput, Line } from '@orthochrom/core/compressedAir/airline.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';

export function Gains({ input, hose }: { input: AirlineInput; hose: Line['hose'] }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const gains = gainsOf(input);
  const wordOf = ({ piece, innerDiameterMm, lengthM }: Gain): string => {
    if (piece === 'hose') return `${format.joined(format.bore(innerDiameterMm!))} hose`;
    if (piece === 'shorterHose')
      return `${format.joined(format.metres(lengthM!))} of hose for ${format.joined(format.metres(hose!.lengthM))}`;
    return piece === 'couplers' ? 'high-flow couplers' : 'a larger regulator';
  };
  if (gains.length === 0)
    return (
      <p>
        This line is as good as it gets for this gun: no single piece would give back a step worth
        having.
      </p>
    );
  return (
    <table style={{ width: '100%', borderCollapse: 'collapse' }}>
      <caption className="label" style={{ textAlign: 'left', paddingBottom: 6 }}>
        One better piece, and what the wall then shows
      </caption>
      <thead>
        <tr className="quiet" style={{ textAlign: 'left' }}>
          <th scope="col">piece</th>
          <th scope="col">flowing</th>
          <th scope="col">at rest</th>
        </tr>
      </thead>
      <tbody>
        {gains.map((gain) => (
          <tr
            key={`${gain.piece}${gain.innerDiameterMm ?? ''}`}
            style={{ borderTop: '1px solid var(--rule)' }}
          >
            <th
              scope="row"
              style={{ textAlign: 'left', padding: '0.5rem 0.6rem 0.5rem 0', fontWeight: 600 }}
            >
              {wordOf(gain)}
            </th>
            {(['flowing', 'atRest'] as const).map((when) => (
              <td key={when} style={{ whiteSpace: 'nowrap', paddingRight: '0.8rem' }}>
                <span className="quiet">{format.pressure(gain[when].fromKPa).text} → </span>
                <strong className="figure" style={{ fontSize: '1.5rem' }}>
                  {format.pressure(gain[when].toKPa).text}
                </strong>{' '}
                {format.pressure(gain[when].toKPa).unit}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
