/** The gun alone: touch what it leaves on paper, and the questions about the gun begin. */
import { questionWords } from '@orthochrom/contract/words/faultWords.ts';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { Drawing } from './drawings/Drawing.tsx';
import styles from './FaultsPage.module.css';

export function GunBench({ gunId }: { gunId: string }) {
  const navigate = useNavigate();
  const { options } = questionWords('q_burst');
  return (
    <section className="card stack" aria-label="It sprays badly">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        It sprays badly
      </h2>
      <p className="quiet">
        Half a second on masking paper at working distance. Touch what you see; the bench asks the
        rest.
      </p>
      <div
        className={styles['families']}
        style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(min(22%, 110px), 1fr))' }}
      >
        {Object.entries(options)
          .filter(([option]) => option !== 'even_oval')
          .map(([option, label]) => (
            <button
              key={option}
              type="button"
              className={styles['family']}
              onClick={() =>
                void navigate(
                  `/faults/${newId()}?new=1&gun=${gunId}&family=gun_sprays_badly&burst=${option}`,
                )
              }
            >
              <Drawing question="q_burst" option={option} />
              <span>{label}</span>
            </button>
          ))}
      </div>
    </section>
  );
}
