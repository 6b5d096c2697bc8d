/**
 * A coat taken along its path through the API, as its cards do it: for journeys that begin further
 * on. What a step shows and asks is walked in the browser by the journeys about that step.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { IN_ORDER } from '../packages/server/test/inOrder.ts';
import { call } from './call.ts';
import { letMinutesPass } from './shop.ts';

class CoatAhead {
  private constructor(
    private whole: TicketWhole,
    private readonly coatId: string,
  ) {}
  /** @param nth in the order of spraying; the one that is next where nobody says */
  static async of(ticketId: string, nth?: number): Promise<CoatAhead> {
    const whole = await call<TicketWhole>('GET', `/tickets/${ticketId}`);
    const { coats, ticket } = whole;
    const coat = nth === undefined ? nextCoat(ticket.stages, coats) : coats[nth];
    return new CoatAhead(whole, coat!.id);
  }

  private get coat() {
    return this.whole.coats.find(({ id }) => id === this.coatId)!;
  }
  private get ticketId() {
    return this.whole.ticket.id;
  }
  private async tap(path: string, body: object): Promise<void> {
    const { painterId } = this.whole.ticket;
    this.whole = await call('POST', path, { painterId, ...body });
  }
  private tapCoat(path: string, body: object = {}): Promise<void> {
    const { id, version } = this.coat;
    return this.tap(`/coats/${id}/${path}`, { version, ...body });
  }

  async gate(): Promise<void> {
    const { stageId } = this.coat;
    const told = { id: newId(), stageId, step: 'mix', ...IN_ORDER };
    await this.tap(`/tickets/${this.ticketId}/gate-answers`, told);
  }
  async pour(): Promise<void> {
    const { stageId } = this.coat;
    const { gunId } = this.whole.ticket.stages.find(({ id }) => id === stageId)!;
    await this.tapCoat('take', { gunId, overrides: {} });
    const { components } = this.coat.planned!.answers['mix'] as AnswerOf<'mix'>;
    await this.tap(`/tickets/${this.ticketId}/mixes`, {
      id: newId(),
      stageId,
      coatId: this.coatId,
      batchNo: 1,
      poured: components!.map(({ name, ml }) => ({ name, ml })),
    });
  }
  async start(): Promise<void> {
    await this.tapCoat('test-panel');
    const mixId = this.whole.mixes.at(-1)!.id;
    await this.tapCoat('spray-start', { mixId, unchangedSinceGate: true });
  }
  async finish(seen: string[]): Promise<void> {
    await this.tapCoat('spray-end');
    await letMinutesPass(120);
    const { id, version } = this.whole.timers.find(
      ({ coatId, kind }) => coatId === this.coatId && kind === 'flash',
    )!;
    await this.tap(`/timers/${id}/confirm`, { version, tests: { touch: 'dry', edge: 'dry' } });
    await this.tapCoat('look', { done: {}, seen, rating: 'fair', note: '' });
  }
}

/** The gate of the next coat has passed. */
export async function passGate(ticketId: string): Promise<void> {
  await (await CoatAhead.of(ticketId)).gate();
}

/** The cup of the next coat stands. */
export async function pourNext(ticketId: string): Promise<void> {
  const coat = await CoatAhead.of(ticketId);
  await coat.gate();
  await coat.pour();
}

/** The trigger is pulled on the next coat. */
export async function startNext(ticketId: string): Promise<void> {
  const coat = await CoatAhead.of(ticketId);
  await coat.gate();
  await coat.pour();
  await coat.start();
}

/** The coat at this place of the ticket, in the order of spraying, from gate to look. */
export async function layCoat(ticketId: string, nth: number, seen: string[]): Promise<void> {
  const coat = await CoatAhead.of(ticketId, nth);
  await coat.gate();
  await coat.pour();
  await coat.start();
  await coat.finish(seen);
}
