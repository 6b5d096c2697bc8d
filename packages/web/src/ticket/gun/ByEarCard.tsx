/**
 * No gauge: by ear and eye, from low air upwards; the end is kept as this painter's own baseline.
 */
import { ADDRESS, hold } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { Settings } from '@orthochrom/core/gun/gun.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';
import { afterShot, START, type ByEar, type Sight } from './byEar.ts';
import type { CardProps } from '../cardProps.ts';

const SIGHTS: [Sight, string][] = [
  ['spots', 'Spots: drops stand apart'],
  ['fine', 'Fine: the spots are gone'],
  ['bounces', 'The mist bounces back at me'],
];

type ByEarCardProps = Pick<CardProps, 'context' | 'stage' | 'painter'> & {
  settings: Settings;
  nozzleSetId: string | undefined;
};

export function ByEarCard({ context, stage, painter, settings, nozzleSetId }: ByEarCardProps) {
  const [shot, setShot] = useState<ByEar>(START);
  const [isKept, setIsKept] = useState(false);
  const [busy, write] = useWrite();
  const { inletKPa: _, ...withoutPressure } = settings;
  const keep = () =>
    write(async () => {
      const setup = await postJson<ShopSetup>(ADDRESS.tests, {
        id: newId(),
        painterId: painter.id,
        nozzleSetId,
        test: {
          kind: 'baseline',
          stage: stage.kind,
          product: context.sheet.name,
          byEar: true,
          settings: withoutPressure,
        },
        note: `${shot.ups} eighths of a turn up from the first hiss`,
      });
      await hold(ADDRESS.setup, setup);
      setIsKept(true);
    });
  return (
    <section className="card stack" aria-label="By ear">
      <h3 className="tape" style={{ alignSelf: 'start' }}>
        By ear, from little air
      </h3>
      {shot.state === 'looking' && (
        <>
          <p style={{ fontSize: '1.15rem' }}>
            {shot.ups === 0
              ? 'Regulator down until the air only just hisses with the trigger pulled. Needle and fan as above. One short shot on paper, at your distance.'
              : `An eighth of a turn up (that is ${shot.ups} so far), trigger pulled while you turn. Another short shot.`}
          </p>
          <div className="row">
            {SIGHTS.map(([sight, word]) => (
              <Button
                key={sight}
                size="lg"
                variant="default"
                onClick={() => setShot(afterShot(shot, sight))}
              >
                {word}
              </Button>
            ))}
          </div>
        </>
      )}
      {shot.state === 'found' && (
        <>
          <p style={{ fontSize: '1.15rem', fontWeight: 600 }}>
            Stop there: the lowest air that still breaks it up is the right one. {shot.ups}{' '}
            {shot.ups === 1 ? 'eighth' : 'eighths'} of a turn up from the hiss.
          </p>
          <p>
            Mark the knob with a pencil. No figure is kept for the pressure: by ear it is not known,
            and nothing later will treat it as a reading.
          </p>
          <div className="row">
            <Button
              size="lg"
              loading={busy}
              disabled={isKept || nozzleSetId === undefined}
              onClick={() => void keep()}
            >
              {isKept ? 'Kept as your baseline' : 'Keep this as my baseline'}
            </Button>
            <Button variant="default" onClick={() => setShot(START)}>
              Once more from the start
            </Button>
          </div>
        </>
      )}
      {shot.state === 'noRoom' && (
        <>
          <p style={{ fontSize: '1.15rem', fontWeight: 600 }}>
            Back by an eighth. It bounces before it is fine: no more air will help.
          </p>
          <p>
            Needle in by a quarter turn, or the mix warmer and to the sheet’s ratio, then once more
            from little air.
          </p>
          <div>
            <Button size="lg" onClick={() => setShot(START)}>
              Start again from the hiss
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
