/** The shop itself: its name, its clock, what stands before a ticket's number, its money. */
import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { hoursOf } from '@orthochrom/contract/plan/shopHours.ts';
import type { Shop } from '@orthochrom/contract/shop/setup.ts';
import { ADDRESS } from '../api/resources.ts';
import { HoursFields } from './HoursFields.tsx';
import { useKept } from './useKept.ts';

const ZONES = Intl.supportedValuesOf('timeZone');

export function ShopSettings({ shop }: { shop: Shop }) {
  const { draft, setDraft, isChanged, busy, save, round } = useKept(
    shop,
    ADDRESS.shop,
    ({ shop: kept }) => [kept],
  );
  const zones = ZONES.includes(draft.timeZone) ? ZONES : [draft.timeZone, ...ZONES];
  return (
    <section className="card stack" aria-label="The shop">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        The shop
      </h2>
      <div className="grid2" key={round} style={{ alignItems: 'end' }}>
        <TextInput
          label="Name of the shop"
          value={draft.name}
          maxLength={80}
          onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
        />
        <Select
          label="Its clock"
          searchable
          value={draft.timeZone}
          data={zones}
          onChange={(timeZone) => timeZone && setDraft({ ...draft, timeZone })}
        />
        <TextInput
          label="Before a ticket’s number"
          value={draft.ticketPrefix}
          maxLength={8}
          onChange={(event) => setDraft({ ...draft, ticketPrefix: event.currentTarget.value })}
        />
        <TextInput
          label="Its money"
          description="as it is written beside a price"
          value={draft.currency ?? ''}
          maxLength={8}
          onChange={({ currentTarget: { value } }) => {
            const { currency: _, ...rest } = draft;
            setDraft(value ? { ...rest, currency: value } : rest);
          }}
        />
      </div>
      <Checkbox
        size="md"
        label="An apprentice’s own word against the advice wants a lead’s PIN"
        checked={draft.apprenticeAsks ?? false}
        onChange={(event) => setDraft({ ...draft, apprenticeAsks: event.currentTarget.checked })}
      />
      <HoursFields hours={hoursOf(draft)} onChange={(hours) => setDraft({ ...draft, hours })} />
      <div className="row">
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Save the shop
        </Button>
      </div>
    </section>
  );
}
