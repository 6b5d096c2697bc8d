/** The look of the next day: when, in which light, what for, and what was seen. */
import { Button, TextInput } from '@mantine/core';
import { isLookDue } from '@orthochrom/contract/plan/lookDue.ts';
import type { TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import { Seen } from '@orthochrom/contract/shop/coat.ts';
import { SEEN_NAME } from '@orthochrom/contract/words/seenWords.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { benchOf } from '../../faults/benchOf.ts';
import { whenText } from '../../words/timeText.ts';

type LookAgainProps = {
  timer: Timer;
  painterId: string;
  nowMs: number;
  keep: (whole: TicketWhole) => void;
};

export function LookAgain({ timer, painterId, nowMs, keep }: LookAgainProps) {
  const [seen, setSeen] = useState<Seen[]>([]);
  const [note, setNote] = useState('');
  const [busy, write] = useWrite();
  if (!isLookDue(timer, nowMs))
    return (
      <section className="card" aria-label="Look again">
        <p>
          <strong>Look again from {whenText(timer.dueAt)}.</strong> Pops and sink show overnight; it
          stands on Today until then, and after.
        </p>
      </section>
    );
  const toggle = (one: Seen) =>
    setSeen((now) => {
      if (now.includes(one)) return now.filter((other) => other !== one);
      return one === 'nothing' ? [one] : [...now.filter((other) => other !== 'nothing'), one];
    });
  const log = () =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>('Looked again', 'POST', ADDRESS.timer(timer.id, 'looked'), {
          version: timer.version,
          painterId,
          seen,
          note: note.trim(),
        }),
      ),
    );
  return (
    <section className="card stack" aria-label="Look again">
      <h3>Look again: it is due</h3>
      <div className="row" role="group" aria-label="Seen on the next day">
        {Seen.options.map((one) => (
          <Button
            key={one}
            variant={seen.includes(one) ? 'filled' : 'default'}
            aria-pressed={seen.includes(one)}
            onClick={() => toggle(one)}
          >
            {SEEN_NAME[one]}
          </Button>
        ))}
      </div>
      <TextInput
        label="Note"
        value={note}
        maxLength={2000}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <div className="row">
        <Button size="lg" loading={busy} disabled={seen.length === 0} onClick={() => void log()}>
          Looked again
        </Button>
        {seen.some((one) => one !== 'nothing') && (
          <Button
            variant="default"
            size="lg"
            component={Link}
            to={benchOf({ id: timer.coatId!, ticketId: timer.ticketId }, seen)}
          >
            What is it?
          </Button>
        )}
      </div>
    </section>
  );
}
