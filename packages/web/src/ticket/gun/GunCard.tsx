/**
 * The gun for this coat: what the gauge in the shop must show, knobs from closed, the hand, and
 * what comes out of it.
 */
import type { Overrides } from '@orthochrom/contract/shop/coat.ts';
import { Button, Select } from '@mantine/core';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { useTests } from '../../api/reads.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { CarriedOverChanges } from '../../faults/CarriedOverChanges.tsx';
import { OfferedChanges } from '../../faults/OfferedChanges.tsx';
import { BaselineOffer } from './BaselineOffer.tsx';
import { ByEarCard } from './ByEarCard.tsx';
import type { CardProps } from '../cardProps.ts';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import { chosenValue, settingsNow } from '@orthochrom/contract/plan/settingsNow.ts';
import { sinceLast } from '@orthochrom/contract/plan/sinceLast.ts';
import { lapSecondsOf } from '@orthochrom/contract/plan/panels.ts';
import { ExpectCard } from './ExpectCard.tsx';
import { OtherPlans } from './OtherPlans.tsx';
import { kindSaid, sinceSaid } from '../coatOwn.ts';
import { STAGE_NAME, WETNESS_NAME } from '../../words/tradeNames.ts';
import { PresetPicker } from './PresetPicker.tsx';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import { TunePanel } from './TunePanel.tsx';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';

import { baselineOf, goesByWall, settingsOf } from './gunSettings.ts';
import { ExpectStrip } from './ExpectStrip.tsx';
import styles from './GunCard.module.css';
import { GunOutput } from './GunOutput.tsx';
import { GunSettings } from './GunSettings.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { useExpected } from './useExpected.ts';
import { WallCard } from './WallCard.tsx';
import { CreepUpSteps } from '../spray/CreepUp.tsx';
import { wantsTestPanel } from '@orthochrom/contract/plan/testPanel.ts';
import { useOverrides } from './useOverrides.ts';

type GunCardProps = CardProps & {
  guns: StoredGun[];
  pickGun: (gunId: string) => void;
  wishes: Wishes;
  setWishes: (wishes: Wishes) => void;
  onSpray: () => void;
};

export function GunCard({
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
  const { data: tests } = useTests();
  const format = formatFor(painter.units);
  const setup = (coat.state === 'planned' ? undefined : takenSetup(coat)) ?? plan.setup;
  const { onUse, onOverride } = useOverrides(coat, painter.id, keep);
  const use = onUse && ((chosen: Overrides) => void onUse(chosen));
  // As it is set: ours, or the painter's own, judged and worked out by the same rules.
  const now = plan.setup.own ?? plan.setup;
  const { nozzleMm } = now;
  const nozzleSet = context.gun.sets.find((set) => set.nozzleMm === nozzleMm && !set.retiredAt);
  const isByEar = painter.way.gauge === 'byEar';
  const expected = useExpected(context, plan, whole);
  const testFirst = now.verdicts.filter(({ code }) => code === 'test-panel-first');
  const others = now.verdicts.filter(({ code }) => code !== 'test-panel-first');
  const own = context.mist ? undefined : coatPlanned(context);
  const ways = (
    <>
      {coat.state === 'planned' && (
        <PresetPicker usual={stage.part} wishes={wishes} setWishes={setWishes} />
      )}
      <Select
        label="Gun"
        disabled={coat.state !== 'planned'}
        value={context.gun.id}
        data={guns.map(({ id, name, usedFor }) => ({
          value: id,
          label: `${name}${usedFor.includes(stage.kind) ? '' : ', not its work'}`,
        }))}
        onChange={(id) => id && pickGun(id)}
      />
      <ExpectCard
        expected={expected}
        plan={plan}
        coatId={coat.id}
        ticketId={whole.ticket.id}
        title={`${whole.ticket.number}, ${STAGE_NAME[stage.kind].toLowerCase()}`}
        isControl={own?.role === 'control'}
      />
      {!(goesByWall(painter, context.gun) && now.regulatorFlowingKPa !== undefined) && (
        <WallCard figures={now} airLine={context.airLine} units={painter.units} />
      )}
      <GunOutput
        figures={now}
        units={painter.units}
        capLimitKPa={plan.inputs.setup.capLimitKPa}
        gunId={context.gun.id}
      />
      <OtherPlans
        input={plan.inputs.setup}
        lapSeconds={lapSecondsOf(context, setup)}
        setup={setup}
        isOurs={Object.keys(coat.overrides).length === 0}
        {...(use ? { onUse: use } : {})}
      />
      <BaselineOffer
        tests={tests ?? []}
        nozzleSetId={nozzleSet?.id}
        product={context.sheet.name}
        stage={stage.kind}
        setup={setup}
        {...(use ? { onUse: use } : {})}
      />
      <details className="card">
        <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
          Find it on a test panel, step by step
        </summary>
        <CreepUpSteps />
      </details>
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
        panelLengthM={plan.inputs.setup.panelLengthM}
        {...(onOverride
          ? {
              onApply: (name, next) =>
                onOverride(name)({
                  ...next,
                  recommended: coat.overrides[name]?.recommended ?? setup[name],
                }),
            }
          : {})}
      />
    </>
  );
  const since = sinceLast(whole.coats, coat, context.gun.id, settingsNow(setup, coat.overrides));
  return (
    <StepFrame
      ways={{ word: 'Other ways', content: ways }}
      said={<VerdictList verdicts={[...others, ...testFirst]} hideGo />}
      action={
        <Button onClick={onSpray} disabled={coat.state !== 'taken'}>
          {coat.state === 'planned'
            ? 'Take the plan on the mix card first'
            : wantsTestPanel(context, whole, coat)
              ? 'Pattern even: on to the test panel'
              : 'Pattern even: spray'}
        </Button>
      }
    >
      <p className={styles['gun']}>
        <strong>
          {context.gun.name} · {nozzleMm} mm
        </strong>{' '}
        <span className="quiet">
          {own ? kindSaid(own) : WETNESS_NAME[setup.wetness]},{' '}
          {format.joined(format.film(now.wetFilmUm))} wet
          {since && `. Since the coat before: ${sinceSaid(since, format)}`}
          {!context.gun.usedFor.includes(stage.kind) &&
            ` · kept for ${context.gun.usedFor.map((kind) => STAGE_NAME[kind].toLowerCase()).join(', ')}. ${context.gun.note}`}
        </span>
      </p>
      <GunSettings {...{ coat, context, plan, painter, setup, now, onOverride }} />
      <ExpectStrip expected={expected} plan={plan} isControl={own?.role === 'control'} />
      <CarriedOverChanges coatId={coat.id} />
      <OfferedChanges
        coat={coat}
        stage={stage}
        gunId={context.gun.id}
        format={format}
        valueOf={(name) => chosenValue(setup, coat.overrides, name)}
        {...(onUse ? { onUse } : {})}
      />
    </StepFrame>
  );
}
