/** The day's board: every open job over the clock, what is late, what closes, which grade when. */
import { Button, Checkbox, Select } from '@mantine/core';
import { useElementSize, useLocalStorage } from '@mantine/hooks';
import { dayInput } from '@orthochrom/contract/plan/dayBoard.ts';
import type { DayAhead } from '@orthochrom/contract/shop/air.ts';
import { LONGEST_LIST } from '@orthochrom/contract/quantity/fields.ts';
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import { IconCalendarDown } from '@tabler/icons-react';
import { useMemo } from 'react';
import { useAir, useSetup, useSheets, useTickets, useWholes } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { useHeavy } from '../heavy/heavy.ts';
import { minuteOfDay } from '../today/minuteOfDay.ts';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { timeText } from '../words/timeText.ts';
import { BoardPicture } from './BoardPicture.tsx';
import { instantOf } from './boardLayout.ts';
import { calendarEvents, calendarText } from './calendar.ts';
import { saveText } from '../frame/saveText.ts';
import styles from './DayPage.module.css';

const HOUR = 60;
const CLOSES = [16, 17, 18, 19, 20, 22];
const NOON: [number, number] = [12 * HOUR + 30, 13 * HOUR];
const EVERY_MS = 60_000;
/** Names of jobs beside the clock. */
const LABELS_PX = 232;
const BETTER = {
  nothingStops: 'then nothing stops it',
  lessAgainst: 'less speaks against it then',
  soonerOut: 'all of it is done sooner',
} as const;

/** A day's air so many minutes later, none of it before midnight. */
const moved = (day: DayAhead, minutes: number): DayAhead => ({
  ...day,
  sunriseMinute: Math.max(0, day.sunriseMinute + minutes),
  forecast: day.forecast
    .map((point) => ({ ...point, minute: point.minute + minutes }))
    .filter(({ minute }) => minute >= 0),
});

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
  const [closes, setCloses] = useLocalStorage({ key: 'orthochrom-closes', defaultValue: '18' });
  const [hasBreak, setBreak] = useLocalStorage({ key: 'orthochrom-noon', defaultValue: true });
  const { ref, width } = useElementSize();
  const [air, setup, sheets, wholes] = [
    airRead.data,
    setupRead.data,
    sheetsRead.data,
    wholesRead.data,
  ];
  const timeZone = setup?.shop.timeZone;
  const startMinute = timeZone ? minuteOfDay(timeZone, nowMs) : 0;
  // A stand-in plays another hour of its day: its air is moved to the shop's own clock.
  const standIn = air?.rooms.find(({ standIn: played }) => played)?.standIn;
  const shift = standIn ? startMinute - Math.floor(standIn.minute) : 0;
  const input = useMemo(
    () =>
      air && setup && sheets && wholes
        ? dayInput(
            wholes,
            setup,
            air.days.map((day) => moved(day, shift)),
            sheets,
            {
              nowMs,
              startMinute,
              closesMinute: Number(closes) * HOUR,
              breaks: hasBreak ? [NOON] : [],
              today: new Date(nowMs).toLocaleDateString('en-CA', { timeZone: setup.shop.timeZone }),
            },
          )
        : undefined,
    [air, setup, sheets, wholes, nowMs, startMinute, shift, closes, hasBreak],
  );
  const asked = useMemo(
    () => input && { ...input, jobs: input.jobs.slice(0, LONGEST_LIST) },
    [input],
  );
  const { answer, error, isStale } = useHeavy('day', asked);
  if (!input)
    return (
      <NotYet reads={[airRead, setupRead, sheetsRead, ticketsRead, wholesRead]} what="the day" />
    );
  const now = { minute: startMinute, ms: nowMs };
  const instant = (minute: number): number => instantOf(minute, now);
  const clock = (minute: number): string => timeText(instant(minute));
  const roomOf = (job: string): string => input.jobs.find(({ name }) => name === job)?.room ?? '';
  const hrefOf = (job: string): string =>
    `/tickets/${open.find(({ number }) => job.startsWith(`${number} `))?.id ?? ''}`;
  const save = () =>
    answer &&
    saveText('shop-day.ics', 'text/calendar', calendarText(calendarEvents(answer, instant)));
  return (
    <>
      <PageHead
        title="The day"
        line={`From ${clock(startMinute)}, ${input.jobs.length} jobs with coats to lay`}
      >
        <Button
          variant="default"
          leftSection={<IconCalendarDown size={22} aria-hidden="true" />}
          disabled={!answer || answer.blocks.length === 0}
          onClick={save}
        >
          Calendar file
        </Button>
      </PageHead>
      <div className="page stack">
        <div className="row">
          <Select
            label="Closes at"
            w={140}
            data={CLOSES.map((hour) => ({ value: String(hour), label: `${hour}:00` }))}
            value={closes}
            onChange={(hour) => hour && setCloses(hour)}
          />
          <Checkbox
            size="md"
            label="Half an hour’s break at noon"
            checked={hasBreak}
            onChange={(event) => setBreak(event.currentTarget.checked)}
            style={{ alignSelf: 'end', paddingBottom: 12 }}
          />
        </div>
        {input.jobs.length === 0 && <p className="card">No open ticket has a coat left to lay.</p>}
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
              breaks={input.breaks ?? []}
              closesMinute={input.closesMinute}
              widthPx={Math.max(640, width - LABELS_PX)}
              clock={clock}
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
      </div>
    </>
  );
}
