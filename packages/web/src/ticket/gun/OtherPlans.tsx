/**
 * Other good ways to set this gun for this coat, and what each trades against the plan as it
 * stands.
 */
import { Button } from '@mantine/core';
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
import type { Overrides } from '@orthochrom/contract/shop/coat.ts';
import { riskWord, RISK_NAME } from '@orthochrom/contract/words/coatWords.ts';
import { HIGH_RISK, type RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import { useMemo } from 'react';
import { usePainter } from '../../frame/painter.ts';
import { useHeavy } from '../../heavy/heavy.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';

type OtherPlansProps = {
  input: InputOf<'setup'>;
  /** Until the gun is back beside what it laid: what the coat's own forecast goes by. */
  lapSeconds: number | undefined;
  setup: AnswerOf<'setup'>;
  /** Nothing was set otherwise: then ours is what is judged. */
  isOurs: boolean;
  onUse?: (chosen: Overrides) => void;
};
const KNOBS = ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'overlapPercent'] as const;

export function OtherPlans({ input, lapSeconds, setup, isOurs, onUse }: OtherPlansProps) {
  const { painter } = usePainter();
  const { pressure, length, joined } = formatFor(painter.units);
  const { answer } = useHeavy(
    'setup',
    useMemo(() => {
      const { own: _, ...ours } = input;
      return { ...ours, plans: true, ...(lapSeconds === undefined ? {} : { lapSeconds }) };
    }, [input, lapSeconds]),
  );
  const found = answer && 'plans' in answer ? answer : undefined;
  const plans = found?.plans;
  const better = found?.better === undefined ? undefined : plans?.[found.better - 1];
  const named = (settings: Settings) =>
    `${joined(pressure(settings.inletKPa!))}, needle ${turnsText(settings.fluidTurnsOut!)}, fan ${turnsText(settings.fanTurnsOut!)}, ${joined(length(settings.distanceMm!))}, overlap ${settings.overlapPercent!.toFixed(0)} %, hand ${settings.gunSpeedMPerS!.toFixed(2)} m/s`;
  return (
    <>
      {isOurs && better && (
        <section className="card stack" aria-label="A better way" data-better>
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            Better than ours here
          </h2>
          <p>
            Ours is likely to fail: {highOf(found!.risks ?? {}, LIKELY)}.{' '}
            <strong>{named(better.settings)}</strong>
            {highOf(better.risks, LIKELY)
              ? ` leaves ${highOf(better.risks, LIKELY)}`
              : ' makes all of it less likely'}
            . It costs: {better.trades}.
          </p>
          <div className="row">
            {onUse ? (
              <Button onClick={() => onUse(overridesOf(better.settings, setup))}>
                Use the better one
              </Button>
            ) : (
              <span className="quiet">Take the plan on the mix card, then it can be used.</span>
            )}
          </div>
        </section>
      )}
      <details className="card">
        <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
          Other good ways to set it{plans ? ` (${plans.length})` : ''}
        </summary>
        {!plans && <p className="quiet">Searching …</p>}
        <ol
          style={{
            listStyle: 'none',
            margin: '0.5rem 0 0',
            padding: 0,
            display: 'grid',
            gap: '0.6rem',
          }}
        >
          {plans?.map(({ settings, trades, risks }, i) => (
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
                <strong>{named(settings)}</strong>
                <br />
                <span className="quiet">
                  {trades}
                  {highOf(risks, WATCHED) && `; ${highOf(risks, WATCHED)}`}
                </span>
              </span>
              {onUse && (
                <Button variant="default" onClick={() => onUse(overridesOf(settings, setup))}>
                  Use it
                </Button>
              )}
            </li>
          ))}
        </ol>
      </details>
    </>
  );
}

const WATCHED = 0.1;
const LIKELY = HIGH_RISK;
/** The risks over a level, in words. */
const highOf = (risks: Partial<Record<RiskName, { value: number }>>, over: number): string =>
  (Object.entries(risks) as [RiskName, { value: number }][])
    .filter(([, { value }]) => value > over)
    .map(([name, { value }]) => `${RISK_NAME[name].toLowerCase()}: ${riskWord(value)}`)
    .join(', ');

type Settings = InputOf<'coat'>['settings'];
const overridesOf = (settings: Settings, setup: AnswerOf<'setup'>): Overrides =>
  Object.fromEntries(
    KNOBS.flatMap((name) => {
      const chosen = settings[name];
      return chosen === undefined || Math.abs(chosen - setup[name]) < 1e-6
        ? []
        : [
            [
              name,
              {
                recommended: setup[name],
                chosen: Number(chosen.toFixed(2)),
                why: 'another good plan',
              },
            ] as const,
          ];
    }),
  ) as Overrides;
