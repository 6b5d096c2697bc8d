/** What is touched and looked at when the minutes are over, and the panels' own times. */
import { Checkbox, SegmentedControl } from '@mantine/core';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { ask } from '@orthochrom/contract/registry.ts';
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

/** A hand-held blower has limits, and no place on a base with hardener in it. */
export function Blower({
  context,
  plan,
  minutesSince,
}: Pick<CardProps, 'context' | 'plan'> & { minutesSince: number }) {
  const [inletKPa, setInletKPa] = useState<number>();
  const [distanceMm, setDistanceMm] = useState<number>();
  const [angled, setAngled] = useState(true);
  if (context.sheet.carrier !== 'waterborne' && !context.sheet.blowerOk) return null;
  const verdicts =
    inletKPa === undefined || distanceMm === undefined
      ? []
      : ask('recoat', {
          ...plan.inputs.recoat,
          minutesSince,
          blower: { inletKPa, distanceMm, angled },
        }).verdicts.filter(({ code }) => code.startsWith('blower'));
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Blowing it dry?
      </summary>
      <p style={{ margin: '0.4rem 0' }}>
        From a metre away or more, at most 2 bar, across the panel and never straight at it.
      </p>
      <div className="grid2">
        <FigureInput
          label="Blower pressure"
          kind="pressure"
          field="inletKPa"
          onChange={(entered) => setInletKPa(entered?.canonical)}
        />
        <FigureInput
          label="From how far"
          kind="length"
          field="distanceMm"
          onChange={(entered) => setDistanceMm(entered?.canonical)}
        />
      </div>
      <Checkbox
        my="sm"
        size="md"
        label="At an angle, across the panel"
        checked={angled}
        onChange={(event) => setAngled(event.currentTarget.checked)}
      />
      <VerdictList verdicts={verdicts} />
    </details>
  );
}
