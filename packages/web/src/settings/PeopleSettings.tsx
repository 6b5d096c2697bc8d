/** Who may what, by which PIN, and on which tablets. */
import { Button, Modal, Select } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import type { Painter, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { Pin, ROLES, USUAL_ROLE, type Role } from '@orthochrom/contract/shop/signIn.ts';
import { useState } from 'react';
import { postJson, putJson } from '../api/client.ts';
import { useDevices, useSetup, useWho } from '../api/reads.ts';
import { ADDRESS, hold, refresh } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { PinPad } from '../signIn/PinPad.tsx';
import { whenText } from '../words/timeText.ts';

const ROLE_OPTIONS: Record<Role, string> = {
  lead: 'lead: the shop’s own things too',
  painter: 'painter: paints, guns, rooms, sheets',
  apprentice: 'apprentice: the work, not the shop’s things',
};

export function PeopleSettings() {
  const { data: setup } = useSetup();
  const { data: who } = useWho();
  const { data: devices } = useDevices();
  return (
    <section className="card stack" aria-labelledby="people">
      <h2 className="tape" id="people" style={{ alignSelf: 'start' }}>
        People and tablets
      </h2>
      <p className="quiet">
        {who?.isAsked
          ? 'Whoever comes in on a trusted tablet touches a name and gives a PIN. Stops, gate and data sheets are the same for everybody.'
          : 'Only this machine is answered, so no PIN is asked. They are for tablets: npm start -- --host opens the shop to its own network.'}
      </p>
      <div className="scrollx">
        <table className="plain">
          <thead>
            <tr>
              <th>Painter</th>
              <th>Is a</th>
              <th>PIN</th>
            </tr>
          </thead>
          <tbody>
            {setup?.painters.map((painter) => (
              <Person
                key={painter.id}
                painter={painter}
                hasPin={who?.painters.find(({ id }) => id === painter.id)?.hasPin ?? false}
              />
            ))}
          </tbody>
        </table>
      </div>
      {devices && devices.length > 0 && (
        <ul
          className="stack"
          aria-label="Trusted tablets"
          style={{ listStyle: 'none', margin: 0, padding: 0 }}
        >
          {devices.map(({ id, name, lastSeenAt }) => (
            <li key={id} className="row">
              <strong>{name}</strong>
              <span className="quiet">last seen {whenText(lastSeenAt)}</span>
              <Distrust id={id} name={name} isThis={id === who?.device?.id} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Person({ painter, hasPin }: { painter: Painter; hasPin: boolean }) {
  const [busy, write] = useWrite();
  const [isGiving, setGiving] = useState(false);
  const { id, version, ...own } = painter;
  const give = (role: Role) =>
    void write(async (over?: number) => {
      const body = { ...own, role, version: over ?? version };
      await hold(ADDRESS.setup, await putJson<ShopSetup>(ADDRESS.painter(id), body));
    });
  return (
    <tr>
      <td>{painter.name}</td>
      <td>
        <Select
          aria-label={`What ${painter.name} is`}
          w={330}
          value={painter.role ?? USUAL_ROLE}
          disabled={busy}
          data={[...ROLES].reverse().map((role) => ({ value: role, label: ROLE_OPTIONS[role] }))}
          onChange={(role) => role && give(role)}
        />
      </td>
      <td>
        <Button variant="default" onClick={() => setGiving(true)}>
          {hasPin ? 'Give a new PIN…' : 'Give a PIN…'}
        </Button>
        {isGiving && <GivePin painter={painter} hasPin={hasPin} onEnd={() => setGiving(false)} />}
      </td>
    </tr>
  );
}

type GivePinProps = { painter: Painter; hasPin: boolean; onEnd: () => void };

function GivePin({ painter, hasPin, onEnd }: GivePinProps) {
  const { data: who } = useWho();
  const { painter: me } = usePainter();
  const [pin, setPin] = useState('');
  const [current, setCurrent] = useState('');
  const [busy, write] = useWrite();
  const asksCurrent = who?.isAsked === true && hasPin && me.id === painter.id;
  const { error } = Pin.safeParse(pin);
  const save = () =>
    write(async () => {
      await putJson(ADDRESS.painter(painter.id, 'pin'), {
        pin,
        ...(asksCurrent ? { current } : {}),
      });
      await refresh('signIn');
      notifications.show({
        title: 'PIN kept',
        message: `${painter.name} is asked for it from now on.`,
      });
      onEnd();
    });
  return (
    <Modal opened onClose={onEnd} title={`A PIN for ${painter.name}`} size="lg">
      <form
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <p>Every tablet on which {painter.name} is signed in asks for it anew.</p>
        {asksCurrent && <PinPad label="The PIN until now" value={current} onChange={setCurrent} />}
        <PinPad
          label="Six to twelve digits"
          value={pin}
          error={pin.length >= 6 ? error?.issues[0]?.message : undefined}
          onChange={setPin}
          autoFocus
        />
        <div className="row">
          <Button type="submit" size="lg" loading={busy} disabled={error !== undefined}>
            Keep this PIN
          </Button>
          <Button variant="default" size="lg" onClick={onEnd}>
            Leave it
          </Button>
        </div>
      </form>
    </Modal>
  );
}

function Distrust({ id, name, isThis }: { id: string; name: string; isThis: boolean }) {
  const [busy, write] = useWrite();
  return (
    <Button
      variant="default"
      loading={busy}
      onClick={() =>
        void write(async () => {
          await postJson(ADDRESS.device(id, 'distrust'), {});
          await refresh('devices', 'signIn');
        })
      }
    >
      {isThis ? 'Trust this one no more' : `Trust ${name} no more`}
    </Button>
  );
}
