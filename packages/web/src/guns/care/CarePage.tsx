import { NotYet } from '../../frame/NotYet.tsx';
import { Button, SegmentedControl } from '@mantine/core';
import { CARE_ITEMS, type CareKind } from '@orthochrom/core/gun/care.ts';
import { Link, useNavigate, useParams } from 'react-router';
import { useSetup } from '../../api/reads.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { CareChecklist } from './CareChecklist.tsx';
import { ROUND_NAME } from './careWords.ts';

const KINDS = Object.keys(CARE_ITEMS) as CareKind[];

export function CarePage() {
  const { id = '', kind: wanted } = useParams();
  const navigate = useNavigate();
  const setupRead = useSetup();
  const setup = setupRead.data;
  const gun = setup?.guns.find((candidate) => candidate.id === id);
  const kind = KINDS.find((known) => known === wanted) ?? 'cleaned';
  if (!setup) return <NotYet reads={[setupRead]} what="the gun" />;
  if (!gun) return <p className="page">There is no such gun.</p>;
  return (
    <>
      <PageHead
        title={`${gun.name}: ${ROUND_NAME[kind].title.toLowerCase()}`}
        line={ROUND_NAME[kind].line}
      >
        <Button component={Link} to={`/guns/${gun.id}`} variant="default">
          Back to the gun
        </Button>
      </PageHead>
      <div className="page stack">
        <SegmentedControl
          aria-label="Round of care"
          value={kind}
          data={KINDS.map((value) => ({ value, label: ROUND_NAME[value].title }))}
          onChange={(next) => void navigate(`/guns/${gun.id}/care/${next}`)}
        />
        <section className="card" aria-label={ROUND_NAME[kind].title}>
          <CareChecklist
            key={kind}
            gunId={gun.id}
            kind={kind}
            finish="Keep this round"
            onKept={() => void navigate(`/guns/${gun.id}`)}
          />
        </section>
      </div>
    </>
  );
}
