/** A coat as it is sprayed and looked at. Each step is its own write with its own version. */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import { stopsIn } from '@orthochrom/contract/plan/standing.ts';
import type { Overrides, SprayEnd, SprayStart } from '@orthochrom/contract/shop/coat.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { flowingSinceLastPanel } from '../compressedAir/flowing.ts';
import type { StandInGauge } from '../compressedAir/gauge.ts';
import type { Ledger } from '../event/ledger.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { keepCoatAir } from './coatAir.ts';
import { changeCoat, mustBe, mustBeNext } from './coatOrderRules.ts';
import { mustHavePassedGate, mustStandFree, standingNow } from './judge.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { MixTable, TimerTable, type MixRow, type TimerRow } from './ticketTables.ts';
import { CoatPanelTable, type CoatRow } from './coatTables.ts';
import { mayGoOn, spellColumns, stageOf, whileSpraying } from './whileSpraying.ts';

const MINUTE_MS = 60_000;

export const startSpraying = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, mixId, whyOldMix }: z.infer<typeof SprayStart>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    await mustBeNext(manager, coat);
    const context = await planContextOf(manager, probe, coat, { painterId });
    mustHavePassedGate(context);
    const mix = await manager.findOneBy(MixTable, { id: mixId, stageId: coat.stageId });
    if (!mix) throw BadInput.at(['mixId'], 'not-one-of', 'This mix does not belong to the stage.');
    const oldMix = oldMixOf(mix, whyOldMix);
    mustStandFree('spray', coat, context);
    const now = await airNow(manager, probe, coat.roomId!);
    const changes = {
      state: 'spraying',
      mixId,
      ...(oldMix ? { overrides: { ...coat.overrides, potLife: oldMix } } : {}),
      painterId,
      startedAt: new Date(),
      airC: now.air.value,
      rhPercent: now.humidity.value,
      panelC: now.panel?.value ?? null,
      materialC: now.material?.value ?? null,
    };
    await changeCoat(manager, trace, coat, {
      kind: 'spraying',
      version,
      painterId,
      changes,
      mine: { mixId },
    });
    await keepCoatAir(manager, probe, coat.id, coat.roomId!);
  });

/**
 * @throws OutOfTurn for a mix past its pot life, unless the painter says in a word why; then that
 * stands beside the plan
 */
function oldMixOf(
  { mixedAt, potLifeEndsAt }: MixRow,
  why: string | undefined,
): Overrides['potLife'] {
  const nowMs = Date.now();
  if (!potLifeEndsAt || potLifeEndsAt.getTime() >= nowMs) return undefined;
  const minutes = (untilMs: number) => Math.round((untilMs - mixedAt.getTime()) / MINUTE_MS);
  const [recommended, chosen] = [minutes(potLifeEndsAt.getTime()), minutes(nowMs)];
  if (!why)
    throw new OutOfTurn(
      `This mix is ${chosen} min old and lasts ${recommended}: clean the gun and mix again, or say in a word why it must be this one.`,
    );
  return { recommended, chosen, why };
}

/**
 * The coat is on: panels not tapped get this moment, and the flash timer starts from the last of
 * them.
 */
export const endSpraying = (
  ledger: Ledger,
  { probe, gauge }: { probe: StandInProbe; gauge: StandInGauge },
  coatId: string,
  {
    version,
    painterId,
    lowestInletKPa,
    highestInletKPa,
    stoppedBecause,
    panelsOn = [],
  }: z.infer<typeof SprayEnd>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'spraying');
    const stopped =
      stoppedBecause && (await stopKept(manager, probe, coat, painterId, stoppedBecause));
    if (!stopped) await mayGoOn(manager, probe, 'on', coat, painterId);
    const endedAt = whileSpraying(coat);
    const lastPanel = spellColumns(await flowingSinceLastPanel(manager, gauge, coat));
    const seen = spellColumns(gauge.spellSince(coatId, 0));
    gauge.forget(coatId);
    const flowing = {
      lowestInletKPa: lowestInletKPa ?? seen.lowestInletKPa,
      highestInletKPa: highestInletKPa ?? seen.highestInletKPa,
    };
    const stage = await stageOf(manager, coat);
    const on = stopped ? stage.panelIds.filter((id) => panelsOn.includes(id)) : stage.panelIds;
    const rows = on.map((panelId) => ({ coatId, panelId, sprayedAt: endedAt, ...lastPanel }));
    if (rows.length > 0)
      await manager
        .createQueryBuilder()
        .insert()
        .into(CoatPanelTable)
        .values(rows)
        .orIgnore()
        .execute();
    if (stopped && !(await manager.existsBy(CoatPanelTable, { coatId })))
      throw BadInput.at(
        ['panelsOn'],
        'needs-field',
        'Say which panels have paint on them; with none, there is no coat to keep.',
      );
    await changeCoat(manager, trace, coat, {
      kind: 'sprayed',
      version,
      painterId,
      changes: {
        state: 'sprayed',
        endedAt,
        ...flowing,
        ...(stopped ? { overrides: { ...coat.overrides, stop: stopped } } : {}),
      },
      mine: { ...flowing, ...(stopped ? { stoppedBecause, panelsOn } : {}) },
    });
    await keepCoatAir(manager, probe, coatId, coat.roomId!);
    await startFlash(manager, probe, coat, painterId, endedAt);
  });

/**
 * Broken off: what is on stays on, and why, with the stops of that moment beside it. Nothing more
 * is sprayed under them.
 */
async function stopKept(
  manager: EntityManager,
  probe: StandInProbe,
  coat: CoatRow,
  painterId: string,
  why: string,
): Promise<NonNullable<Overrides['stop']>> {
  const standing = standingNow(
    'on',
    coat,
    await planContextOf(manager, probe, coat, { painterId }),
  );
  const stops = stopsIn(standing).map(({ code }) => code);
  return { recommended: stops.length > 0 ? stops.join(', ') : 'go on', chosen: 'broken off', why };
}

/** Flash by the air at this moment, not by the air the plan was taken in. */
async function startFlash(
  manager: EntityManager,
  probe: StandInProbe,
  coat: CoatRow,
  painterId: string,
  endedAt: Date,
): Promise<void> {
  const context = await planContextOf(manager, probe, coat, { painterId });
  const { recoat } = planCoat(context);
  const row = {
    id: newId(),
    ticketId: coat.ticketId,
    coatId: coat.id,
    kind: 'flash',
    startedAt: endedAt,
    dueAt: new Date(endedAt.getTime() + recoat.earliestMinutes.value * MINUTE_MS),
    latestAt:
      recoat.latestMinutes === undefined
        ? null
        : new Date(endedAt.getTime() + recoat.latestMinutes * MINUTE_MS),
    test: recoat.test.text,
  };
  await manager.insert(TimerTable, row as Partial<TimerRow> as never);
}
