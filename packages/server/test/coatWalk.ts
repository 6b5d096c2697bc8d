/** A coat walked from its gate to its look through the API: each tap as the cards send it. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { openBefore, prepList, type PrepList } from '@orthochrom/contract/plan/prepList.ts';
import { TAPS, type Tap } from '@orthochrom/contract/plan/standing.ts';
import type { Panel, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { passesOf } from '@orthochrom/core/prep/stepKinds.ts';
import { v7 as newId } from 'uuid';
import { expect } from 'vitest';
import type { Fault, Reply, ShopFixture } from './shopFixture.ts';

export type Answered = Reply<TicketWhole & Fault>;

/** What stands against it, by code. */
export const codesOf = ({ body }: Answered): string[] =>
  body.error.verdicts!.map(({ code }) => code);

export class CoatWalk {
  readonly shop: ShopFixture;
  readonly painterId: string;
  private readonly gunId: string;
  whole: TicketWhole;

  private constructor(
    shop: ShopFixture,
    opened: { whole: TicketWhole; painterId: string; gunId: string },
  ) {
    this.shop = shop;
    this.whole = opened.whole;
    this.painterId = opened.painterId;
    this.gunId = opened.gunId;
  }
  static async begin(shop: ShopFixture): Promise<CoatWalk> {
    return new CoatWalk(shop, await shop.openTicket());
  }
  /** The same walk in a copy of its shop. */
  inCopy(shop: ShopFixture): CoatWalk {
    const { whole, painterId, gunId } = this;
    return new CoatWalk(shop, { whole, painterId, gunId });
  }

  /** The coat at this place of the ticket, in the order of spraying. */
  coat(i = 0): Coat {
    return this.whole.coats[i]!;
  }
  stageOf(i: number): number {
    return this.whole.ticket.stages.findIndex(({ id }) => id === this.coat(i).stageId);
  }
  private async tap(path: string, body: object): Promise<Answered> {
    const reply = await this.shop.post<TicketWhole & Fault>(path, {
      painterId: this.painterId,
      ...body,
    });
    if (reply.status < 300) this.whole = reply.body;
    return reply;
  }
  async read(): Promise<TicketWhole> {
    return (this.whole = (
      await this.shop.get<TicketWhole>(`/tickets/${this.whole.ticket.id}`)
    ).body);
  }

  /** To just before this tap of the first coat. */
  async goBefore(tap: Tap): Promise<void> {
    await this.gate();
    for (const step of TAPS.slice(0, Math.min(TAPS.indexOf(tap), TAPS.indexOf('panel'))))
      await this[step]();
  }

  /** Tells the same of every panel; what is undefined is taken back. */
  async tellPanels(more: { [K in keyof Panel]?: unknown }): Promise<Answered> {
    const { id, number: _n, createdAt: _c, ...ticket } = (await this.read()).ticket;
    const panels = ticket.panels.map((panel) => ({ ...panel, ...more }));
    const reply = await this.shop.put<TicketWhole & Fault>(`/tickets/${id}`, { ...ticket, panels });
    await this.read();
    return reply;
  }
  async prepList(): Promise<PrepList> {
    const { rooms, painters } = await this.shop.setup();
    const room = rooms.find(({ id }) => id === this.whole.ticket.roomId)!;
    const painter = painters.find(({ id }) => id === this.painterId)!;
    return prepList(this.whole, { room, painter, nowMs: Date.now() })!;
  }
  prepAnswer = (key: string, answer: string, reason = '') =>
    this.tap(`/tickets/${this.whole.ticket.id}/prep-answers`, { id: newId(), key, answer, reason });
  /** Answers every step that stands before a coat, each as it should be. */
  prep = async (i = 0): Promise<void> => {
    for (;;) {
      const [open] = openBefore(this.whole, await this.prepList(), this.coat(i).stageId);
      if (!open) return;
      const reply = await this.prepAnswer(open.key, passesOf(open.kind)[0]!);
      if (reply.status >= 300) throw new Error(reply.body.error.message);
    }
  };
  foundLate = (panelId: string, what: string) =>
    this.tap(`/tickets/${this.whole.ticket.id}/late-finds`, { id: newId(), panelId, what });

