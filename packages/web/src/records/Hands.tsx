/** Who was signed in while a coat was planned, sprayed and looked at, where a PIN was asked. */
import type { Hand } from '@orthochrom/contract/shop/record.ts';
import { whenText } from '../words/timeText.ts';

export function Hands({ hands = [] }: { hands?: readonly Hand[] | undefined }) {
  if (hands.length === 0) return null;
  return (
    <section className="card stack" aria-label="Who was signed in">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Who was signed in
      </h2>
      {hands.map(({ kind, at, signedIn, lead }) => (
        <p key={kind + at}>
          <strong>{signedIn}</strong>: {kind.replaceAll('-', ' ')}
          {lead ? `, with ${lead}’s hand to it` : ''} <span className="quiet">{whenText(at)}</span>
        </p>
      ))}
    </section>
  );
}
