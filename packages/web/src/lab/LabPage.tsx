/**
 * The spray lab: move anything a painter can move, and see what lands and what becomes of it,
 * before it is sprayed.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { Button, SegmentedControl } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { useSetup } from '../api/reads.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { useHeavy, useWarmWorker, type HeavyState } from '../heavy/heavy.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../verdict/Verdicts.tsx';
import { Changes } from './Changes.tsx';
import { Controls } from './Controls.tsx';
import { FilmMapPicture } from './FilmMapPicture.tsx';
import { Headline } from './Headline.tsx';
import { LabActions } from './LabActions.tsx';
import styles from './LabPage.module.css';
import { Levers } from './Levers.tsx';
import { startSetup, withDefaults, type LabSetup, type LabVisit } from './labSetup.ts';
import { DropsPicture, ProfilePicture, type Side } from './Pictures.tsx';
import { RunPicture, WavePicture } from './PanelPictures.tsx';
import { TimePicture } from './TimePicture.tsx';
import { RiskBars } from './RiskBars.tsx';
import { SeenHere } from './SeenHere.tsx';

/** What a ticket hands over: its coat's input, and the coat to send it back to. */

export function LabPage() {
  useWarmWorker();
  const setupRead = useSetup();
  const setup = setupRead.data;
  const { state } = useLocation() as { state: LabVisit | null };
  const gun = setup?.guns.find(({ usedFor }) => usedFor.includes('clear')) ?? setup?.guns[0];
  if (!setup) return <NotYet reads={[setupRead]} what="the lab" />;
  if (!gun) return <p className="page">The lab wants a gun: add one under Guns and air.</p>;
  return (
    <Lab key={state?.coatId ?? 'own'} guns={setup.guns} gun={gun} visit={state ?? undefined} />
  );
}

type Pair = { a: LabSetup; b?: LabSetup };

function Lab({
  guns,
  gun,
  visit,
}: {
  guns: StoredGun[];
  gun: StoredGun;
  visit: LabVisit | undefined;
}) {
  const { painter } = usePainter();
  const { length, film, joined } = formatFor(painter.units);
  // Kept on this device: a lab set-up is a thought, not a record.
  const [pair, setPair] = useLocalStorage<Pair>({
    key: visit ? `orthochrom-lab-${visit.coatId}` : 'orthochrom-lab',
    defaultValue: { a: visit ? withDefaults(visit.setup) : startSetup(gun.gun) },
    getInitialValueInEffect: false,
  });
  const [moved, setMoved] = useState<'a' | 'b'>('a');
  const isB = moved === 'b' && pair.b !== undefined;
  const shown = isB ? pair.b! : pair.a;
  const set = (next: LabSetup) => setPair(isB ? { ...pair, b: next } : { ...pair, a: next });
  const a = useForeseen(pair.a);
  const b = useForeseen(pair.b);
  const sides: Side[] = [
    ...(a.answer ? [{ name: 'A' as const, setup: pair.a, answer: a.answer }] : []),
    ...(pair.b && b.answer ? [{ name: 'B' as const, setup: pair.b, answer: b.answer }] : []),
  ];
  const current = isB ? b : a;
  return (
    <>
      <PageHead
        title={visit ? `Spray lab: ${visit.title}` : 'Spray lab'}
        line="See the panel before it is sprayed. All of it is the model’s word: a test panel is the judge."
      >
        <LabActions
          pair={pair}
          shown={shown}
          visit={visit}
          onOpen={(opened) =>
            setPair({
              a: withDefaults(opened.a),
              ...(opened.b ? { b: withDefaults(opened.b) } : {}),
            })
          }
          onReset={() => setPair({ a: visit ? withDefaults(visit.setup) : startSetup(gun.gun) })}
        />
      </PageHead>
      <div className={styles['lab']}>
        <aside className={styles['side']} aria-label="Controls">
          <div className={styles['compare']}>
            {pair.b ? (
              <>
                <SegmentedControl
                  fullWidth
                  aria-label="Which set-up moves"
                  value={moved}
                  onChange={(v) => setMoved(v as 'a' | 'b')}
                  data={[
                    { value: 'a', label: 'Move A' },
                    { value: 'b', label: 'Move B' },
                  ]}
                />
                <Button
                  variant="default"
                  onClick={() => {
                    setPair({ a: shown });
                    setMoved('a');
                  }}
                >
                  Keep {isB ? 'B' : 'A'} alone
                </Button>
              </>
            ) : (
              <Button
                variant="default"
                fullWidth
                onClick={() => {
                  setPair({ ...pair, b: pair.a });
                  setMoved('b');
                }}
              >
                Set a B beside it
              </Button>
            )}
          </div>
          <Controls setup={shown} other={isB ? pair.a : pair.b} guns={guns} onChange={set} />
        </aside>
        <section
          className={styles['pictures']}
          aria-label="What becomes of it"
          aria-busy={a.isStale || b.isStale}
        >
          {current.error && <p role="alert">{current.error}</p>}
          {sides.length > 0 && (
            <>
              <Headline sides={sides} />
              <div className={styles['two']}>
                <div className="card stack">
                  <h2 className="tape" style={{ alignSelf: 'start' }}>
                    What may want mending
                  </h2>
                  <RiskBars
                    sides={sides.map(({ name, answer }) => ({ name, risks: answer.risks }))}
                  />
                </div>
                <Changes
                  answer={current.answer}
                  setup={shown}
                  isStale={current.isStale}
                  onApply={set}
                />
              </div>
              {sides.length > 1 && <Levers a={pair.a} b={pair.b!} />}
              <div className={styles['grid']}>
                <FilmMapPicture
                  side={sides[isB && sides[1] ? 1 : 0]!}
                  film={(um) => joined(film(um))}
                />
                <TimePicture sides={sides} />
                <ProfilePicture sides={sides} words={{ length: (mm) => joined(length(mm)) }} />
                <DropsPicture sides={sides} />
                <WavePicture sides={sides} />
                <RunPicture sides={sides} />
              </div>
              <SeenHere
                key={isB ? 'b' : 'a'}
                setup={shown}
                wetUm={(current.answer ?? sides[0]!.answer).film.wetUm.value}
                onChange={set}
              />
              <VerdictList verdicts={(current.answer ?? sides[0]!.answer).verdicts} hideGo />
              <details className="card">
                <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
                  Why, and how sure
                </summary>
                <ul style={{ margin: '0.4rem 0 0', paddingLeft: '1.2rem', lineHeight: 1.6 }}>
                  {(current.answer ?? sides[0]!.answer).reasons.map(({ code, text }) => (
                    <li key={code}>{text}</li>
                  ))}
                </ul>
              </details>
            </>
          )}
          {sides.length === 0 && !current.error && <p>Laying the first coat …</p>}
        </section>
      </div>
    </>
  );
}

/** The best guess at once, its spread and the ranked changes as soon as they are there. */
function useForeseen(setup: LabSetup | undefined): HeavyState<AnswerOf<'coat'>> {
  const quick = useHeavy(
    'coat',
    useMemo(() => setup && { ...setup, spread: false }, [setup]),
  );
  const full = useHeavy(
    'coat',
    useMemo(() => setup && { ...setup, rankChanges: true }, [setup]),
  );
  if (!setup) return { isStale: false };
  if (!full.isStale && full.answer) return full;
  return quick.answer && !quick.isStale
    ? { ...quick, isStale: true }
    : { ...(full.answer ? full : quick), isStale: true };
}
