/** The gun for this coat: what the gauge in the shop must show, knobs from closed, the hand, and what comes out of it. */
import { Button, Select } from '@mantine/core';
import { ownPressure } from '@orthochrom/contract/plan/ownPressure.ts';
import type { StoredGun, Units } from '@orthochrom/contract/shop/setup.ts';
import type { Overrides, SettingName, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { inletBandKPa } from '@orthochrom/core/gun/practiceBands.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import { useMemo } from 'react';
import { postJson } from '../api/client.ts';
import { useTests, useWrite } from '../api/hooks.ts';
import { formatFor, turnsText, type Figure } from '../units/format.ts';
import { VerdictList } from '../verdict/Verdicts.tsx';
import { KeepTo } from '../faults/KeepTo.tsx';
import { OfferedChanges } from '../faults/OfferedChanges.tsx';
import { BaselineOffer } from './BaselineOffer.tsx';
import { ByEarCard } from './ByEarCard.tsx';
import type { CardProps } from './cardProps.ts';
import { ComesOut } from './ComesOut.tsx';
import { chosenValue, figuresNow, knobsOf } from './gunFigures.ts';
import { ExpectCard } from './ExpectCard.tsx';
import { OtherPlans } from './OtherPlans.tsx';
import { GaugePicture, KnobPicture } from './Instruments.tsx';
import { STAGE_NAME, WETNESS_NAME } from './names.ts';
import { PresetPicker } from './PresetPicker.tsx';
import { Setting } from './Setting.tsx';
import { takenSetup } from './takenPlan.ts';
import { TunePanel } from './TunePanel.tsx';
import type { Wishes } from './useCoatPlan.ts';
import { WallCard } from './WallCard.tsx';

const TEST_PANEL = [
  'The real mix, not reducer: reducer shows another pattern. First shot onto masking paper, to purge the cleaner.',
  'Pull the trigger to air and set the pressure, flowing.',
  'Needle shut. Trigger held, open half a turn at a time while you spray passes at your distance.',
  'Stop where the film lies wet without drifting, and count the turns from closed.',
  'One short shot on paper at the same distance: an even oval. Anything else: touch it under “It looks …”.',
];
const GAUGE_NOTE = { good: '', doubtful: ' · this gauge is doubtful', none: ' · no gauge of its own' } as const;

/** The same pressure in the other units, so that none is mistaken for another. */
const inOtherUnits = (inletKPa: number, own: Units['pressure']): string =>
  (['psi', 'bar', 'kPa'] as const)
    .filter((unit) => unit !== own)
    .map((unit) => `${convert(inletKPa, 'kPa', unit).toFixed(unit === 'bar' ? 2 : 0)} ${unit}`)
    .join(' · ');

type GunCardProps = CardProps & {
  gatePassed: boolean;
  guns: StoredGun[];
  pickGun: (gunId: string) => void;
  wishes: Wishes;
  setWishes: (wishes: Wishes) => void;
  onSpray: () => void;
};

export function GunCard(props: GunCardProps) {
  if (!props.gatePassed)
    return <p className="card">The safety gate of this stage comes first: no settings are shown before it has passed.</p>;
  return <OpenGunCard {...props} />;
}

function OpenGunCard({
  whole,
  coat,
  stage,
  context,
  plan,
  painter,
  keep,
  guns,
  pickGun,
  wishes,
  setWishes,
  onSpray,
}: GunCardProps) {
  const [busy, write] = useWrite();
  const { data: tests } = useTests();
  const format = formatFor(painter.units);
  const setup = (coat.state === 'planned' ? undefined : takenSetup(coat)) ?? plan.setup;
  const { gun } = context.gun;
  const overrideAll = (overrides: Overrides) =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(`/api/coats/${coat.id}/overrides`, {
          version: coat.version,
          painterId: painter.id,
          overrides,
        }),
      ),
    );
  const override = (name: SettingName) => (next: Overrides[SettingName]) => {
    const { [name]: _, ...rest } = coat.overrides;
    void overrideAll(next ? { ...rest, [name]: next } : rest);
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
  const fullFluid = fullFluidTurnsOf(gun);
  const fullFan = fullFanTurnsOf(gun);
  const knobs = knobsOf(setup, coat.overrides);
  const figures = figuresNow(plan, setup, coat.overrides);
  const nozzleMm = chosenValue(setup, coat.overrides, 'nozzleMm');
  const nozzleSet = context.gun.sets.find((set) => set.nozzleMm === nozzleMm && !set.retiredAt);
  const band = plan.inputs.setup.sheet?.inletKPa ?? inletBandKPa(gun.class, stage.kind, context.sheet.carrier);
  const isByEar = painter.way.gauge === 'byEar';
  const isByWall = painter.way.gauge === 'atWall' || (!isByEar && context.gun.gaugeTrust === 'none');
  const { panelLengthM, capLimitKPa } = plan.inputs.setup;
  const set = settingsOf(knobs, nozzleMm, figures);
  const expected = useSame({ ...set, gunSpeedMPerS: figures.gunSpeedMPerS });
  const wall = <WallCard figures={figures} airLine={context.airLine} units={painter.units} isMain={isByWall} />;
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
      {coat.state === 'planned' && <PresetPicker usual={stage.part} wishes={wishes} setWishes={setWishes} />}
      {!context.gun.usedFor.includes(stage.kind) && (
        <p className="card">
          {context.gun.name} is kept for {context.gun.usedFor.map((kind) => STAGE_NAME[kind].toLowerCase()).join(', ')}.{' '}
          {context.gun.note}
        </p>
      )}
      <VerdictList verdicts={setup.verdicts.filter(({ code }) => code !== 'test-panel-first')} hideGo />
      <div className="grid2" style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 168px), 1fr))' }}>
        {isByWall && wall}
        <Setting
          label="At the gun, trigger pulled"
          kind="pressure"
          {...setting('inletKPa', format.pressure)}
          check={(valueKPa, at) => ownPressure(context, { valueKPa, at, fanTurnsOut: knobs.fanTurnsOut })}
          picture={<GaugePicture inletKPa={knobs.inletKPa} bandKPa={band} units={painter.units} />}
          note={`${inOtherUnits(knobs.inletKPa, painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`}
        />
        {!isByWall && wall}
        <Setting
          label="Needle out, from closed"
          kind="turns"
          {...setting('fluidTurnsOut', turns)}
          fullTurns={fullFluid}
          picture={<KnobPicture turnsOut={knobs.fluidTurnsOut} fullTurns={fullFluid} />}
          note={`of ${turnsText(fullFluid)}; from open, ${turnsText(Math.max(0, fullFluid - knobs.fluidTurnsOut))} in`}
        />
        <Setting
          label="Fan out, from closed"
          kind="turns"
          {...setting('fanTurnsOut', turns)}
          fullTurns={fullFan}
          picture={<KnobPicture turnsOut={knobs.fanTurnsOut} fullTurns={fullFan} />}
          note={`of ${turnsText(fullFan)}; back ${turnsText(Math.max(0, fullFan - knobs.fanTurnsOut))} from open`}
        />
        <Setting label="Distance" kind="length" {...setting('distanceMm', format.length)} note="gun square to the panel" />
        <Setting
          label="Overlap"
          kind="percent"
          {...setting('overlapPercent', (v) => ({ text: v.toFixed(0), unit: '%' }))}
          note="of the fan on the pass before"
        />
        <ComesOut
          figures={figures}
          units={painter.units}
          capLimitKPa={capLimitKPa}
          gunId={context.gun.id}
          panelLengthM={panelLengthM}
          overlapPercent={knobs.overlapPercent}
        />
      </div>
      <KeepTo coatId={coat.id} />
      <OfferedChanges
        coat={coat}
        stage={stage}
        gunId={context.gun.id}
        format={format}
        valueOf={(name) => chosenValue(setup, coat.overrides, name)}
        {...(canOverride ? { onUse: (chosen: Overrides) => overrideAll({ ...coat.overrides, ...chosen }) } : {})}
      />
      <ExpectCard
        context={context}
        plan={plan}
        settings={expected}
        coatId={coat.id}
        whole={whole}
        title={`${whole.ticket.number}, ${STAGE_NAME[stage.kind].toLowerCase()}`}
      />
      <OtherPlans
        input={plan.inputs.setup}
        setup={setup}
        {...(canOverride ? { onUse: (chosen: Overrides) => void overrideAll({ ...coat.overrides, ...chosen }) } : {})}
      />
      <BaselineOffer
        tests={tests ?? []}
        nozzleSetId={nozzleSet?.id}
        product={context.sheet.name}
        stage={stage.kind}
        setup={setup}
        {...(canOverride ? { onUse: (chosen: Overrides) => void overrideAll({ ...coat.overrides, ...chosen }) } : {})}
      />
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
      {isByEar && (
        <ByEarCard
          context={context}
          stage={stage}
          painter={painter}
          settings={baselineOf(knobs, nozzleMm)}
          nozzleSetId={nozzleSet?.id}
        />
      )}
      <TunePanel
        context={context}
        stage={stage}
        plan={plan}
        settings={set}
        overrides={coat.overrides}
        panelLengthM={panelLengthM}
        {...(canOverride
          ? {
              onApply: (name, next) => override(name)({ ...next, recommended: coat.overrides[name]?.recommended ?? setup[name] }),
            }
          : {})}
      />
    </>
  );
}

/** The same figures are the same object: what depends on them is not asked again. */
function useSame<T>(value: T): T {
  const key = JSON.stringify(value);
  return useMemo(() => JSON.parse(key) as T, [key]);
}

const settingsOf = (
  { inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, overlapPercent }: ReturnType<typeof knobsOf>,
  nozzleMm: number,
  { fanWidthMm, stepMm, gunSpeedMPerS }: ReturnType<typeof figuresNow>,
) => ({ nozzleMm, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, overlapPercent, fanWidthMm, stepMm, gunSpeedMPerS });

const baselineOf = ({ fluidTurnsOut, fanTurnsOut, distanceMm, inletKPa }: ReturnType<typeof knobsOf>, nozzleMm: number) => ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
});
