/** What was found on this coat so far, with the way to it. */
import { useFindingsOfCoat } from '../api/reads.ts';
import { causeName, faultName } from '@orthochrom/contract/words/faultWords.ts';
import { Link } from 'react-router';

export function FoundHere({ coatId }: { coatId: string }) {
  const { data } = useFindingsOfCoat(coatId);
  if (!data || data.length === 0) return null;
  return (
    <ul
      aria-label="Found on this coat"
      style={{ margin: 0, paddingLeft: '1.2rem', lineHeight: 1.7 }}
    >
      {data.map(({ id, result, confirmed, where }) => (
        <li key={id}>
          <Link to={`/faults/${id}`}>
            {faultName(confirmed?.fault ?? result.faults[0]?.id ?? '')}
          </Link>
          {where ? `, ${where}` : ''}{' '}
          <span className="quiet">
            {confirmed
              ? `confirmed: ${causeName(confirmed.cause).toLowerCase()}`
              : 'cause not confirmed yet'}
          </span>
        </li>
      ))}
    </ul>
  );
}
