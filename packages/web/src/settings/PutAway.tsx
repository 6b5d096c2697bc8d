/** Puts a thing of the shop away: it is not offered any more, what was done with it stays. */
import { Button, Modal } from '@mantine/core';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { useState } from 'react';
import { postJson } from '../api/client.ts';
import { ADDRESS, hold } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';

export function PutAway({
  what,
  address,
  version,
}: {
  what: string;
  address: string;
  version: number;
}) {
  const [isAsked, setAsked] = useState(false);
  const [busy, write] = useWrite();
  const away = () =>
    write(async () => {
      const setup = await postJson<ShopSetup>(address, { version });
      setAsked(false);
      await hold(ADDRESS.setup, setup);
    });
  return (
    <>
      <Button variant="default" onClick={() => setAsked(true)}>
        Put {what} away…
      </Button>
      <Modal opened={isAsked} onClose={() => setAsked(false)} title={`Put ${what} away?`}>
        <div className="stack">
          <p>It is not offered any more. What was done with it stays in the records.</p>
          <div className="row">
            <Button color="red" loading={busy} onClick={() => void away()}>
              Put it away
            </Button>
            <Button variant="default" onClick={() => setAsked(false)}>
              Keep it
            </Button>
          </div>
        </div>
      </Modal>
    </>
  );
}
