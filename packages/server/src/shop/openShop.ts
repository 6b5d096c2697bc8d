/** A shop of one's own is opened: once, with what every screen needs of it. */
import type { ShopCreate } from '@orthochrom/contract/shop/setup.ts';
import type { Ledger } from '../event/ledger.ts';
import { NotSignedIn, OutOfTurn } from '../http/faults.ts';
import { comeInAsLead, isCode, type CameIn } from '../signIn/signInLedger.ts';
import { tryCode, type Where } from '../signIn/tries.ts';
import {
  CupTable,
  PainterTable,
  RoomTable,
  ShopTable,
  type PainterRow,
  type RoomRow,
} from './shopTables.ts';

const FIRST_TICKET_NO = 1;
/** One at a time: two tablets that open the shop at once open one. */
const OPENING = 7_418_001;

/**
 * @param isAsked whether other machines are answered: then the code of this one is wanted
 * @returns what the first lead comes in by, where a PIN was given
 * @throws OutOfTurn where there is a shop already
 */
export async function openShop(
  ledger: Ledger,
  { painter, room, cup, lead, ...shop }: ShopCreate,
  isAsked: boolean,
  where: Where,
): Promise<CameIn | undefined> {
  if (isAsked && !lead)
    throw new NotSignedIn('The code that this machine’s own screen shows is wanted, and a PIN.');
  if (lead) await tryCode(ledger.manager, () => isCode(ledger.manager, lead.code), where);
  return ledger.writeSecret(async (manager, trace) => {
    await manager.query('select pg_advisory_xact_lock($1)', [OPENING]);
    if (await manager.exists(ShopTable))
      throw new OutOfTurn('There is a shop here already. Nothing was changed.');
    const shopId = shop.id;
    await manager.insert(ShopTable, { ...shop, nextTicketNo: FIRST_TICKET_NO });
    await manager.insert(PainterTable, { ...painter, role: 'lead', shopId } as PainterRow);
    await manager.insert(RoomTable, { ...room, shopId } as RoomRow);
    await manager.insert(CupTable, { ...cup, strainerUm: cup.strainerUm ?? null, shopId });
    await trace({
      shopId,
      painterId: painter.id,
      aggregateType: 'shop',
      aggregateId: shopId,
      kind: 'opened',
      patch: { ...shop, painter, room, cup },
    });
    return lead && comeInAsLead(manager, trace, { painterId: painter.id, ...lead });
  });
}
