/**
 * What the shop found out in its months: a coarse primer traced to air that ran short, and a run to
 * a heavy coat.
 */
import { ticketReadings } from '@orthochrom/contract/diagnosis/ticketReadings.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { v7 as newId } from 'uuid';
import type { Ledger } from '../event/ledger.ts';
import { addFinding, confirmFinding } from '../finding/findingLedger.ts';
import { FindingTable } from '../finding/findingTables.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { coatAir } from '../ticket/coatAir.ts';
import { wholeTicket } from '../ticket/ticketReader.ts';
import { TicketTable } from '../ticket/ticketTables.ts';

type Story = {
  isIt: (coat: Coat) => boolean;
  answers: [question: string, answer: string][];
  where: string;
  confirmed: { fault: string; cause: string; note: string };
};
const STORIES: Story[] = [
  {
    isIt: ({ note }) => note.startsWith('Coarser towards'),
    answers: [
      ['q_family', 'bumpy_texture'],
      ['q_when', 'spraying'],
      ['q_cell', '2_to_6mm'],
      ['q_valley', 'glossy'],
    ],
    where: 'last rack',
    confirmed: {
      fault: 'OP_UA',
      cause: 'air_starved',
      note: 'The sander next door was on the same tank.',
    },
  },
  {
    isIt: ({ note }) => note.startsWith('One run'),
    answers: [
      ['q_family', 'drip_or_curtain'],
      ['q_run_shape', 'trickle'],
      ['q_orient', 'upright'],
    ],
    where: 'lower edge',
    confirmed: { fault: 'RUN', cause: 'coat_heavy', note: 'The comb had said so.' },
  },
];
const HOUR_MS = 3_600_000;
const LOOKED_AFTER_HOURS = 16;

export async function layFindings(ledger: Ledger): Promise<void> {
  const { manager } = ledger;
  const setup = await shopSetup(manager);
  const tickets = await manager.find(TicketTable, {
    where: { state: 'done' },
    order: { createdAt: 'DESC' },
  });
  for (const story of STORIES)
    for (const { id: ticketId } of tickets) {
      const whole = await wholeTicket(manager, ticketId);
      const coat = whole.coats.find(story.isIt);
      if (!coat) continue;
      const painterId = coat.painterId!;
      const stage = whole.ticket.stages.find(({ id }) => id === coat.stageId)!;
      const readings = ticketReadings({
        whole,
        coat,
        painter: setup.painters.find(({ id }) => id === painterId)!,
        room: setup.rooms.find(({ id }) => id === coat.roomId)!,
        gun: setup.guns.find(({ id }) => id === coat.gunId),
        air: await coatAir(manager, coat.id),
      });
      const id = newId();
      await addFinding(ledger, {
        id,
        painterId,
        ticketId,
        coatId: coat.id,
        ...(coat.gunId ? { gunId: coat.gunId } : {}),
        vehicle: whole.ticket.vehicle,
        where: story.where,
        note: '',
        layerSuspected: stage.kind,
        film: 'dry',
        readings,
        answers: story.answers.map(([question, answer]) => ({ question, answer })),
      });
      await confirmFinding(ledger, id, {
        version: 1,
        painterId,
        layer: stage.kind,
        ...story.confirmed,
      });
      const seenAt = new Date(Date.parse(coat.endedAt!) + LOOKED_AFTER_HOURS * HOUR_MS);
      await manager.update(FindingTable, { id }, { seenAt, confirmedAt: seenAt });
      break;
    }
}
