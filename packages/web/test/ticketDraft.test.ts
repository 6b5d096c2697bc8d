/** A ticket being written: what lacks, and panels that follow their stages. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { describe, expect, it } from 'vitest';
import {
  draftFaults,
  emptyDraft,
  listedStages,
  newPanel,
  withFaces,
  withPanelsInStages,
  type TicketDraft,
} from '../src/ticket/form/ticketDraft.ts';
import { stage } from './ticketFixture.ts';

const setup = { rooms: [{ id: '0190b5a0-0000-7000-8000-000000000009' }] } as ShopSetup;
const draft = (changes: Partial<TicketDraft> = {}): TicketDraft => ({
  ...emptyDraft(setup.rooms[0]!.id),
  ...changes,
});

describe('a ticket being written', () => {
  it('says what is missing in a painter’s words', () => {
    expect(draftFaults(draft(), setup.rooms[0]!.id, []).map(({ path }) => path)).toEqual([
      'vehicle',
      'panels',
      'stages',
    ]);
  });
  it('gives a clear-only panel nothing but the clear, and a panel left alone nothing', () => {
    const panels = [
      newPanel('hood', 'saloon'),
      { ...newPanel('roof', 'saloon'), scope: 'clearOnly' as const },
      { ...newPanel('trunk', 'saloon'), scope: 'leave' as const },
    ];
    const stages = [stage('a', 2), { ...stage('b', 2), kind: 'clear' as const }];
    const [base, clear] = withPanelsInStages(draft({ panels, stages }), []).stages;
    expect(base!.panelIds).toEqual([panels[0]!.id]);
    expect(clear!.panelIds).toEqual([panels[0]!.id, panels[1]!.id]);
  });
  it('starts a panel from its usual area and material', () => {
    expect(newPanel('hood', 'saloon')).toMatchObject({ orientation: 'flat', substrate: 'metal' });
    expect(newPanel('frontBumper', 'saloon').substrate).toBe('plastic');
    expect(newPanel('side covers', 'saloon').areaM2).toBeGreaterThan(0);
  });
});

describe('a part off the car', () => {
  const part = { ...newPanel('hatch', 'saloon') };
  const door = newPanel('leftFrontDoor', 'saloon');
  const both = withFaces([part, door], part, true);
  it('gets its hidden face in a session before, with the same stages', () => {
    expect(both.map(({ name, face }) => [name, face])).toEqual([
      ['hatch', 'inside'],
      ['hatch', 'outside'],
      ['leftFrontDoor', undefined],
    ]);
    const stages = [stage('a', 2), { ...stage('b', 2), kind: 'clear' as const }];
    const faced = withPanelsInStages(draft({ panels: both, stages }), []);
    expect(faced.stages.map(({ kind, face }) => [kind, face])).toEqual([
      ['base', 'inside'],
      ['clear', 'inside'],
      ['base', undefined],
      ['clear', undefined],
    ]);
    const [inside, outside] = both;
    for (const one of faced.stages)
      expect(one.panelIds).toEqual(one.face ? [inside!.id] : [outside!.id, door.id]);
    // Changed again, the first session keeps its own.
    const again = withPanelsInStages(faced, []);
    expect(again.stages.map(({ id }) => id)).toEqual(faced.stages.map(({ id }) => id));
    expect(listedStages(again)).toHaveLength(2);
  });
  it('with one face again, the first session is gone', () => {
    const outside = both.find(({ face }) => face === 'outside')!;
    const one = withFaces(both, outside, false);
    expect(one.map(({ face }) => face)).toEqual([undefined, undefined]);
    const faced = withPanelsInStages(draft({ panels: both, stages: [stage('a', 2)] }), []);
    expect(withPanelsInStages({ ...faced, panels: one }, []).stages).toHaveLength(1);
  });
});
