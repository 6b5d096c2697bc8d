/**
 * Puts the invented shop into an empty database: set-up, sheets, open jobs, and months of jobs
 * done. Fixed seed, dates from today.
 */
import { getsStage } from '@orthochrom/core/layers/foundLayer.ts';
import type { Panel, StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { Ledger } from '../event/ledger.ts';
import { latestSheets, saveSheet } from '../sheet/sheetLedger.ts';
import { keepPrices } from '../shop/priceLedger.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { addGun } from '../gun/gunLedger.ts';
import { AirLineTable, CompressorTable } from '../compressedAir/airTables.ts';
import { addAirLine, addCompressor } from '../compressedAir/airLineLedger.ts';
import {
  CupTable,
  NozzleSetTable,
  PainterTable,
  RoomTable,
  ShopTable,
} from '../shop/shopTables.ts';
import { createTicket } from '../ticket/ticketLedger.ts';
import { readDemoFiles, type DemoFiles } from './demoFiles.ts';
import { layFindings } from './demoFindings.ts';
import { FITTED_DAYS_AGO, layAirYear, layGunYear } from './demoGuns.ts';
import { pricesOfTins } from './demoPrices.ts';
import { CUPS, PAINTERS, SHOP } from './demoShop.ts';
import type { TicketSketch } from './demoStages.ts';
import { TICKETS } from './demoTickets.ts';
import { primerDays } from './demoTuesdays.ts';
import { seedHistory } from './seedHistory.ts';

const DAY_MS = 86_400_000;
const SEED = 20_260_301;

/** Park–Miller, so that every fresh shop has the same past. */
function randomFrom(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

export async function loadDemoIfEmpty(database: DataSource, folder: string): Promise<boolean> {
  if (await database.manager.exists(ShopTable)) return false;
  // All of it or nothing: a first start that is killed half way begins anew.
  await database.transaction((manager) =>
    loadDemo(new Ledger({ manager, transaction: (work) => manager.transaction(work) }), folder),
  );
  return true;
}

async function loadDemo(ledger: Ledger, folder: string): Promise<void> {
  const { manager } = ledger;
  const files = readDemoFiles(folder);
  const shopId = newId();
  await manager.insert(ShopTable, { id: shopId, ...SHOP } as never);
  for (const painter of PAINTERS)
    await manager.insert(PainterTable, { id: newId(), shopId, ...painter } as never);
  for (const room of files.rooms)
    await manager.insert(RoomTable, { id: newId(), shopId, regionRules: {}, ...room } as never);
  for (const cup of CUPS) await manager.insert(CupTable, { id: newId(), shopId, ...cup } as never);
  const companionsFirst = [...files.sheets].sort(
    (a, b) => Number(Boolean(a.recipes)) - Number(Boolean(b.recipes)),
  );
  for (const sheet of companionsFirst) {
    await saveSheet(ledger, sheet);
    if (sheet.packSizesMl)
      await keepPrices(ledger, sheet.id, { id: newId(), version: 0, prices: pricesOfTins(sheet) });
  }
  const random = randomFrom(SEED);
  await layGunsAndAir(ledger, shopId, files, random);
  for (const sketch of [...TICKETS, ...primerDays()].sort(
    (a, b) => (b.daysAgo ?? 0) - (a.daysAgo ?? 0),
  ))
    await loadTicket(ledger, sketch, random);
  await layFindings(ledger);
}

/** Guns and lines are described as a painter would, long ago; then their year is laid. */
async function layGunsAndAir(
  ledger: Ledger,
  shopId: string,
  files: DemoFiles,
  random: () => number,
): Promise<void> {
  const { manager } = ledger;
  const longAgo = new Date(Date.now() - FITTED_DAYS_AGO * DAY_MS);
  for (const { gun, ...rest } of files.guns) {
    const nozzleSets = gun.nozzleSets?.map(({ tests: _, ...set }) => set);
    await addGun(ledger, {
      id: newId(),
      ...rest,
      gun: { ...gun, ...(nozzleSets ? { nozzleSets } : {}) },
    });
  }
  for (const compressor of files.compressors)
    await addCompressor(ledger, { id: newId(), note: '', ...compressor });
  const { rooms, compressors } = await shopSetup(manager);
  const idOf = (list: { id: string; name: string }[], name: string) =>
    list.find((item) => item.name === name)!.id;
  for (const { room, compressor, line, ...rest } of files.airLines) {
    const {
      measuredLossPercent: _l,
      measuredAtInletKPa: _i,
      measuredAtAirFlowLPerMin: _f,
      ...pieces
    } = line;
    const gaugeTrust = rest.gaugeAt === 'wall' ? 'doubtful' : 'good';
    await addAirLine(ledger, {
      id: newId(),
      note: '',
      gaugeTrust,
      ...rest,
      line: pieces,
      roomId: idOf(rooms, room),
      compressorId: idOf(compressors, compressor),
    });
  }
  await manager.updateAll(NozzleSetTable, { fittedSince: longAgo });
  await manager.updateAll(CompressorTable, { describedAt: longAgo } as never);
  await manager.updateAll(AirLineTable, { describedAt: longAgo } as never);
  const setup = await shopSetup(manager);
  const teller = { manager, shopId, painterIds: setup.painters.map(({ id }) => id), random };
  for (const stored of setup.guns) {
    const tests = files.guns.find(({ name }) => name === stored.name)!.gun.nozzleSets ?? [];
    await layGunYear(teller, stored, new Map(tests.map((set) => [set.nozzleMm, set.tests ?? []])));
  }
  const lines = setup.airLines.map((line) => ({
    ...line,
    demo: files.airLines.find(({ name }) => name === line.name)!,
  }));
  await layAirYear(teller, lines, setup.compressors, idOf(setup.guns, 'Heron'));
}

async function loadTicket(
  ledger: Ledger,
  sketch: TicketSketch,
  random: () => number,
): Promise<void> {
  const ticket = await ticketFrom(ledger.manager, sketch);
  await createTicket(ledger, ticket);
  if (sketch.daysAgo !== undefined)
    await ledger.write((manager) => seedHistory(manager, ticket.id, sketch, random));
}

async function ticketFrom(
  manager: EntityManager,
  {
    room,
    painter,
    panels,
    found = {},
    foreign = [],
    stages,
    vehicle,
    bodyKind,
    jobSize,
    note,
    timing,
  }: TicketSketch,
) {
  const setup = await shopSetup(manager);
  const sheets = await latestSheets(manager);
  const named = <T extends { name: string }>(list: T[], name: string): T =>
    list.find((item) => item.name === name)!;
  const built = panels.map(
    ([name, areaM2, orientation, scope = 'full', substrate = 'metal']): Panel => ({
      id: newId(),
      name,
      areaM2,
      orientation,
      scope,
      substrate,
      ...(found[name] ? { found: found[name] } : {}),
      ...(foreign.includes(name) ? { foreign: true } : {}),
    }),
  );
  return {
    id: newId(),
    vehicle,
    bodyKind,
    jobSize,
    note,
    ...(timing ? { timing } : {}),
    roomId: named(setup.rooms, room).id,
    painterId: named(setup.painters, painter).id,
    panels: built,
    stages: stages.map(
      ({ sheet, gun, colourName = '', part = 'largePanel', only, ...stage }): StagePlan => ({
        ...stage,
        id: newId(),
        sheetVersionId: sheets.find((version) => version.sheet.id === sheet)!.id,
        gunId: named(setup.guns, gun).id,
        colourName,
        part,
        panelIds: built
          .filter(
            ({ name, scope }) => getsStage(scope, stage.kind) && (only?.includes(name) ?? true),
          )
          .map(({ id }) => id),
      }),
    ),
  };
}
