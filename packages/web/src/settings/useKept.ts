/** A thing of the shop as it is typed over and kept again, with its version. */
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { putJson } from '../api/client.ts';
import { useDraft } from '../api/draft.ts';
import { ADDRESS, hold } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';

export function useKept<T extends { id: string; version: number }>(
  thing: T,
  address: string,
  allOf: (setup: ShopSetup) => readonly T[],
) {
  const { draft, setDraft, isChanged, settle, round } = useDraft(thing);
  const [busy, write] = useWrite();
  const { id, version, ...body } = draft;
  const save = () =>
    write(async (over?: number) => {
      const setup = await putJson<ShopSetup>(address, { ...body, version: over ?? version });
      settle(allOf(setup).find((saved) => saved.id === id)!);
      await hold(ADDRESS.setup, setup);
    });
  return { draft, setDraft, isChanged, busy, save, round };
}
