/** What was really poured, part by part; corrected by adding, or said to be lost. */
import { ADDRESS } from '../../api/resources.ts';
import { Button, SegmentedControl } from '@mantine/core';
import { pourCheckCalculation } from '@orthochrom/contract/calculations/pourCheck.ts';
import { outcomeOf } from '@orthochrom/contract/calculations/outcome.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { isStopped } from '@orthochrom/core/outcome/verdicts.ts';
import { startTransition, useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { ReasonList, VerdictList } from '../../verdict/Verdicts.tsx';
import type { StoredCup } from '@orthochrom/contract/shop/setup.ts';
import { lapsOf } from './covered.ts';
import { PourList } from './PourList.tsx';
import { PourNotes } from './PourNotes.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { SettleBelow } from '../layers/SettleBelow.tsx';
import { useStanding } from '../standing.ts';
import {
  takenMix,
  takenMixInput,
  takenQuantity,
  takenReducer,
} from '@orthochrom/contract/plan/takenPlan.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { CardProps } from '../cardProps.ts';

export function PourEntry(props: CardProps & { cups: StoredCup[] }) {
  const { whole, coat, context, plan, painter, keep, cups } = props;
  const standing = useStanding('pour', props);
  const mix = takenMix(coat);
  const asked = takenMixInput(coat);
  const cup = cups.find(({ capacityMl }) => capacityMl === asked?.cup?.capacityMl) ?? context.cup;
  const cupNo = Math.min(
    pouredSince(whole.mixes, coat) + 1,
    Math.max(1, mix?.batches?.length ?? 1),
  );
  const batch = mix?.batches?.[cupNo - 1];
  const [measure, setMeasure] = useState<'volume' | 'weight'>(painter.units.measure);
  const [amounts, setAmounts] = useState<Record<string, number>>({});
  const [filledRound, setFilledRound] = useState(0);
  const [busy, write] = useWrite();
  // All fields anew, and the cup is checked: in slices, the finger is not held up.
  const fill = (next: Record<string, number>) =>
    startTransition(() => {
      setAmounts(next);
      setFilledRound((round) => round + 1);
    });
  const format = formatFor(painter.units);
  if (!mix || !asked || !batch || !cup)
    return <p className="card">This plan holds no pour list. Take it again.</p>;

  const names = batch.components.map(({ name }) => name);
  const poured = names
    .filter((name) => amounts[name] !== undefined)
    .map((name) =>
      measure === 'volume' ? { name, ml: amounts[name]! } : { name, grams: amounts[name]! },
    );
  const isComplete = poured.length === names.length;
  const check = isComplete
    ? checkOf({
        recipe: asked.recipe,
        poured,
        densitiesGPerMl: asked.densitiesGPerMl,
        sheet: asked.sheet,
        cup: { capacityMl: cup.capacityMl },
        pots: cups.map(({ name, capacityMl }) => ({ name, capacityMl })),
      })
    : undefined;
  const isShut = !check || isStopped(check.verdicts);
  const isOff = check?.correct !== undefined;
  const keepMix = () =>
    write(async () => {
      const body = {
        id: newId(),
        stageId: coat.stageId,
        coatId: coat.id,
        painterId: painter.id,
        poured,
        cupId: cup.id,
        batchNo: whole.mixes.filter(({ stageId }) => stageId === coat.stageId).length + 1,
      };
      keep(await postJson<TicketWhole>(ADDRESS.ticket(whole.ticket.id, 'mixes'), body));
    });
  return (
    <StepFrame
      ways={{
        word: 'How to pour',
        content: <PourNotes sheet={context.sheet} mix={mix} />,
      }}
      said={
        <>
          {check && <VerdictList verdicts={check.verdicts} />}
          {check && check.effects.length > 0 && <ReasonList reasons={check.effects} />}
          <VerdictList verdicts={standing.verdicts} hideGo />
        </>
      }
      action={
        <Button
          onClick={() => void keepMix()}
          loading={busy}
          disabled={isShut || standing.isStopped}
        >
          {!isComplete
            ? `Every part, please: ${names.length - poured.length} to go`
            : isOff
              ? 'Spray it as it is'
              : 'Mixed: the pot life runs'}
        </Button>
      }
    >
      <SettleBelow {...props} standing={standing} />
      {check?.correct && (
        <div className="card" role="status">
          <strong>
            {check.moveTo ? `Pour over into ${check.moveTo}, then add` : 'Add'}, and do not take any
            out:
          </strong>
          <ul style={{ margin: '0.3rem 0 0' }}>
            {check.correct.map(({ name, addMl, addGrams }) => (
              <li key={name} className="figure mid">
                {name} +
                {measure === 'weight' && addGrams !== undefined
                  ? `${addGrams.toFixed(0)} g`
                  : format.joined(format.volume(addMl))}
              </li>
            ))}
          </ul>
          <Button
            mt="sm"
            variant="default"
            onClick={() => fill(mended(amounts, check.correct!, measure))}
          >
            Added: now it is right
          </Button>
        </div>
      )}
      <PourList
        mix={mix}
        cup={cup}
        blend={plan.inUse?.parts ?? takenReducer(coat)?.choice?.parts ?? []}
        units={painter.units}
        cupNo={cupNo}
        {...lapsOf(mix, takenQuantity(coat))}
        head={
          <div className="row">
            <strong>Poured{(mix.batches?.length ?? 1) > 1 ? ', this cup' : ''}</strong>
            <SegmentedControl
              aria-label="Measured by"
              value={measure}
              onChange={(value) => (setMeasure(value as 'volume'), setAmounts({}))}
              data={[
                { value: 'volume', label: 'By volume' },
                { value: 'weight', label: 'By weight' },
              ]}
            />
            <Button
              variant="default"
              onClick={() =>
                fill(
                  Object.fromEntries(
                    batch.components.map((part) => [
                      part.name,
                      measure === 'volume' ? Math.round(part.ml) : Math.round(part.grams ?? 0),
                    ]),
                  ),
                )
              }
            >
              As listed
            </Button>
          </div>
        }
        entry={(name) => (
          <FigureInput
            key={`${measure}${filledRound}`}
            label={name}
            kind={measure === 'volume' ? 'volume' : 'grams'}
            field={measure === 'volume' ? 'ml' : 'grams'}
            {...(amounts[name] === undefined ? {} : { value: amounts[name] })}
            onChange={(entered) =>
              setAmounts(({ [name]: _, ...rest }) =>
                entered ? { ...rest, [name]: entered.canonical } : rest,
              )
            }
          />
        )}
      />
    </StepFrame>
  );
}

/** Cups that were poured by this plan. */
const pouredSince = (mixes: readonly Mix[], { stageId, planned }: Coat): number =>
  mixes.filter(
    (mix) =>
      mix.stageId === stageId && !mix.correctedFromId && planned && mix.mixedAt >= planned.at,
  ).length;

function checkOf(input: object): AnswerOf<'pourCheck'> | undefined {
  const outcome = outcomeOf(pourCheckCalculation, JSON.parse(JSON.stringify(input)));
  return 'answer' in outcome ? outcome.answer : undefined;
}

const mended = (
  amounts: Record<string, number>,
  correct: NonNullable<AnswerOf<'pourCheck'>['correct']>,
  measure: 'volume' | 'weight',
) =>
  Object.fromEntries(
    Object.entries(amounts).map(([name, amount]) => {
      const add = correct.find((part) => part.name === name);
      return [name, amount + (add ? (measure === 'weight' ? (add.addGrams ?? 0) : add.addMl) : 0)];
    }),
  );
