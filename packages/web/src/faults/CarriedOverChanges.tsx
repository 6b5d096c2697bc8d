/** What this coat is to keep to, because an earlier finding was taken into its plan. */
import { useChangesOfCoat } from '../api/reads.ts';
import { Link } from 'react-router';

export function CarriedOverChanges({ coatId }: { coatId: string }) {
  const { data } = useChangesOfCoat(coatId);
  if (!data || data.length === 0) return null;
  return (
    <ul
      className="card"
      aria-label="To keep to on this coat"
      style={{
        margin: 0,
        padding: '0.7rem 1rem',
        listStyle: 'none',
        borderLeft: '6px solid var(--amber)',
      }}
    >
      {data.map(({ id, findingId, setting, change, why }) => (
        <li key={id}>
          <b>{setting}.</b> {change}.{' '}
          <span className="quiet">Because of: {why.toLowerCase()}. </span>
          <Link to={`/faults/${findingId}`}>What was found</Link>
        </li>
      ))}
    </ul>
  );
}
