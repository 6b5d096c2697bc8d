/** A coat from plan to log: taken, sprayed, flashed, looked at. Each step is its own write with its own version. */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import { ask, CALCULATION_VERSION, type AnswerOf } from '@orthochrom/contract/registry.ts';
import type {
  CoatState,
  Done,
  Look,
  OverridePlan,
  Overrides,
  PanelSprayed,
  SprayEnd,
  SprayStart,
  TakenPlan,
  TakePlan,
  TimerConfirm,
} from '@orthochrom/contract/shop/ticket.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { changeVersioned, insertOnce, type Ledger } from '../event/ledger.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopLedger.ts';
import { mustHavePassedGate } from './gateKeeper.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { coatOf, ticketById } from './ticketReader.ts';
import { CoatPanelTable, CoatTable, MixTable, TimerTable, type CoatRow, type TimerRow } from './ticketTables.ts';

const MINUTE_MS = 60_000;
type Change = { kind: string; version: number; painterId: string; changes: object; mine: unknown };

async function changeCoat(
  manager: EntityManager,
  trace: (of: never) => Promise<void>,
  coat: CoatRow,
  { kind, version, painterId, changes, mine }: Change,
): Promise<void> {
  await changeVersioned(manager, CoatTable, {
    what: 'coat',
    id: coat.id,
    version,
    changes,
    mine,
    showTheirs: (row) => coatOf(row, []),
  });
  await trace({
    shopId: await shopIdOf(manager),
    painterId,
    aggregateType: 'ticket',
    aggregateId: coat.ticketId,
    aggregateVersion: version + 1,
    kind,
    patch: { coatId: coat.id, ...(mine as object) },
  } as never);
}

function mustBe(coat: CoatRow, ...states: CoatState[]): void {
  if (!states.includes(coat.state)) throw new OutOfTurn(`This coat is ${coat.state}; that comes at another time.`);
}

/** Earlier coats of the stage, and earlier stages, come first. */
async function mustBeNext(manager: EntityManager, coat: CoatRow): Promise<void> {
  const ticket = await ticketById(manager, coat.ticketId);
  const place = (c: Pick<CoatRow, 'stageId' | 'ordinal'>) =>
    ticket.stages.findIndex(({ id }) => id === c.stageId) * 100 + c.ordinal;
  const before = (await manager.findBy(CoatTable, { ticketId: coat.ticketId, archivedAt: IsNull() })).filter(
    (other) => place(other) < place(coat) && other.id !== coat.id,
  );
  if (before.some(({ state }) => state !== 'flashed' && state !== 'looked'))
    throw new OutOfTurn('The coat before this one has not passed its touch test yet.');
}

/** "Take it": the plan as it is now is worked out here, frozen with its inputs, and kept beside whatever is overridden. */
export const takePlan = (ledger: Ledger, probe: StandInProbe, coatId: string, wish: z.infer<typeof TakePlan>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'planned', 'taken');
    await mustBeNext(manager, coat);
    await mustHavePassedGate(manager, { ticketId: coat.ticketId, stageId: coat.stageId, painterId: wish.painterId });
    const { version, painterId, gunId, overrides, wantedParts, hardenerId, cupId, readyMl } = wish;
    const context = await planContextOf(manager, probe, coat, {
      painterId,
      gunId,
      ...(cupId ? { cupId } : {}),
      ...(readyMl === undefined ? {} : { readyMl }),
      ...(wantedParts ? { wantedParts } : {}),
      ...(hardenerId ? { hardenerId } : {}),
    });
    const { inputs, climate, reducer, mix, setup, recoat } = planCoat(context);
    const stops = [...climate.verdicts, ...reducer.verdicts, ...(mix?.verdicts ?? []), ...setup.verdicts].filter(
      ({ level }) => level === 'stop',
    );
    if (stops[0]) throw new OutOfTurn(stops[0].message);
    const planned: TakenPlan = {
      at: new Date().toISOString(),
      calculationVersion: CALCULATION_VERSION,
      sheetVersionIds: context.sheetVersionIds,
      inputs,
      answers: { climate, reducer, ...(mix ? { mix } : {}), setup, recoat },
    };
    const { air, humidity, panel, material } = context.air;
    const changes = {
      state: 'taken',
      planned,
      overrides,
      gunId,
      nozzleMm: setup.nozzleMm,
      painterId,
      roomId: context.room.id,
      airC: air.value,
      rhPercent: humidity.value,
      panelC: panel?.value ?? null,
      materialC: material?.value ?? null,
    };
    await changeCoat(manager, trace as never, coat, { kind: 'plan-taken', version, painterId, changes, mine: wish });
  });

