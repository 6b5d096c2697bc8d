/** The frame of every screen: the rail, who paints, and whether the server is there. */
import { Menu } from '@mantine/core';
import { useElementSize, useLocalStorage } from '@mantine/hooks';
import { useMantineColorScheme } from '@mantine/core';
import {
  BookOpenIcon,
  WarehouseIcon,
  CalendarClockIcon,
  ClipboardListIcon,
  FileTextIcon,
  FlaskConicalIcon,
  ScanSearchIcon,
  MoonIcon,
  SettingsIcon,
  SprayCanIcon,
  SunIcon,
} from 'lucide-react';
import { useEffect } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { useStream } from '../api/useStream.ts';
import { Clashes } from './Clashes.tsx';
import { ClockWatch } from './ClockWatch.tsx';
import { ConnectedContext } from './connected.ts';
import { Newer } from './Newer.tsx';
import { Outbox } from './Outbox.tsx';
import { LeadTouch } from '../signIn/LeadTouch.tsx';
import { PainterContext } from './painter.ts';
import { PainterMenu } from './PainterMenu.tsx';
import { useAtTheDoor } from './useAtTheDoor.tsx';
import styles from './Shell.module.css';

type Place = { to: string; word: string; Icon: typeof MoonIcon };
/** What the day is made of stands always. */
const AT_HAND: Place[] = [
  { to: '/', word: 'Today', Icon: CalendarClockIcon },
  { to: '/tickets', word: 'Tickets', Icon: ClipboardListIcon },
  { to: '/faults', word: 'Faults', Icon: ScanSearchIcon },
];
/** The rest, one touch away. */
const SHOP: Place[] = [
  { to: '/guns', word: 'Guns, air', Icon: SprayCanIcon },
  { to: '/lab', word: 'Lab', Icon: FlaskConicalIcon },
  { to: '/records', word: 'Records', Icon: BookOpenIcon },
  { to: '/sheets', word: 'Sheets', Icon: FileTextIcon },
  { to: '/settings', word: 'Settings', Icon: SettingsIcon },
];

export function Shell() {
  const { state, within, door, error } = useAtTheDoor();
  const connected = useStream(door === undefined);
  const { ref: notices, height } = useElementSize();
  return (
    <div className={styles['shell']}>
      <nav className={styles['rail']} aria-label="Main">
        <NavLink to="/" className={styles['mark']} aria-label="Orthochrom, today">
          <svg viewBox="0 0 32 32" width="34" height="34" aria-hidden="true">
            <path d="M4 24h24v4H4z" fill="#8d8b84" />
            <path d="M4 18h24v5H4z" fill="#b9c0c4" />
            <path d="M4 13h24v4H4z" fill="#e8890c" />
            <path d="M16 3l4.6 7h-9.2z" fill="#f2f1ee" />
          </svg>
        </NavLink>
        {!door && (
          <>
            {AT_HAND.map((place) => (
              <PlaceLink key={place.to} {...place} />
            ))}
            <ShopMenu />
          </>
        )}
        <div className={styles['foot']}>
          <BoothSwitch />
          {state && <PainterMenu {...state} />}
        </div>
      </nav>
      <main
        className={styles['main']}
        style={{ '--under-notices': `${height}px` } as React.CSSProperties}
      >
        <div ref={notices} className={styles['notices']}>
          {!connected && (
            <p role="status" className={styles['offline']}>
              No connection to the shop’s server.{' '}
              <span className={styles['more']}>What you see is as it was; clocks go on. </span>
              What you note is kept here and sent later
              <span className={styles['more']}>; a plan, a pour or a start has to wait</span>.
            </p>
          )}
          <Newer connected={connected} />
          <Outbox />
        </div>
        {door}
        {within && (
          // Behind a door that shut on somebody, what was typed stays as it was.
          <div style={{ display: door ? 'none' : 'contents' }}>
            <PainterContext value={within}>
              <ConnectedContext value={connected}>
                <Outlet />
                <Clashes />
                <ClockWatch />
                <LeadTouch />
              </ConnectedContext>
            </PainterContext>
          </div>
        )}
        {!door && !within && (
          <p className="page">
            {error ? 'The shop’s server does not answer. Is it running?' : 'Opening the shop …'}
          </p>
        )}
      </main>
    </div>
  );
}

function PlaceLink({ to, word, Icon }: Place) {
  return (
    <NavLink
      to={to}
      end={to === '/'}
      className={({ isActive }) => `${styles['place']} ${isActive ? styles['here'] : ''}`}
    >
      <Icon size={26} strokeWidth={1.6} aria-hidden="true" />
      <span>{word}</span>
    </NavLink>
  );
}

/** What belongs to the shop more than to the day. */
function ShopMenu() {
  const { pathname } = useLocation();
  const here = SHOP.find(({ to }) => pathname.startsWith(to));
  return (
    <Menu position="right-start" withArrow width={230}>
      <Menu.Target>
        <button type="button" className={`${styles['place']} ${here ? styles['here'] : ''}`}>
          <WarehouseIcon size={26} strokeWidth={1.6} aria-hidden="true" />
          <span>Shop</span>
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        {SHOP.map(({ to, word, Icon }) => (
          <Menu.Item
            key={to}
            component={Link}
            to={to}
            leftSection={<Icon size={24} strokeWidth={1.6} aria-hidden="true" />}
            fz={19}
            py={12}
            fw={here?.to === to ? 700 : 400}
            {...(here?.to === to ? { 'aria-current': 'page' as const } : {})}
          >
            {word}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}

/** Booth mode: dim, and everything larger. */
function BoothSwitch() {
  const [isBooth, setIsBooth] = useLocalStorage({
    key: 'orthochrom-booth',
    defaultValue: false,
    getInitialValueInEffect: false,
  });
  const { setColorScheme } = useMantineColorScheme();
  useEffect(() => {
    document.documentElement.dataset['booth'] = isBooth ? 'on' : 'off';
    setColorScheme(isBooth ? 'dark' : 'light');
  }, [isBooth, setColorScheme]);
  const Icon = isBooth ? SunIcon : MoonIcon;
  return (
    <button
      type="button"
      className={styles['place']}
      onClick={() => setIsBooth(!isBooth)}
      aria-pressed={isBooth}
    >
      <Icon size={26} strokeWidth={1.6} aria-hidden="true" />
      <span>{isBooth ? 'Office' : 'Booth'}</span>
    </button>
  );
}
