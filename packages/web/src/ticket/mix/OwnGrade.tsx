/** The painter's own pick of grade, held beside ours: judged at once, kept as an override. */
import { Select } from '@mantine/core';
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import type { CardProps } from '../cardProps.ts';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';

const OURS = 'ours';

export function OwnGrade({
  context,
  plan,
  wishes,
  setWishes,
}: Pick<CardProps, 'context' | 'plan'> & { wishes: Wishes; setWishes: (wishes: Wishes) => void }) {
  const { grades = [], hardeners = [] } = plan.inputs.reducer;
  const productId = (name: string) =>
    context.sheet.hardeners?.find((id) => context.products.get(id)?.grade?.name === name);
  if (grades.length === 0 && hardeners.length < 2 && !wishes.hardenerId) return null;
  const hardenerNames = (context.sheet.hardeners ?? []).flatMap(
    (id) => context.products.get(id)?.grade?.name ?? [],
  );
  const { wanted } = plan.reducer;
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Take another grade than ours
      </summary>
      <div className="grid2" style={{ marginTop: '0.7rem' }}>
        {grades.length > 0 && (
          <Select
            label="Reducer"
            value={wishes.wantedParts ? wishes.wantedParts[0]!.name : OURS}
            data={[
              {
                value: OURS,
                label: `As recommended${plan.reducer.choice ? `: ${blendText(plan.reducer.choice.parts)}` : ''}`,
              },
              ...grades.map(({ name }) => ({ value: name, label: name })),
            ]}
            onChange={(name) =>
              setWishes(
                name && name !== OURS
                  ? { ...wishes, wantedParts: [{ name, fraction: 1 }] }
                  : without(wishes, 'wantedParts'),
              )
            }
            description={
              wanted
                ? `dries at ${wanted.evaporationIndex.toFixed(2)} of what this job wants; 1 is right, more is too fast`
                : 'each is judged as you pick it'
            }
          />
        )}
        {hardenerNames.length > 1 && (
          <Select
            label="Hardener"
            value={hardenerNames.find((name) => productId(name) === wishes.hardenerId) ?? OURS}
            data={[
              {
                value: OURS,
                label: `As recommended${plan.reducer.choice?.hardener ? `: ${plan.reducer.choice.hardener}` : ''}`,
              },
              ...hardenerNames.map((name) => ({ value: name, label: name })),
            ]}
            description={
              wanted
                ? 'pot life, edge, flash and forecast are worked out with it'
                : 'a quicker one shortens the pot life and the flash'
            }
            onChange={(name) => {
              const id = name && productId(name);
              setWishes(id ? { ...wishes, hardenerId: id } : without(wishes, 'hardenerId'));
            }}
          />
        )}
      </div>
    </details>
  );
}

function without<K extends keyof Wishes>(wishes: Wishes, key: K): Wishes {
  const { [key]: _, ...rest } = wishes;
  return rest as Wishes;
}
