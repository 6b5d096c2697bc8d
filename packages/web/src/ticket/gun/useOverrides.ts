/** The painter's own settings over ours: written with the coat's version, one or several. */
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat, Overrides, SettingName } from '@orthochrom/contract/shop/coat.ts';
import { postJson } from '../../api/client.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';

export type Overriding = {
  /** Absent before the plan is taken, and while a write runs. */
  onUse?: (chosen: Overrides) => Promise<boolean>;
  onOverride?: (name: SettingName) => (next: Overrides[SettingName]) => void;
};

/** The overrides that are left when one is set, or taken back. */
export function withOverride(
  overrides: Overrides,
  name: SettingName,
  next: Overrides[SettingName],
): Overrides {
  const { [name]: _, ...rest } = overrides;
  return next ? { ...rest, [name]: next } : rest;
}

export function useOverrides(
  coat: Coat,
  painterId: string,
  keep: (whole: TicketWhole) => void,
): Overriding {
  const [busy, write] = useWrite();
  if (coat.state !== 'taken' || busy) return {};
  const overrideAll = (overrides: Overrides) =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'overrides'), {
          version: coat.version,
          painterId,
          overrides,
        }),
      ),
    );
  return {
    onUse: (chosen) => overrideAll({ ...coat.overrides, ...chosen }),
    onOverride: (name) => (next) => void overrideAll(withOverride(coat.overrides, name, next)),
  };
}
