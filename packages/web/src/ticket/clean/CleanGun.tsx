/** The gun is cleaned item by item, one as large as the card; the whole list is in the drawer. */
import { Button, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { CareList } from '../../guns/care/CareList.tsx';
import { GunDrawing } from '../../guns/care/GunDrawing.tsx';
import { useCareRound, type CareRound, type CareRoundOf } from '../../guns/care/useCareRound.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import styles from './CleanCard.module.css';

type CleanGunProps = {
  round: CareRoundOf;
  /** How long the mix still lets itself be cleaned out. */
  thickens: ReactNode;
  leftInCup: ReactNode;
  /** It is still to be said: asked before the cup is emptied. */
  isLeftAsked: boolean;
  said: ReactNode;
  /** What was used, once it was said. */
  used: ReactNode;
  /** What is in the drawer behind the list. */
  later: ReactNode;
  goOn: ReactNode;
};

export function CleanGun(props: CleanGunProps) {
  const { round: of, thickens, leftInCup, isLeftAsked, used, said, later, goOn } = props;
  const round = useCareRound(of);
  const { items, next, isOpen, busy, set, doAll, save } = round;
  /** Why an item is left out, while it is typed: of no other, whoever answers it meanwhile. */
  const [skipping, setSkipping] = useState<{ key: string; why: string }>();
  const why = next && skipping?.key === next.key ? skipping.why : undefined;
  const setWhy = (typed: string | undefined) =>
    setSkipping(next && typed !== undefined ? { key: next.key, why: typed } : undefined);
  const [isLeftUnsaid, leaveUnsaid] = useState(false);
  const asksLeft = isLeftAsked && !isLeftUnsaid && next?.key === items[0]?.key;
  const answer = (given: 'done' | 'skipped') => {
    set(next!.key, given === 'done' ? { answer: given } : { answer: given, reason: why! });
    setWhy(undefined);
  };
  return (
    <StepFrame
      ways={{
        word: 'List, dates',
        content: (
          <>
            <div className="card">
              <CareList round={round} />
            </div>
            {!asksLeft && leftInCup}
            {later}
          </>
        ),
      }}
      said={said}
      action={
        asksLeft ? (
          <Button onClick={() => leaveUnsaid(true)}>Not measured: on to the gun</Button>
        ) : next ? (
          <Button
            disabled={why?.trim() === ''}
            onClick={() => answer(why === undefined ? 'done' : 'skipped')}
          >
            {why === undefined ? 'Done' : 'Leave it out'}
          </Button>
        ) : (
          <Button loading={busy} disabled={isOpen} onClick={save}>
            {isOpen ? 'A word why is missing' : 'The gun is clean'}
          </Button>
        )
      }
      other={
        <>
          {next && (
            <>
              <Button
                size="lg"
                px="md"
                disabled={asksLeft}
                variant={why === undefined ? 'default' : 'light'}
                aria-pressed={why !== undefined}
                onClick={() => setWhy(why === undefined ? '' : undefined)}
              >
                Skip
              </Button>
              <Button size="lg" px="md" variant="default" onClick={doAll}>
                All done
              </Button>
            </>
          )}
          {goOn}
        </>
      }
    >
      {thickens}
      {asksLeft ? leftInCup : <AtTheGun {...{ round, used, why, setWhy }} />}
    </StepFrame>
  );
}

type AtTheGunProps = {
  round: CareRound;
  used: ReactNode;
  why: string | undefined;
  setWhy: (why: string) => void;
};

/** The item that is next, and where on the gun it is. */
function AtTheGun({ round: { items, next }, used, why, setWhy }: AtTheGunProps) {
  return (
    <div className={`card ${styles['item']}`}>
      <div>
        <h3 className={styles['title']} data-figure>
          <small>
            {next ? `${items.indexOf(next) + 1} of ${items.length}` : `All ${items.length}`}
          </small>{' '}
          {next ? next.text : 'answered: it hangs up dry, and this coat knows it.'}
        </h3>
        {next?.why && <p>{next.why}</p>}
        {next === items[0] && used}
        {why !== undefined && (
          <TextInput
            label="Skipped, because"
            maxLength={200}
            value={why}
            onChange={(event) => setWhy(event.currentTarget.value)}
          />
        )}
      </div>
      <GunDrawing lit={next?.parts ?? []} />
    </div>
  );
}
