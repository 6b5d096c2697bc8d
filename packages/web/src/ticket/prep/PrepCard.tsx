/**
 * Making ready, one step at a time and large: what to do, on which panels, how, and its question.
 * What is behind an open gate waits; what is left out wants a word why.
 */
import { Button } from '@mantine/core';
import { bothStacks } from '@orthochrom/contract/plan/bothStacks.ts';
import type { Sources } from '@orthochrom/contract/plan/contextOf.ts';
import { isPrepHeld, type PrepList, type PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import { CARD_SEEN } from '@orthochrom/contract/shop/sprayCard.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { SKIPPED } from '@orthochrom/core/prep/prepInput.ts';
import { startTransition, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { Kept, noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import { BothPrices } from './BothPrices.tsx';
import { CardForm, stageOfStep, usualCard, type CardDraft } from './CardForm.tsx';
import { DecidedBefore } from './DecidedBefore.tsx';
import { FoundLate } from './FoundLate.tsx';
import { LeaveOut } from './LeaveOut.tsx';
import { PrepSteps } from './PrepSteps.tsx';
import { PrepStepLarge } from './PrepStepLarge.tsx';
import { SprayCards } from './SprayCards.tsx';
import { answerWord } from './prepWords.ts';

type PrepCardProps = Pick<CardProps, 'whole' | 'painter' | 'keep'> & {
  list: PrepList;
  shop: Omit<Sources, 'whole'> & { setup: ShopSetup };
  onGate: () => void;
};

export function PrepCard({ whole, painter, keep, list, shop, onGate }: PrepCardProps) {
  const [pickedKey, pickKey] = useState<string>();
  const [isLeaving, setLeaving] = useState<'skipped' | 'declined'>();
  const [busy, write] = useWrite();
  const { steps, next, verdicts } = list;
  const step = steps.find(({ key }) => key === (pickedKey ?? next));
  const stage = step && stageOfStep(whole.ticket, step);
  const [ownCard, setCard] = useState<{ key: string; draft: CardDraft }>();
  const card =
    ownCard && ownCard.key === step?.key ? ownCard.draft : usualCard(whole.ticket, stage);
  const isCard = step?.kind === 'card';
  const isDecided = step?.kind === 'decide';
  const both = useMemo(
    () => (isDecided ? bothStacks({ ...shop, whole }, painter.id, list) : undefined),
    [isDecided, shop, whole, painter.id, list],
  );
  const answer = (word: string, reason = '') =>
    step &&
    write(async () => {
      const told = isCard && CARD_SEEN.some((seen) => seen === word);
      const cardId = newId();
      const said = noteDown<TicketWhole>(
        `${answerWord(step.kind, word)}: ${step.kind}`,
        'POST',
        ADDRESS.ticket(whole.ticket.id, 'prep-answers'),
        {
          id: newId(),
          painterId: painter.id,
          key: step.key,
          answer: word,
          reason: told ? card.word.trim() : reason,
          ...(told ? { card: toldOf(cardId, card) } : {}),
        },
      );
      const pictured = () =>
        told && card.photo
          ? noteDown<TicketWhole>(
              'Photo of the card',
              'POST',
              ADDRESS.cardPhoto(cardId, { painterId: painter.id }),
              card.photo,
            )
          : said;
      // Kept here while the server is away, the picture still comes after its card.
      keep(
        await said.then(pictured, async (fault: unknown) => {
          if (fault instanceof Kept) await pictured();
          throw fault;
        }),
      );
      startTransition(() => {
        pickKey(undefined);
        setLeaving(undefined);
        setCard(undefined);
      });
    });
  const ask = (word: string) => (word === 'declined' ? setLeaving('declined') : void answer(word));
  const ways = {
    word: 'Whole list',
    content: (
      <>
        <Button variant="default" component={Link} to={`/tickets/${whole.ticket.id}/to-get`}>
          To get for this job
        </Button>
        <PrepSteps steps={steps} shownKey={step?.key} onPick={pickKey} />
        <FoundLate {...{ whole, painter, keep }} />
        <DecidedBefore whole={whole} units={painter.units} />
        <SprayCards whole={whole} />
      </>
    ),
  };
  const said = <VerdictList verdicts={step ? saidOf(step, verdicts) : verdicts} hideGo />;
  if (!step)
    return (
      <StepFrame
        ways={ways}
        said={said}
        action={
          <Button onClick={onGate} disabled={!list.ready}>
            Ready: on to the gate
          </Button>
        }
      >
        <div className="card">
          <p>
            <strong>Every step of this list is answered.</strong>
          </p>
          {list.skipped.length > 0 && (
            <p>{list.skipped.length} left out, each with its word why.</p>
          )}
        </div>
      </StepFrame>
    );
  const [first, ...others] = step.gate?.options ?? ['done'];
  const isLater = step.state === 'later';
  return (
    <StepFrame
      ways={ways}
      said={said}
      action={
        <Button loading={busy} disabled={isLater} onClick={() => ask(first!)}>
          {isLater ? 'What is before it comes first' : answerWord(step.kind, first!)}
        </Button>
      }
      other={
        !isLater && (
          <>
            {step.mayBeSkipped && (
              <Button variant="default" disabled={busy} onClick={() => setLeaving(SKIPPED)}>
                Leave it out…
              </Button>
            )}
          </>
        )
      }
    >
      <PrepStepLarge
        step={step}
        at={steps.indexOf(step) + 1}
        of={steps.length}
        isHeld={isPrepHeld(whole)}
        extra={
          <>
            {isCard && !isLater && (
              <CardForm
                key={step.key}
                draft={card}
                onChange={(draft) => setCard({ key: step.key, draft })}
              />
            )}
            {isCard && stage && <SprayCards whole={whole} stageId={stage.id} />}
            {both && (
              <BothPrices both={both} units={painter.units} currency={shop.setup.shop.currency} />
            )}
          </>
        }
        then={steps
          .slice(steps.indexOf(step) + 1)
          .filter(({ state }) => state !== 'done')
          .slice(0, 4)}
      >
        {!isLater &&
          others.map((word) => (
            <Button
              key={word}
              size="lg"
              variant="default"
              disabled={busy}
              onClick={() => ask(word)}
            >
              {answerWord(step.kind, word)}
            </Button>
          ))}
      </PrepStepLarge>
      {isLeaving && (
        <LeaveOut
          step={step}
          isDeclined={isLeaving === 'declined'}
          onClose={() => setLeaving(undefined)}
          onSay={(why) => void answer(isLeaving, why)}
        />
      )}
    </StepFrame>
  );
}

const toldOf = (id: string, { coats, groundText, wetFilmUm }: CardDraft) => ({
  id,
  coats,
  groundText: groundText.trim(),
  ...(wetFilmUm === undefined ? {} : { wetFilmUm }),
});

/** What is told of the panels of this step, and of the job as a whole; of scratches, at sanding. */
const saidOf = ({ panels, kind }: PrepStep, verdicts: PrepList['verdicts']): PrepList['verdicts'] =>
  verdicts.filter(({ code, params }) => {
    if (code === 'sand-first' && kind !== 'sand') return false;
    const about = params?.['panel'];
    return about === undefined || panels.some((name) => String(about).includes(panelName(name)));
  });
