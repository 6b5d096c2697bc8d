/** What is touched and looked at when the minutes are over, and the panels' own times. */
import { SegmentedControl } from '@mantine/core';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { CardProps } from '../cardProps.ts';

export type Touch = NonNullable<NonNullable<InputOf<'recoat'>['tests']>['touch']>;

/** Flash runs per panel from its own time: the first and the last are shown. */
export function PanelTimes({
  whole,
  coat,
  now,
}: Pick<CardProps, 'whole' | 'coat' | 'stage'> & { now: number }) {
  const [first, last] = [coat.panelsSprayed[0], coat.panelsSprayed.at(-1)];
  if (!first || !last) return null;
  const name = (panelId: string) =>
    panelName(whole.ticket.panels.find(({ id }) => id === panelId)?.name ?? 'panel');
  const since = (at: string) => `${Math.floor((now - Date.parse(at)) / 60_000)} min`;
  if (first.panelId === last.panelId || first.sprayedAt === last.sprayedAt)
    return <p>On for {since(last.sprayedAt)}.</p>;
  return (
    <p>
      First, {name(first.panelId)}: {since(first.sprayedAt)}. Last, {name(last.panelId)}:{' '}
      {since(last.sprayedAt)}; the clock goes by the last.
    </p>
  );
}

export function TouchChoice({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Touch | undefined;
  onChange: (touch: Touch) => void;
}) {
  return (
    <div>
      <div className="label">{label}</div>
      <SegmentedControl
        aria-label={label}
        size="lg"
        value={value ?? ''}
        onChange={(next) => onChange(next as Touch)}
        data={[
          { value: 'dry', label: 'Dry' },
          { value: 'tacky', label: 'Tacky' },
          { value: 'marks', label: 'Marks' },
        ]}
      />
    </div>
  );
}
