/** The gun for this coat: pressure at the gun with the trigger pulled, knobs from closed, the hand, and the step on this fan. */
import { Button, Select } from '@mantine/core';
import { ask } from '@orthochrom/contract/registry.ts';
import type { StoredGun, Units } from '@orthochrom/contract/shop/setup.ts';
import type { Overrides, SettingName, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { inletBandKPa } from '@orthochrom/core/gun/practiceBands.ts';
import { DEFAULT_FULL_FAN_TURNS, DEFAULT_FULL_FLUID_TURNS, testsOf } from '@orthochrom/core/gun/gun.ts';
import { useState } from 'react';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/hooks.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor, turnsText, type Figure } from '../units/format.ts';
import { VerdictList } from '../verdict/Verdicts.tsx';
import { GaugePicture, KnobPicture } from './Instruments.tsx';
import { STAGE_NAME, WETNESS_NAME } from './names.ts';
import { Setting } from './Setting.tsx';
import { takenSetup } from './takenPlan.ts';
import type { CardProps } from './cardProps.ts';

const TEST_PANEL = [
  'The real mix, not reducer: reducer shows another pattern. First shot onto masking paper, to purge the cleaner.',
  'Pull the trigger to air and set the pressure at the gun, flowing.',
  'Needle shut. Trigger held, open half a turn at a time while you spray passes at your distance.',
  'Stop where the film lies wet without drifting, and count the turns from closed.',
  'One short shot on paper at the same distance: an even oval. Measure its width and type it above.',
  'Spotty: a little more air or a little less paint. Dry: nearer or slower. One change at a time.',
];
const GAUGE_NOTE = { good: '', doubtful: ' · this gauge is doubtful', none: ' · no gauge: fit one, or test on paper' } as const;

/** The same pressure in the other units, so that none is mistaken for another. */
const inOtherUnits = (inletKPa: number, own: Units['pressure']): string =>
  (['psi', 'bar', 'kPa'] as const)
    .filter((unit) => unit !== own)
    .map((unit) => `${convert(inletKPa, 'kPa', unit).toFixed(unit === 'bar' ? 2 : 0)} ${unit}`)
    .join(' · ');

type GunCardProps = CardProps & { gatePassed: boolean; guns: StoredGun[]; pickGun: (gunId: string) => void; onSpray: () => void };

