import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useSetup } from '../api/hooks.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { STAGE_NAME } from '../ticket/names.ts';
import { CLASS_NAME, TRUST_NAME } from './names.ts';

export function GunsPage() {
  const { data: setup } = useSetup();
  return (
    <>
      <PageHead title="Guns" line="Pressure, turns and tests belong to a gun and its nozzle set, never to guns at large">
        <Button component={Link} to="/guns/new">
          New gun
        </Button>
      </PageHead>
      <div
        className="page"
        style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 330px), 1fr))', gap: '0.9rem' }}
      >
        {setup?.guns.map((gun) => (
          <Link
            key={gun.id}
            to={`/guns/${gun.id}`}
            className="card stack"
            style={{ color: 'inherit', textDecoration: 'none', gap: '0.4rem' }}
          >
            <div className="row" style={{ justifyContent: 'space-between' }}>
              <span className="figure mid">{gun.name}</span>
              <span className="quiet">{CLASS_NAME[gun.gun.class]}</span>
            </div>
            <div>
              {gun.gun.nozzleSets
                ?.map(
                  (set) =>
                    `${set.nozzleMm} mm${set.cap ? `, cap ${set.cap}` : ''} (${set.tests?.length ?? 0} ${set.tests?.length === 1 ? 'test' : 'tests'})`,
                )
                .join(' · ')}
            </div>
            <div className="quiet">for {gun.usedFor.map((stage) => STAGE_NAME[stage].toLowerCase()).join(', ')}</div>
            <div className="quiet">{TRUST_NAME[gun.gaugeTrust]}</div>
            <p>{gun.note}</p>
          </Link>
        ))}
      </div>
    </>
  );
}
