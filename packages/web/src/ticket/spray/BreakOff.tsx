/**
 * Broken off under a stop: what is on stays on, panel by panel, with a word; the rest was not
 * sprayed.
 */
import { Button, Checkbox, TextInput } from '@mantine/core';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';

type BreakOffProps = {
  /** Not touched as done yet. */
  panels: Panel[];
  hasAny: boolean;
  busy: boolean;
  onKeep: (why: string, panelsOn: string[]) => void;
};

export function BreakOff({ panels, hasAny, busy, onKeep }: BreakOffProps) {
  const [on, setOn] = useState<string[]>([]);
  const [why, setWhy] = useState('');
  return (
    <div className="stack" role="group" aria-label="Break it off">
      <strong>Keep what is on: which of these already have paint on them?</strong>
      <div className="row">
        {panels.map(({ id, name }) => (
          <Checkbox
            key={id}
            size="lg"
            label={panelName(name)}
            checked={on.includes(id)}
            onChange={(event) =>
              setOn(event.currentTarget.checked ? [...on, id] : on.filter((other) => other !== id))
            }
          />
        ))}
      </div>
      <div className="row" style={{ alignItems: 'end' }}>
        <TextInput
          label="Broken off: a word why"
          value={why}
          maxLength={200}
          style={{ flex: '1 1 220px' }}
          onChange={(event) => setWhy(event.currentTarget.value)}
        />
        <Button
          size="lg"
          loading={busy}
          disabled={why.trim() === '' || (!hasAny && on.length === 0)}
          onClick={() => onKeep(why.trim(), on)}
        >
          Keep what is on
        </Button>
      </div>
    </div>
  );
}
