/** The day's board: every open job over the clock, what is late, what closes, which grade when. */
import { Button } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { LONGEST_LIST } from '@orthochrom/contract/quantity/fields.ts';
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import { CalendarArrowDownIcon } from 'lucide-react';
import { useMemo } from 'react';
import { useAir, useSetup, useSheets, useTickets, useWholes } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { useHeavy } from '../heavy/heavy.ts';
import { Link } from 'react-router';
import { AFTER_NAME } from '../words/afterWords.ts';
import { NotBefore } from './NotBefore.tsx';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { timeText } from '../words/timeText.ts';
import { BoardPicture } from './BoardPicture.tsx';
import { instantOf } from './boardLayout.ts';
import { calendarEvents, calendarText } from './calendar.ts';
import { saveText } from '../frame/saveText.ts';
import { dayAt } from './dayAt.ts';
import styles from './DayPage.module.css';

const EVERY_MS = 60_000;
/** Names of jobs beside the clock. */
const LABELS_PX = 232;
const BETTER = {
  nothingStops: 'then nothing stops it',
  lessAgainst: 'less speaks against it then',
  soonerOut: 'all of it is done sooner',
} as const;

export function DayPage() {
  const [airRead, setupRead, sheetsRead, ticketsRead] = [
    useAir(),
    useSetup(),
    useSheets(),
    useTickets(),
  ];
  const open = ticketsRead.data?.tickets.filter(({ state }) => state === 'open') ?? [];
  const wholesRead = useWholes(ticketsRead.data && open.map(({ id }) => id));
  const nowMs = useNowMs(EVERY_MS);
  const { ref, width } = useElementSize();
  const [air, setup, sheets, wholes] = [
    airRead.data,
    setupRead.data,
    sheetsRead.data,
    wholesRead.data,
  ];
  const day = useMemo(
    () =>
      air && setup && sheets && wholes ? dayAt({ air, setup, sheets, wholes }, nowMs) : undefined,
    [air, setup, sheets, wholes, nowMs],
  );
  const { answer, error, isStale } = useHeavy('day', day?.asked);
  if (!day)
    return (
      <NotYet reads={[airRead, setupRead, sheetsRead, ticketsRead, wholesRead]} what="the day" />
    );
  const { board, input, marks, hours } = day;
  const { startMinute, isTomorrow } = board;
  const now = { minute: board.nowMinute, ms: nowMs };
  const instant = (minute: number): number => instantOf(minute, now);
  const clock = (minute: number): string => timeText(instant(minute));
  const roomOf = (job: string): string => input.jobs.find(({ name }) => name === job)?.room ?? '';
  const hrefOf = (job: string): string =>
    `/tickets/${open.find(({ number }) => job.startsWith(`${number} `))?.id ?? ''}`;
  const save = () =>
    answer &&
    saveText('shop-day.ics', 'text/calendar', calendarText(calendarEvents(answer, instant, marks)));
  return (
    <>
      <PageHead
        title="The day"
        line={`${isTomorrow ? 'The next day, from' : 'From'} ${clock(startMinute)}, ${input.jobs.length} ${input.jobs.length === 1 ? 'job' : 'jobs'} on it`}
      >
        <Button
          variant="default"
          leftSection={<CalendarArrowDownIcon size={22} aria-hidden="true" />}
          disabled={!answer || answer.blocks.length === 0}
          onClick={save}
        >
          Calendar file
        </Button>
      </PageHead>
      <div className="page stack">
        <p className="quiet">
          Open {clock(hours.opensMinute)} to {clock(hours.closesMinute)}
          {hours.breaks
            .map(([from, to]) => `, break ${clock(from)} to ${clock(to)}`)
            .join('')}.{' '}
          <Link to="/settings">Change the hours</Link>
        </p>
        {input.jobs.length === 0 && (
          <p className="card">No open ticket has anything to do on it.</p>
        )}
        {input.jobs.length > LONGEST_LIST && (
          <p className="card" role="status">
            {input.jobs.length - LONGEST_LIST} more jobs are not on the board: those wanted soonest
            are.
          </p>
        )}
        {error && <p role="alert">The day could not be laid out: {error}</p>}
        <div ref={ref} className={styles['board']} aria-busy={isStale}>
          {answer && input.jobs.length > 0 && (
            <BoardPicture
              answer={answer}
              roomOf={roomOf}
              hrefOf={hrefOf}
              startMinute={startMinute}
              isNow={!isTomorrow}
              breaks={input.breaks ?? []}
              closesMinute={input.closesMinute}
              widthPx={Math.max(640, width - LABELS_PX)}
              clock={clock}
              marks={marks.map(({ job, what, atMs }) => ({
                job,
                said: `${AFTER_NAME[what]} from ${timeText(atMs)}`,
                minute: board.nowMinute + (atMs - nowMs) / 60_000,
              }))}
            />
          )}
        </div>
        {answer && (
          <div className={styles['told']}>
            <section className="stack" aria-label="What stands against the day">
              {answer.bestStart && (
                <p className="card">
                  <strong>Better from {clock(answer.bestStart.startMinute)}:</strong>{' '}
                  {BETTER[answer.bestStart.why]}.
                </p>
              )}
              <VerdictList verdicts={answer.verdicts} hideGo />
              <ReasonList reasons={answer.reasons} />
            </section>
            <section className="card" aria-label="Mixes of the day">
              <h3>Mixes</h3>
              <table className="plain">
                <tbody>
                  {answer.mixes.map((mix) => (
                    <tr key={`${mix.job} ${mix.stage} ${mix.startMinute}`}>
                      <td>
                        <strong>{clock(mix.startMinute)}</strong>
                      </td>
                      <td>
                        {mix.job}, {mix.stage}
                      </td>
                      <td className={styles['grade']}>
                        {mix.choice ? blendText(mix.choice.parts) : ''}
                      </td>
                      <td className={`quiet ${styles['grade']}`}>
                        {mix.potLifeEndsMinute === undefined
                          ? ''
                          : `good until ${clock(mix.potLifeEndsMinute)}`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          </div>
        )}
        {/* After what is worked out above it: it would be pushed down. */}
        {(answer || error) && <NotBefore marks={marks} />}
      </div>
    </>
  );
}
