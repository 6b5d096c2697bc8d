/**
 * The gun on a ticket, at the API: what may not be overridden, what is kept with the mix, and how
 * the air held.
 */
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
beforeAll(async () => {
  shop = await ShopFixture.open();
});
afterAll(() => shop.close());

describe('on the ticket', () => {
  it('a pressure over what the gun may have is refused as an override, and the flow cup stays with its mix', async () => {
    const { whole, painterId: nell } = await shop.openTicket(
      'Skerry 240 coupe, 1968, ivory over slate',
    );
    const gunId = whole.ticket.stages[0]!.gunId!;
    await shop.passGate(whole, nell);
    const coat = whole.coats[0]!;
    const over = { inletKPa: { recommended: 150, chosen: 400, why: 'more is more' } };
    const refused = await shop.post<Fault>(`/coats/${coat.id}/take`, {
      version: coat.version,
      painterId: nell,
      gunId,
      overrides: over,
    });
    expect(refused.status).toBe(422);
    expect(refused.body.error.path).toEqual(['overrides', 'inletKPa', 'chosen']);
    const taken = (
      await shop.post<TicketWhole>(`/coats/${coat.id}/take`, {
        version: coat.version,
        painterId: nell,
        gunId,
        overrides: {},
        part: 'spot',
      })
    ).body.coats[0]!;
    expect((taken.planned!.inputs['setup'] as { part: string }).part).toBe('spot');
    const again = await shop.post<Fault>(`/coats/${coat.id}/overrides`, {
      version: taken.version,
      painterId: nell,
      overrides: over,
    });
    expect(again.status).toBe(422);
    const components = (
      taken.planned!.answers['mix'] as { components: { name: string; ml: number }[] }
    ).components;
    const mixId = newId();
    const mixed = await shop.post<TicketWhole>(`/tickets/${whole.ticket.id}/mixes`, {
      id: mixId,
      stageId: coat.stageId,
      coatId: coat.id,
      painterId: nell,
      batchNo: 1,
      poured: components.map(({ name, ml }) => ({ name, ml })),
    });
    const { version } = mixed.body.mixes.find(({ id }) => id === mixId)!;
    const flowCup = { cup: 'din4', seconds: 28, measuredAtC: 21 };
    const timed = await shop.post<TicketWhole>(`/mixes/${mixId}/flow-cup`, {
      version,
      painterId: nell,
      flowCup,
    });
    expect(timed.body.mixes.find(({ id }) => id === mixId)!.flowCup).toEqual(flowCup);
    const stale = await shop.post<Fault>(`/mixes/${mixId}/flow-cup`, {
      version,
      painterId: nell,
      flowCup: { ...flowCup, seconds: 30 },
    });
    expect(stale.status).toBe(409);
  });
});

describe('the pressure at the gun over a coat', () => {
  it('is kept with each panel and with the coat, and sags when somebody else draws on the tank', async () => {
    const { whole, painterId: nell, gunId } = await shop.openTicket();
    await shop.passGate(whole, nell);
    const coat = whole.coats[0]!;
    const taken = (
      await shop.post<TicketWhole>(`/coats/${coat.id}/take`, {
        version: coat.version,
        painterId: nell,
        gunId,
        overrides: {},
      })
    ).body;
    const plan = taken.coats[0]!;
    const setup = plan.planned!.answers['setup'] as {
      inletKPa: number;
      regulatorFlowingKPa?: number;
    };
    expect(setup.regulatorFlowingKPa!).toBeGreaterThan(setup.inletKPa);
    const components = (
      plan.planned!.answers['mix'] as { components: { name: string; ml: number }[] }
    ).components;
    const mixId = newId();
    await shop.post(`/tickets/${whole.ticket.id}/mixes`, {
      id: mixId,
      stageId: coat.stageId,
      coatId: coat.id,
      painterId: nell,
      batchNo: 1,
      poured: components.map(({ name, ml }) => ({ name, ml })),
    });
    const spraying = (
      await shop.post<TicketWhole>(`/coats/${coat.id}/spray-start`, {
        version: plan.version,
        painterId: nell,
        mixId,
        unchangedSinceGate: true,
      })
    ).body.coats[0]!;
    await shop.rows(
      `update coat set started_at = started_at - interval '20 seconds' where id = $1`,
      [coat.id],
    );
    await shop.post(`/coats/${coat.id}/panels`, {
      panelId: whole.ticket.panels[0]!.id,
      painterId: nell,
    });
    await shop.post('/gauge', { otherDrawLPerMin: 1200 });
    await shop.rows(
      `update coat set started_at = started_at - interval '4 minutes' where id = $1`,
      [coat.id],
    );
    await shop.rows(
      `update coat_panel set sprayed_at = sprayed_at - interval '4 minutes' where coat_id = $1`,
      [coat.id],
    );
    const now = (
      await shop.get<{ flowing: { nowKPa: number; lowestKPa: number } }>(
        `/coats/${coat.id}/flowing`,
      )
    ).body.flowing;
    expect(now.nowKPa).toBeLessThan(setup.inletKPa - 20);
    const done = (
      await shop.post<TicketWhole>(`/coats/${coat.id}/spray-end`, {
        version: spraying.version,
        painterId: nell,
      })
    ).body.coats[0]!;
    expect(done.highestInletKPa!).toBeGreaterThan(setup.inletKPa - 2);
    expect(done.lowestInletKPa!).toBeLessThan(setup.inletKPa - 20);
    const [first, last] = [done.panelsSprayed[0]!, done.panelsSprayed.at(-1)!];
    expect(last.lowestInletKPa!).toBeLessThan(first.lowestInletKPa! - 15);
  });
});
