/** What waits on this device for the server, and what the server said against it. */
import { Button } from '@mantine/core';
import { showClash } from '../api/clash.ts';
import { discardNote, putNoteOver, sendWithLead, useNotes, type Note } from '../api/outbox.ts';
import { useWrite } from '../api/useWrite.ts';
import { timeText } from '../words/timeText.ts';
import styles from './Shell.module.css';

export function Outbox() {
  const notes = useNotes();
  const waiting = notes.filter(({ refused }) => !refused);
  const refused = notes.filter((note) => note.refused);
  if (notes.length === 0) return null;
  return (
    <section className={styles['outbox']} aria-label="Kept on this device">
      {waiting.length > 0 && (
        <p role="status">
          <strong>
            {waiting.length === 1 ? '1 note waits' : `${waiting.length} notes wait`} for the server:
          </strong>{' '}
          {waiting.map(({ what, notedAt }) => `${what}, ${timeText(notedAt)}`).join(' · ')}.
          <span className={styles['more']}> What it has to judge of that shows then.</span>
        </p>
      )}
      {refused.map((note) => (
        <Refused key={note.key} note={note} />
      ))}
    </section>
  );
}

function Refused({ note }: { note: Note }) {
  const { key, what, notedAt, refused, body } = note;
  const [busy, write] = useWrite();
  const { code, message, mine, theirs } = refused!;
  const version = (theirs as { version?: number } | undefined)?.version;
  const compare = () =>
    showClash({
      message,
      mine: mine ?? body,
      theirs,
      ...(version === undefined ? {} : { putMine: () => void putNoteOver(key, version) }),
    });
  return (
    <div role="alert" className="row">
      <p>
        <strong>
          Not taken: {what}, noted {timeText(notedAt)}.
        </strong>{' '}
        {message}
      </p>
      {code === 'lead-asked' && (
        <Button
          size="compact-md"
          loading={busy}
          onClick={() => void write(() => sendWithLead(note))}
        >
          Ask a lead
        </Button>
      )}
      {theirs !== undefined && (
        <Button size="compact-md" variant="default" onClick={compare}>
          Compare
        </Button>
      )}
      <Button size="compact-md" variant="default" onClick={() => void discardNote(key)}>
        Drop this note
      </Button>
    </div>
  );
}
