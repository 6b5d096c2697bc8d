/** Reducer, hardener and ratio with their reasons, the pour list, and what was really poured. */
import { ADDRESS } from '../../api/resources.ts';
import { Button, Select, TextInput } from '@mantine/core';
import { dosesBeyond, type SheetAddition } from '@orthochrom/contract/plan/additions.ts';
import { gateProduct } from '@orthochrom/contract/plan/gateProduct.ts';
import { wordWanted } from '@orthochrom/contract/plan/planCoat.ts';
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { postJson } from '../../api/client.ts';
import { useSetup } from '../../api/reads.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { Doses, dosedName } from './Doses.tsx';
import { HowMuch } from './HowMuch.tsx';
import { YieldFromStock } from './YieldFromStock.tsx';
import { lapsOf } from './covered.ts';
import { MixChoice } from './MixChoice.tsx';
import type { MixCardProps } from './mixCardProps.ts';
import { OwnGrade } from './OwnGrade.tsx';
import { ReadyMix } from './ReadyMix.tsx';
import { PourEntry } from './PourEntry.tsx';
import { PourList } from './PourList.tsx';
import { PourNotes } from './PourNotes.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { SettleBelow } from '../layers/SettleBelow.tsx';
import { BASIS_NAME } from '../../words/tradeNames.ts';
import { useStanding } from '../standing.ts';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';

export function MixCard(props: MixCardProps) {
  const { mix, coat } = props;
  if (coat.state === 'planned') return <LiveMix {...props} />;
  return mix ? <ReadyMix {...props} mix={mix} /> : <PourEntry {...props} />;
}

/** What would be mixed in this air: it moves with the air until it is taken. */
function LiveMix(props: MixCardProps) {
  const { coat, context, plan, painter, keep, mix, cups, wishes, setWishes, blocked } = props;
  const [busy, write] = useWrite();
  const { data: shop } = useSetup();
  const format = formatFor(painter.units);
  const { reducer } = plan;
  const standing = useStanding('take', props);
  const [whyCoats, setWhyCoats] = useState('');
  const [whyDose, setWhyDose] = useState('');
  const beyond = wordWanted(plan, context);
  const [dosed] = plan.inUse ? dosesBeyond(context, plan.inUse) : [];
  const take = () =>
    write(async () => {
      const body = {
        version: coat.version,
        painterId: painter.id,
        gunId: context.gun.id,
        overrides: {
          ...overridesOf(plan, wishes),
          ...(beyond
            ? { coats: { recommended: beyond.most, chosen: beyond.coats, why: whyCoats.trim() } }
            : {}),
          ...(dosed
            ? {
                dose: {
                  recommended: doseSaid(context, dosed.ours),
                  chosen: doseSaid(context, { ...dosed.ours, ...dosed.dose }),
                  why: whyDose.trim(),
                },
              }
            : {}),
        },
        ...(wishes.wantedParts ? { wantedParts: wishes.wantedParts } : {}),
        ...(wishes.hardenerId ? { hardenerId: wishes.hardenerId } : {}),
        ...(wishes.doses && wishes.doses.length > 0 ? { doses: wishes.doses } : {}),
        ...(context.cup ? { cupId: context.cup.id } : {}),
        ...(wishes.readyMl === undefined ? {} : { readyMl: wishes.readyMl }),
        ...(wishes.part ? { part: wishes.part } : {}),
        ...(wishes.mist ? { mist: true } : {}),
      };
      keep(await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'take'), body));
    });
  const ways = (
    <>
      <HowMuch quantity={plan.quantity} painter={painter} currency={shop?.shop.currency} />
      {reducer.choice && (
        <>
          <FigureInput
            key={`${context.stage.id}`}
            label="Ready mix wanted"
            kind="volume"
            field="readyMl"
            least={1}
            placeholder={format.volume(plan.mix?.readyMl ?? 0).text}
            description={`for ${context.coatsLeft} ${context.coatsLeft === 1 ? 'coat' : 'coats'}; empty: as worked out`}
            onChange={(entered) => setWishes(withReady(wishes, entered?.canonical))}
          />
          <Select
            label="Cup"
            description="usable to its top mark"
            data={cups.map(({ id, name, capacityMl }) => ({
              value: id,
              label: `${name}, ${format.joined(format.volume(capacityMl))}`,
            }))}
            value={context.cup?.id ?? null}
            onChange={(id) => id && setWishes({ ...wishes, cupId: id })}
          />
        </>
      )}
      <Doses context={context} plan={plan} wishes={wishes} setWishes={setWishes} />
      <OwnGrade context={context} plan={plan} wishes={wishes} setWishes={setWishes} />
      <YieldFromStock
        plan={plan}
        units={painter.units}
        onTake={(readyMl) => setWishes({ ...wishes, readyMl })}
      />
      {plan.mix && <PourNotes sheet={context.sheet} mix={plan.mix} />}
      {reducer.choice && <Solvent {...props} />}
      <p className="quiet">Taking it keeps the plan as it is now, with its air and its sheet.</p>
    </>
  );
  return (
    <StepFrame
      ways={{ word: 'Other ways', content: ways }}
      said={
        <>
          <VerdictList
            verdicts={[
              ...standing.verdicts,
              ...reducer.verdicts,
              ...(plan.mix?.verdicts ?? []),
              ...plan.setup.verdicts.filter(({ code }) => code === 'coats-over-sheet'),
            ].concat(reducer.choice ? [] : plan.climate.verdicts)}
            hideGo
          />
          {beyond && (
            <TextInput
              label={`This is coat ${context.ordinal}, the sheet has ${beyond.most} at most: a word why`}
              value={whyCoats}
              maxLength={200}
              onChange={(event) => setWhyCoats(event.currentTarget.value)}
            />
          )}
          {dosed && (
            <TextInput
              label={`${doseSaid(context, { ...dosed.ours, ...dosed.dose })}; the sheet has it otherwise: a word why`}
              value={whyDose}
              maxLength={200}
              onChange={(event) => setWhyDose(event.currentTarget.value)}
            />
          )}
        </>
      }
      action={
        <Button
          onClick={() => void take()}
          loading={busy}
          disabled={
            standing.isStopped ||
            blocked ||
            !reducer.choice ||
            (beyond !== undefined && whyCoats.trim() === '') ||
            (dosed !== undefined && whyDose.trim() === '')
          }
        >
          {standing.isStopped
            ? 'Stopped: see above'
            : mix
              ? 'Take this plan, with the mix at hand'
              : 'Take this plan and pour'}
        </Button>
      }
    >
      <SettleBelow {...props} standing={standing} />
      {reducer.choice && <MixChoice plan={plan} context={context} />}
      {plan.mix?.components && context.cup && (
        <PourList
          mix={plan.mix}
          cup={context.cup}
          blend={plan.inUse?.parts ?? []}
          units={painter.units}
          {...lapsOf(plan.mix, plan.quantity)}
        />
      )}
    </StepFrame>
  );
}

