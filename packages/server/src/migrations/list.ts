/** Listed one by one, so that bundling finds them; in the order in which they run. */
import { CardsAndPrices1795910000000 } from './cardsAndPrices.ts';
import { FaultBench1795470000000 } from './faultBench.ts';
import { FirstPath1795400000000 } from './firstPath.ts';
import { GunsAndAir1795450000000 } from './gunsAndAir.ts';
import { NothingLost1795530000000 } from './nothingLost.ts';
import { ReferenceIndexes1796000100000 } from './referenceIndexes.ts';
import { RoundTheCar1795950000000 } from './roundTheCar.ts';
import { SearchIndexes1796110000000 } from './searchIndexes.ts';
import { SigningIn1796100000000 } from './signingIn.ts';
import { StopsThatHold1795500000000 } from './stopsThatHold.ts';
import { TestPanelAndHours1796000000000 } from './testPanelAndHours.ts';
import { TakenIn1795620000000 } from './takenIn.ts';
import { WhatStandsOnIt1795560000000 } from './whatStandsOnIt.ts';

export const migrations = [
  FirstPath1795400000000,
  GunsAndAir1795450000000,
  FaultBench1795470000000,
  StopsThatHold1795500000000,
  NothingLost1795530000000,
  WhatStandsOnIt1795560000000,
  TakenIn1795620000000,
  CardsAndPrices1795910000000,
  RoundTheCar1795950000000,
  TestPanelAndHours1796000000000,
  ReferenceIndexes1796000100000,
  SigningIn1796100000000,
  SearchIndexes1796110000000,
];
