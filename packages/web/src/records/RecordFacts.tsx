/** The facts of a record: settings planned and done, and the gate in words. */
import type { SettingName } from '@orthochrom/contract/shop/coat.ts';
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import { SETTING_NAME } from '../words/tradeNames.ts';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import { turnsText, type Format } from '@orthochrom/contract/words/format.ts';

const BREATHING = {
  airFed: 'air-fed breathing',
  cartridge: 'cartridge mask',
  dust: 'dust mask',
  none: 'no breathing protection',
} as const;

export function gateText(answers: Record<string, unknown>): string {
  const { protection, extraction, ignition, bystanders } = answers as {
    protection?: { breathing: keyof typeof BREATHING; skin?: boolean; eyes?: boolean };
    extraction?: string;
    ignition?: string[];
    bystanders?: boolean;
  };
  return [
    protection && BREATHING[protection.breathing],
    protection?.skin && 'skin covered',
    protection?.eyes && 'eyes covered',
    extraction && `extraction ${extraction}`,
    ignition && (ignition.length === 0 ? 'no ignition source found' : ignition.join(', ')),
    bystanders === undefined ? undefined : bystanders ? 'bystanders near' : 'nobody else near',
  ]
    .filter(Boolean)
    .join(', ');
}

export function Fact({ label, value, note }: { label: string; value: string; note: string }) {
  return (
    <div className="card">
      <div className="label">{label}</div>
      <div className="figure mid">{value}</div>
      <div className="quiet">{note}</div>
    </div>
  );
}

export function SettingRow({
  name,
  row: { coat },
  format,
}: {
  name: SettingName;
  row: RecordRow;
  format: Format;
}) {
  const write = (value: number | undefined): string => {
    if (value === undefined) return '';
    if (name === 'inletKPa') return format.joined(format.pressure(value));
    if (name === 'fluidTurnsOut' || name === 'fanTurnsOut') return `${turnsText(value)} turns`;
    if (name === 'distanceMm') return format.joined(format.length(value));
    if (name === 'wetFilmUm') return format.joined(format.film(value));
    return name === 'nozzleMm' ? `${value} mm` : `${value.toFixed(0)} %`;
  };
  const override = coat.overrides[name];
  const done = coat.done[name];
  return (
    <tr>
      <td>{SETTING_NAME[name]}</td>
      <td>{write(takenSetup(coat)?.[name])}</td>
      <td>{override ? `${write(Number(override.chosen))}, ${override.why}` : ''}</td>
      <td>
        {done?.source === 'changed' ? <strong>{write(done.value)}</strong> : write(done?.value)}{' '}
        <span className="quiet">{done?.source}</span>
      </td>
    </tr>
  );
}
