/**
 * Leave it, polish it, coat it again, respray or strip: the rung, the film that may come off, and
 * the ladder step by step.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';
import styles from './AnswerCard.module.css';

type Repair = NonNullable<AnswerOf<'diagnose'>['repair']>;
const VERDICT_WORDS: Record<Repair['verdict'], string> = {
  leave: 'Leave it for now',
  polish: 'Level and polish',
  recoat: 'Sand and coat again',
  respray: 'Respray from the sound layer',
  strip: 'Strip it',
};

/** Safety at the step where it bites: one line, opened by a touch. */
export function Bites({ children }: { children: string }) {
  return (
    <details className={styles['bites']} role="note" aria-label="Safety">
      <summary>Before you do: safety</summary>
      <p>{children}</p>
    </details>
  );
}

export function RepairCard({
  repair,
  takesFilm,
  format,
}: {
  repair: Repair;
  takesFilm: boolean;
  format: Format;
}) {
  const { ladder, removalBudgetUm: budget, verdict } = repair;
  const film = (um: number) => format.joined(format.film(um));
  const {
    thinSpots,
    film: { leaveAtLeastUm },
  } = theKnowledge().files.repairs;
  return (
    <div className={styles['block']}>
      <h3>Repair</h3>
      <div>
        <p className={styles['verdict']}>{VERDICT_WORDS[verdict]}</p>
        {ladder.some(({ grit }) => grit) && (
          <p className="quiet">
            {budget
              ? `May come off the clear: ${film(budget.value)} (${film(budget.low)} to ${film(budget.high)}), with ${film(leaveAtLeastUm)} and a margin left on.`
              : 'How much clear there is nobody has measured: no promise about what may come off.'}
          </p>
        )}
        <ol className={styles['ladder']}>
          {ladder.map(({ step, grit, condition, caution }) => (
            <li key={`${step}${grit ?? ''}`}>
              <b>
                {grit ? `${grit} · ` : ''}
                {step}
              </b>
              <span className="quiet"> {condition}</span>
              {caution && <Bites>{caution}</Bites>}
            </li>
          ))}
        </ol>
        {takesFilm && (
          <details>
            <summary>Where it goes through first</summary>
            <ul className={styles['list']}>
              {thinSpots.map((spot) => (
                <li key={spot}>{spot}</li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </div>
  );
}
