/**
 * When it may be taped, polished, washed, waxed and handed over; when to look again, and what for.
 */
import { afterCoat } from '@orthochrom/contract/plan/after.ts';
import { CURE_DATES } from '@orthochrom/core/cure/cure.ts';
import type { Light, LookedFor } from '@orthochrom/core/cure/lookAgain.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { AFTER_NAME } from '../../words/afterWords.ts';
import { dateTimeText } from '../../words/timeText.ts';

const LIGHT: Record<Light, string> = { booth: 'booth light', side: 'side light', sun: 'sun' };
const LOOKED_FOR: Record<LookedFor, string> = {
  pinholes: 'pinholes',
  scratches: 'sand scratches',
  flat: 'flat?',
  dust: 'dust',
  repairEdges: 'edges of the repair',
  hidden: 'hidden evenly?',
  shade: 'shade against the neighbour',
  stripes: 'stripes and clouds, from both sides',
  dryEdges: 'dry edges',
  depth: 'the same depth on every part',
  flakeLie: 'flake lying or standing',
  pops: 'pops and pinholes, with a loupe',
  runs: 'runs on what is upright',
  peel: 'peel against the neighbour',
  dull: 'dull patches',
  maskLines: 'masking lines',
  sink: 'sink over repairs',
  thinEdges: 'thin edges',
};
const MINUTE_MS = 60_000;

type AfterDatesProps = Pick<CardProps, 'whole' | 'coat' | 'context' | 'plan'>;

export function AfterDates({ whole, coat, context, plan }: AfterDatesProps) {
  const after = afterCoat(context, plan, coat, whole);
  if (!after || !coat.endedAt) return null;
  const endedMs = Date.parse(coat.endedAt);
  const said = (minute: number) => dateTimeText(endedMs + minute * MINUTE_MS);
  const { look } = after;
  // Where its clock runs the clock is the word, not the air of this minute.
  const clock = whole.timers.find(({ kind, coatId }) => kind === 'look' && coatId === coat.id);
  return (
    <section className="card stack" aria-label="After this coat">
      <h3>After this coat</h3>
      <table className="plain">
        <tbody>
          <tr data-after="look">
            <td>
              <strong>Look again</strong>
            </td>
            <td>
              {clock ? dateTimeText(clock.dueAt) : said(look.fromMinute)} to{' '}
              {clock?.latestAt ? dateTimeText(clock.latestAt) : said(look.toMinute)}
            </td>
            <td className="quiet">{look.lights.map((light) => LIGHT[light]).join(', ')}</td>
          </tr>
          {CURE_DATES.flatMap((name) => {
            const date = after[name];
            return date
              ? [
                  <tr key={name} data-after={name}>
                    <td>
                      <strong>{AFTER_NAME[name]}</strong>
                    </td>
                    <td>not before {said(date.value)}</td>
                    <td className="quiet">sure from {said(date.high)}</td>
                  </tr>,
                ]
              : [];
          })}
        </tbody>
      </table>
      <p className="quiet">
        Look for {look.lookFor.map((what) => LOOKED_FOR[what]).join(', ')}.{' '}
        {after.reasons.map(({ text }) => text).join(' ')}
      </p>
      <VerdictList verdicts={after.verdicts} hideGo />
    </section>
  );
}
