/** The mix at hand: how long it is good for, what was poured, and on to the gun or another cup. */
import { Button } from '@mantine/core';
import { recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import { takenMix } from '@orthochrom/contract/plan/takenPlan.ts';
import type { Mix } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, minutesText } from '@orthochrom/contract/words/format.ts';
import { isStopped } from '@orthochrom/core/outcome/verdicts.ts';
import { useState } from 'react';
import { useNowMs } from '../../api/serverClock.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { FlowCupCard } from './FlowCupCard.tsx';
import type { MixCardProps } from './mixCardProps.ts';
import { PourEntry } from './PourEntry.tsx';

/** A mix of this stage is still good: the next coat uses it. */
export function ReadyMix(props: MixCardProps & { mix: Mix }) {
  const { mix, painter, onGun, coat } = props;
  const [isPouring, setIsPouring] = useState(false);
  const nowMs = useNowMs(5000);
  const format = formatFor(painter.units);
  const left = mix.potLifeEndsAt ? (Date.parse(mix.potLifeEndsAt) - nowMs) / 60_000 : undefined;
  const standsMs = standsUntilMs(mix, props.context) - nowMs;
  const frozen = takenMix(coat);
  const canPour = coat.state === 'taken' || coat.state === 'spraying';
  if (isPouring) return <PourEntry {...props} />;
  return (
    <StepFrame
      ways={{
        word: 'Flow cup',
        content: <FlowCupCard key={mix.id} {...props} mix={mix} />,
      }}
      action={
        frozen && isStopped(frozen.verdicts) ? undefined : (
          <Button onClick={onGun}>On to the gun</Button>
        )
      }
      other={
        canPour &&
        !(frozen && isStopped(frozen.verdicts)) && (
          <Button size="lg" variant="default" onClick={() => setIsPouring(true)}>
            Mix another cup
          </Button>
        )
      }
    >
      <FigureTiles label="The mix at hand">
        {left !== undefined && (
          <FigureTile
            name="potLife"
            isLead
            label="Pot life left, from mixing"
            figure={{ text: minutesText(left), unit: '' }}
          />
        )}
        {standsMs > 0 && (
          <FigureTile
            name="stands"
            label="Let it stand, stirred"
            figure={{ text: secondsLeft(standsMs), unit: '' }}
            note="bubbles rise; then to the gun"
          />
        )}
        <FigureTile
          name="poured"
          label={`Mix ${mix.batchNo} of this stage, poured`}
          figure={format.volume(mix.readyMl)}
          note={mix.poured
            .map(
              (part) =>
                `${part.name} ${'ml' in part ? format.joined(format.volume(part.ml)) : `${part.grams} g`}`,
            )
            .join(' · ')}
        />
      </FigureTiles>
    </StepFrame>
  );
}

const MINUTE_MS = 60_000;
/** Where the sheet says nothing, a mix with hardener stands a minute. */
const USUAL_STAND_MINUTES = 1;
function standsUntilMs({ mixedAt, recipe }: Mix, context: MixCardProps['context']): number {
  const isHardened = recipe.parts.some(({ role }) => role === 'hardener');
  const minutes = recipeOf(context).standMinutes ?? (isHardened ? USUAL_STAND_MINUTES : 0);
  return Date.parse(mixedAt) + minutes * MINUTE_MS;
}

/** "0:45" */
function secondsLeft(ms: number): string {
  const seconds = Math.ceil(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
