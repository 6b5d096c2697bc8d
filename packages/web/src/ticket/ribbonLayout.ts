/**
 * The clock of a ticket as a ribbon: what was done when, and what is left at today's waits. Pure.
 */
import type { TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { minutesText } from '@orthochrom/contract/words/format.ts';
import { scaleLinear } from 'd3';
import { STAGE_NAME } from '../words/tradeNames.ts';

export type RibbonBlock = {
  key: string;
  name: string;
  kind: 'spray' | 'flash';
  stage: string;
  isDone: boolean;
  fromMs: number;
  toMs: number;
};
/** Minutes that a coat takes to spray and then to flash. */
export type StageMinutes = (
  coat: Pick<Coat, 'id' | 'stageId'>,
  isLastCoat: boolean,
) => { spray: number; flash: number };

const MINUTE_MS = 60_000;
const HALF_DAY_MINUTES = 720;
const FEW_MINUTES = 120;
/** Half of a clock text: nearer to the end it would be cut. */
const TICK_ROOM_PX = 22;

/** Minutes as a bare figure while they are few: over hours nobody counts in them. */
const flashSaid = (minutes: number): string =>
  minutes < FEW_MINUTES ? String(minutes) : minutesText(minutes);

/** Blocks in order: logged times where they are known, else one after the other from now. */
export function ribbonBlocks(
  { ticket, coats, timers }: Pick<TicketWhole, 'ticket' | 'coats' | 'timers'>,
  nowMs: number,
  minutesOf: StageMinutes,
): RibbonBlock[] {
  let cursorMs = nowMs;
  return coats.flatMap((coat) => {
    const stage = ticket.stages.find(({ id }) => id === coat.stageId);
    if (!stage) return [];
    const { spray, flash } = minutesOf(coat, coat.ordinal === stage.coats);
    const timer = timers.find((t: Timer) => t.coatId === coat.id && t.kind === 'flash');
    const startedMs = coat.startedAt ? Date.parse(coat.startedAt) : cursorMs;
    const endedMs = coat.endedAt
      ? Date.parse(coat.endedAt)
      : Math.max(startedMs + spray * MINUTE_MS, coat.startedAt ? nowMs : 0);
    const flashEndMs = timer?.confirmedAt
      ? Date.parse(timer.confirmedAt)
      : timer
        ? Math.max(Date.parse(timer.dueAt), endedMs)
        : endedMs + flash * MINUTE_MS;
    cursorMs = Math.max(nowMs, flashEndMs);
    const name =
      stage.coats > 1 ? `${STAGE_NAME[stage.kind]} ${coat.ordinal}` : STAGE_NAME[stage.kind];
    const isDone = (state: Coat['state'][]) => state.includes(coat.state);
    return [
      {
        key: `${coat.id}s`,
        name,
        kind: 'spray',
        stage: stage.kind,
        isDone: isDone(['sprayed', 'flashed', 'looked']),
        fromMs: startedMs,
        toMs: endedMs,
      },
      {
        key: `${coat.id}f`,
        name: `flash ${flashSaid(Math.max(1, Math.round((flashEndMs - endedMs) / MINUTE_MS)))}`,
        kind: 'flash',
        stage: stage.kind,
        isDone: isDone(['flashed', 'looked']),
        fromMs: endedMs,
        toMs: flashEndMs,
      },
    ] satisfies RibbonBlock[];
  });
}

export function layOutRibbon(
  blocks: readonly RibbonBlock[],
  nowMs: number,
  box: { widthPx: number; padPx: number },
) {
  const fromMs = Math.min(nowMs, ...blocks.map((block) => block.fromMs));
  const toMs = Math.max(nowMs + MINUTE_MS, ...blocks.map((block) => block.toMs));
  const x = scaleLinear([fromMs, toMs], [box.padPx, box.widthPx - box.padPx]);
  const spanMinutes = (toMs - fromMs) / MINUTE_MS;
  const everyMinutes =
    [10, 15, 30, 60, 120, 240, 720, 1440].find((step) => spanMinutes / step <= 9) ?? 2880;
  const first = Math.ceil(fromMs / (everyMinutes * MINUTE_MS)) * everyMinutes * MINUTE_MS;
  const ticks = Array.from(
    { length: Math.max(0, Math.floor((toMs - first) / (everyMinutes * MINUTE_MS)) + 1) },
    (_, i) => first + i * everyMinutes * MINUTE_MS,
  );
  return {
    blocks: blocks.map((block) => ({
      ...block,
      xPx: x(block.fromMs),
      widthPx: Math.max(2, x(block.toMs) - x(block.fromMs)),
    })),
    nowPx: x(nowMs),
    /** Over days an hour alone says nothing. */
    isOverDays: everyMinutes >= HALF_DAY_MINUTES,
    ticks: ticks
      .map((atMs) => ({ atMs, xPx: x(atMs) }))
      .filter(({ xPx }) => xPx > TICK_ROOM_PX && xPx < box.widthPx - TICK_ROOM_PX),
    /** The last flash is over; before now where all is dry. */
    dryMs: Math.max(fromMs, ...blocks.map((block) => block.toMs)),
  };
}
