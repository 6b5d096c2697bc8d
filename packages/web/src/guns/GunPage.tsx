/**
 * One gun: what it waits for, its nozzle sets and what their tests say, what was set for what, and
 * its year.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { GUN_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import { Button } from '@mantine/core';
import type { GunStory } from '@orthochrom/contract/shop/care.ts';
import type { StoredGun, StoredSet } from '@orthochrom/contract/shop/setup.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { paintInCup } from '@orthochrom/core/gun/paintInCup.ts';
import { gunModelOf } from '@orthochrom/core/gun/gunModel.ts';
import { Link, useParams } from 'react-router';
import { useGunStory, useSetup } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { GunBench } from '../faults/GunBench.tsx';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';
import { ROUND_NAME } from './care/careWords.ts';
import { DueBadges } from './DueBadges.tsx';
import { FlowingOverTime } from './FlowingOverTime.tsx';
import { TestsOverTime } from './TestsOverTime.tsx';
import { setsBefore } from './names.ts';
import { TRUST_NAME } from './names.ts';
import { SetupCards } from './SetupCards.tsx';
import { PATTERN_NAME } from './tests/PatternPicker.tsx';
import { setName } from './tests/TestPage.tsx';
import { agoText } from '../words/timeText.ts';

const TESTS = [
  ['pattern', 'Pattern on paper'],
  ['catch', 'Catch test'],
  ['fan', 'Fan width'],
  ['cap', 'Cap gauge'],
  ['comb', 'Film comb'],
] as const;

export function GunPage() {
  const { id = '' } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  const storyRead = useGunStory(id);
  const story = storyRead.data;
  const nowMs = useNowMs(30_000);
  const gun = setup?.guns.find((candidate) => candidate.id === id);
  if (!setup || !story) return <NotYet reads={[setupRead, storyRead]} what="the gun" />;
  if (!gun) return <p className="page">There is no such gun.</p>;
  const fitted = gun.sets.filter(({ retiredAt }) => !retiredAt);
  const baselines = story.tests.filter(({ test }) => test.kind === 'baseline').reverse();
  return (
    <>
      <PageHead
        title={gun.name}
        line={`${GUN_NAME[gun.gun.class]} · for ${gun.usedFor.map((stage) => STAGE_NAME[stage].toLowerCase()).join(', ')} · ${TRUST_NAME[gun.gaugeTrust]}`}
      >
        <div className="row">
          <Button component={Link} to={`/guns/${gun.id}/care/cleaned`} variant="default">
            Clean or service
          </Button>
          <ForRole atLeast="painter">
            <Button component={Link} to={`/guns/${gun.id}/edit`} variant="default">
              Describe it anew
            </Button>
          </ForRole>
        </div>
      </PageHead>
      <div className="page stack">
        <DueBadges care={story.care} nowMs={nowMs} />
        {gun.note && <p>{gun.note}</p>}
        <div
          className="grid2"
          style={{
            gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 400px), 1fr))',
            alignItems: 'start',
          }}
        >
          {fitted.map((set) => (
            <NozzleSetCard key={set.id} gun={gun} set={set} story={story} nowMs={nowMs} />
          ))}
        </div>
        <GunBench gunId={gun.id} />
        <section className="card stack" aria-label="Set-up cards">
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            What was set for what
          </h2>
          <SetupCards cards={story.cards} baselines={baselines} nowMs={nowMs} />
        </section>
        {story.flowing.length > 0 && (
          <section className="card stack" aria-label="Air over the coats">
            <h2 className="tape" style={{ alignSelf: 'start' }}>
              Pressure at the gun, coat by coat
            </h2>
            <FlowingOverTime coats={story.flowing} />
          </section>
        )}
        <section className="card stack" aria-label="Care">
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            Care
          </h2>
          {story.rounds.length === 0 && <p>No round of care is kept for this gun yet.</p>}
          <ul style={{ margin: 0, paddingLeft: '1.2rem', lineHeight: 1.7 }}>
            {story.rounds.slice(0, 8).map((round) => (
              <li key={round.id}>
                {ROUND_NAME[round.kind].done} {agoText(round.at, nowMs)}
                {round.items.some(({ answer }) => answer === 'skipped') &&
                  `; skipped ${round.items.filter(({ answer }) => answer === 'skipped').length}`}
                {round.note && `: ${round.note}`}
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}

/** A fitted set: the newest test of each kind with what it says, and its year. */
function NozzleSetCard({
  gun,
  set,
  story,
  nowMs,
}: {
  gun: StoredGun;
  set: StoredSet;
  story: GunStory;
  nowMs: number;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const own = story.tests.filter(({ nozzleSetId }) => nozzleSetId === set.id);
  const before = setsBefore(gun.sets, set);
  const ofSize = story.tests.filter(({ nozzleSetId }) =>
    [set, ...before].some(({ id }) => id === nozzleSetId),
  );
  // A tip of its size that was never tested has no line to break.
  const changedAt = [...before, set]
    .filter(({ fittedSince }) => ofSize.some(({ takenAt }) => takenAt < fittedSince))
    .map(({ fittedSince }) => fittedSince);
  const newest = (kind: StoredTest['test']['kind']) =>
    own.findLast(({ test }) => test.kind === kind);
  const model = gunModelOf(
    gun.gun,
    set.nozzleMm,
    paintInCup({ stage: 'clear', carrier: 'solvent' }),
  );
  const says = (kind: (typeof TESTS)[number][0]): string => {
    const test = newest(kind)?.test;
    if (test?.kind === 'pattern')
      return PATTERN_NAME[test.seen as keyof typeof PATTERN_NAME].toLowerCase();
    if (test?.kind === 'catch')
      return `${((test.ml / test.seconds) * 60).toFixed(0)} ml a minute at ${turnsText(test.fluidTurnsOut)} turns; ${(model.flowFactor * 100).toFixed(0)} % of what its size gives`;
    if (test?.kind === 'fan')
      return `${format.joined(format.length(test.fanWidthMm))} at ${format.joined(format.length(test.distanceMm))}`;
    if (test?.kind === 'cap')
      return `${format.joined(format.pressure(test.capKPa))} with ${format.joined(format.pressure(test.inletKPa))} at the gun`;
    if (test?.kind === 'comb') return `${format.joined(format.film(test.wetUm))} wet in a coat`;
    return 'never';
  };
  return (
    <section className="card stack" aria-label={setName(set)}>
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <h2 className="figure mid">{set.nozzleMm} mm</h2>
        <span className="quiet">
          {[set.needle && `needle ${set.needle}`, set.cap && `cap ${set.cap}`]
            .filter(Boolean)
            .join(', ')}{' '}
          since {agoText(set.fittedSince, nowMs)}
        </span>
      </div>
      <ul style={{ margin: 0, padding: 0, listStyle: 'none', display: 'grid', gap: '0.5rem' }}>
        {TESTS.map(([kind, word]) => {
          const test = newest(kind);
          return (
            <li
              key={kind}
              className="row"
              style={{
                justifyContent: 'space-between',
                flexWrap: 'nowrap',
                borderBottom: '1px solid var(--rule)',
                paddingBottom: 6,
              }}
            >
              <div>
                <div style={{ fontWeight: 600 }}>{word}</div>
                <div>
                  {says(kind)}
                  {test && <span className="quiet">, {agoText(test.takenAt, nowMs)}</span>}
                </div>
              </div>
              <Button
                component={Link}
                to={`/guns/${gun.id}/tests/${kind}?set=${set.id}`}
                variant="default"
                aria-label={`${word}, ${set.nozzleMm} mm: test now`}
              >
                Test
              </Button>
            </li>
          );
        })}
      </ul>
      {ofSize.some(({ test }) => test.kind === 'catch' || test.kind === 'pattern') && (
        <TestsOverTime tests={ofSize} changedAt={changedAt} nowMs={nowMs} />
      )}
    </section>
  );
}
