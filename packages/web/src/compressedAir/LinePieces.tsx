/** The parts of the form of an air line: whose it is, what the air goes through, and its gauge. */
import { NumberInput, Select, TextInput } from '@mantine/core';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { Dispatch, SetStateAction } from 'react';
import { FigureInput } from '../units/FigureInput.tsx';
import { couplersOf, withCouplers, type AirLineDraft, type HoseDraft } from './airLineDraft.ts';

type Change = (changes: Partial<AirLineDraft>) => void;
type ChangeLine = (changes: Partial<AirLineDraft['line']>) => void;

const NONE = 'none';
const picks = (list: { id: string; name: string }[], none: string) => [
  { value: NONE, label: none },
  ...list.map(({ id, name }) => ({ value: id, label: name })),
];
const pickedId = (id: string | null) => (id === null || id === NONE ? undefined : id);

export function WhereItBelongs({
  draft,
  setup,
  change,
  changeLine,
}: {
  draft: AirLineDraft;
  setup: ShopSetup;
  change: Change;
  changeLine: ChangeLine;
}) {
  return (
    <div className="card grid2">
      <TextInput
        label="Name"
        value={draft.name}
        maxLength={80}
        onChange={(event) => change({ name: event.currentTarget.value })}
      />
      <Select
        label="Serves the room"
        value={draft.roomId ?? NONE}
        data={picks(setup.rooms, 'no room of its own')}
        onChange={(id) => change({ roomId: pickedId(id) })}
      />
      <Select
        label="From the compressor"
        value={draft.compressorId ?? NONE}
        data={picks(setup.compressors, 'not described')}
        onChange={(id) => change({ compressorId: pickedId(id) })}
        description={
          setup.compressors.length === 0 ? 'describe one to know whether it holds' : undefined
        }
      />
      <FigureInput
        label="The compressor side holds"
        kind="supplyPressure"
        field="supplyKPa"
        {...(draft.line.supplyKPa === undefined ? {} : { value: draft.line.supplyKPa })}
        onChange={(entered) => changeLine({ supplyKPa: entered?.canonical })}
      />
    </div>
  );
}

export function LinePieces({
  line,
  hose,
  changeLine,
  setHose,
}: {
  line: AirLineDraft['line'];
  hose: HoseDraft;
  changeLine: ChangeLine;
  setHose: Dispatch<SetStateAction<HoseDraft>>;
}) {
  return (
    <fieldset className="card grid2" style={{ margin: 0 }}>
      <legend className="tape">What the air goes through</legend>
      <Select
        label="Wall regulator"
        value={line.regulator ?? 'large'}
        data={[
          { value: 'large', label: 'large body, 1/2 inch' },
          { value: 'small', label: 'small body, 1/4 inch' },
        ]}
        onChange={(regulator) => regulator && changeLine({ regulator: regulator as 'small' })}
      />
      <FigureInput
        label="Hose, inside diameter"
        kind="bore"
        field="innerDiameterMm"
        description="3/8 in is 9.5 mm; type either"
        {...(hose.innerDiameterMm === undefined ? {} : { value: hose.innerDiameterMm })}
        onChange={(entered) => setHose((now) => ({ ...now, innerDiameterMm: entered?.canonical }))}
      />
      <FigureInput
        label="Hose, length"
        kind="metres"
        field="lengthM"
        {...(hose.lengthM === undefined ? {} : { value: hose.lengthM })}
        onChange={(entered) => setHose((now) => ({ ...now, lengthM: entered?.canonical }))}
      />
      <NumberInput
        label="Standard couplers"
        min={0}
        max={12}
        value={couplersOf(line, 'standard')}
        onChange={(count) => changeLine(withCouplers(line, 'standard', Number(count) || 0))}
      />
      <NumberInput
        label="High-flow couplers"
        min={0}
        max={12}
        value={couplersOf(line, 'highFlow')}
        onChange={(count) => changeLine(withCouplers(line, 'highFlow', Number(count) || 0))}
      />
    </fieldset>
  );
}

export function OwnGauge({ draft, change }: { draft: AirLineDraft; change: Change }) {
  return (
    <fieldset className="card grid2" style={{ margin: 0 }}>
      <legend className="tape">Your gauge</legend>
      <Select
        label="Where it sits"
        value={draft.gaugeAt}
        data={[
          { value: 'wall', label: 'at the wall' },
          { value: 'gun', label: 'at the gun’s inlet' },
        ]}
        onChange={(gaugeAt) => gaugeAt && change({ gaugeAt: gaugeAt as 'wall' })}
      />
      <Select
        label="How far you trust it"
        value={draft.gaugeTrust}
        data={[
          { value: 'good', label: 'trusted' },
          { value: 'doubtful', label: 'doubtful' },
          { value: 'none', label: 'not at all' },
        ]}
        onChange={(trust) => trust && change({ gaugeTrust: trust as 'good' })}
      />
      <p style={{ gridColumn: '1 / -1' }}>
        With a regulator at the wall the gun’s own air valve stays fully open: two throttles in a
        row and neither tells the truth.
      </p>
    </fieldset>
  );
}
