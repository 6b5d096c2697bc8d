/** How this coat is dried: left to flash, blown, or in a booth that warms its air. */
import { Button, Checkbox, SegmentedControl } from '@mantine/core';
import { takesWarmAir, warmAirOn } from '@orthochrom/contract/plan/heatOn.ts';
import { layerOf } from '@orthochrom/contract/plan/recoatInputs.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { BLOWER } from '@orthochrom/core/film/recoat.ts';
import { recoatCalculation } from '@orthochrom/contract/calculations/recoat.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { WARM_AIR } from '@orthochrom/core/heat/warmBooth.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { timeText } from '../../words/timeText.ts';
import type { CardProps } from '../cardProps.ts';

type Way = 'wait' | 'blower' | 'warm';
type DryingProps = Pick<CardProps, 'whole' | 'coat' | 'context' | 'plan' | 'painter' | 'keep'> & {
  minutesSince: number;
  nowMs: number;
};

/** Nothing to pick where the paint has hardener in it, or its sheet names no other way. */
export function DryingWays(props: DryingProps) {
  const { whole, coat, context, painter } = props;
  const [way, setWay] = useState<Way>('wait');
  const warmed = whole.works.findLast(
    ({ coatId, kind }) => coatId === coat.id && kind === 'warmed',
  );
  const { sheet } = context;
  const isBlown =
    (sheet.carrier === 'waterborne' || sheet.blowerOk === true) && !layerOf(context).activated;
  const ways: [Way, string][] = [
    ['wait', 'Let it flash'],
    ...(isBlown ? [['blower', 'Blower'] as [Way, string]] : []),
    ...(takesWarmAir(context) ? [['warm', 'Warm booth'] as [Way, string]] : []),
  ];
  if (warmed) {
    const format = formatFor(painter.units);
    return (
      <p className="card">
        <strong>Warm air on since {timeText(warmed.at)}</strong>, at{' '}
        {format.joined(format.temperature(warmed.warmC ?? WARM_AIR.usualC))}. The clock ends when
        the panel is dry and cool again; touch it then.
      </p>
    );
  }
  if (ways.length === 1) return null;
  return (
    <div className="card stack" role="group" aria-label="How it is dried">
      <strong>How it is dried</strong>
      <SegmentedControl
        orientation="vertical"
        fullWidth
        aria-label="How it is dried"
        value={way}
        onChange={(next) => setWay(next as Way)}
        data={ways.map(([value, label]) => ({ value, label }))}
      />
      {way === 'blower' && <Blower {...props} />}
      {way === 'warm' && <WarmBooth {...props} />}
    </div>
  );
}

function WarmBooth({ coat, context, painter, keep, minutesSince, nowMs }: DryingProps) {
  const [warmC, setWarmC] = useState<number>();
  const [busy, write] = useWrite();
  const { endMinute, openMinute, verdicts } = warmAirOn(context, { minutesSince, warmC });
  const format = formatFor(painter.units);
  const at = (minute: number) => timeText(new Date(nowMs + minute * 60_000).toISOString());
  const begin = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'works'), {
          id: newId(),
          painterId: painter.id,
          kind: 'warmed',
          why: '',
          ...(warmC === undefined ? {} : { warmC }),
        }),
      ),
    );
  return (
    <>
      <FigureInput
        label={`Air, usually ${format.joined(format.temperature(WARM_AIR.usualC))}`}
        kind="temperature"
        field="warmC"
        onChange={(entered) => setWarmC(entered?.canonical)}
      />
      {endMinute && openMinute && (
        <p>
          Dry at about <strong>{at(endMinute.value)}</strong>, cool enough for the next at{' '}
          <strong>{at(openMinute.value)}</strong> ({Math.round(openMinute.low)} to{' '}
          {Math.round(openMinute.high)} min). Extraction running, air moving across it.
        </p>
      )}
      <VerdictList verdicts={verdicts} hideGo />
      <div>
        <Button loading={busy} disabled={!openMinute} onClick={() => void begin()}>
          Warm air is on
        </Button>
      </div>
    </>
  );
}

/** A hand-held blower has limits, and no place on a base with hardener in it. */
function Blower({ plan, painter, minutesSince }: DryingProps) {
  const [inletKPa, setInletKPa] = useState<number>();
  const [distanceMm, setDistanceMm] = useState<number>();
  const [angled, setAngled] = useState(true);
  const format = formatFor(painter.units);
  const verdicts =
    inletKPa === undefined || distanceMm === undefined
      ? []
      : ask(recoatCalculation, {
          ...plan.inputs.recoat,
          minutesSince,
          blower: { inletKPa, distanceMm, angled },
        }).verdicts.filter(({ code }) => code.startsWith('blower'));
  return (
    <>
      <p style={{ margin: '0.4rem 0' }}>
        From {format.joined(format.metres(BLOWER.minMm / 1000))} away or more, at most{' '}
        {format.joined(format.pressure(BLOWER.maxKPa))}, across the panel and never straight at it.
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
    </>
  );
}
