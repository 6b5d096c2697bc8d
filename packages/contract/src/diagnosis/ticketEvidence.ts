/** What a coat's ticket holds for the bench. */
import { convert } from '@orthochrom/core/units/convert.ts';
import type { CoatAirPoint } from '../shop/air.ts';
import type { Painter, Room, StoredGun } from '../shop/setup.ts';
import type { TicketWhole } from '../shop/ticket.ts';
import type { Coat } from '../shop/coat.ts';

export type TicketEvidence = {
  whole: TicketWhole;
  coat: Coat;
  painter: Pick<Painter, 'way'>;
  room: Pick<Room, 'airMovement' | 'airSpeedMPerS'>;
  gun?: Pick<StoredGun, 'gaugeTrust'> | undefined;
  /** At every tap of the coat; may be empty for one of long ago. */
  air: readonly CoatAirPoint[];
};

/** The bench's own unit of pressure. */
export const psi = (kPa: number): number => convert(kPa, 'kPa', 'psi');
