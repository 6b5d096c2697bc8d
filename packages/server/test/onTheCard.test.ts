/**
 * Cards, shades and doses of one's own: kept with their word, refused where the sheet has them not.
 */
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { passesOf } from '@orthochrom/core/prep/stepKinds.ts';
import { CoatWalk } from './coatWalk.ts';
import { ShopFixture, type Fault } from './shopFixture.ts';

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

type Answer = TicketWhole & Fault;
/** The ticket with its stages otherwise. */
async function changeStages(
  change: (stage: TicketWhole['ticket']['stages'][number]) => object,
): Promise<{ status: number; body: Answer }> {
  const { id, number: _n, createdAt: _c, ...ticket } = (await walk.read()).ticket;
  const stages = ticket.stages.map((stage) => ({ ...stage, ...change(stage) }));
  return walk.shop.put<Answer>(`/tickets/${id}`, { ...ticket, stages });
}

describe('a spray-out card', () => {
  const answer = (key: string, said: string, card?: object) =>
    walk.shop.post<Answer>(`/tickets/${walk.whole.ticket.id}/prep-answers`, {
      id: newId(),
      painterId: walk.painterId,
      key,
      answer: said,
      reason: 'too warm',
      ...(card ? { card } : {}),
    });
  /** The list answered up to its card. */
  async function reachCard(): Promise<string> {
    await changeStages(({ kind }) => (kind === 'base' ? { finish: 'silver', variant: 'B' } : {}));
    await walk.tellPanels({ found: [{ history: 'factory', lastGrit: 'P600' }] });
    for (;;) {
      const { next, steps } = await walk.prepList();
      const step = steps.find(({ key }) => key === next)!;
      if (step.kind === 'card') return step.key;
      await walk.prepAnswer(step.key, passesOf(step.kind)[0]!);
    }
  }
  const told = { id: newId(), coats: 3, groundText: 'Grey 2', wetFilmUm: 34 };

  it('is kept with what was seen, its stage and its picture, which comes once', async () => {
    const key = await reachCard();
    expect((await answer(key, 'differs', told)).status).toBe(201);
    const base = (await walk.read()).ticket.stages.find(({ kind }) => kind === 'base')!;
    expect(walk.whole.sprayCards).toEqual([
      expect.objectContaining({
        ...told,
        seen: 'differs',
        word: 'too warm',
        stageId: base.id,
        hasPhoto: false,
      }),
    ]);
    const picture = await sharp({
      create: { width: 60, height: 40, channels: 3, background: '#8899aa' },
    })
      .png()
      .toBuffer();
    const path = `/spray-cards/${told.id}/photo?painterId=${walk.painterId}`;
    expect((await walk.shop.send(path, picture, 'image/png')).status).toBe(201);
    expect((await walk.read()).sprayCards[0]!.hasPhoto).toBe(true);
    expect(await walk.shop.bytes(`/spray-cards/${told.id}/photo`)).toEqual(picture);
    expect((await walk.shop.send(path, picture, 'image/png')).status).toBe(409);
    const nowhere = `/spray-cards/${newId()}/photo?painterId=${walk.painterId}`;
    expect((await walk.shop.send(nowhere, picture, 'image/png')).status).toBe(404);
  });

  it('is refused where the step is none, or nothing was seen on it', async () => {
    const key = await reachCard();
    for (const [at, said] of [
      [key, 'skipped'],
      ['0.wash', 'done'],
    ] as const) {
      const reply = await answer(at, said, { ...told, id: newId() });
      expect(reply.status).toBe(422);
      expect(reply.body.error.path).toEqual(['card']);
    }
    const cards: SprayCard[] = (await walk.read()).sprayCards;
    expect(cards).toEqual([]);
  });
});