  gate = (i = 0, changes: object = {}) =>
    this.shop.passGate(this.whole, this.painterId, this.stageOf(i), changes);
  take = (i = 0, more: object = {}) =>
    this.tap(`/coats/${this.coat(i).id}/take`, {
      version: this.coat(i).version,
      gunId: this.gunId,
      overrides: {},
      ...more,
    });
  pour = (i = 0): Promise<Answered> => {
    const mix = this.coat(i).planned!.answers['mix'] as AnswerOf<'mix'>;
    return this.tap(`/tickets/${this.whole.ticket.id}/mixes`, {
      id: newId(),
      stageId: this.coat(i).stageId,
      coatId: this.coat(i).id,
      batchNo: 1,
      poured: mix.components!.map(({ name, ml }) => ({ name, ml })),
    });
  };
  test = (i = 0, said: object = {}) =>
    this.tap(`/coats/${this.coat(i).id}/test-panel`, { version: this.coat(i).version, ...said });
  /** With the test panel before it, where the plan is taken. */
  spray = async (i = 0) => {
    if (this.coat(i).state === 'taken' && !this.coat(i).testPanel) await this.test(i);
    return this.trigger(i);
  };
  trigger = (i = 0) =>
    this.tap(`/coats/${this.coat(i).id}/spray-start`, {
      version: this.coat(i).version,
      mixId:
        this.whole.mixes.findLast(({ stageId }) => stageId === this.coat(i).stageId)?.id ?? newId(),
      unchangedSinceGate: true,
    });
  private panelId = (i: number, nth: number): string =>
    this.whole.ticket.stages[this.stageOf(i)]!.panelIds[nth]!;
  panel = (i = 0, nth = 0, half?: 'left' | 'right') =>
    this.tap(`/coats/${this.coat(i).id}/panels`, {
      panelId: this.panelId(i, nth),
      ...(half ? { half } : {}),
    });
  panelBack = (i = 0, nth = 0) =>
    this.tap(`/coats/${this.coat(i).id}/panels-back`, { panelId: this.panelId(i, nth) });
  on = (i = 0, more: object = {}) =>
    this.tap(`/coats/${this.coat(i).id}/spray-end`, { version: this.coat(i).version, ...more });
  flash = async (i = 0): Promise<Answered> => {
    await this.shop.letMinutesPass(120);
    const timer = this.whole.timers.find(
      ({ coatId, kind }) => coatId === this.coat(i).id && kind === 'flash',
    )!;
    return this.tap(`/timers/${timer.id}/confirm`, {
      version: timer.version,
      tests: { touch: 'dry', edge: 'dry' },
    });
  };
  look = (i: number, seen: string[]) =>
    this.tap(`/coats/${this.coat(i).id}/look`, {
      version: this.coat(i).version,
      done: {},
      seen,
      rating: 'fair',
      note: '',
    });
  heatRead = (i: number, panelId: string, seenC: number) =>
    this.tap(`/coats/${this.coat(i).id}/heat-reads`, { id: newId(), panelId, seenC });
  work = (i: number, kind: string, more: object = {}) =>
    this.tap(`/coats/${this.coat(i).id}/works`, { id: newId(), kind, why: '', ...more });

  /** From gate to look, everything as it should be. */
  async lay(i: number, seen: string[] = ['nothing']): Promise<void> {
    await this.gate(i);
    for (const step of ['take', 'pour', 'spray', 'on', 'flash'] as const) {
      const reply = await this[step](i);
      if (reply.status >= 300) throw new Error(`${step}: ${reply.body.error.message}`);
    }
    await this.look(i, seen);
  }
}

/** The room of the ticket, set up otherwise; answers what it was before. */
export async function changeRoom({ shop, whole }: CoatWalk, changes: object): Promise<object> {
  const room = (await shop.setup()).rooms.find(({ id }) => id === whole.ticket.roomId)!;
  const { id, ...body } = room;
  const reply = await shop.put(`/rooms/${id}`, { ...body, ...changes });
  if (reply.status >= 300) throw new Error(JSON.stringify(reply.body));
  return Object.fromEntries(
    Object.keys(changes).map((name) => [name, room[name as keyof typeof room]]),
  );
}

/** Refused with this code, and the ticket is as it was. */
export async function expectNothingMoved(
  walk: CoatWalk,
  work: () => Promise<Answered>,
  code: string,
): Promise<Answered> {
  const { serverNow: _w, ...was } = await walk.read();
  const reply = await work();
  expect(reply.status).toBe(409);
  expect(reply.body.error.code).toBe(code);
  const { serverNow: _n, ...now } = await walk.read();
  expect(now).toEqual(was);
  return reply;
}
