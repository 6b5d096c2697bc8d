/**
 * Whether the safety gate counts as asked: for this room, painter and stage, today by the shop's
 * clock, and about what is still so.
 */
import { solventOf } from './gateProduct.ts';
import { dateIn } from './shopHours.ts';
import type { Room } from '../shop/setup.ts';
import type { GateAbout, GateRecord } from '../shop/gateRecord.ts';
import type { StagePlan } from '../shop/ticket.ts';
import type { Sheet } from '../sheet/sheet.ts';

type Answered = Pick<
  GateRecord,
  'stageId' | 'roomId' | 'painterId' | 'answeredAt' | 'passed' | 'gateVersion'
>;

/** Raised when the gate asks more than before: answers to an older gate do not open it. */
export const GATE_VERSION = 2;

/** A clock put back must not make an answer of tomorrow count: so far apart two clocks may be. */
const CLOCK_ERROR_MS = 60_000;

/** The newest answer that counts, passed or not; a later answer takes an earlier one's place. */
export function gateToday<G extends Answered>(
  gates: readonly G[],
  of: { stageId?: string; roomId: string; painterId: string; nowMs: number; timeZone: string },
): G | undefined {
  const newest = gates
    .filter(
      (gate) =>
        gate.gateVersion === GATE_VERSION &&
        (of.stageId === undefined || gate.stageId === of.stageId) &&
        gate.roomId === of.roomId &&
        gate.painterId === of.painterId &&
        Date.parse(gate.answeredAt) <= of.nowMs + CLOCK_ERROR_MS,
    )
    .reduce<G | undefined>(
      (last, gate) =>
        last && Date.parse(last.answeredAt) > Date.parse(gate.answeredAt) ? last : gate,
      undefined,
    );
  return newest &&
    dateIn(of.timeZone, Date.parse(newest.answeredAt)) === dateIn(of.timeZone, of.nowMs)
    ? newest
    : undefined;
}

/**
 * What the gate of a stage is asked about: the room as it is set up, and the product as the stage
 * pours it.
 */
export const gateAbout = (
  room: Room,
  stage: Pick<StagePlan, 'recipeName' | 'sheetVersionId'>,
  sheet: Sheet,
): GateAbout => ({
  place: room.place,
  extraction: room.extraction,
  twoPackAtHome: room.regionRules.twoPackAtHome ?? 'unknown',
  hardener: sheet.hardenerChemistry,
  carrier: sheet.carrier,
  sheetVersionId: stage.sheetVersionId,
  recipeName: stage.recipeName,
  ...solventOf(sheet, stage.recipeName, room),
});

const SAID: Record<keyof GateAbout, string> = {
  place: 'what the room is',
  extraction: 'the room’s extraction',
  twoPackAtHome: 'the rule on two-pack here',
  hardener: 'the hardener',
  carrier: 'the carrier',
  sheetVersionId: 'the product',
  recipeName: 'the recipe',
  vocGPerL: 'the solvent in the mix',
  vocLimitGPerL: 'the solvent limit here',
};

/**
 * What is no longer as it was when the gate was answered, in words; none: the answer still holds.
 */
export const changedSince = (answered: GateAbout, now: GateAbout): string[] =>
  (Object.keys(SAID) as (keyof GateAbout)[])
    .filter((key) => answered[key] !== now[key])
    .map((key) => SAID[key]);

export type GateState = {
  state: 'open' | 'stopped' | 'changed' | 'passed';
  changed: string[];
  gate?: GateRecord;
};

/** Where the gate of a stage stands: `passed` alone opens the recipe. */
export function gateStateOf(
  gates: readonly GateRecord[],
  of: {
    stageId: string;
    roomId: string;
    painterId: string;
    nowMs: number;
    timeZone: string;
    about: GateAbout;
  },
): GateState {
  const gate = gateToday(gates, of);
  if (!gate) return { state: 'open', changed: [] };
  if (!gate.passed) return { state: 'stopped', changed: [], gate };
  const changed = changedSince(gate.about, of.about);
  return { state: changed.length > 0 ? 'changed' : 'passed', changed, gate };
}
