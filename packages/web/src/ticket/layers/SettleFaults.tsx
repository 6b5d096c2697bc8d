/** A fault that was found stands until it is flattened, coated again, or left with a word why. */
import { ADDRESS } from '../../api/resources.ts';
import { Button, TextInput } from '@mantine/core';
import { layerSaid, leftOf, unsettledOf } from '@orthochrom/contract/plan/layersUnder.ts';
import type { WorkKind } from '@orthochrom/contract/shop/layerWork.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';
import type { CardProps } from '../cardProps.ts';

export function SettleFaults({
  whole,
  of,
  painter,
  keep,
}: Pick<CardProps, 'whole' | 'painter' | 'keep'> & { of: Coat }) {
  const [why, setWhy] = useState('');
  const [busy, write] = useWrite();
  const open = unsettledOf(whole, of);
  const left = leftOf(whole, of);
  if (open.length === 0)
    return left.length === 0 ? null : (
      <p className="quiet">
        Left as it is:{' '}
        {left.map(({ name, why: word }) => `${name.toLowerCase()} (${word})`).join(', ')}.
      </p>
    );
  const settle = (kind: WorkKind) =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(of.id, 'works'), {
          id: newId(),
          painterId: painter.id,
          kind,
          settles: open.map(({ key }) => key),
          why: why.trim(),
        }),
      ),
    );
  return (
    <div className="stack" role="group" aria-label={`Settle ${layerSaid(whole, of)}`}>
      <strong>
        {open.map(({ name }) => name).join(', ')} in {layerSaid(whole, of)}: what became of it?
      </strong>
      <div className="row">
        <Button variant="default" loading={busy} onClick={() => void settle('flattened')}>
          Flattened
        </Button>
        <Button variant="default" loading={busy} onClick={() => void settle('recoated')}>
          Coated again
        </Button>
      </div>
      <div className="row" style={{ alignItems: 'end' }}>
        <TextInput
          label="Left as it is: a word why"
          value={why}
          maxLength={200}
          style={{ flex: '1 1 220px' }}
          onChange={(event) => setWhy(event.currentTarget.value)}
        />
        <Button
          variant="default"
          loading={busy}
          disabled={why.trim() === ''}
          onClick={() => void settle('left')}
        >
          Leave it
        </Button>
      </div>
    </div>
  );
}
