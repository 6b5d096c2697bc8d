/** What is in the tins into what it yields: the one that runs out first decides. */
import { Button } from '@mantine/core';
import { mixCalculation } from '@orthochrom/contract/calculations/mix.ts';
import { outcomeOf } from '@orthochrom/contract/calculations/outcome.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';

export function YieldFromStock({
  plan,
  units,
  onTake,
}: {
  plan: CoatPlan;
  units: Units;
  onTake: (readyMl: number) => void;
}) {
  const [tins, setTins] = useState<Record<string, number>>({});
  const format = formatFor(units);
  const components = plan.mix?.components ?? [];
  const have = Object.entries(tins).map(([name, ml]) => ({ name, ml }));
  const answer =
    have.length > 0 && plan.parts
      ? yieldOf({ recipe: plan.parts.recipe, have, hardener: 'none' })
      : undefined;
  if (components.length === 0) return null;
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Mix what is left in the tins
      </summary>
      <div className="grid2" style={{ margin: '0.7rem 0' }}>
        {components.map(({ name }) => (
          <FigureInput
            key={name}
            label={`${name} at hand`}
            kind="volume"
            field="ml"
            least={1}
            onChange={(entered) =>
              setTins(({ [name]: _, ...rest }) =>
                entered ? { ...rest, [name]: entered.canonical } : rest,
              )
            }
          />
        ))}
      </div>
      {answer?.readyMl !== undefined && (
        <div className="row">
          <span>
            Makes <strong>{format.joined(format.volume(answer.readyMl))}</strong>
            {answer.limitedBy ? `; ${answer.limitedBy} runs out first` : ''}
          </span>
          <Button variant="default" onClick={() => onTake(answer.readyMl!)}>
            Mix that much
          </Button>
        </div>
      )}
    </details>
  );
}

function yieldOf(input: object): AnswerOf<'mix'> | undefined {
  const outcome = outcomeOf(mixCalculation, input);
  return 'answer' in outcome ? outcome.answer : undefined;
}
