/** First thing in the morning: the day's air against the grades, what waits, what runs. */
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, hold } from '../api/resources.ts';
import { climateOf } from '@orthochrom/core/inForce/climate.ts';
import { coatOrder, isOn } from '@orthochrom/contract/plan/coatOrder.ts';
import { isLookDue, openLook } from '@orthochrom/contract/plan/lookDue.ts';
import { Button, NativeSelect, Slider } from '@mantine/core';
import type { DayAhead } from '@orthochrom/contract/shop/air.ts';
import type { Ticket, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { worstLevel } from '@orthochrom/core/outcome/verdicts.ts';
import { useLocalStorage } from '@mantine/hooks';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { postJson } from '../api/client.ts';
import { useAir, useSetup, useSheets, useTickets, type AirState } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { useWrite } from '../api/useWrite.ts';
import { AirStrip } from '../frame/AirStrip.tsx';
import { NextSteps } from '../firstRun/NextSteps.tsx';
import { GunsWaiting } from '../guns/GunsWaiting.tsx';
import { late } from '../frame/late.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { countdownText } from '../ticket/countdown.ts';
import { whenText } from '../words/timeText.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { gradeBands } from './dayHours.ts';
import { minuteOfDay } from '@orthochrom/contract/plan/shopHours.ts';
import { DayWindows } from './DayWindows.tsx';
import styles from './TodayPage.module.css';

/** What draws comes after what is read: the words of the day stand at once. */
const DayChart = late(
  async () => (await import('./DayChart.tsx')).DayChart,
  <div className={styles['chart']} aria-hidden="true" />,
);

export function TodayPage() {
  const airRead = useAir();
  const air = airRead.data;
  const setupRead = useSetup();
  const setup = setupRead.data;
  const sheetsRead = useSheets();
  const sheets = sheetsRead.data;
  const bands = useMemo(
    () =>
      gradeBands(
        (sheets ?? []).flatMap(({ sheet }) =>
          sheet.kind === 'reducer' && sheet.grade ? [sheet.grade] : [],
        ),
      ),
    [sheets],
  );
  const nowMs = useNowMs(60_000);
  const [pickedRoom, pickRoom] = useLocalStorage({
    key: 'orthochrom-room',
    defaultValue: '',
    getInitialValueInEffect: false,
  });
  if (!air || !setup || !sheets)
    return <NotYet reads={[airRead, setupRead, sheetsRead]} what="the air" />;
  const room = setup.rooms.find(({ id }) => id === pickedRoom) ?? setup.rooms[0]!;
  const now = air.rooms.find(({ roomId }) => roomId === room.id);
  // A room that came a moment ago: its air is on its way.
  if (!now) return <NotYet reads={[airRead]} what="the air" />;
  const day = air.days.find(({ roomId }) => roomId === room.id) ?? air.days[0]!;
  const level = worstLevel(
    climateOf({
      airTemperatureC: now.air.value,
      relativeHumidityPercent: now.humidity.value,
      ...(now.panel ? { panelTemperatureC: now.panel.value } : {}),
      ...(now.material ? { materialTemperatureC: now.material.value } : {}),
    }).verdicts,
  );
  const dayRoom = { sunriseMinute: day.sunriseMinute, heated: room.heated };
  const minute = now.standIn?.minute ?? minuteOfDay(setup.shop.timeZone, nowMs);
  return (
    <>
      <PageHead title={`Today, ${room.name}`} line={setup.shop.name}>
        <AirStrip air={now} level={level} room={room.name} />
      </PageHead>
      <div className={styles['columns']}>
        <section className="stack" aria-labelledby="day">
          <div className="row">
            <h2 className="tape" id="day">
              The day
            </h2>
            <NativeSelect
              aria-label="Room"
              size="md"
              w={190}
              data={setup.rooms.map(({ id, name }) => ({ value: id, label: name }))}
              value={room.id}
              onChange={({ currentTarget }) => pickRoom(currentTarget.value)}
            />
            <Button component={Link} to="/day" variant="default">
              Board of the day
            </Button>
          </div>
          <FirstSteps setup={setup} sheets={sheets} />
          <DayChart forecast={day.forecast} nowMinute={minute} bands={bands} room={dayRoom} />
          {now.standIn && <StandIn day={day} minute={minute} shiftC={now.standIn.shiftC} />}
          <DayWindows forecast={day.forecast} nowMinute={minute} bands={bands} room={dayRoom} />
        </section>
        <OpenTickets />
      </div>
    </>
  );
}

/** Until the shop has its first ticket. */
function FirstSteps(of: Parameters<typeof NextSteps>[0]) {
  const { data } = useTickets();
  return data?.tickets.length === 0 ? <NextSteps {...of} /> : null;
}

/** A step of the stand-in's warmth, and how far it goes. */
const STEP_C = 2;
const MOST_C = 15;

const steer = (change: object) =>
  postJson<AirState>(ADDRESS.probe, change).then((state) => hold(ADDRESS.air, state));

/**
 * The room probe is a stand-in here: it plays a scripted day, and can be moved along it or made
 * warmer.
 */
function StandIn({ day, minute, shiftC }: { day: DayAhead; minute: number; shiftC: number }) {
  const [, write] = useWrite();
  const { painter } = usePainter();
  const { difference, joined } = formatFor(painter.units);
  const [first, last] = [day.forecast[0]!.minute, day.forecast.at(-1)!.minute];
  return (
    <div className={`card ${styles['standIn']}`}>
      <span>
        <strong>Stand-in probe</strong> plays “{day.name}”; drag it to another hour
      </span>
      <Slider
        thumbLabel="Time of the stand-in’s day"
        min={first}
        max={last}
        step={5}
        value={Math.round(minute)}
        label={null}
        onChange={(value) => void write(() => steer({ minute: value }))}
        size="lg"
        thumbSize={26}
        className={styles['slider']!}
      />
      <div className="row">
        <Button
          size="compact-md"
          variant="default"
          aria-label="The stand-in cooler"
          onClick={() => void write(() => steer({ shiftC: Math.max(-MOST_C, shiftC - STEP_C) }))}
        >
          −{joined(difference(STEP_C))}
        </Button>
        <span>
          {shiftC === 0
            ? 'as scripted'
            : `${shiftC > 0 ? '+' : '−'}${joined(difference(Math.abs(shiftC)))}`}
        </span>
        <Button
          size="compact-md"
          variant="default"
          aria-label="The stand-in warmer"
          onClick={() => void write(() => steer({ shiftC: Math.min(MOST_C, shiftC + STEP_C) }))}
        >
          +{joined(difference(STEP_C))}
        </Button>
      </div>
    </div>
  );
}

function OpenTickets() {
  const read = useTickets();
  const { data } = read;
  const open = (data?.tickets.filter(({ state }) => state === 'open') ?? []).sort((a, b) =>
    a.number.localeCompare(b.number),
  );
  return (
    <aside className={`stack ${styles['aside']}`} aria-labelledby="open-tickets">
      <h2 className="tape" id="open-tickets" style={{ alignSelf: 'start' }}>
        Open tickets
      </h2>
      {open.map((ticket) => (
        <OpenTicket
          key={ticket.id}
          ticket={ticket}
          coats={data!.coats.filter(({ ticketId }) => ticketId === ticket.id)}
          timer={data!.timers.find(
            ({ ticketId, kind }) => ticketId === ticket.id && kind === 'flash',
          )}
          look={openLook(data!.timers.filter(({ ticketId }) => ticketId === ticket.id))}
        />
      ))}
      {!data && <NotYet reads={[read]} what="the tickets" />}
      {data && open.length === 0 && <p>Nothing open.</p>}
      <Button component={Link} to="/tickets/new" variant="default">
        New ticket
      </Button>
      <GunsWaiting />
    </aside>
  );
}

function OpenTicket({
  ticket,
  coats,
  timer,
  look,
}: {
  ticket: Ticket;
  coats: Coat[];
  timer: Timer | undefined;
  /** Of the next day, not yet taken. */
  look: Timer | undefined;
}) {
  const now = useNowMs();
  const next = [...coats].sort(coatOrder(ticket.stages)).find((coat) => !isOn(coat));
  const stage = ticket.stages.find(({ id }) => id === next?.stageId);
  const left = timer && Date.parse(timer.dueAt) - now;
  const isDue = look !== undefined && isLookDue(look, now);
  return (
    <Link
      to={`/tickets/${ticket.id}`}
      className={`card ${styles['ticket']} ${timer || isDue ? styles['running'] : ''}`}
    >
      <span className={styles['vehicle']}>{ticket.vehicle}</span>
      {left !== undefined && (
        <span className={styles['timer']}>{left > 0 ? countdownText(left) : 'touch it'}</span>
      )}
      <span className="quiet">
        {ticket.number} ·{' '}
        {stage && next
          ? `${STAGE_NAME[stage.kind]}, coat ${next.ordinal} of ${stage.coats}${timer && left! > 0 ? ', flashing' : ''}`
          : look
            ? isDue
              ? 'look again: it is due'
              : `look again from ${whenText(look.dueAt)}`
            : 'all coats on'}
      </span>
    </Link>
  );
}
