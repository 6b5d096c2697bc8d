/** Of a shop that has just opened: what is there, and what comes next before the first coat. */
import { Button } from '@mantine/core';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { Link } from 'react-router';
import styles from './FirstRun.module.css';

type Step = { what: string; why: string; isDone: boolean; to: string; word: string };

const stepsOf = (setup: ShopSetup, sheets: readonly SheetVersion[]): Step[] => [
  {
    what: 'Room, painter, cup',
    why: 'kept; more of them in Settings',
    isDone: true,
    to: '/settings',
    word: 'Settings',
  },
  {
    what: 'A gun',
    why: 'its kind, its tips, what its leaflet says',
    isDone: setup.guns.length > 0,
    to: '/guns/new',
    word: 'Describe a gun',
  },
  {
    what: 'A data sheet',
    why: 'of the paint you spray next: typed from paper, or from a file',
    isDone: sheets.some(({ sheet }) => (sheet.recipes?.length ?? 0) > 0),
    to: '/sheets/new',
    word: 'Type a sheet',
  },
  {
    what: 'The first job',
    why: 'the car, its panels, the stages',
    isDone: false,
    to: '/tickets/new',
    word: 'Take in a job',
  },
];

/** Until there is a ticket. */
export function NextSteps({ setup, sheets }: { setup: ShopSetup; sheets: SheetVersion[] }) {
  const steps = stepsOf(setup, sheets);
  const next = steps.findIndex(({ isDone }) => !isDone);
  return (
    <section className="card stack" aria-labelledby="next-steps">
      <h2 className="tape" id="next-steps" style={{ alignSelf: 'start' }}>
        To the first coat
      </h2>
      <ol className={styles['steps']}>
        {steps.map(({ what, why, isDone, to, word }, i) => (
          <li
            key={what}
            className={`${styles['step']} ${isDone ? styles['done'] : ''} ${i === next ? styles['next'] : ''}`}
          >
            <strong>
              {isDone ? '✓ ' : ''}
              {what}
            </strong>
            <span>{why}</span>
            {!isDone && (
              <Button
                component={Link}
                to={to}
                size="md"
                variant={i === next ? 'filled' : 'default'}
              >
                {word}
              </Button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