/**
 * What the authority asks about: the solvent in a litre of this mix, and the limit entered for the
 * room.
 */
function Solvent({
  context: { sheet, stage, room },
  plan,
}: Pick<MixCardProps, 'context' | 'plan'>) {
  const vocGPerL = gateProduct(sheet, stage.recipeName).vocGPerL ?? plan.mix?.vocGPerL;
  const { vocLimitGPerL } = room.regionRules;
  if (vocGPerL === undefined) return null;
  return (
    <p className="quiet">
      Solvent in this mix: {vocGPerL.toFixed(0)} g/L
      {vocLimitGPerL === undefined ? '' : `; the limit here is ${vocLimitGPerL.toFixed(0)} g/L`}.
    </p>
  );
}

const doseSaid = (context: MixCardProps['context'], dose: SheetAddition): string =>
  `${Number(dose.percent.toFixed(1))} % ${dosedName(context, dose)} of ${BASIS_NAME[dose.of]}`;

const withReady = ({ readyMl: _, ...rest }: Wishes, readyMl: number | undefined): Wishes =>
  readyMl === undefined ? rest : { ...rest, readyMl };

/** The painter's own picks, ours beside them. */
function overridesOf({ reducer: { choice }, inUse }: MixCardProps['plan'], wishes: Wishes) {
  const why = 'painter’s own pick';
  return {
    ...(wishes.wantedParts && choice && choice.parts.length > 0
      ? {
          reducer: {
            recommended: blendText(choice.parts),
            chosen: blendText(wishes.wantedParts),
            why,
          },
        }
      : {}),
    ...(wishes.hardenerId &&
    choice?.hardener &&
    inUse?.hardener &&
    inUse.hardener !== choice.hardener
      ? { hardener: { recommended: choice.hardener, chosen: inUse.hardener, why } }
      : {}),
  };
}
