/** What this painter found on a test panel for the same product and set: offered, never imposed. */
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { Button } from '@mantine/core';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/coat.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { turnsText } from '@orthochrom/contract/words/format.ts';

const KNOBS: SettingName[] = ['fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'inletKPa'];

type BaselineOfferProps = {
  tests: StoredTest[];
  nozzleSetId: string | undefined;
  product: string;
  stage: Stage;
  setup: AnswerOf<'setup'>;
  onUse?: (chosen: Overrides) => void;
};

export function BaselineOffer({
  tests,
  nozzleSetId,
  product,
  stage,
  setup,
  onUse,
}: BaselineOfferProps) {
  const found = tests.findLast(
    (stored) =>
      stored.nozzleSetId === nozzleSetId &&
      stored.test.kind === 'baseline' &&
      stored.test.product === product &&
      stored.test.stage === stage,
  );
  if (found?.test.kind !== 'baseline') return null;
  const { settings, byEar } = found.test;
  const chosen = Object.fromEntries(
    KNOBS.flatMap((name) => {
      const value = settings[name as keyof typeof settings];
      return value === undefined || Math.abs(value - setup[name]) < 1e-9
        ? []
        : [
            [
              name,
              {
                recommended: setup[name],
                chosen: value,
                why: byEar ? 'my baseline, by ear' : 'my baseline',
              },
            ] as const,
          ];
    }),
  ) as Overrides;
  return (
    <div className="card row" style={{ justifyContent: 'space-between' }}>
      <span>
        <strong>Your baseline</strong> for this product and set{byEar ? ', by ear' : ''}: needle{' '}
        {turnsText(settings.fluidTurnsOut ?? setup.fluidTurnsOut)}, fan{' '}
        {turnsText(settings.fanTurnsOut ?? setup.fanTurnsOut)}.
      </span>
      {onUse && Object.keys(chosen).length > 0 && (
        <Button variant="default" onClick={() => onUse(chosen)}>
          Use my baseline
        </Button>
      )}
    </div>
  );
}