/** An override keeps the recommendation beside it, with a word why; the plan that was taken stays as it was. */
export const overrideSettings = (
  ledger: Ledger,
  coatId: string,
  { version, painterId, overrides }: z.infer<typeof OverridePlan>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    await changeCoat(manager, trace as never, coat, {
      kind: 'overridden',
      version,
      painterId,
      changes: { overrides },
      mine: overrides,
    });
  });

export const startSpraying = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, mixId }: z.infer<typeof SprayStart>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    await mustHavePassedGate(manager, { ticketId: coat.ticketId, stageId: coat.stageId, painterId });
    const mix = await manager.findOneBy(MixTable, { id: mixId, stageId: coat.stageId });
    if (!mix) throw BadInput.at(['mixId'], 'not-one-of', 'This mix does not belong to the stage.');
    if (mix.potLifeEndsAt && mix.potLifeEndsAt.getTime() < Date.now())
      throw new OutOfTurn('The pot life of this mix is over: clean the gun and mix again.');
    const now = await airNow(manager, probe, coat.roomId!);
    const changes = {
      state: 'spraying',
      mixId,
      painterId,
      startedAt: new Date(),
      airC: now.air.value,
      rhPercent: now.humidity.value,
      panelC: now.panel?.value ?? null,
      materialC: now.material?.value ?? null,
    };
    await changeCoat(manager, trace as never, coat, { kind: 'spraying', version, painterId, changes, mine: { mixId } });
  });

/** Flash runs per panel from its own time; a second tap leaves the first time standing. */
export const panelSprayed = (
  ledger: Ledger,
  coatId: string,
  { panelId, painterId }: z.infer<typeof PanelSprayed>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'spraying');
    const result = await manager
      .createQueryBuilder()
      .insert()
      .into(CoatPanelTable)
      .values({ coatId, panelId, sprayedAt: new Date() })
      .orIgnore()
      .returning('panel_id')
      .execute();
    if ((result.raw as unknown[]).length > 0)
      await trace({
        shopId: await shopIdOf(manager),
        painterId,
        aggregateType: 'ticket',
        aggregateId: coat.ticketId,
        kind: 'panel-sprayed',
        patch: { coatId, panelId },
      });
  });

/** The coat is on: panels not tapped get this moment, and the flash timer starts from the last of them. */
export const endSpraying = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId }: z.infer<typeof SprayEnd>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'spraying');
    const endedAt = new Date();
    const stage = (await ticketById(manager, coat.ticketId)).stages.find(({ id }) => id === coat.stageId)!;
    const rows = stage.panelIds.map((panelId) => ({ coatId, panelId, sprayedAt: endedAt }));
    await manager.createQueryBuilder().insert().into(CoatPanelTable).values(rows).orIgnore().execute();
    await changeCoat(manager, trace as never, coat, {
      kind: 'sprayed',
      version,
      painterId,
      changes: { state: 'sprayed', endedAt },
      mine: {},
    });
    await startFlash(manager, probe, coat, painterId, endedAt);
  });

