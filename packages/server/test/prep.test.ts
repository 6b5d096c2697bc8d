/** Making ready holds on the server: gates before the stage, all kept, one panel taken back. */
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { CoatWalk, codesOf } from './coatWalk.ts';
import { ShopFixture } from './shopFixture.ts';

let walk: CoatWalk;
const opened: ShopFixture[] = [];
beforeEach(async () => {
  const shop = await ShopFixture.open();
  opened.push(shop);
  walk = await CoatWalk.begin(shop);
});
afterAll(async () => {
  for (const fixture of opened) await fixture.close();
});

const tell = async (more: Partial<Panel>): Promise<void> => {
  expect((await walk.tellPanels(more)).status).toBe(200);
};
const FACTORY: FoundLayer[] = [{ history: 'factory', lastGrit: 'P600' }];
const TAPS = ['take', 'pour', 'spray'] as const;

describe('the list of a ticket', () => {
  it('holds nothing on a ticket that nobody took in', async () => {
    await walk.gate();
    for (const tap of TAPS) expect((await walk[tap]()).status).toBeLessThan(300);
  });

  it('stops the first coat until its gates are passed, then lets it go', async () => {
    await tell({ found: FACTORY });
    await walk.gate();
    const reply = await walk.take();
    expect(reply.status).toBe(409);
    expect(codesOf(reply)).toContain('prep-open');
    await walk.prep();
    for (const tap of TAPS) expect((await walk[tap]()).status).toBeLessThan(300);
  });

  it('stops pouring and spraying again for gloss that was found since', async () => {
    await tell({ found: FACTORY });
    await walk.gate();
    await walk.prep();
    await walk.take();
    const sand = (await walk.prepList()).steps.find(({ kind }) => kind === 'sand')!;
    expect((await walk.prepAnswer(sand.key, 'glossLeft')).status).toBe(201);
    expect(codesOf(await walk.pour())).toContain('prep-open');
    await walk.prepAnswer(sand.key, 'matt');
    expect((await walk.pour()).status).toBeLessThan(300);
  });

  it('refuses a step behind an open gate, one it has not, and what may not be left out', async () => {
    await tell({ found: FACTORY });
    const { version } = walk.whole.ticket;
    const refused = [
      [await walk.prepAnswer('0.wipe', 'clean'), 409, '0.inspect'],
      [await walk.prepAnswer('0.polish', 'done'), 422, 'key'],
      [await walk.prepAnswer('0.inspect', 'skipped', 'no time'), 422, 'answer'],
      [await walk.prepAnswer('0.wash', 'skipped'), 422, 'reason'],
      [await walk.prepAnswer('0.inspect', 'perhaps'), 422, 'answer'],
    ] as const;
    for (const [reply, status, word] of refused) {
      expect(reply.status).toBe(status);
      expect(JSON.stringify(reply.body.error)).toContain(word);
    }
    const now = await walk.read();
    expect([now.ticket.version, now.prepAnswers]).toEqual([version, []]);
  });

  it('keeps a word why, and every answer that was ever given', async () => {
    await tell({ found: FACTORY });
    await walk.prepAnswer('0.wash', 'skipped', 'new panel, washed at delivery');
    await walk.prepAnswer('0.wash', 'done');
    expect((await walk.read()).prepAnswers).toMatchObject([
      { key: '0.wash', answer: 'skipped', reason: 'new panel, washed at delivery' },
      { key: '0.wash', answer: 'done' },
    ]);
  });

  it('takes one panel back for what is found on it late', async () => {
    await tell({ found: FACTORY });
    await walk.gate();
    await walk.prep();
    const [panel] = walk.whole.ticket.panels;
    expect((await walk.foundLate(panel!.id, 'dent')).status).toBe(201);
    const { steps, next } = await walk.prepList();
    expect(next).toBe('0.inspect');
    const again = new Set(steps.flatMap((step) => step.again ?? []));
    expect(again.size).toBe(1);
    expect(codesOf(await walk.take())).toContain('prep-open');
    await walk.prep();
    expect((await walk.take()).status).toBeLessThan(300);
  });

  it('keeps what the customer declined beside the advice, in his words', async () => {
    await tell({ found: FACTORY, foreign: true });
    await walk.prepAnswer('0.wash', 'done');
    await walk.prepAnswer('0.degrease', 'done');
    await walk.prepAnswer('0.inspect', 'nothing');
    for (const { key, kind } of (await walk.prepList()).steps)
      if (kind === 'tapePull') await walk.prepAnswer(key, 'holds');
    expect((await walk.prepAnswer('0.decide', 'declined')).status).toBe(422);
    await walk.prepAnswer('0.decide', 'declined', 'only until it is sold');
    const { decisions, ticket } = await walk.read();
    expect(decisions).toHaveLength(ticket.panels.length);
    for (const decision of decisions)
      expect(decision).toMatchObject({
        topic: 'foreign',
        decision: 'declines',
        word: 'only until it is sold',
        adviceText: expect.stringContaining('Somebody else') as string,
      });
  });

  it('keeps with the decision what both ways take, as it stood before the customer then', async () => {
    await tell({ found: FACTORY, manyLayers: true });
    await walk.prepAnswer('0.wash', 'done');
    await walk.prepAnswer('0.degrease', 'done');
    await walk.prepAnswer('0.inspect', 'nothing');
    for (const { key, kind } of (await walk.prepList()).steps)
      if (kind === 'tapePull') await walk.prepAnswer(key, 'holds');
    const reply = await walk.prepAnswer('0.decide', 'declined', 'the budget ends here');
    expect(reply.body.decisions).not.toEqual([]);
    const [{ worth } = {}] = reply.body.decisions.filter(({ topic }) => topic === 'strip');
    expect(worth!.advised.readyMl).toBeGreaterThan(worth!.planned.readyMl);
    expect(worth!.primer).not.toBe('');
    await tell({ found: [] });
    expect((await walk.read()).decisions.find(({ topic }) => topic === 'strip')).toEqual(
      reply.body.decisions.find(({ topic }) => topic === 'strip'),
    );
  });

  it('what the rub said stops the coat that would lift it', async () => {
    await tell({ found: [{ history: 'unknownOld', lastGrit: 'P600' }] });
    await walk.gate();
    await walk.prepAnswer('0.wash', 'done');
    await walk.prepAnswer('0.degrease', 'done');
    await walk.prepAnswer('0.inspect', 'nothing');
    for (const { key, kind } of (await walk.prepList()).steps) {
      if (kind === 'tapePull') await walk.prepAnswer(key, 'holds');
      if (kind === 'solventRub') await walk.prepAnswer(key, 'wrinkles');
    }
    expect(codesOf(await walk.take())).toContain('layer-lifts');
  });

  it('takes a repeated answer once', async () => {
    await tell({ found: FACTORY });
    const body = {
      id: '0192f0c1-1111-7000-8000-000000000001',
      painterId: walk.painterId,
      key: '0.wash',
      answer: 'done',
      reason: '',
    };
    const path = `/tickets/${walk.whole.ticket.id}/prep-answers`;
    await walk.shop.post(path, body);
    await walk.shop.post(path, body);
    expect((await walk.read()).prepAnswers).toHaveLength(1);
  });
});
