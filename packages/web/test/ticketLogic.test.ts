import type { GateAbout, GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import type { Coat, Mix, TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { describe, expect, it } from 'vitest';
import { differences } from '../src/api/clash.ts';
import { blockingCoat, nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { GATE_VERSION, gateStateOf, gateToday } from '@orthochrom/contract/plan/gateToday.ts';
import { currentStep, isLastOfStage, liveMix, wishesOfCup } from '../src/ticket/coatSteps.ts';
import { countdownText } from '../src/ticket/countdown.ts';
import { panelName } from '../src/words/tradeNames.ts';
import { ribbonBlocks } from '../src/ticket/ribbonLayout.ts';
import { stackLayers } from '../src/ticket/stackLayout.ts';
import {
  draftFaults,
  emptyDraft,
  newPanel,
  withPanelsInStages,
  type TicketDraft,
} from '../src/ticket/form/ticketDraft.ts';
import { gradeBands } from '../src/today/dayLayout.ts';

const MINUTE = 60_000;
const NOW = Date.parse('2026-03-02T10:00:00Z');
const iso = (ms: number) => new Date(ms).toISOString();
const coat = (
  id: string,
  stageId: string,
  ordinal: number,
  state: Coat['state'],
  changes: Partial<Coat> = {},
): Coat => ({
  id,
  version: 1,
  ticketId: 't',
  stageId,
  ordinal,
  state,
  overrides: {},
  done: {},
  seen: [],
  note: '',
  panelsSprayed: [],
  ...changes,
});
const sheet = {
  id: 'x',
  name: 'Line Base',
  line: 'Line',
  kind: 'base',
  recipes: [{ name: '1:1', wetFilmUm: [30, 40], volumeSolidsPercent: 20 }],
} as unknown as TicketWhole['sheets'][number]['sheet'];
const stage = (id: string, coats: number, panelIds = ['p1']) => ({
  id,
  kind: 'base' as const,
  sheetVersionId: 'v',
  recipeName: '1:1',
  colourName: '',
  coats,
  part: 'largePanel' as const,
  panelIds,
});
const whole = (coats: Coat[], timers: Timer[] = []): TicketWhole =>
  ({
    ticket: {
      id: 't',
      panels: [{ id: 'p1' }, { id: 'p2' }],
      stages: [stage('a', 2), stage('b', 1, ['p1', 'p2'])],
    },
    coats,
    timers,
    mixes: [],
    gates: [],
    works: [],
    found: [],
    sheets: [{ id: 'v', sheet }],
    serverNow: iso(NOW),
  }) as unknown as TicketWhole;

describe('the order of a coat', () => {
  const ready = { gatePassed: true, airSeen: true, hasMix: true };
  const of = (state: Coat['state'], given: Partial<typeof ready> = {}, ordinal = 1) => {
    const coats = [
      coat('1', 'a', ordinal, state),
      ...(ordinal === 1 ? [coat('2', 'a', 2, 'planned')] : []),
    ];
    return currentStep(whole(coats), coats[0]!, { ...ready, ...given });
  };
  it('begins at the gate whatever else is ready', () => {
    for (const state of ['planned', 'taken', 'spraying'] as const)
      expect(of(state, { gatePassed: false })).toBe('gate');
  });
  it('goes by air, mix, gun, spray, flash, look', () => {
    expect(of('planned', { airSeen: false })).toBe('air');
    expect(of('planned')).toBe('mix');
    expect(of('taken', { hasMix: false })).toBe('mix');
    expect(of('taken')).toBe('gun');
    expect(of('spraying')).toBe('spray');
    expect(of('sprayed')).toBe('flash');
    expect(of('flashed')).toBe('look');
  });
  it('ends with cleaning after the last coat of a stage only', () => {
    expect(of('looked')).toBe('look');
    expect(of('looked', {}, 2)).toBe('clean');
  });
  it('does not shut a flashing coat away behind tomorrow’s gate', () => {
    expect(of('sprayed', { gatePassed: false })).toBe('flash');
  });
  it('takes the first coat not looked at, and waits for the one before', () => {
    const stages = [{ id: 'a' }, { id: 'b' }];
    const coats = [
      coat('1', 'a', 1, 'looked'),
      coat('2', 'a', 2, 'sprayed'),
      coat('3', 'b', 1, 'planned'),
    ];
    expect(nextCoat(stages, coats)?.id).toBe('2');
    expect(blockingCoat(stages, coats, coats[2]!)?.id).toBe('2');
    expect(blockingCoat(stages, coats, coats[1]!)).toBeUndefined();
    expect(isLastOfStage({ coats }, coats[1]!)).toBe(true);
  });
});

const ABOUT: GateAbout = {
  place: 'booth',
  extraction: 'on',
  twoPackAtHome: 'unknown',
  hardener: 'isocyanate',
  carrier: 'solvent',
  sheetVersionId: 's',
  recipeName: '2:1',
  vocGPerL: 400,
  vocLimitGPerL: 420,
};

describe('the gate', () => {
  const gate = (changes: Partial<GateRecord>): GateRecord => ({
    id: 'g',
    stageId: 'a',
    step: 'mix',
    painterId: 'n',
    roomId: 'r',
    about: ABOUT,
    answers: {},
    verdicts: [],
    passed: true,
    answeredAt: iso(NOW - 60 * MINUTE),
    gateVersion: GATE_VERSION,
    ...changes,
  });
  const asked = {
    stageId: 'a',
    roomId: 'r',
    painterId: 'n',
    nowMs: NOW,
    timeZone: 'Europe/London',
  };
  it.each(Object.keys(ABOUT) as (keyof GateAbout)[])('is open again once %s is another', (key) => {
    const about = { ...ABOUT, [key]: 'another' } as GateAbout;
    expect(gateStateOf([gate({})], { ...asked, about: ABOUT }).state).toBe('passed');
    const { state, changed } = gateStateOf([gate({})], { ...asked, about });
    expect(state).toBe('changed');
    expect(changed).toHaveLength(1);
  });
  it('does not go by an answer that lies ahead: a clock was put back', () => {
    expect(gateToday([gate({ answeredAt: iso(NOW + 10 * MINUTE) })], asked)).toBeUndefined();
  });
  it('is good for its stage, room and painter', () => {
    expect(gateToday([gate({})], asked)?.passed).toBe(true);
    for (const other of [
      { stageId: 'b' },
      { roomId: 'q' },
      { painterId: 'm' },
      { gateVersion: GATE_VERSION - 1 },
    ])
      expect(gateToday([gate(other)], asked)).toBeUndefined();
  });
  it('is asked again the next day, in the shop’s own zone', () => {
    expect(gateToday([gate({ answeredAt: iso(NOW - 24 * 60 * MINUTE) })], asked)).toBeUndefined();
    const lateEvening = gate({ answeredAt: '2026-03-01T23:30:00Z' });
    expect(gateToday([lateEvening], asked)).toBeUndefined();
    expect(gateToday([lateEvening], { ...asked, timeZone: 'Asia/Tokyo' })?.id).toBe('g');
  });
  it('goes by its newest answer', () => {
    expect(
      gateToday([gate({}), gate({ passed: false, answeredAt: iso(NOW - MINUTE) })], asked)?.passed,
    ).toBe(false);
  });
});

it('a mix is at hand until its pot life ends', () => {
  const mix = (id: string, endsMs?: number): Mix => ({
    id,
    version: 1,
    stageId: 'a',
    recipe: { parts: [] },
    poured: [],
    readyMl: 100,
    batchNo: 1,
    mixedAt: iso(NOW - MINUTE),
    ...(endsMs ? { potLifeEndsAt: iso(endsMs) } : {}),
  });
  expect(liveMix([mix('old', NOW - 1)], 'a', NOW)).toBeUndefined();
  expect(liveMix([mix('x', NOW + 1), mix('y', NOW + 2)], 'a', NOW)?.id).toBe('y');
  expect(liveMix([mix('never')], 'a', NOW)?.id).toBe('never');
  expect(liveMix([mix('x', NOW + 1)], 'b', NOW)).toBeUndefined();
  // The next coat out of the same cup starts from what was picked for it; a new cup from ours.
  const wishes = { wantedParts: [{ name: 'T-10', fraction: 1 }], part: 'spot' };
  const coats = [
    { stageId: 'a', planned: { wishes } },
    { stageId: 'a' },
  ] as unknown as TicketWhole['coats'];
  expect(wishesOfCup({ coats }, mix('x'))).toEqual({ wantedParts: wishes.wantedParts });
  expect(wishesOfCup({ coats }, undefined)).toEqual({});
});

describe('the film stack of a panel', () => {
  it('holds only the stages that this panel gets', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked'),
      coat('2', 'a', 2, 'planned'),
      coat('3', 'b', 1, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ coatId }) => coatId)).toEqual(['1', '2', '3']);
    expect(stackLayers(job, 'p2').map(({ coatId }) => coatId)).toEqual(['3']);
  });
  it('marks a fault in a layer until it is settled, and keeps the mark of one that was left', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked', { seen: ['peel', 'dust'] }),
      coat('2', 'a', 2, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ fault }) => fault)).toEqual([
      { isOpen: true, names: 'Orange peel, Dust' },
      undefined,
    ]);
    const work = {
      id: 'w',
      coatId: '1',
      painterId: 'n',
      settles: ['seen:peel', 'seen:dust'],
      why: 'low',
      at: iso(NOW),
    };
    const marked = (kind: 'left' | 'flattened') =>
      stackLayers({ ...job, works: [{ ...work, kind }] }, 'p1')[0]!.fault;
    expect(marked('left')).toEqual({ isOpen: false, names: 'Orange peel, Dust' });
    expect(marked('flattened')).toBeUndefined();
  });
  it('is planned by the middle of the sheet’s film and laid by what was logged', () => {
    const job = whole([
      coat('1', 'a', 1, 'looked', { done: { wetFilmUm: { value: 50, source: 'changed' } } }),
      coat('2', 'a', 2, 'planned'),
    ]);
    expect(stackLayers(job, 'p1').map(({ dryUm, isLaid }) => [dryUm, isLaid])).toEqual([
      [10, true],
      [7, false],
    ]);
  });
});

