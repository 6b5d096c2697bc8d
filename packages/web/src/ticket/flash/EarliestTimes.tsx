/**
 * What may not be done to this layer yet, and from when it may: by the sheet, never sooner, later
 * in the cold; and what was done.
 */
import { recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import { shrinksFor } from '@orthochrom/contract/plan/shrinking.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { recoatCalculation } from '@orthochrom/contract/calculations/recoat.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import type { LayerWork, WorkKind } from '@orthochrom/contract/shop/layerWork.ts';
import { minutesText } from '@orthochrom/contract/words/format.ts';
import type { CardProps } from '../cardProps.ts';
import { LayerWorkButtons } from '../layers/LayerWorkButtons.tsx';
import { WORK_NAME } from '../../words/tradeNames.ts';
import { weekdayTimeText } from '../../words/timeText.ts';

type Later = Exclude<InputOf<'recoat'>['next'], 'coat' | 'clear'>;
const WORD: Record<Later, string> = {
  wipe: 'Wipe',
  tape: 'Tape',
  sandDry: 'Sand dry',
  sandWet: 'Sand wet',
  bake: 'Heat',
  polish: 'Polish',
};
/** What is noted at the layer with a touch; heat has questions of its own. */
const NOTED: Partial<Record<Later, WorkKind>> = {
  sandDry: 'sandedDry',
  sandWet: 'sandedWet',
  polish: 'polished',
};
/** A fault that was left is no work on the layer. */
const isDone = ({ kind }: LayerWork): boolean => kind !== 'left' && kind !== 'recoated';

type NotBeforeProps = Pick<
  CardProps,
  'whole' | 'coat' | 'context' | 'plan' | 'painter' | 'keep'
> & { nowMs: number };

export function EarliestTimes({
  whole,
  coat,
  context,
  plan,
  painter,
  keep,
  nowMs,
}: NotBeforeProps) {
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
      answer: ask(recoatCalculation, { ...plan.inputs.recoat, minutesSince, next }),
    }));
  const shrinks = shrinksFor(whole, coat, nowMs);
  if (rows.length === 0) return null;
  const ready = rows.flatMap(({ next, answer }) =>
    answer.ready && NOTED[next] ? [NOTED[next]] : [],
  );
  const done = whole.works.filter((work) => work.coatId === coat.id && isDone(work));
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
                <td className="quiet">
                  {forbidden
                    ? `${forbidden.message} ${forbidden.instead?.text ?? ''}`
                    : answer.test.text}
                </td>
              </tr>
            );
          })}
          {times.shrinkMinutes !== undefined && (
            <tr data-shrinks>
              <td>
                <strong>Done shrinking</strong>
              </td>
              <td>{shrinks === undefined ? 'time served' : `in ${minutesText(shrinks)}`}</td>
              <td className="quiet">
                {whole.ticket.timing === 'restoration'
                  ? 'Block it for the last time after that.'
                  : 'It may be sanded before; then edges may show in weeks.'}
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {done.length > 0 && (
        <p>
          Done to this layer:{' '}
          {done
            .map(({ kind, at }) => `${WORK_NAME[kind].toLowerCase()} ${weekdayTimeText(at)}`)
            .join(', ')}
          .
        </p>
      )}
      {ready.length > 0 && coat.state !== 'sprayed' && (
        <LayerWorkButtons {...{ whole, context, painter, keep }} of={coat} kinds={ready} />
      )}
    </details>
  );
}
