/** Slackwater Auto & Restoration: its people and cups. All invented. */
import type { Painter, StoredCup, Units } from '@orthochrom/contract/shop/setup.ts';

const metric: Units = {
  temperature: 'C',
  pressure: 'psi',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
};

export const SHOP = {
  name: 'Slackwater Auto & Restoration',
  timeZone: 'Europe/London',
  ticketPrefix: 'SW',
  nextTicketNo: 401,
  currency: '£',
};

export const PAINTERS: Omit<Painter, 'id' | 'version'>[] = [
  {
    name: 'Nell',
    skill: 'able',
    units: metric,
    way: {
      needle: 'metered',
      gauge: 'atGun',
      fan: 'backedOff',
      fanBackTurns: 0.25,
      distance: 'middle',
      clearReduction: 'never',
      grade: 'temperature',
    },
  },
  {
    name: 'Osric',
    skill: 'expert',
    units: { ...metric, pressure: 'bar', measure: 'weight' },
    way: {
      needle: 'open',
      gauge: 'atWall',
      fan: 'open',
      distance: 'near',
      clearReduction: 'never',
      grade: 'gloss',
    },
  },
  {
    name: 'Wilf',
    skill: 'learner',
    units: {
      temperature: 'F',
      pressure: 'psi',
      length: 'in',
      film: 'mil',
      volume: 'flOzUs',
      area: 'ft2',
      measure: 'volume',
    },
    way: {
      needle: 'metered',
      gauge: 'atGun',
      fan: 'backedOff',
      fanBackTurns: 0.5,
      distance: 'middle',
      grade: 'temperature',
    },
  },
];

const marksTo = (capacityMl: number, stepMl: number): number[] =>
  Array.from({ length: Math.floor(capacityMl / stepMl) }, (_, i) => (i + 1) * stepMl);

/** The ratios printed on the shop's cups; each line is 10 ml of the smallest part. */
const SCALES = [
  [4, 1, 1],
  [3, 1, 1],
  [4, 1],
  [2, 1],
  [1, 1],
].map((ratio) => ({ ratio, mlPerPart: 10 }));

export const CUPS: Omit<StoredCup, 'id' | 'version'>[] = [
  { name: 'Cup 650', capacityMl: 600, marksMl: marksTo(600, 50), scales: SCALES, strainerUm: 200 },
  { name: 'Cup 400', capacityMl: 350, marksMl: marksTo(350, 25), scales: SCALES, strainerUm: 125 },
  { name: 'Mixing pot 1400', capacityMl: 1300, marksMl: marksTo(1300, 100), scales: [] },
];
