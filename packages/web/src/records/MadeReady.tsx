/** How the car was made ready for a coat: what was left out and why, what the customer decided. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { TERMS } from '@orthochrom/contract/words/termWords.ts';
import { SKIPPED } from '@orthochrom/core/prep/prepInput.ts';
import { kindInKey } from '@orthochrom/core/prep/stepKinds.ts';
import { lastAnswers } from '@orthochrom/core/prep/tested.ts';
import { DecidedBefore } from '../ticket/prep/DecidedBefore.tsx';
import { SprayCards } from '../ticket/prep/SprayCards.tsx';
import { whenText } from '../words/timeText.ts';

type MadeReadyProps = { whole: TicketWhole; units: Painter['units'] };

export function MadeReady({ whole, units }: MadeReadyProps) {
  const { prepAnswers, decisions } = whole;
  if (prepAnswers.length === 0 && decisions.length === 0) return null;
  const last = [...lastAnswers({ done: prepAnswers }).values()];
  const left = prepAnswers.filter((answer) => answer.answer === SKIPPED && last.includes(answer));
  return (
    <section className="card stack" aria-label="Made ready">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Made ready
      </h2>
      <p>
        {last.length} steps answered{left.length === 0 ? ', none left out.' : '. Left out:'}
      </p>
      {left.map(({ id, key, reason, at }) => {
        const kind = kindInKey(key);
        return (
          <p key={id}>
            <strong>{kind ? TERMS[kind] : key}</strong>: {reason}{' '}
            <span className="quiet">{whenText(at)}</span>
          </p>
        );
      })}
      <DecidedBefore whole={whole} units={units} />
      <SprayCards whole={whole} />
    </section>
  );
}