describe('a shade and a recipe of a stage', () => {
  it('takes shades of its own product, and no other’s where its sheet does not say so', async () => {
    const sealer = (stage: { kind: string }, tint: object[]) =>
      stage.kind === 'sealer' ? { tint } : {};
    const own = [
      { name: 'Grey 1, lightest', parts: 3, product: 'tarnside-grey-sealer' },
      { name: 'Grey 5, darkest', parts: 1, product: 'tarnside-grey-sealer' },
    ];
    expect((await changeStages((stage) => sealer(stage, own))).status).toBe(200);
    expect((await walk.read()).ticket.stages.find(({ kind }) => kind === 'sealer')!.tint).toEqual(
      own,
    );
    const other = [own[0]!, { name: 'Red', parts: 1, product: 'tarnside-sb-solid' }];
    const reply = await changeStages((stage) => sealer(stage, other));
    expect(reply.status).toBe(422);
    expect(reply.body.error.path.slice(2)).toEqual(['tint', 1, 'product']);
    expect((await changeStages(() => ({ tint: undefined }))).status).toBe(200);
    expect((await walk.read()).ticket.stages.some(({ tint }) => tint)).toBe(false);
  });
});

describe('a dose of the painter’s own', () => {
  it('is taken with a word why where the sheet has it otherwise, and stays on the plan', async () => {
    const { body: sheets } =
      await walk.shop.get<
        { id: string; sheet: { id: string; reduction?: { maxPercent: number; of: string } } }[]
      >('/sheets');
    const clear = sheets.find(({ sheet }) => sheet.id === 'tarnside-clear-hs')!;
    const { maxPercent, of } = clear.sheet.reduction!;
    await changeStages(({ kind }) =>
      kind === 'clear' ? { sheetVersionId: clear.id, recipeName: '2:1' } : {},
    );
    await walk.read();
    const at = walk.whole.coats.findIndex(({ stageId }) =>
      walk.whole.ticket.stages.some(({ id, kind }) => id === stageId && kind === 'clear'),
    );
    for (let i = 0; i < at; i++) await walk.lay(i);
    await walk.gate(at);
    const dose = { product: 'reducer', percent: maxPercent + 2, of };
    const silent = await walk.take(at, { doses: [dose] });
    expect([silent.status, silent.body.error.path]).toEqual([422, ['overrides', 'dose']]);
    const strange = await walk.take(at, { doses: [{ ...dose, product: 'soap' }] });
    expect(strange.body.error.path).toEqual(['doses', 0, 'product']);
    const override = { recommended: 'none', chosen: '7 %', why: 'customer’s old clear' };
    const taken = await walk.take(at, { doses: [dose], overrides: { dose: override } });
    expect(taken.status).toBe(200);
    expect(walk.coat(at).planned!.wishes!.doses).toEqual([dose]);
    expect(walk.coat(at).overrides.dose).toEqual(override);
  });
});

describe('a mix that is thinned in the cup', () => {
  it('is noted anew and gets no younger by it', async () => {
    await walk.gate();
    await walk.take();
    await walk.pour();
    const [first] = walk.whole.mixes;
    const reducer = first!.recipe.parts.find(({ role }) => role === 'reducer')!.name;
    const more = {
      id: newId(),
      stageId: first!.stageId,
      coatId: walk.coat().id,
      painterId: walk.painterId,
      batchNo: first!.batchNo,
      poured: first!.poured.map((part) =>
        'ml' in part && part.name === reducer ? { ...part, ml: part.ml + 2 } : part,
      ),
    };
    const path = `/tickets/${walk.whole.ticket.id}/mixes`;
    const lost = await walk.shop.post<Answer>(path, { ...more, correctedFromId: newId() });
    expect([lost.status, lost.body.error.path]).toEqual([422, ['correctedFromId']]);
    const reply = await walk.shop.post<Answer>(path, { ...more, correctedFromId: first!.id });
    expect(reply.status).toBe(201);
    const [, second] = reply.body.mixes;
    expect(second!.potLifeEndsAt).toBe(first!.potLifeEndsAt);
    expect(second!.readyMl).toBeGreaterThan(first!.readyMl);
    expect(reply.body.timers.filter(({ kind }) => kind === 'potLife')).toHaveLength(1);
  });
});
