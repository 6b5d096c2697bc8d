/** Guns that wait for somebody this morning: not cleaned, or due. */
import { Link } from 'react-router';
import { useCare, useSetup } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { DueBadges } from './DueBadges.tsx';

export function GunsWaiting() {
  const { data: care } = useCare();
  const { data: setup } = useSetup();
  const nowMs = useNowMs(30_000);
  const waiting = (care ?? []).filter(({ dirty, due }) => dirty || due.some(({ isDue }) => isDue));
  if (!setup || waiting.length === 0) return null;
  return (
    <>
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Guns waiting
      </h2>
      {waiting.map((gunCare) => (
        <Link
          key={gunCare.gunId}
          to={gunCare.dirty ? `/guns/${gunCare.gunId}/care/cleaned` : `/guns/${gunCare.gunId}`}
          className="card"
          style={{ color: 'inherit', textDecoration: 'none', display: 'block' }}
        >
          <strong>{setup.guns.find(({ id }) => id === gunCare.gunId)?.name}</strong>
          <DueBadges care={gunCare} nowMs={nowMs} />
        </Link>
      ))}
    </>
  );
}
