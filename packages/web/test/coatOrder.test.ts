/** Which coat is next, at which step, and out of which mix. */
import type { Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { blockingCoat, nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { CoatState, type Coat } from '@orthochrom/contract/shop/coat.ts';
import {
  awaitedBy,
  currentStep,
  isLastOfStage,
  liveMix,
  STEPS,
  wishesOfCup,
} from '../src/ticket/coatSteps.ts';
import { MINUTE, NOW, iso, coat, whole } from './ticketFixture.ts';

describe('the order of a coat', () => {
  const ready = { isMadeReady: true, gatePassed: true, airSeen: true, hasMix: true };
  const of = (state: Coat['state'], given: Partial<typeof ready> = {}, ordinal = 1) => {
    const coats = [
      coat('1', 'a', ordinal, state),
      ...(ordinal === 1 ? [coat('2', 'a', 2, 'planned')] : []),
    ];
    return currentStep(whole(coats), coats[0]!, { ...ready, ...given });
  };
  it('begins with making ready, and never takes paint that flies back to it', () => {
    for (const state of ['planned', 'taken'] as const)
      expect(of(state, { isMadeReady: false, gatePassed: false })).toBe('prep');
    expect(of('spraying', { isMadeReady: false })).toBe('spray');
  });
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
  it('never waits at the step that is next, whatever the coat has come to', () => {
    const yesOrNo = [false, true];
    for (const state of CoatState.options)
      for (const isMadeReady of yesOrNo)
        for (const gatePassed of yesOrNo)
          for (const hasMix of yesOrNo) {
            const next = of(state, { isMadeReady, gatePassed, hasMix });
            expect(awaitedBy(next, { state }, gatePassed), `${next}, ${state}`).toBeUndefined();
          }
  });
  it('says at every later step of a coat that is planned what it waits for', () => {
    const waits = (gatePassed: boolean) =>
      STEPS.map((step) => awaitedBy(step, { state: 'planned' }, gatePassed) ?? '-').join(' ');
    expect(waits(false)).toBe('- - - gate gate gate coat flash -');
    expect(waits(true)).toBe('- - - - - pour coat flash -');
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
