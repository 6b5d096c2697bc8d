/** A gun as it is typed: from nothing or from what is stored, changed piece by piece. Pure. */
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import type { CareIntervals } from '@orthochrom/core/gun/care.ts';
import { GunCreate, type StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { USUAL_INTERVALS } from '@orthochrom/core/gun/care.ts';
import { USUAL_GUN_CLASS } from '@orthochrom/core/trade/gunClasses.ts';

export type GunDraft = Omit<GunCreate, 'id' | 'intervals'> & { intervals: CareIntervals };

export const EMPTY_GUN: GunDraft = {
  name: '',
  usedFor: [],
  gaugeTrust: 'good',
  note: '',
  gun: {
    class: USUAL_GUN_CLASS,
    nozzlesMm: [1.3],
    nozzleSets: [{ nozzleMm: 1.3 }],
    ability: 'good',
  },
  intervals: USUAL_INTERVALS,
};

/** Tests are taken, not edited: they stay on the server with their set. */
export const gunDraftOf = ({
  id: _i,
  version: _v,
  sets: _s,
  gun,
  ...draft
}: StoredGun): GunDraft => ({
  ...draft,
  gun: { ...gun, nozzleSets: (gun.nozzleSets ?? []).map(({ tests: _, ...set }) => set) },
});

export function faultOfGun(draft: GunDraft): string | undefined {
  if (draft.name.trim() === '') return 'A gun needs a name.';
  const gun = { ...draft, id: '00000000-0000-4000-8000-000000000000' };
  const parsed = GunCreate.safeParse(gun);
  return parsed.success ? undefined : refusalOf(parsed.error, gun).message;
}

export type NozzleSetDraft = NonNullable<GunDraft['gun']['nozzleSets']>[number];

/** The sets and the list of tips that goes with them are always the same. */
export const withSets = (draft: GunDraft, nozzleSets: NozzleSetDraft[]): GunDraft => ({
  ...draft,
  gun: { ...draft.gun, nozzleSets, nozzlesMm: nozzleSets.map(({ nozzleMm }) => nozzleMm) },
});
export const setChanged = (
  sets: readonly NozzleSetDraft[],
  at: number,
  changes: Partial<NozzleSetDraft>,
): NozzleSetDraft[] => sets.map((set, i) => (i === at ? { ...set, ...changes } : set));
