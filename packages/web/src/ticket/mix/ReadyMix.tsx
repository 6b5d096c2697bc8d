/** The mix at hand: how long it is good for, what was poured, and on to the gun or another cup. */
import { Button } from '@mantine/core';
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
  const nowMs = useNowMs(15_000);
  const format = formatFor(painter.units);
  const left = mix.potLifeEndsAt ? (Date.parse(mix.potLifeEndsAt) - nowMs) / 60_000 : undefined;
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
