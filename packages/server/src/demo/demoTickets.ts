/**
 * The demo's jobs: six open this morning, the rest done in the past months. All vehicles are
 * invented.
 */
import type { Panel, StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';

type PanelSketch = [
  name: string,
  areaM2: number,
  orientation: Panel['orientation'],
  scope?: Panel['scope'],
  substrate?: Panel['substrate'],
];
type StageSketch = Pick<StagePlan, 'kind' | 'recipeName' | 'coats'> & {
  sheet: string;
  gun: string;
  finish?: StagePlan['finish'];
  colourName?: string;
  colourHex?: string;
  part?: StagePlan['part'];
  only?: string[];
};
export type TicketSketch = Pick<Ticket, 'vehicle' | 'bodyKind' | 'jobSize' | 'note'> & {
  room: string;
  painter: string;
  panels: PanelSketch[];
  /** What stands on a panel, where somebody was asked. */
  found?: Record<string, NonNullable<Panel['found']>>;
  /** Somebody else's bodywork. */
  foreign?: string[];
  stages: StageSketch[];
  daysAgo?: number;
  /** Laid on a Friday, with the waits of the clear cut short. */
  rushed?: boolean;
  air?: [airC: number, rhPercent: number, panelC: number];
};

const sealer = (gun = 'Wren', colourName = 'Grey 3', colourHex = '#8d8f8e'): StageSketch => ({
  kind: 'sealer',
  sheet: 'tarnside-grey-sealer',
  recipeName: '3:1:1',
  coats: 1,
  gun,
  colourName,
  colourHex,
});
const silver = (gun = 'Heron'): StageSketch => ({
  kind: 'base',
  sheet: 'tarnside-sb-metallic',
  recipeName: '1:1',
  coats: 3,
  gun,
  finish: 'silver',
  colourName: 'Slack-tide silver, coarse',
  colourHex: '#b9c0c4',
});
const solid = (colourName: string, colourHex: string, gun = 'Heron'): StageSketch => ({
  kind: 'base',
  sheet: 'tarnside-sb-solid',
  recipeName: '2:1',
  coats: 2,
  gun,
  finish: 'solid',
  colourName,
  colourHex,
});
const clear = (gun = 'Heron', sheet: 'ms' | 'hs' = 'ms'): StageSketch => ({
  kind: 'clear',
  sheet: `tarnside-clear-${sheet}`,
  recipeName: sheet === 'ms' ? '4:1' : '2:1',
  coats: 2,
  gun,
  colourHex: '#e9d9b0',
});

const SIDE: PanelSketch[] = [
  ['leftFrontFender', 0.7, 'upright'],
  ['leftFrontDoor', 0.9, 'upright'],
  ['leftRearDoor', 0.85, 'upright', 'blend'],
];

export const TICKETS: TicketSketch[] = [
  {
    vehicle: 'Linnet hatchback, left side',
    bodyKind: 'hatchback',
    jobSize: 'side',
    note: 'Coarse silver; blend into the rear door.',
    room: 'Harbour booth',
    painter: 'Nell',
    panels: SIDE,
    stages: [sealer(), silver(), clear()],
  },
  {
    vehicle: 'Skerry 240 coupe, 1968, ivory over slate',
    bodyKind: 'coupe',
    jobSize: 'overall',
    note: 'Whole body off the rotisserie. Epoxy is three days old.',
    room: 'Harbour booth',
    painter: 'Osric',
    panels: [
      ['hood', 1.4, 'flat'],
      ['roof', 1.3, 'flat'],
      ['leftFrontDoor', 1.0, 'upright'],
      ['rightFrontDoor', 1.0, 'upright'],
      ['leftQuarter', 1.1, 'upright'],
      ['rightQuarter', 1.1, 'upright'],
      ['trunk', 0.9, 'flat'],
    ],
    stages: [
      {
        kind: 'primer',
        sheet: 'tarnside-build',
        recipeName: '4:1:1',
        coats: 2,
        gun: 'Bittern',
        colourHex: '#a8a294',
      },
      solid('Ivory', '#ece3c8'),
      clear('Heron', 'hs'),
    ],
  },
  {
    vehicle: 'Brant courier van, right side',
    bodyKind: 'van',
    jobSize: 'side',
    note: 'Waterborne blue; customer needs it on Friday.',
    room: 'Harbour booth',
    painter: 'Nell',
    panels: [
      ['rightFrontDoor', 1.0, 'upright'],
      ['right slider', 1.9, 'upright'],
    ],
    found: {
      rightFrontDoor: [{ history: 'factory', dryUm: 110, lastGrit: 'P500' }],
      'right slider': [
        { history: 'factory', dryUm: 105 },
        { history: 'unknownOld', dryUm: 90, lastGrit: 'P500', tests: { rub: 'nothing' } },
      ],
    },
    stages: [
      {
        kind: 'base',
        sheet: 'tarnside-wb-base',
        recipeName: 'adjuster by the grid',
        coats: 3,
        gun: 'Curlew',
        finish: 'solid',
        colourName: 'Mail blue',
        colourHex: '#2f5d8c',
      },
      clear('Curlew'),
    ],
  },
  {
    vehicle: 'Tern 125 tank, transparent red',
    bodyKind: 'parts',
    jobSize: 'spot',
    note: 'Bright ground, then red in thin coats until it is even.',
    room: 'Loft booth',
    painter: 'Wilf',
    panels: [['tank', 0.35, 'slope']],
    stages: [
      {
        kind: 'ground',
        sheet: 'tarnside-sb-metallic',
        recipeName: '1:1',
        coats: 2,
        gun: 'Dunlin',
        finish: 'silver',
        colourName: 'Bright ground',
        colourHex: '#d5d8d6',
        part: 'smallPart',
      },
      {
        kind: 'effect',
        sheet: 'tarnside-red-effect',
        recipeName: '1:1',
        coats: 4,
        gun: 'Dunlin',
        finish: 'candy',
        colourName: 'Transparent red',
        colourHex: '#9d1f24',
        part: 'smallPart',
      },
      { ...clear('Dunlin'), part: 'smallPart' },
    ],
  },
  {
    vehicle: 'Skerry 240 coupe, wing out of a can',
    bodyKind: 'coupe',
    jobSize: 'panel',
    note: 'Repaired by somebody else with spray cans; the owner wants it gone.',
    room: 'Harbour booth',
    painter: 'Osric',
    panels: [
      ['rightFrontFender', 0.7, 'upright'],
      ['rightFrontDoor', 1.15, 'upright', 'blend'],
    ],
    found: {
      rightFrontFender: [
        { history: 'known2k', dryUm: 130 },
        { history: 'aerosol1k', dryUm: 60, lastGrit: 'P400' },
      ],
      rightFrontDoor: [{ history: 'known2k', dryUm: 120, lastGrit: 'P800' }],
    },
    foreign: ['rightFrontFender'],
    stages: [solid('Ivory', '#ece3c8'), clear('Heron', 'hs')],
  },
  {
    vehicle: 'Linnet hatchback, filled door',
    bodyKind: 'hatchback',
    jobSize: 'side',
    note: 'Door filled and primed, rear door blended, quarter cleared only.',
    room: 'Harbour booth',
    painter: 'Nell',
    panels: [
      ['rightFrontDoor', 0.9, 'upright'],
      ['rightRearDoor', 0.85, 'upright', 'blend'],
      ['rightQuarter', 0.9, 'upright', 'clearOnly'],
    ],
    found: {
      rightFrontDoor: [
        { history: 'factory', dryUm: 110 },
        { history: 'filler', lastGrit: 'P180' },
      ],
      rightRearDoor: [{ history: 'factory', dryUm: 110 }],
      rightQuarter: [{ history: 'factory', dryUm: 115 }],
    },
    stages: [
      {
        kind: 'primer',
        sheet: 'tarnside-build',
        recipeName: '4:1:1',
        coats: 2,
        gun: 'Bittern',
        colourHex: '#a8a294',
      },
      silver(),
      clear(),
    ],
  },
  {
    vehicle: 'Linnet hatchback, bonnet',
    bodyKind: 'hatchback',
    jobSize: 'panel',
    note: 'Stone chips.',
    room: 'Harbour booth',
    painter: 'Nell',
    panels: [['hood', 1.2, 'flat']],
    stages: [sealer(), solid('Harbour green', '#2e4f45'), clear()],
    daysAgo: 3,
    air: [22.5, 48, 21.5],
  },
  {
    vehicle: 'Brant courier van, tailgate',
    bodyKind: 'van',
    jobSize: 'panel',
    note: '',
    room: 'Harbour booth',
    painter: 'Nell',
    panels: [['tailgate', 1.6, 'upright']],
    stages: [solid('Mail blue, old shade', '#31547a'), clear()],
    daysAgo: 9,
    air: [19.5, 56, 18],
  },
  {
    vehicle: 'Skerry 240 coupe, doors',
    bodyKind: 'coupe',
    jobSize: 'side',
    note: 'Trial of the ivory before the body.',
    room: 'Loft booth',
    painter: 'Osric',
    panels: [
      ['leftFrontDoor', 1.0, 'upright'],
      ['rightFrontDoor', 1.0, 'upright'],
    ],
    stages: [
      sealer('Wren', 'Grey 1', '#d9d9d6'),
      solid('Ivory', '#ece3c8', 'Curlew'),
      clear('Curlew'),
    ],
    daysAgo: 30,
    air: [27, 50, 26.5],
  },
  {
    vehicle: 'Linnet hatchback, right side',
    bodyKind: 'hatchback',
    jobSize: 'side',
    note: 'Rushed on a Friday.',
    room: 'Loft booth',
    painter: 'Wilf',
    panels: [
      ['rightFrontDoor', 0.9, 'upright'],
      ['rightRearDoor', 0.85, 'upright'],
    ],
    stages: [sealer(), silver(), clear()],
    daysAgo: 75,
    rushed: true,
    air: [31, 42, 30.5],
  },
  {
    vehicle: 'Tern 125 side covers',
    bodyKind: 'parts',
    jobSize: 'spot',
    note: '',
    room: 'Harbour booth',
    painter: 'Wilf',
    panels: [['side covers', 0.2, 'upright', 'full', 'plastic']],
    stages: [
      { ...solid('Pitch black', '#17191a', 'Dunlin'), part: 'smallPart' },
      { ...clear('Dunlin'), part: 'smallPart' },
    ],
    daysAgo: 120,
    air: [21, 52, 20],
  },
];
