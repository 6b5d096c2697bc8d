import type { EntitySchema } from 'typeorm';
import { ReadingTable } from '../air/readingTable.ts';
import { AirLineTable, CompressorTable } from '../compressedAir/airTables.ts';
import { StandInTable } from '../air/standInTable.ts';
import { EventTable } from '../event/eventTable.ts';
import { RequestTable } from '../event/requestTable.ts';
import { FindingTable, PhotoTable, PlanChangeTable } from '../finding/findingTables.ts';
import { CareTable } from '../gun/careTable.ts';
import { TestTable } from '../gun/testTable.ts';
import { ProductTable, SheetVersionTable } from '../sheet/sheetTables.ts';
import {
  CupTable,
  GunTable,
  NozzleSetTable,
  PainterTable,
  ProductPricesTable,
  RoomTable,
  ShopTable,
} from '../shop/shopTables.ts';
import {
  CodeTable,
  CredentialTable,
  DeviceTable,
  SessionTable,
  TouchTable,
  TryTable,
} from '../signIn/signInTables.ts';
import { CoatAirTable } from '../ticket/coatAir.ts';
import { LayerWorkTable } from '../ticket/layerWorkTable.ts';
import {
  CustomerDecisionTable,
  LateFindTable,
  PrepAnswerTable,
  SprayCardTable,
} from '../ticket/prepTables.ts';
import {
  GateAnswerTable,
  MixTable,
  PanelTable,
  StagePanelTable,
  StageTable,
  TicketTable,
  TimerTable,
} from '../ticket/ticketTables.ts';
import { UsageTable } from '../ticket/usageTable.ts';
import { FinishStepTable } from '../ticket/finishTable.ts';
import { HeatReadTable } from '../ticket/heatTable.ts';
import { indexReferences } from './referenceIndexes.ts';
import { CoatHalfTable, CoatPanelTable, CoatTable } from '../ticket/coatTables.ts';

/** What belongs to this machine and its devices, not to the shop: no file carries it. */
export const OF_THIS_MACHINE = [
  RequestTable,
  CredentialTable,
  DeviceTable,
  SessionTable,
  TouchTable,
  TryTable,
  CodeTable,
  StandInTable,
];
/** Every table, in an order in which none refers to a later one. */
export const tables = [
  ShopTable,
  PainterTable,
  RoomTable,
  GunTable,
  NozzleSetTable,
  CupTable,
  CompressorTable,
  AirLineTable,
  TestTable,
  ProductTable,
  SheetVersionTable,
  ProductPricesTable,
  TicketTable,
  PanelTable,
  StageTable,
  StagePanelTable,
  MixTable,
  CoatTable,
  CoatHalfTable,
  CoatPanelTable,
  FinishStepTable,
  HeatReadTable,
  GateAnswerTable,
  TimerTable,
  CareTable,
  ReadingTable,
  CoatAirTable,
  LayerWorkTable,
  PrepAnswerTable,
  LateFindTable,
  CustomerDecisionTable,
  SprayCardTable,
  UsageTable,
  FindingTable,
  PlanChangeTable,
  PhotoTable,
  EventTable,
  ...OF_THIS_MACHINE,
];
for (const table of tables) indexReferences(table as EntitySchema);
