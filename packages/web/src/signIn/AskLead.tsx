/** An apprentice goes against the advice: a lead puts a hand to it, here and now. */
import { Button, Modal } from '@mantine/core';
import { SHORTEST_PIN } from '@orthochrom/contract/shop/signIn.ts';
import { useState } from 'react';
import { ApiFault, postJson } from '../api/client.ts';
import type { AskedLead } from '../api/leadTouch.ts';
import { useWho } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { PinPad } from './PinPad.tsx';
import styles from './SignIn.module.css';

export function AskLead({ asked: { message, answer } }: { asked: AskedLead }) {
  const { data: who } = useWho();
  const leads = who?.painters.filter(({ role, hasPin }) => role === 'lead' && hasPin) ?? [];
  const [picked = leads[0]?.id, pick] = useState<string>();
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  const touch = async () => {
    setBusy(true);
    try {
      answer((await postJson<{ id: string }>(ADDRESS.leadTouch, { leadId: picked, pin })).id);
    } catch (reason) {
      setFault(reason instanceof ApiFault ? reason.message : String(reason));
      setPin('');
      setBusy(false);
    }
  };
  return (
    <Modal opened onClose={() => answer(undefined)} title="A lead is asked" size="lg">
      <form
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          void touch();
        }}
      >
        <p>{message}</p>
        <div className={styles['names']}>
          {leads.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className={styles['name']}
              aria-pressed={id === picked}
              onClick={() => pick(id)}
            >
              {name}
            </button>
          ))}
        </div>
        <PinPad label="PIN of the lead" value={pin} error={fault} onChange={setPin} autoFocus />
        <div className="row">
          <Button
            type="submit"
            size="lg"
            loading={busy}
            disabled={!picked || pin.length < SHORTEST_PIN}
          >
            Put a hand to it
          </Button>
          <Button variant="default" size="lg" onClick={() => answer(undefined)}>
            Leave it
          </Button>
        </div>
      </form>
    </Modal>
  );
}