/** Flash by the air at this moment, not by the air the plan was taken in. */
async function startFlash(
  manager: EntityManager,
  probe: StandInProbe,
  coat: CoatRow,
  painterId: string,
  endedAt: Date,
): Promise<void> {
  const context = await planContextOf(manager, probe, coat, { painterId, gunId: coat.gunId! });
  const recoat = ask('recoat', { ...planCoat(context).inputs.recoat, minutesSince: 0 });
  const row = {
    id: newId(),
    ticketId: coat.ticketId,
    coatId: coat.id,
    kind: 'flash',
    startedAt: endedAt,
    dueAt: new Date(endedAt.getTime() + recoat.earliestMinutes.value * MINUTE_MS),
    latestAt: recoat.latestMinutes === undefined ? null : new Date(endedAt.getTime() + recoat.latestMinutes * MINUTE_MS),
    test: recoat.test.text,
  };
  await insertOnce(manager, TimerTable, row as TimerRow);
}

/** A timer alone never confirms: the touch test does, face and edges, and not before the time is served. */
export const confirmTimer = (
  ledger: Ledger,
  timerId: string,
  { version, painterId, tests }: z.infer<typeof TimerConfirm>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const timer = await manager.findOneBy(TimerTable, { id: timerId });
    if (!timer) throw new NotFound(`There is no timer ${timerId}.`);
    const coat = timer.coatId ? await coatRow(manager, timer.coatId) : undefined;
    if (coat) {
      if (tests.touch !== 'dry' || tests.edge !== 'dry')
        throw BadInput.at(['tests'], 'needs-field', 'Both the face and the edges must have been touched and found dry.');
      if (timer.dueAt.getTime() > Date.now())
        throw new OutOfTurn(`Not yet: ${Math.ceil((timer.dueAt.getTime() - Date.now()) / MINUTE_MS)} min still to wait.`);
    }
    await changeVersioned(manager, TimerTable, {
      what: 'timer',
      id: timerId,
      version,
      changes: { confirmedAt: new Date(), confirmedBy: painterId, tests },
      mine: tests,
    });
    if (coat?.state === 'sprayed')
      await manager.createQueryBuilder().update(CoatTable).set({ state: 'flashed' }).where({ id: coat.id }).execute();
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: timer.ticketId,
      aggregateVersion: version + 1,
      kind: 'confirmed',
      patch: { timerId, tests },
    });
  });

/** What was done, where it differed from the plan; what the painter did not touch is kept as confirmed. */
export const lookAt = (
  ledger: Ledger,
  coatId: string,
  { version, painterId, done: given, seen, rating, note }: z.infer<typeof Look>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'flashed', 'looked');
    const done = doneOf(coat.planned, coat.overrides as Overrides, given);
    const figure = (name: string) => done[name]?.value ?? null;
    const changes = {
      state: 'looked',
      done,
      seen,
      rating,
      note,
      inletKPaDone: figure('inletKPa'),
      fluidTurnsDone: figure('fluidTurnsOut'),
      distanceMmDone: figure('distanceMm'),
      overlapPercentDone: figure('overlapPercent'),
      wetUmDone: figure('wetFilmUm'),
    };
    await changeCoat(manager, trace as never, coat, {
      kind: 'looked',
      version,
      painterId,
      changes,
      mine: { done: given, seen, rating, note },
    });
  });

function doneOf(planned: TakenPlan | null, overrides: Overrides, given: Partial<Record<string, number>>): Done {
  const setup = planned?.answers['setup'] as AnswerOf<'setup'> | undefined;
  const names = ['nozzleMm', 'inletKPa', 'fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'overlapPercent', 'wetFilmUm'] as const;
  const settings = names.flatMap((name) => {
    const own = overrides[name]?.chosen;
    const intended = typeof own === 'number' ? own : setup?.[name];
    const value = given[name] ?? intended;
    return value === undefined
      ? []
      : [[name, { value, source: given[name] !== undefined && given[name] !== intended ? 'changed' : 'confirmed' }] as const];
  });
  return Object.fromEntries([
    ...settings,
    ...(given['fanWidthMm'] === undefined ? [] : [['fanWidthMm', { value: given['fanWidthMm'], source: 'changed' }] as const]),
  ]) as Done;
}
