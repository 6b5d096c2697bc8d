/** Whether a gate still holds: its place, its paint, its day. */
import type { GateAbout, GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import { describe, expect, it } from 'vitest';
import { GATE_VERSION, gateStateOf, gateToday } from '@orthochrom/contract/plan/gateToday.ts';
import { MINUTE, NOW, iso } from './ticketFixture.ts';

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
