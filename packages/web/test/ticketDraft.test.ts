/** A ticket being written: what lacks, and panels that follow their stages. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { describe, expect, it } from 'vitest';
import {
  draftFaults,
  emptyDraft,
  newPanel,
  withPanelsInStages,
  type TicketDraft,
} from '../src/ticket/form/ticketDraft.ts';
import { stage } from './ticketFixture.ts';

describe('a ticket being written', () => {
  const setup = { rooms: [{ id: '0190b5a0-0000-7000-8000-000000000009' }] } as ShopSetup;
  const draft = (changes: Partial<TicketDraft> = {}): TicketDraft => ({
    ...emptyDraft(setup.rooms[0]!.id),
    ...changes,
  });
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
