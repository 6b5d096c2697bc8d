/** A wet film comb read while the coat flashes. */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { noteDown } from '../../api/outbox.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import type { CardProps } from '../cardProps.ts';

/** A comb read now moves the clock: a heavy film waits longer. */
export function CombReading({ coat, painter, keep }: Pick<CardProps, 'coat' | 'painter' | 'keep'>) {
  const [wetFilmUm, setWetFilmUm] = useState<number>();
  const [busy, write] = useWrite();
  const read = coat.done['wetFilmUm'];
  const note = () =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>('Wet film read', 'POST', ADDRESS.coat(coat.id, 'wet-film'), {
          version: coat.version,
          painterId: painter.id,
          wetFilmUm,
        }),
      ),
    );
  return (
    <div className="row" style={{ alignItems: 'end' }}>
      <FigureInput
        label={
          read?.source === 'instrument'
            ? 'Wet film by the comb: the clock goes by it'
            : 'Wet film by the comb, if you read one'
        }
        kind="film"
        field="wetFilmUm"
        {...(read?.source === 'instrument' ? { value: read.value } : {})}
        onChange={(entered) => setWetFilmUm(entered?.canonical)}
      />
      <Button
        variant="default"
        loading={busy}
        disabled={wetFilmUm === undefined}
        onClick={() => void note()}
      >
        Let the clock go by it
      </Button>
    </div>
  );
}
