/**
 * One step on one screen: its figures, what is said against it, and its next action, always in the
 * same place; everything else is in the drawer.
 */
import { ActionIcon, Button } from '@mantine/core';
import { XIcon } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useDrawer, useDrawerContents, type DrawerPage } from './stepDrawer.ts';
import styles from './StepFrame.module.css';

type StepFrameProps = {
  /** The figures, or the questions, of this step. */
  children: ReactNode;
  /** What is said against going on, or with care: beside the action, never under a fold. */
  said?: ReactNode;
  /** The one next thing. */
  action?: ReactNode;
  /** What else may be done here, beside it. */
  other?: ReactNode;
  /** Other ways of doing it, opened at a touch; what was typed there stays. */
  ways?: { word: string; content: ReactNode };
};

export function StepFrame({ children, said, action, other, ways }: StepFrameProps) {
  const [kept, setPage] = useDrawer();
  const { whatIf, why } = useDrawerContents();
  const pages: [DrawerPage, string][] = [
    ...(ways ? [['ways', ways.word] as [DrawerPage, string]] : []),
    ['whatIf', 'What if'],
    ['why', 'Why'],
  ];
  const shown = pages.find(([page]) => page === kept);
  const areWaysShown = shown?.[0] === 'ways';
  // Drawn at the first opening, not with every step; from then on what was typed there stays.
  const [wereWaysShown, setWereWaysShown] = useState(areWaysShown);
  if (areWaysShown && !wereWaysShown) setWereWaysShown(true);
  return (
    <div className={styles['frame']}>
      {/* Where they are longer than the screen, keys scroll them too. */}
      <div className={styles['work']} data-work tabIndex={0} role="group" aria-label="This step">
        {children}
      </div>
      <aside className={styles['drawer']} hidden={!shown} aria-label={shown?.[1] ?? 'Closed'}>
        <div className={styles['head']}>
          <h2 className="tape">{shown?.[1]}</h2>
          <ActionIcon size={48} variant="subtle" aria-label="Close" onClick={() => setPage('')}>
            <XIcon size={26} />
          </ActionIcon>
        </div>
        {ways && (areWaysShown || wereWaysShown) && (
          <div className="stack" hidden={!areWaysShown}>
            {ways.content}
          </div>
        )}
        {shown?.[0] === 'whatIf' && whatIf}
        {shown?.[0] === 'why' && why}
      </aside>
      <div className={styles['foot']}>
        <div className={styles['said']} tabIndex={0} role="group" aria-label="What is said of it">
          {said}
        </div>
        <div className={styles['bar']} data-bar>
          <div className={styles['action']} data-action>
            {action}
          </div>
          {other}
          {pages.map(([page, word]) => (
            <Button
              key={page}
              variant={page === shown?.[0] ? 'light' : 'default'}
              size="lg"
              aria-expanded={page === shown?.[0]}
              onClick={() => setPage(page === shown?.[0] ? '' : page)}
            >
              {word}
            </Button>
          ))}
        </div>
      </div>
    </div>
  );
}