describe('the ribbon', () => {
  const minutes = () => ({ spray: 5, flash: 10 });
  it('lays what is left one after the other from now', () => {
    const blocks = ribbonBlocks(
      whole([coat('1', 'a', 1, 'planned'), coat('2', 'a', 2, 'planned')]),
      NOW,
      minutes,
    );
    expect(
      blocks.map(({ fromMs, toMs }) => [(fromMs - NOW) / MINUTE, (toMs - NOW) / MINUTE]),
    ).toEqual([
      [0, 5],
      [5, 15],
      [15, 20],
      [20, 30],
    ]);
  });
  it('keeps what was done where it was done, and never plans into the past', () => {
    const ended = NOW - 60 * MINUTE;
    const timer = {
      id: 'x',
      version: 1,
      ticketId: 't',
      coatId: '1',
      kind: 'flash',
      startedAt: iso(ended),
      dueAt: iso(ended + 10 * MINUTE),
      test: '',
    } as Timer;
    const blocks = ribbonBlocks(
      whole(
        [
          coat('1', 'a', 1, 'sprayed', { startedAt: iso(ended - 4 * MINUTE), endedAt: iso(ended) }),
          coat('2', 'a', 2, 'planned'),
        ],
        [timer],
      ),
      NOW,
      minutes,
    );
    expect(blocks[0]).toMatchObject({ fromMs: ended - 4 * MINUTE, toMs: ended, isDone: true });
    expect(blocks[2]!.fromMs).toBe(NOW);
  });
});

