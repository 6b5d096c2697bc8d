/**
 * What lies behind a journey, done through the API: a list answered, days gone by, a room set up
 * otherwise.
 */
import type { Room, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { minuteOfDay } from '@orthochrom/contract/plan/shopHours.ts';
import { prepList } from '@orthochrom/contract/plan/prepList.ts';
import type { Panel, SheetVersion, Ticket, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { bodyMap, type Body } from '@orthochrom/core/body/bodyMap.ts';
import { passesOf, type PrepKind } from '@orthochrom/core/prep/stepKinds.ts';
import { expect, type Page } from '@playwright/test';
import pg from 'pg';
import { v7 as newId } from 'uuid';
import { call } from './call.ts';
import { databaseUrl } from './shopServer.ts';

const read = (ticketId: string) => call<TicketWhole>('GET', `/tickets/${ticketId}`);

/** Every step of the list answered as it should be. */
export const answerPrep = (ticketId: string): Promise<void> => answerPrepUntil(ticketId);

/** Up to the first step of this kind, which stays to be answered. */
export async function answerPrepUntil(ticketId: string, kind?: PrepKind): Promise<void> {
  const { rooms, painters } = await call<ShopSetup>('GET', '/setup');
  let whole = await read(ticketId);
  const room = rooms.find(({ id }) => id === whole.ticket.roomId)!;
  const painter = painters.find(({ id }) => id === whole.ticket.painterId)!;
  for (;;) {
    const { next, steps } = prepList(whole, { room, painter, nowMs: Date.now() })!;
    const step = steps.find(({ key }) => key === next);
    if (!step || step.kind === kind) return;
    whole = await call('POST', `/tickets/${ticketId}/prep-answers`, {
      id: newId(),
      painterId: painter.id,
      key: step.key,
      answer: passesOf(step.kind)[0],
      reason: '',
    });
  }
}

/** The coats of this ticket are so many days old. */
export async function letDaysPass(ticketId: string, days: number): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  await client.query(
    `update coat set started_at = started_at - $1::interval, ended_at = ended_at - $1::interval where ticket_id = $2`,
    [`${days} days`, ticketId],
  );
  await client.end();
}

/** The night is over: what waits to be looked at is due. */
export async function endTheNight(ticketId: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  await client.query(
    `update timer set due_at = now() - interval '1 minute' where kind = 'look' and ticket_id = $1`,
    [ticketId],
  );
  await client.end();
}

/** Half a day and more lies before the board, whatever the hour is. */
export async function openLong(timeZone: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  const isMorning = minuteOfDay(timeZone, Date.now()) < 720;
  const hours = { opensMinute: 0, closesMinute: isMorning ? 1440 : 720, breaks: [] };
  await client.query('update shop set hours = $1', [hours]);
  await client.end();
}

export async function roomOf(ticketId: string): Promise<Room> {
  const { ticket } = await read(ticketId);
  return (await call<ShopSetup>('GET', '/setup')).rooms.find(({ id }) => id === ticket.roomId)!;
}

/** Set up as it was, whatever its version is by now. */
export async function setRoom(room: Room): Promise<void> {
  const { version } = (await call<ShopSetup>('GET', '/setup')).rooms.find(
    ({ id }) => id === room.id,
  )!;
  const { id, ...body } = room;
  await call('PUT', `/rooms/${id}`, { ...body, version });
}

/** Tells the same of every panel of a ticket. */
export async function tellPanels(ticketId: string, told: Partial<Panel>): Promise<void> {
  const { ticket } = await read(ticketId);
  const { id, number: _n, createdAt: _c, ...edit } = ticket;
  const panels = edit.panels.map((panel) => ({ ...panel, ...told }));
  await call('PUT', `/tickets/${id}`, { ...edit, panels });
}

/** Tells something of one panel, by its key. */
export async function tellPanel(
  ticketId: string,
  name: string,
  told: Partial<Panel>,
): Promise<void> {
  const { ticket } = await read(ticketId);
  const { id, number: _n, createdAt: _c, ...edit } = ticket;
  const panels = edit.panels.map((panel) => (panel.name === name ? { ...panel, ...told } : panel));
  expect(
    panels.some((panel) => panel.name === name),
    name,
  ).toBe(true);
  await call('PUT', `/tickets/${id}`, { ...edit, panels });
}

/** Every panel of a body, in one colour. */
export async function wholeBody(vehicle: string, bodyKind: Body): Promise<string> {
  const { tickets } = await call<{ tickets: Ticket[] }>('GET', '/tickets');
  const like = tickets.find((ticket) => ticket.vehicle.startsWith('Linnet hatchback, left side'))!;
  const sheets = await call<SheetVersion[]>('GET', '/sheets');
  const version = sheets.find(({ sheet }) => sheet.kind === 'singleStage')!;
  const { version: _v, number: _n, state: _s, createdAt: _c, ...ticket } = like;
  const panels = bodyMap(bodyKind).panels.map(({ id: name, areaM2, orientation, substrate }) => ({
    id: newId(),
    name,
    areaM2,
    orientation,
    substrate: substrate ?? ('metal' as const),
    scope: 'full' as const,
  }));
  const own = {
    ...ticket,
    id: newId(),
    vehicle,
    bodyKind,
    jobSize: 'overall',
    panels,
    stages: [
      {
        id: newId(),
        kind: 'singleStage',
        sheetVersionId: version.id,
        recipeName: version.sheet.recipes![0]!.name,
        colourName: '',
        coats: 2,
        part: 'largePanel',
        panelIds: panels.map(({ id }) => id),
      },
    ],
  };
  await call('POST', '/tickets', own);
  return own.id;
}

/** The list of the ticket that is shown, answered as it should be. */
export async function makeReady(page: Page): Promise<void> {
  await page.waitForURL(/\/tickets\/[0-9a-f-]{36}$/);
  await answerPrep(new URL(page.url()).pathname.split('/')[2]!);
  await page.reload();
}
