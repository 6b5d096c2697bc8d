/**
 * Heat that is on: when the slowest panel has it, from when it is held, when the doors open. A
 * reading on the panel beats what is reckoned.
 */
import { Button, SegmentedControl, Select } from '@mantine/core';
import { heatOn, readsSince } from '@orthochrom/contract/plan/heatOn.ts';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { formatFor, minutesText } from '@orthochrom/contract/words/format.ts';
import type { LayerWork } from '@orthochrom/contract/shop/layerWork.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { timeText } from '../../words/timeText.ts';
import type { CardProps } from '../cardProps.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { LampRuns } from './LampRuns.tsx';

const MINUTE_MS = 60_000;

type HeatRunsProps = Pick<CardProps, 'whole' | 'coat' | 'context' | 'painter' | 'keep'> & {
  heated: LayerWork;
  nowMs: number;
};

export function HeatRuns({
  whole,
  coat,
  context,
  painter,
  keep,
  heated: work,
  nowMs,
}: HeatRunsProps) {
  const { at } = work;
  const [picked, pick] = useState<string>();
  const [seenC, setSeenC] = useState<number>();
  const [by, setBy] = useState<'booth' | 'lamp'>('booth');
  const [busy, write] = useWrite();
  const format = formatFor(painter.units);
  const reads = readsSince(context.ticket, whole.heatReads, coat.id, at);
  const answer = heatOn(context, reads, work);
  const { toC, holdMinutes, holdFromMinute, endMinute, openMinute, slowest } = answer;
  const fromMs = Date.parse(at);
  const clock = (minute: number) => timeText(new Date(fromMs + minute * MINUTE_MS).toISOString());
  const left = (minute: number) => Math.max(0, minute - (nowMs - fromMs) / MINUTE_MS);
  const { panels } = context.ticket;
  const heated = panels.filter(({ id }) => context.stage.panelIds.includes(id));
  const names = heated.map((one) => panelSaid(panels, one));
  const name = picked ?? slowest ?? names[0] ?? '';
  const panel = heated.find((one) => panelSaid(panels, one) === name);
  const last = reads.find((read) => read.panel === name);
  const keepRead = () =>
    panel &&
    seenC !== undefined &&
    write(async () => {
      keep(
        await noteDown<TicketWhole>(`${name} read`, 'POST', ADDRESS.coat(coat.id, 'heat-reads'), {
          id: newId(),
          painterId: painter.id,
          panelId: panel.id,
          seenC,
        }),
      );
      setSeenC(undefined);
    });
  return (
    <section className="card stack" aria-label="Heat">
      <p>
        Heat was begun at {timeText(at)}
        {toC === undefined ? '.' : `: ${format.joined(format.temperature(toC))} on the panel.`}
      </p>
      <SegmentedControl
        aria-label="Heat by"
        data={[
          { value: 'booth', label: 'booth, warm air' },
          { value: 'lamp', label: 'lamp' },
        ]}
        value={by}
        onChange={(value) => setBy(value as typeof by)}
      />
      {by === 'lamp' && <LampRuns {...{ context, painter, reads }} heated={work} />}
      {by === 'booth' && holdFromMinute && endMinute && openMinute && (
        <FigureTiles label="Heat as it runs">
          <FigureTile
            name="warming"
            isLead={left(holdFromMinute.value) > 0}
            label={`${slowest} has it`}
            figure={{ text: clock(holdFromMinute.value), unit: '' }}
            note={
              left(holdFromMinute.value) > 0
                ? `still ${minutesText(left(holdFromMinute.value))}: the clock starts then`
                : 'the clock runs'
            }
          />
          <FigureTile
            name="held"
            label={`Held ${minutesText(holdMinutes ?? 0)}, until`}
            figure={{ text: clock(endMinute.value), unit: '' }}
            note={`${clock(endMinute.low)} to ${clock(endMinute.high)}`}
          />
          <FigureTile
            name="open"
            label="Cool again, about"
            figure={{ text: clock(openMinute.value), unit: '' }}
            note="doors open"
          />
        </FigureTiles>
      )}
      <div className="grid2">
        <Select
          label="Read on"
          value={name}
          data={names}
          onChange={(other) => {
            if (!other) return;
            pick(other);
            setSeenC(undefined);
          }}
        />
        <FigureInput
          key={`${name} ${last?.seenMinute ?? ''}`}
          label="The panel reads now"
          description={
            last
              ? `last ${format.joined(format.temperature(last.seenC))} at ${clock(last.seenMinute)}`
              : 'on the metal, not in the air'
          }
          kind="temperature"
          field="seenC"
          onChange={(entered) => setSeenC(entered?.canonical)}
        />
        <Button
          size="lg"
          loading={busy}
          disabled={seenC === undefined}
          style={{ alignSelf: 'end' }}
          onClick={() => void keepRead()}
        >
          Keep this reading
        </Button>
      </div>
      {by === 'booth' && <VerdictList verdicts={answer.verdicts} hideGo />}
    </section>
  );
}