describe('a ticket being written', () => {
  const setup = { rooms: [{ id: '0190b5a0-0000-7000-8000-000000000009' }] } as ShopSetup;
  const draft = (changes: Partial<TicketDraft> = {}): TicketDraft => ({
    ...emptyDraft(setup.rooms[0]!.id),
    ...changes,
  });
  it('says what is missing in a painter’s words', () => {
    expect(draftFaults(draft(), setup.rooms[0]!.id).map(({ path }) => path)).toEqual([
      'vehicle',
      'panels',
      'stages',
    ]);
  });
  it('gives a clear-only panel nothing but the clear, and a panel left alone nothing', () => {
    const panels = [
      newPanel('hood'),
      { ...newPanel('roof'), scope: 'clearOnly' as const },
      { ...newPanel('trunk'), scope: 'leave' as const },
    ];
    const stages = [stage('a', 2), { ...stage('b', 2), kind: 'clear' as const }];
    const [base, clear] = withPanelsInStages(draft({ panels, stages })).stages;
    expect(base!.panelIds).toEqual([panels[0]!.id]);
    expect(clear!.panelIds).toEqual([panels[0]!.id, panels[1]!.id]);
  });
  it('starts a panel from its usual area and material', () => {
    expect(newPanel('hood')).toMatchObject({ orientation: 'flat', substrate: 'metal' });
    expect(newPanel('frontBumper').substrate).toBe('plastic');
    expect(newPanel('side covers').areaM2).toBeGreaterThan(0);
  });
});

it('a clash shows only where the two sides differ, by field', () => {
  const mine = {
    version: 3,
    name: 'Heron',
    gun: { class: 'hvlp', nozzlesMm: [1.3] },
    note: 'bent',
  };
  const theirs = {
    version: 4,
    name: 'Heron',
    gun: { class: 'hvlp', nozzlesMm: [1.3, 1.4] },
    note: 'new',
    shopId: 'x',
  };
  expect(differences(mine, theirs)).toEqual([
    { field: 'gun › nozzlesMm', mine: '[1.3]', theirs: '[1.3,1.4]' },
    { field: 'note', mine: 'bent', theirs: 'new' },
  ]);
});

it('grades lie side by side over the day, parted in the middle of what they share', () => {
  const bands = gradeBands([
    { name: 'T-20', minC: 18, maxC: 25, speed: 'medium' },
    { name: 'T-10', minC: 13, maxC: 19, speed: 'fast' },
    { name: 'T-30', minC: 24 },
  ]);
  expect(bands.map(({ name }) => name)).toEqual(['T-10, fast', 'T-20, medium', 'T-30, slow']);
  expect(bands.map(({ toC }) => toC)).toEqual([18.5, 24.5, 90]);
  expect(bands.every((band, i) => i === 0 || band.fromC === bands[i - 1]!.toC)).toBe(true);
});

it('clocks and panels are written as they are said', () => {
  expect([0, 61_000, 3_661_000].map(countdownText)).toEqual(['00:00', '01:01', '1:01:01']);
  expect(['hood', 'leftFrontDoor', 'side covers'].map(panelName)).toEqual([
    'bonnet',
    'left front door',
    'side covers',
  ]);
});
