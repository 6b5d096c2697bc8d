/**
 * A guided test of a gun: what to do, what was seen or measured, and what that did to its figures.
 */
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { NotYet } from '../../frame/NotYet.tsx';
import { ADDRESS, hold, refresh } from '../../api/resources.ts';
import { Button, Select } from '@mantine/core';
import type { ShopSetup, StoredGun, StoredSet } from '@orthochrom/contract/shop/setup.ts';
import { shootsMix, ShopTest, type TestGate } from '@orthochrom/contract/shop/test.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useSetup, useSheets } from '../../api/reads.ts';
import { useWrite } from '../../api/useWrite.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { usePainter } from '../../frame/painter.ts';
import { FiguresOfTest, type TestDraft } from './FiguresOfTest.tsx';
import { MixAtGate } from './MixAtGate.tsx';
import { PatternAnswer } from './PatternAnswer.tsx';
import { TEST_STEPS, type TestKindHere } from './steps.ts';
import { WhatItDid } from './WhatItDid.tsx';

export function TestPage() {
  const { id = '', kind = 'pattern' } = useParams();
  const [search] = useSearchParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  const sheetsRead = useSheets();
  const sheets = sheetsRead.data;
  const gun = setup?.guns.find((candidate) => candidate.id === id);
  if (!setup || !sheets) return <NotYet reads={[setupRead, sheetsRead]} what="the gun" />;
  if (!gun || !(kind in TEST_STEPS)) return <p className="page">There is no such test.</p>;
  const wantedSetId = search.get('set') ?? undefined;
  return (
    <Test
      key={kind}
      gun={gun}
      kind={kind as TestKindHere}
      wantedSetId={wantedSetId}
      setup={setup}
      sheets={sheets}
    />
  );
}

export const setName = ({
  nozzleMm,
  needle,
  cap,
}: Pick<StoredSet, 'nozzleMm' | 'needle' | 'cap'>): string =>
  [`${nozzleMm} mm`, needle && `needle ${needle}`, cap && `cap ${cap}`].filter(Boolean).join(', ');

type TestProps = {
  gun: StoredGun;
  kind: TestKindHere;
  wantedSetId: string | undefined;
  setup: ShopSetup;
  sheets: SheetVersion[];
};

function Test({ gun, kind, wantedSetId, setup, sheets }: TestProps) {
  const { painter } = usePainter();
  const navigate = useNavigate();
  const [busy, write] = useWrite();
  const sets = gun.sets.filter(({ retiredAt }) => !retiredAt);
  const [setId, setSetId] = useState(sets.find((set) => set.id === wantedSetId)?.id ?? sets[0]!.id);
  const set = sets.find((candidate) => candidate.id === setId)!;
  const [draft, setDraft] = useState<TestDraft>({});
  const [gate, setGate] = useState<TestGate>();
  const isShut = shootsMix(kind) && !gate;
  const { title, why, steps } = TEST_STEPS[kind];
  const candidate =
    kind === 'pattern'
      ? { kind, seen: draft.seen, distanceMm: draft.distanceMm ?? 200, settings: {} }
      : kind === 'comb'
        ? { kind, wetUm: draft.wetUm, settings: { nozzleMm: set.nozzleMm, ...settingsIn(draft) } }
        : { kind, ...without(draft) };
  const parsed = ShopTest.safeParse(candidate);
  const fault = parsed.success
    ? undefined
    : hasAll(draft, kind)
      ? refusalOf(parsed.error, candidate).message
      : undefined;
  const save = () =>
    write(async () => {
      const next = await postJson<ShopSetup>(ADDRESS.tests, {
        id: newId(),
        painterId: painter.id,
        nozzleSetId: setId,
        test: candidate,
        note: '',
        ...(gate ? { gate } : {}),
      });
      await hold(ADDRESS.setup, next);
      await refresh('guns');
      await refresh('care');
      await navigate(`/guns/${gun.id}`);
    });
  return (
    <>
      <PageHead title={`${gun.name}: ${title.toLowerCase()}`} line={why}>
        <Button component={Link} to={`/guns/${gun.id}`} variant="default">
          Back to the gun
        </Button>
      </PageHead>
      <div className="page stack">
        {sets.length > 1 && (
          <Select
            label="Nozzle set that is fitted"
            w={320}
            value={setId}
            data={sets.map((one) => ({ value: one.id, label: setName(one) }))}
            onChange={(next) => next && setSetId(next)}
          />
        )}
        {shootsMix(kind) && <MixAtGate rooms={setup.rooms} sheets={sheets} onGate={setGate} />}
        {isShut && <p className="quiet">What to do stands here once the gate has passed.</p>}
        {!isShut && (
          <div
            className="grid2"
            style={{
              alignItems: 'start',
              gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 380px), 1fr))',
            }}
          >
            <section className="card stack" aria-label="What to do">
              <ol style={{ margin: 0, paddingLeft: '1.4rem', lineHeight: 1.6, fontSize: '1.1rem' }}>
                {steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              <FiguresOfTest gun={gun} kind={kind} draft={draft} setDraft={setDraft} />
            </section>
            <section className="card stack" aria-label="What it tells">
              <h2 className="tape" style={{ alignSelf: 'start' }}>
                What it tells
              </h2>
              {kind === 'pattern' ? (
                draft.seen ? (
                  <PatternAnswer gun={gun} nozzleMm={set.nozzleMm} seen={draft.seen} />
                ) : (
                  <p>Nothing yet: touch a drawing.</p>
                )
              ) : parsed.success && parsed.data.kind !== 'pattern' ? (
                <WhatItDid
                  gun={gun}
                  nozzleMm={set.nozzleMm}
                  test={parsed.data as Parameters<typeof WhatItDid>[0]['test']}
                />
              ) : (
                <p>Nothing yet: the figures are still missing.</p>
              )}
              {fault && <p role="alert">{fault}</p>}
              <div className="row">
                <Button
                  size="lg"
                  loading={busy}
                  disabled={!parsed.success || isShut}
                  onClick={() => void save()}
                >
                  Keep this test
                </Button>
              </div>
              <p className="quiet">
                It belongs to {setName(set)} and is history as soon as another set is fitted.
              </p>
            </section>
          </div>
        )}
      </div>
    </>
  );
}

const settingsIn = ({
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  secondsPerM,
}: TestDraft) => ({
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  ...(secondsPerM ? { gunSpeedMPerS: 1 / secondsPerM } : {}),
});
const without = ({ seen: _, ...figures }: TestDraft) => figures;

const NEEDED: Record<TestKindHere, (keyof TestDraft)[]> = {
  pattern: ['seen'],
  catch: ['ml', 'seconds', 'inletKPa', 'fluidTurnsOut', 'fanTurnsOut'],
  fan: ['fanWidthMm', 'distanceMm', 'inletKPa', 'fanTurnsOut'],
  cap: ['capKPa', 'inletKPa', 'fanTurnsOut'],
  comb: [
    'wetUm',
    'inletKPa',
    'fluidTurnsOut',
    'fanTurnsOut',
    'distanceMm',
    'overlapPercent',
    'secondsPerM',
  ],
};
const hasAll = (draft: TestDraft, kind: TestKindHere): boolean =>
  NEEDED[kind].every((field) => draft[field] !== undefined);
