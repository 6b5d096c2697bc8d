/** How the needle is found on a test panel: what each look of the film says, and the way there. */
import { PatternPicture } from '../../guns/tests/PatternPicture.tsx';
import { CloseUp } from '../../faults/drawings/CloseUp.tsx';
import { SHOWN_AS, type Shown } from '../../faults/drawings/closeUps.ts';
import styles from './CreepUp.module.css';

const LOOKS: { shown: Shown; said: string; then: string; isRight?: true }[] = [
  { shown: SHOWN_AS['dusty']!, said: 'Grainy', then: '½ out' },
  { shown: SHOWN_AS['bumps']!, said: 'Hills', then: '¼ out' },
  { shown: SHOWN_AS['plain']!, said: 'Lies wet', then: 'stop', isRight: true },
  { shown: SHOWN_AS['drips']!, said: 'Drifts', then: '½ in' },
];

/** What the film looks like, from too dry to too wet; the same words stand under each. */
export function FilmLooks() {
  return (
    <ul className={styles['looks']} aria-label="What the film says">
      {LOOKS.map(({ shown, said, then, isRight }) => (
        <li key={said} className={isRight ? styles['right'] : ''}>
          <CloseUp shown={shown} severity={0.5} />
          <span>
            {said}: <strong>{then}</strong>
          </span>
        </li>
      ))}
    </ul>
  );
}

const STEPS = [
  'The real mix, not reducer: reducer shows another pattern. First shot onto masking paper, to purge the cleaner.',
  'Pull the trigger to air and set the pressure, flowing.',
  'Needle shut. Trigger held, open half a turn at a time while you spray passes at your distance.',
  'Stop where the film lies wet without drifting, and count the turns from closed.',
  'One short shot on paper at the same distance: an even oval. Anything else: touch it under “It looks …” at the gun.',
];

/** From needle shut to an even oval, one after the other. */
export function CreepUpSteps() {
  return (
    <>
      <ol className={styles['steps']}>
        {STEPS.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ol>
      <div className={styles['oval']}>
        <PatternPicture pattern="even" />
        <span className="quiet">An even oval, as it should be.</span>
      </div>
    </>
  );
}
