/** Rounds of care, kept for good. */
import type { CareCreate } from '@orthochrom/contract/shop/care.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { GunTable } from '../shop/shopTables.ts';
import { CareTable, type CareRow } from './careTable.ts';

export const addCare = (ledger: Ledger, round: CareCreate, doneAt = new Date()): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    if (!(await manager.existsBy(GunTable, { id: round.gunId })))
      throw BadInput.at(['gunId'], 'not-one-of', 'The shop has no such gun.');
    const row = { ticketId: null, coatId: null, ...round, shopId, doneAt } as CareRow;
    await insertNew(manager, CareTable, row);
    await trace({
      shopId,
      painterId: round.painterId,
      aggregateType: 'care',
      aggregateId: row.id,
      kind: round.kind,
      patch: round,
    });
  });
