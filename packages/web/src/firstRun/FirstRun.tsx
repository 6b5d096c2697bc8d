/**
 * The first thing of an empty shop: who and where, from which the rest follows; or the file of a
 * shop that is there already.
 */
import { Button, Select, TextInput } from '@mantine/core';
import { SHORTEST_PIN } from '@orthochrom/contract/shop/signIn.ts';
import { useState } from 'react';
import { postJson } from '../api/client.ts';
import { ADDRESS, refreshAll } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import { WholeShopIn } from '../settings/WholeShop.tsx';
import { PinPad } from '../signIn/PinPad.tsx';
import {
  EXTRACTIONS,
  MEASURES,
  newShop,
  PLACES,
  shopBody,
  whatLacks,
  ZONES,
  type NewShop,
} from './newShop.ts';
import styles from './FirstRun.module.css';

export function FirstRun({ isAsked }: { isAsked: boolean }) {
  const [told, setTold] = useState(newShop);
  const [busy, write] = useWrite();
  const set = (changes: Partial<NewShop>) => setTold({ ...told, ...changes });
  const lacks = whatLacks(told, isAsked);
  const open = () =>
    write(async () => {
      await postJson(ADDRESS.shop, shopBody(told, isAsked));
      await refreshAll();
    });
  const text = (
    key: 'shop' | 'painter' | 'room' | 'cup' | 'prefix',
    label: string,
    hint: string,
  ) => (
    <TextInput
      label={label}
      description={hint}
      value={told[key]}
      maxLength={80}
      onChange={(event) => set({ [key]: event.currentTarget.value })}
    />
  );
  return (
    <div className={`stack ${styles['page']}`}>
      <h1>A shop of your own</h1>
      <p>
        A few lines, then it is open. All of it can be changed later under <strong>Settings</strong>
        ; a gun and a data sheet come next, and then the first job.
      </p>
      <form
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          void open();
        }}
      >
        <section className="card stack" aria-labelledby="first-shop">
          <h2 className="tape" id="first-shop">
            1 · The shop
          </h2>
          <div className={styles['two']}>
            {text('shop', 'Its name', 'as it stands on a printed list')}
            <Select
              label="Its clock"
              description="every date and hour is shown by it"
              searchable
              data={ZONES}
              value={told.timeZone}
              onChange={(timeZone) => timeZone && set({ timeZone })}
            />
            {text('prefix', 'Before a ticket’s number', 'one to eight letters or digits')}
            <TextInput
              label="Its money"
              description="as it is written beside a price; may stay empty"
              value={told.currency}
              maxLength={8}
              onChange={(event) => set({ currency: event.currentTarget.value })}
            />
          </div>
        </section>
        <section className="card stack" aria-labelledby="first-painter">
          <h2 className="tape" id="first-painter">
            2 · You
          </h2>
          <div className={styles['two']}>
            {text('painter', 'Your name', 'you lead the shop: others are added later')}
            <Select
              label="You measure in"
              description="each of them can be changed on its own later"
              data={MEASURES.map(({ value, label }) => ({ value, label }))}
              value={told.measures}
              onChange={(measures) => measures && set({ measures: measures as 'metric' })}
            />
          </div>
        </section>
        <section className="card stack" aria-labelledby="first-room">
          <h2 className="tape" id="first-room">
            3 · Where you spray
          </h2>
          <div className={styles['two']}>
            {text('room', 'The room', 'Booth 1, the big bay …')}
            <Select
              label="What it is"
              description="the gate asks by it"
              data={PLACES}
              value={told.place}
              onChange={(place) => place && set({ place: place as 'booth' })}
            />
            <Select
              label="How its air is drawn off"
              description="what is rated for solvent, and what is not"
              data={EXTRACTIONS}
              value={told.extraction}
              onChange={(extraction) => extraction && set({ extraction: extraction as 'off' })}
            />
            <TextInput
              label="Region"
              description="whose rules hold there; its limits are set in Settings"
              value={told.region}
              maxLength={80}
              onChange={(event) => set({ region: event.currentTarget.value })}
            />
          </div>
        </section>
        <section className="card stack" aria-labelledby="first-cup">
          <h2 className="tape" id="first-cup">
            4 · What you mix in
          </h2>
          <div className={styles['two']}>
            {text('cup', 'The cup', 'its printed scale is drawn in Settings')}
            <TextInput
              label="It holds, ml"
              description="to the brim mark"
              inputMode="numeric"
              value={told.capacityMl}
              onChange={(event) => set({ capacityMl: event.currentTarget.value })}
            />
          </div>
        </section>
        {isAsked && (
          <section className="card stack" aria-labelledby="first-lead">
            <h2 className="tape" id="first-lead">
              5 · How you come in
            </h2>
            <p>The screen of the machine that Orthochrom runs on shows a code.</p>
            <div className={styles['two']}>
              <TextInput
                label="Code of the machine"
                placeholder="ABCDE-FGHJK"
                value={told.code}
                autoComplete="off"
                onChange={(event) => set({ code: event.currentTarget.value })}
              />
              <TextInput
                label="What this device is called"
                placeholder="Booth 1, mixing bench …"
                value={told.deviceName}
                maxLength={80}
                onChange={(event) => set({ deviceName: event.currentTarget.value })}
              />
            </div>
            <PinPad
              label={`A PIN of ${SHORTEST_PIN} to twelve digits`}
              value={told.pin}
              onChange={(pin) => set({ pin })}
            />
          </section>
        )}
        <div className="row">
          <Button type="submit" size="xl" loading={busy} disabled={lacks !== undefined}>
            Open the shop
          </Button>
          {lacks && <p role="status">{lacks}</p>}
        </div>
      </form>
      {!isAsked && <WholeShopIn title="Or bring a shop of before" />}
    </div>
  );
}
