/**
 * The gun for this coat: what the gauge in the shop must show, knobs from closed, the hand, and
 * what comes out of it.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button, Select } from '@mantine/core';
import { ownPressure } from '@orthochrom/contract/plan/ownPressure.ts';
import type { StoredGun, Units } from '@orthochrom/contract/shop/setup.ts';
import type { Overrides, SettingName, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { postJson } from '../../api/client.ts';
import { useTests } from '../../api/reads.ts';
import { useWrite } from '../../api/useWrite.ts';
import { formatFor, turnsText, type Figure } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { CarriedOverChanges } from '../../faults/CarriedOverChanges.tsx';
import { OfferedChanges } from '../../faults/OfferedChanges.tsx';
import { BaselineOffer } from './BaselineOffer.tsx';
import { ByEarCard } from './ByEarCard.tsx';
import type { CardProps } from '../cardProps.ts';
import { GunOutput } from './GunOutput.tsx';
import { chosenValue } from '@orthochrom/contract/plan/settingsNow.ts';
import { lapSecondsOf } from '@orthochrom/contract/plan/panels.ts';
import { ExpectCard } from './ExpectCard.tsx';
import { OtherPlans } from './OtherPlans.tsx';
import { GaugePicture, KnobPicture } from './Instruments.tsx';
import { STAGE_NAME, WETNESS_NAME } from '../../words/tradeNames.ts';
import { PresetPicker } from './PresetPicker.tsx';
import { Setting } from './Setting.tsx';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import { TunePanel } from './TunePanel.tsx';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';
import { WallCard } from './WallCard.tsx';

const TEST_PANEL = [
  'The real mix, not reducer: reducer shows another pattern. First shot onto masking paper, to purge the cleaner.',
  'Pull the trigger to air and set the pressure, flowing.',
  'Needle shut. Trigger held, open half a turn at a time while you spray passes at your distance.',
  'Stop where the film lies wet without drifting, and count the turns from closed.',
  'One short shot on paper at the same distance: an even oval. Anything else: touch it under “It looks …”.',
];
const GAUGE_NOTE = {
  good: '',
  doubtful: ' · this gauge is doubtful',
  none: ' · no gauge of its own',
} as const;

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
    return (
      <p className="card">
        The safety gate of this stage comes first: no settings are shown before it has passed.
      </p>
    );
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
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'overrides'), {
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
  // As it is set: ours, or the painter's own, judged and worked out by the same rules.
  const now = plan.setup.own ?? plan.setup;
  const { nozzleMm } = now;
  const nozzleSet = context.gun.sets.find((set) => set.nozzleMm === nozzleMm && !set.retiredAt);
  const isByEar = painter.way.gauge === 'byEar';
  const isByWall =
    painter.way.gauge === 'atWall' || (!isByEar && context.gun.gaugeTrust === 'none');
  const { panelLengthM, capLimitKPa } = plan.inputs.setup;
  const wall = (
    <WallCard figures={now} airLine={context.airLine} units={painter.units} isMain={isByWall} />
  );
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
          {nozzleMm} mm nozzle · {setup.coats} {setup.coats === 1 ? 'coat' : 'coats'},{' '}
          {WETNESS_NAME[setup.wetness]}, {format.joined(format.film(now.wetFilmUm))} wet
        </span>
      </div>
      {coat.state === 'planned' && (
        <PresetPicker usual={stage.part} wishes={wishes} setWishes={setWishes} />
      )}
      {!context.gun.usedFor.includes(stage.kind) && (
        <p className="card">
          {context.gun.name} is kept for{' '}
          {context.gun.usedFor.map((kind) => STAGE_NAME[kind].toLowerCase()).join(', ')}.{' '}
          {context.gun.note}
        </p>
      )}
      <VerdictList
        verdicts={now.verdicts.filter(({ code }) => code !== 'test-panel-first')}
        hideGo
      />
      <div
        className="grid2"
        style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 168px), 1fr))' }}
      >
        {isByWall && wall}
        <Setting
          label="At the gun, trigger pulled"
          kind="pressure"
          {...setting('inletKPa', format.pressure)}
          check={(valueKPa, at) =>
            ownPressure(context, { valueKPa, at, fanTurnsOut: now.fanTurnsOut, nozzleMm })
          }
          picture={
            <GaugePicture
              inletKPa={now.inletKPa}
              bandKPa={plan.setup.inletBandKPa}
              units={painter.units}
            />
          }
          note={`${inOtherUnits(now.inletKPa, painter.units.pressure)}${GAUGE_NOTE[context.gun.gaugeTrust]}`}
        />
        {!isByWall && wall}
        <Setting
          label="Needle out, from closed"
          kind="turns"
          {...setting('fluidTurnsOut', turns)}
          fullTurns={fullFluid}
          picture={<KnobPicture turnsOut={now.fluidTurnsOut} fullTurns={fullFluid} />}
          note={`of ${turnsText(fullFluid)}; from open, ${turnsText(Math.max(0, fullFluid - now.fluidTurnsOut))} in`}
        />
        <Setting
          label="Fan out, from closed"
          kind="turns"
          {...setting('fanTurnsOut', turns)}
          fullTurns={fullFan}
          picture={<KnobPicture turnsOut={now.fanTurnsOut} fullTurns={fullFan} />}
          note={`of ${turnsText(fullFan)}; back ${turnsText(Math.max(0, fullFan - now.fanTurnsOut))} from open`}
        />
        <Setting
          label="Distance"
          kind="length"
          {...setting('distanceMm', format.length)}
          note="gun square to the panel"
        />
        <Setting
          label="Overlap"
          kind="percent"
          {...setting('overlapPercent', (v) => ({ text: v.toFixed(0), unit: '%' }))}
          note="of the fan on the pass before"
        />
        <GunOutput
          figures={now}
          units={painter.units}
          capLimitKPa={capLimitKPa}
          gunId={context.gun.id}
          panelLengthM={panelLengthM}
          overlapPercent={now.overlapPercent}
        />
      </div>
      <CarriedOverChanges coatId={coat.id} />
      <OfferedChanges
        coat={coat}
        stage={stage}
        gunId={context.gun.id}
        format={format}
        valueOf={(name) => chosenValue(setup, coat.overrides, name)}
        {...(canOverride
          ? { onUse: (chosen: Overrides) => overrideAll({ ...coat.overrides, ...chosen }) }
          : {})}
      />
      <ExpectCard
        context={context}
        plan={plan}
        coatId={coat.id}
        whole={whole}
        title={`${whole.ticket.number}, ${STAGE_NAME[stage.kind].toLowerCase()}`}
      />
      <OtherPlans
        input={plan.inputs.setup}
        lapSeconds={lapSecondsOf(context, setup)}
        setup={setup}
        isOurs={Object.keys(coat.overrides).length === 0}
        {...(canOverride
          ? { onUse: (chosen: Overrides) => void overrideAll({ ...coat.overrides, ...chosen }) }
          : {})}
      />
      <BaselineOffer
        tests={tests ?? []}
        nozzleSetId={nozzleSet?.id}
        product={context.sheet.name}
        stage={stage.kind}
        setup={setup}
        {...(canOverride
          ? { onUse: (chosen: Overrides) => void overrideAll({ ...coat.overrides, ...chosen }) }
          : {})}
      />
      <VerdictList verdicts={now.verdicts.filter(({ code }) => code === 'test-panel-first')} />
      <details className="card">
        <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
          Find it on a test panel, step by step
        </summary>
        <ol style={{ margin: '0.5rem 0 0', paddingLeft: '1.3rem', lineHeight: 1.6 }}>
          {TEST_PANEL.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
      </details>
      <div className="row">
        <Button onClick={onSpray} disabled={coat.state !== 'taken'}>
          {coat.state === 'planned'
            ? 'Take the plan on the mix card first'
            : 'Pattern even, test panel good: spray'}
        </Button>
      </div>
      {isByEar && (
        <ByEarCard
          context={context}
          stage={stage}
          painter={painter}
          settings={baselineOf(now)}
          nozzleSetId={nozzleSet?.id}
        />
      )}
      <TunePanel
        context={context}
        stage={stage}
        plan={plan}
        settings={settingsOf(now)}
        overrides={coat.overrides}
        panelLengthM={panelLengthM}
        {...(canOverride
          ? {
              onApply: (name, next) =>
                override(name)({
                  ...next,
                  recommended: coat.overrides[name]?.recommended ?? setup[name],
                }),
            }
          : {})}
      />
    </>
  );
}

type Now = AnswerOf<'setup'> | NonNullable<AnswerOf<'setup'>['own']>;
const settingsOf = ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  fanWidthMm,
  stepMm,
  gunSpeedMPerS,
}: Now) => ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  fanWidthMm,
  stepMm,
  gunSpeedMPerS,
});

const baselineOf = ({ nozzleMm, fluidTurnsOut, fanTurnsOut, distanceMm, inletKPa }: Now) => ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
});
