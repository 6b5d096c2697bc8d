/**
 * Clocks that run anywhere in the shop: the title says the minutes, the screen stays awake, and the
 * end is flashed and sounded until it is touched.
 */
import { Button } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useTickets } from '../api/reads.ts';
import { serverNowMs, useNowMs } from '../api/serverClock.ts';
import { soundAlarm } from './alarmSound.ts';
import { clocksOf, titleOf } from './clockWatch.ts';
import styles from './ClockWatch.module.css';
import { useAwake } from './useAwake.ts';

/** Whether this device keeps quiet when a time is up; it still flashes. */
export const useQuiet = () =>
  useLocalStorage({
    key: 'orthochrom-quiet',
    defaultValue: false,
    getInitialValueInEffect: false,
  });

export function ClockWatch() {
  const { data } = useTickets();
  const nowMs = useNowMs();
  const [openedMs] = useState(serverNowMs);
  const [heard, setHeard] = useState<ReadonlySet<string>>(new Set());
  const [isQuiet, setQuiet] = useQuiet();
  const clocks = clocksOf(data?.timers ?? [], nowMs, { openedMs, heard });
  const { running, ended } = clocks;
  const isUp = ended.length > 0;
  useAwake(running.length > 0 || isUp);
  const title = titleOf(clocks, nowMs);
  useEffect(() => {
    document.title = title;
  }, [title]);
  useEffect(() => (isUp && !isQuiet ? soundAlarm() : undefined), [isUp, isQuiet]);
  if (!isUp) return null;
  const hear = () => setHeard(new Set([...heard, ...ended.map(({ id }) => id)]));
  const vehicleOf = (ticketId: string) => data?.tickets.find(({ id }) => id === ticketId)?.vehicle;
  return (
    <div className={styles['alarm']} role="alertdialog" aria-label="Time is up" onClick={hear}>
      <div className={`card ${styles['box']}`}>
        <p className={styles['word']}>Time is up: touch it</p>
        {ended.map(({ id, ticketId, test }) => (
          <p key={id}>
            <Link to={`/tickets/${ticketId}`} onClick={hear}>
              {vehicleOf(ticketId)}
            </Link>{' '}
            {test}
          </p>
        ))}
        <div className="row">
          <Button size="xl" autoFocus onClick={hear}>
            I heard it
          </Button>
          <Button
            size="xl"
            variant="default"
            aria-pressed={isQuiet}
            onClick={(event) => {
              event.stopPropagation();
              setQuiet(!isQuiet);
            }}
          >
            {isQuiet ? 'Sound on this tablet' : 'Quiet on this tablet'}
          </Button>
        </div>
      </div>
    </div>
  );
}
