/** The demo's Friday job that was rushed: pops in its clear, and what is found about them. */
import { ticketReadings } from '@orthochrom/contract/diagnosis/ticketReadings.ts';
import type { CoatAirPoint } from '@orthochrom/contract/shop/air.ts';
import type { Finding } from '@orthochrom/contract/shop/finding.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { expect } from 'vitest';
import { ShopFixture } from './shopFixture.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';

export const ANSWERS = [
  { question: 'q_family', answer: 'tiny_holes_or_blisters' },
  { question: 'q_when', answer: 'bake_or_overnight' },
  { question: 'q_hole', answer: 'torn_pit_or_blister' },
];

export class RushedFriday {
  private constructor(
    readonly shop: ShopFixture,
    readonly whole: TicketWhole,
    readonly painterId: string,
  ) {}

  static async open(): Promise<RushedFriday> {
    const shop = await ShopFixture.open();
    const { body } = await shop.get<{ tickets: { id: string; note: string }[] }>('/tickets');
    const ticket = body.tickets.find(({ note }) => note === 'Rushed on a Friday.')!;
    const { painters } = await shop.setup();
    const whole = (await shop.get<TicketWhole>(`/tickets/${ticket.id}`)).body;
    return new RushedFriday(shop, whole, painters[0]!.id);
  }

  get lastClear(): Coat {
    const { ticket, coats } = this.whole;
    const stage = ticket.stages.find(({ kind }) => kind === 'clear')!;
    return coats.filter(({ stageId }) => stageId === stage.id).at(-1)!;
  }

  async readingsOfTicket() {
    const setup = await this.shop.setup();
    const coat = this.lastClear;
    const air = (await this.shop.get<CoatAirPoint[]>(`/coats/${coat.id}/air`)).body;
    return ticketReadings({
      whole: this.whole,
      coat,
      painter: setup.painters.find(({ id }) => id === coat.painterId)!,
      room: setup.rooms.find(({ id }) => id === coat.roomId)!,
      gun: setup.guns.find(({ id }) => id === coat.gunId),
      air,
    });
  }

  async found(): Promise<Finding> {
    const coat = this.lastClear;
    const reply = await this.shop.post<Finding>('/findings', {
      id: newId(),
      painterId: this.painterId,
      ticketId: this.whole.ticket.id,
      coatId: coat.id,
      vehicle: this.whole.ticket.vehicle,
      where: 'lower edge of the door',
      note: '',
      layerSuspected: 'clear',
      film: 'dry',
      readings: await this.readingsOfTicket(),
      answers: ANSWERS,
    });
    expect(reply.status).toBe(201);
    return reply.body;
  }

  confirm(finding: Finding, cause = 'flash_short') {
    return this.shop.post<Finding>(`/findings/${finding.id}/confirm`, {
      version: finding.version,
      painterId: this.painterId,
      fault: 'POP',
      cause,
      layer: 'clear',
      note: 'Seen under the loupe.',
    });
  }
}
