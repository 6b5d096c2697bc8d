/** What a finding begins with, from where its bench was opened. Pure. */
import { ticketReadings } from '@orthochrom/contract/diagnosis/ticketReadings.ts';
import type { CoatAirPoint } from '@orthochrom/contract/shop/air.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { EMPTY, type Draft } from './draft.ts';

/**
 * What is known before the first question: the ticket's own readings, the words or the pattern that
 * were touched.
 */
export function startOf(
  query: URLSearchParams,
  setup: ShopSetup,
  whole: TicketWhole | undefined,
  air: CoatAirPoint[],
): Draft {
  const family = query.get('family');
  const burst = query.get('burst');
  const gunId = query.get('gun') ?? undefined;
  const answers = [
    ...(family ? [{ question: 'q_family', answer: family }] : []),
    ...(burst ? [{ question: 'q_burst', answer: burst }] : []),
  ];
  const coat = whole?.coats.find(({ id }) => id === query.get('coat'));
  if (!whole || !coat) return { ...EMPTY, answers, ...(gunId ? { gunId } : {}) };
  const stage = whole.ticket.stages.find(({ id }) => id === coat.stageId)!;
  const painter = setup.painters.find(
    ({ id }) => id === (coat.painterId ?? whole.ticket.painterId),
  )!;
  const room = setup.rooms.find(({ id }) => id === (coat.roomId ?? whole.ticket.roomId))!;
  return {
    ...EMPTY,
    ticketId: whole.ticket.id,
    coatId: coat.id,
    ...(coat.gunId ? { gunId: coat.gunId } : {}),
    vehicle: whole.ticket.vehicle,
    layerSuspected: stage.kind,
    answers,
    readings: ticketReadings({
      whole,
      coat,
      painter,
      room,
      gun: setup.guns.find(({ id }) => id === coat.gunId),
      air,
    }),
  };
}
