/** At the door: a tablet that nobody knows, or names to touch and a PIN. */
import { Button, TextInput } from '@mantine/core';
import { SHORTEST_PIN, type Role, type WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { useState } from 'react';
import { ApiFault, postJson } from '../api/client.ts';
import { sendNotesOfOthers } from '../api/outbox.ts';
import { ADDRESS, refreshAll } from '../api/resources.ts';
import { PinPad } from './PinPad.tsx';
import styles from './SignIn.module.css';

export const ROLE_WORD: Record<Role, string> = {
  lead: 'lead',
  painter: 'painter',
  apprentice: 'apprentice',
};

export function SignInPage({ who }: { who: WhoIsHere }) {
  return (
    <div className={`stack ${styles['door']}`}>
      {who.wantsCode ? <Begin /> : who.device ? <Names who={who} /> : <Trust />}
    </div>
  );
}

/** What goes wrong stands at the field; nothing typed is lost but the PIN. */
function useComingIn() {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string>();
  const comeIn = async (address: string, body: object, forget: () => void) => {
    setBusy(true);
    setFault(undefined);
    try {
      await postJson(address, body);
      await refreshAll();
      await sendNotesOfOthers();
    } catch (reason) {
      setFault(reason instanceof ApiFault ? reason.message : 'The shop’s server does not answer.');
      forget();
    } finally {
      setBusy(false);
    }
  };
  return { busy, fault, comeIn };
}

function Names({ who }: { who: WhoIsHere }) {
  const [picked, pick] = useState<string>();
  const [pin, setPin] = useState('');
  const { busy, fault, comeIn } = useComingIn();
  const painter = who.painters.find(({ id }) => id === picked);
  return (
    <>
      <h1>Who is painting?</h1>
      <div className={styles['names']}>
        {who.painters.map(({ id, name, role, hasPin }) => (
          <button
            key={id}
            type="button"
            className={styles['name']}
            aria-pressed={id === picked}
            onClick={() => {
              pick(id);
              setPin('');
            }}
          >
            {name}
            <small>{hasPin ? ROLE_WORD[role] : 'no PIN yet: a lead gives one'}</small>
          </button>
        ))}
      </div>
      {painter && (
        <Button
          className={styles['others'] ?? ''}
          variant="default"
          onClick={() => pick(undefined)}
        >
          Somebody else
        </Button>
      )}
      {painter?.hasPin && (
        <form
          key={painter.id}
          className="card stack"
          onSubmit={(event) => {
            event.preventDefault();
            void comeIn(ADDRESS.signIn, { painterId: painter.id, pin }, () => setPin(''));
          }}
        >
          <PinPad
            label={`PIN of ${painter.name}`}
            value={pin}
            error={fault}
            onChange={setPin}
            autoFocus
          />
          <div>
            <Button
              type="submit"
              size="xl"
              w="min(100%, 360px)"
              loading={busy}
              disabled={pin.length < SHORTEST_PIN}
            >
              Sign in
            </Button>
          </div>
        </form>
      )}
      <p className="quiet">
        This is {who.device!.name}. Stops, gate and data sheets are the same for everybody.
      </p>
    </>
  );
}

/** A lead comes in on it, and by that it is one of the shop's. */
function Trust() {
  const [name, setName] = useState('');
  const [deviceName, setDeviceName] = useState('');
  const [pin, setPin] = useState('');
  const { busy, fault, comeIn } = useComingIn();
  const isWhole = name.trim() !== '' && deviceName.trim() !== '' && pin.length >= SHORTEST_PIN;
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        void comeIn(ADDRESS.trustDevice, { name, deviceName, pin }, () => setPin(''));
      }}
    >
      <h1>This device is not known here</h1>
      <p>A lead signs in on it once; from then on every painter does with a touch and a PIN.</p>
      <div className="grid2">
        <TextInput
          label="Name of the lead"
          value={name}
          maxLength={80}
          autoComplete="off"
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <TextInput
          label="What this device is called"
          placeholder="Booth 1, mixing bench …"
          value={deviceName}
          maxLength={80}
          onChange={(event) => setDeviceName(event.currentTarget.value)}
        />
      </div>
      <PinPad label="PIN of the lead" value={pin} error={fault} onChange={setPin} />
      <div>
        <Button type="submit" size="xl" loading={busy} disabled={!isWhole}>
          Trust this device
        </Button>
      </div>
    </form>
  );
}

/** No lead has a PIN yet: whoever reads the screen of the shop's machine is one. */
function Begin() {
  const [told, setTold] = useState({ code: '', name: '', deviceName: '' });
  const [pin, setPin] = useState('');
  const { busy, fault, comeIn } = useComingIn();
  const isWhole = Object.values(told).every((value) => value.trim() !== '');
  const field = (key: keyof typeof told, label: string, placeholder = '') => (
    <TextInput
      label={label}
      placeholder={placeholder}
      value={told[key]}
      maxLength={80}
      autoComplete="off"
      onChange={({ currentTarget: { value } }) => setTold({ ...told, [key]: value })}
    />
  );
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        void comeIn(ADDRESS.beginSignIn, { ...told, pin }, () => setPin(''));
      }}
    >
      <h1>The first lead</h1>
      <p>
        The screen of the machine that Orthochrom runs on shows a code. Whoever reads it there may
        make a lead.
      </p>
      <div className="grid2">
        {field('code', 'Code of the machine', 'ABCDE-FGHJK')}
        {field('name', 'Name of the painter who leads')}
        {field('deviceName', 'What this device is called', 'Booth 1, mixing bench …')}
      </div>
      <PinPad label="A PIN of six to twelve digits" value={pin} error={fault} onChange={setPin} />
      <div>
        <Button
          type="submit"
          size="xl"
          loading={busy}
          disabled={!isWhole || pin.length < SHORTEST_PIN}
        >
          Come in
        </Button>
      </div>
    </form>
  );
}
