/**
 * Heat that is on: when the slowest panel has it, from when it is held, when the doors open. A
 * reading on the panel beats what is reckoned.
 */
import { Select } from '@mantine/core';
import { heatOn, type PanelRead } from '@orthochrom/contract/plan/heatOn.ts';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { formatFor, minutesText } from '@orthochrom/contract/words/format.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { timeText } from '../../words/timeText.ts';
import type { CardProps } from '../cardProps.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';

const MINUTE_MS = 60_000;

type HeatRunsProps = Pick<CardProps, 'context' | 'painter'> & { at: string; nowMs: number };

export function HeatRuns({ context, painter, at, nowMs }: HeatRunsProps) {
  const [reads, setReads] = useState<PanelRead[]>([]);
  const [picked, pick] = useState<string>();
  const format = formatFor(painter.units);
  const answer = heatOn(context, reads);
  const { toC, holdMinutes, holdFromMinute, endMinute, openMinute, slowest } = answer;
  const fromMs = Date.parse(at);
  const clock = (minute: number) => timeText(new Date(fromMs + minute * MINUTE_MS).toISOString());
  const left = (minute: number) => Math.max(0, minute - (nowMs - fromMs) / MINUTE_MS);
  const { panels } = context.ticket;
  const names = panels
    .filter(({ id }) => context.stage.panelIds.includes(id))
    .map((one) => panelSaid(panels, one));
  const panel = picked ?? slowest ?? names[0] ?? '';
  const read = (seenC: number | undefined) =>
    setReads([
      ...reads.filter((one) => one.panel !== panel),
      ...(seenC === undefined
        ? []
        : [{ panel, seenC, seenMinute: Math.max(0.5, (nowMs - fromMs) / MINUTE_MS) }]),
    ]);
  return (
    <section className="card stack" aria-label="Heat">
      <p>
        Heat was begun at {timeText(at)}
        {toC === undefined ? '.' : `: ${format.joined(format.temperature(toC))} on the panel.`}
      </p>
      {holdFromMinute && endMinute && openMinute && (
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
          value={panel}
          data={names}
          onChange={(name) => name && pick(name)}
        />
        <FigureInput
          key={panel}
          label="The panel reads now"
          description="on the metal, not in the air"
          kind="temperature"
          field="seenC"
          onChange={(entered) => read(entered?.canonical)}
        />
      </div>
      <VerdictList verdicts={answer.verdicts} hideGo />
    </section>
  );
}
