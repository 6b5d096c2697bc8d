/** What may not be done to this layer yet, and from when it may: by the sheet, never sooner, later in the cold. */
import { recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import { ask, type InputOf } from '@orthochrom/contract/registry.ts';
import { minutesText } from '@orthochrom/contract/words/format.ts';
import type { CardProps } from './cardProps.ts';

type Later = Exclude<InputOf<'recoat'>['next'], 'coat' | 'clear'>;
const WORD: Record<Later, string> = {
  wipe: 'Wipe',
  tape: 'Tape',
  sandDry: 'Sand dry',
  sandWet: 'Sand wet',
  bake: 'Heat',
  polish: 'Polish',
};

export function NotBefore({ coat, context, plan, nowMs }: Pick<CardProps, 'coat' | 'context' | 'plan'> & { nowMs: number }) {
  if (!coat.endedAt) return null;
  const endedMs = Date.parse(coat.endedAt);
  const minutesSince = Math.max(0, (nowMs - endedMs) / 60_000);
  const { times } = recipeOf(context);
  const printed: Partial<Record<Later, number | undefined>> = {
    wipe: times.wipeMinutes,
    tape: times.tapeMinutes,
    sandDry: times.sandMinutes,
    sandWet: times.wetSandMinutes ?? times.sandMinutes,
    bake: times.beforeBakeMinutes,
    polish: times.polishMinutes,
  };
  const rows = (Object.keys(WORD) as Later[])
    .filter((next) => printed[next] !== undefined)
    .map((next) => ({
      next,
      answer: ask('recoat', { ...plan.inputs.recoat, minutesSince, next }),
    }));
  if (rows.length === 0) return null;
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Not before: {rows.map(({ next }) => WORD[next].toLowerCase()).join(', ')}
      </summary>
      <table className="plain">
        <tbody>
          {rows.map(({ next, answer }) => {
            const forbidden = answer.verdicts.find(({ code }) => code === 'water-on-sealer');
            return (
              <tr key={next}>
                <td>
                  <strong>{WORD[next]}</strong>
                </td>
                <td>
                  {forbidden
                    ? 'never wet on this layer'
                    : answer.remainingMinutes.value > 0
                      ? `in ${minutesText(answer.remainingMinutes.value)}`
                      : 'time served; try it first'}
                </td>
                <td className="quiet">{forbidden ? forbidden.message : answer.test.text}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
