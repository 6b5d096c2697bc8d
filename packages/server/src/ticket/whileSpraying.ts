/** What holds at every tap while paint goes on. */
import type { EntityManager } from 'typeorm';
import type { StandInProbe } from '../air/probe.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { mustHavePassedGate, mustStandFree } from './judge.ts';
import { planContextOf } from './planReader.ts';
import { ticketById } from './ticketReader.ts';
import type { CoatRow } from './coatTables.ts';

/** The time that a tap was noted at, and not before the trigger was pulled. */
export const whileSpraying = ({ startedAt }: CoatRow): Date =>
  new Date(Math.max(notedAt().getTime(), startedAt?.getTime() ?? 0));

/** What the gauge saw, as the row keeps it. */
export const spellColumns = (spell: { lowestKPa: number; highestKPa: number } | undefined) => ({
  lowestInletKPa: spell?.lowestKPa ?? null,
  highestInletKPa: spell?.highestKPa ?? null,
});

/** The stage that a coat is of. */
export const stageOf = async (manager: EntityManager, { ticketId, stageId }: CoatRow) =>
  (await ticketById(manager, ticketId)).stages.find(({ id }) => id === stageId)!;

/**
 * The same judge as before the trigger was pulled: a room, an air or a layer below may have changed
 * since.
 */
export async function mayGoOn(
  manager: EntityManager,
  probe: StandInProbe,
  tap: 'panel' | 'on',
  coat: CoatRow,
  painterId: string,
): Promise<void> {
  const context = await planContextOf(manager, probe, coat, { painterId });
  mustHavePassedGate(context);
  mustStandFree(tap, coat, context);
}
