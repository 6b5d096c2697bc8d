/** Other good ways to set this gun for this coat, and what each trades against the plan as it stands. */
import { Button } from '@mantine/core';
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
import type { Overrides } from '@orthochrom/contract/shop/ticket.ts';
import { riskWord, RISK_NAME } from '@orthochrom/contract/words/coatWords.ts';
import type { RiskName } from '@orthochrom/core/coat/spreads.ts';
import { useMemo } from 'react';
import { usePainter } from '../frame/painter.ts';
import { useHeavy } from '../heavy/heavy.ts';
import { formatFor, turnsText } from '../units/format.ts';

type OtherPlansProps = { input: InputOf<'setup'>; setup: AnswerOf<'setup'>; onUse?: (chosen: Overrides) => void };
const KNOBS = ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'overlapPercent'] as const;

export function OtherPlans({ input, setup, onUse }: OtherPlansProps) {
  const { painter } = usePainter();
  const { pressure, length, joined } = formatFor(painter.units);
  const { answer } = useHeavy(
    'setup',
    useMemo(() => ({ ...input, plans: true }), [input]),
  );
  const plans = answer && 'plans' in answer ? answer.plans : undefined;
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Other good ways to set it{plans ? ` (${plans.length})` : ''}
      </summary>
      {!plans && <p className="quiet">Searching …</p>}
      <ol style={{ listStyle: 'none', margin: '0.5rem 0 0', padding: 0, display: 'grid', gap: '0.6rem' }}>
        {plans?.map(({ settings, trades, risks }, i) => {
          const high = (Object.entries(risks) as [RiskName, { value: number }][]).filter(([, { value }]) => value > 0.1);
          return (
            <li
              key={i}
              className="row"
              style={{
                justifyContent: 'space-between',
                flexWrap: 'nowrap',
                borderTop: '1px solid var(--rule)',
                paddingTop: '0.5rem',
              }}
            >
              <span>
                <strong>
                  {joined(pressure(settings.inletKPa!))}, needle {turnsText(settings.fluidTurnsOut!)}, fan{' '}
                  {turnsText(settings.fanTurnsOut!)}, {joined(length(settings.distanceMm!))}, overlap{' '}
                  {settings.overlapPercent!.toFixed(0)} %, hand {settings.gunSpeedMPerS!.toFixed(2)} m/s
                </strong>
                <br />
                <span className="quiet">
                  {trades}
                  {high.length > 0 &&
                    `; ${high.map(([name, { value }]) => `${RISK_NAME[name].toLowerCase()}: ${riskWord(value)}`).join(', ')}`}
                </span>
              </span>
              {onUse && (
                <Button variant="default" onClick={() => onUse(overridesOf(settings, setup))}>
                  Use it
                </Button>
              )}
            </li>
          );
        })}
      </ol>
    </details>
  );
}

const overridesOf = (settings: InputOf<'coat'>['settings'], setup: AnswerOf<'setup'>): Overrides =>
  Object.fromEntries(
    KNOBS.flatMap((name) => {
      const chosen = settings[name];
      return chosen === undefined || Math.abs(chosen - setup[name]) < 1e-6
        ? []
        : [[name, { recommended: setup[name], chosen: Number(chosen.toFixed(2)), why: 'another good plan' }] as const];
    }),
  ) as Overrides;