export function GunCard({ coat, stage, context, plan, painter, keep, gatePassed, guns, pickGun, onSpray }: GunCardProps) {
  const [busy, write] = useWrite();
  const format = formatFor(painter.units);
  if (!gatePassed)
    return <p className="card">The safety gate of this stage comes first: no settings are shown before it has passed.</p>;
  const taken = coat.state === 'planned' ? undefined : takenSetup(coat);
  const setup = taken ?? plan.setup;
  const { gun } = context.gun;
  const override = (name: SettingName) => (next: Overrides[SettingName]) => {
    const { [name]: _, ...rest } = coat.overrides;
    const overrides = next ? { ...rest, [name]: next } : rest;
    void write(async () =>
      keep(
        await postJson<TicketWhole>(`/api/coats/${coat.id}/overrides`, {
          version: coat.version,
          painterId: painter.id,
          overrides,
        }),
      ),
    );
  };
  const canOverride = coat.state === 'taken' && !busy;
  const setting = (name: SettingName, show: (canonical: number) => Figure) => ({
    name,
    show,
    recommended: setup[name],
    override: coat.overrides[name],
    ...(canOverride ? { onOverride: override(name) } : {}),
  });
  const turns = (value: number): Figure => ({ text: turnsText(value), unit: 'turns' });
  const fullFluid = gun.fullFluidTurns ?? DEFAULT_FULL_FLUID_TURNS;
  const fullFan = gun.fullFanTurns ?? DEFAULT_FULL_FAN_TURNS;
  const valueOf = (name: SettingName) =>
    typeof coat.overrides[name]?.chosen === 'number' ? (coat.overrides[name].chosen as number) : setup[name];
  const band = plan.inputs.setup.sheet?.inletKPa ?? inletBandKPa(gun.class, stage.kind, context.sheet.carrier);
  return (
    <>
      <div className="row">
        <Select
          aria-label="Gun"
          w={230}
          disabled={coat.state !== 'planned'}
          value={context.gun.id}
          data={guns.map(({ id, name, usedFor }) => ({
            value: id,
            label: `${name}${usedFor.includes(stage.kind) ? '' : ', not its work'}`,
          }))}
          onChange={(id) => id && pickGun(id)}
        />
        <span className="quiet">
          {setup.nozzleMm} mm nozzle · {setup.coats} {setup.coats === 1 ? 'coat' : 'coats'}, {WETNESS_NAME[setup.wetness]},{' '}
          {format.joined(format.film(setup.wetFilmUm))} wet
        </span>
      </div>
      {!context.gun.usedFor.includes(stage.kind) && (
        <p className="card">
          {context.gun.name} is kept for {context.gun.usedFor.map((kind) => STAGE_NAME[kind].toLowerCase()).join(', ')}.{' '}
          {context.gun.note}
        </p>
      )}
      <VerdictList verdicts={setup.verdicts.filter(({ code }) => code !== 'test-panel-first')} hideGo />
      <div className="grid2" style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 168px), 1fr))' }}>
        <Setting
          label="At the gun, trigger pulled"
          kind="pressure"
          {...setting('inletKPa', format.pressure)}
          picture={<GaugePicture inletKPa={valueOf('inletKPa')} bandKPa={band} units={painter.units} />}
          note={`${inOtherUnits(valueOf('inletKPa'), painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`}
        />
        <Setting
          label="Needle out, from closed"
          kind="turns"
          {...setting('fluidTurnsOut', turns)}
          fullTurns={fullFluid}
          picture={<KnobPicture turnsOut={valueOf('fluidTurnsOut')} fullTurns={fullFluid} />}
          note={`of ${turnsText(fullFluid)}; from open, ${turnsText(Math.max(0, fullFluid - valueOf('fluidTurnsOut')))} in`}
        />
        <Setting
          label="Fan out, from closed"
          kind="turns"
          {...setting('fanTurnsOut', turns)}
          fullTurns={fullFan}
          picture={<KnobPicture turnsOut={valueOf('fanTurnsOut')} fullTurns={fullFan} />}
          note={`of ${turnsText(fullFan)}; back ${turnsText(Math.max(0, fullFan - valueOf('fanTurnsOut')))} from open`}
        />
        <Setting label="Distance" kind="length" {...setting('distanceMm', format.length)} note="gun square to the panel" />
        <Setting
          label="Overlap"
          kind="percent"
          {...setting('overlapPercent', (v) => ({ text: v.toFixed(0), unit: '%' }))}
          note="of the fan on the pass before"
        />
        <Step
          context={context}
          stage={stage}
          setup={{ overlapPercent: valueOf('overlapPercent'), distanceMm: valueOf('distanceMm'), nozzleMm: setup.nozzleMm }}
        />
      </div>
      <VerdictList verdicts={setup.verdicts.filter(({ code }) => code === 'test-panel-first')} />
      <details className="card">
        <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>Find it on a test panel, step by step</summary>
        <ol style={{ margin: '0.5rem 0 0', paddingLeft: '1.3rem', lineHeight: 1.6 }}>
          {TEST_PANEL.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
      </details>
      <div className="row">
        <Button onClick={onSpray} disabled={coat.state !== 'taken'}>
          {coat.state === 'planned' ? 'Take the plan on the mix card first' : 'Pattern even, test panel good: spray'}
        </Button>
      </div>
    </>
  );
}

/** Overlap as a step in the painter's units, from the fan as it was measured on paper. */
function Step({
  context,
  stage,
  setup,
}: Pick<CardProps, 'context' | 'stage'> & { setup: { overlapPercent: number; distanceMm: number; nozzleMm: number } }) {
  const test = testsOf(context.gun.gun, setup.nozzleMm).find(({ kind }) => kind === 'fan');
  const tested = test?.kind === 'fan' ? test.fanWidthMm : undefined;
  const [fanWidthMm, setFanWidthMm] = useState(tested);
  const format = formatFor(context.painter.units);
  const answer =
    fanWidthMm === undefined
      ? undefined
      : ask('overlap', {
          fanWidthMm,
          overlapPercent: setup.overlapPercent,
          stage: stage.kind,
          ...(stage.finish ? { finish: stage.finish } : {}),
        });
  const step = answer && format.length(answer.stepMm);
  return (
    <div className="card stack">
      <div>
        <div className="label">Step between passes</div>
        <div className="figure">
          {step ? step.text : '?'} <small>{step?.unit}</small>
        </div>
        {answer && <div className="quiet">film {answer.filmFactor.toFixed(1)} times that at half overlap, same hand</div>}
      </div>
      <FigureInput
        label="Fan width on paper"
        kind="length"
        field="fanWidthMm"
        {...(tested === undefined ? {} : { value: tested })}
        description={tested === undefined ? 'measure one short shot at your distance' : 'from this gun’s own test'}
        onChange={(entered) => setFanWidthMm(entered?.canonical)}
      />
      {answer && <VerdictList verdicts={answer.verdicts.filter(({ code }) => code !== 'overlap-thickens')} />}
    </div>
  );
}
