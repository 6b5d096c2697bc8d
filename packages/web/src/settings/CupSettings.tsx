/** A cup: what it holds, the scale printed on it, drawn as printed: does yours look like this? */
import { Button, NumberInput, TextInput } from '@mantine/core';
import type { StoredCup } from '@orthochrom/contract/shop/setup.ts';
import { ADDRESS } from '../api/resources.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { PrintedScale } from './PrintedScale.tsx';
import { PutAway } from './PutAway.tsx';
import { useKept } from './useKept.ts';
import styles from './CupSettings.module.css';

const RATIOS = [
  [1, 1],
  [2, 1],
  [3, 1],
  [4, 1],
  [2, 1, 0.5],
  [3, 1, 1],
  [4, 1, 1],
  [2, 1, 1],
];

export function CupSettings({ cup }: { cup: StoredCup }) {
  const { draft, setDraft, isChanged, busy, save, round } = useKept(
    cup,
    ADDRESS.cup(cup.id),
    ({ cups }) => cups,
  );
  const { id, version } = draft;
  const withMesh = ({ strainerUm: _, ...rest }: StoredCup, um: number | undefined): StoredCup =>
    um === undefined ? rest : { ...rest, strainerUm: um };
  const has = (ratio: readonly number[]): boolean =>
    draft.scales.some((scale) => scale.ratio.join() === ratio.join());
  const setScales = (scales: StoredCup['scales']) => setDraft({ ...draft, scales });
  return (
    <section className="card stack" aria-label={cup.name}>
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        {cup.name}
      </h2>
      <div className={styles['cup']}>
        <div className="stack">
          <div className="grid2" key={round}>
            <TextInput
              label="Name"
              value={draft.name}
              maxLength={80}
              onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
            />
            <FigureInput
              label="Holds to its top mark"
              kind="volume"
              field="capacityMl"
              value={draft.capacityMl}
              onChange={(entered) =>
                entered && setDraft({ ...draft, capacityMl: entered.canonical })
              }
            />
            <NumberInput
              label="Mesh built into it, µm"
              description="empty: none"
              value={draft.strainerUm ?? ''}
              min={20}
              max={1000}
              onChange={(um) => setDraft(withMesh(draft, typeof um === 'number' ? um : undefined))}
            />
          </div>
          <div>
            <span className="label">Scales printed on it</span>
            <div className={styles['ratios']}>
              {RATIOS.map((ratio) => (
                <Button
                  key={ratio.join()}
                  size="lg"
                  variant={has(ratio) ? 'filled' : 'default'}
                  aria-pressed={has(ratio)}
                  onClick={() =>
                    setScales(
                      has(ratio)
                        ? draft.scales.filter((scale) => scale.ratio.join() !== ratio.join())
                        : [...draft.scales, { ratio, mlPerPart: firstLineMl(draft, ratio) }],
                    )
                  }
                >
                  {ratio.join(':')}
                </Button>
              ))}
            </div>
          </div>
          {draft.scales.map((scale, i) => (
            <FigureInput
              key={`${scale.ratio.join()}${round}`}
              label={`${scale.ratio.join(':')}, first line of its first column`}
              kind="volume"
              field="sizeMl"
              value={scale.mlPerPart * scale.ratio[0]!}
              onChange={(entered) =>
                entered &&
                setScales(
                  draft.scales.map((one, k) =>
                    k === i ? { ...one, mlPerPart: entered.canonical / one.ratio[0]! } : one,
                  ),
                )
              }
            />
          ))}
        </div>
        <div className={styles['printed']}>
          {draft.scales.map((scale) => (
            <PrintedScale key={scale.ratio.join()} scale={scale} capacityMl={draft.capacityMl} />
          ))}
          {draft.scales.length > 0 && <p className="quiet">Does yours look like this?</p>}
        </div>
      </div>
      <div className="row">
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Save {cup.name}
        </Button>
        <PutAway what={cup.name} address={ADDRESS.cup(id, 'archive')} version={version} />
      </div>
    </section>
  );
}

/** Ten lines to the top, in whole fives: a place to start from. */
const firstLineMl = ({ capacityMl }: StoredCup, ratio: readonly number[]): number =>
  Math.max(5, Math.round(capacityMl / (10 * ratio.reduce((sum, part) => sum + part, 0)) / 5) * 5);
