/** Timers: started with the coat or the mix, confirmed by a person. */
import type { TimerConfirm } from '@orthochrom/contract/shop/ticket.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { keepCoatAir } from './coatAir.ts';
import { coatRow } from './planReader.ts';
import { TimerTable } from './ticketTables.ts';
import { CoatTable } from './coatTables.ts';

const MINUTE_MS = 60_000;

/**
 * A timer alone never confirms: the touch test does, face and edges, and not before the time is
 * served.
 */
export const confirmTimer = (
  ledger: Ledger,
  probe: StandInProbe,
  timerId: string,
  { version, painterId, tests }: z.infer<typeof TimerConfirm>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const timer = await manager.findOneBy(TimerTable, { id: timerId });
    if (!timer) throw new NotFound(`There is no timer ${timerId}.`);
    const coat = timer.coatId ? await coatRow(manager, timer.coatId) : undefined;
    const testedAt = notedAt();
    if (coat) {
      if (tests.touch !== 'dry' || tests.edge !== 'dry')
        throw BadInput.at(
          ['tests'],
          'needs-field',
          'Both the face and the edges must have been touched and found dry.',
        );
      const leftMs = timer.dueAt.getTime() - testedAt.getTime();
      if (leftMs > 0)
        throw new OutOfTurn(`Not yet: ${Math.ceil(leftMs / MINUTE_MS)} min still to wait.`);
    }
    await changeVersioned(manager, TimerTable, {
      what: 'timer',
      id: timerId,
      version,
      changes: { confirmedAt: testedAt, confirmedBy: painterId, tests },
      mine: tests,
    });
    if (coat?.roomId) await keepCoatAir(manager, probe, coat.id, coat.roomId);
    if (coat?.state === 'sprayed')
      await manager
        .createQueryBuilder()
        .update(CoatTable)
        .set({ state: 'flashed' })
        .where({ id: coat.id })
        .execute();
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: timer.ticketId,
      aggregateVersion: version + 1,
      kind: 'confirmed',
      patch: { timerId, tests },
    });
  });
